import { fireEvent, render, screen } from "@testing-library/react";
import { expect, it, vi } from "vitest";
import type { Strip } from "./api";
import { StripView } from "./StripView";
import { VerdictMark } from "./VerdictMark";

const strip: Strip = {
  length: 100,
  clock: [],
  ticks: [
    { at: 0, label: "0" },
    { at: 50, label: "" },
    { at: 100, label: "100" },
  ],
  lanes: [
    { id: "A", name: "web toe" },
    { id: "face", name: "face" },
    { id: "B", name: "flange toe" },
  ],
  marks: [
    {
      indication: 0,
      lane: "A",
      kind: "undercut",
      shape: "NOTCH",
      from: 10,
      to: 20,
      depth: 1,
      label: "1",
      rejects: true,
    },
    {
      indication: 1,
      lane: "face",
      kind: "crack",
      shape: "CRACK",
      from: 50,
      to: 50,
      depth: 0,
      label: "",
      rejects: false,
    },
  ],
  stations: [{ reading: 0, at: 30, label: "30", rejects: false, size: 8, sizeLabel: "8" }],
  bands: [{ from: 0, to: 100, state: "GOES", label: "8 blade goes" }],
  brackets: [
    { finding: "undercut", from: 0, to: 100, label: "undercut 60 over 1 · 50 allowed", rejects: true, windowed: true },
  ],
  gaps: [],
  covers: [],
  wanted: 8,
};

it("draws lanes, marks and the worst window, and gives the mark that was touched", () => {
  const touched = vi.fn();
  render(<StripView strip={strip} units="mm" cursor={30} onMark={touched} />);
  expect(screen.getByText("web toe")).toBeTruthy();
  expect(screen.getByText("✕ undercut 60 over 1 · 50 allowed")).toBeTruthy();
  expect(screen.getByText("30 mm")).toBeTruthy();
  fireEvent.click(screen.getByText("crack", { selector: "text" }));
  expect(touched).toHaveBeenCalledWith(1);
});

it("says a verdict with a shape and a word", () => {
  const { container } = render(<VerdictMark verdict="reject" />);
  expect(container.textContent).toBe("Reject");
  expect(container.querySelector("svg path")).toBeTruthy();
});
