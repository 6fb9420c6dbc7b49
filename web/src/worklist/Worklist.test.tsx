import { fireEvent, screen, waitFor } from "@testing-library/react";
import { expect, it } from "vitest";
import type { Row, WorklistPage } from "../lib/api";
import { renderWith } from "../test/render";
import Worklist from "./Worklist";

const row = (mark: string, group: string, more: Partial<Row> = {}): Row => ({
  jointId: mark,
  inspectionId: mark,
  job: "Lock footbridge",
  lot: "Deck",
  mark,
  inWords: "1/4 fillet, tee, 36 in",
  stage: "final",
  revision: 1,
  jobId: "job-1",
  capacity: "QC",
  alike: 1,
  verdict: "incomplete",
  signed: false,
  rejects: 0,
  todos: 3,
  begun: true,
  next: "Finish the inspection: 3 to do",
  group,
  ...more,
});

const page = (rows: Row[], more: Partial<WorklistPage> = {}): WorklistPage => ({
  rows,
  fitting: rows.length,
  counts: { all: rows.length },
  ...more,
});

it("asks the server for a mark, a state and a job, and says how many are not shown", async () => {
  const { sent } = renderWith(<Worklist />, {
    "GET /api/jobs": () => ({ json: [] }),
    "GET /api/joints?find=fb": () => ({
      json: page([row("FB-04", "sign", { verdict: "reject", next: "Sign the reject" })], {
        fitting: 320,
        counts: { all: 320, sign: 4 },
      }),
    }),
    "GET /api/joints": () => ({ json: page([row("FB-03", "in-progress"), row("ST2-17", "sign")]) }),
  });
  await screen.findByText("ST2-17");
  fireEvent.change(screen.getByLabelText("Find by mark"), { target: { value: "fb" } });
  await screen.findByText("FB-04");
  expect(screen.queryByText("ST2-17")).toBeNull();
  expect(screen.getByText(/319 more/)).toBeTruthy();
  fireEvent.click(screen.getByText("Sign"));
  await waitFor(() => expect(sent.some((s) => s.path.includes("group=sign"))).toBe(true));
});

it("offers one sheet for welds that are alike and not begun", async () => {
  renderWith(<Worklist />, {
    "GET /api/jobs": () => ({ json: [] }),
    "GET /api/joints": () => ({
      json: page([row("CA-01", "inspect", { alike: 40, begun: false }), row("CA-02", "in-progress", { alike: 40 })]),
    }),
  });
  const links = await screen.findAllByText("40 alike: one sheet");
  expect(links).toHaveLength(1);
  expect(links[0]?.getAttribute("href")).toBe("/inspections/CA-01/sheet");
});

it("says when nothing fits, and when nothing is set up", async () => {
  renderWith(<Worklist />, { "GET /api/jobs": () => ({ json: [] }), "GET /api/joints": () => ({ json: page([]) }) });
  await screen.findByText("No joint is set up yet.");
});
