import type { WeldingRecord } from "../lib/api";
import { ClockRow } from "../lib/ClockRow";
import { Ruler } from "../lib/Ruler";
import { useSize } from "../lib/useSize";
import { ink } from "../theme";

type Drawing = WeldingRecord["drawing"];

const gutter = 104;
const right = 18;
const lane = 26;

/** The weld from the datum: where it is open at fit-up, and each pass with its runs, the later over the earlier. */
export function WeldingStrip({ drawing, units }: { drawing: Drawing; units: string }) {
  const [ref, { width }] = useSize<HTMLDivElement>({ width: 1200, height: 160 });
  const scale = Math.max(10, width - gutter - right) / drawing.length;
  const x = (mm: number) => gutter + mm * scale;
  const passes = drawing.passes;
  const rows = Math.max(1, passes.length);
  const fitTop = 36;
  const passTop = fitTop + 30;
  const stacked = drawing.marks.filter((m) => m.kind === "stacked");
  const remarks = drawing.marks.filter((m) => m.kind === "remark");
  const words = [...stacked.map((m) => ({ m, word: "✕ stacked" })), ...remarks.map((m) => ({ m, word: "! remark" }))];
  const clockTop = passTop + rows * lane + 2 + (stacked.length > 0 ? 18 : 0) + (remarks.length > 0 ? 18 : 0);
  const height = clockTop + (drawing.clock.length > 0 ? 24 : 6);
  const lineOf = (word: string) => passTop + rows * lane + (word.startsWith("!") && stacked.length > 0 ? 32 : 14);
  const along = [...drawing.gaps, ...drawing.marks].map((x) => x.label).join("; ");
  return (
    <div ref={ref}>
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={`Fit-up and passes along the weld, in ${units}: ${along || "nothing recorded along it"}`}
      >
        <Ruler to={drawing.length} ticks={drawing.ticks} x={x} gutter={gutter} />
        <text x={gutter - 10} y={fitTop + 16} textAnchor="end" fontSize="15" fontWeight="600" fill={ink.text}>
          fit-up
        </text>
        <rect x={gutter} y={fitTop} width={x(drawing.length) - gutter} height={24} fill={ink.lane} stroke={ink.line} />
        {drawing.gaps.map((g, i) => (
          <g key={i}>
            <rect
              x={x(g.from)}
              y={fitTop}
              width={Math.max(3, x(g.to) - x(g.from))}
              height={24}
              fill={ink.chalk}
              fillOpacity=".45"
            />
            <text
              x={Math.min(Math.max((x(g.from) + x(g.to)) / 2, gutter + 32), x(drawing.length) - 32)}
              y={fitTop + 17}
              textAnchor="middle"
              fontSize="14"
              fontWeight="700"
              fill={ink.text}
            >
              {g.label}
            </text>
          </g>
        ))}
        {drawing.openings.map((o, i) => (
          <path key={i} d={`M${x(o.at)} ${fitTop}v24`} stroke={ink.layout} strokeWidth="2">
            <title>{o.label}</title>
          </path>
        ))}
        <ClockRow clock={drawing.clock} x={x} left={gutter} right={x(drawing.length)} top={clockTop} />
        {passes.length === 0 && (
          <text x={gutter + 8} y={passTop + 18} fontSize="14" fill={ink.quiet}>
            no pass is recorded yet
          </text>
        )}
        {passes.map((p, i) => {
          const top = passTop + (passes.length - 1 - i) * lane;
          return (
            <g key={i}>
              <text x={gutter - 10} y={top + 16} textAnchor="end" fontSize="15" fontWeight="600" fill={ink.text}>
                {p.label}
              </text>
              <rect
                x={gutter}
                y={top + 3}
                width={x(drawing.length) - gutter}
                height={16}
                fill={p.runs.length === 0 ? ink.laneFace : ink.lane}
              />
              {p.runs.length === 0 && (
                <text x={gutter + 8} y={top + 15} fontSize="13" fill={ink.quiet}>
                  starts and stops not recorded
                </text>
              )}
              {p.runs.map((r, n) => (
                <g key={n}>
                  <rect
                    x={x(r.from)}
                    y={top + 3}
                    width={Math.max(3, x(r.to) - x(r.from) - 2)}
                    height={16}
                    rx="7"
                    fill={ink.weld}
                  />
                  <circle cx={r.back ? x(r.to) - 9 : x(r.from) + 7} cy={top + 11} r="4" fill={ink.paper} />
                </g>
              ))}
            </g>
          );
        })}
        {stacked.map((m, i) => {
          const middle = (x(m.from) + x(m.to)) / 2;
          const half = Math.max(11, (x(m.to) - x(m.from)) / 2 + 5);
          return (
            <rect
              key={i}
              x={middle - half}
              y={passTop - 1}
              width={half * 2}
              height={rows * lane}
              rx="8"
              fill="none"
              stroke={ink.reject}
              strokeWidth="2.5"
              strokeDasharray="6 4"
            />
          );
        })}
        {words.map(({ m, word }, i) => (
          <text
            key={i}
            x={Math.min(Math.max((x(m.from) + x(m.to)) / 2, gutter + 30), x(drawing.length) - 34)}
            y={lineOf(word)}
            textAnchor="middle"
            fontSize="14"
            fontWeight="700"
            fill={word.startsWith("✕") ? ink.reject : ink.open}
          >
            {word}
            <title>{m.label}</title>
          </text>
        ))}
      </svg>
    </div>
  );
}
