/** A place under the cursor, lettered as a tape shows it: to 1/8 in, or to 1 mm. Only for drawing; nothing is judged by it. */
export function showPlace(mm: number, units: string): string {
  if (units === "mm") return String(Math.round(mm));
  const eighths = Math.round((mm / 25.4) * 8);
  const whole = Math.floor(eighths / 8);
  let top = eighths % 8;
  if (top === 0) return String(whole);
  let bottom = 8;
  while (top % 2 === 0) {
    top /= 2;
    bottom /= 2;
  }
  return whole === 0 ? `${top}/${bottom}` : `${whole} ${top}/${bottom}`;
}
