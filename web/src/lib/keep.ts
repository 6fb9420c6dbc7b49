import { createAsyncStoragePersister } from "@tanstack/query-async-storage-persister";
import type { PersistQueryClientOptions } from "@tanstack/react-query-persist-client";
import { del, get, set } from "idb-keyval";
import type { Session } from "./api";
import { onForget } from "./forget";

/** What a tablet needs to go on after it restarted in the yard. */
const kept = new Set([
  "session",
  "kinds",
  "joints",
  "jobs",
  "bench",
  "causes",
  "books",
  "book",
  "gauges",
  "kit",
  "entry-line",
  "repairs",
  "ticket",
  "welding-record",
  "map",
]);

const name = "mensor.open";
const persister = createAsyncStoragePersister({
  key: name,
  storage: { getItem: (k) => get<string>(k), setItem: (k, v) => set(k, v), removeItem: (k) => del(k) },
  throttleTime: 2_000,
});

onForget(() => void persister.removeClient());

/** What this person had open is kept in the browser, so that it can be read again without a network. */
export const keeping: Omit<PersistQueryClientOptions, "queryClient"> = {
  persister,
  maxAge: 7 * 24 * 3_600_000,
  buster: "1",
  dehydrateOptions: {
    // nobody's session is nothing to keep
    shouldDehydrateQuery: (q) =>
      q.state.data !== undefined &&
      kept.has(String(q.queryKey[0])) &&
      (q.queryKey[0] !== "session" || (q.state.data as Session).person !== undefined),
  },
};
