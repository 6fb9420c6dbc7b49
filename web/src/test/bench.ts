import type { Bench, Finding, WeldingRecord, WeldingEntry } from "../lib/api";

export function finding(id: string, verdict: string, more: Partial<Finding> = {}): Finding {
  return {
    id,
    criterion: id,
    title: id[0]?.toUpperCase() + id.slice(1),
    verdict,
    measured: "",
    allowed: "",
    margin: "",
    entries: [],
    citation: "AWS D1.1/D1.1M, Table 8.1 (6.1)",
    confidence: "high",
    reason: "because",
    trace: [],
    nearLimit: false,
    ...more,
  };
}

const drawing = {
  at: "",
  read: false,
  dihedral: 90,
  members: [],
  weld: {
    name: "weld",
    label: "",
    points: [
      { x: 0, y: 0 },
      { x: 0, y: 8 },
      { x: 8, y: 0 },
    ],
  },
  required: [
    { x: 0, y: 0 },
    { x: 0, y: 8 },
    { x: 8, y: 0 },
  ],
  requiredLabel: "5/16 required",
  notches: [],
  dimensions: [],
  gap: 0,
  gapLabel: "",
} as unknown as Bench["drawn"];

/** What is recorded of a weld's welding record: nothing yet. */
export function welding(more: Partial<WeldingRecord> = {}): WeldingRecord {
  return {
    jointId: "joint-1",
    inspectionId: "inspection-1",
    version: 2,
    mark: "FB-9",
    inWords: "5/16 fillet, tee, 24 in",
    units: "in",
    fillet: true,
    backing: false,
    delayed: false,
    whole: {},
    entries: [],
    fitUp: { begun: false, verdict: "incomplete", stops: false, items: [], raised: [] },
    departures: [],
    process: [],
    questions: [{ id: "root", title: "Root pass: sound" }],
    rods: [],
    apart: "1",
    drawing: { length: 609.6, clock: [], ticks: [], gaps: [], openings: [], passes: [], marks: [] },
    angles: [],
    openRoot: [],
    sights: [],
    schools: [],
    firstRod: { version: 0, stops: false, lines: [], protection: [] },
    squareness: { version: 0, lines: [] },
    signed: false,
    ...more,
  };
}

export function made(
  id: string,
  kind: WeldingEntry["kind"],
  content: WeldingEntry["content"],
  more: Partial<WeldingEntry> = {},
): WeldingEntry {
  return { id, kind, content, by: "Ines Marl", at: "2026-05-04T10:00:00Z", withdrawn: false, version: 0, ...more };
}

/** A made-up look as the server would send it. */
export function bench(more: Partial<Bench> = {}): Bench {
  return {
    id: "inspection-1",
    version: 3,
    stage: "final",
    revision: 1,
    state: "OPEN",
    joint: {
      id: "joint-1",
      job: "Lock footbridge",
      lot: "Deck",
      criteria: "d1.1-static",
      criteriaTitle: "AWS D1.1 static",
      edition: "2020",
      units: "in",
      mark: "FB-9",
      inWords: "5/16 fillet, tee, 24 in",
      toeA: "web toe",
      toeB: "flange toe",
      blade: true,
      size: "5/16",
      form: { length: "24", size: "5/16" },
    },
    conditions: { cleaned: true },
    entries: [],
    evaluation: {
      verdict: "incomplete",
      rejects: 0,
      findings: [finding("crack", "incomplete"), finding("undercut", "accept"), finding("root", "not-applicable")],
      todo: [],
      notes: ["Visual inspection only: surface flaws only."],
    },
    strip: {
      length: 609.6,
      clock: [],
      ticks: [],
      lanes: [],
      marks: [],
      stations: [],
      bands: [],
      brackets: [],
      gaps: [],
      covers: [],
      wanted: 0,
    },
    photos: [],
    guide: [],
    sections: [],
    tag: "0",
    drawn: drawing,
    handovers: [],
    revisions: [],
    repairs: { undecided: 0, waiting: 0, working: 0, ready: 0, closed: 0 },
    next: "Inspect",
    capacity: "QC",
    welding: welding(),
    quiet: [],
    seenBy: [],
    gaugeNames: [],
    due: [],
    contract: { lines: [], guarded: false, perToe: false },
    deviations: [],
    gaugeFaults: [],
    ...more,
  };
}
