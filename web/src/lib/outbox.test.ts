import { del } from "idb-keyval";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { bench } from "../test/bench";
import { Refused, type Bench } from "./api";
import { entriesOf, Outbox, type Step } from "./outbox";

const put = (id: string): Step => ({
  do: "put",
  entry: { id, kind: "INDICATION", content: { kind: "crack", at: "3" } },
});
const away = () => new Refused(0, "no network", [], undefined);
const flush = () => new Promise((r) => setTimeout(r, 0));

beforeEach(() => {
  window.localStorage.clear();
  vi.mocked(del).mockClear();
});

describe("what waits for the server", () => {
  it("is kept before it is sent, and gone when the server has it", async () => {
    let kept = 0;
    const box = new Outbox("p1", window.localStorage, async () => {
      kept = window.localStorage.length;
      return bench();
    });
    await box.act("inspection-1", put("e1"), "crack at 3");
    expect(kept).toBe(1);
    expect(window.localStorage.length).toBe(0);
  });

  it("goes in the order in which it was record, each once, when the network is back", async () => {
    let down = true;
    const sent: string[] = [];
    const box = new Outbox("p1", window.localStorage, async (_, s) => {
      if (down) throw away();
      if (s.do === "put") sent.push(s.entry.id);
      return bench();
    });
    expect(await box.act("inspection-1", put("e1"), "one")).toBeUndefined();
    expect(await box.act("inspection-1", put("e2"), "two")).toBeUndefined();
    expect(box.now()).toMatchObject({ reachable: false, waiting: [{ words: "one" }, { words: "two" }] });
    down = false;
    await box.act("inspection-1", put("e3"), "three");
    expect(sent).toEqual(["e1", "e2", "e3"]);
    await box.pump();
    expect(sent).toHaveLength(3);
    expect(box.now()).toEqual({ reachable: true, waiting: [] });
  });

  it("outlives the page, and is never sent under another's name", async () => {
    const box = new Outbox("p1", window.localStorage, async () => {
      throw away();
    });
    await box.act("inspection-1", put("e1"), "one");
    const send = vi.fn(async () => bench());
    await new Outbox("p2", window.localStorage, send).pump();
    expect(send).not.toHaveBeenCalled();
    await new Outbox("p1", window.localStorage, send).pump();
    expect(send).toHaveBeenCalledWith("inspection-1", put("e1"));
    expect(window.localStorage.length).toBe(0);
  });

  it("throws what the server refuses while somebody looks at the form", async () => {
    const box = new Outbox("p1", window.localStorage, async () => {
      throw new Refused(422, "past the weld's end", [], undefined);
    });
    await expect(box.act("inspection-1", put("e1"), "one")).rejects.toThrow("past the weld's end");
    expect(box.now().waiting).toEqual([]);
  });

  it("holds what was refused late with the reason, a clash with what the other made of it, and sends the rest", async () => {
    let down = true;
    const theirs = {
      id: "e1",
      kind: "INDICATION",
      content: {},
      by: "Tomas Reed",
      at: "",
      withdrawn: false,
      version: 5,
    };
    const box = new Outbox("p1", window.localStorage, async (_, s): Promise<Bench> => {
      if (down) throw away();
      if (s.do === "put" && s.entry.id === "e1") throw new Refused(409, "changed meanwhile", [], theirs);
      return bench();
    });
    await box.act("inspection-1", put("e1"), "one");
    await box.act("inspection-1", put("e2"), "two");
    down = false;
    box.heard(true);
    await flush();
    await flush();
    expect(box.now().waiting).toMatchObject([
      { words: "one", refused: "changed meanwhile", theirs: { by: "Tomas Reed" } },
    ]);
    box.drop(box.now().waiting[0]?.key ?? "");
    expect(window.localStorage.length).toBe(0);
  });

  it("keeps a picture that was refused late, until somebody leaves it out", async () => {
    let down = true;
    const box = new Outbox("p1", window.localStorage, async () => {
      throw down ? away() : new Refused(422, "at: past the weld's end", [], undefined);
    });
    await box.act("inspection-1", { do: "photo", photo: "f1", at: "40" }, "picture at 40");
    down = false;
    await box.pump();
    expect(box.now().waiting).toMatchObject([{ refused: "at: past the weld's end" }]);
    expect(del).not.toHaveBeenCalled();
    box.drop(box.now().waiting[0]?.key ?? "");
    expect(del).toHaveBeenCalledWith("f1");
  });

  it("tells whoever looks at the form what the server said, though others went before it", async () => {
    let down = true;
    const box = new Outbox("p1", window.localStorage, async (_, s) => {
      if (down) throw away();
      if (s.do === "put" && s.entry.id === "e2") throw new Refused(422, "past the weld's end", [], undefined);
      return bench();
    });
    await box.act("inspection-1", put("e1"), "one");
    down = false;
    const both = [box.act("inspection-1", put("e2"), "two"), box.act("inspection-1", put("e3"), "three"), box.pump()];
    await expect(both[0]).rejects.toThrow("past the weld's end");
    expect(await both[1]).toBeDefined();
    expect(box.now()).toEqual({ reachable: true, waiting: [] });
  });

  it("holds what was refused where nobody stays at the form", async () => {
    const box = new Outbox("p1", window.localStorage, async () => {
      throw new Refused(422, "past the weld's end", [], undefined);
    });
    await expect(box.act("inspection-1", put("e1"), "one", "hold")).rejects.toThrow("past the weld's end");
    expect(box.now().waiting).toMatchObject([{ words: "one", refused: "past the weld's end" }]);
  });

  it("holds what was said without a network until a hand has seen what was heard", async () => {
    let down = true;
    const asked: string[] = [];
    vi.stubGlobal("fetch", (request: Request) => {
      asked.push(`${request.method} ${new URL(request.url).pathname}`);
      if (down) return Promise.reject(new TypeError("no network"));
      const heard = { entries: [{ kind: "CLEAR", content: { criterion: "crack" } }], readAs: "none crack" };
      return Promise.resolve(Response.json([heard]));
    });
    const box = new Outbox("p1", window.localStorage);
    const line: Step = { do: "line", lines: ["no cracks seen"], before: "", ids: ["a"] };
    expect(await box.act("inspection-1", line, "no cracks seen")).toBeUndefined();
    down = false;
    await box.pump();
    expect(asked.some((a) => a.endsWith("/entries"))).toBe(false);
    expect(box.now().waiting[0]?.refused).toContain("heard as none crack");
  });

  it("reads a kept line under the same ids each time", () => {
    const view = {
      entries: [{ kind: "READING" as const, content: { at: "6" } }],
      kind: "leg",
      from: 0,
      to: 0,
      expects: [],
      completions: [],
      marks: [],
    };
    const ids = ["a", "b", "c"];
    expect(entriesOf([view, view], ids).map((e) => e.id)).toEqual(["a", "b"]);
    expect(entriesOf([view, view], ids)).toEqual(entriesOf([view, view], ids));
    expect(() => entriesOf([{ ...view, problem: "from where to where?" }], ids)).toThrow("from where to where?");
  });
});
