import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { expect, it } from "vitest";
import type { Sheet } from "../lib/api";
import { renderWith } from "../test/render";
import SheetPage from "./SheetPage";

const line = (n: number, more: Partial<Sheet["lines"][number]> = {}) => ({
  inspectionId: `i${n}`,
  jointId: `j${n}`,
  mark: `CA-0${n}`,
  verdict: "incomplete",
  rejects: 0,
  todos: 14,
  begun: false,
  signed: false,
  version: 1,
  ...more,
});
const sheet = (lines: Sheet["lines"]): Sheet => ({
  inWords: "1/4 fillet, lap, 6 in",
  job: "Lock footbridge",
  units: "in",
  length: "6",
  size: "1/4",
  capacity: "verification",
  clearable: [
    { id: "crack", title: "Crack" },
    { id: "undercut", title: "Undercut" },
  ],
  lines,
});

it("puts the same down on each weld but the one left out, and nothing is pressed beforehand", async () => {
  const { sent } = renderWith(<SheetPage />, {
    "GET /api/kit": () => ({ json: ["g1"] }),
    "GET /api/inspections/": () => ({ json: sheet([line(1), line(2), line(3, { begun: true, verdict: "reject" })]) }),
    POST: () => ({ json: sheet([line(1, { begun: true, verdict: "accept", version: 7 })]) }),
  });
  const put = await screen.findByRole<HTMLButtonElement>("button", { name: "Record on 2 welds" });
  expect(put.disabled).toBe(true);
  fireEvent.click(screen.getByLabelText("CA-02 on the sheet"));
  for (const question of [
    "Slag and spatter off",
    "Cooled to ambient",
    "Enough light",
    "Eye within 24 in, not below 30°",
  ]) {
    fireEvent.click(within(screen.getByRole("radiogroup", { name: question })).getByText("yes"));
  }
  fireEvent.click(within(screen.getByRole("radiogroup", { name: "Coated or painted" })).getByText("no"));
  fireEvent.click(screen.getByText("1/4 blade goes, full length"));
  fireEvent.click(screen.getByText("all 2"));
  fireEvent.click(screen.getByText("Crack"));
  fireEvent.click(screen.getByText("Record on 1 weld"));
  await waitFor(() => expect(sent.some((s) => s.method === "POST")).toBe(true));
  expect(sent.find((s) => s.method === "POST")?.body).toEqual({
    inspections: ["i1"],
    conditions: { cleaned: true, ambient: true, light: true, near: true, coated: false, gauges: ["g1"] },
    entries: [
      { kind: "READING", content: { from: "0", to: "6", atLeast: "1/4" } },
      { kind: "CLEAR", content: { criterion: "undercut" } },
    ],
  });
  fireEvent.click(await screen.findByText("Sign 1 as accept"));
  await waitFor(() => expect(sent.filter((s) => s.method === "POST")).toHaveLength(2));
  expect(sent.filter((s) => s.method === "POST")[1]?.body).toEqual({
    inspections: [{ inspectionId: "i1", version: 7 }],
    capacity: "verification",
  });
});
