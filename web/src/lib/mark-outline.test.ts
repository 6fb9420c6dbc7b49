import { expect, it } from "vitest";
import { outlineOf } from "./mark-outline";
import onPaper from "../test/mark-outlines.json";

type Case = (typeof onPaper)[number];

const numbers = (path: string | null | undefined) => (path ?? "").match(/-?\d+(?:\.\d+)?/g)?.map(Number) ?? [];
const letters = (path: string | null | undefined) => (path ?? "").replace(/[\d.\s-]/g, "");

/** The report's outlines are written by its own code; a test there holds the file against that. */
it.each(onPaper.map((c) => [`${c.shape} on ${c.lane}, ${c.depth} deep, ${c.from}–${c.to}`, c] as const))(
  "draws as paper does: %s",
  (_, c: Case) => {
    const drawn = outlineOf(
      c.shape as Parameters<typeof outlineOf>[0],
      c.depth,
      { id: c.lane, top: c.top, height: c.height },
      c.from,
      c.to,
    );
    expect(letters(drawn.path)).toBe(letters(c.path));
    const there = numbers(c.path);
    expect(numbers(drawn.path)).toHaveLength(there.length);
    numbers(drawn.path).forEach((n, i) => expect(n).toBeCloseTo(there[i] ?? NaN, 1));
    expect((drawn.circles ?? []).map((x) => [x.x, x.y, x.r].map((n) => n.toFixed(1)))).toEqual(
      c.circles.map((x) => [x.x, x.y, x.r].map((n) => n.toFixed(1))),
    );
    expect(drawn.box ?? null).toEqual(c.box);
  },
);

it("has every shape on paper", () => {
  expect(new Set(onPaper.map((c) => c.shape)).size).toBe(11);
});
