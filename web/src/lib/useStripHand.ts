import { useCallback, useRef, type KeyboardEvent, type PointerEvent, type WheelEvent } from "react";
import type { Strip } from "./api";
import { gap, rulerHeight, sizeHeight, type Layout } from "./strip-layout";
import { markOf, onTape, type View } from "./view";

/** A stretch that a finger drew, mm from the datum, onto the tape's marks. */
export type Drawn = { lane: string; from: number; to: number };

/** A finger's touch moves a little; only what moves more draws. */
const slip = 8;
const fingertip = 22;

/** A stretch drawn with a flick would else be taken for the throw of a page, which swallows the next tap. */
export function useWithoutThrow(draws: boolean) {
  return useCallback(
    (svg: SVGSVGElement | null) => {
      if (!svg || !draws) return undefined;
      const hold = (e: TouchEvent) => e.preventDefault();
      svg.addEventListener("touchmove", hold, { passive: false });
      return () => svg.removeEventListener("touchmove", hold);
    },
    [draws],
  );
}

type Hand = {
  strip: Strip;
  units: string;
  cursor: number;
  drawn?: Drawn;
  onCursor?: (mm: number) => void;
  onDraw?: (drawn: Drawn) => void;
};

type Frame = {
  layout: Layout;
  view: View;
  scale: number;
  x: (mm: number) => number;
  mm: (px: number) => number;
  zoom: (by: number, at: number) => void;
  pan: (mm: number) => void;
  reach: (mm: number) => void;
  whole: () => void;
};

/** What fingers, wheel and keys do on the strip: the cursor, the view, and a stretch drawn on a lane. */
export function useStripHand(
  { strip, units, cursor, drawn, onCursor, onDraw }: Hand,
  { layout, view, scale, x, mm, zoom, pan, reach, whole }: Frame,
) {
  const finger = useRef<
    | { x: number; y: number; lane?: string; ruler: boolean; at: number; fixed?: number; moved: boolean; view: View }
    | undefined
  >(undefined);
  const touches = useRef(new Map<number, number>());
  const drawnTo = (at: number, fixed: number, lane: string) =>
    onDraw?.({
      lane,
      from: onTape(Math.min(at, fixed), units),
      to: Math.min(strip.length, onTape(Math.max(at, fixed), units)),
    });
  const down = (e: PointerEvent<SVGSVGElement>) => {
    const box = e.currentTarget.getBoundingClientRect();
    const px = e.clientX - box.left;
    const py = e.clientY - box.top;
    touches.current.set(e.pointerId, px);
    if (touches.current.size > 1) {
      finger.current = undefined;
      return;
    }
    const lane =
      layout.lanes.find((l) => py >= l.top - gap / 2 && py < l.top + l.height + gap / 2)?.id ??
      (layout.size && py >= layout.sizeTop && py <= layout.sizeTop + sizeHeight ? "size" : undefined);
    const grip = drawn && drawn.lane === lane ? [drawn.from, drawn.to].map((p) => Math.abs(x(p) - px)) : undefined;
    const held = grip && Math.min(...grip) <= fingertip ? (grip[0] ?? 0) <= (grip[1] ?? 0) : undefined;
    finger.current = {
      x: px,
      y: py,
      ...(lane ? { lane } : {}),
      ruler: py < rulerHeight,
      at: mm(px),
      moved: false,
      view,
      ...(held === undefined || !drawn ? {} : { fixed: held ? drawn.to : drawn.from }),
    };
  };
  const move = (e: PointerEvent<SVGSVGElement>) => {
    const px = e.clientX - e.currentTarget.getBoundingClientRect().left;
    const before = touches.current.get(e.pointerId);
    if (before !== undefined && touches.current.size === 2) {
      const other = [...touches.current].find(([id]) => id !== e.pointerId)?.[1] ?? px;
      const [was2, now] = [Math.abs(before - other), Math.abs(px - other)];
      touches.current.set(e.pointerId, px);
      if (was2 > 10 && now > 10) zoom(was2 / now, mm((px + other) / 2));
      return;
    }
    const f = finger.current;
    if (!f || before === undefined) return;
    if (!f.moved && Math.abs(px - f.x) < slip) return;
    if (!f.moved) {
      f.moved = true;
      e.currentTarget.setPointerCapture?.(e.pointerId);
    }
    if (f.ruler) {
      pan((before - px) / scale);
      touches.current.set(e.pointerId, px);
    } else if (f.lane && onDraw) drawnTo(mm(px), f.fixed ?? f.at, f.lane);
  };
  const swallow = useRef(false);
  const up = (e: PointerEvent<SVGSVGElement>) => {
    touches.current.delete(e.pointerId);
    swallow.current = finger.current?.moved ?? false;
    finger.current = undefined;
  };
  const pick = (e: { clientX: number; currentTarget: SVGSVGElement }) => {
    if (swallow.current) {
      swallow.current = false;
      return;
    }
    onCursor?.(mm(e.clientX - e.currentTarget.getBoundingClientRect().left));
  };
  const wheel = (e: WheelEvent<SVGSVGElement>) => {
    if (e.ctrlKey || e.altKey)
      zoom(e.deltaY > 0 ? 1.25 : 0.8, mm(e.clientX - e.currentTarget.getBoundingClientRect().left));
    else if (e.shiftKey || Math.abs(e.deltaX) > Math.abs(e.deltaY)) pan((e.deltaX || e.deltaY) / scale);
  };
  const goTo = (at: number) => {
    const there = Math.min(strip.length, Math.max(0, at));
    onCursor?.(there);
    reach(there);
  };
  const key = (e: KeyboardEvent) => {
    const step = e.shiftKey ? markOf(units) * (units === "mm" ? 10 : 8) : markOf(units);
    const stops = [...strip.marks.map((m) => m.from), ...strip.stations.map((s) => s.at)].sort((a, b) => a - b);
    const keys: Record<string, () => void> = {
      ArrowLeft: () => goTo(onTape(cursor, units) - step),
      ArrowRight: () => goTo(onTape(cursor, units) + step),
      Home: () => goTo(0),
      End: () => goTo(strip.length),
      PageDown: () => goTo(stops.find((s) => s > cursor + 0.01) ?? strip.length),
      PageUp: () => goTo(stops.findLast((s) => s < cursor - 0.01) ?? 0),
      "+": () => zoom(0.5, cursor),
      "=": () => zoom(0.5, cursor),
      "-": () => zoom(2, cursor),
      "0": whole,
    };
    const act = keys[e.key];
    if (!act || e.ctrlKey || e.metaKey || e.altKey) return;
    e.preventDefault();
    act();
  };
  return { down, move, up, pick, wheel, key };
}
