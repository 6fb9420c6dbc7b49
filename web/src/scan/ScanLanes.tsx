import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useMemo } from "react";
import { ink } from "../theme";
import { api } from "../lib/api";
import type { ScanLine, ScanLines } from "../lib/api-scan";
import type { StripFrame } from "../lib/StripView";
import { useSettled } from "../lib/useSettled";
import { lengthIn } from "./words";

type Props = { inspection: string; scan: string; frame: StripFrame; cursor: number; units: string };

const height = 50;
const pad = 5;
/** Over the lines, where a lane says which is whose. */
const legend = 15;

/** Lines of a scan that belong on one lane: two toes or legs together. */
const lanes: { title: string; ids: string[] }[] = [
  { title: "legs", ids: ["legA", "legB"] },
  { title: "throat", ids: ["throat"] },
  { title: "crown", ids: ["reinforcement"] },
  { title: "offset", ids: ["offset"] },
  { title: "undercut", ids: ["undercutA", "undercutB"] },
];

/** What the scanner read along the weld, under the strip and by its ruler. */
export function ScanLanes({ inspection, scan, frame, cursor, units }: Props) {
  const seen = useSettled(`${frame.from.toFixed(1)} ${frame.to.toFixed(1)}`, 150);
  const [from, to] = seen.split(" ").map(Number);
  const lines = useQuery({
    queryKey: ["scan-lines", inspection, scan, seen],
    queryFn: () => api.scanLines(inspection, scan, from, to),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
  return lines.data ? <Lanes data={lines.data} frame={frame} cursor={cursor} units={units} /> : null;
}

type LanesProps = { data: ScanLines; frame: StripFrame; cursor: number; units: string };

/** The lines themselves, of a scan that is kept or of one that goes on. */
export function Lanes({ data, frame, cursor, units }: LanesProps) {
  const shown = lanes
    .map((lane) => ({ ...lane, lines: data.lines.filter((l) => lane.ids.includes(l.id)) }))
    .filter((lane) => lane.lines.length > 0);
  return (
    <svg
      width={frame.width}
      height={shown.length * (height + 4)}
      role="img"
      aria-label={`Scanned along the weld: ${shown.map((l) => l.title).join(", ")}`}
      className="scanlanes"
    >
      <defs>
        <pattern id="unscanned" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <path d="M0 0v8" stroke={ink.open} strokeWidth="1.6" />
        </pattern>
      </defs>
      {shown.map((lane, i) => (
        <g key={lane.title} transform={`translate(0 ${i * (height + 4)})`}>
          <Lane title={lane.title} lines={lane.lines} data={data} frame={frame} cursor={cursor} units={units} />
        </g>
      ))}
    </svg>
  );
}

type LaneProps = {
  title: string;
  lines: ScanLine[];
  data: ScanLines;
  frame: StripFrame;
  cursor: number;
  units: string;
};

function Lane({ title, lines, data, frame, cursor, units }: LaneProps) {
  const { left, end, x } = frame;
  const limit = lines[0]?.limit ?? undefined;
  const [low, high] = useMemo(() => range(lines, title === "undercut"), [lines, title]);
  // a depth grows downward, as it does in the metal
  const down = title === "undercut";
  const y = (v: number) => {
    const part = Math.min(1, Math.max(0, (v - low) / (high - low)));
    const top = lines.length > 1 ? legend : pad;
    return down ? top + part * (height - top - pad) : height - pad - part * (height - top - pad);
  };
  const near = nearest(data.s, cursor);
  const here = lines
    .map((l) => l.values[near])
    .map((v) => (v === null || v === undefined ? "–" : lengthIn(v, units)))
    .join(" · ");
  return (
    <g data-lane={title}>
      <text x={left - 10} y={20} textAnchor="end" fontSize="15" fontWeight="600" fill={ink.text}>
        {title}
      </text>
      <text x={left - 10} y={40} textAnchor="end" fontSize="14" fontWeight="700" fill={ink.layout}>
        {here}
      </text>
      <rect x={left} y="0" width={end - left} height={height} fill={ink.laneFace} stroke={ink.line} />
      {data.holes
        .filter((h) => h.to > frame.from && h.from < frame.to)
        .map((h) => (
          <rect
            key={h.from}
            data-unscanned
            x={Math.max(left, x(h.from))}
            y="0"
            width={Math.max(2, Math.min(end, x(h.to)) - Math.max(left, x(h.from)))}
            height={height}
            fill="url(#unscanned)"
          >
            <title>not measured</title>
          </rect>
        ))}
      {limit !== undefined && (
        <>
          <path
            d={`M${left} ${y(limit)}H${end}`}
            stroke={lines[0]?.least ? ink.chalkDeep : ink.reject}
            strokeWidth="2"
            strokeDasharray="8 5"
          />
          <text
            x={end - 6}
            y={y(limit) > height - 18 ? y(limit) - 4 : y(limit) + 14}
            textAnchor="end"
            fontSize="13"
            fontWeight="700"
            fill={lines[0]?.least ? ink.text : ink.reject}
            stroke={ink.paper}
            strokeWidth="4"
            paintOrder="stroke"
          >
            {lines[0]?.least ? "wanted" : "at most"} {lines[0]?.limitWords}
          </text>
        </>
      )}
      {lines.map((l, i) => (
        <path
          key={l.id}
          d={drawn(l, data, frame, y)}
          fill="none"
          stroke={i === 0 ? ink.layout : ink.text}
          strokeWidth={i === 0 ? 1.8 : 1.5}
          strokeDasharray={i === 0 ? undefined : "5 3"}
        />
      ))}
      {lines.length > 1 && (
        <text x={left + 6} y={13} fontSize="13" fill={ink.text} stroke={ink.paper} strokeWidth="4" paintOrder="stroke">
          ── {last(lines[0])} ╌╌ {last(lines[1])}
        </text>
      )}
      {cursor >= frame.from && cursor <= frame.to && (
        <path d={`M${x(cursor)} 0V${height}`} stroke={ink.chalk} strokeWidth="2" />
      )}
    </g>
  );
}

/** "leg web" on the lane of the legs is the web's. */
function last(line: ScanLine | undefined): string {
  return line?.title.split(" ").slice(1).join(" ") ?? "";
}

function range(lines: ScanLine[], fromZero: boolean): [number, number] {
  const all = lines.flatMap((l) => l.values.filter((v): v is number => v !== null));
  const limits = lines.flatMap((l) => (l.limit === null || l.limit === undefined ? [] : [l.limit]));
  const low = fromZero ? 0 : Math.min(...all, ...limits);
  // a line that is even looks even: noise does not fill the lane
  const high = Math.max(...all, ...limits, low + (fromZero ? 0.2 : 1.2));
  const room = (high - low) * 0.12;
  return [fromZero ? 0 : low - room, high + room];
}

function nearest(s: number[], at: number): number {
  let best = 0;
  s.forEach((v, i) => {
    if (Math.abs(v - at) < Math.abs((s[best] ?? Infinity) - at)) best = i;
  });
  return best;
}

/** The line within the view; where nothing was measured it breaks. */
function drawn(line: ScanLine, data: ScanLines, frame: StripFrame, y: (v: number) => number): string {
  let path = "";
  let pen = false;
  let before = -Infinity;
  data.s.forEach((s, i) => {
    const v = line.values[i];
    if (v === null || v === undefined || s < frame.from || s > frame.to) {
      pen = false;
      return;
    }
    if (data.holes.some((h) => before <= h.from + 0.01 && s >= h.to - 0.01)) pen = false;
    path += `${pen ? "L" : "M"}${frame.x(s).toFixed(1)} ${y(v).toFixed(1)}`;
    pen = true;
    before = s;
  });
  return path;
}
