import type { Bench, Entry } from "../lib/api";
import { placeOf, showPlace } from "../lib/place";
import type { KindSpec, Typed } from "./kinds";

/** The station after this one: a step further, or where the inspection wants the next one. */
export function nextAt(at: string, step: string, bench: Bench): string {
  const { units } = bench.joint;
  const now = placeOf(at, units);
  const by = placeOf(step, units);
  if (now !== undefined && by !== undefined && by > 0)
    return now + by > bench.strip.length + 0.01 ? "" : showPlace(now + by, units, 16);
  return bench.guide.find((s) => s.kind === "STATION" && s.place !== at && (s.from ?? 0) > (now ?? -1))?.place ?? "";
}

/** What a new one starts with. */
export function defaults(spec: KindSpec, bench: Bench): Typed {
  const start: Typed = {};
  for (const f of spec.fields) {
    if (f.input === "toe") start[f.name] = "A";
    if (f.input === "choice") start[f.name] = f.options?.[0]?.[0] ?? "";
    if (f.chips === "size" && f.name === "atLeast")
      start[f.name] = bench.joint.form.size ?? bench.joint.form.throat ?? "";
  }
  return start;
}

/** After putting one down: the toe, the choices and the gauge stay, the places go. */
export function stays(spec: KindSpec, typed: Typed): Typed {
  const names = spec.fields.filter((f) => f.input === "toe" || f.input === "choice").map((f) => f.name);
  return Object.fromEntries([...names, "gauge" as const].map((name) => [name, typed[name] ?? ""]));
}

/** What was recorded, as it was typed. */
export function asTyped(entry: { content: Entry["content"] }): Typed {
  return Object.fromEntries(Object.entries(entry.content).map(([k, v]) => [k, String(v)]));
}
