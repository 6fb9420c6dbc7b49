import { expect, it } from "vitest";
import type { Strip } from "./api";
import { clockRange, degreesAt, placeAt, timeAt } from "./clock";

/** 720 mm around, so that a millimetre is a minute: the hours as the server sends them. */
function around(clockwise: boolean): Strip {
  const clock = Array.from({ length: 12 }, (_, i) => ({
    at: (clockwise ? (i + 1) * 60 : 720 - (i + 1) * 60) % 720,
    label: (i + 1) % 3 === 0 ? `${i + 1}:00` : "",
  }));
  return {
    length: 720,
    ticks: [],
    clock,
    lanes: [],
    marks: [],
    stations: [],
    bands: [],
    brackets: [],
    gaps: [],
    covers: [],
    wanted: 0,
  };
}

it("tells the time of a place and the place of an angle, both ways round", () => {
  for (const clockwise of [true, false]) {
    const strip = around(clockwise);
    expect(timeAt(0, strip)).toBe("12:00");
    expect(timeAt(270, strip)).toBe(clockwise ? "4:30" : "7:30");
    expect(timeAt(719, strip)).toBe(clockwise ? "11:59" : "12:01");
    for (const degrees of [0, 45, 90, 200, 359]) {
      expect(degreesAt(placeAt(degrees, strip), strip) % 360).toBeCloseTo(degrees, 6);
    }
  }
  expect(clockRange(270, 300, around(true))).toBe("4:30–5:00");
  expect(clockRange(420, 450, around(false))).toBe("4:30–5:00");
});

it("says nothing where the weld has no clock", () => {
  expect(timeAt(10, { ...around(true), clock: [] })).toBeUndefined();
});
