import type { Bench, EntryContent, EntryKind, KindView } from "../lib/api";
import { clockRange, timeAt } from "../lib/clock";
import { placeOf as placeAlong } from "../lib/place";

export type FieldSpec = {
  name: keyof EntryContent;
  label: string;
  input: "length" | "count" | "degrees" | "toe" | "choice";
  /** Words to choose from; the first of an optional choice is "". */
  options?: [string, string][];
  chips?: "depth" | "size";
  optional?: boolean;
  /** A gauge reads it, and can type it. */
  measure?: boolean;
};

export type KindSpec = {
  id: string;
  word: string;
  key?: string;
  entry: EntryKind;
  /** The indication's kind; readings have none. */
  kind?: string;
  fields: FieldSpec[];
  /** Where it is read on one sort of weld only. */
  of?: "fillet" | "groove";
  /** Fields that are words in the form and truth in the file. */
  truths?: (keyof EntryContent)[];
};

const at: FieldSpec = { name: "at", label: "At", input: "length" };
const from: FieldSpec = { name: "from", label: "From", input: "length" };
const to: FieldSpec = { name: "to", label: "To", input: "length" };

/** What a gauge shows. The kinds of indication come from the server, which describes each once. */
const readings: KindSpec[] = [
  {
    id: "legs",
    word: "Legs",
    key: "l",
    entry: "READING",
    of: "fillet",
    fields: [
      at,
      { name: "legA", label: "Leg A", input: "length", measure: true },
      { name: "legB", label: "Leg B", input: "length", measure: true },
      { name: "throat", label: "Throat", input: "length", measure: true, optional: true },
      {
        name: "face",
        label: "Face",
        input: "choice",
        optional: true,
        options: [
          ["", "not said"],
          ["flat", "flat"],
          ["convex", "convex"],
          ["concave", "concave"],
        ],
      },
    ],
  },
  {
    id: "crown",
    word: "Crown",
    key: "w",
    entry: "READING",
    of: "groove",
    fields: [
      at,
      { name: "reinforcement", label: "Reinforcement", input: "length", measure: true, chips: "depth" },
      { name: "faceWidth", label: "Face width", input: "length", measure: true, optional: true },
      { name: "offset", label: "Offset", input: "length", measure: true, optional: true },
      { name: "throat", label: "Throat", input: "length", measure: true, optional: true },
    ],
  },
  {
    id: "blade",
    word: "Blade goes",
    key: "b",
    entry: "READING",
    of: "fillet",
    fields: [from, to, { name: "atLeast", label: "Blade", input: "length", chips: "size" }],
  },
  {
    id: "convexity",
    word: "Convexity",
    entry: "READING",
    fields: [
      at,
      { name: "convexity", label: "Convexity", input: "length", measure: true, chips: "depth" },
      { name: "faceWidth", label: "Face width", input: "length", measure: true, optional: true },
    ],
  },
  {
    id: "root",
    word: "Root height",
    entry: "READING",
    of: "groove",
    fields: [
      at,
      { name: "rootReinforcement", label: "Height at the root", input: "length", measure: true, chips: "depth" },
      { name: "rootWidth", label: "Root width", input: "length", measure: true, optional: true },
    ],
  },
  {
    id: "concavity",
    word: "Concavity",
    entry: "READING",
    of: "fillet",
    fields: [
      at,
      { name: "concavity", label: "Concavity", input: "length", measure: true, chips: "depth" },
      { name: "legA", label: "Leg A", input: "length", measure: true, optional: true },
      { name: "legB", label: "Leg B", input: "length", measure: true, optional: true },
    ],
  },
  {
    id: "toe-angle",
    word: "Toe angle",
    entry: "READING",
    fields: [
      at,
      { name: "toeAngleA", label: "Toe A, °", input: "degrees", optional: true },
      { name: "toeAngleB", label: "Toe B, °", input: "degrees", optional: true },
    ],
  },
];

/** The letters that pick a kind at the bench. */
const keys: Record<string, string> = {
  undercut: "u",
  porosity: "p",
  undersize: "s",
  crack: "c",
  crater: "r",
  overlap: "o",
};

/** What a hand reaches for first; the rest follows as the server lists it. */
const first = [
  "undercut",
  "porosity",
  "legs",
  "crown",
  "blade",
  "undersize",
  "crack",
  "crater",
  "overlap",
  "convexity",
  "root",
  "concavity",
  "toe-angle",
];

const placeOf: Record<KindView["placement"], FieldSpec[]> = {
  AT: [at],
  AT_OR_NONE: [{ ...at, optional: true }],
  STRETCH: [from, to],
  STRETCH_BESIDE: [from, to],
  AT_OR_STRETCH: [at],
  NONE: [],
};

/** How a field is asked for, by its shape. */
function asked(f: KindView["fields"][number]): FieldSpec {
  const field = { name: f.name as keyof EntryContent, label: f.label, ...(f.required ? {} : { optional: true }) };
  const options = f.words.map((w): [string, string] => [w.value, w.said]);
  switch (f.shape) {
    case "TOE":
    case "TOE_OR_ROOT":
      return { ...field, input: "toe" };
    case "DEPTH":
      return { ...field, input: "length", chips: "depth", measure: true };
    case "SIZE":
      return { ...field, input: "length", chips: "size" };
    case "EXTENT":
      return { ...field, input: "length" };
    case "COUNT":
      return { ...field, input: "count" };
    case "FLAG":
      return { name: field.name, label: f.label, input: "choice", options };
    case "WORD":
      return { ...field, input: "choice", options: f.required ? options : [["", "not said"], ...options] };
  }
}

function described(k: KindView): KindSpec {
  const toes = k.fields.filter((f) => f.shape.startsWith("TOE")).map(asked);
  const rest = k.fields.filter((f) => !f.shape.startsWith("TOE")).map(asked);
  const key = keys[k.id];
  return {
    id: k.id,
    word: k.title,
    ...(key ? { key } : {}),
    entry: "INDICATION",
    kind: k.id,
    truths: k.fields.filter((f) => f.shape === "FLAG").map((f) => f.name as keyof EntryContent),
    fields: [...toes, ...placeOf[k.placement], ...rest],
  };
}

/** All kinds, once the server has described the indications. */
export let kinds: KindSpec[] = readings;

export function describeKinds(views: KindView[]) {
  const all = [...readings, ...views.map(described)];
  const place = (k: KindSpec) => (first.includes(k.id) ? first.indexOf(k.id) : first.length + all.indexOf(k));
  kinds = [...all].sort((a, b) => place(a) - place(b));
}

/** What can be recorded on this weld: a groove has no legs, a fillet no crown. */
export function kindsOf(bench: Bench): KindSpec[] {
  const sort = bench.joint.form.weld === "groove" ? "groove" : "fillet";
  return kinds.filter((k) => k.of === undefined || k.of === sort);
}

/** The chips that a hand reaches first: fractions as gauges show them, or millimetres. */
export function chipsFor(field: FieldSpec, bench: Bench): string[] {
  const inch = bench.joint.units === "in";
  if (field.chips === "depth")
    return inch ? ["1/64", "1/32", "3/64", "1/16", "3/32", "1/8"] : ["0.5", "1", "1.5", "2", "3"];
  if (field.chips === "size") return inch ? ["3/16", "1/4", "5/16", "3/8", "1/2"] : ["4", "5", "6", "8", "10"];
  return [];
}

/** What an entry names as its gauge that was measured in a picture. */
export const fromPicture = "picture";

export type Typed = Partial<Record<keyof EntryContent, string>>;

/** What the form's words say, as the entry's content. */
export function contentOf(spec: KindSpec, typed: Typed): EntryContent {
  const content: Record<string, unknown> = spec.kind ? { kind: spec.kind } : {};
  for (const f of spec.fields) {
    const text = typed[f.name]?.trim() ?? "";
    if (text === "") continue;
    if (f.input === "count" || f.input === "degrees") content[f.name] = Number(text);
    else if (spec.truths?.includes(f.name)) content[f.name] = text === "true";
    else content[f.name] = text;
  }
  if (measures(spec) && typed.gauge) content.gauge = typed.gauge;
  // a picture states how far it may be off; of a gauge the register knows
  if (typed.gauge === fromPicture && typed.division) content.division = typed.division;
  return content;
}

/** Whether a gauge reads it: then the entry can name which. */
export function measures(spec: KindSpec): boolean {
  return (spec.entry === "READING" && spec.id !== "blade") || spec.fields.some((f) => f.chips === "depth");
}

/** The spec that an entry was recorded with, to show or change it. */
export function specOf(entry: { kind: EntryKind; content: EntryContent }): KindSpec | undefined {
  if (entry.kind === "INDICATION") return kinds.find((k) => k.kind === entry.content.kind);
  if (entry.kind === "READING") {
    if (entry.content.atLeast) return kinds.find((k) => k.id === "blade");
    return kinds.find((k) => k.id === readingId(entry.content));
  }
  return undefined;
}

function readingId(c: EntryContent): string {
  if (c.toeAngleA !== undefined || c.toeAngleB !== undefined) return "toe-angle";
  if (c.reinforcement || (c.offset && !c.legA)) return "crown";
  if (c.rootReinforcement || c.rootWidth) return "root";
  if (c.concavity) return "concavity";
  return c.convexity && !c.legA ? "convexity" : "legs";
}

/** An entry in a line, as it would be chalked on the plate. */
/** The same place on a weld around a round member, as the hours go. */
function byClock(from: string, to: string, { strip, joint }: Bench): string {
  const [a, b] = [placeAlong(from, joint.units), placeAlong(to, joint.units)];
  if (strip.clock.length === 0 || a === undefined || b === undefined) return "";
  const words = a === b ? timeAt(a, strip) : clockRange(a, b, strip);
  return ` (${words})`;
}

export function inWords(entry: { kind: EntryKind; content: EntryContent }, bench: Bench): string {
  const c = entry.content;
  if (entry.kind === "CLEAR") return `${titleOf(c.criterion ?? "", bench)}: inspected, none seen`;
  if (entry.kind === "COVER") {
    const where = c.from ? ` ${c.from}–${c.to ?? ""}` : "";
    return `${titleOf(c.criterion ?? "", bench)}${where}: ${c.by ? `covered by ${c.by}` : "not accessible"}`;
  }
  const place = c.at
    ? `at ${c.at}${byClock(c.at, c.at, bench)}`
    : c.from
      ? `${c.from}–${c.to ?? ""}${byClock(c.from, c.to ?? "", bench)}`
      : "";
  if (entry.kind === "READING") {
    if (c.atLeast) return `${c.atLeast} blade goes, ${place}`;
    const parts = [
      (c.legA || c.legB) && `legs ${c.legA ?? "–"}, ${c.legB ?? "–"}`,
      c.reinforcement && `crown ${c.reinforcement}`,
      c.rootReinforcement && `root ${c.rootReinforcement}`,
      c.offset && `offset ${c.offset}`,
      c.throat && `throat ${c.throat}`,
      c.convexity && `convexity ${c.convexity}`,
      c.concavity && `concavity ${c.concavity}`,
      c.faceWidth && `face width ${c.faceWidth}`,
      c.rootWidth && `root width ${c.rootWidth}`,
      c.toeAngleA && `toe A ${c.toeAngleA}°`,
      c.toeAngleB && `toe B ${c.toeAngleB}°`,
      c.face && `face ${c.face}`,
    ].filter(Boolean);
    return `${parts.join(", ")} ${place}${c.gauge ? `, read with ${c.gauge}` : ""}`;
  }
  const name = specOf(entry)?.word.toLowerCase() ?? c.kind ?? "";
  const side = c.toe === "A" ? bench.joint.toeA : c.toe === "B" ? bench.joint.toeB : c.toe;
  const extra = [
    c.height && `${c.height} high`,
    c.depth && `${c.depth} deep`,
    c.diameter && `${c.diameter}${c.count && c.count > 1 ? ` ×${c.count}` : ""}`,
    c.least && `least ${c.least}`,
    c.offset,
    c.missing && `${c.missing} missing`,
    c.what?.replace("-", " "),
    c.where,
    c.trapped !== undefined && (c.trapped ? "trapped" : "covering"),
    c.loose && "loose",
    c.ground && `ground${c.checked ? `, checked ${c.checked}` : ""}`,
    c.gauge && `read with ${c.gauge}`,
  ].filter(Boolean);
  return [name, side, place, extra.join(", ")].filter(Boolean).join(" ");
}

function titleOf(criterion: string, bench: Bench): string {
  return bench.evaluation.findings.find((f) => f.id === criterion)?.title ?? criterion;
}
