import { replaceEqualDeep, useMutation, useQuery, useQueryClient, type QueryClient } from "@tanstack/react-query";
import { useEffect, useState, useSyncExternalStore } from "react";
import { api, Refused, type Bench } from "../lib/api";
import { isUnreachable, outboxOf, type Outbox, type Step, type Waiting } from "../lib/outbox";
import { onForget } from "../lib/forget";
import { useActor } from "../lib/session";
import { changesOf, stepsTo, type Done } from "../lib/undo";

const keyOf = (id: string) => ["bench", id];

/** What is not inspected anew each second: causes, dispositions, the register. */
const whole = 10_000;
const beat = 1_000;

/** The look as the server has it. Its version is asked each second, so that another person's entries come in while it is open. */
export function useBench(id: string) {
  const queries = useQueryClient();
  const outbox = useOutbox();
  const bench = useQuery({
    queryKey: keyOf(id),
    queryFn: () => api.bench(id),
    refetchInterval: whole,
    // an answer that was overtaken by a later one shows nothing old
    structuralSharing: (old, next) => newer(old as Bench | undefined, next as Bench),
  });
  const latest = useQuery({
    queryKey: ["latest", id],
    queryFn: () => api.latest(id),
    refetchInterval: beat,
    retry: false,
    staleTime: 0,
  });
  const shown = bench.data?.version;
  const stands = latest.data?.version;
  useEffect(() => {
    if (shown !== undefined && stands !== undefined && stands > shown)
      void queries.invalidateQueries({ queryKey: keyOf(id) });
  }, [queries, id, shown, stands]);
  const { dataUpdatedAt, errorUpdatedAt, error } = latest;
  useEffect(() => {
    // the session ended meanwhile: what waits goes when the same person has signed in again
    if (error instanceof Refused && error.status === 401) void queries.invalidateQueries({ queryKey: ["session"] });
    if (errorUpdatedAt > dataUpdatedAt) outbox.heard(!isUnreachable(error));
    else if (dataUpdatedAt > 0) outbox.heard(true);
  }, [queries, outbox, dataUpdatedAt, errorUpdatedAt, error]);
  return bench;
}

/** What came later; where nothing changed, what stands stays as it is, so that nothing is drawn anew. */
function newer(old: Bench | undefined, next: Bench): Bench {
  if (!old || old.version < next.version) return next;
  return old.version > next.version ? old : replaceEqualDeep(old, next);
}

export function useOutbox() {
  return outboxOf(useActor().id);
}

/** Shows what the server answered to a change. */
export function showBench(queries: QueryClient, bench: Bench) {
  queries.setQueryData<Bench>(keyOf(bench.id), bench);
  void queries.invalidateQueries({ queryKey: ["joints"] });
}

/** A change of the inspection that is done now or not at all: signing, handing over, what the quality manager records. */
export function useChange(id: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (change: () => Promise<Bench>) => change(),
    onMutate: () => queries.cancelQueries({ queryKey: keyOf(id) }),
    onSuccess: (bench) => showBench(queries, bench),
    onError: (e) => {
      if (e instanceof Refused && e.status === 409) void queries.invalidateQueries({ queryKey: keyOf(id) });
    },
  });
}

type Track = { done: Done[]; undone: Done[] };
const nothing: Track = { done: [], undone: [] };
const most = 200;

/** What was done at an inspection, and whether something is on its way: apart from the inspection itself, so that only who shows it is drawn anew. */
class Store<T> {
  private readonly values = new Map<string, T>();
  private readonly listeners = new Set<() => void>();

  constructor(private readonly none: T) {}

  readonly subscribe = (listener: () => void) => {
    this.listeners.add(listener);
    return () => void this.listeners.delete(listener);
  };

  get(look: string): T {
    return this.values.get(look) ?? this.none;
  }

  clear() {
    this.values.clear();
    this.listeners.forEach((l) => l());
  }

  set(look: string, value: T) {
    this.values.set(look, value);
    this.listeners.forEach((l) => l());
  }
}

const tracks = new Store<Track>(nothing);
// what one person did is not undone by the next one at this tablet
onForget(() => tracks.clear());
const underway = new Store<number>(0);

/** Whether something of this inspection is on its way to the server. */
export function useBusy(look: string): boolean {
  return useSyncExternalStore(underway.subscribe, () => underway.get(look)) > 0;
}

/** What would be undone and redone next, in words. */
export function useTrack(look: string) {
  const track = useSyncExternalStore(tracks.subscribe, () => tracks.get(look));
  return { canUndo: track.done.at(-1)?.words, canRedo: track.undone.at(-1)?.words };
}

export type Kept = "stored" | "kept";

/** What is said after something was recorded. */
export function saidOf(kept: Kept, words: string): string {
  return kept === "kept" ? `Kept here, it goes when the network is back: ${words}` : `Recorded: ${words}`;
}

export type Doing = ReturnType<typeof makeDoing>;

/** What one does at the bench: each thing is kept until the server has it, and can be undone and done again. */
export function useDoing(bench: Bench): Doing {
  const queries = useQueryClient();
  const outbox = useOutbox();
  // made once: what it does not find in the store it was given at first
  const [doing] = useState(() =>
    makeDoing(
      bench.id,
      outbox,
      () => queries.getQueryData<Bench>(keyOf(bench.id)) ?? bench,
      () => void queries.invalidateQueries({ queryKey: keyOf(bench.id) }),
    ),
  );
  return doing;
}

function makeDoing(id: string, outbox: Outbox, shown: () => Bench, again: () => void) {
  const busily = async <T>(work: () => Promise<T>): Promise<T> => {
    underway.set(id, underway.get(id) + 1);
    try {
      return await work();
    } finally {
      underway.set(id, underway.get(id) - 1);
    }
  };

  const act = (step: Step, words: string, refused?: "throw" | "hold"): Promise<Kept> =>
    busily(async () => {
      const before = shown();
      try {
        const after = await outbox.act(id, step, words, refused);
        const changes = changesOf(step, before, after);
        const photo =
          step.do === "photo" || step.do === "photoOff" ? { photo: { id: step.photo, off: step.do === "photo" } } : {};
        if (changes.length > 0 || "photo" in photo) {
          tracks.set(id, { done: [...tracks.get(id).done, { words, changes, ...photo }].slice(-most), undone: [] });
        }
        return after ? "stored" : "kept";
      } catch (e) {
        if (e instanceof Refused && e.status === 409) again();
        throw e;
      }
    });

  const move = async (side: "before" | "after", done: Done) => {
    if (done.photo) {
      const { id: photo } = done.photo;
      const off = side === "before" ? done.photo.off : !done.photo.off;
      const waits = outbox.now().waiting.find((w) => w.step.do === "photo" && w.step.photo === photo);
      if (waits && off) outbox.drop(waits.key);
      else await outbox.act(id, { do: off ? "photoOff" : "photoOn", photo }, done.words);
    }
    if (side === "before") dropWaiting(done);
    for (let steps = stepsTo(side, done.changes, shown()), n = 0; steps[0] && n <= done.changes.length * 2; n++) {
      const after = await outbox.act(id, steps[0], `${side === "before" ? "undo" : "redo"}: ${done.words}`);
      steps = after ? stepsTo(side, done.changes, after) : steps.slice(1);
    }
  };

  /** What was never sent needs no taking off. */
  const dropWaiting = (done: Done) => {
    const ids = new Set(done.changes.filter((c) => c.before === undefined).map((c) => c.id));
    outbox
      .now()
      .waiting.filter((w) => w.look === id && idsOf(w).length > 0 && idsOf(w).every((x) => ids.has(x)))
      .forEach((w) => outbox.drop(w.key));
  };

  const step = async (from: "done" | "undone") => {
    const now = tracks.get(id);
    const last = now[from].at(-1);
    if (!last) return undefined;
    await move(from === "done" ? "before" : "after", last);
    tracks.set(
      id,
      from === "done"
        ? { done: now.done.slice(0, -1), undone: [...now.undone, last] }
        : { done: [...now.done, last], undone: now.undone.slice(0, -1) },
    );
    return last.words;
  };

  // one after the other: a quick hand's redo waits for the undo before it
  let turn: Promise<unknown> = Promise.resolve();
  const inTurn = (from: "done" | "undone") => {
    const mine = turn.then(() => busily(() => step(from)));
    turn = mine.catch(() => undefined);
    return mine;
  };

  return { id, act, undo: () => inTurn("done"), redo: () => inTurn("undone") };
}

function idsOf(w: Waiting): string[] {
  if (w.step.do === "put") return w.step.version === undefined ? [w.step.entry.id] : [];
  if (w.step.do === "putAll") return w.step.entries.map((e) => e.id);
  return [];
}

/** What of this inspection waits for the server, and whether the server answers. */
export function useWaiting(look: string) {
  const outbox = useOutbox();
  const posted = useSyncExternalStore(outbox.subscribe, outbox.now);
  return { outbox, reachable: posted.reachable, waiting: posted.waiting.filter((w) => w.look === look) };
}
