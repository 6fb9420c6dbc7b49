import "./scan.css";
import { useQuery } from "@tanstack/react-query";
import { Checkbox, Flex, Modal, Slider } from "antd";
import { useEffect, useMemo, useRef, useState } from "react";
import { api, saidBy, type Bench } from "../lib/api";
import type { Scan } from "../lib/api-scan";
import { showPlace } from "../lib/place";
import { reliefOf, shaded, type Lamp, type Relief } from "./relief";
import { LitSurface } from "./lit-surface";

type Props = { bench: Bench; scan: Scan; cursor: number; onCursor: (mm: number) => void; onClose: () => void };

/** The scanned surface under a lamp that is moved around low over it, as a flashlight is held flat. */
export default function SurfaceDialog({ bench, scan, cursor, onCursor, onClose }: Props) {
  const surface = useQuery({
    queryKey: ["scan-surface", bench.id, scan.id],
    queryFn: () => api.scanSurface(bench.id, scan.id),
    staleTime: Infinity,
    gcTime: 60_000,
  });
  const [deeper, setDeeper] = useState(1);
  const [byHeight, setByHeight] = useState(false);
  const [lamp, setLamp] = useState<Lamp>({ around: Math.PI * 0.9, up: 0.5 });
  const [reach, setReach] = useState(70);
  const length = bench.strip.length;
  const relief = useMemo(
    () => surface.data && reliefOf(surface.data, bench.drawn.dihedral !== 180, deeper),
    [surface.data, bench.drawn.dihedral, deeper],
  );
  return (
    <Modal
      open
      title={`${scan.name} at ${showPlace(cursor, bench.joint.units)} ${bench.joint.units}`}
      footer={null}
      onCancel={onClose}
      width={1180}
      centered
    >
      {surface.isError && <p className="fault">{saidBy(surface.error)}</p>}
      {relief && relief.rows > 1 && (
        <Lit
          relief={relief}
          lamp={lamp}
          onLamp={setLamp}
          byHeight={byHeight}
          cursor={cursor}
          reach={Math.min(reach, length)}
        />
      )}
      {relief && relief.rows < 2 && <p className="quiet">No profile of this scan was measured.</p>}
      <Flex wrap gap={18} align="center" className="spaced">
        <div className="grow">
          Along the weld
          <Slider
            min={0}
            max={length}
            step={length / 400}
            value={cursor}
            tooltip={{ formatter: (v) => `${showPlace(v ?? 0, bench.joint.units)} ${bench.joint.units}` }}
            ariaLabelForHandle="Place along the weld"
            onChange={onCursor}
          />
        </div>
        <div className="grow">
          In view: {showPlace(Math.min(reach, length), bench.joint.units)} {bench.joint.units}
          <Slider
            min={20}
            max={Math.max(21, length)}
            value={Math.min(reach, length)}
            ariaLabelForHandle="Stretch in view"
            tooltip={{ open: false }}
            onChange={setReach}
          />
        </div>
        <div className="grow">
          Depth × {deeper}
          <Slider
            min={1}
            max={8}
            step={0.5}
            value={deeper}
            ariaLabelForHandle="Depth exaggerated"
            tooltip={{ open: false }}
            onChange={setDeeper}
          />
        </div>
        <div className="grow">
          Lamp height
          <Slider
            min={3}
            max={85}
            value={Math.round((lamp.up * 180) / Math.PI)}
            ariaLabelForHandle="Height of the lamp, degrees"
            tooltip={{ formatter: (v) => `${v ?? 0}°` }}
            onChange={(v) => setLamp({ ...lamp, up: (v * Math.PI) / 180 })}
          />
        </div>
        <Checkbox checked={byHeight} onChange={(e) => setByHeight(e.target.checked)}>
          color by height
        </Checkbox>
      </Flex>
      <p className="small quiet">
        Above {bench.drawn.members[1]?.label}, below {bench.drawn.members[0]?.label}. Move over the surface: the lamp
        goes with the hand. Between the profiles nothing was seen; what is finer than their spacing does not show.
      </p>
    </Modal>
  );
}

type LitProps = {
  relief: Relief;
  lamp: Lamp;
  onLamp: (lamp: Lamp) => void;
  byHeight: boolean;
  cursor: number;
  reach: number;
};

function Lit({ relief, lamp, onLamp, byHeight, cursor, reach }: LitProps) {
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
    if (drawing instanceof LitSurface) drawing.look(cursor, reach, lamp);
    if (drawing === "plain" && canvas.current) plain(canvas.current, relief, lamp, byHeight, cursor, reach);
  }, [drawing, relief, byHeight, cursor, reach, lamp]);
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
