import type { Plan } from "../lib/api";
import { useSize } from "../lib/useSize";
import { ink } from "../theme";

type PassPlan = Plan["plan"];

const tints: Record<string, string> = { root: "#5d6a74", hot: "#74818b", fill: "#8d99a2", cap: "#a9b4bc" };

/** A stack of beads to scale, each with its number in the order in which it is laid; the plan's, or as recorded. */
export function StackView({
  plan,
  beads,
  label,
  fillet,
  units,
}: {
  plan: PassPlan;
  beads: PassPlan["beads"];
  label: string;
  fillet: boolean;
  units: string;
}) {
  const [ref, { width, height }] = useSize<HTMLDivElement>({ width: 560, height: 420 });
  const points = [...plan.outline, ...plan.beads.flatMap((b) => b.outline)];
  if (points.length === 0) return <div ref={ref} />;
  const minX = Math.min(...points.map((p) => p.x));
  const maxX = Math.max(...points.map((p) => p.x));
  const minY = Math.min(...points.map((p) => p.y));
  const maxY = Math.max(...points.map((p) => p.y));
  const around = Math.max(maxX - minX, maxY - minY) * 0.16 + 1;
  const scale = Math.min((width - 20) / (maxX - minX + 2 * around), (height - 40) / (maxY - minY + 2 * around));
  const ox = width / 2 - ((minX + maxX) / 2) * scale;
  const oy = height / 2 + ((minY + maxY) / 2) * scale;
  const at = (p: { x: number; y: number }) => `${(ox + p.x * scale).toFixed(1)} ${(oy - p.y * scale).toFixed(1)}`;
  const path = (ps: { x: number; y: number }[]) => `M${ps.map(at).join("L")}z`;
  const edge = (a: [number, number], b: [number, number], c: [number, number], d: [number, number]) =>
    path([a, b, c, d].map(([x, y]) => ({ x, y })));
  const letters = beads.length > 24 ? 12 : beads.length > 12 ? 14 : 17;
  const far = around;
  const bar = units === "in" ? { mm: 6.35, label: "1/4 in" } : { mm: 5, label: "5 mm" };
  return (
    <div className="fills" ref={ref}>
      <svg width={width} height={height} role="img" aria-label={`${label}: ${beads.length} beads, ${plan.what}`}>
        {fillet && (
          <g fill={ink.steelLight} stroke={ink.none}>
            <path d={edge([minX - far, 0], [maxX + far, 0], [maxX + far, -far], [minX - far, -far])} />
            <path d={edge([minX - far, maxY + far], [0, maxY + far], [0, 0], [minX - far, 0])} fill={ink.steel} />
          </g>
        )}
        {!fillet && (
          <path
            d={edge(
              [minX - far, minY],
              [maxX + far, minY],
              [maxX + far, Math.max(...plan.outline.map((p) => p.y))],
              [minX - far, Math.max(...plan.outline.map((p) => p.y))],
            )}
            fill={ink.steelLight}
            stroke={ink.none}
          />
        )}
        <path d={path(plan.outline)} fill={ink.paper} />
        {beads.map((b) => (
          <path
            key={b.pass}
            d={path(b.outline)}
            fill={tints[b.kind] ?? ink.weld}
            stroke={ink.text}
            strokeWidth="1.4"
            strokeLinejoin="round"
          />
        ))}
        <path d={path(plan.outline)} fill="none" stroke={ink.chalk} strokeWidth="2.6" strokeDasharray="8 5" />
        {beads.map((b) => {
          const { x, y } = middle(b.outline, ox, oy, scale);
          return (
            <text
              key={b.pass}
              x={x}
              y={y + letters / 3}
              textAnchor="middle"
              fontSize={letters}
              fontWeight="800"
              fill={ink.text}
              stroke={ink.paper}
              strokeWidth="3.5"
              paintOrder="stroke"
            >
              {b.pass}
            </text>
          );
        })}
        <text x={8} y={18} fontSize="15" fontWeight="700" fill={ink.text}>
          {label}
        </text>
        <path
          d={`M${width - 70 - bar.mm * scale} ${height - 16}h${bar.mm * scale}m0 -6v12m${-bar.mm * scale} -12v12`}
          stroke={ink.text}
          strokeWidth="2"
          fill="none"
        />
        <text x={width - 62} y={height - 11} fontSize="14" fill={ink.text}>
          {bar.label}
        </text>
      </svg>
    </div>
  );
}

/** The middle of what an outline encloses, on the drawing. */
function middle(outline: { x: number; y: number }[], ox: number, oy: number, scale: number) {
  let area = 0;
  let x = 0;
  let y = 0;
  outline.forEach((p, i) => {
    const q = outline[(i + 1) % outline.length]!;
    const part = p.x * q.y - q.x * p.y;
    area += part;
    x += (p.x + q.x) * part;
    y += (p.y + q.y) * part;
  });
  return { x: ox + (x / (3 * area)) * scale, y: oy - (y / (3 * area)) * scale };
}
