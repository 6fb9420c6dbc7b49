import { Button, Flex } from "antd";
import { useEffect, useState } from "react";
import type { PictureMark, PicturePlace } from "../lib/api-pictures";
import { useSize } from "../lib/useSize";
import { useMapView } from "../map/useMapView";
import { ink } from "../theme";

type Props = {
  src: string;
  label: string;
  /** Marks of the scale, around it. */
  marks: PicturePlace[];
  /** What is pointed at. */
  points: PicturePlace[];
  /** The points are gone around: an area. */
  closed?: boolean;
  kept: PictureMark[];
  onPoint: (p: PicturePlace, pixels: number) => void;
  onLoaded?: (size: { width: number; height: number }) => void;
};

/** How surely a finger points on the screen, a standard deviation. */
const finger = 2;

/** A picture to point in, dragged and zoomed as the weld map is. The drawing is ours: no library lays marks over a picture that stay as large as a finger. */
export function PictureView({ src, label, marks, points, closed, kept, onPoint, onLoaded }: Props) {
  const [area, size] = useSize<HTMLDivElement>({ width: 760, height: 480 });
  const [natural, setNatural] = useState<{ width: number; height: number }>();
  useEffect(() => {
    const image = new Image();
    image.onload = () => {
      const n = { width: image.naturalWidth, height: image.naturalHeight };
      setNatural(n);
      onLoaded?.(n);
    };
    image.src = src;
    // the picture is asked for once
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [src]);
  const whole = natural ?? { width: 4, height: 3 };
  const { view, zoom, fit, hand } = useMapView(whole, size, (place, scale) =>
    onPoint({ x: place.x * whole.width, y: place.y * whole.height }, finger / scale),
  );
  const at = (p: { x?: number; y?: number }) => ({
    x: view.x + (p.x ?? 0) * view.scale,
    y: view.y + (p.y ?? 0) * view.scale,
  });
  const path = (all: { x?: number; y?: number }[], round = false) =>
    all.length === 0 ? "" : `M${all.map((p) => `${at(p).x} ${at(p).y}`).join("L")}${round ? "z" : ""}`;
  return (
    <div className="panel fills">
      <Flex gap={6} className="tabs">
        <Button aria-label="Closer" onClick={() => zoom(1.5)}>
          +
        </Button>
        <Button aria-label="Wider" onClick={() => zoom(1 / 1.5)}>
          −
        </Button>
        <Button onClick={fit}>whole</Button>
      </Flex>
      <div ref={area} className="fills">
        <svg width={size.width} height={size.height} className="drawing" role="img" aria-label={label} {...hand}>
          {natural && (
            <image
              href={src}
              x={view.x}
              y={view.y}
              width={natural.width * view.scale}
              height={natural.height * view.scale}
            />
          )}
          {kept.map((m) => (
            <Kept key={m.id} mark={m} at={at} path={path} />
          ))}
          <Trace d={path(marks, marks.length > 2)} dashed />
          {marks.map((p, i) => (
            <Cross key={i} {...at(p)} word={String.fromCharCode(65 + i)} />
          ))}
          <Trace d={path(points, closed)} />
          {points.map((p, i) => (
            <Cross key={i} {...at(p)} />
          ))}
        </svg>
      </div>
    </div>
  );
}

/** A line that shows on light and on dark steel. */
function Trace({ d, dashed }: { d: string; dashed?: boolean }) {
  if (d === "") return null;
  return (
    <>
      <path d={d} fill="none" stroke={ink.paper} strokeWidth={4} />
      <path d={d} fill="none" stroke={ink.layout} strokeWidth={2} strokeDasharray={dashed ? "6 4" : undefined} />
    </>
  );
}

function Cross({ x, y, word }: { x: number; y: number; word?: string }) {
  const d = `M${x - 11} ${y}h22M${x} ${y - 11}v22`;
  return (
    <g>
      <path d={d} stroke={ink.paper} strokeWidth={4} />
      <path d={d} stroke={ink.layout} strokeWidth={2} />
      {word && <Words x={x + 9} y={y - 9} words={word} />}
    </g>
  );
}

function Words({ x, y, words }: { x: number; y: number; words: string }) {
  return (
    <text
      x={x}
      y={y}
      fontSize={16}
      fontWeight={700}
      fill={ink.layout}
      stroke={ink.paper}
      strokeWidth={4}
      paintOrder="stroke"
    >
      {words}
    </text>
  );
}

type Placed = (p: { x?: number; y?: number }) => { x: number; y: number };

function Kept({ mark: m, at, path }: { mark: PictureMark; at: Placed; path: (p: PictureMark["points"]) => string }) {
  const [first, second] = m.points;
  if (!first) return null;
  const from = at(first);
  if (m.kind === "arrow" && second) {
    const to = at(second);
    const angle = Math.atan2(to.y - from.y, to.x - from.x);
    const head = [-0.45, 0.45]
      .map((turn) => `M${to.x} ${to.y}L${to.x - 18 * Math.cos(angle + turn)} ${to.y - 18 * Math.sin(angle + turn)}`)
      .join("");
    return (
      <g>
        <Trace d={`M${from.x} ${from.y}L${to.x} ${to.y}${head}`} />
        <Words x={from.x + 4} y={from.y - 6} words={m.said} />
      </g>
    );
  }
  return (
    <g>
      {m.kind === "measure" && <Trace d={path(m.points)} />}
      {m.kind === "note" && (
        <circle cx={from.x} cy={from.y} r={7} fill={ink.chalk} stroke={ink.onChalk} strokeWidth={2} />
      )}
      <Words x={from.x + 10} y={from.y - 8} words={m.said} />
    </g>
  );
}
