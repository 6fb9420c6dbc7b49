import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, Refused, type WeldingRecord } from "../lib/api";

/** A weld's welding record as the server has it; the rods' clock runs on, and other people's entries come in. */
export function useWeldingRecord(joint: string) {
  return useQuery({ queryKey: ["welding", joint], queryFn: () => api.weldingRecord(joint), refetchInterval: 5_000 });
}

/** Changes of the welding record: what the server answers is shown at once, on the bench too; {@code act} tells whether it was taken. */
export function useWeldingChange(joint: string) {
  const queries = useQueryClient();
  const change = useMutation({
    mutationFn: (f: () => Promise<WeldingRecord>) => f(),
    onMutate: () => queries.cancelQueries({ queryKey: ["welding", joint] }),
    onSuccess: (welding) => {
      queries.setQueryData<WeldingRecord>(["welding", joint], welding);
      void queries.invalidateQueries({ predicate: (q) => ["bench", "joints", "plan"].includes(String(q.queryKey[0])) });
    },
    onError: (e) => {
      if (e instanceof Refused && e.status === 409)
        void queries.invalidateQueries({ predicate: (q) => ["bench", "welding"].includes(String(q.queryKey[0])) });
    },
  });
  const act = (f: () => Promise<WeldingRecord>) =>
    change.mutateAsync(f).then(
      () => true,
      () => false,
    );
  return { act, fault: change.error ?? undefined, pending: change.isPending };
}
