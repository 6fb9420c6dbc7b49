import { ink } from "../theme";
import type { Section } from "./api";
import { useSize } from "./useSize";

type Point = { x: number; y: number };

/** The cross-section to scale, from the numbers that the core gives: the root corner, members, weld, wanted triangle. */
export function SectionView({ section, units }: { section: Section; units: string }) {
  const [ref, { width, height }] = useSize<HTMLDivElement>({ width: 380, height: 300 });
  const weld = section.weld.points;
  const points = [
    ...weld,
    ...section.required,
    ...(section.weld.curve ? [section.weld.curve] : []),
    ...(section.limit ? [section.limit.through] : []),
  ];
  const minX = Math.min(0, ...points.map((p) => p.x));
  const maxX = Math.max(...points.map((p) => p.x));
  const maxY = Math.max(...points.map((p) => p.y));
  // room for the lettering is in pixels, whatever the scale
  const left = 120;
  const below = height < 240 ? 50 : 58;
  const scale = Math.max(0.5, Math.min((width - left - 130) / (maxX - minX), (height - below - 30) / maxY));
  const ox = left - minX * scale + Math.max(0, (width - left - 130 - (maxX - minX) * scale) / 2);
  const oy = height - below;
  const at = (p: Point) => ({ x: ox + p.x * scale, y: oy - p.y * scale });
  const text = (p: Point) => `${p.x.toFixed(1)} ${p.y.toFixed(1)}`;
  const path = (ps: Point[]) => `M${ps.map((p) => text(at(p))).join("L")}z`;
  const firstTop = Math.max(0, Math.min(...(section.members[0]?.points ?? []).map((p) => at(p).y)));
  return (
    <div className="fills" ref={ref}>
      <svg width={width} height={height} role="img" aria-label={label(section, units)}>
        {section.members.map((m, i) => (
          <path
            key={i}
            d={path(m.points)}
            fill={i === 0 ? ink.steel : ink.steelLight}
            stroke={ink.none}
            strokeWidth="1.5"
          />
        ))}
        <path
          d={weldPath(section, at, text)}
          fill={ink.weld}
          fillOpacity=".92"
          stroke={ink.text}
          strokeWidth="2.2"
          strokeLinejoin="round"
        />
        {section.gap > 0 && <Label at={{ x: ox - left / 2, y: oy - 8 }} text={section.gapLabel} colour={ink.open} />}
        <path d={path(section.required)} fill="none" stroke={ink.chalk} strokeWidth="2.6" strokeDasharray="8 5" />
        {section.limit && <MostOutside limit={section.limit} at={at} text={text} />}
        {section.notches.map((n, i) => (
          <Notch key={i} notch={n} at={at} scale={scale} />
        ))}
        {section.dimensions.map((d, i) => (
          <Dimension key={i} d={d} at={at} dihedral={section.dihedral} />
        ))}
        <g fontSize="16" fontWeight="600" fill={ink.text}>
          {section.dihedral === 180 ? (
            <>
              <text x={8} y={oy - 8} textAnchor="start">
                {section.members[0]?.label}
              </text>
              <text x={width - 8} y={oy - 8} textAnchor="end">
                {section.members[1]?.label}
              </text>
              {section.members[2] && (
                <text x={ox} y={oy + 22} textAnchor="middle">
                  {section.members[2].label}
                </text>
              )}
            </>
          ) : (
            <>
              <text x={ox - 10} y={firstTop + 18} textAnchor="end">
                {section.members[0]?.label}
              </text>
              <text x={width - 8} y={oy + 22} textAnchor="end">
                {section.members[1]?.label}
              </text>
            </>
          )}
        </g>
      </svg>
    </div>
  );
}

function label(s: Section, units: string): string {
  const dims = s.dimensions.map(
    (d) => `${dimensionWord[d.name] ?? d.name} ${d.label} ${units}${d.low ? ", under" : ""}`,
  );
  return `Cross-section${s.read ? ` at ${s.at} ${units}` : ", as drawn"}: ${dims.join("; ")}`;
}

function weldPath(section: Section, at: (p: Point) => Point, text: (p: Point) => string): string {
  const [root, a, b] = section.weld.points as [Point, Point, Point];
  const c = section.weld.curve;
  const rest = section.weld.points
    .slice(3)
    .map((p) => `L${text(at(p))}`)
    .join("");
  if (!c) return `M${text(at(root))}L${text(at(a))}L${text(at(b))}${rest}z`;
  // a quadratic that passes the point at its middle
  const control = { x: 2 * c.x - (a.x + b.x) / 2, y: 2 * c.y - (a.y + b.y) / 2 };
  return `M${text(at(root))}L${text(at(a))}Q${text(at(control))} ${text(at(b))}${rest}z`;
}

/** How far the face may stand out: a dotted line that the crown must not pass. */
function MostOutside({
  limit,
  at,
  text,
}: {
  limit: NonNullable<Section["limit"]>;
  at: (p: Point) => Point;
  text: (p: Point) => string;
}) {
  const control = {
    x: 2 * limit.through.x - (limit.a.x + limit.b.x) / 2,
    y: 2 * limit.through.y - (limit.a.y + limit.b.y) / 2,
  };
  const far = at({
    x: 0.06 * limit.a.x + 0.38 * control.x + 0.56 * limit.b.x,
    y: 0.06 * limit.a.y + 0.38 * control.y + 0.56 * limit.b.y,
  });
  return (
    <g>
      <path
        d={`M${text(at(limit.a))}Q${text(at(control))} ${text(at(limit.b))}`}
        fill="none"
        stroke={ink.open}
        strokeWidth="2.4"
        strokeDasharray="2 5"
        strokeLinecap="round"
      />
      <text
        x={far.x + 14}
        y={far.y - 2}
        fontSize="15"
        fontWeight="700"
        fill={ink.open}
        stroke={ink.paper}
        strokeWidth="4.5"
        paintOrder="stroke"
      >
        {limit.label}
      </text>
    </g>
  );
}

function Notch({ notch, at, scale }: { notch: Section["notches"][number]; at: (p: Point) => Point; scale: number }) {
  const p = at(notch.at);
  const depth = Math.max(5, notch.depth * scale);
  const angle = (notch.direction * Math.PI) / 180;
  const dx = Math.cos(angle) * depth;
  const dy = -Math.sin(angle) * depth;
  const half = depth * 0.8;
  const px = -dy / depth;
  const py = dx / depth;
  const colour = notch.rejects ? ink.reject : ink.notch;
  return (
    <g>
      <path
        d={`M${p.x + px * half} ${p.y + py * half}Q${p.x + dx * 1.7} ${p.y + dy * 1.7} ${p.x - px * half} ${p.y - py * half}z`}
        fill={colour}
        stroke={ink.paper}
        strokeWidth="1"
      />
      <Label
        at={{ x: p.x + (notch.direction > 90 ? 14 : 14), y: p.y - 12 }}
        text={notch.label}
        colour={colour}
        anchor="start"
      />
    </g>
  );
}

const dimensionWord: Record<string, string> = {
  legA: "leg",
  legB: "leg",
  throat: "throat",
  convexity: "convexity",
  reinforcement: "crown",
  offset: "offset",
};

function Dimension({
  d,
  at,
  dihedral,
}: {
  d: Section["dimensions"][number];
  at: (p: Point) => Point;
  dihedral: number;
}) {
  const from = at(d.from);
  const to = at(d.to);
  const colour = d.low ? ink.reject : ink.text;
  const words = `${d.low ? "✕ " : ""}${dimensionWord[d.name] ?? d.name} ${d.label}`;
  if (d.name === "throat" || d.name === "convexity" || d.name === "reinforcement" || d.name === "offset") {
    const half = ((dihedral / 2) * Math.PI) / 180;
    return (
      <g>
        {d.name === "throat" && (
          <path d={`M${from.x} ${from.y}L${to.x} ${to.y}`} stroke={ink.paper} strokeWidth="2" strokeDasharray="5 4" />
        )}
        <circle cx={to.x} cy={to.y} r="4" fill={colour} stroke={ink.paper} />
        {/* the offset is lettered under the surface, clear of the crown above it; the crown to the left, clear of its limit */}
        <Label
          at={
            d.name === "offset"
              ? { x: to.x + 8, y: to.y + 20 }
              : { x: to.x + Math.cos(half) * 12, y: to.y - Math.sin(half) * 12 }
          }
          text={words}
          colour={colour}
          anchor={d.name === "reinforcement" ? "end" : "start"}
        />
      </g>
    );
  }
  // a leg is lettered inside its member, on a line beside the surface
  const length = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  const ux = (to.x - from.x) / length;
  const uy = (to.y - from.y) / length;
  const side = d.name === "legA" ? 1 : -1;
  const nx = uy * side * 22;
  const ny = -ux * side * 22;
  const a = { x: from.x + nx, y: from.y + ny };
  const b = { x: to.x + nx, y: to.y + ny };
  const middle = { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 };
  return (
    <g>
      <path d={`M${a.x} ${a.y}L${b.x} ${b.y}`} stroke={colour} strokeWidth="2" />
      {[a, b].map((p, i) => (
        <path
          key={i}
          d={`M${p.x + uy * 6} ${p.y - ux * 6}L${p.x - uy * 6} ${p.y + ux * 6}`}
          stroke={colour}
          strokeWidth="2"
        />
      ))}
      <Label
        at={d.name === "legA" ? { x: middle.x + nx * 0.35, y: middle.y + 6 } : { x: middle.x, y: middle.y + 22 }}
        text={words}
        colour={colour}
        anchor={d.name === "legA" ? "end" : "middle"}
      />
    </g>
  );
}

function Label({
  at,
  text,
  colour,
  anchor = "middle",
}: {
  at: Point;
  text: string;
  colour: string;
  anchor?: "start" | "middle" | "end";
}) {
  return (
    <text
      x={at.x}
      y={at.y}
      textAnchor={anchor}
      fontSize="16"
      fontWeight="800"
      fill={colour}
      stroke={ink.paper}
      strokeWidth="4.5"
      paintOrder="stroke"
    >
      {text}
    </text>
  );
}
