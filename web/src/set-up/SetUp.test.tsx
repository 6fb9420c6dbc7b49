import { fireEvent, screen, waitFor } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import type { NewJoint } from "../lib/api";
import { bench } from "../test/bench";
import { chosenOf } from "../test/choose";
import { renderWith } from "../test/render";
import SetUp from "./SetUp";

const lists = {
  "GET /api/jobs": () => ({ json: [] }),
  "GET /api/procedures": () => ({ json: [] }),
  "GET /api/welders": () => ({ json: [] }),
};
const books = {
  ...lists,
  "GET /api/criteria": () => ({ json: [{ id: "d1.1-static", title: "AWS D1.1 static", edition: "2020" }] }),
};
const nothing = { numbers: [], problems: [], remarks: [], redLines: [] };
const fill = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });

describe("setting up a joint", () => {
  it("sends what was typed, draws the section and shows what is unusual at its field", async () => {
    const { sent } = renderWith(<SetUp />, {
      ...books,
      "POST /api/joints/preview": () => ({
        json: {
          problems: [],
          redLines: [],
          numbers: [],
          remarks: [{ field: "size", line: "the size is over the thinner member" }],
          section: bench().drawn,
          inWords: "1/2 fillet, tee, 24 in",
        },
      }),
      "POST /api/joints": () => ({ json: { jointId: "j", inspectionId: "i" } }),
    });
    fill("Job", "Lock footbridge");
    fill("Mark", "FB-9");
    fill("Fillet size (leg)", "1/2");
    fill("Length", "24");
    fill("Intermittent: welded stretches", "0-3, 12-15");
    await screen.findAllByText("the size is over the thinner member");
    expect(screen.getByRole("img", { name: /section/ }).getAttribute("aria-label")).toContain("as drawn");
    fireEvent.click(screen.getByText("Store and go to the bench"));
    await waitFor(() => expect(sent.some((s) => s.path === "/api/joints")).toBe(true));
    const body = sent.find((s) => s.path === "/api/joints")?.body as NewJoint;
    expect(body.job).toBe("Lock footbridge");
    expect(body.joint).toMatchObject({
      mark: "FB-9",
      size: "1/2",
      length: "24",
      weld: "fillet",
      connection: "tee",
      segments: [
        { from: "0", to: "3" },
        { from: "12", to: "15" },
      ],
    });
    expect(body.joint).not.toHaveProperty("throat");
  });

  it("says nothing of an empty field until it was tried, then at the field", async () => {
    renderWith(<SetUp />, {
      ...books,
      "POST /api/joints/preview": () => ({
        json: { ...nothing, problems: [{ field: "job", problem: "name the job that the joint belongs to" }] },
      }),
      "POST /api/joints": () => ({
        status: 422,
        json: {
          detail: "job: name the job that the joint belongs to",
          errors: [{ field: "job", problem: "name the job that the joint belongs to" }],
        },
      }),
    });
    await new Promise((r) => setTimeout(r, 250));
    expect(screen.queryByText("name the job that the joint belongs to")).toBeNull();
    fireEvent.click(screen.getByText("Store and go to the bench"));
    await screen.findByText("name the job that the joint belongs to");
    expect(screen.getByLabelText("Job").getAttribute("aria-invalid")).toBe("true");
  });

  it("asks what the size means where the members do not meet at 90°", () => {
    renderWith(<SetUp />, { ...books, "POST /api/joints/preview": () => ({ json: nothing }) });
    expect(screen.queryByLabelText("The size means")).toBeNull();
    fill("Angle between members", "120");
    expect(screen.getByLabelText("The size means")).toBeTruthy();
    expect(screen.getByLabelText("Legs are read")).toBeTruthy();
  });

  it("takes code and units from a job that stands, and shows the red lines of the welder", async () => {
    const job = {
      id: "j",
      version: 0,
      welds: 3,
      form: {
        name: "Lock gate lines",
        criteria: "d1.1-static",
        units: "mm",
        drawings: [{ number: "LG-11", revision: "A" }],
      },
    };
    const { sent } = renderWith(<SetUp />, {
      ...books,
      "GET /api/jobs": () => ({ json: [job] }),
      "GET /api/joints/last": () => ({ json: {} }),
      "POST /api/joints/preview": () => ({ json: { ...nothing, redLines: ["no test of W7 covers 4F"] } }),
    });
    await waitFor(() => expect(sent.some((s) => s.path === "/api/jobs")).toBe(true));
    await screen.findByText("no test of W7 covers 4F");
    fill("Job", "Lock gate lines");
    expect(chosenOf("Drawing in")).toBe("mm");
    expect(screen.getByLabelText<HTMLInputElement>("Drawing in").disabled).toBe(true);
    // its only drawing comes with it
    expect(screen.getByLabelText<HTMLInputElement>("Drawing").value).toBe("LG-11");
    expect(screen.getByLabelText<HTMLInputElement>("Revision").value).toBe("A");
  });
});
