import { memo, type MouseEvent } from "react";
import { ink } from "../theme";
import type { Strip } from "./api";
import { degreesAt, placeAt, timeAt } from "./clock";

const size = 190;
const middle = size / 2;
const inner = 46;
const outer = 68;

/** A weld around a round member as one looks at it: 12:00 at the top, the places that were recorded, and the cursor. */
export const RingView = memo(function RingView({
  strip,
  cursor,
  onCursor,
  chosen,
}: {
  strip: Strip;
  cursor: number;
  onCursor?: ((mm: number) => void) | undefined;
  chosen?: Set<number> | undefined;
}) {
  const point = (degrees: number, radius: number) => {
    const turn = ((degrees - 90) * Math.PI) / 180;
    return `${(middle + radius * Math.cos(turn)).toFixed(1)} ${(middle + radius * Math.sin(turn)).toFixed(1)}`;
  };
  const pick = (e: MouseEvent<SVGSVGElement>) => {
    const box = e.currentTarget.getBoundingClientRect();
    const x = e.clientX - box.left - middle;
    const y = e.clientY - box.top - middle;
    onCursor?.(placeAt(((Math.atan2(y, x) * 180) / Math.PI + 450) % 360, strip));
  };
  const hand = degreesAt(cursor, strip);
  return (
    <svg
      width={size}
      height={size}
      role="img"
      aria-label={`The weld around its member, the cursor at ${timeAt(cursor, strip)}`}
      onClick={pick}
    >
      <circle
        cx={middle}
        cy={middle}
        r={(inner + outer) / 2}
        fill="none"
        stroke={ink.lane}
        strokeWidth={outer - inner}
      />
      <circle cx={middle} cy={middle} r={outer} fill="none" stroke={ink.line} />
      <circle cx={middle} cy={middle} r={inner} fill="none" stroke={ink.line} />
      {strip.clock.map((t) => {
        const at = degreesAt(t.at, strip);
        return (
          <path
            key={t.at}
            d={`M${point(at, outer)}L${point(at, outer + (t.label ? 8 : 5))}`}
            stroke={ink.text}
            strokeWidth={t.label ? 2 : 1}
          />
        );
      })}
      {[0, 90, 180, 270].map((at) => (
        <path key={at} d={`M${point(at, inner)}L${point(at, outer)}`} stroke={ink.line} />
      ))}
      {strip.marks.map((m, i) => {
        const ends = [degreesAt(m.from, strip), degreesAt(m.to, strip)] as const;
        const [a, b] = (ends[1] - ends[0] + 360) % 360 <= 180 ? ends : [ends[1], ends[0]];
        const wide = Math.max(5, (b - a + 360) % 360);
        const from = (a + b + (b < a ? 360 : 0)) / 2 - wide / 2;
        const radius = m.lane === "A" ? outer - 6 : m.lane === "B" ? inner + 6 : (inner + outer) / 2;
        return (
          <path
            key={i}
            d={`M${point(from, radius)}A${radius} ${radius} 0 ${wide > 180 ? 1 : 0} 1 ${point(from + wide, radius)}`}
            fill="none"
            stroke={m.rejects ? ink.reject : ink.text}
            strokeWidth={chosen?.has(m.indication) ? 11 : 8}
          >
            <title>{`${m.kind} ${m.label}, ${timeAt((m.from + m.to) / 2, strip)}`}</title>
          </path>
        );
      })}
      <path d={`M${point(hand, inner - 10)}L${point(hand, outer + 9)}`} stroke={ink.chalkDeep} strokeWidth="5" />
      <path d={`M${point(hand, inner - 10)}L${point(hand, outer + 9)}`} stroke={ink.chalk} strokeWidth="2.5" />
      {(["12", "3", "6", "9"] as const).map((hour, i) => (
        <text
          key={hour}
          x={middle + (outer + 17) * [0, 1, 0, -1][i]!}
          y={middle + (outer + 17) * [-1, 0, 1, 0][i]! + 5}
          textAnchor="middle"
          fontSize="15"
          fontWeight="700"
          fill={ink.text}
        >
          {hour}
        </text>
      ))}
      <text x={middle} y={middle + 6} textAnchor="middle" fontSize="17" fontWeight="800" fill={ink.text}>
        {timeAt(cursor, strip)}
      </text>
    </svg>
  );
});
