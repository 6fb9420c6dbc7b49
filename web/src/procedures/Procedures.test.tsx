import { fireEvent, screen, waitFor } from "@testing-library/react";
import { expect, it } from "vitest";
import type { Procedure, ProcedureForm } from "../lib/api";
import { renderWith } from "../test/render";
import Procedures from "./Procedures";

const rods = [
  { electrode: "E7018", diameter: "1/8", metric: "3.2", lowHydrogen: true, group: 4, amps: { low: 115, high: 165 } },
  { electrode: "E7018", diameter: "5/32", metric: "4", lowHydrogen: true, group: 4, amps: { low: 150, high: 220 } },
];
const form: ProcedureForm = {
  format: "mensor-procedure/1",
  number: "W-1",
  revision: "A",
  units: "in",
  welds: ["fillet"],
  passes: [{ kind: "root", electrode: "E7018", diameter: "1/8", amps: [115, 140] }],
};
const procedure = (more: Partial<Procedure>): Procedure => ({
  id: "w1",
  form,
  version: 0,
  used: 0,
  breaches: [],
  ...more,
});
const answers = (p: Procedure) => ({
  "GET /api/procedures/rods": () => ({ json: rods }),
  "GET /api/procedures": () => ({ json: [p] }),
  "POST /api/procedures/preview": () => ({
    json: {
      problems: [],
      breaches: [
        {
          field: "passes[0].layer",
          line: "root pass: 3/8 in flat, 5/16 in horizontal: 1/2 in is over both",
          citation: "D1.1 5.1 (3.6)",
        },
      ],
    },
  }),
  "PUT /api/procedures/w1": () => ({ json: p }),
});

it("starts the amps from the rod's range, and keeps what was narrowed", async () => {
  const { sent } = renderWith(<Procedures />, answers(procedure({})), "WELDING_ENGINEER");
  expect((await screen.findByLabelText<HTMLInputElement>("Amps")).value).toBe("115–140");
  fireEvent.change(screen.getByLabelText("Diameter"), { target: { value: "5/32" } });
  expect(screen.getByLabelText<HTMLInputElement>("Amps").value).toBe("150–220");
  fireEvent.change(screen.getByLabelText("Amps"), { target: { value: "160-200" } });
  fireEvent.click(screen.getByText("Store the procedure"));
  await waitFor(() => expect(sent.some((s) => s.method === "PUT")).toBe(true));
  const body = sent.find((s) => s.method === "PUT")?.body as { form: ProcedureForm };
  expect(body.form.passes?.[0]).toMatchObject({ diameter: "5/32", amps: [160, 200] });
});

it("shows each breach with its arithmetic", async () => {
  renderWith(<Procedures />, answers(procedure({})), "WELDING_ENGINEER");
  await screen.findByText(/1\/2 in is over both/);
  expect(screen.getByText("D1.1 5.1 (3.6)")).toBeTruthy();
});

it("freezes a revision that is used, and lets a new one begin from it", async () => {
  renderWith(<Procedures />, answers(procedure({ used: 3 })), "WELDING_ENGINEER");
  await screen.findByText("frozen: 3 joints use it");
  expect(screen.queryByText("Store the procedure")).toBeNull();
  expect(screen.getByText("new revision").getAttribute("href")).toBe("/procedures/from-w1");
});

it("is only read by an inspector", async () => {
  renderWith(<Procedures />, answers(procedure({})));
  await screen.findByLabelText("Amps");
  expect(screen.queryByText("Store the procedure")).toBeNull();
  expect(screen.queryByText("new revision")).toBeNull();
});
