import { ink } from "../theme";
import type { Strip } from "./api";

type Props = { strip: Strip; x: (mm: number) => number; left: number; right: number; top: number; height: number };

const bandFill: Record<Strip["bands"][number]["state"], string> = {
  GOES: ink.acceptSoft,
  SMALLER: ink.openSoft,
  MARKED: ink.openSoft,
  UNTRIED: "url(#untried)",
  UNWELDED: ink.paper,
};

/** What is known of the size: stretches that a blade or a mark tells, and single places where it was read against what the drawing wants. */
export function SizeLane({ strip, x, left, right, top, height }: Props) {
  // what the drawing wants is a line at two thirds of the lane; a reading stands over or under it, to scale
  const wanted = top + height / 3;
  const y = (size: number) =>
    Math.min(top + height - 4, Math.max(top + 4, wanted + (1 - size / strip.wanted) * height * 1.6));
  const stations = lettered(
    strip.stations.filter((s) => x(s.at) >= left - 8 && x(s.at) <= right + 8),
    x,
    right,
  );
  const taken = stations.map(({ s, label, free }): [number, number] => [
    x(s.at) - 8,
    x(s.at) + (free ? 12 + label.length * 7.5 : 8),
  ]);
  return (
    <g>
      {strip.bands
        .filter((b) => x(b.to) >= left && x(b.from) <= right)
        .map((b, i) => (
          <Band key={i} band={b} x={x} left={left} right={right} top={top} height={height} taken={taken} />
        ))}
      {strip.wanted > 0 && strip.stations.some((s) => s.size > 0) && (
        <path d={`M${left} ${wanted}H${right}`} stroke={ink.chalkDeep} strokeWidth="2" strokeDasharray="8 5" />
      )}
      {stations.map(({ s, label, free }) => {
        const colour = s.rejects ? ink.reject : ink.layout;
        return (
          <g key={s.reading} data-station={s.label}>
            <title>{`${s.label}: ${s.sizeLabel || "read"}`}</title>
            <path d={`M${x(s.at)} ${top - 3}l6 -8h-12z`} fill={colour} />
            <path d={`M${x(s.at)} ${top - 3}v${height + 6}`} stroke={colour} strokeWidth={s.rejects ? 2.5 : 1.5} />
            {s.size > 0 && strip.wanted > 0 && (
              <circle cx={x(s.at)} cy={y(s.size)} r="5" fill={colour} stroke={ink.paper} strokeWidth="1.5" />
            )}
            {free && (
              <text
                x={x(s.at) + 9}
                y={top + height - 7}
                fontSize="14"
                fontWeight="700"
                fill={colour}
                stroke={ink.paper}
                strokeWidth="4.5"
                paintOrder="stroke"
              >
                {label}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

/** Each station with what was read there, lettered where that is free of the one before. */
function lettered(stations: Strip["stations"], x: (mm: number) => number, right: number) {
  let end = -Infinity;
  return stations.map((s) => {
    const label = `${s.rejects ? "✕ " : ""}${s.sizeLabel}`;
    const from = x(s.at) + 9;
    const to = from + label.length * 7.5;
    const free = s.sizeLabel !== "" && from > end && to < right;
    if (free) end = to + 4;
    return { s, label, free };
  });
}

type BandProps = {
  band: Strip["bands"][number];
  x: (mm: number) => number;
  left: number;
  right: number;
  top: number;
  height: number;
  taken: [number, number][];
};

function Band({ band, x, left, right, top, height, taken }: BandProps) {
  const from = Math.max(left, x(band.from));
  const width = Math.max(2, Math.min(right, x(band.to)) - from);
  const label = band.label;
  const short = label.replace("least ", "");
  const [a, z] = widest(from, from + width, taken);
  const lettering = [label, short].find((l) => z - a > l.length * 7.5 + 8);
  const known = band.state === "GOES";
  return (
    <g data-band={band.state}>
      <title>{label}</title>
      <rect
        x={from}
        y={top}
        width={width}
        height={height}
        fill={bandFill[band.state]}
        stroke={known ? ink.accept : ink.none}
        strokeDasharray={known ? undefined : "4 3"}
      />
      {lettering && (
        <text
          x={(a + z) / 2}
          y={top + height / 2 + 5}
          textAnchor="middle"
          fontSize="14"
          fontWeight="600"
          fill={known ? ink.accept : band.state === "UNTRIED" ? ink.quiet : ink.open}
          stroke={ink.paper}
          strokeWidth="5"
          paintOrder="stroke"
        >
          {lettering}
        </text>
      )}
    </g>
  );
}

/** The widest stretch that no station's lettering takes, px. */
function widest(from: number, to: number, taken: [number, number][]): [number, number] {
  let best: [number, number] = [from, from];
  let free = from;
  for (const [a, z] of [...taken, [to, to] as [number, number]]) {
    if (Math.min(a, to) - free > best[1] - best[0]) best = [free, Math.min(a, to)];
    free = Math.max(free, z);
  }
  return best;
}
