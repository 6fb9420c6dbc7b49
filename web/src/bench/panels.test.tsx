import { useState } from "react";
import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import type { Causes, Bench } from "../lib/api";
import { bench, finding } from "../test/bench";
import { renderWith, WithDoing } from "../test/render";
import { CausesPanel } from "../causes/CausesPanel";
import { CriteriaPanel } from "./CriteriaPanel";
import { EnteredPanel } from "./EnteredPanel";
import { Tower } from "./Tower";
import { choose } from "../test/choose";

const rejected = (): Bench =>
  bench({
    entries: [
      {
        id: "e1",
        kind: "INDICATION",
        content: { kind: "undercut", toe: "A", from: "3", to: "9", depth: "1/16" },
        by: "Ines Marl",
        at: "2026-05-04T10:00:00Z",
        withdrawn: false,
        version: 0,
      },
    ],
    evaluation: {
      verdict: "reject",
      rejects: 1,
      findings: [
        finding("crack", "accept"),
        finding("undercut", "reject", {
          entries: ["e1"],
          measured: "6 in over 1/32",
          allowed: "2 in",
          margin: "-4 in",
          trace: ["web toe 3–9"],
          share: 3,
        }),
      ],
      todo: [{ id: "slag", criterion: "slag", title: "Slag", ask: "inspect for slag", clearable: true }],
      notes: [],
    },
  });

function OneCode({ bench: b }: { bench: Bench }) {
  const [open, setOpen] = useState<string>();
  return <CriteriaPanel bench={b} open={open} onOpen={setOpen} onCauses={() => undefined} />;
}

const tower = (b: Bench) => <WithDoing bench={b}>{(doing) => <Tower bench={b} doing={doing} />}</WithDoing>;

const traced: Causes = {
  mark: "FB-9",
  defects: [
    {
      entry: "e1",
      kind: "undercut",
      trouble: "undercut",
      situation: "undercut-upper",
      causes: [
        {
          id: "work-angle",
          title: "Work angle",
          name: "Rod aimed away",
          hands: true,
          standing: "strong",
          speaksFor: ["on the web toe only"],
          speaksAgainst: ["one short place"],
          check: "compare the legs",
          change: "aim more at this toe",
          prevent: "prop the hand",
        },
      ],
      ruledOut: [{ title: "Arc force too high", why: "this is position 2F" }],
      next: {
        ask: "check for this sign: tall, ropy bead",
        sign: "ropy-bead",
        settles: "would speak for or against: current too low",
      },
      doubt: ["A ranking, not a proof."],
    },
  ],
  common: [{ id: "work-angle", title: "Work angle", explains: ["overlap", "undercut"], leaves: ["arc strike"] }],
  doubts: [{ why: "welded vertical down on 1/4 in or over", test: "MT of the weld; the engineer decides" }],
  signs: [
    { id: "ropy-bead", words: "tall, ropy bead" },
    { id: "narrow-bead", words: "narrow bead", seen: true },
  ],
  also: [{ id: "wavy", words: "wavy, uneven bead" }],
  trials: [
    {
      id: "t1",
      cause: "work-angle",
      trouble: "undercut",
      words: "rod aimed up",
      after: "FB-8",
      by: "Ines Marl",
      at: "2026-05-04T10:00:00Z",
    },
  ],
  tests: [
    {
      id: "s1",
      kind: "bend",
      specimen: "root bend 1",
      said: {},
      verdict: "accept",
      lines: ["bent without more than is allowed"],
      replace: false,
      pictured: false,
      withdrawn: false,
      by: "Ines Marl",
      at: "2026-05-04T10:00:00Z",
      citation: "6.10",
    },
  ],
};

describe("what the code says", () => {
  it("puts what rejects first and opens it to arithmetic, clause and causes", async () => {
    const { container } = renderWith(<OneCode bench={rejected()} />, {
      "GET /api/inspections/inspection-1/causes": () => ({ json: traced }),
    });
    expect(container.querySelector(".finding")?.getAttribute("data-criterion")).toBe("undercut");
    fireEvent.click(screen.getByText("Undercut: rejects"));
    expect(screen.getByLabelText("Arithmetic").textContent).toBe("web toe 3–9");
    expect(screen.getByText(/Table 8.1/)).toBeTruthy();
    await screen.findByText(/Rod aimed away/);
    expect(screen.getByText(/aim more at this toe/)).toBeTruthy();
    expect(screen.getByText("A ranking, not a proof.")).toBeTruthy();
  });
});

describe("the causes of a weld", () => {
  const answers = {
    "GET /api/inspections/inspection-1/causes": () => ({ json: traced }),
    PUT: () => ({ json: traced }),
  };

  it("stand with what they have in common, what inspection cannot see, and what was ruled out", async () => {
    renderWith(<CausesPanel bench={rejected()} />, answers);
    await screen.findByText(/Rod aimed away/);
    expect(screen.getByLabelText("Together").textContent).toContain(
      "could explain the overlap and the undercut; it leaves the arc strike unexplained",
    );
    expect(screen.getByLabelText("Fusion in doubt").textContent).toContain("vertical down");
    expect(screen.getByText(/Ruled out: arc force too high/)).toBeTruthy();
    expect(screen.getByText("narrow bead")).toBeTruthy();
    expect(screen.queryByText("tall, ropy bead")).toBeNull();
  });

  it("take a sign, inspected for and not seen, into the welding record", async () => {
    const { sent } = renderWith(<CausesPanel bench={rejected()} />, answers);
    fireEvent.click(await screen.findByText("Check for a sign (2)"));
    fireEvent.click(within(screen.getByLabelText("tall, ropy bead")).getByText("not"));
    await waitFor(() =>
      expect(sent.find((s) => s.path.endsWith("/welding"))?.body).toMatchObject({
        welding: { signs: [], signsAbsent: ["ropy-bead"] },
      }),
    );
  });

  it("trace what is only said of the bead", async () => {
    const { sent } = renderWith(<CausesPanel bench={rejected()} />, answers);
    fireEvent.click(await screen.findByText("wavy, uneven bead"));
    await waitFor(() => expect(sent.some((s) => s.path.endsWith("/causes?also=wavy"))).toBe(true));
  });

  it("have one thing changed in words of one's own, and say what the next weld showed", async () => {
    const { sent } = renderWith(<CausesPanel bench={rejected()} />, answers);
    fireEvent.click(await screen.findByText("We change this …"));
    const words = screen.getByLabelText<HTMLInputElement>("What is changed, one thing");
    expect(words.value).toBe("aim more at this toe");
    fireEvent.change(words, { target: { value: "aim 10° higher" } });
    fireEvent.click(screen.getByText("Write it down"));
    await waitFor(() =>
      expect(sent.find((s) => s.path.includes("/trials/") && !s.path.endsWith("outcome"))?.body).toEqual({
        cause: "work-angle",
        trouble: "undercut",
        words: "aim 10° higher",
      }),
    );
    fireEvent.change(screen.getByLabelText("Mark of the next weld"), { target: { value: "FB-10" } });
    fireEvent.click(screen.getByText("no better"));
    await waitFor(() =>
      expect(sent.find((s) => s.path.endsWith("/trials/t1/outcome"))?.body).toEqual({
        nextMark: "FB-10",
        showed: "SAME",
      }),
    );
  });

  it("record a bend with its openings, and keep what was typed where it is refused", async () => {
    const refused = {
      ...answers,
      PUT: () => ({
        status: 422,
        json: {
          detail: "openings[0]: a length is required",
          errors: [{ field: "openings[0]", problem: "a length is required" }],
        },
      }),
    };
    const { sent } = renderWith(<CausesPanel bench={rejected()} />, refused);
    fireEvent.click(await screen.findByText("Record a specimen …"));
    choose("Test", "Face bend");
    fireEvent.change(screen.getByLabelText("Specimen"), { target: { value: "face bend 2" } });
    fireEvent.change(screen.getByLabelText("Openings, each at its longest"), { target: { value: "a bit, 3/32" } });
    fireEvent.click(screen.getByText("Record it"));
    await screen.findByText("a length is required");
    expect(sent.find((s) => s.path.includes("/tests/"))?.body).toEqual({
      kind: "face-bend",
      specimen: "face bend 2",
      openings: ["a bit", "3/32"],
    });
    expect(screen.getByLabelText<HTMLInputElement>("Openings, each at its longest").value).toBe("a bit, 3/32");
  });

  it("are read and not written by a viewer", async () => {
    renderWith(<CausesPanel bench={rejected()} />, answers, "VIEWER");
    await screen.findByText(/Rod aimed away/);
    expect(screen.queryByText("We change this …")).toBeNull();
    expect(screen.queryByText("Record a specimen …")).toBeNull();
    expect(screen.queryByText("not seen")).toBeNull();
  });
});

describe("the tower", () => {
  it("says the verdict in a word and clears a criterion with one touch", async () => {
    const { sent } = renderWith(tower(rejected()), { PUT: () => ({ json: rejected() }) });
    expect(screen.getByTestId("verdict").textContent).toBe("Reject");
    fireEvent.click(screen.getByLabelText("Slag: inspected, none seen"));
    await waitFor(() => expect(sent.some((s) => s.method === "PUT")).toBe(true));
    expect(sent.find((s) => s.method === "PUT")?.body).toEqual({ kind: "CLEAR", content: { criterion: "slag" } });
    expect(screen.getByText("Sign reject …")).toBeTruthy();
  });

  it("lets nobody but an inspector look or sign", () => {
    renderWith(tower(rejected()), {}, "REPAIR_LEAD");
    expect(screen.queryByText("Sign reject …")).toBeNull();
    expect(screen.getByLabelText<HTMLButtonElement>("Slag: inspected, none seen").disabled).toBe(true);
  });

  it("hands over what is incomplete, and never signs it", () => {
    renderWith(tower(bench()), {});
    expect(screen.getByText("Hand over …")).toBeTruthy();
    expect(screen.queryByText(/^Sign /)).toBeNull();
  });
});

describe("what was record", () => {
  it("shows who, and undoes what was taken off", async () => {
    const b = rejected();
    const first = b.entries[0];
    if (!first) throw new Error("no entry");
    b.entries = [{ ...first, withdrawn: true, withdrawnWhy: "taken off by Ines Marl" }];
    const { sent } = renderWith(
      <WithDoing bench={b}>
        {(doing) => <EnteredPanel bench={b} doing={doing} mayChange onEdit={() => undefined} />}
      </WithDoing>,
      { POST: () => ({ json: b }) },
    );
    expect(screen.getByText(/taken off by Ines Marl/)).toBeTruthy();
    fireEvent.click(screen.getByText("undo"));
    await waitFor(() => expect(sent[0]?.path).toBe("/api/inspections/inspection-1/entries/e1/restore"));
  });
});
