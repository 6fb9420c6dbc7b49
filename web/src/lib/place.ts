/** A place under the cursor, lettered as a tape shows it: to 1/8 in, or to 1 mm. Only for drawing; nothing is judged by it. */
export function showPlace(mm: number, units: string, parts = 8): string {
  if (units === "mm") return String(Math.round(mm));
  const marks = Math.round((mm / 25.4) * parts);
  const whole = Math.floor(marks / parts);
  let top = marks % parts;
  if (top === 0) return String(whole);
  let bottom = parts;
  while (top % 2 === 0) {
    top /= 2;
    bottom /= 2;
  }
  return whole === 0 ? `${top}/${bottom}` : `${whole} ${top}/${bottom}`;
}

/** Where a typed place lies, mm; undefined where it cannot be read. To move the cursor by and to propose the next place. */
export function placeOf(text: string, units: string): number | undefined {
  const m = /^(?:(\d+(?:\.\d+)?|\.\d+)|(?:(\d+)[ -])?(\d+)\/(\d+))\s*(mm|in|")?$/.exec(text.trim());
  if (!m) return undefined;
  const value = m[1] !== undefined ? Number(m[1]) : Number(m[2] ?? 0) + Number(m[3]) / Number(m[4]);
  return isFinite(value) ? value * ((m[5] ?? units) === "mm" ? 1 : 25.4) : undefined;
}
