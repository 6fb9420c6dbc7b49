import { fireEvent, screen, waitFor } from "@testing-library/react";
import { expect, it } from "vitest";
import NotePage from "../causes/NotePage";
import type { Note, RejectRate, RateList } from "../lib/api";
import { renderWith } from "../test/render";
import RejectRates from "./RejectRates";

const row = (key: string | undefined, welds: number, per100: number, enough: boolean) => ({
  ...(key === undefined ? {} : { key, name: `Welder ${key}` }),
  welds,
  lengthMm: 25_400,
  places: 30,
  per100,
  low: per100 / 2,
  high: per100 * 2,
  enough,
});

const list: RateList = {
  by: "welder",
  ranked: 20,
  rows: [row("B2", 41, 3, true), row("K7", 25, 1.5, true), row("D5", 4, 9, false), row(undefined, 2, 0, false)],
};
const one: RejectRate = {
  by: "welder",
  row: row("B2", 41, 3, true),
  kinds: [{ name: "slag", places: 20, share: 0.66, low: 0.5, high: 0.8 }],
  hand: [{ name: "Current too low", places: 18, share: 0.6, low: 0.4, high: 0.75 }],
  shop: [{ name: "Cleanliness", places: 2, share: 0.07, low: 0.02, high: 0.2 }],
  trend: [{ from: "2026-04-01", welds: 41, lengthMm: 25_400, places: 30, per100: 3, low: 2, high: 4.3 }],
};

it("sets welders with few welds apart, and keeps the hand's causes apart from the shop's", async () => {
  const { sent, container } = renderWith(<RejectRates />, {
    "GET /api/reject-rates/one": () => ({ json: one }),
    "GET /api/reject-rates": () => ({ json: list }),
  });
  await screen.findByText("Likely the hand’s");
  const text = container.textContent ?? "";
  expect(text.indexOf("Fewer than 20 welds")).toBeGreaterThan(text.indexOf("K7"));
  expect(text).toContain("△ D5");
  expect(text).not.toContain("△ K7");
  expect(text).toContain("30 in 1,000 in of 41 welds. With so many, the true rate may lie anywhere from 1.5 to 6.0");
  expect(text).toContain("66% (50%–80%)");
  fireEvent.click(screen.getByText("△ not recorded"));
  await waitFor(() => expect(sent.some((s) => s.path === "/api/reject-rates/one?by=welder")).toBe(true));
  fireEvent.click(screen.getByRole("button", { name: "Procedures" }));
  await waitFor(() => expect(sent.some((s) => s.path === "/api/reject-rates?by=procedure")).toBe(true));
});

const note: Note = {
  inspectionId: "inspection-1",
  mark: "FB-4",
  job: "Lock footbridge",
  inWords: "1/4 fillet",
  welder: "B2",
  verdict: "reject",
  signed: false,
  datum: "north end",
  seen: [{ what: "Slag", found: "trapped", allowed: "none", where: "10–12", why: "Too cold (strong)" }],
  change: {
    cause: "Too cold",
    standing: "strong",
    change: "root pass: amps from 100 to 125 (W-12 rev B says 115–130 A)",
    prevent: "test on scrap",
    evidence: ["at 100 A"],
  },
  good: ["Crack: inspected for, none seen"],
  doubts: [],
  ratings: [],
  rubric: [{ id: "toes", title: "Toes", most: 2, full: "wetted in" }],
};

it("gives the welder one thing to change, and stores a rating apart from the verdict", async () => {
  const { sent } = renderWith(<NotePage />, {
    GET: () => ({ json: note }),
    PUT: () => ({
      json: {
        ...note,
        ratings: [
          {
            sum: 2,
            points: [{ id: "toes", points: 2 }],
            reasons: ["even", "slag"],
            by: "Ines Marl",
            own: true,
            at: "2026-05-04T10:00:00Z",
          },
        ],
      },
    }),
  });
  await screen.findByText("root pass: amps from 100 to 125 (W-12 rev B says 115–130 A)");
  expect(screen.getByText("Crack: inspected for, none seen")).toBeTruthy();
  fireEvent.click(screen.getByText("2"));
  fireEvent.change(screen.getByLabelText("Why, in two lines"), { target: { value: "even" } });
  fireEvent.change(screen.getByLabelText("Second line"), { target: { value: "slag" } });
  fireEvent.click(screen.getByText("Store 2 of 10"));
  await screen.findByText("How well it is made: 2 of 10");
  expect(sent.find((s) => s.method === "PUT")?.body).toEqual({
    points: { toes: 2 },
    firstReason: "even",
    secondReason: "slag",
  });
  expect(screen.getByText(/It is not pass or fail/)).toBeTruthy();
});
