import type { Bench, EntryContent, EntryKind } from "./api-types";
import { answer, client } from "./client";

const practice = "practice:";

/** By what the bench of an exercise is called: it is asked elsewhere than an inspection's, and shown and recorded alike. */
export const practiceBench = (exercise: string) => practice + exercise;

export const isPractice = (look: string) => look.startsWith(practice);

/** The page of a bench. */
export const pageOfBench = (look: string) =>
  isPractice(look) ? `/practice/${exerciseOf(look)}` : `/inspections/${look}`;

const exerciseOf = (look: string) => look.slice(practice.length);

type Recorded = { id: string; kind: EntryKind; content: EntryContent };

/** What is asked of a bench, an inspection's or an exercise's. */
export const benching = {
  bench: (id: string): Promise<Bench> =>
    isPractice(id)
      ? named(client.GET("/api/exercises/{id}/bench", at(exerciseOf(id))))
      : answer(client.GET("/api/inspections/{id}", at(id))),
  latest: (id: string) =>
    isPractice(id)
      ? answer(client.GET("/api/exercises/{id}/bench/version", at(exerciseOf(id))))
      : answer(client.GET("/api/inspections/{id}/version", at(id))),
  put: (id: string, entry: string, kind: EntryKind, content: EntryContent, version?: number): Promise<Bench> => {
    const body = { kind, content, version };
    return isPractice(id)
      ? named(client.PUT("/api/exercises/{id}/bench/entries/{entryId}", { ...of(exerciseOf(id), entry), body }))
      : answer(client.PUT("/api/inspections/{id}/entries/{entryId}", { ...of(id, entry), body }));
  },
  putAll: (id: string, body: Recorded[]): Promise<Bench> =>
    isPractice(id)
      ? named(client.POST("/api/exercises/{id}/bench/entries", { ...at(exerciseOf(id)), body }))
      : answer(client.POST("/api/inspections/{id}/entries", { ...at(id), body })),
  lines: (id: string, lines: string[], before: string, signal?: AbortSignal) => {
    const body = { lines, before };
    return isPractice(id)
      ? answer(client.POST("/api/exercises/{id}/bench/lines", { ...at(exerciseOf(id)), body, signal }))
      : answer(client.POST("/api/inspections/{id}/lines", { ...at(id), body, signal }));
  },
  takeOff: (id: string, { id: entry, version }: { id: string; version: number }): Promise<Bench> => {
    const asked = (look: string) => ({ params: { path: { id: look, entryId: entry }, query: { version } } });
    return isPractice(id)
      ? named(client.DELETE("/api/exercises/{id}/bench/entries/{entryId}", asked(exerciseOf(id))))
      : answer(client.DELETE("/api/inspections/{id}/entries/{entryId}", asked(id)));
  },
  restore: (id: string, entry: string): Promise<Bench> =>
    isPractice(id)
      ? named(client.POST("/api/exercises/{id}/bench/entries/{entryId}/restore", of(exerciseOf(id), entry)))
      : answer(client.POST("/api/inspections/{id}/entries/{entryId}/restore", of(id, entry))),
};

const at = (id: string) => ({ params: { path: { id } } });
const of = (id: string, entryId: string) => ({ params: { path: { id, entryId } } });

/** An exercise's bench goes by the name that leads back to it. */
async function named(asked: Parameters<typeof answer<Bench>>[0]): Promise<Bench> {
  const bench = await answer(asked);
  return { ...bench, id: practiceBench(bench.id) };
}
