import { fireEvent, screen } from "@testing-library/react";
import { expect, it } from "vitest";
import type { Row } from "../lib/api";
import { renderWith } from "../test/render";
import Worklist from "./Worklist";

const row = (mark: string, group: string, more: Partial<Row> = {}): Row => ({
  jointId: mark, inspectionId: mark, job: "Lock footbridge", lot: "Deck", mark, inWords: "1/4 fillet, tee, 36 in", stage: "final", revision: 1,
  verdict: "incomplete", signed: false, rejects: 0, todos: 3, begun: true, next: "Finish the look: 3 to do", group, ...more,
});

it("finds by mark and shows by state", async () => {
  renderWith(<Worklist />, { "GET /api/joints": () => ({ json: [row("FB-03", "walk"), row("FB-04", "sign", { verdict: "reject", next: "Sign the reject" }), row("ST2-17", "sign")] }) });
  await screen.findByText("FB-03");
  expect(screen.getByText("Sign the reject")).toBeTruthy();
  fireEvent.change(screen.getByLabelText("Find by mark"), { target: { value: "fb" } });
  expect(screen.queryByText("ST2-17")).toBeNull();
  fireEvent.click(screen.getByText("To sign"));
  expect(screen.queryByText("FB-03")).toBeNull();
  expect(screen.getByText("FB-04")).toBeTruthy();
});

it("says when nothing fits, and when nothing is set up", async () => {
  renderWith(<Worklist />, { "GET /api/joints": () => ({ json: [] }) });
  await screen.findByText("No joint is set up yet.");
});
