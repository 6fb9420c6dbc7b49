import { useState } from "react";
import { showPlace } from "./place";

/** The part of the weld that the strip shows, mm from the datum. */
export type View = { from: number; to: number };

/** No closer than this, mm: an eighth of an inch is then as wide as a finger. */
const closest = 50;

/** Zoom and pan along a weld; the view never leaves it. */
export function useView(length: number) {
  const [view, setView] = useState<View>({ from: 0, to: length });
  const clamped = fit(view, length);
  return {
    view: clamped,
    isWhole: clamped.to - clamped.from >= length - 1e-6,
    /** Closer (under 1) or wider, about a place that stays where it is. */
    zoom: (by: number, about?: number) => setView((v) => zoomed(fit(v, length), by, about, length)),
    pan: (mm: number) => setView((v) => fit({ from: v.from + mm, to: v.to + mm }, length)),
    show: (from: number, to: number) => setView(fit({ from, to }, length)),
    whole: () => setView({ from: 0, to: length }),
    /** Moves just as far as is needed to have a place in view. */
    reach: (mm: number) => setView((v) => reached(fit(v, length), mm, length)),
  };
}

export function fit(v: View, length: number): View {
  const extent = Math.min(length, Math.max(Math.min(closest, length), v.to - v.from));
  const middle = (v.from + v.to) / 2;
  const from = Math.min(
    Math.max(0, Math.abs(extent - (v.to - v.from)) < 1e-9 ? v.from : middle - extent / 2),
    length - extent,
  );
  return { from, to: from + extent };
}

export function zoomed(v: View, by: number, about: number | undefined, length: number): View {
  const at = about ?? (v.from + v.to) / 2;
  const extent = Math.min(length, Math.max(Math.min(closest, length), (v.to - v.from) * by));
  const share = (at - v.from) / (v.to - v.from);
  return fit({ from: at - share * extent, to: at + (1 - share) * extent }, length);
}

function reached(v: View, mm: number, length: number): View {
  const edge = (v.to - v.from) * 0.06;
  if (mm < v.from + edge) return fit({ from: mm - edge, to: mm - edge + (v.to - v.from) }, length);
  if (mm > v.to - edge) return fit({ from: mm + edge - (v.to - v.from), to: mm + edge }, length);
  return v;
}

const inch = 25.4;
const steps: Record<string, number[]> = {
  in: [1 / 8, 1 / 4, 1 / 2, 1, 2, 6, 12, 24, 60, 120].map((n) => n * inch),
  mm: [1, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000],
};

/** The tape in view: a labelled line about each {@code apart} pixels, a short one between. */
export function ticksFor(
  view: View,
  length: number,
  width: number,
  units: string,
  apart = 46,
): { at: number; label: string }[] {
  const extent = view.to - view.from;
  const room = width / apart;
  const all = steps[units] ?? [];
  const step = all.find((s) => extent / s <= room) ?? all.at(-1) ?? length;
  const ticks = [];
  for (let n = Math.floor(view.from / step); n * step <= view.to + 1e-9; n++) {
    for (const half of [0, 0.5]) {
      const at = (n + half) * step;
      if (at >= view.from - 1e-9 && at <= Math.min(length, view.to) + 1e-9)
        ticks.push({ at, label: half === 0 ? showPlace(at, units) : "" });
    }
  }
  return ticks;
}

/** To the next 1/8 in, or 1 mm: what a finger draws is put onto the tape's marks. */
export function onTape(mm: number, units: string): number {
  const mark = markOf(units);
  return Math.round(mm / mark) * mark;
}

export function markOf(units: string): number {
  return units === "mm" ? 1 : inch / 8;
}
