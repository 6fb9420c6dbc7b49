import { expect, it } from "vitest";
import { dayOf, minuteOf } from "./local-time";

it("says a date as the trade writes it, the same day everywhere", () => {
  expect(dayOf("2026-05-09")).toBe("May 9, 2026");
  expect(dayOf("2026-01-01")).toBe("Jan 1, 2026");
  expect(minuteOf("2026-05-09T07:05:00")).toMatch(/^May 9, 2026, 7:05.AM$/);
});
