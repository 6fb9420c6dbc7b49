import { fireEvent, screen, within } from "@testing-library/react";
import { expect, it } from "vitest";
import type { Plot, Plots } from "../lib/api-plots";
import { renderWith } from "../test/render";
import WhereToAct from "./WhereToAct";

const point = { key: "slag", name: "slag", cells: ["slag", "20", "66 %"], value: 20, cumulative: 0.66 };
const plot = (id: string, answer: string, enough: boolean): Plot => ({
  id,
  question: `Question of ${id}?`,
  answer,
  enough,
  shape: "PARETO",
  unit: "rejected places",
  columns: ["Kind", "Places", "Share"],
  points: enough ? [point] : [],
  note: "Wilson's interval.",
});
const plots: Plots = {
  of: "the whole shop",
  plots: [plot("kinds", "Slag leads.", true), plot("days", "Too few to say: 3 rejects; 10 are asked.", false)],
};

it("asks its questions, marks what is too few, and opens a row to its welds", async () => {
  const { sent } = renderWith(<WhereToAct />, {
    "GET /api/plots/kinds/welds": () => ({
      json: {
        of: "slag",
        count: 1,
        welds: [
          { inspectionId: "i1", mark: "FB-03", job: "Bridge", lot: "Deck", at: "2026-11-30T10:00:00Z", said: "NC-4" },
        ],
      },
    }),
    "GET /api/plots": () => ({ json: plots }),
    "GET /api/jobs": () => ({ json: [] }),
    "GET /api/welders": () => ({ json: [] }),
    "GET /api/procedures": () => ({ json: [] }),
  });
  const list = await screen.findByRole("region", { name: "Questions" });
  expect((await within(list).findByText(/Too few to say: 3 rejects/)).textContent).toContain("△");
  const opened = screen.getByRole("region", { name: "Question of kinds?" });
  fireEvent.click(within(opened).getByText("Table"));
  fireEvent.click(within(opened).getByRole("button", { name: "slag" }));
  const weld = await screen.findByRole("link", { name: "FB-03" });
  expect(weld.getAttribute("href")).toBe("/inspections/i1");
  expect(sent.some((s) => s.path === "/api/plots/kinds/welds?key=slag")).toBe(true);
  fireEvent.click(within(list).getByText("Question of days?"));
  expect(await screen.findByRole("region", { name: "Question of days?" })).toBeTruthy();
});
