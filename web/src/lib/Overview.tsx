import { ink } from "../theme";
import type { Strip } from "./api";
import { showPlace } from "./place";
import type { View } from "./view";

/** The whole weld in little, with the part in view; a touch goes there. */
export function Overview({
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
      <svg width="100%" height="40" aria-hidden="true">
        {strip.marks.map((m, i) => (
          <g key={i} fill={m.rejects ? ink.reject : ink.none}>
            <rect x={share(m.from)} y="4" width={share(m.to - m.from)} height="12" />
            <rect x={share(m.from)} y="4" width="3" height="12" />
          </g>
        ))}
        <rect
          x={share(view.from)}
          y="1"
          width={share(view.to - view.from)}
          height="38"
          fill="none"
          stroke={ink.chalkDeep}
          strokeWidth="2.5"
        />
        <text x="99%" y="34" textAnchor="end" fontSize="14" fontWeight="700" fill={ink.text}>
          {showPlace(view.from, units)}–{showPlace(view.to, units)} of {showPlace(strip.length, units)} {units}
        </text>
      </svg>
    </button>
  );
}
