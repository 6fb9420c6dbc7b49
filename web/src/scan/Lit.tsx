import "./scan.css";
import { useEffect, useRef, useState } from "react";
import { LitSurface } from "./lit-surface";
import { shaded, type Lamp, type Relief } from "./relief";

type LitProps = {
  relief: Relief;
  lamp: Lamp;
  onLamp: (lamp: Lamp) => void;
  byHeight: boolean;
  cursor: number;
  reach: number;
  /** Degrees from straight above, toward member B where over zero. */
  from?: number;
};

/** The surface under a lamp that goes with the hand over it; a plain shaded picture where the tablet has no graphics. */
export function Lit({ relief, lamp, onLamp, byHeight, cursor, reach, from = 0 }: LitProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [drawing, setDrawing] = useState<LitSurface | "plain">();
  useEffect(() => {
    if (!canvas.current) return;
    const made = LitSurface.on(canvas.current);
    setDrawing(made ?? "plain");
    return () => made?.dispose();
  }, []);
  useEffect(() => {
    if (drawing instanceof LitSurface) drawing.show(relief, byHeight);
  }, [drawing, relief, byHeight]);
  useEffect(() => {
    if (drawing instanceof LitSurface) drawing.look(cursor, reach, lamp, from);
    if (drawing === "plain" && canvas.current) plain(canvas.current, relief, lamp, byHeight, cursor, reach);
  }, [drawing, relief, byHeight, cursor, reach, lamp, from]);
  return (
    <canvas
      ref={canvas}
      className="surface"
      data-drawn={drawing === "plain" ? "shaded" : "lit"}
      role="img"
      aria-label="The scanned surface under a lamp"
      onPointerMove={(e) => {
        const box = e.currentTarget.getBoundingClientRect();
        const dx = (e.clientX - box.left) / box.width - 0.5;
        const dy = 0.5 - (e.clientY - box.top) / box.height;
        onLamp({ ...lamp, around: Math.atan2(dy * 2, dx * 2) });
      }}
    />
  );
}

/** The shaded picture, where the tablet has no graphics. */
function plain(
  canvas: HTMLCanvasElement,
  relief: Relief,
  lamp: Lamp,
  byHeight: boolean,
  cursor: number,
  reach: number,
) {
  const context = canvas.getContext("2d");
  if (!context) return;
  const image = new ImageData(shaded(relief, lamp, byHeight), relief.rows, relief.across);
  const whole = document.createElement("canvas");
  whole.width = relief.rows;
  whole.height = relief.across;
  whole.getContext("2d")?.putImageData(image, 0, 0);
  canvas.width = canvas.clientWidth;
  canvas.height = canvas.clientHeight;
  const place = (row: number) => relief.points[3 * row * relief.across] ?? 0;
  let from = 0;
  let to = relief.rows - 1;
  while (from < to - 1 && place(from + 1) < cursor - reach / 2) from++;
  while (to > from + 1 && place(to - 1) > cursor + reach / 2) to--;
  context.imageSmoothingEnabled = true;
  context.drawImage(whole, from, 0, Math.max(1, to - from), relief.across, 0, 0, canvas.width, canvas.height);
  const at = ((cursor - place(from)) / Math.max(0.001, place(to) - place(from))) * canvas.width;
  context.fillStyle = "#f2b705";
  context.fillRect(at - 1, 0, 2, canvas.height);
}
