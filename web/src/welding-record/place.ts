import { spansOf } from "../set-up/form";

/** "7" as a place, "10-14" as a stretch; empty where nothing is typed. */
export function placeOf(text: string): { at?: string; from?: string; to?: string } {
  const span = text.trim() === "" ? undefined : spansOf(text.replace(/[,;]/g, " "))?.[0];
  if (!span) return {};
  return span.to === undefined ? { at: span.from } : span;
}

export function placeText(c: { at?: string; from?: string; to?: string }): string {
  return c.at ? `at ${c.at}` : c.from ? `${c.from}–${c.to ?? ""}` : "";
}
