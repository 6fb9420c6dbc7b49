import { fireEvent, screen, waitFor } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { made, welding } from "../test/bench";
import { choose } from "../test/choose";
import { renderWith } from "../test/render";
import { PassesPanel } from "./PassesPanel";

/** What was sent to be stored; the machines are read too. */
const puts = <S extends { method: string }>(sent: S[]) => sent.filter((s) => s.method === "PUT");
const type = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });

describe("the passes", () => {
  it("records a pass with what was set, and leaves out what was not", async () => {
    const { sent } = renderWith(<PassesPanel welding={welding()} mayRecord />, { PUT: () => ({ json: welding() }) });
    choose("Diameter", "1/8");
    type("Amps", "95 A");
    choose("Polarity", "DCEP");
    type("Starts at", "0, 8 1/2");
    fireEvent.click(screen.getByText("Record the pass"));
    await waitFor(() => expect(puts(sent)).toHaveLength(1));
    expect(puts(sent)[0]?.path).toMatch(/^\/api\/joints\/joint-1\/welding-record\/entries\/[0-9a-f-]{36}$/);
    expect(puts(sent)[0]?.body).toEqual({
      kind: "PASS",
      content: {
        kind: "root",
        electrode: "E7018",
        diameter: "1/8",
        amps: 95,
        polarity: "DCEP",
        starts: ["0", "8 1/2"],
      },
    });
  });

  it("copies the procedure's values as planned, and measures what a hand types over", async () => {
    const procedure = {
      id: "w",
      name: "W-12 rev B",
      passes: [
        {
          kind: "root",
          process: "SMAW",
          electrode: "E7018",
          diameter: "1/8 in",
          amps: 127.5,
          volts: 22,
          polarity: "DCEP",
          ranges: "115–140 A",
        },
      ],
    };
    const { sent } = renderWith(<PassesPanel welding={welding({ procedure })} mayRecord />, {
      PUT: () => ({ json: welding() }),
    });
    fireEvent.click(screen.getByRole("button", { name: "root" }));
    type("Amps", "100");
    fireEvent.click(screen.getByText("Record the pass"));
    await waitFor(() => expect(puts(sent)).toHaveLength(1));
    expect(puts(sent)[0]?.body).toEqual({
      kind: "PASS",
      content: {
        kind: "root",
        electrode: "E7018",
        diameter: "1/8 in",
        amps: 100,
        volts: 22,
        polarity: "DCEP",
        plannedFields: ["electrode", "diameter", "volts", "polarity"],
      },
    });
  });

  it("refuses amps that are no number, in words", () => {
    const { sent } = renderWith(<PassesPanel welding={welding()} mayRecord />, {});
    type("Amps", "hot");
    fireEvent.click(screen.getByText("Record the pass"));
    expect(screen.getByText(/a number, as the meter shows it/)).toBeTruthy();
    expect(sent).toHaveLength(0);
  });

  it("shows each departure at its pass, and what is only planned apart", () => {
    const m = welding({
      entries: [
        made("e1", "PASS", {
          kind: "root",
          electrode: "E7018",
          diameter: "1/8",
          amps: 90,
          volts: 22,
          plannedFields: ["volts"],
        }),
      ],
      departures: [
        { entry: "e1", line: "1/8 in E7018 at 90 A: the rod's range is 115–165 A", fault: true },
        { line: "low-hydrogen rods out 6 h; 4 h for E70", fault: true },
      ],
    });
    renderWith(<PassesPanel welding={m} mayRecord={false} />, {});
    expect(screen.getByText(/1\/8, E7018, 90 A/)).toBeTruthy();
    expect(screen.getByText("planned, not measured: 22 V")).toBeTruthy();
    expect(screen.getByText(/115–165 A/)).toBeTruthy();
    expect(screen.getByText(/out 6 h/)).toBeTruthy();
    expect(screen.queryByText("Record the pass")).toBeNull();
  });
});
