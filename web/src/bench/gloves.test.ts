import { beforeAll, describe, expect, it } from "vitest";
import type { Bench, KindView } from "../lib/api";
import { after, fieldIn, lengthOf, mostTargets, question, specIn, start, type Gloved, type Target } from "./gloves";
import { contentOf, describeKinds, kindsOf } from "./kinds";

const bench = {
  joint: { units: "in", size: "5/16", toeA: "web toe", toeB: "flange toe", form: { weld: "fillet", length: "24" } },
  strip: { length: 609.6, clock: [] },
  evaluation: { findings: [] },
} as unknown as Bench;

const undercut = {
  id: "undercut",
  title: "Undercut",
  placement: "STRETCH",
  fields: [
    { name: "toe", label: "Toe", shape: "TOE_OR_ROOT", required: true, words: [] },
    { name: "depth", label: "Depth", shape: "DEPTH", required: true, words: [] },
  ],
} as unknown as KindView;

beforeAll(() => describeKinds([undercut]));

const find = (targets: Target[], word: string) => {
  const t = targets.find((x) => x.word === word);
  if (!t) throw new Error(`${word} is not among ${targets.map((x) => x.word).join(", ")}`);
  return t;
};

describe("gloves", () => {
  it("ask no question with more than eight targets, whatever is recorded", () => {
    const seen = new Set<string>();
    const walk = (g: Gloved, deep: number) => {
      const { ask, targets } = question(g, bench, 100);
      expect(targets.length, ask).toBeLessThanOrEqual(mostTargets);
      expect(new Set(targets.map((t) => t.word)).size, ask).toBe(targets.length);
      const key = JSON.stringify(g);
      if (deep === 0 || seen.has(key)) return;
      seen.add(key);
      targets.filter((t) => t.act.do !== "move").forEach((t) => walk(after(g, t.act, bench), deep - 1));
    };
    walk(start, 6);
    expect(seen.size).toBeGreaterThan(20);
  });

  it("come to an undercut by five touches", () => {
    let g = start;
    const touch = (word: string, cursor: number) => {
      g = after(g, find(question(g, bench, cursor).targets, word).act, bench);
    };
    touch("Undercut", 0);
    const answers: Record<string, [string, number]> = {
      toe: ["web toe", 0],
      from: ["2", 50.8],
      to: ["3 1/8", 79.4],
      depth: ["1/32", 0],
    };
    for (let f = fieldIn(g, bench); f; f = fieldIn(g, bench)) touch(...(answers[f.name] ?? ["", 0]));
    const spec = specIn(g, bench);
    expect(spec && contentOf(spec, g.typed)).toEqual({
      kind: "undercut",
      toe: "A",
      from: "2",
      to: "3 1/8",
      depth: "1/32",
    });
    expect(find(question(g, bench, 0).targets, "Record").main).toBe(true);
  });

  it("step a leg from the size of the weld, and go back a question", () => {
    expect(kindsOf(bench).some((k) => k.id === "legs")).toBe(true);
    let g = after(start, { do: "kind", kind: "legs" }, bench);
    g = after(g, { do: "set", value: "6" }, bench);
    expect(question(g, bench, 0).targets.map((t) => t.word)).toEqual([
      "− 1/16",
      "− 1/64",
      "5/16",
      "+ 1/64",
      "+ 1/16",
      "‹ back",
    ]);
    g = after(g, { do: "move", by: -25.4 / 16 }, bench);
    expect(question(g, bench, 0).targets[2]?.word).toBe("1/4");
    expect(fieldIn(after(g, { do: "back" }, bench), bench)?.name).toBe("at");
    expect(lengthOf(2.44, "mm")).toBe("2.4");
  });
});
