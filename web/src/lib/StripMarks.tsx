import { memo, type SVGProps } from "react";
import { ink } from "../theme";
import type { Strip } from "./api";
import { deepest, depthScale, outlineOf } from "./mark-outline";
import type { LaneBox } from "./strip-layout";

type Mark = Strip["marks"][number];

type Props = {
  marks: Mark[];
  lane: LaneBox;
  x: (mm: number) => number;
  left: number;
  right: number;
  chosen: Set<number>;
  onMark?: (i: number) => void;
};

/** The indications of one lane, each a shape of its own, lettered where there is room. */
export function Marks({ marks, lane, x, left, right, chosen, onMark }: Props) {
  return (
    <>
      {lettered(marks, lane, x, left, right).map(({ mark: m, label, at, anchor }) => (
        <OneMark
          key={`${m.indication}${m.from <= 1e-6 ? " from the datum" : ""}`}
          mark={m}
          lane={lane}
          from={x(m.from)}
          to={x(m.to)}
          label={label}
          at={at}
          anchor={anchor}
          chosen={chosen.has(m.indication)}
          onMark={onMark}
        />
      ))}
    </>
  );
}

type OneProps = {
  mark: Mark;
  lane: LaneBox;
  from: number;
  to: number;
  label: string;
  at: number;
  anchor: "start" | "middle";
  chosen: boolean;
  onMark?: (i: number) => void;
};

/** Among hundreds, only what changed is drawn again. */
const OneMark = memo(function OneMark({ mark: m, lane, from, to, label, at, anchor, chosen, onMark }: OneProps) {
  const colour = m.rejects ? ink.reject : ink.text;
  return (
    <g
      data-mark={m.kind}
      cursor={onMark ? "pointer" : undefined}
      onClick={(e) => {
        if (!onMark) return;
        e.stopPropagation();
        onMark(m.indication);
      }}
    >
      <title>{`${m.kind.replace(/-/g, " ")} ${m.label}`}</title>
      {chosen && (
        <rect
          x={from - 5}
          y={lane.top - 1}
          width={to - from + 10}
          height={lane.height + 2}
          rx="4"
          fill="none"
          stroke={ink.chalkDeep}
          strokeWidth="2.5"
        />
      )}
      <Shape mark={m} lane={lane} from={from} to={Math.max(to, from + 3)} colour={colour} />
      {label && (
        <text
          x={at}
          y={labelY(m, lane)}
          textAnchor={anchor}
          fontSize="14"
          fontWeight="700"
          fill={colour}
          stroke={ink.paper}
          strokeWidth="4"
          paintOrder="stroke"
        >
          {label}
        </text>
      )}
    </g>
  );
}, isDrawnAlike);

function isDrawnAlike(a: OneProps, b: OneProps): boolean {
  return (
    a.from === b.from &&
    a.to === b.to &&
    a.label === b.label &&
    a.at === b.at &&
    a.anchor === b.anchor &&
    a.chosen === b.chosen &&
    a.onMark === b.onMark &&
    a.lane.top === b.lane.top &&
    a.lane.height === b.lane.height &&
    a.mark.kind === b.mark.kind &&
    a.mark.shape === b.mark.shape &&
    a.mark.depth === b.mark.depth &&
    a.mark.label === b.mark.label &&
    a.mark.rejects === b.mark.rejects &&
    a.mark.indication === b.mark.indication
  );
}

type Lettered = { mark: Mark; label: string; at: number; anchor: "start" | "middle" };

/** The marks from the datum on, each with its lettering where that is free of the one before. */
function lettered(marks: Mark[], lane: LaneBox, x: (mm: number) => number, left: number, right: number): Lettered[] {
  let end = -Infinity;
  return [...marks]
    .sort((a, b) => a.from - b.from)
    .map((mark) => {
      const label = [shortName(mark.kind, lane.id), mark.label].filter(Boolean).join(" ");
      const wide = label.length * 7.4 + 6;
      const beside = besideTheShape.includes(mark.shape) || mark.from === mark.to;
      const from = Math.max(left, x(mark.from));
      const to = Math.min(right, x(mark.to));
      const middle = Math.min(Math.max((from + to) / 2, left + wide / 2), Math.max(right - wide / 2, left + wide / 2));
      const room = x(mark.to) + 14 + wide <= right;
      const at = beside ? (room ? x(mark.to) + 14 : Math.max(left, x(mark.from) - 14 - wide)) : middle;
      const begins = beside ? at : at - wide / 2;
      const free = begins > end;
      if (free) end = begins + wide;
      return { mark, label: free ? label : "", at, anchor: beside ? "start" : "middle" };
    });
}

/** Small shapes are lettered beside themselves, or nothing of them would be seen. */
const besideTheShape: Mark["shape"][] = ["CRACK", "CRACK_ACROSS", "CRACK_STAR", "RING", "STAR"];

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
  "base-metal-damage": "base metal",
  "short-weld": "",
};

function shortName(kind: string, lane: string): string {
  return kind === "undercut" || kind === "porosity" ? (lane === "root" ? kind : "") : (shown[kind] ?? kind);
}

function labelY(m: Mark, lane: LaneBox): number {
  const depth = Math.min(deepest, Math.max(5, m.depth * depthScale));
  if (m.shape === "NOTCH" && lane.id === "A") return lane.top + Math.min(depth + 15, lane.height - 3);
  if (m.shape === "NOTCH" && lane.id === "B") return lane.top + Math.max(14, lane.height - depth - 5);
  if (m.shape === "PORES") return lane.top + lane.height - 4;
  return lane.top + lane.height / 2 + 5;
}

type ShapeProps = { mark: Mark; lane: LaneBox; from: number; to: number; colour: string };

function Shape({ mark, lane, from, to, colour }: ShapeProps) {
  const { path, circles = [], box } = outlineOf(mark.shape, mark.depth, lane, from, to);
  const look = looks(mark, colour);
  return (
    <g strokeLinejoin="round" {...look}>
      {circles.map((c, i) => (
        <circle key={i} cx={c.x} cy={c.y} r={c.r} fill={ink.paper} />
      ))}
      {path !== undefined && <path d={path} fill={circles.length > 0 ? "none" : look.fill} />}
      {box && <rect {...box} />}
    </g>
  );
}

/** What fills a shape and how its line is drawn; paper has the same. */
function looks(mark: Mark, colour: string): SVGProps<SVGGElement> {
  switch (mark.shape) {
    case "NOTCH":
      return { fill: mark.rejects ? colour : ink.notch, stroke: "none" };
    case "CRACK":
    case "CRACK_ACROSS":
    case "CRACK_STAR":
      return { fill: "none", stroke: colour, strokeWidth: 2.8 };
    case "HATCH":
      return { fill: "url(#hatch)", stroke: colour, strokeWidth: 2, opacity: 0.75 };
    case "DOTS":
      return { fill: "none", stroke: colour, strokeWidth: 3, strokeDasharray: "1 9", strokeLinecap: "round" };
    case "STAR":
      return { fill: ink.paper, stroke: colour, strokeWidth: 2 };
    case "BOX":
      return { fill: ink.paper, stroke: colour, strokeWidth: 2.5, strokeDasharray: "5 3" };
    case "PORES":
    case "ROLL":
    case "RING":
      return { fill: ink.paper, stroke: colour, strokeWidth: 2.5 };
  }
}
