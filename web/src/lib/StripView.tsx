import { Button, Flex } from "antd";
import { useState, type ReactNode } from "react";
import { ink } from "../theme";
import type { Photo, Strip } from "./api";
import { Overview } from "./Overview";
import { timeAt } from "./clock";
import { showPlace } from "./place";
import { gutter, layOut, right, sizeHeight, type Layout, type Quiet } from "./strip-layout";
import { Still } from "./StripStill";
import { useSize } from "./useSize";
import { useStripHand, useWithoutThrow, type Drawn } from "./useStripHand";
import { useView } from "./view";

export type StripProps = {
  strip: Strip;
  ghosts?: Strip["marks"];
  quiet?: Quiet[];
  photos?: Photo[];
  look?: string;
  units: string;
  cursor: number;
  /** The finding whose place is shown, and the indications that decide it. */
  chosen?: { finding: string; indications: Set<number> };
  drawn?: Drawn;
  /** What is or was repaired, mm from the datum, and the stretch that is inspected with it. */
  worked?: { from: number; to: number }[] | undefined;
  inspectedAt?: { from: number; to: number }[];
  /** Where the inspection goes next. */
  next?: number;
  onCursor?: (mm: number) => void;
  onMark?: (indication: number) => void;
  onDraw?: (drawn: Drawn) => void;
  onPhoto?: (photo: Photo) => void;
  className?: string;
  /** What is drawn under the strip, along the same ruler. */
  under?: (frame: StripFrame) => ReactNode;
  /** What stands beside the zoom under the strip. */
  beside?: ReactNode;
};

/** Where a place along the weld stands on the strip, px. */
export type StripFrame = {
  x: (mm: number) => number;
  from: number;
  to: number;
  left: number;
  end: number;
  width: number;
};

/** What of the strip stays as it is while the cursor moves. */
export type StillProps = Omit<
  StripProps,
  "beside" | "under" | "className" | "cursor" | "onCursor" | "onDraw" | "drawn"
>;

/** The weld unrolled along its length, from the datum; built from the numbers that the core gives. */
export function StripView(props: StripProps) {
  const { strip, units, cursor, onCursor, onDraw, drawn, chosen } = props;
  const [ref, { width }] = useSize<HTMLDivElement>({ width: 960, height: 300 });
  const { view, isWhole, zoom, pan, show, whole, reach } = useView(strip.length);
  const inner = Math.max(10, width - gutter - right);
  const end = gutter + inner;
  const scale = inner / (view.to - view.from);
  const x = (mm: number) => gutter + (mm - view.from) * scale;
  const mm = (px: number) => Math.min(strip.length, Math.max(0, view.from + (px - gutter) / scale));
  const layout = layOut(props);

  const [was, setWas] = useState<string>();
  if (chosen && was !== chosen.finding) {
    // a place too small to be seen is gone up to
    setWas(chosen.finding);
    const at = strip.brackets.filter((b) => b.finding === chosen.finding);
    const first = at[0];
    if (first) {
      const room = Math.max((first.to - first.from) * 2, 300);
      const middle = (first.from + first.to) / 2;
      if ((first.to - first.from) * scale < 60 && room < view.to - view.from)
        show(middle - room / 2, middle + room / 2);
      else reach(middle);
    }
  }
  if (!chosen && was !== undefined) setWas(undefined);

  const withoutThrow = useWithoutThrow(onDraw !== undefined);
  const hand = useStripHand(props, { layout, view, scale, x, mm, zoom, pan, reach, whole });
  const time = timeAt(cursor, strip);
  const tagWidth = time ? 128 : 76;
  const tag = Math.min(Math.max(x(cursor), gutter + 4), end - 4);
  return (
    <div ref={ref} className={props.className}>
      <div
        tabIndex={0}
        role="group"
        aria-label="Strip: arrows move the cursor, Page up and Page down go from mark to mark, plus and minus zoom, 0 shows the whole weld"
        onKeyDown={hand.key}
      >
        <svg
          ref={withoutThrow}
          width={width}
          height={layout.height}
          role="img"
          aria-label={`The weld along its length, ${strip.marks.length} indications`}
          style={{
            display: "block",
            cursor: onCursor ? "crosshair" : "default",
            touchAction: onDraw ? "none" : "pan-y",
          }}
          onClick={hand.pick}
          onPointerDown={hand.down}
          onPointerMove={hand.move}
          onPointerUp={hand.up}
          onPointerCancel={hand.up}
          onWheel={hand.wheel}
        >
          <Still
            strip={strip}
            ghosts={props.ghosts}
            quiet={props.quiet}
            photos={props.photos}
            look={props.look}
            units={units}
            chosen={chosen}
            next={props.next}
            worked={props.worked}
            inspectedAt={props.inspectedAt}
            onMark={props.onMark}
            onPhoto={props.onPhoto}
            width={width}
            from={view.from}
            to={view.to}
          />
          {drawn && <DrawnStretch drawn={drawn} layout={layout} x={x} />}
          {x(cursor) >= gutter - 1 && x(cursor) <= end + 1 && (
            <g pointerEvents="none">
              <path
                d={`M${x(cursor)} 24V${layout.sizeTop + sizeHeight + 4}`}
                stroke={ink.chalkDeep}
                strokeWidth="4"
                opacity=".35"
              />
              <path d={`M${x(cursor)} 24V${layout.sizeTop + sizeHeight + 4}`} stroke={ink.chalk} strokeWidth="2" />
              <rect
                x={Math.min(tag - tagWidth / 2, width - tagWidth - 1)}
                y="0"
                width={tagWidth}
                height="24"
                rx="5"
                fill={ink.chalk}
              />
              <text
                x={Math.min(tag, width - tagWidth / 2 - 1)}
                y="17"
                textAnchor="middle"
                fontSize="15"
                fontWeight="800"
                fill={ink.onChalk}
              >
                {showPlace(cursor, units)} {units}
                {time && ` · ${time}`}
              </text>
            </g>
          )}
        </svg>
      </div>
      {props.under?.({ x, from: view.from, to: view.to, left: gutter, end, width })}
      <Flex align="center" gap={6}>
        <Button className="square" aria-label="Zoom in" title="closer (+)" onClick={() => zoom(0.5, cursor)}>
          +
        </Button>
        <Button
          className="square"
          aria-label="Zoom out"
          title="wider (−)"
          disabled={isWhole}
          onClick={() => zoom(2, cursor)}
        >
          −
        </Button>
        {!isWhole && (
          <>
            <Button title="the whole weld (0)" onClick={whole}>
              whole
            </Button>
            <Overview
              strip={strip}
              view={view}
              units={units}
              onGo={(at) => show(at - (view.to - view.from) / 2, at + (view.to - view.from) / 2)}
            />
          </>
        )}
        {isWhole && props.beside}
      </Flex>
    </div>
  );
}

/** The stretch that a finger drew, with grips to move its ends. */
function DrawnStretch({ drawn, layout, x }: { drawn: Drawn; layout: Layout; x: (mm: number) => number }) {
  const lane = layout.lanes.find((l) => l.id === drawn.lane) ?? { top: layout.sizeTop, height: sizeHeight };
  const y = lane.top + lane.height / 2;
  return (
    <g data-drawn={drawn.lane} pointerEvents="none">
      <rect
        x={x(drawn.from)}
        y={lane.top}
        width={Math.max(2, x(drawn.to) - x(drawn.from))}
        height={lane.height}
        fill={ink.chalk}
        fillOpacity=".35"
        stroke={ink.chalkDeep}
        strokeWidth="2.5"
      />
      {[drawn.from, drawn.to].map((p, i) => (
        <circle key={i} cx={x(p)} cy={y} r="11" fill={ink.chalk} stroke={ink.text} strokeWidth="2" />
      ))}
    </g>
  );
}
