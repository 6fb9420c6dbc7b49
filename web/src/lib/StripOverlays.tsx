import { ink } from "../theme";
import type { Strip } from "./api";
import { bracketHeight, gap, gutter, rulerHeight, type Layout } from "./strip-layout";

/** Where a place stands on the drawing, where the drawing ends, and what is in view. */
export type Frame = { x: (mm: number) => number; end: number; isIn: (from: number, to: number) => boolean };

type StretchesProps = {
  strip: Strip;
  worked: { from: number; to: number }[];
  inspectedAt: { from: number; to: number }[];
  layout: Layout;
  frame: Frame;
};

/** What was repaired, what was re-inspected with it, and where the fit-up had a gap. */
export function Stretches({ strip, worked, inspectedAt, layout, frame: { x, end, isIn } }: StretchesProps) {
  return (
    <>
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
          <Veil key={i} of={g} layout={layout} frame={{ x, end }} room={30} fill={ink.chalk} opacity=".16" />
        ))}
      {strip.covers
        .filter((c) => isIn(c.from, c.to))
        .map((c, i) => (
          <Veil
            key={`cover${i}`}
            of={c}
            layout={layout}
            frame={{ x, end }}
            room={90}
            fill={ink.open}
            opacity=".12"
            dashed
          />
        ))}
    </>
  );
}

/** A stretch over all lanes, its word above them: a fit-up gap, or what cannot be seen there. */
function Veil({
  of,
  layout,
  frame: { x, end },
  room,
  fill,
  opacity,
  dashed = false,
}: {
  of: { from: number; to: number; label: string };
  layout: Layout;
  frame: Pick<Frame, "x" | "end">;
  room: number;
  fill: string;
  opacity: string;
  dashed?: boolean;
}) {
  return (
    <g>
      <rect
        x={x(of.from)}
        y={rulerHeight - 6}
        width={Math.max(2, x(of.to) - x(of.from))}
        height={layout.lanes.reduce((h, l) => h + l.height + gap, layout.before) + 6}
        fill={fill}
        fillOpacity={opacity}
        {...(dashed ? { stroke: ink.open, strokeDasharray: "3 4" } : {})}
      />
      <text
        x={Math.min(Math.max((x(of.from) + x(of.to)) / 2, gutter + room), end - room)}
        y={rulerHeight + 14}
        textAnchor="middle"
        fontSize="13"
        fontWeight="700"
        fill={ink.open}
      >
        {of.label}
      </text>
    </g>
  );
}

/** The stretches that a finding is about, with its numbers. */
export function Brackets({ layout, frame: { x, end } }: { layout: Layout; frame: Frame }) {
  return (
    <>
      {layout.brackets.map((b, i) => {
        const row = new Set(layout.brackets.slice(0, i + 1).map((p) => p.finding)).size - 1;
        const top = layout.bracketsTop + row * bracketHeight + 6;
        const colour = b.rejects ? ink.reject : ink.quiet;
        // where the whole has no room, what was measured goes before what is allowed
        const said = [b.label, b.label.split(" · ")[0] ?? ""].find((l) => l.length * 7.4 + 16 <= end - gutter) ?? "";
        const half = said.length * 3.7 + 8;
        const a = Math.max(gutter, x(b.from));
        const z = Math.min(end, x(b.to));
        const middle = Math.min(Math.max((a + z) / 2, gutter + half), end - half);
        const wide = Math.max(z - a, 10);
        return (
          <g key={i} data-bracket={b.finding}>
            <title>{b.label}</title>
            <path
              d={`M${(a + z - wide) / 2} ${top - 6}v7h${wide}v-7`}
              fill="none"
              stroke={colour}
              strokeWidth={b.rejects ? 3 : 1.5}
            />
            {(i === 0 || layout.brackets[i - 1]?.finding !== b.finding) && (
              <text x={middle} y={top + 16} textAnchor="middle" fontSize="14" fontWeight="700" fill={colour}>
                {`${b.rejects ? "✕ " : ""}${said}`}
              </text>
            )}
          </g>
        );
      })}
    </>
  );
}
