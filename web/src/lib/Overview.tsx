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
