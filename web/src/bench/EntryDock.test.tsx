import { fireEvent, screen, waitFor } from "@testing-library/react";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { bench } from "../test/bench";
import { freshTablet, renderWith, WithDoing, type Sent } from "../test/render";
import type { Bench } from "../lib/api";
import { NetworkMark } from "../lib/NetworkMark";
import { EntryDock } from "./EntryDock";
import type { Editing } from "./useDock";
import { NotTaken } from "./NotTaken";
import { typeLikeAGauge } from "./typing";

const puts = (sent: Sent[]) => sent.filter((s) => s.method === "PUT");
const fill = (label: RegExp | string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });

type More = { place?: string; touch?: number; editing?: Editing; onDone?: () => void; onCursor?: (mm: number) => void };

function dock(b: Bench, { place = "", touch = 0, onDone = vi.fn(), ...more }: More = {}) {
  return (
    <WithDoing bench={b}>
      {(doing) => <EntryDock bench={b} doing={doing} cursor={0} touched={{ place, touch }} onDone={onDone} {...more} />}
    </WithDoing>
  );
}

beforeEach(freshTablet);

describe("recording", () => {
  it("takes a letter for the kind, and Enter to record", async () => {
    const b = bench();
    const { sent } = renderWith(dock(b), { PUT: () => ({ json: b }) });
    fireEvent.keyDown(document.body, { key: "u" });
    fill("From", "3");
    fill("To", "4 1/2");
    fireEvent.click(screen.getByText("1/32", { selector: "button span" }));
    fireEvent.click(screen.getByText("flange toe"));
    fireEvent.submit(screen.getByLabelText("From").closest("form") as HTMLFormElement);
    await screen.findByText(/Recorded: undercut flange toe 3–4 1\/2 1\/32 deep/);
    expect(puts(sent)[0]?.body).toEqual({
      kind: "INDICATION",
      content: { kind: "undercut", toe: "B", from: "3", to: "4 1/2", depth: "1/32" },
    });
    expect(screen.getByLabelText<HTMLInputElement>("From").value).toBe("");
  });

  it("keeps an entry when the server cannot be reached, and sends it once when it is back", async () => {
    const b = bench();
    let down = true;
    const { sent } = renderWith(
      <>
        {dock(b)}
        <NetworkMark />
      </>,
      {
        PUT: () => {
          if (down) throw new Error("no network");
          return { json: b };
        },
      },
    );
    fireEvent.keyDown(document.body, { key: "c" });
    fill("At", "18");
    fireEvent.submit(screen.getByLabelText("At").closest("form") as HTMLFormElement);
    await screen.findByText(/Kept here, it goes when the network is back: crack at 18/);
    expect(screen.getByText(/no network · 1 waits/)).toBeTruthy();
    expect(Object.keys(window.localStorage).filter((k) => k.startsWith("mensor.waiting"))).toHaveLength(1);
    down = false;
    fireEvent(window, new Event("online"));
    await waitFor(() => expect(screen.queryByText(/no network/)).toBeNull());
    expect(new Set(puts(sent).map((x) => x.path)).size).toBe(1);
    expect(Object.keys(window.localStorage).filter((k) => k.startsWith("mensor.waiting"))).toHaveLength(0);
  });

  it("shows the server's words at the field", async () => {
    const b = bench();
    renderWith(dock(b), {
      PUT: () => ({
        status: 422,
        json: {
          detail: "to: 40 in lies past the weld's end at 24 in",
          errors: [{ field: "to", problem: "40 in lies past the weld's end at 24 in" }],
        },
      }),
    });
    fireEvent.keyDown(document.body, { key: "o" });
    fill("From", "3");
    fill("To", "40");
    fireEvent.submit(screen.getByLabelText("From").closest("form") as HTMLFormElement);
    await screen.findByText("40 in lies past the weld's end at 24 in");
    expect(screen.getByLabelText("To").getAttribute("aria-invalid")).toBe("true");
  });

  it("leaves the field with Escape, so that a letter picks another kind", () => {
    renderWith(dock(bench()), {});
    fireEvent.keyDown(document.body, { key: "c" });
    const at = screen.getByLabelText("At");
    at.focus();
    fireEvent.keyDown(at, { key: "u" });
    expect(screen.queryByLabelText("From")).toBeNull();
    fireEvent.keyDown(at, { key: "Escape" });
    expect(document.activeElement).toBe(document.body);
    fireEvent.keyDown(document.body, { key: "u" });
    expect(screen.getByLabelText("From")).toBeTruthy();
  });

  it("puts the blade down along the full length with one touch", async () => {
    const b = bench();
    const { sent } = renderWith(dock(b), { PUT: () => ({ json: b }) });
    fireEvent.click(screen.getByText("5/16 goes, full length"));
    await waitFor(() => expect(puts(sent)).toHaveLength(1));
    expect(puts(sent)[0]?.body).toEqual({ kind: "READING", content: { from: "0", to: "24", atLeast: "5/16" } });
  });

  it("takes Enter while another entry is on its way, and a second press of it once", async () => {
    const b = bench();
    const { sent } = renderWith(dock(b), { PUT: () => ({ json: b }) });
    fireEvent.click(screen.getByText("5/16 goes, full length"));
    fireEvent.keyDown(document.body, { key: "c" });
    fill("At", "18");
    expect(screen.getByText<HTMLElement>("Record").closest("button")?.disabled).toBe(false);
    const form = screen.getByLabelText("At").closest("form") as HTMLFormElement;
    fireEvent.submit(form);
    fireEvent.submit(form);
    await screen.findByText(/Recorded: crack at 18/);
    expect(puts(sent).map((x) => (x.body as { kind: string }).kind)).toEqual(["READING", "INDICATION"]);
  });

  it("fills the first empty place by a touch on the strip", () => {
    const b = bench();
    const { again } = renderWith(dock(b), {});
    fireEvent.keyDown(document.body, { key: "b" });
    again(dock(b, { place: "11 5/8", touch: 1 }));
    again(dock(b, { place: "14", touch: 2 }));
    expect(screen.getByLabelText<HTMLInputElement>("From").value).toBe("11 5/8");
    expect(screen.getByLabelText<HTMLInputElement>("To").value).toBe("14");
  });

  it("shows what somebody else changed, and stores mine only when asked", async () => {
    const b = bench();
    const entry = {
      id: "e7",
      kind: "INDICATION" as const,
      content: { kind: "crack", at: "3" },
      by: "Ines",
      at: "2026-05-04T10:00:00Z",
      withdrawn: false,
      version: 4,
    };
    let clash = true;
    const { sent } = renderWith(dock(b, { editing: entry }), {
      PUT: () =>
        clash
          ? {
              status: 409,
              json: {
                detail: "Tomas Reed changed this entry meanwhile",
                current: { ...entry, by: "Tomas Reed", content: { kind: "crack", at: "9" }, version: 5 },
              },
            }
          : { json: b },
      "GET /api/inspections": () => ({ json: b }),
    });
    fill("At", "5");
    fireEvent.click(screen.getByText("Store the change"));
    await screen.findByText("Tomas Reed made it");
    expect(screen.getByText(/crack at 9/)).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>("At").value).toBe("5");
    clash = false;
    fireEvent.click(screen.getByText("Store mine instead"));
    await waitFor(() => expect(puts(sent)).toHaveLength(2));
    expect(puts(sent)[1]?.body).toMatchObject({ content: { at: "5" }, version: 5 });
  });

  it("changes an entry under its own id and version", async () => {
    const b = bench();
    const done = vi.fn();
    const entry = {
      id: "e7",
      kind: "INDICATION" as const,
      content: { kind: "crack", at: "3" },
      by: "Ines",
      at: "2026-05-04T10:00:00Z",
      withdrawn: false,
      version: 4,
    };
    const { sent } = renderWith(dock(b, { editing: entry, onDone: done }), { PUT: () => ({ json: b }) });
    fill("At", "5");
    fireEvent.click(screen.getByText("Store the change"));
    await waitFor(() => expect(done).toHaveBeenCalled());
    expect(puts(sent)[0]).toEqual({
      method: "PUT",
      path: "/api/inspections/inspection-1/entries/e7",
      body: { kind: "INDICATION", content: { kind: "crack", at: "5" }, version: 4 },
    });
  });

  it("says where a blade stops going with one touch", async () => {
    const b = bench();
    const { sent } = renderWith(dock(b), { PUT: () => ({ json: b }) });
    fireEvent.keyDown(document.body, { key: "b" });
    fill("From", "6");
    fill("To", "9");
    fireEvent.click(screen.getByText("5/16 does not, 1/4 goes"));
    await waitFor(() => expect(puts(sent)).toHaveLength(1));
    expect(puts(sent)[0]?.body).toEqual({
      kind: "INDICATION",
      content: { kind: "undersize", from: "6", to: "9", least: "1/4" },
    });
  });
});

describe("a gauge that types", () => {
  // its keys come 5 ms apart, however slow the machine is that runs this
  beforeEach(() => {
    let clock = 1_000;
    const stamp = vi.spyOn(Event.prototype, "timeStamp", "get").mockImplementation(() => (clock += 5));
    return () => stamp.mockRestore();
  });

  const field = (label: string) => screen.getByLabelText<HTMLInputElement>(label);

  it("goes from reading to reading, records the station and goes on to the next", async () => {
    const b = bench({
      guide: [
        {
          kind: "STATION",
          from: 304.8,
          to: 304.8,
          place: "12",
          criterion: "size",
          words: "Read the legs at 12",
          line: "leg 12 ",
        },
      ],
    });
    const moved = vi.fn();
    const { sent } = renderWith(dock(b, { onCursor: moved }), { PUT: () => ({ json: b }) });
    fireEvent.keyDown(document.body, { key: "l" });
    fill("At", "1");
    field("Leg A").focus();
    typeLikeAGauge(field("Leg A"), "+0.312");
    expect(document.activeElement).toBe(field("Leg B"));
    typeLikeAGauge(field("Leg B"), "0.305");
    await screen.findByText(/Recorded: legs 0.312, 0.305 at 1/);
    expect(puts(sent)[0]?.body).toEqual({ kind: "READING", content: { at: "1", legA: "0.312", legB: "0.305" } });
    expect(field("At").value).toBe("12");
    expect(moved).toHaveBeenCalledWith(12 * 25.4);
    await waitFor(() => expect(document.activeElement).toBe(field("Leg A")));
  });

  it("does not wait for the server: the next station's readings stand, and what is refused is held", async () => {
    const b = bench();
    const answers: (() => void)[] = [];
    renderWith(
      <>
        <WithDoing bench={b}>{() => <NotTaken bench={b} onRight={vi.fn()} />}</WithDoing>
        {dock(b)}
      </>,
      {
        PUT: () => ({
          status: 422,
          json: {
            detail: "at: 40 in lies past the weld's end",
            errors: [{ field: "at", problem: "40 in lies past the weld's end" }],
          },
        }),
      },
    );
    const answered = globalThis.fetch;
    vi.stubGlobal("fetch", async (request: Request) => {
      if (request.method === "PUT") await new Promise<void>((go) => answers.push(go));
      return answered(request);
    });
    fireEvent.keyDown(document.body, { key: "l" });
    fireEvent.click(screen.getByText("Run"));
    fill("Stations every, in", "1");
    fill("At", "40");
    typeLikeAGauge(field("Leg A"), "0.311");
    typeLikeAGauge(field("Leg B"), "0.322");
    await waitFor(() => expect(field("Leg A").value).toBe(""));
    typeLikeAGauge(field("Leg A"), "0.333");
    await waitFor(() => expect(answers).toHaveLength(1));
    answers[0]?.();
    await screen.findByText(/Not taken:/);
    expect(screen.getByText(/legs 0.311, 0.322 at 40/)).toBeTruthy();
    expect(field("Leg A").value).toBe("0.333");
    expect(field("At").getAttribute("aria-invalid")).toBe("false");
  });

  it("advances by a step where one is given, and reads what else is required", async () => {
    const b = bench();
    const { sent } = renderWith(dock(b), { PUT: () => ({ json: b }) });
    fireEvent.keyDown(document.body, { key: "l" });
    fireEvent.click(screen.getByText("Run"));
    fireEvent.click(screen.getByText("+ throat"));
    fill("Stations every, in", "2 1/2");
    fill("At", "1");
    for (const [label, text] of [
      ["Leg A", "0.31"],
      ["Leg B", "0.32"],
      ["Throat if read", "0.22"],
    ] as const)
      typeLikeAGauge(field(label), text);
    await waitFor(() => expect(puts(sent)).toHaveLength(1));
    expect(puts(sent)[0]?.body).toMatchObject({ content: { throat: "0.22" } });
    await waitFor(() => expect(field("At").value).toBe("3 1/2"));
  });

  it("is notified from a hand, whose Enter records what is there", async () => {
    const b = bench();
    const { sent } = renderWith(dock(b), { PUT: () => ({ json: b }) });
    fireEvent.keyDown(document.body, { key: "l" });
    fill("At", "1");
    fill("Leg A", "5/16");
    const enter = fireEvent.keyDown(field("Leg A"), { key: "Enter" });
    expect(enter).toBe(true); // not swallowed: the form is submitted
    fireEvent.submit(field("Leg A").closest("form") as HTMLFormElement);
    await waitFor(() => expect(puts(sent)).toHaveLength(1));
  });
});
