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
  version: "1",
  ...more,
});

it("asks the server for a mark, a state and a job, and to sort by a column", async () => {
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
  fireEvent.change(screen.getByLabelText("Find a weld"), { target: { value: "fb" } });
  await screen.findByText("FB-04");
  expect(screen.queryByText("ST2-17")).toBeNull();
  fireEvent.click(screen.getByText("Sign 4"));
  await waitFor(() => expect(sent.some((s) => s.path.includes("group=sign"))).toBe(true));
  fireEvent.click(screen.getAllByText("Welder")[0] as Element);
  await waitFor(() => expect(sent.some((s) => s.path.includes("sort=welder"))).toBe(true));
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

it("greets an empty shop with what is wanted before the first inspection, each ticked once it is there", async () => {
  renderWith(<Worklist />, {
    "GET /api/jobs": () => ({ json: [] }),
    "GET /api/joints": () => ({ json: page([]) }),
    "GET /api/people": () => ({ json: [{ id: "p", name: "I. Vane", login: "vane", roles: ["INSPECTOR"] }] }),
    "GET /api/criteria": () => ({ json: [] }),
    "GET /api/gauges": () => ({ json: [] }),
  });
  await screen.findByText(/No joint is set up yet/);
  const isDone = (words: string) => screen.getByText(words).closest(".ant-steps-item-finish") !== null;
  await waitFor(() => expect(isDone("People and their roles")).toBe(true));
  expect(isDone("Gauges")).toBe(false);
  // an inspector is led to what an inspector may do
  expect(screen.getByText("Do it now").closest("a")?.getAttribute("href")).toBe("/gauges");
  expect(screen.getAllByText("for the quality manager")).toHaveLength(1);
});

it("reads the list again once something new was stored, and only then", async () => {
  let version = "1";
  const { sent } = renderWith(<Worklist />, {
    "GET /api/jobs": () => ({ json: [] }),
    "GET /api/joints/version": () => ({ json: { version } }),
    "GET /api/joints": () => ({ json: page([row(`FB-0${version}`, "sign")], { version }) }),
  });
  await screen.findByText("FB-01");
  const lists = () => sent.filter((s) => s.path.startsWith("/api/joints?")).length;
  const asked = () => sent.filter((s) => s.path === "/api/joints/version").length;
  await waitFor(() => expect(asked()).toBe(1));
  expect(lists()).toBe(1);
  version = "2";
  await screen.findByText("FB-02", {}, { timeout: 7_000 });
  expect(lists()).toBe(2);
}, 30_000);
