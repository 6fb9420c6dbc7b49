import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, type Bench, Refused } from "../lib/api";

/** The look as the server has it; other people's entries come in while it is open. */
export function useBench(id: string) {
  return useQuery({ queryKey: ["bench", id], queryFn: () => api.bench(id), refetchInterval: 2_000 });
}

/** A change of the look: what the server answers is shown at once. */
export function useChange(id: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (change: () => Promise<Bench>) => change(),
    onMutate: () => queries.cancelQueries({ queryKey: ["bench", id] }),
    onSuccess: (bench) => {
      // an answer that was overtaken by a later one shows nothing old
      queries.setQueryData<Bench>(["bench", bench.id], (shown) => (shown && shown.version > bench.version ? shown : bench));
      void queries.invalidateQueries({ queryKey: ["joints"] });
    },
    onError: (e) => {
      if (e instanceof Refused && e.status === 409) void queries.invalidateQueries({ queryKey: ["bench", id] });
    },
  });
}
