import type { Bench, Photo, Strip } from "./api";

export type Quiet = Bench["quiet"][number];

export const gutter = 104;
export const right = 18;
export const rulerHeight = 34;
export const laneHeight: Record<string, number> = { A: 36, face: 32, B: 36, root: 32, base: 24 };
export const gap = 4;
export const sizeHeight = 38;
export const bracketHeight = 34;
export const beforeHeight = 24;
export const photoHeight = 42;
export const clockHeight = 24;

/** A lane as it stands on the drawing. */
export type LaneBox = { id: string; top: number; height: number };

type Shown = {
  strip: Strip;
  quiet?: Quiet[];
  photos?: Photo[];
  chosen?: { finding: string; indications: Set<number> };
};

export type Layout = ReturnType<typeof layOut>;

/** Where each row stands, from the ruler down. */
export function layOut({ strip, quiet = [], photos = [], chosen }: Shown) {
  const before = quiet.length > 0 || strip.gaps.length > 0 || strip.covers.length > 0 ? beforeHeight : 0;
  let y = rulerHeight + before;
  const lanes = strip.lanes.map((lane) => {
    const height = laneHeight[lane.id] ?? 34;
    const box = { ...lane, height, top: y };
    y += height + gap;
    return box;
  });
  const pictures = photos.some((p) => !p.withdrawn) ? y : undefined;
  if (pictures !== undefined) y += photoHeight;
  const mine = strip.brackets.filter((b) => b.finding === chosen?.finding);
  const windows = strip.brackets.filter((b) => b.windowed);
  const rejecting = windows.filter((b) => b.rejects);
  const brackets = mine.length > 0 ? mine : rejecting.length > 0 ? rejecting : windows.slice(0, 1);
  const rows = new Set(brackets.map((b) => b.finding)).size;
  const bracketsTop = y;
  const sizeTop = bracketsTop + rows * bracketHeight + 10;
  return {
    before,
    lanes,
    pictures,
    brackets,
    bracketsTop,
    sizeTop,
    size: strip.bands.length > 0,
    clockTop: sizeTop + sizeHeight + 6,
    height: sizeTop + sizeHeight + 6 + (strip.clock.length > 0 ? clockHeight : 0),
  };
}
