import { fireEvent, screen, waitFor } from "@testing-library/react";
import { describe, expect, it, vi } from "vitest";
import { bench } from "../test/bench";
import { renderWith, type Sent } from "../test/render";
import { EntryDock } from "./EntryDock";

const puts = (sent: Sent[]) => sent.filter((s) => s.method === "PUT");
const fill = (label: RegExp | string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });

describe("putting down", () => {
  it("takes a letter for the kind, and Enter to put down", async () => {
    const b = bench();
    const { sent } = renderWith(<EntryDock bench={b} touched={{ place: "", touch: 0 }} onDone={vi.fn()} />, { PUT: () => ({ json: b }) });
    fireEvent.keyDown(document.body, { key: "u" });
    fill("From", "3");
    fill("To", "4 1/2");
    fireEvent.click(screen.getByText("1/32", { selector: "button" }));
    fireEvent.click(screen.getByText("flange toe"));
    fireEvent.submit(screen.getByLabelText("From").closest("form") as HTMLFormElement);
    await screen.findByText(/Put down: undercut flange toe 3–4 1\/2 1\/32 deep/);
    expect(puts(sent)[0]?.body).toEqual({ kind: "INDICATION", content: { kind: "undercut", toe: "B", from: "3", to: "4 1/2", depth: "1/32" } });
    expect((screen.getByLabelText("From") as HTMLInputElement).value).toBe("");
  });

  it("keeps what was typed and the entry's id when the server cannot be reached", async () => {
    const b = bench();
    let down = true;
    const { sent } = renderWith(<EntryDock bench={b} touched={{ place: "", touch: 0 }} onDone={vi.fn()} />, {
      PUT: () => {
        if (down) throw new Error("no network");
        return { json: b };
      },
    });
    fireEvent.keyDown(document.body, { key: "c" });
    fill("At", "18");
    const form = screen.getByLabelText("At").closest("form") as HTMLFormElement;
    fireEvent.submit(form);
    await screen.findByText(/cannot be reached; what you typed is still here/);
    expect((screen.getByLabelText("At") as HTMLInputElement).value).toBe("18");
    down = false;
    fireEvent.submit(form);
    await screen.findByText(/Put down: crack at 18/);
    expect(new Set(puts(sent).map((s) => s.path)).size).toBe(1);
  });

  it("shows the server's words at the field", async () => {
    const b = bench();
    renderWith(<EntryDock bench={b} touched={{ place: "", touch: 0 }} onDone={vi.fn()} />, {
      PUT: () => ({ status: 422, json: { detail: "to: 40 in lies past the weld's end at 24 in", errors: [{ field: "to", problem: "40 in lies past the weld's end at 24 in" }] } }),
    });
    fireEvent.keyDown(document.body, { key: "o" });
    fill("From", "3");
    fill("To", "40");
    fireEvent.submit(screen.getByLabelText("From").closest("form") as HTMLFormElement);
    await screen.findByText("40 in lies past the weld's end at 24 in");
    expect(screen.getByLabelText("To").getAttribute("aria-invalid")).toBe("true");
  });

  it("leaves the field with Escape, so that a letter picks another kind", () => {
    renderWith(<EntryDock bench={bench()} touched={{ place: "", touch: 0 }} onDone={vi.fn()} />, {});
    fireEvent.keyDown(document.body, { key: "c" });
    const at = screen.getByLabelText("At");
    at.focus();
    fireEvent.keyDown(at, { key: "u" });
    expect(screen.queryByLabelText("From")).toBeNull();
    fireEvent.keyDown(at, { key: "Escape" });
    expect(document.activeElement).toBe(document.body);
    fireEvent.keyDown(document.body, { key: "u" });
    expect(screen.getByLabelText("From")).toBeTruthy();
  });

  it("puts the blade down along the full length with one touch", async () => {
    const b = bench();
    const { sent } = renderWith(<EntryDock bench={b} touched={{ place: "", touch: 0 }} onDone={vi.fn()} />, { PUT: () => ({ json: b }) });
    fireEvent.click(screen.getByText("5/16 goes, full length"));
    await waitFor(() => expect(puts(sent)).toHaveLength(1));
    expect(puts(sent)[0]?.body).toEqual({ kind: "READING", content: { from: "0", to: "24", atLeast: "5/16" } });
  });

  it("fills the first empty place by a touch on the strip", () => {
    const b = bench();
    const dock = (place: string, touch: number) => <EntryDock bench={b} touched={{ place, touch }} onDone={vi.fn()} />;
    const { again } = renderWith(dock("", 0), {});
    fireEvent.keyDown(document.body, { key: "b" });
    again(dock("11 5/8", 1));
    again(dock("14", 2));
    expect((screen.getByLabelText("From") as HTMLInputElement).value).toBe("11 5/8");
    expect((screen.getByLabelText("To") as HTMLInputElement).value).toBe("14");
  });

  it("shows what somebody else changed, and stores mine only when asked", async () => {
    const b = bench();
    const entry = { id: "e7", kind: "INDICATION" as const, content: { kind: "crack", at: "3" }, by: "Ines", at: "2026-05-04T10:00:00Z", withdrawn: false, version: 4 };
    let clash = true;
    const { sent } = renderWith(<EntryDock bench={b} touched={{ place: "", touch: 0 }} editing={entry} onDone={vi.fn()} />, {
      PUT: () => (clash ? { status: 409, json: { detail: "Tomas Reed changed this entry meanwhile", current: { ...entry, content: { kind: "crack", at: "9" }, version: 5 } } } : { json: b }),
      "GET /api/inspections": () => ({ json: b }),
    });
    fill("At", "5");
    fireEvent.click(screen.getByText("Store the change"));
    await screen.findByText(/Tomas Reed changed this entry meanwhile:/);
    expect(screen.getByText(/crack at 9/)).toBeTruthy();
    expect((screen.getByLabelText("At") as HTMLInputElement).value).toBe("5");
    clash = false;
    fireEvent.click(screen.getByText("store mine instead"));
    await waitFor(() => expect(puts(sent)).toHaveLength(2));
    expect(puts(sent)[1]?.body).toMatchObject({ content: { at: "5" }, version: 5 });
  });

  it("changes an entry under its own id and version", async () => {
    const b = bench();
    const done = vi.fn();
    const entry = { id: "e7", kind: "INDICATION" as const, content: { kind: "crack", at: "3" }, by: "Ines", at: "2026-05-04T10:00:00Z", withdrawn: false, version: 4 };
    const { sent } = renderWith(<EntryDock bench={b} touched={{ place: "", touch: 0 }} editing={entry} onDone={done} />, { PUT: () => ({ json: b }) });
    fill("At", "5");
    fireEvent.click(screen.getByText("Store the change"));
    await waitFor(() => expect(done).toHaveBeenCalled());
    expect(puts(sent)[0]).toEqual({ method: "PUT", path: "/api/inspections/look-1/entries/e7", body: { kind: "INDICATION", content: { kind: "crack", at: "5" }, version: 4 } });
  });
});
