import { fireEvent, screen, waitFor } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import type { Exercise, ExerciseRow, Eye, Solution } from "../lib/api-practice";
import { choose } from "../test/choose";
import { renderWith } from "../test/render";
import { Explained } from "./Explained";
import EyePage from "./EyePage";
import PracticeWelds from "./PracticeWelds";

const strip: Solution["strip"] = {
  length: 200,
  ticks: [],
  clock: [],
  lanes: [],
  marks: [],
  stations: [],
  bands: [],
  brackets: [],
  gaps: [],
  covers: [],
  wanted: 8,
};

const exercise: Exercise = {
  id: "e1",
  setting: { level: 2, joint: "tee", units: "mm", criteria: "d1.1-static" },
  weld: "8 fillet, tee, 200 mm",
  code: "a code",
  length: 200,
  person: "Ines Marl",
  begunAt: "2026-11-30T08:00:00Z",
  handedAt: "2026-11-30T08:05:00Z",
  seconds: 130,
  verdict: "accept",
  units: "mm",
  fillet: true,
  entries: 1,
  lit: true,
  pictures: [],
  gauges: [],
  gauged: [],
  seen: [],
  toes: [],
};

const solution: Solution = {
  verdict: "reject",
  right: false,
  why: ["Undercut: truly reject (1.6 mm), recorded accept"],
  outcomes: [
    { flaw: "undercut, web toe", place: "40–60", size: "depth 1.6 mm", found: false, mm: 50 },
    {
      flaw: "pore",
      place: "90",
      size: "diameter 2.0 mm",
      found: true,
      sized: "2.4 mm",
      off: "0.4 mm too much",
      mm: 90,
    },
  ],
  called: ["overlap at 190–195"],
  unseen: ["150–200"],
  next: "Practice on undercut alone at level 2.",
  strip,
  findings: [],
};

describe("an explained solution", () => {
  it("says what was found, missed and called, and goes to the place", () => {
    const places: number[] = [];
    renderWith(<Explained exercise={exercise} solution={solution} place={10} onPlace={(mm) => places.push(mm)} />, {});
    expect(screen.getByText(/The verdict is wrong: truly reject, recorded accept/)).toBeTruthy();
    expect(document.body.textContent).toContain("Found 1 of 2, called 1 that is not there");
    expect(screen.getByText("2.4 mm, 0.4 mm too much")).toBeTruthy();
    expect(screen.getByText("Called where there is nothing: overlap at 190–195.")).toBeTruthy();
    expect(screen.getByText("Never in view near enough: 150–200.")).toBeTruthy();
    fireEvent.click(screen.getByText("undercut, web toe at 40–60"));
    expect(places).toEqual([50]);
  });

  it("says that a sound weld is sound", () => {
    renderWith(
      <Explained
        exercise={exercise}
        solution={{ ...solution, right: true, verdict: "accept", outcomes: [], called: [], unseen: [], why: [] }}
        place={0}
        onPlace={() => undefined}
      />,
      {},
    );
    expect(screen.getByText(/This weld is sound/)).toBeTruthy();
  });
});

const row = (id: string, more: Partial<ExerciseRow>): ExerciseRow => ({
  id,
  setting: { level: 3, joint: "tee" },
  weld: "5/16 fillet, tee, 8 in",
  person: "Ines Marl",
  begunAt: "2026-11-30T08:00:00Z",
  flaws: 0,
  found: 0,
  called: 0,
  ...more,
});

describe("practice welds", () => {
  it("show what was found where that may be told, and begin a new one as it was asked for", async () => {
    const { sent } = renderWith(<PracticeWelds />, {
      "GET /api/exercises": () => ({
        json: [
          row("a", { handedAt: "2026-11-30T08:09:00Z", verdict: "reject", right: true, flaws: 3, found: 2, called: 1 }),
          row("b", {}),
          row("c", {
            handedAt: "2026-11-30T09:00:00Z",
            verdict: "accept",
            study: { id: "s", title: "Three eyes", place: 2, of: 20 },
          }),
        ],
      }),
      "GET /api/criteria": () => ({ json: [{ id: "d1.1-static", title: "a code" }] }),
      "PUT /api/exercises/": () => ({ json: exercise }),
    });
    expect(await screen.findByText("2 of 3")).toBeTruthy();
    expect(screen.getByText(/reject, right/)).toBeTruthy();
    expect(screen.getByText("not handed in")).toBeTruthy();
    expect(screen.getByText("Three eyes, weld 2 of 20")).toBeTruthy();
    expect(screen.queryByText("Handed in by all")).toBeNull();
    choose("Level", "4: small, crowded, dirty");
    choose("How dirty", "clean");
    fireEvent.click(screen.getByText("Begin"));
    await waitFor(() => {
      const begun = sent.find((s) => s.method === "PUT");
      expect(begun?.body).toMatchObject({ level: 4, joint: "tee", units: "in", dirt: 0 });
      expect(begun?.body).not.toHaveProperty("crowd");
    });
  });
});

const eye: Eye = {
  person: "Ines Marl",
  welds: 1,
  right: 1,
  rightLow: 0.2,
  rightHigh: 1,
  calledPerWeld: 0.5,
  kinds: [
    {
      id: "pore",
      title: "pore",
      trials: 3,
      found: 2,
      said: "2 of 3 found; no curve: too few trials: 3 of at least 20",
      all: [{ size: 1, found: true }],
      curve: [],
      sized: 0,
    },
  ],
  people: [],
};

describe("the eye", () => {
  it("is one's own for an inspector; too few trials are said and set no size", async () => {
    const { sent } = renderWith(<EyePage />, { "GET /api/eyes": () => ({ json: eye }) });
    expect(await screen.findByText(/too few trials: 3 of at least 20/)).toBeTruthy();
    expect(sent[0]?.path).toBe("/api/eyes/p1");
    expect(screen.queryByLabelText("Whose eye", { selector: "input" })).toBeNull();
    expect(screen.getAllByText("not known").length).toBe(2);
    expect(document.body.textContent).toContain("1 weld handed in");
  });

  it("is everybody's for the quality manager at first", async () => {
    const { sent } = renderWith(
      <EyePage />,
      { "GET /api/eyes": () => ({ json: { ...eye, people: [{ id: "p2", name: "Tomas Reed" }] } }) },
      "QUALITY_MANAGER",
    );
    await screen.findByText(/too few trials/);
    expect(sent[0]?.path).toBe("/api/eyes");
  });
});
