import { Button } from "antd";
import {
  useCallback,
  memo,
  useRef,
  useState,
  type KeyboardEvent,
  type PointerEvent,
  type ReactNode,
  type WheelEvent,
} from "react";
import { ink } from "../theme";
import type { Bench, Photo, Strip } from "./api";
import { showPlace } from "./place";
import { Ruler } from "./Ruler";
import { SizeLane } from "./SizeLane";
import { Marks } from "./StripMarks";
import { useSize } from "./useSize";
import { markOf, onTape, ticksFor, useView, type View } from "./view";

type Quiet = Bench["quiet"][number];

/** A stretch that a finger drew, mm from the datum, onto the tape's marks. */
export type Drawn = { lane: string; from: number; to: number };

type Props = {
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
  /** What stands beside the zoom under the strip. */
  beside?: ReactNode;
};

const gutter = 104;
const right = 18;
const rulerHeight = 34;
const laneHeight: Record<string, number> = { A: 36, face: 32, B: 36, root: 32, base: 24 };
const gap = 4;
const sizeHeight = 38;
const bracketHeight = 34;
const beforeHeight = 24;
const photoHeight = 42;
/** A finger's touch moves a little; only what moves more draws. */
const slip = 8;
const fingertip = 22;

/** The weld unrolled along its length, from the datum; built from the numbers that the core gives. */
export function StripView(props: Props) {
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

  // a stretch drawn with a flick would else be taken for the throw of a page, which swallows the next tap
  const draws = onDraw !== undefined;
  const withoutThrow = useCallback(
    (svg: SVGSVGElement | null) => {
      if (!svg || !draws) return undefined;
      const hold = (e: TouchEvent) => e.preventDefault();
      svg.addEventListener("touchmove", hold, { passive: false });
      return () => svg.removeEventListener("touchmove", hold);
    },
    [draws],
  );
  const finger = useRef<
    | { x: number; y: number; lane?: string; ruler: boolean; at: number; fixed?: number; moved: boolean; view: View }
    | undefined
  >(undefined);
  const touches = useRef(new Map<number, number>());
  const drawnTo = (at: number, fixed: number, lane: string) =>
    onDraw?.({
      lane,
      from: onTape(Math.min(at, fixed), units),
      to: Math.min(strip.length, onTape(Math.max(at, fixed), units)),
    });
  const down = (e: PointerEvent<SVGSVGElement>) => {
    const box = e.currentTarget.getBoundingClientRect();
    const px = e.clientX - box.left;
    const py = e.clientY - box.top;
    touches.current.set(e.pointerId, px);
    if (touches.current.size > 1) {
      finger.current = undefined;
      return;
    }
    const lane =
      layout.lanes.find((l) => py >= l.top - gap / 2 && py < l.top + l.height + gap / 2)?.id ??
      (layout.size && py >= layout.sizeTop && py <= layout.sizeTop + sizeHeight ? "size" : undefined);
    const grip = drawn && drawn.lane === lane ? [drawn.from, drawn.to].map((p) => Math.abs(x(p) - px)) : undefined;
    const held = grip && Math.min(...grip) <= fingertip ? (grip[0] ?? 0) <= (grip[1] ?? 0) : undefined;
    finger.current = {
      x: px,
      y: py,
      ...(lane ? { lane } : {}),
      ruler: py < rulerHeight,
      at: mm(px),
      moved: false,
      view,
      ...(held === undefined || !drawn ? {} : { fixed: held ? drawn.to : drawn.from }),
    };
  };
  const move = (e: PointerEvent<SVGSVGElement>) => {
    const px = e.clientX - e.currentTarget.getBoundingClientRect().left;
    const before = touches.current.get(e.pointerId);
    if (before !== undefined && touches.current.size === 2) {
      const other = [...touches.current].find(([id]) => id !== e.pointerId)?.[1] ?? px;
      const [was2, now] = [Math.abs(before - other), Math.abs(px - other)];
      touches.current.set(e.pointerId, px);
      if (was2 > 10 && now > 10) zoom(was2 / now, mm((px + other) / 2));
      return;
    }
    const f = finger.current;
    if (!f || before === undefined) return;
    if (!f.moved && Math.abs(px - f.x) < slip) return;
    if (!f.moved) {
      f.moved = true;
      e.currentTarget.setPointerCapture?.(e.pointerId);
    }
    if (f.ruler) {
      pan((before - px) / scale);
      touches.current.set(e.pointerId, px);
    } else if (f.lane && onDraw) drawnTo(mm(px), f.fixed ?? f.at, f.lane);
  };
  const swallow = useRef(false);
  const up = (e: PointerEvent<SVGSVGElement>) => {
    touches.current.delete(e.pointerId);
    swallow.current = finger.current?.moved ?? false;
    finger.current = undefined;
  };
  const pick = (e: { clientX: number; currentTarget: SVGSVGElement }) => {
    if (swallow.current) {
      swallow.current = false;
      return;
    }
    onCursor?.(mm(e.clientX - e.currentTarget.getBoundingClientRect().left));
  };
  const wheel = (e: WheelEvent<SVGSVGElement>) => {
    if (e.ctrlKey || e.altKey)
      zoom(e.deltaY > 0 ? 1.25 : 0.8, mm(e.clientX - e.currentTarget.getBoundingClientRect().left));
    else if (e.shiftKey || Math.abs(e.deltaX) > Math.abs(e.deltaY)) pan((e.deltaX || e.deltaY) / scale);
  };
  const goTo = (at: number) => {
    const there = Math.min(strip.length, Math.max(0, at));
    onCursor?.(there);
    reach(there);
  };
  const key = (e: KeyboardEvent) => {
    const step = e.shiftKey ? markOf(units) * (units === "mm" ? 10 : 8) : markOf(units);
    const stops = [...strip.marks.map((m) => m.from), ...strip.stations.map((s) => s.at)].sort((a, b) => a - b);
    const keys: Record<string, () => void> = {
      ArrowLeft: () => goTo(onTape(cursor, units) - step),
      ArrowRight: () => goTo(onTape(cursor, units) + step),
      Home: () => goTo(0),
      End: () => goTo(strip.length),
      PageDown: () => goTo(stops.find((s) => s > cursor + 0.01) ?? strip.length),
      PageUp: () => goTo(stops.findLast((s) => s < cursor - 0.01) ?? 0),
      "+": () => zoom(0.5, cursor),
      "=": () => zoom(0.5, cursor),
      "-": () => zoom(2, cursor),
      "0": whole,
    };
    const act = keys[e.key];
    if (!act || e.ctrlKey || e.metaKey || e.altKey) return;
    e.preventDefault();
    act();
  };
  const tag = Math.min(Math.max(x(cursor), gutter + 4), end - 4);
  return (
    <div ref={ref} className="stripview">
      <div
        tabIndex={0}
        role="group"
        aria-label="Strip: arrows move the cursor, Page up and Page down go from mark to mark, plus and minus zoom, 0 shows the whole weld"
        onKeyDown={key}
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
          onClick={pick}
          onPointerDown={down}
          onPointerMove={move}
          onPointerUp={up}
          onPointerCancel={up}
          onWheel={wheel}
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
              <rect x={Math.min(tag - 38, width - 77)} y="0" width="76" height="24" rx="5" fill={ink.chalk} />
              <text
                x={Math.min(tag, width - 39)}
                y="17"
                textAnchor="middle"
                fontSize="15"
                fontWeight="800"
                fill={ink.onChalk}
              >
                {showPlace(cursor, units)} {units}
              </text>
            </g>
          )}
        </svg>
      </div>
      <div className="viewing">
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
      </div>
    </div>
  );
}

type Layout = ReturnType<typeof layOut>;

/** Where each row stands, from the ruler down. */
function layOut({ strip, quiet = [], photos = [], chosen }: Pick<Props, "strip" | "quiet" | "photos" | "chosen">) {
  const before = quiet.length > 0 || strip.gaps.length > 0 ? beforeHeight : 0;
  let y = rulerHeight + before;
  const lanes = strip.lanes.map((lane) => {
    const height = laneHeight[lane.id] ?? 34;
    const box = { ...lane, height, top: y };
    y += height + gap;
    return box;
  });
  const pictures = photos.some((p) => !p.withdrawn) ? y : undefined;
  if (pictures !== undefined) y += photoHeight;
  const mine = strip.brackets.filter((b) => b.finding === chosen?.finding);
  const windows = strip.brackets.filter((b) => b.windowed);
  const rejecting = windows.filter((b) => b.rejects);
  const brackets = mine.length > 0 ? mine : rejecting.length > 0 ? rejecting : windows.slice(0, 1);
  const rows = new Set(brackets.map((b) => b.finding)).size;
  const bracketsTop = y;
  const sizeTop = bracketsTop + rows * bracketHeight + 10;
  return {
    before,
    lanes,
    pictures,
    brackets,
    bracketsTop,
    sizeTop,
    size: strip.bands.length > 0,
    height: sizeTop + sizeHeight + 6,
  };
}

/** All that stays as it is while the cursor moves: with hundreds of indications, drawing it again for each key would be felt. */
const Still = memo(function Still({
  width,
  from,
  to,
  ...props
}: Omit<Props, "beside" | "cursor" | "onCursor" | "onDraw" | "drawn"> & { width: number } & View) {
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
      {layout.before > 0 && (
        <text x={gutter - 10} y={rulerHeight + beforeHeight / 2 + 3} textAnchor="end" fontSize="13" fill={ink.quiet}>
          before
        </text>
      )}
      <g clipPath="url(#inview)">
        {layout.before > 0 && (
          <BeforeLane quiet={quiet.filter((q) => isIn(q.from, q.to))} x={x} left={gutter} end={end} />
        )}
        {inspectedAt.map((s, i) => (
          <rect
            key={`look${i}`}
            data-reinspected
            x={x(s.from)}
            y={rulerHeight + 2}
            width={Math.max(2, x(s.to) - x(s.from))}
            height={layout.sizeTop - rulerHeight}
            fill={ink.layout}
            fillOpacity=".07"
            stroke={ink.layout}
            strokeDasharray="7 5"
          >
            <title>re-inspected</title>
          </rect>
        ))}
        {worked.map((s, i) => (
          <g key={`work${i}`} data-worked>
            <rect
              x={x(s.from)}
              y={rulerHeight - 6}
              width={Math.max(3, x(s.to) - x(s.from))}
              height={layout.sizeTop - rulerHeight + 6}
              fill={ink.chalk}
              fillOpacity=".22"
              stroke={ink.chalkDeep}
            />
            <title>repaired</title>
          </g>
        ))}
        {strip.gaps
          .filter((g) => isIn(g.from, g.to))
          .map((g, i) => (
            <g key={i}>
              <rect
                x={x(g.from)}
                y={rulerHeight - 6}
                width={Math.max(2, x(g.to) - x(g.from))}
                height={layout.lanes.reduce((h, l) => h + l.height + gap, layout.before) + 6}
                fill={ink.chalk}
                fillOpacity=".16"
              />
              <text
                x={Math.min(Math.max((x(g.from) + x(g.to)) / 2, gutter + 30), end - 30)}
                y={rulerHeight + 14}
                textAnchor="middle"
                fontSize="13"
                fontWeight="700"
                fill={ink.open}
              >
                {g.label}
              </text>
            </g>
          ))}
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
        {layout.brackets.map((b, i) => {
          const row = new Set(layout.brackets.slice(0, i + 1).map((p) => p.finding)).size - 1;
          const top = layout.bracketsTop + row * bracketHeight + 6;
          const colour = b.rejects ? ink.reject : ink.quiet;
          const half = b.label.length * 3.7 + 8;
          const a = Math.max(gutter, x(b.from));
          const z = Math.min(end, x(b.to));
          const middle = Math.min(Math.max((a + z) / 2, gutter + half), end - half);
          const wide = Math.max(z - a, 10);
          return (
            <g key={i} data-bracket={b.finding}>
              <path
                d={`M${(a + z - wide) / 2} ${top - 6}v7h${wide}v-7`}
                fill="none"
                stroke={colour}
                strokeWidth={b.rejects ? 3 : 1.5}
              />
              {(i === 0 || layout.brackets[i - 1]?.finding !== b.finding) && (
                <text x={middle} y={top + 16} textAnchor="middle" fontSize="14" fontWeight="700" fill={colour}>
                  {`${b.rejects ? "✕ " : ""}${b.label}`}
                </text>
              )}
            </g>
          );
        })}
        <SizeLane strip={strip} x={x} left={gutter} right={end} top={layout.sizeTop} height={sizeHeight} />
        {next !== undefined && (
          <path d={`M${x(next)} ${rulerHeight - 2}l7 -8h-14z`} fill={ink.chalk} stroke={ink.text} strokeWidth="1.5">
            <title>next to inspect</title>
          </path>
        )}
      </g>
    </>
  );
});

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

type PicturesProps = {
  photos: Photo[];
  look: string;
  x: (mm: number) => number;
  top: number;
  end: number;
  onPhoto?: (photo: Photo) => void;
};

/** Pictures at their places; those that would lie on each other stand beside. */
function Pictures({ photos, look, x, top, end, onPhoto }: PicturesProps) {
  return (
    <g>
      {besideEachOther(photos, x, end).map(({ p, left }) => {
        return (
          <g
            key={p.id}
            data-photo={p.id}
            style={{ cursor: "pointer" }}
            onClick={(e) => {
              e.stopPropagation();
              onPhoto?.(p);
            }}
          >
            <title>{`picture at ${p.label ?? "its entry"}, ${p.by}`}</title>
            <path d={`M${x(p.at)} ${top - 2}L${left + 24} ${top + 4}`} stroke={ink.quiet} strokeWidth="1.5" />
            <rect
              x={left}
              y={top + 3}
              width="48"
              height="36"
              rx="4"
              fill={ink.lane}
              stroke={ink.text}
              strokeWidth="1.5"
            />
            <image
              href={`/api/inspections/${look}/photos/${p.id}/thumbnail`}
              x={left + 1}
              y={top + 4}
              width="46"
              height="34"
              preserveAspectRatio="xMidYMid slice"
            />
          </g>
        );
      })}
    </g>
  );
}

function besideEachOther(photos: Photo[], x: (mm: number) => number, end: number) {
  let free = gutter;
  return [...photos]
    .sort((a, b) => a.at - b.at)
    .map((p) => {
      const left = Math.min(Math.max(free, x(p.at) - 24), end - 48);
      free = left + 52;
      return { p, left };
    });
}

/** The whole weld in little, with the part in view; a touch goes there. */
function Overview({
  strip,
  view,
  units,
  onGo,
}: {
  strip: Strip;
  view: View;
  units: string;
  onGo: (mm: number) => void;
}) {
  const share = (mm: number) => `${(mm / strip.length) * 100}%`;
  return (
    <button
      type="button"
      className="overview"
      aria-label={`In view: ${showPlace(view.from, units)} to ${showPlace(view.to, units)} of ${showPlace(strip.length, units)} ${units}; a touch goes there`}
      onClick={(e) => {
        const box = e.currentTarget.getBoundingClientRect();
        onGo(((e.clientX - box.left) / box.width) * strip.length);
      }}
    >
      {strip.marks.map((m, i) => (
        <i
          key={i}
          className={m.rejects ? "bad" : ""}
          style={{ left: share(m.from), width: `max(3px, ${share(m.to - m.from)})` }}
        />
      ))}
      <b style={{ left: share(view.from), width: share(view.to - view.from) }} />
      <span>
        {showPlace(view.from, units)}–{showPlace(view.to, units)} of {showPlace(strip.length, units)} {units}
      </span>
    </button>
  );
}

/** What was seen before the last inspection, kept quiet: a start opens, a stop closes, what was found along it is outlined. */
function BeforeLane({ quiet, x, left, end }: { quiet: Quiet[]; x: (mm: number) => number; left: number; end: number }) {
  const y = rulerHeight + beforeHeight / 2 - 2;
  return (
    <g>
      <path d={`M${left} ${y}H${end}`} stroke={ink.line} strokeWidth="1.5" />
      {quiet.map((m, i) => {
        const middle = (x(m.from) + x(m.to)) / 2;
        const half = Math.max(8, (x(m.to) - x(m.from)) / 2 + 4);
        return (
          <g key={i}>
            <title>{m.label}</title>
            {m.kind === "start" && (
              <path
                d={`M${x(m.from)} ${y - 7}v14m0 -7h8m-4 -4l4 4-4 4`}
                stroke={ink.quiet}
                strokeWidth="2"
                fill="none"
              />
            )}
            {m.kind === "stop" && (
              <path
                d={`M${x(m.from)} ${y - 7}v14M${x(m.from) - 8} ${y}h8`}
                stroke={ink.quiet}
                strokeWidth="2"
                fill="none"
              />
            )}
            {m.kind === "stacked" && (
              <rect
                x={middle - half}
                y={y - 10}
                width={half * 2}
                height={20}
                rx="6"
                fill="none"
                stroke={ink.open}
                strokeWidth="2.5"
                strokeDasharray="4 3"
              />
            )}
            {m.kind === "remark" && (
              <>
                <rect
                  x={middle - half}
                  y={y - 9}
                  width={half * 2}
                  height={18}
                  rx="4"
                  fill={ink.openSoft}
                  stroke={ink.open}
                  strokeWidth="1.5"
                />
                <text x={middle} y={y + 5} textAnchor="middle" fontSize="14" fontWeight="800" fill={ink.open}>
                  !
                </text>
              </>
            )}
          </g>
        );
      })}
    </g>
  );
}
