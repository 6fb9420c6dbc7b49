import type { WeldingContent, WeldingRecord } from "../lib/api";
import { timeAt } from "../lib/clock";
import { numberOf } from "../lib/fields";
import { placeOf } from "../lib/place";

/** What was typed where the machine shows its arc force: a number of its scale, or one of its words. */
export function arcForceOf(typed: string): Pick<WeldingContent, "arcForceShown" | "arcForceWord"> {
  const n = numberOf(typed);
  if (n === undefined) return {};
  return isFinite(n) ? { arcForceShown: n } : { arcForceWord: typed.trim() };
}

/** A number, a word or a list of words, as a field has it. */
export function inText(v: WeldingContent[keyof WeldingContent]): string {
  if (Array.isArray(v)) return v.filter((x) => typeof x === "string").join(", ");
  return v === undefined ? "" : String(v);
}

/** A place by the clock where the weld runs around a round member, else as it was typed. */
export function timeOf(typed: string, { drawing, units }: WeldingRecord): string {
  const at = placeOf(typed, units);
  return (at === undefined ? undefined : timeAt(at, drawing)) ?? typed;
}
