import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, Refused, type Making } from "../lib/api";

/** A weld's making as the server has it; the rods' clock runs on, and other people's entries come in. */
export function useMaking(joint: string) {
  return useQuery({ queryKey: ["making", joint], queryFn: () => api.making(joint), refetchInterval: 5_000 });
}

/** Changes of the making: what the server answers is shown at once, on the bench too; {@code act} tells whether it was taken. */
export function useMakingChange(joint: string) {
  const queries = useQueryClient();
  const change = useMutation({
    mutationFn: (f: () => Promise<Making>) => f(),
    onMutate: () => queries.cancelQueries({ queryKey: ["making", joint] }),
    onSuccess: (making) => {
      queries.setQueryData<Making>(["making", joint], making);
      void queries.invalidateQueries({ predicate: (q) => ["bench", "joints", "plan"].includes(String(q.queryKey[0])) });
    },
    onError: (e) => {
      if (e instanceof Refused && e.status === 409) void queries.invalidateQueries({ predicate: (q) => ["bench", "making"].includes(String(q.queryKey[0])) });
    },
  });
  const act = (f: () => Promise<Making>) => change.mutateAsync(f).then(
    () => true,
    () => false,
  );
  return { act, fault: change.error ?? undefined, pending: change.isPending };
}
