import { useQuery } from "@tanstack/react-query";
import { api } from "./api";

/** Changes with whatever the worklist and the repairs show: a page that shows them asks for this, and reads only then. */
export function useNewest(): string | undefined {
  return useQuery({ queryKey: ["joints-version"], queryFn: api.worklistVersion, refetchInterval: 5_000 }).data?.version;
}
