import { Button, Flex } from "antd";
import { memo, useEffect, useMemo, type KeyboardEvent as Pressed } from "react";
import { sheetPicture, type MapPin, type MapSheet, type MapWeld } from "../lib/api-map";
import { useSize } from "../lib/useSize";
import { ink } from "../theme";
import { PinShape, wordOf } from "./states";
import { useMapView } from "./useMapView";

type Props = {
  job: string;
  sheet: MapSheet;
  welds: Map<string, MapWeld>;
  /** Those that the filter leaves. */
  shown: (w: MapWeld) => boolean;
  chosen?: string;
  placing: boolean;
  onChoose: (joint: string) => void;
  onPlace: (place: { x: number; y: number }) => void;
};

/** So many marks are still read beside their pins. */
const mostWords = 60;
const near = 14;

/** A sheet of the drawings with its pins, to be dragged and zoomed. The drawing is ours: no library draws pins that stay as large as a finger. */
export function Drawing({ job, sheet, welds, shown, chosen, placing, onChoose, onPlace }: Props) {
  const [area, size] = useSize<HTMLDivElement>({ width: 800, height: 560 });
  const pins = useMemo(
    () =>
      sheet.pins.flatMap((pin) => {
        const weld = welds.get(pin.joint);
        return weld && shown(weld) ? [{ pin, weld }] : [];
      }),
    [sheet, welds, shown],
  );
  const { view, zoom, pan, fit, show, hand } = useMapView(sheet, size, (place, scale) => {
    if (placing) {
      if (place.x >= 0 && place.x <= 1 && place.y >= 0 && place.y <= 1) onPlace(place);
      return;
    }
    const hit = nearest(pins, place, sheet, scale);
    if (hit) onChoose(hit);
  });
  const at = sheet.pins.find((p) => p.joint === chosen);
  useEffect(() => {
    if (!at) return;
    const x = view.x + at.x * sheet.width * view.scale;
    const y = view.y + at.y * sheet.height * view.scale;
    if (x < 20 || y < 20 || x > size.width - 20 || y > size.height - 20) show(at.x, at.y);
    // where it is shown is asked once, when another weld is chosen
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [chosen, sheet.id]);
  const onKey = (e: Pressed) => {
    const step = 60;
    const moves: Record<string, () => void> = {
      ArrowLeft: () => pan(step, 0),
      ArrowRight: () => pan(-step, 0),
      ArrowUp: () => pan(0, step),
      ArrowDown: () => pan(0, -step),
      "+": () => zoom(1.4),
      "-": () => zoom(1 / 1.4),
      "0": fit,
    };
    const move = moves[e.key];
    if (!move) return;
    e.preventDefault();
    move();
  };
  const inView = pins.filter(({ pin }) => {
    const x = view.x + pin.x * sheet.width * view.scale;
    const y = view.y + pin.y * sheet.height * view.scale;
    return x > 0 && y > 0 && x < size.width && y < size.height;
  }).length;
  return (
    <div className="panel">
      <Flex gap={6} align="center" className="tabs">
        <Button aria-label="Closer" onClick={() => zoom(1.4)}>
          +
        </Button>
        <Button aria-label="Wider" onClick={() => zoom(1 / 1.4)}>
          −
        </Button>
        <Button onClick={fit}>Whole sheet</Button>
        <span className="small quiet">
          {placing ? "Touch the place of the weld." : "Drag to move, two fingers or the wheel zoom; touch a pin."}
        </span>
      </Flex>
      <div ref={area}>
        <svg
          className="drawing"
          width={size.width}
          height={size.height}
          cursor={placing ? "crosshair" : "grab"}
          role="application"
          aria-label={`${sheet.name}, revision ${sheet.revision}: arrows move, plus and minus zoom`}
          tabIndex={0}
          onKeyDown={onKey}
          {...hand}
        >
          <g transform={`translate(${view.x} ${view.y})`}>
            <image
              href={sheetPicture(job, sheet.id)}
              width={sheet.width * view.scale}
              height={sheet.height * view.scale}
              preserveAspectRatio="none"
            />
            <Pins
              pins={pins}
              width={sheet.width * view.scale}
              height={sheet.height * view.scale}
              chosen={chosen}
              words={inView <= mostWords}
            />
          </g>
        </svg>
      </div>
    </div>
  );
}

type Pinned = { pin: MapPin; weld: MapWeld };

/** The pin under the finger. */
function nearest(pins: Pinned[], place: { x: number; y: number }, sheet: MapSheet, scale: number) {
  let best: string | undefined;
  let least = near;
  for (const { pin } of pins) {
    const away = Math.hypot((pin.x - place.x) * sheet.width * scale, (pin.y - place.y) * sheet.height * scale);
    if (away < least) {
      least = away;
      best = pin.joint;
    }
  }
  return best;
}

type PinsProps = { pins: Pinned[]; width: number; height: number; chosen?: string; words: boolean };

/** Read on a drawing's lines. */
const lettered = {
  fontSize: 13,
  fontWeight: 700,
  fill: ink.text,
  stroke: ink.paper,
  strokeWidth: 4,
  paintOrder: "stroke",
} as const;

/** Drawn anew when the scale changes, not while the sheet is dragged. */
const Pins = memo(function Pins({ pins, width, height, chosen, words }: PinsProps) {
  return (
    <>
      {pins.map(({ pin, weld }) => (
        <g key={pin.joint} transform={`translate(${pin.x * width} ${pin.y * height})`} data-pin={weld.mark}>
          <title>{`${nameOf(weld)}: ${wordOf(weld.state)}`}</title>
          {pin.joint === chosen && <circle r="15" fill="none" stroke={ink.chalk} strokeWidth="4" />}
          <PinShape state={weld.state} />
          {pin.changedNear && (
            <text x="-6" y="-8" textAnchor="end" {...lettered} fill={ink.chalkDeep}>
              ?
            </text>
          )}
          {(words || pin.joint === chosen) && (
            <text x="13" y="5" {...lettered}>
              {weld.mark}
            </text>
          )}
        </g>
      ))}
    </>
  );
});

export const nameOf = (w: MapWeld) => [w.mark, w.weldNo && `weld ${w.weldNo}`, w.side].filter(Boolean).join(" ");
