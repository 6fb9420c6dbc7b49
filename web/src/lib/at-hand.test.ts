import { expect, test } from "vitest";
import { bench } from "../test/bench";
import type { Entry } from "./api";
import { atHand, completed, isBench, type BenchChange } from "./at-hand";

const entry = (id: string, content: Entry["content"]): Entry => ({
  id,
  kind: "INDICATION",
  content,
  by: "Ines Marl",
  at: "2026-05-04T10:00:00Z",
  withdrawn: false,
  version: 0,
});

const none = { first: 0, items: [], last: 0 };

function change(since: string, rest: ReturnType<typeof bench>, lists: Partial<BenchChange>): BenchChange {
  return { since, rest, strip: rest.strip, entries: none, sections: none, marks: none, stations: none, ...lists };
}

test("an answer that tells what changed stands beside what stayed", () => {
  const one = entry("e1", { kind: "crack", at: "5" });
  const two = entry("e2", { kind: "crack", at: "6" });
  const three = entry("e3", { kind: "crack", at: "7" });
  const had = completed(bench({ id: "inspection-9", tag: "a", entries: [one, three] }), undefined);
  expect(atHand("inspection-9")).toBe(had);

  const next = completed(
    change("a", bench({ id: "inspection-9", tag: "b", version: 9 }), { entries: { first: 1, items: [two], last: 1 } }),
    had,
  );
  expect(next.entries.map((e) => e.id)).toEqual(["e1", "e2", "e3"]);
  expect(next.entries[0]).toBe(had.entries[0]);
  expect(next.version).toBe(9);
  expect(atHand("inspection-9")?.tag).toBe("b");

  const left = completed(
    change("b", bench({ id: "inspection-9", tag: "c" }), { entries: { first: 0, items: [], last: 1 } }),
    next,
  );
  expect(left.entries.map((e) => e.id)).toEqual(["e3"]);
  const same = completed(
    change("c", bench({ id: "inspection-9", tag: "d" }), { entries: { first: 1, items: [], last: 0 } }),
    left,
  );
  expect(same.entries).toBe(left.entries);
});

test("a change of an answer that is not at hand is refused, not guessed", () => {
  const had = bench({ id: "inspection-9", tag: "x" });
  expect(() => completed(change("y", had, {}), had)).toThrow("not at hand");
  expect(() => completed(change("y", had, {}), undefined)).toThrow("not at hand");
});

test("other answers pass as they are", () => {
  expect(isBench({ id: "j", tag: "t" })).toBe(false);
  expect(isBench(undefined)).toBe(false);
  expect(isBench([])).toBe(false);
  expect(isBench(bench())).toBe(true);
});
