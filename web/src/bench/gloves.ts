import type { Bench } from "../lib/api";
import { placeOf, showPlace } from "../lib/place";
import { chipsFor, contentOf, inWords, kindsOf, type FieldSpec, type KindSpec, type Typed } from "./kinds";

/** No question has more: each is as large as a hand in a glove. */
export const mostTargets = 8;

/** How far the hand is: what is recorded, which question is asked, and what a length stands at, mm. */
export type Gloved = { kind?: string; typed: Typed; asked: number; page: number; value?: number; byStep?: boolean };

export const start: Gloved = { typed: {}, asked: 0, page: 0 };

type Act =
  | { do: "kind"; kind: string }
  | { do: "set"; value: string }
  | { do: "move"; by: number }
  | { do: "step" | "page" | "back" | "record" };

export type Target = { word: string; act: Act; main?: boolean };

const places = ["at", "from", "to"];
export const isPlace = (f: FieldSpec | undefined) => f !== undefined && places.includes(f.name);

/** What is asked of a kind: all that it needs; what may be left out is said with the form. */
function fieldsOf(spec: KindSpec): FieldSpec[] {
  return spec.fields.filter((f) => !f.optional);
}

/** Of kinds whose needs can be asked by targets. */
function kindsFor(bench: Bench): KindSpec[] {
  return kindsOf(bench).filter(
    (k) => fieldsOf(k).length > 0 && fieldsOf(k).every((f) => ["length", "toe", "choice"].includes(f.input)),
  );
}

export const specIn = (g: Gloved, bench: Bench) => kindsFor(bench).find((k) => k.id === g.kind);

/** The field that is asked; none where the kind is asked, or all is said. */
export function fieldIn(g: Gloved, bench: Bench): FieldSpec | undefined {
  const spec = specIn(g, bench);
  return spec && fieldsOf(spec)[g.asked];
}

/** A length as a gauge shows it: 64ths of an inch, tenths of a millimeter. */
export function lengthOf(mm: number, units: string): string {
  return units === "mm" ? String(Math.round(mm * 10) / 10) : showPlace(mm, units, 64);
}

/** What a length begins at: the size of the weld for what is as large as that, else a thirty-second or a millimeter. */
function begun(f: FieldSpec, bench: Bench): number {
  const { units } = bench.joint;
  const size = placeOf(bench.joint.size, units);
  const large = f.chips === "size" || (f.measure && f.chips === undefined);
  return large && size !== undefined ? size : units === "mm" ? 1 : 25.4 / 32;
}

export const valueIn = (g: Gloved, bench: Bench) => {
  const f = fieldIn(g, bench);
  return g.value ?? (f ? begun(f, bench) : 0);
};

/** One question with its targets. */
export function question(g: Gloved, bench: Bench, cursor: number): { ask: string; targets: Target[] } {
  const { units } = bench.joint;
  const spec = specIn(g, bench);
  const back: Target = { word: "‹ back", act: { do: "back" } };
  if (!spec) {
    const all = kindsFor(bench);
    const paged = all.length > mostTargets;
    const per = paged ? mostTargets - 1 : mostTargets;
    const from = (g.page % Math.max(1, Math.ceil(all.length / per))) * per;
    return {
      ask: "What do you see or read?",
      targets: [
        ...all.slice(from, from + per).map((k): Target => ({ word: k.word, act: { do: "kind", kind: k.id } })),
        ...(paged ? [{ word: "more …", act: { do: "page" } } as const] : []),
      ],
    };
  }
  const f = fieldIn(g, bench);
  if (!f) {
    const words = inWords({ kind: spec.entry, content: contentOf(spec, g.typed) }, bench);
    return { ask: words, targets: [{ word: "Record", act: { do: "record" }, main: true }, back] };
  }
  if (f.input === "toe") {
    const toes: [string, string][] = [
      ["A", bench.joint.toeA],
      ["B", bench.joint.toeB],
      ...(bench.joint.form.oneSided ? [["root", "root"] as [string, string]] : []),
    ];
    return {
      ask: `${spec.word}: which toe?`,
      targets: [...toes.map(([value, word]): Target => ({ word, act: { do: "set", value } })), back],
    };
  }
  if (f.input === "choice") {
    const options = (f.options ?? []).filter(([value]) => value !== "").slice(0, mostTargets - 1);
    return {
      ask: `${spec.word}: ${f.label.toLowerCase()}?`,
      targets: [...options.map(([value, word]): Target => ({ word, act: { do: "set", value } })), back],
    };
  }
  const chips = isPlace(f) || g.byStep ? [] : chipsFor(f, bench).slice(0, mostTargets - 2);
  if (chips.length > 0)
    return {
      ask: `${spec.word}: ${f.label.toLowerCase()}, ${units}?`,
      targets: [
        ...chips.map((value): Target => ({ word: value, act: { do: "set", value } })),
        { word: "another …", act: { do: "step" } },
        back,
      ],
    };
  const [large, small] = stepsOf(f, units);
  const at = isPlace(f) ? cursor : valueIn(g, bench);
  const shown = isPlace(f) ? showPlace(at, units) : lengthOf(at, units);
  const move = (by: number): Target => ({
    word: `${by < 0 ? "−" : "+"} ${lengthOf(Math.abs(by), units)}`,
    act: { do: "move", by },
  });
  return {
    ask: `${spec.word}: ${f.label.toLowerCase()}${isPlace(f) ? ", or touch the strip" : ""}?`,
    targets: [
      move(-large),
      move(-small),
      { word: shown, act: { do: "set", value: shown }, main: true },
      move(small),
      move(large),
      back,
    ],
  };
}

function stepsOf(f: FieldSpec, units: string): [number, number] {
  if (isPlace(f)) return units === "mm" ? [10, 1] : [25.4, 25.4 / 8];
  return units === "mm" ? [1, 0.1] : [25.4 / 16, 25.4 / 64];
}

/** What the hand did; recording is not done here. */
export function after(g: Gloved, act: Act, bench: Bench): Gloved {
  switch (act.do) {
    case "kind":
      return { ...start, kind: act.kind };
    case "page":
      return { ...g, page: g.page + 1 };
    case "step":
      return { ...g, byStep: true };
    case "move":
      return { ...g, value: Math.max(0, valueIn(g, bench) + act.by) };
    case "set": {
      const f = fieldIn(g, bench);
      return {
        ...(g.kind ? { kind: g.kind } : {}),
        page: g.page,
        asked: g.asked + 1,
        typed: f ? { ...g.typed, [f.name]: act.value } : g.typed,
      };
    }
    case "back":
      if (g.byStep) return { ...(g.kind ? { kind: g.kind } : {}), page: g.page, asked: g.asked, typed: g.typed };
      if (g.asked === 0) return { ...start, page: g.page };
      return { ...(g.kind ? { kind: g.kind } : {}), page: g.page, asked: g.asked - 1, typed: g.typed };
    case "record":
      return { ...start, page: g.page };
  }
}
