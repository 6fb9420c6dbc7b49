import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { api, saidBy, type Section } from "../lib/api";
import type { ScanSection } from "../lib/api-scan";
import { ink } from "../theme";
import { showPlace } from "../lib/place";
import { useSize } from "../lib/useSize";
import { lengthIn, measureWords } from "./words";

type Props = { inspection: string; scan: string; cursor: number; units: string; drawn: Section };
type At = { x: number; y: number };

/** What lies farther from the cursor, mm, is not what is under it. */
const farther = 4;

/** The scanned profile nearest to the cursor, with the lines that were laid over it and what was read from them. */
export function ScannedSection({ inspection, scan, cursor, units, drawn }: Props) {
  const section = useQuery({
    queryKey: ["scan-section", inspection, scan, cursor.toFixed(1)],
    queryFn: () => api.scanSection(inspection, scan, cursor),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
  });
  const s = section.data;
  const away = s !== undefined && Math.abs(s.s - cursor) > farther;
  return (
    <>
      <header>
        <h2>
          {!s
            ? "Scanned section"
            : away
              ? `Not measured here; nearest at ${showPlace(s.s, units)} ${units}`
              : `Scanned at ${showPlace(s.s, units)} ${units}`}
        </h2>
      </header>
      <div className="body foot">
        {s ? <Profile s={s} units={units} names={drawn.members.map((m) => m.label)} /> : <div />}
        {section.isError && <p className="fault">{saidBy(section.error)}</p>}
        <div className="small clipped">
          {s?.why ? <span className="fault">Not measured: {s.why}</span> : s && <Values s={s} units={units} />}
        </div>
      </div>
    </>
  );
}

function Values({ s, units }: { s: ScanSection; units: string }) {
  // an undercut is lettered in the drawing
  const shown = s.values.filter((v) => v.value > 0.05 && !v.id.startsWith("undercut"));
  return (
    <>
      {shown.map((v) => `${measureWords[v.id] ?? v.id} ${lengthIn(v.value, units)}`).join(" · ")}
      <span className="quiet"> {units}</span>
    </>
  );
}

function Profile({ s, units, names }: { s: ScanSection; units: string; names: string[] }) {
  const [ref, { width, height }] = useSize<HTMLDivElement>({ width: 380, height: 260 });
  const ends = s.lines.length > 0 ? s.lines.flat() : s.points;
  const around = [...ends, ...s.toes, ...s.undercuts.map((u) => u.deepest)];
  const minX = Math.min(...around.map((p) => p.x));
  const maxX = Math.max(...around.map((p) => p.x));
  const minY = Math.min(...around.map((p) => p.y)) - 1.5;
  const maxY = Math.max(...around.map((p) => p.y), ...(s.lines.length > 0 && s.triangle.length === 0 ? [4] : []));
  const scale = Math.max(0.5, Math.min((width - 60) / (maxX - minX), (height - 24) / (maxY - minY)));
  const ox = (width - (maxX - minX) * scale) / 2 - minX * scale;
  const oy = height - 8 + minY * scale;
  const at = (p: At) => `${(ox + p.x * scale).toFixed(1)} ${(oy - p.y * scale).toFixed(1)}`;
  const path = (points: At[]) => (points.length === 0 ? "" : `M${points.map(at).join("L")}`);
  return (
    <div className="fills" ref={ref}>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={`Scanned profile: ${s.values.map((v) => `${measureWords[v.id] ?? v.id} ${lengthIn(v.value, units)}`).join(", ")}`}
      >
        {s.triangle.length > 0 && (
          <path
            d={`${path(s.triangle)}z`}
            fill={ink.weld}
            fillOpacity=".25"
            stroke={ink.chalk}
            strokeWidth="2.4"
            strokeDasharray="8 5"
          />
        )}
        {s.lines.map((l, i) => (
          <path key={i} d={path(l)} stroke={ink.none} strokeWidth="1.5" strokeDasharray="3 4" fill="none" />
        ))}
        <path
          d={s.points.map((p) => `M${at(p)}h.01`).join("")}
          stroke={ink.text}
          strokeWidth="2.6"
          strokeLinecap="round"
          fill="none"
        />
        {s.toes.map((p, i) => (
          <circle
            key={i}
            cx={ox + p.x * scale}
            cy={oy - p.y * scale}
            r="6"
            fill="none"
            stroke={ink.layout}
            strokeWidth="2.5"
          />
        ))}
        {s.undercuts.map((u, i) => (
          <g key={i}>
            <path d={path([u.foot, u.deepest])} stroke={ink.reject} strokeWidth="3" />
            <text
              x={ox + u.deepest.x * scale + (u.a ? -10 : 4)}
              y={oy - u.deepest.y * scale + (u.a ? 4 : 18)}
              textAnchor={u.a ? "end" : "start"}
              fontSize="16"
              fontWeight="800"
              fill={ink.reject}
              stroke={ink.paper}
              strokeWidth="4.5"
              paintOrder="stroke"
            >
              undercut {lengthIn(u.depth, units)}
            </text>
          </g>
        ))}
        {s.lines.length > 0 && (
          <g fontSize="15" fontWeight="600" fill={ink.text} stroke={ink.paper} strokeWidth="4" paintOrder="stroke">
            <text x={6} y={18}>
              {names[0]}
            </text>
            <text x={width - 6} y={height - 4} textAnchor="end">
              {names[1]}
            </text>
          </g>
        )}
      </svg>
    </div>
  );
}
