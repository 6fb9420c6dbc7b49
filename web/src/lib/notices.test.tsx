import { fireEvent, screen, waitFor } from "@testing-library/react";
import { expect, it } from "vitest";
import { renderWith } from "../test/render";
import { Notices } from "./Notices";

it("says how many, shows each with its way, and takes what is seen off", async () => {
  let left = 2;
  const notice = (n: number) => ({
    id: `n${n}`,
    kind: n === 1 ? "REJECT" : "GAUGE",
    words: n === 1 ? "FB-03: rejected, from NC-4 on" : "Gauge F-2: calibration due Dec 9, 2026",
    link: n === 1 ? "/defects/d1" : "/gauges",
    at: "2026-11-30T10:00:00Z",
  });
  const { sent } = renderWith(<Notices />, {
    "POST /api/notices/seen": () => {
      left = 0;
      return { json: {} };
    },
    "GET /api/notices": () => ({ json: { count: left, notices: left === 0 ? [] : [notice(1), notice(2)] } }),
  });
  fireEvent.click(await screen.findByRole("button", { name: "2 notices" }));
  expect((await screen.findByText(/from NC-4 on/)).closest("a")?.getAttribute("href")).toBe("/defects/d1");
  fireEvent.click(screen.getByText("All 2 are seen"));
  await waitFor(() => expect(screen.queryByRole("button", { name: "2 notices" })).toBeNull());
  expect(sent.find((s) => s.method === "POST")?.body).toEqual({ upTo: "2026-11-30T10:00:00Z" });
});
