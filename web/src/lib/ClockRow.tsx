import { ink } from "../theme";
import type { Dial } from "./clock";

/** The hours of a weld around a round member, under the drawing of its length. */
export function ClockRow({
  clock,
  x,
  left,
  right,
  top,
}: Pick<Dial, "clock"> & { x: (mm: number) => number; left: number; right: number; top: number }) {
  return (
    <g>
      {clock.map((t) => (
        <g key={t.at}>
          <path d={`M${x(t.at)} ${top}v${t.label ? 6 : 4}`} stroke={ink.text} strokeWidth={t.label ? 1.5 : 1} />
          {t.label && (
            <text
              x={Math.min(Math.max(x(t.at), left + 14), right - 14)}
              y={top + 19}
              textAnchor="middle"
              fontSize="14"
              fontWeight="600"
              fill={ink.text}
            >
              {t.label}
            </text>
          )}
        </g>
      ))}
    </g>
  );
}
