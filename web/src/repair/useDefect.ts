import { useMutation, useQueryClient } from "@tanstack/react-query";
import type { Ticket } from "../lib/api";

/** A change of one defect: what it answers is shown at once, and all that lists it is asked anew. */
export function useDefectChange(id: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (change: () => Promise<Ticket>) => change(),
    onSuccess: (ticket) => {
      queries.setQueryData(["defect", id], ticket);
    },
    onSettled: () => {
      for (const key of ["defect", "defects", "repairs", "joints", "bench"])
        void queries.invalidateQueries({ queryKey: [key] });
    },
  });
}
