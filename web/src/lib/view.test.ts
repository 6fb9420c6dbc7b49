import { describe, expect, it } from "vitest";
import { placeOf, showPlace } from "./place";
import { fit, onTape, ticksFor, zoomed } from "./view";

const twentyFeet = 240 * 25.4;

describe("the part in view", () => {
  it("zooms about a place that stays where it is, and never leaves the weld", () => {
    const near = zoomed({ from: 0, to: twentyFeet }, 0.1, 3000, twentyFeet);
    expect((3000 - near.from) / (near.to - near.from)).toBeCloseTo(3000 / twentyFeet);
    expect(zoomed({ from: 0, to: twentyFeet }, 0.1, 0, twentyFeet).from).toBe(0);
    expect(zoomed(near, 1000, 3000, twentyFeet)).toEqual({ from: 0, to: twentyFeet });
    expect(fit({ from: -50, to: 50 }, 400)).toEqual({ from: 0, to: 100 });
    expect(fit({ from: 380, to: 480 }, 400)).toEqual({ from: 300, to: 400 });
  });

  it("shows a 1/4 in mark on a 20 ft weld wide enough to be seen and touched", () => {
    let view = { from: 0, to: twentyFeet };
    for (let n = 0; n < 12; n++) view = zoomed(view, 0.5, 3000, twentyFeet);
    expect((6.35 / (view.to - view.from)) * 850).toBeGreaterThan(44);
  });

  it("letters the tape with fractions where there is room for them", () => {
    expect(
      ticksFor({ from: 0, to: twentyFeet }, twentyFeet, 850, "in")
        .map((t) => t.label)
        .filter(Boolean),
    ).toContain("120");
    const close = ticksFor({ from: 100, to: 176.2 }, twentyFeet, 850, "in")
      .map((t) => t.label)
      .filter(Boolean);
    expect(close).toContain("4 1/4");
    expect(close.length).toBeLessThanOrEqual(19);
    expect(ticksFor({ from: 0, to: 60 }, 600, 850, "mm").map((t) => t.label)).toContain("15");
  });

  it("puts what a finger drew onto the tape's marks", () => {
    expect(showPlace(onTape(143.1, "in"), "in")).toBe("5 5/8");
    expect(onTape(143.4, "mm")).toBe(143);
  });

  it("reads places as they are typed", () => {
    expect(placeOf("1 1/8", "in")).toBeCloseTo(28.575);
    expect(placeOf("1-1/8", "in")).toBeCloseTo(28.575);
    expect(placeOf("30", "mm")).toBe(30);
    expect(placeOf("2.4mm", "in")).toBe(2.4);
    expect(placeOf(".5", "in")).toBeCloseTo(12.7);
    expect(placeOf("1/0", "in")).toBeUndefined();
    expect(placeOf("three", "in")).toBeUndefined();
  });
});
