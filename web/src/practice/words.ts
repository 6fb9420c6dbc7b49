import type { PieceForm } from "../lib/api";

/** What a test piece is made as. */
export const pieceKinds = [
  ["bead", "Single bead on plate"],
  ["pad", "Pad of beads"],
  ["t-stack", "T-stack"],
  ["fillet-tee", "Fillet tee"],
  ["lap", "Lap"],
  ["corner", "Corner"],
  ["groove-plate", "Groove plate"],
  ["pipe", "Pipe"],
  ["tube-to-plate", "Tube to plate"],
] as const;

export const purposes = [
  ["practice", "practice"],
  ["qualification", "qualification"],
  ["procedure", "procedure"],
] as const;

/** How it was run: rod, machine and hand. */
export const runSettings = [
  ["rod", "Rod", "E7018"],
  ["diameter", "Rod diameter", "1/8"],
  ["amps", "Amps", "120"],
  ["polarity", "Polarity", "DCEP"],
  ["arc-length", "Arc length", "short"],
  ["arc-force", "Arc force", "middle"],
  ["technique", "Beads", "stringer"],
  ["progression", "Vertical", "up"],
  ["travel", "Travel", "5 in/min"],
  ["work-angle", "Work angle, °", "45"],
  ["travel-angle", "Travel angle, °", "10"],
  ["restart", "Restart", "1/2 in ahead"],
] as const;

/** How it was prepared. */
export const preparation = [
  ["position", "Position", "3F"],
  ["incline", "Incline, °", "for practice"],
  ["thickness", "Thickness", "3/8"],
  ["length", "Length", "6"],
  ["outside", "Outside diameter", "pipe"],
  ["size", "Fillet size", "1/4"],
  ["bevel", "Included angle, °", "60"],
  ["land", "Land", "1/16"],
  ["gap", "Gap", "1/8"],
  ["backing", "Backing", "yes, no"],
] as const;

/** The faults that are counted on a practice piece. */
export const faults = [
  "undercut",
  "overlap",
  "slag",
  "porosity",
  "lack of fusion",
  "spatter",
  "restart",
  "crater",
  "uneven width",
  "crack",
  "convex",
  "unequal legs",
  "strike",
] as const;

export const stages = ["prepared", "welded", "inspected", "cut and tested", "decided"];

/** A new piece like another: nothing of what came of it, and the one change made. */
export function copyOf(form: PieceForm, id: string, change?: { setting: string; to?: string }): PieceForm {
  const settings = { ...form.settings };
  if (change?.to !== undefined) settings[change.setting] = change.to;
  return {
    kind: form.kind,
    purpose: form.purpose,
    welder: form.welder,
    drill: form.drill,
    units: form.units,
    instructor: form.instructor,
    settings,
    previous: id,
  };
}
