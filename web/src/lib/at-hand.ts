import type { components } from "./api.d";
import { onForget } from "./forget";

type Bench = components["schemas"]["BenchView"];

/** How one list becomes another: so many stay at the beginning and at the end, the items stand between. */
export type Splice<T> = { first: number; items: T[]; last: number };

/** What changed since an answer that this browser has; the rest comes whole. */
export type BenchChange = {
  since: string;
  rest: Omit<Bench, "entries" | "sections" | "strip" | "again">;
  /** Absent where it is as it was. */
  again?: Bench["again"];
  strip: Omit<Bench["strip"], "marks" | "stations">;
  entries: Splice<Bench["entries"][number]>;
  sections: Splice<Bench["sections"][number]>;
  marks: Splice<Bench["strip"]["marks"][number]>;
  stations: Splice<Bench["strip"]["stations"][number]>;
};

/** The benches that were open last: of these the server sends what changed only. */
const answers = new Map<string, Bench>();
const most = 8;
onForget(() => answers.clear());

export function atHand(look: string): Bench | undefined {
  return answers.get(look);
}

/** The answer with all its lists, to be built upon by the next one. */
export function completed(answer: Bench | BenchChange, had: Bench | undefined): Bench {
  const bench = "since" in answer ? changed(answer, had) : answer;
  answers.delete(bench.id);
  answers.set(bench.id, bench);
  const oldest = answers.keys().next().value;
  if (answers.size > most && oldest !== undefined) answers.delete(oldest);
  return bench;
}

function changed(c: BenchChange, had: Bench | undefined): Bench {
  if (had?.tag !== c.since) throw new Error(`the answer builds on ${c.since}, which is not at hand`);
  return {
    ...c.rest,
    ...(c.again ? { again: c.again } : had.again ? { again: had.again } : {}),
    entries: spliced(had.entries, c.entries),
    sections: spliced(had.sections, c.sections),
    strip: { ...c.strip, marks: spliced(had.strip.marks, c.marks), stations: spliced(had.strip.stations, c.stations) },
  };
}

/** What stays is the same object as before, so that nothing of it is drawn anew. */
function spliced<T>(had: T[], { first, items, last }: Splice<T>): T[] {
  if (items.length === 0 && first + last === had.length) return had;
  return [...had.slice(0, first), ...items, ...had.slice(had.length - last)];
}

export function isBench(answer: unknown): answer is Bench | BenchChange {
  return (
    typeof answer === "object" &&
    answer !== null &&
    (("tag" in answer && "strip" in answer) || ("since" in answer && "rest" in answer))
  );
}
