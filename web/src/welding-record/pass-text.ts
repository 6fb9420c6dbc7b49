import type { WeldingContent } from "../lib/api";

/** A number, a word or a list of words, as a field has it. */
export function inText(v: WeldingContent[keyof WeldingContent]): string {
  if (Array.isArray(v)) return v.filter((x) => typeof x === "string").join(", ");
  return v === undefined ? "" : String(v);
}
