import { fireEvent, screen, waitFor } from "@testing-library/react";
import { Navigate, Route, Routes } from "react-router";
import { describe, expect, it } from "vitest";
import type { WeldMap } from "../lib/api-map";
import { renderWith } from "../test/render";
import { states } from "./states";
import { fitted, zoomed } from "./useMapView";
import WeldMapPage from "./WeldMapPage";

describe("the view of a map", () => {
  it("shows the whole sheet in the middle", () => {
    expect(fitted({ width: 2000, height: 1000 }, { width: 800, height: 600 })).toEqual({ scale: 0.4, x: 0, y: 100 });
  });

  it("zooms about a place that stays where it is, and never wider than the whole", () => {
    const whole = fitted({ width: 2000, height: 1000 }, { width: 800, height: 600 });
    const at = { x: 200, y: 250 };
    const close = zoomed(whole, 2, at, whole.scale);
    const place = (v: typeof whole) => [(at.x - v.x) / v.scale, (at.y - v.y) / v.scale];
    expect(place(close)[0]).toBeCloseTo(place(whole)[0] ?? 0);
    expect(place(close)[1]).toBeCloseTo(place(whole)[1] ?? 0);
    expect(zoomed(whole, 0.2, at, whole.scale).scale).toBe(whole.scale);
    expect(zoomed(whole, 1e6, at, whole.scale).scale).toBe(whole.scale * 32);
  });
});

const weld = (joint: string, state: WeldMap["welds"][number]["state"]) => ({
  joint,
  inspection: `i-${joint}`,
  mark: joint.toUpperCase(),
  inWords: "5/16 fillet, tee, 24 in",
  state,
  next: "Inspect it",
});

const map = (changedNear: boolean): WeldMap => ({
  job: "Lock footbridge",
  welds: [weld("a-1", "REJECT"), weld("a-2", "ACCEPT"), weld("a-3", "NOT_INSPECTED")],
  sheets: [
    {
      id: "s1",
      name: "E-101",
      revision: "B",
      width: 2000,
      height: 1000,
      before: ["A"],
      pins: [
        { joint: "a-1", x: 0.5, y: 0.5, changedNear },
        { joint: "a-2", x: 0.2, y: 0.2, changedNear: false },
      ],
    },
  ],
});

const page = () => (
  <Routes>
    <Route path="/" element={<Navigate to="/jobs/j/map" />} />
    <Route path="/jobs/:id/map" element={<WeldMapPage />} />
  </Routes>
);

describe("a weld map", () => {
  it("asks whether a pin near a change is still at its weld, and filters by state", async () => {
    const { sent } = renderWith(page(), {
      "PUT /api/jobs/j/map/s1/pins/a-1": () => ({ json: map(false) }),
      "GET /api/jobs/j/map": () => ({ json: map(true) }),
    });
    expect(await screen.findByText("check its pin: the drawing changed near it")).toBeTruthy();
    expect(screen.getByText("not pinned yet")).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: /^accept 1/ }));
    await waitFor(() => expect(document.querySelectorAll("[data-pin]")).toHaveLength(1));
    fireEvent.click(screen.getByRole("button", { name: /^accept 1/ }));
    fireEvent.click(await screen.findByText("A-1", { selector: "b" }));
    expect(screen.getByText(/The drawing changed near it with revision B/)).toBeTruthy();
    fireEvent.click(screen.getByRole("button", { name: "Yes, it is there" }));
    await waitFor(() => expect(sent.some((s) => s.method === "PUT")).toBe(true));
    await waitFor(() => expect(screen.queryByText(/Is the pin still at its weld/)).toBeNull());
    expect(screen.getByRole("link", { name: /To the bench/ }).getAttribute("href")).toBe("/inspections/i-a-1");
  });

  it("has a word of its own for each state", () => {
    expect(new Set(states.map((s) => s.word)).size).toBe(6);
  });
});
