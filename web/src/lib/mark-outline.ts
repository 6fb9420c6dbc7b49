import type { Strip } from "./api";
import type { LaneBox } from "./strip-layout";

type Shape = Strip["marks"][number]["shape"];

/** Depth is drawn larger than length, or nothing could be seen: pixels for a millimetre of depth. */
export const depthScale = 10;
export const deepest = 26;

/** The lines of an indication's shape on its lane; paper draws the same, which a test holds against each other. */
export type Outline = {
  path?: string;
  circles?: { x: number; y: number; r: number }[];
  box?: { x: number; y: number; width: number; height: number };
};

/** @param depth in millimetres, 0 where none was read */
export function outlineOf(shape: Shape, depth: number, lane: LaneBox, from: number, to: number): Outline {
  const { top, height } = lane;
  const middle = top + height / 2;
  const below = lane.id === "B"; // of the lower toe the edge lies below
  const edge = below ? top + height : top;
  const into = below ? -1 : 1;
  const box = (inset: number) => ({ x: from, y: top + inset, width: to - from, height: height - 2 * inset });
  switch (shape) {
    case "NOTCH": {
      const bottom = edge + into * Math.min(deepest, Math.max(4, depth * depthScale));
      const run = Math.min(6, (to - from) / 3);
      return {
        path: `M${from} ${edge}Q${from + run / 2} ${bottom} ${from + run} ${bottom}H${to - run}Q${to - run / 2} ${bottom} ${to} ${edge}z`,
      };
    }
    case "PORES": {
      const r = Math.min(9, Math.max(3.5, depth * 2.6));
      const at = to - from > 4 * r ? [from + r, (from + to) / 2, to - r] : [(from + to) / 2];
      return { circles: at.map((x) => ({ x, y: top + 11, r })) };
    }
    case "CRACK":
      return { path: `M${from - 9} ${middle - 2}l4 -7 5 13 5 -12 5 11 ${Math.max(2, to - from)} -5` };
    case "CRACK_ACROSS": {
      const step = (height - 6) / 4;
      return { path: `M${(from + to) / 2} ${top + 3}l4 ${step} -8 ${step} 8 ${step} -4 ${step}` };
    }
    case "CRACK_STAR": {
      const x = (from + to) / 2;
      return {
        path: `M${x - 10} ${middle}l6 -2 4 4 4 -4 6 2M${x - 6} ${middle - 9}l2 5 4 4 2 4 4 5M${x + 6} ${middle - 9}l-2 5 -4 4 -2 4 -4 5`,
      };
    }
    case "ROLL":
      return { path: `M${from} ${edge}q0 ${13 * into} 8 ${13 * into}H${to - 8}q8 0 8 ${-13 * into}` };
    case "HATCH":
      return { box: box(4) };
    case "DOTS":
      return { path: `M${from} ${middle - 8}H${to}M${from} ${middle + 8}H${to}` };
    case "RING":
      return {
        circles: [{ x: from, y: middle, r: 10 }],
        path: `M${from - 5} ${middle - 5}l10 10m0 -10l-10 10`,
      };
    case "STAR":
      return { path: `M${from - 1} ${top + 1}l3 9h9l-7 6 3 9-8-6-8 6 3-9-7-6h9z` };
    case "BOX":
      return { box: box(5) };
  }
}
