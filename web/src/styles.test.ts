import palette from "./palette.json";
import { expect, it } from "vitest";

/** Relative luminance and contrast as WCAG 2.2 defines them (from memory). */
function luminance(hex: string): number {
  const long = hex.length === 4 ? [...hex.slice(1)].map((c) => c + c).join("") : hex.slice(1);
  const [r, g, b] = [0, 2, 4]
    .map((i) => parseInt(long.slice(i, i + 2), 16) / 255)
    .map((c) => (c <= 0.03928 ? c / 12.92 : ((c + 0.055) / 1.055) ** 2.4)) as [number, number, number];
  return 0.2126 * r + 0.7152 * g + 0.0722 * b;
}

function contrast(a = "", b = ""): number {
  const [low, high] = [luminance(a), luminance(b)].sort((x, y) => x - y) as [number, number];
  return (high + 0.05) / (low + 0.05);
}

const letters = [
  "text paper",
  "quiet paper",
  "quiet head",
  "quiet floor",
  "layout paper",
  "accept paper",
  "reject paper",
  "open paper",
  "none paper",
  "accept accept-soft",
  "reject reject-soft",
  "open open-soft",
  "text hover",
  "text lane",
  "quiet lane",
  "text lane-face",
  "reject lane",
  "on-fill fill",
  "on-fill accept-fill",
  "on-fill reject-fill",
  "on-chalk chalk",
  "text steel",
  "text steel-light",
  "on-fill bar",
  "on-bar-quiet bar",
  "notch lane",
  "chalk-deep paper",
];

it.each(letters)("%s is read as well in the dark as in the light", (pair) => {
  const [letter = "", ground = ""] = pair.split(" ");
  const light: Record<string, string> = palette.light;
  const dark: Record<string, string> = palette.dark;
  const inTheLight = contrast(light[letter], light[ground]);
  expect(inTheLight).toBeGreaterThanOrEqual(4.5);
  expect(contrast(dark[letter], dark[ground])).toBeGreaterThanOrEqual(Math.min(7, inTheLight));
});

it("knows the contrast of black on white", () => {
  expect(contrast("#000", "#ffffff")).toBeCloseTo(21);
});

it("has no line over 160 characters", () => {
  const sources = import.meta.glob<string>("./**/*.{ts,tsx,css}", {
    query: "?raw",
    import: "default",
    eager: true,
  });
  const long = Object.entries(sources)
    .filter(([file]) => !file.endsWith("api.d.ts")) // written by a program
    .flatMap(([file, text]) => text.split("\n").flatMap((l, n) => (l.length > 160 ? [`${file}:${n + 1}`] : [])));
  expect(Object.keys(sources).length).toBeGreaterThan(100);
  expect(long).toEqual([]);
});

it("is dressed by the library: few lines of style sheet, and styles in place only for what is reckoned", () => {
  const sheets = import.meta.glob<string>("./**/*.css", { query: "?raw", import: "default", eager: true });
  const lines = Object.values(sheets).reduce((n, text) => n + text.trimEnd().split("\n").length, 0);
  expect(lines).toBeGreaterThan(50);
  expect(lines).toBeLessThan(190);
  const sources = import.meta.glob<string>("./**/*.tsx", { query: "?raw", import: "default", eager: true });
  const inPlace = Object.entries(sources).flatMap(([file, text]) =>
    [...text.matchAll(/style=\{/g)].map(() => file.replace("./", "")),
  );
  // a control's width where its words are known, and how the strip takes a finger
  expect(inPlace.sort()).toEqual(["lib/StripView.tsx", "lib/fields.tsx"]);
});
