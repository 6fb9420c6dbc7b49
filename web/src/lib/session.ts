import { useQuery, type QueryClient } from "@tanstack/react-query";
import { forgetAll } from "./forget";
import { api, type Actor, type Session } from "./api";

const key = ["session"];

export function useSession() {
  return useQuery({ queryKey: key, queryFn: api.session, staleTime: Infinity });
}

export function useActor(): Actor {
  const person = useSession().data?.person;
  if (!person) throw new Error("shown only to somebody signed in");
  return person;
}

/** Another person, or nobody: what the one before saw is forgotten. */
export function changeSession(queries: QueryClient, session: Session) {
  forgetAll();
  queries.setQueryData(key, session);
  queries.removeQueries({ predicate: (q) => q.queryKey[0] !== key[0] });
}
