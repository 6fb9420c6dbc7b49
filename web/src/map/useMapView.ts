import { useRef, useState, type PointerEvent as Pointed, type WheelEvent } from "react";

type Size = { width: number; height: number };

/** How the drawing lies in the window: its scale, and where its corner is, in points of the screen. */
export type MapView = { scale: number; x: number; y: number };

const closest = 8;
const tap = 6;

/** The whole drawing in the middle of the window. */
export function fitted(sheet: Size, window: Size): MapView {
  const scale = Math.min(window.width / sheet.width, window.height / sheet.height);
  return { scale, x: (window.width - sheet.width * scale) / 2, y: (window.height - sheet.height * scale) / 2 };
}

/** Closer or wider about a place of the screen that stays where it is; never wider than the whole. */
export function zoomed(v: MapView, by: number, at: { x: number; y: number }, least: number): MapView {
  const scale = Math.min(least * closest * 4, Math.max(least, v.scale * by));
  const k = scale / v.scale;
  return { scale, x: at.x - (at.x - v.x) * k, y: at.y - (at.y - v.y) * k };
}

/** Drag with one hand, zoom with two, the wheel or the keys; a short touch is a place. */
export function useMapView(sheet: Size, window: Size, onTap: (place: { x: number; y: number }, scale: number) => void) {
  const [moved, setMoved] = useState<MapView>();
  const whole = fitted(sheet, window);
  const view = moved ?? whole;
  const hands = useRef(new Map<number, { x: number; y: number }>());
  const travelled = useRef(0);
  const placeOn = (e: { clientX: number; clientY: number; currentTarget: Element }) => {
    const box = e.currentTarget.getBoundingClientRect();
    return { x: e.clientX - box.left, y: e.clientY - box.top };
  };
  const middle = { x: window.width / 2, y: window.height / 2 };
  const zoom = (by: number, at = middle) => setMoved((v) => zoomed(v ?? whole, by, at, whole.scale));
  const pan = (dx: number, dy: number) =>
    setMoved((v) => ({ ...(v ?? whole), x: (v ?? whole).x + dx, y: (v ?? whole).y + dy }));
  return {
    view,
    zoom,
    pan,
    fit: () => setMoved(undefined),
    /** Brings a place, as shares of the sheet, into the middle. */
    show: (x: number, y: number) =>
      setMoved((v) => {
        const scale = Math.max((v ?? whole).scale, whole.scale * 2);
        return { scale, x: middle.x - x * sheet.width * scale, y: middle.y - y * sheet.height * scale };
      }),
    hand: {
      onPointerDown: (e: Pointed<SVGSVGElement>) => {
        e.currentTarget.setPointerCapture(e.pointerId);
        hands.current.set(e.pointerId, placeOn(e));
        if (hands.current.size === 1) travelled.current = 0;
      },
      onPointerMove: (e: Pointed<SVGSVGElement>) => {
        const before = hands.current.get(e.pointerId);
        if (!before) return;
        const now = placeOn(e);
        travelled.current += Math.hypot(now.x - before.x, now.y - before.y);
        const other = [...hands.current].find(([id]) => id !== e.pointerId)?.[1];
        hands.current.set(e.pointerId, now);
        if (!other) {
          if (travelled.current > tap) pan(now.x - before.x, now.y - before.y);
          return;
        }
        const apart = Math.hypot(before.x - other.x, before.y - other.y);
        if (apart > 1) zoom(Math.hypot(now.x - other.x, now.y - other.y) / apart, other);
      },
      onPointerUp: (e: Pointed<SVGSVGElement>) => {
        const only = hands.current.size === 1;
        hands.current.delete(e.pointerId);
        if (!only || travelled.current > tap) return;
        const at = placeOn(e);
        const { scale } = view;
        onTap({ x: (at.x - view.x) / (sheet.width * scale), y: (at.y - view.y) / (sheet.height * scale) }, scale);
      },
      onPointerCancel: (e: Pointed<SVGSVGElement>) => void hands.current.delete(e.pointerId),
      onWheel: (e: WheelEvent<SVGSVGElement>) => zoom(e.deltaY < 0 ? 1.2 : 1 / 1.2, placeOn(e)),
    },
  };
}
