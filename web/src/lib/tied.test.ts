import { expect, it } from "vitest";
import { tied } from "./tied";

it.each([
  ["size under 1/4 in", "size under 1/4\u00a0in"],
  ["at most 2 1/2 in of it", "at most 2\u00a01/2\u00a0in of it"],
  ["0.8 mm, 50 °F", "0.8\u00a0mm, 50\u00a0°F"],
  ["12 inspected in all", "12 inspected in all"],
  ["3 hours", "3 hours"],
])("%s: a number and its unit stay on one line", (text, whole) => {
  expect(tied(text)).toBe(whole);
});
