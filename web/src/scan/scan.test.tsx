import { describe, expect, it } from "vitest";
import { render } from "@testing-library/react";
import type { ScanLines } from "../lib/api-scan";
import { coloursOf, normalsOf, reliefOf, shaded } from "./relief";
import { Lanes } from "./ScanLanes";
import { lengthIn, volumeIn } from "./words";

/** A level plate of five profiles with a groove along one row of points. */
function plate(groove: number) {
  const rows = 5;
  const across = 4;
  const values = new Float32Array(rows * (1 + 3 * across));
  for (let r = 0; r < rows; r++) {
    values[r * (1 + 3 * across)] = r;
    for (let i = 0; i < across; i++) {
      const at = r * (1 + 3 * across) + 1 + 3 * i;
      values[at] = i;
      values[at + 1] = i === 2 ? -groove : 0;
      values[at + 2] = i === 2 ? -groove : 0;
    }
  }
  return { rows, across, values };
}

describe("the lit surface", () => {
  it("of a level plate looks up, and a groove is deeper where depth is exaggerated", () => {
    const normals = normalsOf(reliefOf(plate(0), false, 1));
    expect([normals[0], normals[1], normals[2]]).toEqual([0, 0, 1]);
    const point = 3 * 2 + 2;
    expect(reliefOf(plate(0.5), false, 1).points[point]).toBeCloseTo(-0.5);
    expect(reliefOf(plate(0.5), false, 4).points[point]).toBeCloseTo(-2);
  });

  it("is darker on the side that turns from the lamp", () => {
    const relief = reliefOf(plate(1), false, 1);
    const pixels = shaded(relief, { around: Math.PI / 2, up: 0.2 }, false);
    const row = (i: number) => pixels[4 * ((relief.across - 1 - i) * relief.rows + 2)] ?? 0;
    expect(row(3)).toBeLessThan(row(1)); // the lamp stands where y grows: the wall that faces it is lit
    expect(row(1)).toBeGreaterThan(row(0));
  });

  it("tells heights by color", () => {
    const colours = coloursOf(reliefOf(plate(1), false, 1), true);
    expect(colours[3 * 2 + 2]).toBeGreaterThan(colours[3 * 1 + 2] ?? 1); // under the line: blue
  });
});

const lines: ScanLines = {
  length: 100,
  s: [0, 10, 20, 60, 70],
  holes: [{ from: 20, to: 60 }],
  lines: [
    { id: "legA", title: "leg web", limit: 8, limitWords: "8 mm", least: true, values: [8, 8.2, 8.1, 8, 8] },
    {
      id: "undercutA",
      title: "undercut web toe",
      limit: 1,
      limitWords: "1 mm",
      least: false,
      values: [0, 0.5, 0, null, 0],
    },
  ],
};

describe("the lines of a scan", () => {
  it("break and are hatched where nothing was measured", () => {
    const frame = { x: (mm: number) => mm * 5, from: 0, to: 100, left: 0, end: 500, width: 500 };
    const { container } = render(<Lanes data={lines} frame={frame} cursor={10} units="mm" />);
    const hole = container.querySelector("[data-lane=legs] [data-unscanned]");
    expect(hole?.getAttribute("x")).toBe("100");
    expect(hole?.getAttribute("width")).toBe("200");
    const leg = [...container.querySelectorAll("[data-lane=legs] path")].map((p) => p.getAttribute("d") ?? "");
    expect(leg.some((d) => d.split("M").length === 3)).toBe(true); // two strokes
    expect(container.textContent).toContain("wanted 8 mm");
    expect(container.textContent).toContain("at most 1 mm");
  });

  it("show lengths as the drawing does", () => {
    expect(lengthIn(7.9375, "in")).toBe(".313");
    expect(lengthIn(-1.27, "in")).toBe("-.050");
    expect(lengthIn(7.9375, "mm")).toBe("7.94");
    expect(volumeIn(16387.064, "in")).toBe("1.0000 in³");
  });
});
