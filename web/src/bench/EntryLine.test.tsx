import { fireEvent, screen, waitFor } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import { bench } from "../test/bench";
import { freshTablet, renderWith, WithDoing } from "../test/render";
import { EntryLine } from "./EntryLine";

const whole = {
  entries: [{ kind: "READING", content: { at: "6", legA: "5/16", legB: "1/4" } }],
  kind: "leg",
  from: 0,
  to: 0,
  expects: [],
  completions: [],
  marks: [],
};
const wrong = {
  entries: [],
  kind: "undercut",
  problem: "from where to where? as 12-13",
  from: 5,
  to: 7,
  expects: [],
  completions: [],
  marks: [],
};
const half = { entries: [], kind: "leg", from: 0, to: 0, expects: ["at", "leg A"], completions: ["throat"], marks: [] };

function line(answer: unknown[]) {
  freshTablet();
  const b = bench();
  const view = renderWith(
    <WithDoing bench={b}>{(doing) => <EntryLine bench={b} doing={doing} onMarks={vi.fn()} />}</WithDoing>,
    {
      "POST /api/inspections/inspection-1/lines": () => ({ json: answer }),
      "POST /api/inspections/inspection-1/entries": () => ({ json: bench({ version: 4 }) }),
    },
  );
  const input = screen.getByLabelText<HTMLInputElement>("Entry line", { selector: "input" });
  return { ...view, input, stored: () => view.sent.filter((s) => s.path.endsWith("/entries")) };
}

describe("the entry line", () => {
  it("says what it understood, and records it once with Enter, however quick", async () => {
    const { input, stored } = line([whole]);
    fireEvent.change(input, { target: { value: "leg 6 5/16 1/4" } });
    fireEvent.submit(input);
    fireEvent.submit(input);
    expect(await screen.findByText(/Recorded: legs 5\/16, 1\/4 at 6/)).toBeTruthy();
    expect(stored()).toHaveLength(1);
    expect(input.value).toBe("");
  });

  it("shows what is wrong and where, and records nothing", async () => {
    const { input, stored } = line([wrong]);
    fireEvent.change(input, { target: { value: "uc a 12 1/32" } });
    expect(await screen.findByText(/from where to where/)).toBeTruthy();
    expect(screen.getByText("12", { selector: "mark" })).toBeTruthy();
    fireEvent.submit(input);
    await waitFor(() => expect(stored()).toHaveLength(0));
    expect(input.value).toBe("uc a 12 1/32");
  });

  it("takes Enter while the last keys are still being read, though what stood before them was wrong", async () => {
    const { input } = line([wrong]);
    const record = screen.getByText<HTMLButtonElement>("Record", { selector: "button *" }).closest("button")!;
    fireEvent.change(input, { target: { value: "uc a 12 1/32" } });
    await waitFor(() => expect(record.disabled).toBe(true));
    // the browser sends no form whose button is disabled
    fireEvent.change(input, { target: { value: "uc a 12-13 1/32" } });
    expect(record.disabled).toBe(false);
  });

  it("keeps an unfinished line, says what may follow, and completes it with Tab", async () => {
    const { input, stored } = line([half]);
    fireEvent.change(input, { target: { value: "leg thr" } });
    expect(await screen.findByText("then: at, leg A")).toBeTruthy();
    fireEvent.submit(input);
    fireEvent.keyDown(input, { key: "Tab" });
    expect(input.value).toBe("leg throat ");
    expect(stored()).toHaveLength(0);
  });

  it("takes pasted rows and puts all of them down together", async () => {
    const { input, sent, stored } = line([whole, whole]);
    fireEvent.paste(input, { clipboardData: { getData: () => "1\t5/16\t1/4\n6\t5/16\t1/4\n" } });
    expect(await screen.findByText("2 rows pasted")).toBeTruthy();
    fireEvent.click(await screen.findByText("Record 2"));
    await waitFor(() => expect(stored()).toHaveLength(1));
    expect(stored()[0]?.body).toHaveLength(2);
    expect(sent.find((s) => s.path.endsWith("/lines"))?.body).toEqual({
      lines: ["1\t5/16\t1/4", "6\t5/16\t1/4"],
      before: "leg",
    });
  });

  it("keeps a line that nobody could read, as it was typed, and what is half typed outlives the page", async () => {
    const { input, unmount } = line([half]);
    fireEvent.change(input, { target: { value: "leg 6" } });
    unmount();
    const b = bench();
    renderWith(<WithDoing bench={b}>{(doing) => <EntryLine bench={b} doing={doing} onMarks={vi.fn()} />}</WithDoing>, {
      POST: () => {
        throw new Error("no network");
      },
    });
    const away = screen.getByLabelText<HTMLInputElement>("Entry line", { selector: "input" });
    expect(away.value).toBe("leg 6");
    fireEvent.change(away, { target: { value: "uc a 12-14 1/32" } });
    await screen.findByText(/No network: Enter keeps the line/);
    fireEvent.submit(away);
    await screen.findByText(/Kept here, it is read and goes when the network is back: uc a 12-14 1\/32/);
    const kept = Object.keys(window.localStorage)
      .filter((k) => k.startsWith("mensor.waiting"))
      .map((k) => window.localStorage.getItem(k) ?? "");
    expect(kept).toHaveLength(1);
    expect(kept[0]).toContain("uc a 12-14 1/32");
  });

  it("repeats the kind of the line before, also where that one is still on its way, and keeps what is typed meanwhile", async () => {
    const crown = {
      ...whole,
      kind: "crown",
      entries: [{ kind: "READING", content: { at: "12", reinforcement: "1/16" } }],
    };
    const { input, sent, stored } = line([crown]);
    fireEvent.change(input, { target: { value: "crown 12 1/16" } });
    fireEvent.submit(input);
    fireEvent.change(input, { target: { value: "13 1/16" } });
    fireEvent.submit(input);
    fireEvent.change(input, { target: { value: "14" } });
    await waitFor(() => expect(stored()).toHaveLength(2));
    const asked = sent
      .filter((s) => s.path.endsWith("/lines"))
      .map((s) => s.body as { lines: string[]; before: string });
    expect(asked.findLast((a) => a.lines[0] === "13 1/16")?.before).toBe("crown");
    expect(input.value).toBe("14");
  });
});
