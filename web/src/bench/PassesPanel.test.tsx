import { fireEvent, screen, waitFor } from "@testing-library/react";
import { describe, expect, it } from "vitest";
import { bench } from "../test/bench";
import { renderWith } from "../test/render";
import { PassesPanel } from "./PassesPanel";

const choose = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });

describe("the passes", () => {
  it("records a pass with what was set, and leaves out what was not", async () => {
    const b = bench();
    const { sent } = renderWith(<PassesPanel bench={b} mayRecord />, { PUT: () => ({ json: b }) });
    choose("Diameter", "1/8");
    choose("Amps", "95 A");
    choose("Polarity", "DCEP");
    fireEvent.click(screen.getByText("Record the pass"));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toEqual({
      method: "PUT",
      path: "/api/inspections/look-1/welding",
      body: { version: 2, welding: { passes: [{ kind: "root", electrode: "E7018", diameter: "1/8", amps: 95, polarity: "DCEP", pass: 1 }] } },
    });
  });

  it("refuses amps that are no number, in words", () => {
    const { sent } = renderWith(<PassesPanel bench={bench()} mayRecord />, {});
    choose("Amps", "hot");
    fireEvent.click(screen.getByText("Record the pass"));
    expect(screen.getByText(/Amps as a number/)).toBeTruthy();
    expect(sent).toHaveLength(0);
  });

  it("shows each departure at its pass", () => {
    const b = bench({
      welding: { version: 2, form: { passes: [{ kind: "root", electrode: "E7018", diameter: "1/8", amps: 90 }] }, departures: [{ pass: 0, line: "1/8 in E7018 at 90 A: the rod's range is 115–165 A" }, { pass: -1, line: "low-hydrogen rods out 6 h; 4 h for E70" }] },
    });
    renderWith(<PassesPanel bench={b} mayRecord={false} />, {});
    expect(screen.getByText(/root, 1\/8, E7018, 90 A/)).toBeTruthy();
    expect(screen.getByText(/115–165 A/)).toBeTruthy();
    expect(screen.getByText(/out 6 h/)).toBeTruthy();
    expect(screen.queryByText("Record the pass")).toBeNull();
  });
});
