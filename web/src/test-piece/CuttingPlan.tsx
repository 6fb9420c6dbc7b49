import { ink } from "../theme";
import type { TestPiece } from "../lib/api";

const wide = 720;
const high = 250;
const left = 20;
const right = 700;
const ring = 290;

/** Where each specimen is taken, to scale along the weld; around a pipe by the clock. */
export function CuttingPlan({ piece }: { piece: TestPiece }) {
  return piece.cuts.some((c) => c.byClock) ? <Around piece={piece} /> : <Along piece={piece} />;
}

function Along({ piece }: { piece: TestPiece }) {
  const x = (mm: number) => left + ((right - left) * mm) / piece.length;
  const top = 60;
  const bottom = 180;
  return (
    <svg viewBox={`0 0 ${wide} ${high}`} width="100%" role="img" aria-label="Cutting plan">
      <defs>
        <pattern id="cut-off" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="8" height="8" fill={ink.steelLight} />
          <path d="M0 0V8" stroke={ink.quiet} strokeWidth="2.5" />
        </pattern>
      </defs>
      <rect x={left} y={top} width={right - left} height={bottom - top} fill={ink.steelLight} stroke={ink.steel} />
      {piece.discards.map((d) => (
        <rect
          key={d.from}
          x={x(d.from)}
          y={top}
          width={x(d.to) - x(d.from)}
          height={bottom - top}
          fill="url(#cut-off)"
        />
      ))}
      <rect x={left} y={(top + bottom) / 2 - 9} width={right - left} height="18" fill={ink.weld} />
      {piece.cuts.map((c, i) => {
        const middle = (x(c.from) + x(c.to)) / 2;
        const at = Math.min(Math.max(middle, left + 70), right - 70);
        return (
          <g key={c.name}>
            <rect
              x={x(c.from)}
              y={top}
              width={Math.max(3, x(c.to) - x(c.from))}
              height={bottom - top}
              fill={ink.chalk}
              fillOpacity="0.45"
              stroke={ink.text}
              strokeWidth="2"
            />
            <path d={`M${middle} ${top}L${at} ${top - 10}`} stroke={ink.text} />
            <text x={at} y={top - 32} textAnchor="middle" fontSize="17" fontWeight="700" fill={ink.text}>
              {c.name}
            </text>
            <text x={at} y={top - 14} textAnchor="middle" fontSize="15" fill={ink.text}>
              {c.shown}
            </text>
            <text x={middle} y={bottom - 12} textAnchor="middle" fontSize="15" fontWeight="700" fill={ink.text}>
              {i + 1}
            </text>
          </g>
        );
      })}
      {piece.discards.map((d) => (
        <text
          key={d.shown}
          x={(x(d.from) + x(d.to)) / 2}
          y={bottom + 22}
          textAnchor="middle"
          fontSize="15"
          fill={ink.quiet}
        >
          {d.name}
        </text>
      ))}
      <text x={left} y={bottom + 48} fontSize="15" fill={ink.quiet}>
        datum
      </text>
      <text x={right} y={bottom + 48} textAnchor="end" fontSize="15" fill={ink.quiet}>
        {piece.discards.at(-1)?.shown.split("–").at(-1)}
      </text>
    </svg>
  );
}

function Around({ piece }: { piece: TestPiece }) {
  const middle = { x: wide / 2, y: ring / 2 };
  const point = (degrees: number, radius: number) => {
    const turn = ((degrees - 90) * Math.PI) / 180;
    return { x: middle.x + radius * Math.cos(turn), y: middle.y + radius * Math.sin(turn) };
  };
  return (
    <svg viewBox={`0 0 ${wide} ${ring}`} width="100%" role="img" aria-label="Cutting plan around the pipe">
      <circle cx={middle.x} cy={middle.y} r="88" fill="none" stroke={ink.steelLight} strokeWidth="34" />
      <circle cx={middle.x} cy={middle.y} r="105" fill="none" stroke={ink.steel} />
      <circle cx={middle.x} cy={middle.y} r="71" fill="none" stroke={ink.steel} />
      {["12", "3", "6", "9"].map((hour, i) => {
        const at = point(i * 90, 52);
        return (
          <text key={hour} x={at.x} y={at.y + 6} textAnchor="middle" fontSize="16" fontWeight="700" fill={ink.text}>
            {hour}
          </text>
        );
      })}
      {piece.cuts.map((c) => {
        const [hour = 12, minute = 0] = (c.byClock ?? "").split(":").map(Number);
        const degrees = (hour % 12) * 30 + minute / 2;
        const half = ((c.to - c.from) / piece.length) * 180;
        const from = point(degrees - half, 88);
        const to = point(degrees + half, 88);
        const name = point(degrees, 128);
        const side = name.x > middle.x ? "start" : "end";
        return (
          <g key={c.name}>
            <path
              d={`M${from.x} ${from.y}A88 88 0 0 1 ${to.x} ${to.y}`}
              fill="none"
              stroke={ink.text}
              strokeWidth="38"
            />
            <path
              d={`M${from.x} ${from.y}A88 88 0 0 1 ${to.x} ${to.y}`}
              fill="none"
              stroke={ink.chalk}
              strokeWidth="33"
            />
            <text x={name.x} y={name.y} textAnchor={side} fontSize="17" fontWeight="700" fill={ink.text}>
              {c.name}
            </text>
            <text x={name.x} y={name.y + 19} textAnchor={side} fontSize="15" fill={ink.text}>
              {c.byClock} · {c.shown}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
