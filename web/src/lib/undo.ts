import type { Bench, EntryContent, EntryKind } from "./api";
import type { Step } from "./outbox";

type State = { content: EntryContent; withdrawn: boolean };

/** One entry before and after; absent where it did not stand. */
export type Change = { id: string; kind: EntryKind; before?: State; after?: State };

/** Something done at the bench, which can be undone and done again. */
export type Done = { words: string; changes: Change[]; photo?: { id: string; off: boolean } };

const byId = (bench?: Bench) => new Map(bench?.entries.map((e) => [e.id, e]));

/** What a step changes, seen from the inspection before it and, where the server answered, after it. */
export function changesOf(step: Step, before: Bench, after?: Bench): Change[] {
  const olds = byId(before);
  const news = byId(after);
  const put = (e: { id: string; kind: EntryKind; content: EntryContent }): Change => {
    const old = olds.get(e.id);
    const next = news.get(e.id)?.content ?? e.content;
    return {
      id: e.id,
      kind: e.kind,
      ...(old ? { before: stateOf(old) } : {}),
      after: { content: next, withdrawn: false },
    };
  };
  const changes: Change[] = [];
  if (step.do === "put") changes.push(put(step.entry));
  if (step.do === "putAll") changes.push(...step.entries.map(put));
  if (step.do === "line") changes.push(...step.ids.flatMap((id) => news.get(id) ?? []).map(put));
  if (step.do === "takeOff" || step.do === "restore") {
    const e = olds.get(step.entry);
    if (e)
      changes.push({
        id: e.id,
        kind: e.kind,
        before: stateOf(e),
        after: { content: e.content, withdrawn: step.do === "takeOff" },
      });
  }
  // a new indication takes back its own "none seen": undoing it says that again
  for (const e of after?.entries ?? []) {
    if (e.kind !== "CLEAR" || !e.withdrawn) continue;
    const old = olds.get(e.id);
    if (old && !old.withdrawn && !changes.some((c) => c.id === e.id))
      changes.push({ id: e.id, kind: e.kind, before: stateOf(old), after: stateOf(e) });
  }
  return changes;
}

function stateOf(e: State): State {
  return { content: e.content, withdrawn: e.withdrawn };
}

/** Why it cannot be undone now: what stands is not what was left there. */
export class Overtaken extends Error {}

/** The steps that bring each entry to the wanted side of what was done; entries taken off first. */
export function stepsTo(side: "before" | "after", changes: Change[], bench: Bench): Step[] {
  const entries = byId(bench);
  const off: Step[] = [];
  const on: Step[] = [];
  for (const c of changes) {
    const now = entries.get(c.id);
    const wanted = c[side];
    const left = c[side === "before" ? "after" : "before"];
    const stands = wanted !== undefined && !wanted.withdrawn;
    if (now && left && !now.withdrawn && !left.withdrawn && !same(now.content, left.content))
      throw new Overtaken(`${now.by} changed this entry since; put it right by hand`);
    if (!stands) {
      if (now && !now.withdrawn) off.push({ do: "takeOff", entry: c.id, version: now.version });
    } else if (!now) {
      on.push({ do: "put", entry: { id: c.id, kind: c.kind, content: wanted.content } });
    } else {
      if (now.withdrawn) on.push({ do: "restore", entry: c.id });
      if (!same(now.content, wanted.content))
        on.push({ do: "put", entry: { id: c.id, kind: c.kind, content: wanted.content }, version: now.version });
    }
  }
  return [...off, ...on];
}

function same(a: EntryContent, b: EntryContent): boolean {
  const flat = (c: EntryContent) =>
    Object.entries(c)
      .filter(([, v]) => v !== undefined && v !== null)
      .sort(([x], [y]) => x.localeCompare(y));
  return JSON.stringify(flat(a)) === JSON.stringify(flat(b));
}
