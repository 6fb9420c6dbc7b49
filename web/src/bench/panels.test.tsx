import { useState } from "react";
import { fireEvent, screen, waitFor } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import type { Bench, Disposition } from "../lib/api";
import { bench, finding } from "../test/bench";
import { renderWith, WithDoing } from "../test/render";
import { BookPanel } from "./BookPanel";
import { DisposePanel } from "./DisposePanel";
import { EnteredPanel } from "./EnteredPanel";
import { Tower } from "./Tower";

const rejected = (): Bench =>
  bench({
    entries: [{ id: "e1", kind: "INDICATION", content: { kind: "undercut", toe: "A", from: "3", to: "9", depth: "1/16" }, by: "Ines Marl", at: "2026-05-04T10:00:00Z", withdrawn: false, version: 0 }],
    evaluation: {
      verdict: "reject",
      rejects: 1,
      findings: [finding("crack", "accept"), finding("undercut", "reject", { entries: ["e1"], measured: "6 in over 1/32", allowed: "2 in", margin: "-4 in", trace: ["web toe 3–9"], share: 3 })],
      todo: [{ id: "slag", criterion: "slag", title: "Slag", ask: "look for slag", clearable: true }],
      notes: [],
    },
  });

function OneBook({ bench: b }: { bench: Bench }) {
  const [open, setOpen] = useState<string>();
  return <BookPanel bench={b} open={open} onOpen={setOpen} />;
}

const tower = (b: Bench) => <WithDoing bench={b}>{(doing) => <Tower bench={b} doing={doing} />}</WithDoing>;

const causes = {
  format: "mensor-causes/1",
  mark: "FB-9",
  defects: [
    {
      indication: 0,
      kind: "undercut",
      causes: [{ class: "work-angle", name: "Rod aimed away", standing: "strong", for: ["on the web toe only"], against: [], check: "compare the legs", change: "aim more at this toe" }],
      ruledOut: [],
      doubt: ["A ranking, not a proof."],
    },
  ],
};

describe("what the book says", () => {
  it("puts what rejects first and opens it to arithmetic, clause and causes", async () => {
    const { container } = renderWith(<OneBook bench={rejected()} />, { "GET /api/inspections/look-1/causes": () => ({ json: causes }) });
    expect(container.querySelector(".finding")?.getAttribute("data-criterion")).toBe("undercut");
    fireEvent.click(screen.getByText("Undercut: rejects"));
    expect(screen.getByLabelText("Arithmetic").textContent).toBe("web toe 3–9");
    expect(screen.getByText(/Table 8.1/)).toBeTruthy();
    await screen.findByText(/Rod aimed away/);
    expect(screen.getByText(/aim more at this toe/)).toBeTruthy();
    expect(screen.getByText("A ranking, not a proof.")).toBeTruthy();
  });
});

describe("the tower", () => {
  it("says the verdict in a word and clears a criterion with one touch", async () => {
    const { sent } = renderWith(tower(rejected()), { PUT: () => ({ json: rejected() }) });
    expect(screen.getByTestId("verdict").textContent).toBe("Reject");
    fireEvent.click(screen.getByLabelText("Slag: looked, none seen"));
    await waitFor(() => expect(sent.some((s) => s.method === "PUT")).toBe(true));
    expect(sent.find((s) => s.method === "PUT")?.body).toEqual({ kind: "CLEAR", content: { criterion: "slag" } });
    expect(screen.getByText("Sign reject …")).toBeTruthy();
  });

  it("lets nobody but an inspector look or sign", () => {
    renderWith(tower(rejected()), {}, "REPAIR_LEAD");
    expect(screen.queryByText("Sign reject …")).toBeNull();
    expect((screen.getByLabelText("Slag: looked, none seen") as HTMLButtonElement).disabled).toBe(true);
  });

  it("hands over what is incomplete, and never signs it", () => {
    renderWith(tower(bench()), {});
    expect(screen.getByText("Hand over …")).toBeTruthy();
    expect(screen.queryByText(/^Sign /)).toBeNull();
  });
});

describe("what was put down", () => {
  it("shows who, and undoes what was taken off", async () => {
    const b = rejected();
    const first = b.entries[0];
    if (!first) throw new Error("no entry");
    b.entries = [{ ...first, withdrawn: true, withdrawnWhy: "taken off by Ines Marl" }];
    const { sent } = renderWith(<WithDoing bench={b}>{(doing) => <EnteredPanel bench={b} doing={doing} mayChange onEdit={() => undefined} />}</WithDoing>, { POST: () => ({ json: b }) });
    expect(screen.getByText(/taken off by Ines Marl/)).toBeTruthy();
    fireEvent.click(screen.getByText("undo"));
    await waitFor(() => expect(sent[0]?.path).toBe("/api/inspections/look-1/entries/e1/restore"));
  });
});

describe("disposing", () => {
  const open: Disposition = {
    finding: "undercut",
    title: "Undercut",
    reason: "6 in over 1/32",
    choices: [
      { id: "add-metal", title: "Add weld metal", needsDocument: false },
      { id: "accept-as-is", title: "Accept as is", needsDocument: true },
    ],
    why: "prepare the surface and add metal",
  };

  it("is the repair lead's, but for the Engineer's document", async () => {
    const b = bench({ state: "SIGNED", dispositions: [open] });
    const { sent } = renderWith(<DisposePanel bench={b} />, { PUT: () => ({ json: b }) }, "REPAIR_LEAD");
    expect((screen.getByText("Accept as is") as HTMLButtonElement).disabled).toBe(true);
    fireEvent.click(screen.getByText("Add weld metal"));
    fireEvent.click(screen.getByText("Decide"));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]?.body).toEqual({ decision: "add-metal" });
  });

  it("asks the welding engineer for number, name and date of the document", () => {
    renderWith(<DisposePanel bench={bench({ state: "SIGNED", dispositions: [open] })} />, {}, "WELDING_ENGINEER");
    fireEvent.click(screen.getByText("Accept as is"));
    expect(screen.getByLabelText("Engineer's document no.")).toBeTruthy();
    expect(screen.getByLabelText("Engineer's name")).toBeTruthy();
    expect(screen.getByLabelText("Date")).toBeTruthy();
  });

  it("shows an inspector that nothing is decided, without buttons", () => {
    renderWith(<DisposePanel bench={bench({ state: "SIGNED", dispositions: [open] })} />, {});
    expect(screen.getByText("Not decided yet.")).toBeTruthy();
    expect(screen.queryByText("Decide")).toBeNull();
  });
});
