import { describe, expect, it } from "vitest";
import { emptyForm, gapsOf, gapsText, pruned, spansOf, spansText } from "./form";

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
    const sent = pruned({ ...emptyForm, joint: { ...emptyForm.joint, mark: "X", size: "", members: [{ name: "web", thickness: "3/8" }, { name: "" }] } });
    expect(sent.joint).toEqual({ mark: "X", weld: "fillet", connection: "tee", members: [{ name: "web", thickness: "3/8" }] });
  });
});
