import { fireEvent, screen, waitFor } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { made, welding } from "../test/bench";
import { renderWith } from "../test/render";
import { FitUpPanel } from "./FitUpPanel";
import { WeldingStrip } from "./WeldingStrip";
import { placeOf, placeText } from "./place";
import { localTime } from "../lib/local-time";
import { ProcessPanel } from "./ProcessPanel";

const choose = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });
const item = {
  id: "gap",
  title: "Gap under the fillet",
  verdict: "reject",
  measured: "1/4",
  allowed: "3/16",
  reason: "open 1/4 at 6",
  citation: "D1.1 7.22 (5.21)",
};

describe("a place as it is typed", () => {
  it("is a station or a stretch", () => {
    expect(placeOf("7 1/2")).toEqual({ at: "7 1/2" });
    expect(placeOf("10-14")).toEqual({ from: "10", to: "14" });
    expect(placeOf(" ")).toEqual({});
    expect(placeText({ from: "10", to: "14" })).toBe("10–14");
  });
});

describe("the fit-up", () => {
  it("records a gap at its stretch and shows the leg that it asks for", async () => {
    const raised = welding({
      fitUp: {
        begun: true,
        verdict: "incomplete",
        stops: false,
        items: [],
        raised: ["10–14: leg 3/8 for a gap of 1/8"],
      },
    });
    const { sent } = renderWith(<FitUpPanel welding={raised} mayRecord />, { PUT: () => ({ json: raised }) });
    choose("At, or from–to", "10-14");
    choose("Gap", "1/8");
    fireEvent.click(screen.getByText("Record"));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toEqual({ kind: "FIT_UP", content: { from: "10", to: "14", opening: "1/8" } });
    expect(screen.getByText("10–14: leg 3/8 for a gap of 1/8")).toBeTruthy();
    expect(screen.queryByLabelText("Root face")).toBeNull();
  });

  it("asks a groove for its root face, angle and offset", () => {
    renderWith(<FitUpPanel welding={welding({ fillet: false })} mayRecord />, {});
    for (const label of ["Root opening", "Root face", "Included angle, °", "Offset", "Gap to backing"])
      expect(screen.getByLabelText(label)).toBeTruthy();
  });

  it("says that a gap beyond the limit stops the joint", () => {
    renderWith(
      <FitUpPanel
        welding={welding({ fitUp: { begun: true, verdict: "reject", stops: true, items: [item], raised: [] } })}
        mayRecord
      />,
      {},
    );
    expect(screen.getByRole("alert").textContent).toMatch(/Do not weld: refer it/);
    expect(screen.getByText(/open 1\/4 at 6/)).toBeTruthy();
  });

  it("stands once an inspection is signed", () => {
    renderWith(
      <FitUpPanel
        welding={welding({ signed: true, entries: [made("f", "FIT_UP", { at: "6", opening: "1/16" })] })}
        mayRecord
      />,
      {},
    );
    expect(screen.queryByText("Record")).toBeNull();
    expect(screen.queryByText("take off")).toBeNull();
    expect(screen.getByText(/the fit-up stands/)).toBeTruthy();
  });
});

describe("as the passes go in", () => {
  it("takes an answer for the whole, and a place where it is not so", async () => {
    const { sent } = renderWith(<ProcessPanel welding={welding()} mayRecord />, { PUT: () => ({ json: welding() }) });
    fireEvent.click(screen.getByText("yes"));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toEqual({ kind: "PROCESS", content: { question: "root", asWanted: true } });
    fireEvent.click(screen.getByText("at …"));
    choose("At, or from–to", "4");
    choose("What was seen", "pinhole");
    fireEvent.click(screen.getByText("Record"));
    await waitFor(() => expect(sent).toHaveLength(2));
    expect(sent[1]?.body).toEqual({
      kind: "PROCESS",
      content: { question: "root", asWanted: false, at: "4", note: "pinhole" },
    });
  });

  it("brings rods that are out back to the oven, keeping when they went out", async () => {
    const m = welding({
      entries: [made("r", "RODS", { electrode: "E7018", outings: [{ out: "2026-05-04T06:00:00Z" }] }, { version: 3 })],
      rods: [{ entry: "r", electrode: "E7018", shown: "out 5 h 10 min of 4 h", out: true, over: true, limit: "4 h" }],
    });
    const { sent } = renderWith(<ProcessPanel welding={m} mayRecord />, { PUT: () => ({ json: m }) });
    expect(screen.getByText(/over: dry them again/)).toBeTruthy();
    fireEvent.click(screen.getByText("back now"));
    await waitFor(() => expect(sent).toHaveLength(1));
    const body = sent[0]?.body as { version: number; content: { outings: { out: string; back: string }[] } };
    expect(body.version).toBe(3);
    expect(body.content.outings[0]?.out).toBe("2026-05-04T06:00:00Z");
    expect(body.content.outings[0]?.back).toMatch(/^\d{4}-\d\d-\d\dT\d\d:\d\d:\d\dZ$/);
  });

  it("writes a moment as a date and time field needs it", () => {
    expect(localTime(new Date(2026, 4, 9, 7, 5))).toBe("2026-05-09T07:05");
  });
});

it("draws the passes with their runs, and says what lies stacked", () => {
  renderWith(
    <WeldingStrip
      units="in"
      drawing={{
        length: 600,
        clock: [],
        ticks: [],
        gaps: [{ from: 100, to: 200, label: "gap 1/8" }],
        openings: [],
        passes: [
          {
            label: "1 root",
            runs: [
              { from: 0, to: 200, back: false },
              { from: 200, to: 600, back: false },
            ],
          },
          { label: "2 fill", runs: [] },
        ],
        marks: [{ from: 200, to: 203, kind: "stacked", label: "passes 1 and 2 stacked at 8" }],
      }}
    />,
    {},
  );
  expect(screen.getByRole("img").getAttribute("aria-label")).toContain("gap 1/8; passes 1 and 2 stacked at 8");
  expect(screen.getByText("1 root")).toBeTruthy();
  expect(screen.getByText("starts and stops not recorded")).toBeTruthy();
  expect(screen.getByText("✕ stacked")).toBeTruthy();
});

it("notes what the box of the rods says", async () => {
  const m = welding({ entries: [made("b", "RODS", { electrode: "E6010", diameter: "1/8", labelAmps: [75, 120] })] });
  const { sent } = renderWith(<ProcessPanel welding={m} mayRecord />, { PUT: () => ({ json: m }) });
  expect(screen.getByText(/the box says 75–120 A/)).toBeTruthy();
  fireEvent.click(screen.getByText("note a box label"));
  expect(screen.getByRole<HTMLButtonElement>("button", { name: "Note it" }).disabled).toBe(true);
  fireEvent.change(screen.getByLabelText("Amps on the box, least–most"), { target: { value: "90-140" } });
  fireEvent.click(screen.getByText("Note it"));
  await waitFor(() =>
    expect(sent[0]?.body).toEqual({
      kind: "RODS",
      content: { electrode: "E7018", diameter: "1/8", labelAmps: [90, 140] },
    }),
  );
});
