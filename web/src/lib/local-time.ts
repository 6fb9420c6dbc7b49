/** A moment by this place's clock, as a date field has it: 2026-05-09T07:05. */
export function localTime(d: Date): string {
  const two = (n: number) => String(n).padStart(2, "0");
  return `${d.getFullYear()}-${two(d.getMonth() + 1)}-${two(d.getDate())}T${two(d.getHours())}:${two(d.getMinutes())}`;
}

/** A day as the trade writes it: May 9, 2026. A date alone is the same day everywhere. */
export function dayOf(at: string): string {
  const alone = /^(\d{4})-(\d\d)-(\d\d)$/.exec(at);
  const day = alone ? new Date(Number(alone[1]), Number(alone[2]) - 1, Number(alone[3])) : new Date(at);
  return day.toLocaleDateString("en-US", { dateStyle: "medium" });
}

/** A moment by this place's clock: May 9, 2026, 7:05 AM. */
export function minuteOf(at: string): string {
  return new Date(at).toLocaleString("en-US", { dateStyle: "medium", timeStyle: "short" });
}
