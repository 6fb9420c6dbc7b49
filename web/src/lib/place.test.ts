import { expect, it } from "vitest";
import { showPlace } from "./place";

it("letters a place to an eighth of an inch or a millimetre", () => {
  expect(showPlace(0, "in")).toBe("0");
  expect(showPlace(25.4 * 11.625, "in")).toBe("11 5/8");
  expect(showPlace(25.4 * 0.49, "in")).toBe("1/2");
  expect(showPlace(12.4, "mm")).toBe("12");
});
