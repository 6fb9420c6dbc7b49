import { fireEvent, screen, waitFor } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import type { Defect, Defects } from "../lib/api";
import { bench } from "../test/bench";
import { renderWith } from "../test/render";
import { DefectCard } from "./DefectCard";
import { RepairPanel } from "./RepairPanel";
import { choose } from "../test/choose";

const crack: Defect = {
  id: "d1",
  number: "NC-4",
  inspection: "inspection-1",
  current: true,
  finding: "crack",
  title: "Crack",
  words: "Crack at 10–11",
  place: "10–11",
  raisedAt: "2026-05-04T10:00:00Z",
  raisedBy: "Ines Marl",
  cycle: 1,
  cycles: 2,
  state: "open",
  stateTitle: "Open",
  proposed: "remove-and-reweld",
  proposedTitle: "Remove and reweld",
  why: "find its ends first",
  choices: [
    { id: "remove-and-reweld", title: "Remove and reweld" },
    { id: "accept-as-is", title: "Accept as is" },
  ],
  cutsApart: false,
  holds: [],
  route: [],
  steps: [],
  photos: [],
  version: 3,
};
const decided: Defect = {
  ...crack,
  disposition: "remove-and-reweld",
  dispositionTitle: "Remove and reweld",
  decidedBy: "Rufus Lorne",
  plan: {
    extent: "8–13",
    steps: ["find both ends by PT, MT or etching", "take out 8–13 from the datum"],
    asksDepth: true,
  },
  route: [
    { id: "open", title: "Open", reached: true },
    { id: "extent-known", title: "Extent known", reached: false },
  ],
  next: { state: "extent-known", title: "Extent known", asks: ["from", "to", "foundBy"], methods: [] },
};
const all = (d: Defect, more: Partial<Defects> = {}): Defects => ({
  defects: [d],
  least: [],
  canReinspect: false,
  cautions: ["Grinding: guard on."],
  ...more,
});
const ticket = (defect: Defect) => ({ defect });

describe("a rejected place", () => {
  it("proposes, says why nothing is welded over, and stores what the contractor decides", async () => {
    const { sent } = renderWith(
      <DefectCard defect={crack} units="in" datum="north end" />,
      { PUT: () => ({ json: ticket(decided) }) },
      "REPAIR_LEAD",
    );
    expect(screen.getByText(/Welding over a defect is not offered/)).toBeTruthy();
    fireEvent.click(screen.getByText("Accept as is"));
    fireEvent.click(screen.getByText("Decide"));
    await waitFor(() =>
      expect(sent.find((x) => x.method === "PUT")?.body).toEqual({
        decision: "accept-as-is",
        cutsApart: false,
        version: 3,
      }),
    );
  });

  it("offers an inspector nothing to decide", () => {
    renderWith(<DefectCard defect={crack} units="in" datum="north end" />, {});
    expect(screen.getByText(/Not decided yet/)).toBeTruthy();
    expect(screen.queryByText("Decide")).toBeNull();
  });

  it("asks on the ticket what the next step needs, and shows what is refused beside its field", async () => {
    const { sent } = renderWith(
      <DefectCard defect={decided} units="in" datum="north end" whole />,
      {
        PUT: () => ({
          status: 422,
          json: {
            detail: "foundBy",
            errors: [{ field: "foundBy", problem: "a crack's ends are found by PT, MT or etching, not by eye" }],
          },
        }),
      },
      "REPAIR_LEAD",
    );
    expect(screen.getByLabelText<HTMLInputElement>("From, in").value).toBe("10");
    choose("Ends found by", "by eye");
    fireEvent.click(screen.getByText("Record"));
    await screen.findByText(/not by eye/);
    expect(sent.find((x) => x.method === "PUT")?.body).toEqual({ from: "10", to: "11", foundBy: "VT", version: 3 });
    expect(sent.find((x) => x.method === "PUT")?.path).toBe("/api/defects/d1/steps/extent-known");
  });

  it("stands still on a hold, which the welding engineer may record a document for", () => {
    const held: Defect = {
      ...decided,
      state: "extent-known",
      next: {
        state: "excavated",
        title: "Excavated",
        asks: ["from"],
        methods: [],
        stopped: "is the crack a major one?",
      },
      holds: [
        {
          kind: "major-crack",
          words: "is the crack a major one?",
          open: true,
          question: true,
          since: "2026-05-04T10:00:00Z",
        },
      ],
    };
    renderWith(<DefectCard defect={held} units="in" datum="north end" whole />, {}, "WELDING_ENGINEER");
    expect(screen.queryByText("Record")).toBeNull();
    fireEvent.click(screen.getByText("The Engineer’s document …"));
    for (const label of ["Document no.", "The Engineer’s name", "Date"])
      expect(screen.getByLabelText(label)).toBeTruthy();
  });
});

describe("the repairs of an inspection", () => {
  it("reckons with a depth and keeps the plan where one is refused", async () => {
    const deep: Defect = {
      ...decided,
      plan: {
        extent: "8–13",
        steps: ["take out 8–13 from the datum"],
        asksDepth: false,
        numbers: {
          depthMm: 6.35,
          widthMm: 14.7,
          lengthMm: 127,
          grams: 72.4,
          pounds: 0.16,
          rods: { electrode: "E7018", diameter: "1/8 in", count: 4, beads: 6, arcMinutes: 4.3, workHours: 0.29 },
        },
      },
    };
    let refuse = false;
    const { sent } = renderWith(<RepairPanel bench={bench({ state: "SIGNED" })} />, {
      "GET /api/inspections/inspection-1/defects?depth": () =>
        refuse ? { status: 422, json: { detail: 'depth: "deep" is no length' } } : { json: all(deep) },
      "GET /api/inspections/inspection-1/defects": () => ({
        json: all(decided, { least: ["correcting 1/4 in at 13 1/4–13 1/2 suffices for undercut"] }),
      }),
    });
    await screen.findByText("take out 8–13 from the datum");
    expect(screen.getByText(/correcting 1\/4 in/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText("Depth found"), { target: { value: "1/4" } });
    fireEvent.click(screen.getByText("Reckon"));
    await screen.findByText("4 rods");
    expect(sent.at(-1)?.path).toBe("/api/inspections/inspection-1/defects?depth=d1%3A1%2F4");
    refuse = true;
    fireEvent.change(screen.getByLabelText("Depth found"), { target: { value: "deep" } });
    fireEvent.click(screen.getByText("Reckon"));
    await waitFor(() => expect(screen.getByRole("alert").textContent).toContain("is no length"));
    expect(screen.getByText("take out 8–13 from the datum")).toBeTruthy();
  });

  it("lets the inspector begin the re-inspection", async () => {
    const { sent } = renderWith(<RepairPanel bench={bench({ state: "SIGNED" })} />, {
      "GET /api/inspections/inspection-1/defects": () => ({
        json: all({ ...decided, state: "ready-to-inspect" }, { canReinspect: true }),
      }),
      "POST /api/inspections/inspection-1/re-inspection": () => ({ json: { inspectionId: "inspection-2" } }),
    });
    fireEvent.click(await screen.findByText(/Begin the re-inspection/));
    await waitFor(() => expect(sent.some((x) => x.method === "POST")).toBe(true));
  });
});
