import { fireEvent, screen, waitFor } from "@testing-library/react";
import { beforeEach, describe, expect, it, vi } from "vitest";
import type { Drawn } from "../lib/useStripHand";
import { StripView } from "../lib/StripView";
import { bench } from "../test/bench";
import { freshTablet, renderWith, WithDoing } from "../test/render";
import { DrawPanel } from "./DrawPanel";

const b = bench({
  strip: {
    ...bench().strip,
    lanes: [
      { id: "A", name: "web toe" },
      { id: "face", name: "face" },
      { id: "B", name: "flange toe" },
      { id: "base", name: "beside" },
    ],
    bands: [{ from: 0, to: 609.6, state: "UNTRIED", label: "blade not tried" }],
  },
});

function panel(drawn: Drawn) {
  const onDrawn = vi.fn();
  const view = renderWith(
    <WithDoing bench={b}>
      {(doing) => (
        <DrawPanel bench={b} doing={doing} drawn={drawn} onDrawn={onDrawn} onSaid={vi.fn()} onForm={vi.fn()} />
      )}
    </WithDoing>,
    { PUT: () => ({ json: b }) },
  );
  return { ...view, onDrawn, put: () => view.sent.find((s) => s.method === "PUT")?.body };
}

beforeEach(freshTablet);

describe("a stretch that a finger drew", () => {
  it("is an undercut of the toe it was drawn on, as deep as the chip says", async () => {
    const { put, onDrawn } = panel({ lane: "B", from: 127, to: 231.775 });
    fireEvent.click(screen.getByText("1/32"));
    await waitFor(() =>
      expect(put()).toEqual({
        kind: "INDICATION",
        content: { kind: "undercut", toe: "B", from: "5", to: "9 1/8", depth: "1/32" },
      }),
    );
    await waitFor(() => expect(onDrawn).toHaveBeenCalledWith(undefined));
  });

  it("has its ends put right by an eighth", () => {
    const { onDrawn } = panel({ lane: "A", from: 127, to: 254 });
    fireEvent.click(screen.getByLabelText("from: 1/8 in back"));
    expect(onDrawn).toHaveBeenLastCalledWith({ lane: "A", from: 127 - 25.4 / 8, to: 254 });
    fireEvent.click(screen.getByLabelText("to: 1/8 in on"));
    expect(onDrawn).toHaveBeenLastCalledWith({ lane: "A", from: 127, to: 254 + 25.4 / 8 });
  });

  it("on the face needs no depth where none is measured", async () => {
    const { put } = panel({ lane: "face", from: 0, to: 25.4 });
    fireEvent.click(screen.getByText("Slag", { selector: "button span" }));
    fireEvent.click(screen.getByText("Record slag"));
    await waitFor(() =>
      expect(put()).toEqual({ kind: "INDICATION", content: { kind: "slag", from: "0", to: "1", trapped: true } }),
    );
  });

  it("along the size says which blade goes", async () => {
    const { put } = panel({ lane: "size", from: 0, to: 304.8 });
    fireEvent.click(screen.getByText("5/16 goes"));
    await waitFor(() => expect(put()).toEqual({ kind: "READING", content: { from: "0", to: "12", atLeast: "5/16" } }));
  });
});

describe("the strip under a finger", () => {
  const box = { left: 0, top: 0, right: 960, bottom: 300, width: 960, height: 300, x: 0, y: 0, toJSON: () => "" };

  function strip() {
    const onDraw = vi.fn();
    const onCursor = vi.fn();
    renderWith(<StripView strip={b.strip} units="in" cursor={0} onDraw={onDraw} onCursor={onCursor} />, {});
    const svg = screen.getByRole("img");
    svg.getBoundingClientRect = () => box;
    const at = (type: string, x: number, y: number) =>
      fireEvent(svg, Object.assign(new MouseEvent(type, { bubbles: true, clientX: x, clientY: y }), { pointerId: 1 }));
    return { onDraw, onCursor, at, svg };
  }

  it("draws a stretch on the lane where it went down, on the tape's marks", () => {
    const { onDraw, onCursor, at, svg } = strip();
    at("pointerdown", 200, 50);
    at("pointermove", 300, 120);
    at("pointerup", 300, 120);
    fireEvent.click(svg, { clientX: 300, clientY: 120 });
    const drawn = onDraw.mock.lastCall?.[0] as Drawn;
    expect(drawn.lane).toBe("A");
    expect((drawn.from / 25.4) * 8).toBeCloseTo(Math.round((drawn.from / 25.4) * 8));
    expect((drawn.to - drawn.from) / 609.6).toBeCloseTo(100 / 838, 2);
    expect(onCursor).not.toHaveBeenCalled();
  });

  it("takes a touch that hardly moved for a touch", () => {
    const { onDraw, onCursor, at, svg } = strip();
    at("pointerdown", 200, 50);
    at("pointermove", 204, 50);
    at("pointerup", 204, 50);
    fireEvent.click(svg, { clientX: 204, clientY: 50 });
    expect(onDraw).not.toHaveBeenCalled();
    expect(onCursor).toHaveBeenCalled();
  });

  it("is walked and zoomed with the keys", () => {
    const { onCursor, svg } = strip();
    const group = svg.parentElement as HTMLElement;
    fireEvent.keyDown(group, { key: "ArrowRight" });
    expect(onCursor).toHaveBeenLastCalledWith(25.4 / 8);
    fireEvent.keyDown(group, { key: "End" });
    expect(onCursor).toHaveBeenLastCalledWith(609.6);
    expect(screen.queryByText("whole")).toBeNull();
    fireEvent.keyDown(group, { key: "+" });
    fireEvent.keyDown(group, { key: "+" });
    fireEvent.click(screen.getByText("whole"));
    expect(screen.queryByText("whole")).toBeNull();
  });
});
