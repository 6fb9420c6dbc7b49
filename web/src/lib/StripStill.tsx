import { memo } from "react";
import { ink } from "../theme";
import { BeforeLane } from "./BeforeLane";
import { ClockRow } from "./ClockRow";
import { Ruler } from "./Ruler";
import { SizeLane } from "./SizeLane";
import { beforeHeight, gutter, layOut, right, rulerHeight, sizeHeight } from "./strip-layout";
import { Brackets, Stretches } from "./StripOverlays";
import { Marks } from "./StripMarks";
import { Pictures } from "./StripPictures";
import type { StillProps } from "./StripView";
import { ticksFor, type View } from "./view";

/** All that stays as it is while the cursor moves: with hundreds of indications, drawing it again for each key would be felt. */
export const Still = memo(function Still({ width, from, to, ...props }: StillProps & { width: number } & View) {
  const {
    strip,
    quiet = [],
    ghosts = [],
    photos = [],
    units,
    chosen,
    onMark,
    onPhoto,
    look,
    next,
    worked = [],
    inspectedAt = [],
  } = props;
  const layout = layOut(props);
  const inner = Math.max(10, width - gutter - right);
  const end = gutter + inner;
  const scale = inner / (to - from);
  const x = (mm: number) => gutter + (mm - from) * scale;
  const whole = to - from >= strip.length - 1e-6;
  const isIn = (a: number, b: number) => b >= from - 20 / scale && a <= to + 20 / scale;
  const frame = { x, end, isIn };
  const ticks = whole ? strip.ticks : ticksFor({ from, to }, strip.length, inner, units);
  const none = new Set<number>();
  return (
    <>
      <defs>
        <pattern id="hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0v7" stroke={ink.text} strokeWidth="2.2" />
        </pattern>
        <pattern id="untried" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0v8" stroke={ink.hatch} strokeWidth="1.5" />
        </pattern>
        <clipPath id="inview">
          <rect x={gutter - 6} y="0" width={inner + 12} height={layout.height} />
        </clipPath>
      </defs>
      <Ruler from={from} to={to} datum={from <= 0} ticks={ticks} x={x} gutter={gutter} />
      {layout.lanes.map((lane) => (
        <g key={lane.id}>
          <text
            x={gutter - 10}
            y={lane.top + lane.height / 2 + 5}
            textAnchor="end"
            fontSize="15"
            fontWeight="600"
            fill={ink.text}
          >
            {lane.name}
          </text>
          <rect
            data-lane={lane.id}
            x={gutter}
            y={lane.top}
            width={inner}
            height={lane.height}
            fill={lane.id === "base" ? "transparent" : lane.id === "face" ? ink.laneFace : ink.lane}
            stroke={ink.line}
            strokeDasharray={lane.id === "base" ? "3 4" : undefined}
          />
        </g>
      ))}
      <text
        x={gutter - 10}
        y={layout.sizeTop + sizeHeight / 2 + 5}
        textAnchor="end"
        fontSize="15"
        fontWeight="600"
        fill={ink.text}
      >
        {layout.size ? "size" : "read at"}
      </text>
      {strip.clock.length > 0 && (
        <text x={gutter - 10} y={layout.clockTop + 18} textAnchor="end" fontSize="13" fill={ink.quiet}>
          clock
        </text>
      )}
      {layout.before > 0 && (
        <text x={gutter - 10} y={rulerHeight + beforeHeight / 2 + 3} textAnchor="end" fontSize="13" fill={ink.quiet}>
          before
        </text>
      )}
      <g clipPath="url(#inview)">
        {layout.before > 0 && (
          <BeforeLane quiet={quiet.filter((q) => isIn(q.from, q.to))} x={x} left={gutter} end={end} />
        )}
        <Stretches strip={strip} worked={worked} inspectedAt={inspectedAt} layout={layout} frame={frame} />
        {layout.lanes.map((lane) => (
          <g key={lane.id}>
            {ghosts
              .filter((g) => g.lane === lane.id)
              .map((g, i) => (
                <rect
                  key={`ghost${i}`}
                  data-ghost={g.kind}
                  x={x(g.from) - 3}
                  y={lane.top + 1}
                  width={Math.max(6, x(g.to) - x(g.from) + 6)}
                  height={lane.height - 2}
                  rx="3"
                  fill="none"
                  stroke={ink.layout}
                  strokeWidth="2.5"
                  strokeDasharray="6 4"
                >
                  <title>{`understood: ${g.kind} ${g.label}`}</title>
                </rect>
              ))}
            <Marks
              left={gutter}
              right={end}
              marks={strip.marks.filter((m) => m.lane === lane.id && isIn(m.from, m.to))}
              lane={lane}
              x={x}
              chosen={chosen?.indications ?? none}
              onMark={onMark}
            />
          </g>
        ))}
        {layout.pictures !== undefined && (
          <Pictures
            photos={photos.filter((p) => !p.withdrawn && isIn(p.at, p.at))}
            look={look ?? ""}
            x={x}
            top={layout.pictures}
            end={end}
            onPhoto={onPhoto}
          />
        )}
        <Brackets layout={layout} frame={frame} />
        <SizeLane strip={strip} x={x} left={gutter} right={end} top={layout.sizeTop} height={sizeHeight} />
        <ClockRow
          clock={strip.clock.filter((t) => isIn(t.at, t.at))}
          x={x}
          left={gutter}
          right={end}
          top={layout.clockTop}
        />
        {next !== undefined && (
          <path d={`M${x(next)} ${rulerHeight - 2}l7 -8h-14z`} fill={ink.chalk} stroke={ink.text} strokeWidth="1.5">
            <title>next to inspect</title>
          </path>
        )}
      </g>
    </>
  );
});
