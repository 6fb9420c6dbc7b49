import type { ReactNode } from "react";
import { ink } from "../theme";

const member = { fill: ink.steelLight, stroke: ink.steel, strokeWidth: 1 };
const metal = { fill: ink.weld, stroke: ink.text, strokeWidth: 1 };
const dim = { stroke: ink.reject, strokeWidth: 2, fill: "none" };

/** A tee with its fillet, the corner at (14, 40). */
function Fillet({ face = "M14 14 L40 40" }: { face?: string }) {
  return (
    <>
      <path d="M2 40 H58 V48 H2 Z" {...member} />
      <path d="M4 4 H14 V40 H4 Z" {...member} />
      <path d={`M14 40 ${face.replace("M", "L")} Z`} {...metal} />
    </>
  );
}

/** A butt with its crown. */
function Butt({ crown = "Q30 6 44 18", right = 18 }: { crown?: string; right?: number }) {
  return (
    <>
      <path d="M2 18 H24 L27 40 H2 Z" {...member} />
      <path d={`M58 ${right} H36 L33 ${right + 22} H58 Z`} {...member} />
      <path d={`M16 18 ${crown} L33 40 H27 Z`} {...metal} />
    </>
  );
}

/** What is measured where, by criterion; lines in red are what the limit is of. */
const drawings: Record<string, ReactNode> = {
  crack: (
    <>
      <Fillet />
      <path d="M20 24 l4 4 -2 3 5 3" {...dim} />
    </>
  ),
  fusion: (
    <>
      <Fillet />
      <path d="M14 20 V40" {...dim} strokeDasharray="4 2" />
    </>
  ),
  crater: (
    <>
      <path d="M2 40 H58 V48 H2 Z" {...member} />
      <path d="M2 40 V24 H40 Q48 40 56 40 Z" {...metal} />
      <path d="M46 24 V36 M40 24 H56" {...dim} />
    </>
  ),
  overlap: (
    <>
      <Fillet face="M14 14 Q44 22 48 38 L40 40" />
      <path d="M40 43 H49" {...dim} />
    </>
  ),
  profile: (
    <>
      <Fillet face="M14 14 Q38 18 40 40" />
      <path d="M14 14 L40 40 M27 27 L33 21" {...dim} strokeWidth={1.5} />
    </>
  ),
  size: (
    <>
      <Fillet />
      <path d="M17 44 H40 M40 42 V46 M10 14 V40 M8 14 H12" {...dim} />
    </>
  ),
  length: (
    <>
      <path d="M4 20 H56 V28 H4 Z" {...metal} />
      <path d="M4 38 H56 M4 34 V42 M56 34 V42" {...dim} />
    </>
  ),
  "as-drawn": (
    <>
      <path d="M6 8 H54 V42 H6 Z" fill={ink.paper} stroke={ink.steel} />
      <path d="M12 30 H40 l-6 6 M40 30 l4 -14 h8" stroke={ink.text} fill="none" strokeWidth={2} />
    </>
  ),
  undercut: (
    <>
      <Fillet face="M14 14 L40 40" />
      <path d="M14 14 L8 11 L14 8 Z" fill={ink.paper} stroke={ink.text} />
      <path d="M8 4 V9 M14 4 V7 M8 5 H14" {...dim} />
    </>
  ),
  porosity: (
    <>
      <Fillet />
      <circle cx="22" cy="28" r="3" fill={ink.paper} stroke={ink.reject} strokeWidth={2} />
      <circle cx="30" cy="34" r="2" fill={ink.paper} stroke={ink.reject} strokeWidth={2} />
    </>
  ),
  "arc-strike": (
    <>
      <Fillet />
      <circle cx="51" cy="40" r="4" fill={ink.paper} stroke={ink.reject} strokeWidth={2} />
    </>
  ),
  "base-metal": (
    <>
      <Fillet />
      <path d="M46 44 L49 39 L52 44" fill={ink.paper} stroke={ink.reject} strokeWidth={2} />
    </>
  ),
  slag: (
    <>
      <Fillet />
      <path d="M13 16 l4 6 M36 40 l6 0" stroke={ink.reject} strokeWidth={4} />
    </>
  ),
  spatter: (
    <>
      <Fillet />
      {[46, 51, 55].map((x) => (
        <circle key={x} cx={x} cy={38} r="2" fill={ink.weld} stroke={ink.reject} />
      ))}
    </>
  ),
  root: (
    <>
      <Butt />
      <path d="M25 44 H35 M30 40 V48" {...dim} />
    </>
  ),
  misalignment: (
    <>
      <Butt right={23} crown="Q30 8 44 23" />
      <path d="M48 18 V23 M44 18 H58" {...dim} />
    </>
  ),
  readiness: (
    <>
      <Fillet />
      <path d="M44 6 v14 a5 5 0 1 0 4 0 v-14 a2 2 0 0 0 -4 0" fill={ink.paper} stroke={ink.text} />
      <path d="M46 12 V24" {...dim} />
    </>
  ),
};

export function Measured({ criterion }: { criterion: string }) {
  return (
    <svg viewBox="0 0 60 50" width={60} height={50} aria-hidden="true">
      {drawings[criterion]}
    </svg>
  );
}
