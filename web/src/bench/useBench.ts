import { replaceEqualDeep, useMutation, useQuery, useQueryClient, type QueryClient } from "@tanstack/react-query";
import { useCallback, useEffect, useState, useSyncExternalStore } from "react";
import { api, Refused, type Bench } from "../lib/api";
import { isUnreachable, outboxOf, type Step, type Waiting } from "../lib/outbox";
import { useActor } from "../lib/session";
import { changesOf, stepsTo, type Done } from "../lib/undo";

const keyOf = (id: string) => ["bench", id];

/** What is not looked at anew each second: causes, dispositions, the register. */
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
  const latest = useQuery({ queryKey: ["latest", id], queryFn: () => api.latest(id), refetchInterval: beat, retry: false, staleTime: 0 });
  const shown = bench.data?.version;
  const stands = latest.data?.version;
  useEffect(() => {
    if (shown !== undefined && stands !== undefined && stands > shown) void queries.invalidateQueries({ queryKey: keyOf(id) });
  }, [queries, id, shown, stands]);
  const { dataUpdatedAt, errorUpdatedAt, error } = latest;
  useEffect(() => {
    if (errorUpdatedAt > dataUpdatedAt) outbox.heard(!isUnreachable(error));
    else if (dataUpdatedAt > 0) outbox.heard(true);
  }, [outbox, dataUpdatedAt, errorUpdatedAt, error]);
  return bench;
}

function newer(old: Bench | undefined, next: Bench): Bench {
  return old && old.version > next.version ? old : replaceEqualDeep(old, next);
}

export function useOutbox() {
  return outboxOf(useActor().id);
}

/** Shows what the server answered to a change. */
export function showBench(queries: QueryClient, bench: Bench) {
  queries.setQueryData<Bench>(keyOf(bench.id), (shown) => newer(shown, bench));
  void queries.invalidateQueries({ queryKey: ["joints"] });
}

/** A change of the look that is done now or not at all: signing, handing over, what the quality manager records. */
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
const tracks = new Map<string, Track>();
const watchers = new Set<() => void>();
const nothing: Track = { done: [], undone: [] };
const most = 200;

function setTrack(look: string, track: Track) {
  tracks.set(look, track);
  watchers.forEach((w) => w());
}

const watch = (w: () => void) => {
  watchers.add(w);
  return () => void watchers.delete(w);
};

export type Kept = "stored" | "kept";

/** What one does at the bench: each thing is kept until the server has it, and can be undone and done again. */
export function useDoing(bench: Bench) {
  const queries = useQueryClient();
  const outbox = useOutbox();
  const id = bench.id;
  const track = useSyncExternalStore(watch, () => tracks.get(id) ?? nothing);
  const [busy, setBusy] = useState(0);

  const shown = useCallback(() => queries.getQueryData<Bench>(keyOf(id)) ?? bench, [queries, id, bench]);

  const act = async (step: Step, words: string): Promise<Kept> => {
    const before = shown();
    setBusy((n) => n + 1);
    try {
      const after = await outbox.act(id, step, words);
      if (after) showBench(queries, after);
      const changes = changesOf(step, before, after);
      const photo = step.do === "photo" ? { photo: { id: step.photo, off: true } } : {};
      const off = step.do === "photoOff" ? { photo: { id: step.photo, off: false } } : {};
      if (changes.length > 0 || "photo" in photo || "photo" in off) {
        const now = tracks.get(id) ?? nothing;
        setTrack(id, { done: [...now.done, { words, changes, ...photo, ...off }].slice(-most), undone: [] });
      }
      return after ? "stored" : "kept";
    } catch (e) {
      if (e instanceof Refused && e.status === 409) void queries.invalidateQueries({ queryKey: keyOf(id) });
      throw e;
    } finally {
      setBusy((n) => n - 1);
    }
  };

  const move = async (side: "before" | "after", done: Done) => {
    if (done.photo) {
      const off = side === "before" ? done.photo.off : !done.photo.off;
      const waits = outbox.now().waiting.find((w) => w.step.do === "photo" && w.step.photo === done.photo?.id);
      if (waits && off) outbox.drop(waits.key);
      else await outbox.act(id, { do: off ? "photoOff" : "photoOn", photo: done.photo.id }, done.words);
    }
    if (side === "before") dropWaiting(done);
    for (let steps = stepsTo(side, done.changes, shown()), n = 0; steps[0] && n <= done.changes.length * 2; n++) {
      const after = await outbox.act(id, steps[0], `${side === "before" ? "undo" : "redo"}: ${done.words}`);
      if (after) showBench(queries, after);
      steps = after ? stepsTo(side, done.changes, after) : steps.slice(1);
    }
  };

  /** What was never sent needs no taking off. */
  const dropWaiting = (done: Done) => {
    const ids = new Set(done.changes.filter((c) => c.before === undefined).map((c) => c.id));
    outbox.now().waiting.filter((w) => w.look === id && idsOf(w).length > 0 && idsOf(w).every((x) => ids.has(x))).forEach((w) => outbox.drop(w.key));
  };

  const step = async (from: "done" | "undone") => {
    const now = tracks.get(id) ?? nothing;
    const last = now[from].at(-1);
    if (!last) return undefined;
    setBusy((n) => n + 1);
    try {
      await move(from === "done" ? "before" : "after", last);
      setTrack(id, from === "done" ? { done: now.done.slice(0, -1), undone: [...now.undone, last] } : { done: [...now.done, last], undone: now.undone.slice(0, -1) });
      return last.words;
    } finally {
      setBusy((n) => n - 1);
    }
  };

  return {
    act,
    busy: busy > 0,
    undo: () => step("done"),
    redo: () => step("undone"),
    canUndo: track.done.at(-1)?.words,
    canRedo: track.undone.at(-1)?.words,
  };
}

export type Doing = ReturnType<typeof useDoing>;

function idsOf(w: Waiting): string[] {
  if (w.step.do === "put") return w.step.version === undefined ? [w.step.entry.id] : [];
  if (w.step.do === "putAll") return w.step.entries.map((e) => e.id);
  return [];
}

/** What of this look waits for the server, and whether the server answers. */
export function useWaiting(look: string) {
  const outbox = useOutbox();
  const posted = useSyncExternalStore(outbox.subscribe, outbox.now);
  return { outbox, reachable: posted.reachable, waiting: posted.waiting.filter((w) => w.look === look) };
}
