import type { Strip } from "./api";

/** Whatever has a length and, around a round member, its hours. */
export type Dial = Pick<Strip, "length" | "clock">;

const dial = 720;

/** Where 12:00 lies on the weld, and whether it is measured as the hours go; from the hours that the strip carries. */
function lie(strip: Dial): { noon: number; clockwise: boolean } | undefined {
  const noon = strip.clock.find((t) => t.label === "12:00");
  const three = strip.clock.find((t) => t.label === "3:00");
  if (!noon || !three) return undefined;
  const on = (three.at - noon.at + strip.length) % strip.length;
  return { noon: noon.at, clockwise: on < strip.length / 2 };
}

/** Degrees clockwise from the top of a place on a weld around a round member. */
export function degreesAt(mm: number, strip: Dial): number {
  const l = lie(strip);
  if (!l) return 0;
  const part = (mm - l.noon) / strip.length;
  return (((l.clockwise ? part : -part) % 1) + 1) * 360;
}

/** The place that lies at an angle clockwise from the top. */
export function placeAt(degrees: number, strip: Dial): number {
  const l = lie(strip);
  if (!l) return 0;
  const part = (l.clockwise ? degrees : -degrees) / 360;
  return ((((l.noon / strip.length + part) % 1) + 1) % 1) * strip.length;
}

/** What the clock shows at a place; to five minutes on a small pipe. Nothing where the weld has no clock. */
export function timeAt(mm: number, strip: Dial): string | undefined {
  if (!lie(strip)) return undefined;
  const step = strip.length < 508 ? 5 : 1;
  const minutes = (Math.round(((degreesAt(mm, strip) / 360) * dial) / step) * step) % dial;
  const hour = Math.floor(minutes / 60);
  return `${hour === 0 ? 12 : hour}:${String(minutes % 60).padStart(2, "0")}`;
}

/** A stretch as the hours go, whichever way the weld is measured. */
export function clockRange(from: number, to: number, strip: Dial): string {
  const ends = [timeAt(from, strip), timeAt(to, strip)];
  return (lie(strip)?.clockwise === false ? ends.reverse() : ends).join("–");
}
