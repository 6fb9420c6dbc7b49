import { fireEvent, screen, waitFor } from "@testing-library/react";
import { expect, it } from "vitest";
import type { Repair } from "../lib/api";
import { bench } from "../test/bench";
import { renderWith } from "../test/render";
import { RepairPlan } from "./RepairPlan";

const place: Repair["places"][number] = { entry: "e1", criterion: "crack", disposition: "Remove and reweld", why: "find its ends", holds: ["is the crack a major one? the Engineer says"], steps: ["find both ends by PT, MT or etching", "take out 8–13 from the datum"], extent: "8–13", asksDepth: true };
const plan: Repair = { places: [place], cautions: [] };
const withNumbers: Repair = { places: [{ ...place, asksDepth: false, numbers: { depthMm: 6.35, widthMm: 14.7, lengthMm: 127, grams: 72.4, pounds: 0.16, rod: "E7018", diameter: "1/8 in", rods: 4, beads: 6, arcMinutes: 4.3 } }], cautions: [] };
const crack = () => bench({ entries: [{ id: "e1", kind: "INDICATION", content: { kind: "crack", from: "10", to: "11" }, by: "Ines Marl", at: "2026-05-04T10:00:00Z", withdrawn: false, version: 0 }] });

it("says where and in which order, asks the depth, and then how much it takes", async () => {
  const { sent } = renderWith(<RepairPlan bench={crack()} />, { "GET /api/inspections/look-1/repair?depth": () => ({ json: withNumbers }), "GET /api/inspections/look-1/repair": () => ({ json: plan }) });
  await screen.findByText("take out 8–13 from the datum");
  expect(screen.getByText(/Hold: is the crack a major one/)).toBeTruthy();
  fireEvent.change(screen.getByLabelText("Depth found"), { target: { value: "1/4" } });
  fireEvent.click(screen.getByText("Reckon"));
  await screen.findByText("4 rods");
  expect(screen.getByText(/72 g \(0.16 lb\), 5 min of arc; the cavity 0.25 in deep, 0.58 in wide/)).toBeTruthy();
  expect(sent.at(-1)?.path).toBe("/api/inspections/look-1/repair?depth=e1:1%2F4");
});

it("keeps the plan where a depth is refused, and shows the least repair", async () => {
  const least = { ...plan, places: [{ ...place, least: "correcting 1/4 in at 13 1/4–13 1/2 suffices for undercut" }] };
  renderWith(<RepairPlan bench={crack()} />, { "GET /api/inspections/look-1/repair?depth": () => ({ status: 422, json: { detail: "depth: \"deep\" is no length" } }), "GET /api/inspections/look-1/repair": () => ({ json: least }) });
  await screen.findByText(/correcting 1\/4 in at 13 1\/4–13 1\/2 suffices/);
  fireEvent.change(screen.getByLabelText("Depth found"), { target: { value: "deep" } });
  fireEvent.click(screen.getByText("Reckon"));
  await waitFor(() => expect(screen.getByRole("alert").textContent).toContain("is no length"));
  expect(screen.getByText("take out 8–13 from the datum")).toBeTruthy();
});
