import { describe, expect, it } from "vitest";
import { asWeld, emptyForm, gapsOf, gapsText, pruned, spansOf, spansText } from "./form";

describe("the set-up form", () => {
  it("reads stretches as they are typed", () => {
    expect(spansOf("0-3, 12 1/2–15; 21 to 24")).toEqual([
      { from: "0", to: "3" },
      { from: "12 1/2", to: "15" },
      { from: "21", to: "24" },
    ]);
    expect(spansOf("1-1/8 to 3")).toEqual([{ from: "1-1/8", to: "3" }]);
    expect(spansOf(" ")).toBeUndefined();
    expect(spansText([{ from: "0", to: "3" }, { from: "9" }])).toBe("0-3,9");
  });

  it("reads gaps with their opening last", () => {
    expect(gapsOf("10-14 1/8, 20-21 3/32")).toEqual([
      { from: "10", to: "14", opening: "1/8" },
      { from: "20", to: "21", opening: "3/32" },
    ]);
    expect(gapsText(gapsOf("10-14 1/8"))).toBe("10-14 1/8");
  });

  it("leaves empty fields out", () => {
    const sent = pruned({
      ...emptyForm,
      joint: { ...emptyForm.joint, mark: "X", size: "", members: [{ name: "web", thickness: "3/8" }, { name: "" }] },
    });
    expect(sent.joint).toEqual({
      mark: "X",
      weld: "fillet",
      connection: "tee",
      members: [{ name: "web", thickness: "3/8" }],
    });
  });

  it("turns a fillet into a groove and back, keeping what both have", () => {
    const fillet = {
      mark: "G1",
      weld: "fillet",
      connection: "lap",
      size: "1/4",
      position: "2F",
      length: "12",
      members: [{ name: "left" }],
    };
    const groove = asWeld(fillet, "groove");
    expect(groove).toEqual({
      mark: "G1",
      weld: "groove",
      connection: "butt",
      penetration: "cjp",
      groove: { prep: "V" },
      length: "12",
      members: [{ name: "left" }],
    });
    expect(asWeld(groove, "fillet")).toEqual({
      mark: "G1",
      weld: "fillet",
      connection: "tee",
      length: "12",
      members: [{ name: "left" }],
    });
    expect(pruned({ ...emptyForm, joint: { ...groove, groove: { prep: "V", rootFace: "" } } }).joint?.groove).toEqual({
      prep: "V",
    });
  });
});
