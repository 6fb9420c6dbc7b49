import type { JointForm, NewJoint } from "../lib/api";

export const emptyForm: NewJoint = {
  job: "",
  lot: "",
  criteria: "d1.1-static",
  units: "in",
  joint: { mark: "", weld: "fillet", connection: "tee", members: [{}, {}] },
};

/** A groove asks other things than a fillet; what belongs to the other is let go, what both have stays. */
export function asWeld(joint: JointForm, weld: string): JointForm {
  const both = Object.fromEntries(Object.entries(joint).filter(([field]) => !ofOneSort.has(field))) as JointForm;
  return weld === "groove"
    ? { ...both, weld, connection: "butt", penetration: "cjp", groove: { prep: "V" } }
    : { ...both, weld, connection: "tee" };
}

const ofOneSort = new Set([
  "connection",
  "corner",
  "size",
  "throat",
  "sizeMeans",
  "dihedral",
  "legs",
  "rootOpening",
  "use",
  "flangeWidth",
  "girderEnds",
  "penetration",
  "groove",
  "backing",
  "flush",
  "position",
  "testPiece",
]);

type Spans = JointForm["segments"];
type Gaps = JointForm["gaps"];

/** "0-3, 12-15" as stretches; a half-typed one is kept as it is, and the server says what it lacks. */
export function spansOf(text: string): Spans {
  const parts = text.split(/[,;]/).filter((p) => p.trim() !== "");
  return parts.length === 0 ? undefined : parts.map((p) => stretch(p));
}

export function spansText(spans: Spans): string | undefined {
  return spans?.map((s) => `${s.from ?? ""}${s.to === undefined ? "" : `-${s.to}`}`).join(",");
}

/** "10-14 1/8" as a stretch with its opening, the last word of each. */
export function gapsOf(text: string): Gaps {
  const parts = text.split(/[,;]/).filter((p) => p.trim() !== "");
  if (parts.length === 0) return undefined;
  return parts.map((p) => {
    const match = /^(.*\S)\s+(\S+)$/.exec(p.trimEnd());
    return match?.[1] && /-./.test(match[1]) ? { ...stretch(match[1]), opening: match[2] } : stretch(p);
  });
}

export function gapsText(gaps: Gaps): string | undefined {
  return gaps
    ?.map((g) => `${g.from ?? ""}${g.to === undefined ? "" : `-${g.to}`}${g.opening ? ` ${g.opening}` : ""}`)
    .join(",");
}

function stretch(text: string): { from: string; to?: string } {
  const parts = text.trim().split(/\s*(?:–|\bto\b)\s*|(?<=\S)-(?=\d)(?!\d+\/)/);
  return parts.length < 2 ? { from: text.trim() } : { from: parts[0] ?? "", to: parts.slice(1).join("-") };
}

/** What is sent: fields left empty are left out, as the format wants them. */
export function pruned(form: NewJoint): NewJoint {
  const joint = form.joint ?? {};
  const kept = Object.fromEntries(
    Object.entries(joint).filter(([, v]) => v !== "" && v !== undefined && v !== null),
  ) as JointForm;
  if (joint.groove) {
    const groove = Object.fromEntries(
      Object.entries(joint.groove).filter(([, v]) => v !== "" && v !== undefined && v !== null),
    ) as NonNullable<JointForm["groove"]>;
    if (Object.keys(groove).length > 0) kept.groove = groove;
    else delete kept.groove;
  }
  kept.members = (joint.members ?? [])
    .map((m) => ({ ...(m.name ? { name: m.name } : {}), ...(m.thickness ? { thickness: m.thickness } : {}) }))
    .filter((m, i) => i === 0 || Object.keys(m).length > 0);
  return { ...form, joint: kept };
}

/** A new weld like one before: all of it but what makes it that weld. */
export function likeThat(before: NewJoint, form: NewJoint): NewJoint {
  const own = form.joint ?? {};
  return {
    ...before,
    ...(form.lot ? { lot: form.lot } : {}),
    ...(form.welder ? { welder: form.welder } : {}),
    weldedAt: undefined,
    joint: { ...before.joint, mark: own.mark, weldNo: own.weldNo, gaps: undefined },
  };
}
