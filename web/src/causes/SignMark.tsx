import type { ReactNode } from "react";
import { ink } from "../theme";

/** Each sign as one sees it: a stretch of bead from above, or a cut through it. 64 by 40. */
export function SignMark({ id }: { id: string }) {
  return (
    <svg viewBox="0 0 64 40" width="64" height="40" aria-hidden="true">
      {marks[id] ?? <circle cx="32" cy="20" r="8" />}
    </svg>
  );
}

const outline = { stroke: ink.text, strokeWidth: 1 };
const bead = { fill: ink.weld, ...outline };
const plate = { fill: ink.steel, ...outline };
const hot = { fill: ink.chalk, ...outline };
const dark = { fill: ink.text };
const patch = { fill: ink.hatch };
const face = { fill: "none", stroke: ink.text, strokeWidth: 1.6 };
const drawn = { ...face, strokeLinecap: "round" as const };
const ring = { fill: "none", stroke: ink.reject, strokeWidth: 2 };

const line = (d: string, key?: string) => <path key={key ?? d} d={d} {...drawn} />;
const ripples = (shape: (x: number) => string, width: number, from = 8, to = 58, step = 7): ReactNode => (
  <>
    <rect x="4" y={20 - width / 2} width="56" height={width} rx="6" {...bead} />
    {Array.from({ length: Math.floor((to - from) / step) + 1 }, (_, i) => line(shape(from + i * step)))}
  </>
);
const round = (h: number) => (x: number) => `M${x} ${20 - h}q6 ${h} 0 ${2 * h}`;
const pointed = (h: number) => (x: number) => `M${x} ${20 - h}L${x + 9} 20L${x} ${20 + h}`;
const dot = (cx: number, cy: number, r = 1.8) => <circle key={`${cx} ${cy}`} cx={cx} cy={cy} r={r} {...dark} />;
const cut = (face: string) => (
  <>
    <path d="M6 4h8v28h46v6H6z" {...plate} />
    <path d={face} {...bead} />
  </>
);
const plain = ripples(round(7), 16);
const alert = (x: number, y: number, r = 7) => <circle cx={x} cy={y} r={r} {...ring} />;

const marks: Record<string, ReactNode> = {
  "flat-wide-bead": cut("M14 20Q18 30 44 32H14z"),
  "ropy-bead": cut("M14 16q22 -8 20 10q-1 5 -4 6H14z"),
  "narrow-bead": ripples(round(3), 8),
  "pointed-ripples": ripples(pointed(7), 16, 6, 50),
  "round-close-ripples": ripples(round(8), 18, 6, 58, 4),
  "coarse-spatter": (
    <>
      {plain}
      {[
        [10, 4],
        [22, 6],
        [36, 3],
        [50, 6],
        [14, 35],
        [30, 37],
        [44, 34],
        [58, 36],
        [4, 37],
      ].map(([x, y]) => dot(x ?? 0, y ?? 0, 2.4))}
    </>
  ),
  "one-sided-spatter": (
    <>
      {plain}
      {[
        [10, 5],
        [18, 3],
        [26, 6],
        [34, 4],
        [42, 6],
        [50, 3],
        [58, 6],
      ].map(([x, y]) => dot(x ?? 0, y ?? 0, 2.2))}
    </>
  ),
  "stick-marks": (
    <>
      {plain}
      {line("M6 8l8 8")}
      {line("M14 8l-8 8")}
      {line("M6 26l8 8")}
      {line("M14 26l-8 8")}
    </>
  ),
  "slag-hard-to-free": (
    <>
      {plain}
      <path d="M12 12h18v6H12zM36 22h20v6H36z" {...dark} />
    </>
  ),
  "deep-crater": (
    <>
      {ripples(round(7), 16, 8, 36)}
      <ellipse cx="50" cy="20" rx="8" ry="7" {...dark} />
    </>
  ),
  "overheated-rod-end": (
    <>
      <rect x="4" y="14" width="34" height="12" {...bead} />
      <rect x="38" y="15" width="16" height="10" {...hot} />
      {line("M54 20h8")}
    </>
  ),
  "repeats-at-weave": (
    <>
      {line("M4 30L14 10L24 30L34 10L44 30L54 10L60 22")}
      {alert(14, 8, 5)}
      {alert(34, 8, 5)}
      {alert(54, 8, 5)}
    </>
  ),
  "follows-patches": (
    <>
      <path d="M8 2h18v36H8zM40 2h16v36H40z" {...patch} />
      {plain}
      {dot(14, 18)}
      {dot(20, 22)}
      {dot(46, 18)}
      {dot(50, 23)}
    </>
  ),
  "follows-gap": (
    <>
      {plain}
      {line("M4 34h18l10 4l10 -4h18")}
      {dot(28, 20)}
      {dot(34, 18)}
      {dot(38, 22)}
    </>
  ),
  "mill-scale-left": (
    <>
      <path d="M4 2h56v8H4zM4 30h56v8H4z" {...patch} />
      {plain}
    </>
  ),
  "rust-paint-oil": (
    <>
      {plain}
      <path d="M8 4q6 -4 12 0t12 0t12 0t12 0v6H8z" {...hot} />
    </>
  ),
  "slag-ahead-of-pool": (
    <>
      {ripples(round(7), 16, 8, 28)}
      <ellipse cx="40" cy="20" rx="8" ry="8" {...hot} />
      <path d="M46 12h12v16H46z" {...dark} />
    </>
  ),
  "pool-peanut": (
    <>
      <rect x="2" y="13" width="24" height="14" {...bead} />
      <path d="M24 20q0 -10 10 -8q6 3 12 0q12 -2 12 8t-12 8q-6 -3 -12 0q-10 2 -10 -8z" {...hot} />
    </>
  ),
  "pool-wide": (
    <>
      <rect x="2" y="8" width="24" height="24" {...bead} />
      <ellipse cx="38" cy="20" rx="18" ry="16" {...hot} />
    </>
  ),
  sputtering: (
    <>
      {plain}
      {line("M32 20L24 4M32 20L40 3M32 20L50 8M32 20L14 9")}
    </>
  ),
  "metal-fell-out": (
    <>
      {cut("M14 10Q20 28 40 32H14z")}
      <path d="M34 36q4 -8 8 0q-4 6 -8 0z" {...hot} />
    </>
  ),
  "one-rod-only": (
    <>
      {[8, 22, 36, 50].map((x) => (
        <rect key={x} x={x} y="4" width="7" height="32" {...(x === 36 ? hot : bead)} />
      ))}
    </>
  ),
  "last-third-of-rod": (
    <>
      <rect x="4" y="14" width="38" height="12" {...bead} />
      <rect x="42" y="14" width="18" height="12" {...hot} />
      {line("M42 8v24")}
    </>
  ),
  "appeared-later": (
    <>
      <circle cx="32" cy="20" r="15" {...face} />
      {line("M32 10v10l8 6")}
    </>
  ),
  "not-wire-brushed-between-passes": (
    <>
      <rect x="4" y="8" width="56" height="9" {...bead} />
      <rect x="4" y="17" width="56" height="4" {...dark} />
      <rect x="4" y="21" width="56" height="11" {...bead} />
    </>
  ),
  "hand-not-propped": (
    <>
      <path d="M4 20q8 -10 14 -2t14 4t14 -6t14 6" {...drawn} strokeWidth={7} />
    </>
  ),
  "pool-not-seen": (
    <>
      {plain}
      <path d="M16 8q16 -12 32 0q-16 12 -32 0z" {...face} />
      {line("M18 16L46 2")}
    </>
  ),
  "awkward-stance": (
    <>
      <path d="M6 34h52" {...face} />
      <circle cx="26" cy="8" r="4" {...dark} />
      {line("M26 12l-4 10l6 10M24 16l14 -4l8 8M22 22l-8 10")}
    </>
  ),
  "shade-wrong": (
    <>
      <path d="M12 8h40v20q-20 10 -40 0z" {...bead} />
      <rect x="18" y="12" width="28" height="9" {...dark} />
      {alert(46, 28, 6)}
    </>
  ),
  "over-old-bead": (
    <>
      <path d="M4 32h56" {...face} />
      <path d="M12 32q20 -16 40 0z" {...patch} />
      <path d="M20 26q14 -22 30 2q-14 -10 -30 -2z" {...bead} />
    </>
  ),
  "struck-outside": (
    <>
      {plain}
      {line("M46 2l-4 6h6l-4 6")}
      {alert(30, 4, 3)}
      {alert(18, 6, 3)}
    </>
  ),
  "not-brought-back-over-start": (
    <>
      {ripples(round(7), 16, 22, 58)}
      <path d="M4 12h12v16H4z" {...face} />
      {alert(12, 20, 8)}
    </>
  ),
  "broke-off-quickly": (
    <>
      {ripples(round(7), 16, 8, 40)}
      <path d="M48 12q12 2 12 8t-12 8z" {...dark} />
    </>
  ),
};
