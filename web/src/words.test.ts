import { expect, it } from "vitest";
import handbook from "../../docs/handbook.md?raw";

const sources = import.meta.glob<string>(["./**/*.tsx", "!./**/*.test.tsx"], {
  query: "?raw",
  import: "default",
  eager: true,
});

/** Home-made words that the trade does not use; what stands in their place is in the handbook. */
const homeMade =
  /\b(look(s|ed)? again|looks? at|looked|put(s)? down|the book|book of criteria|half walked|walk(s|ed)? (it|the weld)|dispose[sd]?( of)?|squeeze|hollow)\b/i;

/** What a person reads: the text between tags, and sentences that are given as strings. */
function texts(source: string): string[] {
  const between = [...source.matchAll(/>([^<>{}]+)</g)].map((m) => m[1] ?? "");
  const strings = [...source.matchAll(/"([^"\n]* [^"\n]*)"/g)].map((m) => m[1] ?? "");
  return [...between, ...strings].filter((t) => !/[=;]|^\.|=>/.test(t));
}

it("speaks the trade's words on every screen and in the handbook", () => {
  const found = Object.entries(sources).flatMap(([file, source]) =>
    texts(source)
      .filter((t) => homeMade.test(t))
      .map((t) => `${file}: ${t.trim()}`),
  );
  expect(Object.keys(sources).length).toBeGreaterThan(60);
  expect(found).toEqual([]);
  expect(homeMade.exec(handbook)?.[0]).toBeUndefined();
});
