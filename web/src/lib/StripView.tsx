import type { MouseEvent } from "react";
import { ink } from "../theme";
import type { Bench, Strip } from "./api";
import { showPlace } from "./place";
import { Ruler } from "./Ruler";
import { useSize } from "./useSize";

type Mark = Strip["marks"][number];
type Quiet = Bench["quiet"][number];
type Props = {
  strip: Strip;
  ghosts?: Strip["marks"];
  quiet?: Quiet[];
  units: string;
  cursor: number;
  onCursor?: (mm: number) => void;
  onMark?: (indication: number) => void;
};

const gutter = 104;
const right = 18;
const rulerHeight = 34;
const laneHeight: Record<string, number> = { A: 36, face: 32, B: 36, root: 32, base: 24 };
const gap = 4;
const sizeHeight = 34;
const bracketHeight = 34;
const beforeHeight = 24;
/** Depth is drawn larger than length, or nothing could be seen: pixels for a millimetre of depth. */
const depthScale = 10;
const deepest = 26;

/** The weld unrolled along its length, from the datum; built from the numbers that the core gives. */
export function StripView({ strip, quiet = [], ghosts = [], units, cursor, onCursor, onMark }: Props) {
  const [ref, { width }] = useSize<HTMLDivElement>({ width: 960, height: 300 });
  const scale = Math.max(10, width - gutter - right) / strip.length;
  const x = (mm: number) => gutter + mm * scale;
  const before = quiet.length > 0 || strip.gaps.length > 0 ? beforeHeight : 0;
  const lanes = laid(strip.lanes, rulerHeight + before);
  const rejecting = strip.brackets.filter((b) => b.rejects);
  const brackets = rejecting.length > 0 ? rejecting : strip.brackets.slice(0, 1);
  const bracketsTop = lanes.reduce((y, l) => y + l.height + gap, rulerHeight + before);
  const sizeTop = bracketsTop + brackets.length * bracketHeight + 2;
  const height = sizeTop + sizeHeight + 30;
  const pick = (e: MouseEvent<SVGSVGElement>) => {
    const box = e.currentTarget.getBoundingClientRect();
    const mm = (e.clientX - box.left - gutter) / scale;
    onCursor?.(Math.min(strip.length, Math.max(0, mm)));
  };
  const end = x(strip.length);
  return (
    <div ref={ref}>
      <svg width={width} height={height} role="img" aria-label={`The weld along its length, ${strip.marks.length} indications`} style={{ display: "block", cursor: onCursor ? "crosshair" : "default" }} onClick={pick}>
        <defs>
          <pattern id="hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <path d="M0 0v7" stroke={ink.text} strokeWidth="2.2" />
          </pattern>
          <pattern id="untried" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <path d="M0 0v8" stroke="#c3ccd1" strokeWidth="1.5" />
          </pattern>
        </defs>
        <Ruler length={strip.length} ticks={strip.ticks} x={x} gutter={gutter} />
        {before > 0 && <BeforeLane quiet={quiet} x={x} end={end} />}
        {strip.gaps.map((g, i) => (
          <g key={i}>
            <rect x={x(g.from)} y={rulerHeight - 6} width={Math.max(2, x(g.to) - x(g.from))} height={lanes.reduce((h, l) => h + l.height + gap, before) + 6} fill={ink.chalk} fillOpacity=".16" />
            <text x={Math.min(Math.max((x(g.from) + x(g.to)) / 2, gutter + 30), end - 30)} y={rulerHeight + 14} textAnchor="middle" fontSize="13" fontWeight="700" fill={ink.open}>{g.label}</text>
          </g>
        ))}
        {lanes.map((lane) => (
          <g key={lane.id}>
            <text x={gutter - 10} y={lane.top + lane.height / 2 + 5} textAnchor="end" fontSize="15" fontWeight="600" fill={ink.text}>
              {lane.name}
            </text>
            <rect x={gutter} y={lane.top} width={end - gutter} height={lane.height} fill={lane.id === "base" ? "none" : lane.id === "face" ? "#eef1f3" : "#f6f8f9"} stroke={ink.line} strokeDasharray={lane.id === "base" ? "3 4" : undefined} />
            {ghosts.filter((g) => g.lane === lane.id).map((g, i) => (
              <rect key={`ghost${i}`} data-ghost={g.kind} x={x(g.from) - 3} y={lane.top + 1} width={Math.max(6, x(g.to) - x(g.from) + 6)} height={lane.height - 2} rx="3" fill="none" stroke={ink.layout} strokeWidth="2.5" strokeDasharray="6 4">
                <title>{`understood: ${g.kind} ${g.label}`}</title>
              </rect>
            ))}
            <Marks end={end} marks={strip.marks.filter((m) => m.lane === lane.id)} lane={lane} x={x} onMark={onMark} />
          </g>
        ))}
        {brackets.map((b, i) => {
          const top = bracketsTop + i * bracketHeight + 6;
          const colour = b.rejects ? ink.reject : ink.quiet;
          const middle = Math.min(Math.max((x(b.from) + x(b.to)) / 2, gutter + b.label.length * 3.7), end - b.label.length * 3.7);
          return (
            <g key={i}>
              <path d={`M${x(b.from)} ${top - 6}v7H${x(b.to)}v-7`} fill="none" stroke={colour} strokeWidth={b.rejects ? 3 : 1.5} />
              <text x={middle} y={top + 16} textAnchor="middle" fontSize="14" fontWeight="700" fill={colour}>
                {`${b.rejects ? "✕ " : ""}${b.label}`}
              </text>
            </g>
          );
        })}
        <text x={gutter - 10} y={sizeTop + sizeHeight / 2 + 5} textAnchor="end" fontSize="15" fontWeight="600" fill={ink.text}>
          {strip.bands.length > 0 ? "size" : "read at"}
        </text>
        {strip.bands.map((b, i) => (
          <Band key={i} band={b} x={x} top={sizeTop} />
        ))}
        {strip.stations.map((s) => (
          <g key={s.reading}>
            <path d={`M${x(s.at)} ${sizeTop - 3}l6 -8h-12z`} fill={s.rejects ? ink.reject : ink.layout} />
            <path d={`M${x(s.at)} ${sizeTop - 3}v${sizeHeight + 6}`} stroke={s.rejects ? ink.reject : ink.layout} strokeWidth={s.rejects ? 2.5 : 1.5} />
          </g>
        ))}
        <g>
          <path d={`M${x(cursor)} ${rulerHeight - 8}V${sizeTop + sizeHeight + 4}`} stroke="#8a6500" strokeWidth="4" opacity=".35" />
          <path d={`M${x(cursor)} ${rulerHeight - 8}V${sizeTop + sizeHeight + 4}`} stroke={ink.chalk} strokeWidth="2" />
          <rect x={Math.min(Math.max(x(cursor) - 38, gutter - 38), end - 38)} y={sizeTop + sizeHeight + 4} width="76" height="24" rx="5" fill={ink.chalk} />
          <text x={Math.min(Math.max(x(cursor), gutter), end)} y={sizeTop + sizeHeight + 21} textAnchor="middle" fontSize="15" fontWeight="800" fill={ink.text}>
            {showPlace(cursor, units)} {units}
          </text>
        </g>
      </svg>
    </div>
  );
}

/** The lanes under each other, from the ruler down. */
function laid(lanes: Strip["lanes"], from: number) {
  const heights = lanes.map((l) => laneHeight[l.id] ?? 34);
  return lanes.map((lane, i) => ({
    ...lane,
    height: heights[i] ?? 34,
    top: heights.slice(0, i).reduce((y, h) => y + h + gap, from),
  }));
}

/** What was seen before the last look, kept quiet: a start opens, a stop closes, what was found along it is outlined. */
function BeforeLane({ quiet, x, end }: { quiet: Quiet[]; x: (mm: number) => number; end: number }) {
  const y = rulerHeight + beforeHeight / 2 - 2;
  return (
    <g>
      <text x={gutter - 10} y={y + 5} textAnchor="end" fontSize="13" fill={ink.quiet}>before</text>
      <path d={`M${gutter} ${y}H${end}`} stroke={ink.line} strokeWidth="1.5" />
      {quiet.map((m, i) => {
        const middle = (x(m.from) + x(m.to)) / 2;
        const half = Math.max(8, (x(m.to) - x(m.from)) / 2 + 4);
        return (
          <g key={i}>
            <title>{m.label}</title>
            {m.kind === "start" && <path d={`M${x(m.from)} ${y - 7}v14m0 -7h8m-4 -4l4 4-4 4`} stroke={ink.quiet} strokeWidth="2" fill="none" />}
            {m.kind === "stop" && <path d={`M${x(m.from)} ${y - 7}v14M${x(m.from) - 8} ${y}h8`} stroke={ink.quiet} strokeWidth="2" fill="none" />}
            {m.kind === "stacked" && <rect x={middle - half} y={y - 10} width={half * 2} height={20} rx="6" fill="none" stroke={ink.open} strokeWidth="2.5" strokeDasharray="4 3" />}
            {m.kind === "remark" && (
              <>
                <rect x={middle - half} y={y - 9} width={half * 2} height={18} rx="4" fill={ink.openSoft} stroke={ink.open} strokeWidth="1.5" />
                <text x={middle} y={y + 5} textAnchor="middle" fontSize="14" fontWeight="800" fill={ink.open}>!</text>
              </>
            )}
          </g>
        );
      })}
    </g>
  );
}

const bandFill: Record<string, string> = {
  goes: ink.acceptSoft,
  smaller: ink.openSoft,
  marked: ink.openSoft,
  untried: "url(#untried)",
  unwelded: "#ffffff",
};

function Band({ band, x, top }: { band: Strip["bands"][number]; x: (mm: number) => number; top: number }) {
  const width = Math.max(2, x(band.to) - x(band.from));
  const label = band.label;
  const short = label.replace("least ", "");
  const lettering = [label, short].find((l) => width > l.length * 7.5 + 8);
  const known = band.state === "goes";
  return (
    <g>
      <title>{label}</title>
      <rect x={x(band.from)} y={top} width={width} height={sizeHeight} fill={bandFill[band.state] ?? "#fff"} stroke={known ? ink.accept : ink.none} strokeDasharray={known ? undefined : "4 3"} />
      {lettering && (
        <text x={x(band.from) + width / 2} y={top + 22} textAnchor="middle" fontSize="14" fontWeight="600" fill={known ? ink.accept : band.state === "untried" ? ink.quiet : ink.open} stroke="#fff" strokeWidth="5" paintOrder="stroke">
          {lettering}
        </text>
      )}
    </g>
  );
}

type LaneBox = { id: string; top: number; height: number };

function Marks({ marks, lane, x, end, onMark }: { marks: Mark[]; lane: LaneBox; x: (mm: number) => number; end: number; onMark?: (i: number) => void }) {
  return (
    <>
      {lettered(marks, lane, x, end).map(({ mark: m, label, at, anchor }, i) => {
        const colour = m.rejects ? ink.reject : ink.text;
        return (
          <g
            key={i}
            style={{ cursor: onMark ? "pointer" : undefined }}
            onClick={(e) => {
              if (!onMark) return;
              e.stopPropagation();
              onMark(m.indication);
            }}
          >
            <title>{`${m.kind.replace(/-/g, " ")} ${m.label}`}</title>
            <Shape mark={m} lane={lane} x={x} colour={colour} />
            {label && (
              <text x={at} y={labelY(m, lane)} textAnchor={anchor} fontSize="14" fontWeight="700" fill={colour} stroke="#fff" strokeWidth="4" paintOrder="stroke">
                {label}
              </text>
            )}
          </g>
        );
      })}
    </>
  );
}

type Lettered = { mark: Mark; label: string; at: number; anchor: "start" | "middle" };

/** The marks from the datum on, each with its lettering where that is free of the one before. */
function lettered(marks: Mark[], lane: LaneBox, x: (mm: number) => number, right: number): Lettered[] {
  let end = -Infinity;
  return [...marks]
    .sort((a, b) => a.from - b.from)
    .map((mark) => {
      const label = [shortName(mark.kind, lane.id), mark.label].filter(Boolean).join(" ");
      const wide = label.length * 7.4 + 6;
      const beside = besideTheShape.includes(mark.kind);
      const middle = Math.min(Math.max((x(mark.from) + x(mark.to)) / 2, gutter + wide / 2), Math.max(right - wide / 2, gutter + wide / 2));
      const at = beside ? Math.min(x(mark.to) + 14, right - wide) : middle;
      const left = beside ? at : at - wide / 2;
      const free = left > end;
      if (free) end = left + wide;
      return { mark, label: free ? label : "", at, anchor: beside ? "start" : "middle" };
    });
}

/** Small shapes are lettered beside themselves, or nothing of them would be seen. */
const besideTheShape = ["crack", "crater", "arc-strike", "not-as-drawn", "burn-through", "short-weld"];

const shown: Record<string, string> = {
  crack: "crack",
  "incomplete-fusion": "no fusion",
  slag: "slag",
  spatter: "spatter",
  underfill: "underfill",
  crater: "crater",
  "arc-strike": "arc strike",
  overlap: "overlap",
  "not-as-drawn": "not as drawn",
  "burn-through": "burn-through",
  "melt-through": "melt-through",
  "root-concavity": "concave root",
  "incomplete-penetration": "no penetration",
  misalignment: "offset",
  "short-weld": "",
};

function shortName(kind: string, lane: string): string {
  return kind === "undercut" || kind === "porosity" ? (lane === "root" ? kind : "") : (shown[kind] ?? kind);
}

function labelY(m: Mark, lane: LaneBox): number {
  const depth = Math.min(deepest, Math.max(5, m.depth * depthScale));
  if (m.kind === "undercut" && lane.id === "A") return lane.top + Math.min(depth + 15, lane.height - 3);
  if (m.kind === "undercut" && lane.id === "B") return lane.top + Math.max(14, lane.height - depth - 5);
  if (m.kind === "porosity") return lane.top + lane.height - 4;
  return lane.top + lane.height / 2 + 5;
}

function Shape({ mark, lane, x, colour }: { mark: Mark; lane: LaneBox; x: (mm: number) => number; colour: string }) {
  const from = x(mark.from);
  const to = Math.max(x(mark.to), from + 3);
  const middle = lane.top + lane.height / 2;
  switch (mark.kind) {
    case "undercut": {
      const depth = Math.min(deepest, Math.max(4, mark.depth * depthScale));
      const edge = lane.id === "B" ? lane.top + lane.height : lane.top;
      const into = lane.id === "B" ? -depth : depth;
      const run = Math.min(6, (to - from) / 3);
      return <path d={`M${from} ${edge}Q${from + run / 2} ${edge + into} ${from + run} ${edge + into}H${to - run}Q${to - run / 2} ${edge + into} ${to} ${edge}z`} fill={mark.rejects ? colour : "#8d6b6b"} />;
    }
    case "porosity": {
      const r = Math.min(9, Math.max(3.5, mark.depth * 2.6));
      const dots = to - from > 4 * r ? [from + r, (from + to) / 2, to - r] : [(from + to) / 2];
      return (
        <g fill="#fff" stroke={colour} strokeWidth="2.5">
          {dots.map((c, i) => (
            <circle key={i} cx={c} cy={lane.top + 11} r={r} />
          ))}
        </g>
      );
    }
    case "crack":
      return <path d={`M${from - 9} ${middle - 2}l4 -7 5 13 5 -12 5 11 ${Math.max(2, to - from)} -5`} fill="none" stroke={colour} strokeWidth="2.8" strokeLinejoin="round" />;
    case "overlap": {
      const edge = lane.id === "B" ? lane.top + lane.height : lane.top;
      const s = lane.id === "B" ? -1 : 1;
      return <path d={`M${from} ${edge}q0 ${13 * s} 8 ${13 * s}H${to - 8}q8 0 8 ${-13 * s}`} fill="#fff" stroke={colour} strokeWidth="2.5" />;
    }
    case "slag":
      return <rect x={from} y={lane.top + 4} width={to - from} height={lane.height - 8} fill="url(#hatch)" stroke={colour} strokeWidth="2" opacity=".75" />;
    case "spatter":
      return <path d={`M${from} ${middle - 8}H${to}M${from} ${middle + 8}H${to}`} stroke={colour} strokeWidth="3" strokeDasharray="1 9" strokeLinecap="round" />;
    case "crater":
      return (
        <g fill="none" stroke={colour} strokeWidth="2.5">
          <circle cx={from} cy={middle} r="10" fill="#fff" />
          <path d={`M${from - 5} ${middle - 5}l10 10m0 -10l-10 10`} />
        </g>
      );
    case "arc-strike":
    case "not-as-drawn":
      return <path d={`M${from} ${lane.top + 2}l3 9h9l-7 6 3 9-8-6-8 6 3-9-7-6h9z`} transform={`translate(-1 -1) `} fill="#fff" stroke={colour} strokeWidth="2" />;
    default:
      return <rect x={from} y={lane.top + 5} width={to - from} height={lane.height - 10} fill="#fff" stroke={colour} strokeWidth="2.5" strokeDasharray="5 3" />;
  }
}
