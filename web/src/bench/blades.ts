import type { Bench, EntryContent } from "../lib/api";
import { placeOf } from "../lib/place";

/** Blades as a set has them (common practice, no source). */
const set: Record<string, string[]> = {
  in: ["1/8", "3/16", "1/4", "5/16", "3/8", "7/16", "1/2", "5/8", "3/4", "7/8", "1"],
  mm: ["3", "4", "5", "6", "7", "8", "9", "10", "12", "15", "20"],
};

export type BladeSays = { words: string; kind: "READING" | "INDICATION"; content: EntryContent; goes: boolean };

/** What a blade can say of a stretch by one touch: the wanted one goes, or it does not and a smaller one does. */
export function bladesFor(bench: Bench, from: string, to: string): BladeSays[] {
  const { units, form } = bench.joint;
  const wanted = form.size ?? form.throat ?? "";
  const smaller = (set[units] ?? [])
    .filter((b) => (placeOf(b, units) ?? 0) < (placeOf(wanted, units) ?? 0))
    .slice(-3)
    .reverse();
  if (!bench.joint.blade || wanted === "") return [];
  return [
    { words: `${wanted} goes`, kind: "READING", content: { from, to, atLeast: wanted }, goes: true },
    ...smaller.map((b): BladeSays => ({
      words: `${wanted} does not, ${b} goes`,
      kind: "INDICATION",
      content: { kind: "undersize", from, to, least: b },
      goes: false,
    })),
  ];
}
