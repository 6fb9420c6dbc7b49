/** A length that the server gives in mm, as the drawing's units show it. */
export function lengthIn(mm: number, units: string): string {
  return units === "in" ? (mm / 25.4).toFixed(3).replace(/^0/, "").replace(/^-0/, "-") : mm.toFixed(2);
}

/** A volume, likewise. */
export function volumeIn(mm3: number, units: string): string {
  return units === "in" ? `${(mm3 / 16387.064).toFixed(4)} in³` : `${Math.round(mm3)} mm³`;
}

export function sizeOf(bytes: number): string {
  return bytes < 1e6 ? `${Math.max(1, Math.round(bytes / 1e3))} kB` : `${(bytes / 1e6).toFixed(1)} MB`;
}

export const measureWords: Record<string, string> = {
  legA: "leg",
  legB: "leg",
  throat: "throat",
  size: "size",
  convexity: "convexity",
  concavity: "concavity",
  reinforcement: "crown",
  underfill: "underfill",
  offset: "offset",
  faceWidth: "face width",
  undercutA: "undercut",
  undercutB: "undercut",
};
