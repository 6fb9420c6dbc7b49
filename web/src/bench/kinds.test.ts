import { describe, expect, it } from "vitest";
import { bench } from "../test/bench";
import { chipsFor, contentOf, inWords, kinds, kindsOf, specOf } from "./kinds";

const spec = (id: string) => {
  const found = kinds.find((k) => k.id === id);
  if (!found) throw new Error(id);
  return found;
};

describe("what can be record", () => {
  it("gives every kind one letter at most, and none twice", () => {
    const keys = kinds.map((k) => k.key).filter(Boolean);
    expect(new Set(keys).size).toBe(keys.length);
    for (const k of kinds) if (k.key) expect(k.word.toLowerCase()).toContain(k.key);
  });

  it("offers legs and a blade on a fillet, the crown on a groove", () => {
    const ids = (weld: string) => kindsOf(bench({ joint: { ...bench().joint, form: { weld } } })).map((k) => k.id);
    expect(ids("fillet")).toEqual(expect.arrayContaining(["legs", "blade"]));
    expect(ids("fillet")).not.toContain("crown");
    expect(ids("groove")).toContain("crown");
    expect(ids("groove")).not.toContain("blade");
    const crown = { kind: "READING" as const, content: { at: "6", reinforcement: "-1/32", offset: "1/16" } };
    expect(specOf(crown)?.id).toBe("crown");
    expect(inWords(crown, bench())).toBe("crown -1/32, offset 1/16 at 6");
  });

  it("covers every kind of indication of the format", () => {
    const all = [
      "crack",
      "incomplete-fusion",
      "overlap",
      "undercut",
      "undersize",
      "porosity",
      "crater",
      "arc-strike",
      "slag",
      "spatter",
      "underfill",
      "incomplete-penetration",
      "melt-through",
      "root-concavity",
      "burn-through",
      "misalignment",
      "poor-restart",
      "short-weld",
      "not-as-drawn",
      "base-metal-damage",
    ];
    expect(
      kinds
        .map((k) => k.kind)
        .filter(Boolean)
        .sort(),
    ).toEqual([...all].sort());
  });

  it("writes the format's fields and leaves out what was not read", () => {
    expect(contentOf(spec("undercut"), { toe: "A", from: " 11 ", to: "12 1/4", depth: "3/64" })).toEqual({
      kind: "undercut",
      toe: "A",
      from: "11",
      to: "12 1/4",
      depth: "3/64",
    });
    expect(contentOf(spec("porosity"), { at: "7", diameter: "1/16", count: "3" })).toEqual({
      kind: "porosity",
      at: "7",
      diameter: "1/16",
      count: 3,
    });
    expect(contentOf(spec("slag"), { from: "1", to: "2", trapped: "true" })).toEqual({
      kind: "slag",
      from: "1",
      to: "2",
      trapped: true,
    });
    expect(contentOf(spec("legs"), { at: "6", legA: "5/16", legB: "1/4", throat: "", face: "" })).toEqual({
      at: "6",
      legA: "5/16",
      legB: "1/4",
    });
    expect(contentOf(spec("arc-strike"), { at: "3", ground: "false", checked: "" })).toEqual({
      kind: "arc-strike",
      at: "3",
      ground: false,
    });
  });

  it("finds the form that an entry was record with", () => {
    for (const k of kinds.filter((x) => x.kind))
      expect(specOf({ kind: "INDICATION", content: { kind: k.kind } })?.id).toBe(k.id);
    expect(specOf({ kind: "READING", content: { from: "0", to: "9", atLeast: "1/4" } })?.id).toBe("blade");
    expect(specOf({ kind: "READING", content: { at: "3", legA: "1/4" } })?.id).toBe("legs");
    expect(specOf({ kind: "READING", content: { at: "3", convexity: "1/8" } })?.id).toBe("convexity");
    expect(specOf({ kind: "CLEAR", content: { criterion: "crack" } })).toBeUndefined();
  });

  it("says an entry as it would be chalked on the plate", () => {
    const b = bench();
    expect(
      inWords({ kind: "INDICATION", content: { kind: "undercut", toe: "B", from: "3", to: "4", depth: "1/32" } }, b),
    ).toBe("undercut flange toe 3–4 1/32 deep");
    expect(inWords({ kind: "INDICATION", content: { kind: "porosity", at: "7", diameter: "1/16", count: 3 } }, b)).toBe(
      "pore at 7 1/16 ×3",
    );
    expect(inWords({ kind: "READING", content: { from: "0", to: "24", atLeast: "5/16" } }, b)).toBe(
      "5/16 blade goes, 0–24",
    );
    expect(inWords({ kind: "CLEAR", content: { criterion: "crack" } }, b)).toBe("Crack: inspected, none seen");
  });

  it("offers fractions in inches and decimals in millimetres", () => {
    const depth = spec("undercut").fields.find((f) => f.name === "depth");
    if (!depth) throw new Error("no depth");
    expect(chipsFor(depth, bench())).toContain("1/32");
    const metric = bench();
    metric.joint.units = "mm";
    expect(chipsFor(depth, metric)).toContain("0.5");
  });
});
