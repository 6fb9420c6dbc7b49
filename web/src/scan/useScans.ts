import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api } from "../lib/api";
import type { Scan } from "../lib/api-scan";

const beat = 700;
const underway = (s: Scan) => !s.withdrawn && (s.state === "waiting" || s.state === "measuring");

/** The scans of an inspection, and which of them is shown. */
export function useScans(inspection: string) {
  const queries = useQueryClient();
  const [chosen, show] = useState<string>();
  const scans = useQuery({
    queryKey: ["scans", inspection],
    queryFn: () => api.scans(inspection),
    refetchInterval: (q) => (q.state.data?.some(underway) ? beat : false),
  });
  const all = scans.data ?? [];
  const drawn = all.filter((s) => s.drawn && !s.withdrawn);
  const shown = drawn.find((s) => s.id === chosen) ?? drawn[drawn.length - 1];
  return {
    all,
    shown,
    show,
    set: (next: Scan[]) => queries.setQueryData(["scans", inspection], next),
    again: () => queries.invalidateQueries({ queryKey: ["scans", inspection] }),
  };
}

export type Scans = ReturnType<typeof useScans>;
