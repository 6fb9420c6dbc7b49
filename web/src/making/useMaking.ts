import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, Refused, type Making } from "../lib/api";

/** A weld's making as the server has it; the rods' clock runs on, and other people's entries come in. */
export function useMaking(joint: string) {
  return useQuery({ queryKey: ["making", joint], queryFn: () => api.making(joint), refetchInterval: 5_000 });
}

/** A change of the making: what the server answers is shown at once, on the bench too. */
export function useMakingChange(joint: string) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (change: () => Promise<Making>) => change(),
    onMutate: () => queries.cancelQueries({ queryKey: ["making", joint] }),
    onSuccess: (making) => {
      queries.setQueryData<Making>(["making", joint], making);
      void queries.invalidateQueries({ predicate: (q) => ["bench", "joints", "plan"].includes(String(q.queryKey[0])) });
    },
    onError: (e) => {
      if (e instanceof Refused && e.status === 409) void queries.invalidateQueries({ predicate: (q) => ["bench", "making"].includes(String(q.queryKey[0])) });
    },
  });
}
