import { fireEvent, screen, waitFor, within } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { bench, finding } from "../test/bench";
import { renderWith } from "../test/render";
import { Beside } from "./CodeComparison";
import { ContractPanel } from "./ContractPanel";
import { GaugeFaults } from "./GaugeFaults";

const books = [
  { id: "d1.1-static", title: "AWS static", edition: "2020", units: ["in"] },
  { id: "iso5817-b", title: "ISO level B", edition: "2014", units: ["mm"] },
];

describe("other codes", () => {
  it("asks nothing until a code is chosen, then marks what differs and puts it first", async () => {
    const columns = [
      {
        id: "d1.1-static",
        title: "AWS static",
        edition: "2020",
        verdict: "accept",
        findings: [finding("crack", "accept"), finding("undercut", "accept")],
      },
      {
        id: "iso5817-b",
        title: "ISO level B",
        edition: "2014",
        verdict: "reject",
        findings: [finding("crack", "accept"), finding("undercut", "reject")],
      },
    ];
    const { sent } = renderWith(<Beside bench={bench()} />, {
      "GET /api/criteria": () => ({ json: books }),
      "GET /api/inspections/inspection-1/comparison?codes=d1.1-static&codes=iso5817-b": () => ({ json: columns }),
    });
    await screen.findByText("iso5817-b");
    expect(screen.queryByRole("table")).toBeNull();
    expect(screen.queryByText("d1.1-static")).toBeNull();
    fireEvent.click(screen.getByText("iso5817-b"));
    const rows = within(await screen.findByRole("table")).getAllByRole("row");
    expect(rows[1]?.textContent).toContain("≠ differs");
    expect(rows[1]?.getAttribute("data-criterion")).toBe("undercut");
    expect(rows[2]?.textContent).not.toContain("differs");
    expect(sent.every((c) => c.method === "GET")).toBe(true);
  });
});

describe("beside the code", () => {
  it("says what the contract and the Engineer say, and lets an inspector record nothing", () => {
    const deviation = {
      id: "d1",
      form: {
        criterion: "undercut",
        from: "6",
        to: "9",
        max: "3/64",
        document: "ENG-51",
        engineer: "P. Quill",
        date: "2026-06-03",
      },
      recordedBy: "Wanda",
      recordedAt: "2026-06-04T08:00:00Z",
    };
    renderWith(
      <ContractPanel
        bench={bench({
          contract: { lines: ["undercut.depth at most 1/64 (CS-7)"], guarded: false, perToe: false },
          deviations: [deviation],
        })}
      />,
      {},
      "INSPECTOR",
    );
    expect(screen.getByText(/undercut.depth at most 1\/64/)).toBeTruthy();
    expect(screen.getByText(/by ENG-51 \(P. Quill, 2026-06-03\)/)).toBeTruthy();
    expect(screen.queryByText(/record what the Engineer allows/)).toBeNull();
  });

  it("shows what is wrong with a document at its field and keeps what was typed", async () => {
    const refused = {
      status: 422,
      json: {
        detail: "document: the number",
        errors: [{ field: "document", problem: "the number of the Engineer's document" }],
      },
    };
    renderWith(
      <ContractPanel bench={bench()} />,
      { "POST /api/inspections/inspection-1/deviations": () => refused },
      "WELDING_ENGINEER",
    );
    fireEvent.click(screen.getByText(/record what the Engineer allows/));
    fireEvent.change(screen.getByLabelText("The Engineer"), { target: { value: "P. Quill" } });
    fireEvent.click(screen.getByText("Record the document"));
    expect(await screen.findByText("the number of the Engineer's document")).toBeTruthy();
    expect(screen.getByLabelText<HTMLInputElement>("The Engineer").value).toBe("P. Quill");
  });
});

describe("gauges past their date", () => {
  const fault = { gauge: "Dial D-9", fault: "Dial D-9 was due for calibration on 2026-01-02", entries: ["e1"] };

  it("warn, stop the signature, and are waived by the quality manager with a reason", async () => {
    const { sent } = renderWith(
      <GaugeFaults bench={bench({ gaugeFaults: [fault] })} />,
      { "POST /api/inspections/inspection-1/waivers": () => ({ json: bench() }) },
      "QUALITY_MANAGER",
    );
    expect(screen.getByText(/1 entry read with it/)).toBeTruthy();
    expect(screen.getByText(/Stops the signature/)).toBeTruthy();
    fireEvent.click(screen.getByText("waive it …"));
    fireEvent.change(screen.getByLabelText("Why its readings may stand"), { target: { value: "right on the block" } });
    fireEvent.click(screen.getByText("Waive it"));
    await waitFor(() => expect(sent.some((c) => c.method === "POST")).toBe(true));
    expect(sent.find((c) => c.method === "POST")?.body).toEqual({ gauge: "Dial D-9", reason: "right on the block" });
  });

  it("are not waived by an inspector", () => {
    renderWith(<GaugeFaults bench={bench({ gaugeFaults: [fault] })} />, {}, "INSPECTOR");
    expect(screen.queryByText("waive it …")).toBeNull();
    expect(screen.getByText(/or the quality manager waives it/)).toBeTruthy();
  });
});
