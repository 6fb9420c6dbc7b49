import { describe, expect, it } from "vitest";
import { bench } from "../test/bench";
import type { Bench, Entry } from "./api";
import { changesOf, Overtaken, stepsTo } from "./undo";

const entry = (id: string, more: Partial<Entry> = {}): Entry => ({
  id,
  kind: "INDICATION",
  content: { kind: "crack", at: "3" },
  by: "Ines Marl",
  at: "",
  withdrawn: false,
  version: 1,
  ...more,
});
const look = (...entries: Entry[]): Bench => bench({ entries });
const crack = entry("e1");
const none = entry("n1", { kind: "CLEAR", content: { criterion: "crack" } });

describe("undo", () => {
  it("takes off what was record, and puts it back", () => {
    const changes = changesOf(
      { do: "put", entry: { id: "e1", kind: "INDICATION", content: crack.content } },
      look(),
      look(crack),
    );
    expect(stepsTo("before", changes, look(crack))).toEqual([{ do: "takeOff", entry: "e1", version: 1 }]);
    expect(stepsTo("after", changes, look({ ...crack, withdrawn: true }))).toEqual([{ do: "restore", entry: "e1" }]);
    expect(stepsTo("after", changes, look())).toEqual([
      { do: "put", entry: { id: "e1", kind: "INDICATION", content: crack.content } },
    ]);
  });

  it("says again the none seen that an indication took back, after the indication is off", () => {
    const changes = changesOf(
      { do: "put", entry: { id: "e1", kind: "INDICATION", content: crack.content } },
      look(none),
      look({ ...none, withdrawn: true }, crack),
    );
    expect(stepsTo("before", changes, look({ ...none, withdrawn: true }, crack))).toEqual([
      { do: "takeOff", entry: "e1", version: 1 },
      { do: "restore", entry: "n1" },
    ]);
  });

  it("brings a change back under the version that stands", () => {
    const after = { ...crack, content: { kind: "crack", at: "5" }, version: 2 };
    const changes = changesOf(
      { do: "put", entry: { id: "e1", kind: "INDICATION", content: after.content }, version: 1 },
      look(crack),
      look(after),
    );
    expect(stepsTo("before", changes, look(after))).toEqual([
      { do: "put", entry: { id: "e1", kind: "INDICATION", content: crack.content }, version: 2 },
    ]);
  });

  it("does not lose what somebody else made of it since", () => {
    const changes = changesOf(
      { do: "put", entry: { id: "e1", kind: "INDICATION", content: crack.content } },
      look(),
      look(crack),
    );
    const theirs = look({ ...crack, content: { kind: "crack", at: "9" }, by: "Tomas Reed", version: 3 });
    expect(() => stepsTo("before", changes, theirs)).toThrow(Overtaken);
    expect(() => stepsTo("before", changes, theirs)).toThrow("Tomas Reed changed this entry since");
  });

  it("brings back what was taken off", () => {
    const changes = changesOf(
      { do: "takeOff", entry: "e1", version: 1 },
      look(crack),
      look({ ...crack, withdrawn: true }),
    );
    expect(stepsTo("before", changes, look({ ...crack, withdrawn: true }))).toEqual([{ do: "restore", entry: "e1" }]);
    expect(stepsTo("before", changes, look(crack))).toEqual([]);
  });
});
