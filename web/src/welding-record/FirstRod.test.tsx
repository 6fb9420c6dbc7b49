import { fireEvent, screen, waitFor } from "@testing-library/react";
import { expect, it } from "vitest";
import { renderWith } from "../test/render";
import { welding } from "../test/bench";
import { FirstRod } from "./FirstRod";

const card = {
  entry: "e1",
  version: 2,
  stops: true,
  content: { kind: "root", mode: "SMAW", polarity: "DCEN", amps: 122 },
  lines: [
    { title: "Mode", read: "SMAW (stick)", wanted: "SMAW (stick)", state: "ok" },
    { title: "Polarity at the terminals", read: "DCEN", wanted: "DCEP or AC", state: "stop" },
    { title: "Amps", read: "", wanted: "110–165 A", state: "open" },
  ],
  protection: ["Chipping: eye protection under the hood."],
};

it("stops the start at a wrong pole, and says what was not read", () => {
  renderWith(<FirstRod welding={welding({ firstRod: card })} mayRecord={false} />, {});
  expect(screen.getByRole("alert").textContent).toContain("Do not start");
  expect(screen.getByText(/Polarity at the terminals/).closest("span")?.textContent).toContain("✕");
  expect(screen.getByText(/not read/)).toBeTruthy();
  expect(screen.getByText(/under the hood/)).toBeTruthy();
});

it("keeps what was read at the machine, and nothing that was not", async () => {
  const { sent } = renderWith(<FirstRod welding={welding({ firstRod: card })} mayRecord />, {
    PUT: () => ({ json: welding() }),
    GET: () => ({ json: [] }),
  });
  fireEvent.click(screen.getByText("Read again"));
  fireEvent.change(screen.getByLabelText("Amps"), { target: { value: "118" } });
  fireEvent.click(screen.getByText("Keep the card"));
  await waitFor(() => expect(sent.some((s) => s.method === "PUT")).toBe(true));
  const body = sent.find((s) => s.method === "PUT")?.body as { kind: string; content: object; version: number };
  expect(body.kind).toBe("FIRST_ROD");
  expect(body.version).toBe(2);
  expect(body.content).toMatchObject({ kind: "root", mode: "SMAW", polarity: "DCEN", amps: 118 });
  expect(body.content).not.toHaveProperty("ovenHours");
});
