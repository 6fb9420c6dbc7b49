import { ink } from "../theme";

type Props = {
  from?: number;
  to: number;
  datum?: boolean;
  ticks: { at: number; label: string }[];
  x: (mm: number) => number;
  gutter: number;
};

/** The tape over a drawing of the weld's length, from the datum or from where it is in view. */
export function Ruler({ from = 0, to, datum = true, ticks, x, gutter }: Props) {
  const named = ticks.filter((t) => t.label);
  const [first, second] = named;
  // on a phone the numbers of a long weld would lie on each other
  const every = first && second ? Math.max(1, Math.ceil(26 / Math.max(0.1, x(second.at) - x(first.at)))) : 1;
  const shown = new Set(named.filter((_, i) => i % every === 0).map((t) => t.at));
  const last = named.at(-1);
  const before = named.at(-2);
  // the weld's end is lettered where it does not lie on the number before it
  if (last && before && x(last.at) - x(before.at) < 18 + 4.2 * (last.label.length + before.label.length))
    shown.delete(last.at);
  const edge = x(to);
  return (
    <g stroke={ink.text}>
      <text x={gutter - 10} y={16} textAnchor="end" fontSize="13" fill={ink.quiet} stroke="none">
        {datum ? "datum" : "… from datum"}
      </text>
      <path d={`M${x(from)} 27.5H${x(to)}`} strokeWidth="1.5" />
      {ticks.map((t, i) => (
        <g key={i}>
          <path d={`M${x(t.at)} 27.5v${t.label ? -8 : -4}`} strokeWidth={t.label ? 1.5 : 1} />
          {shown.has(t.at) && (
            <text
              x={Math.min(x(t.at), edge + 16 - 4.2 * t.label.length)}
              y={15}
              textAnchor="middle"
              fontSize="14"
              fontWeight="600"
              stroke="none"
              fill={ink.text}
            >
              {t.label}
            </text>
          )}
        </g>
      ))}
      {datum && <circle cx={x(0)} cy={27.5} r="4" fill={ink.text} />}
    </g>
  );
}
