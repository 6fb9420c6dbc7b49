import { useSyncExternalStore } from "react";

const narrow = "(max-width: 640px)";

/** Whether this is a phone's width: tables become cards there. */
export function useNarrow(): boolean {
  return useSyncExternalStore(listen, () => window.matchMedia(narrow).matches);
}

function listen(changed: () => void) {
  const query = window.matchMedia(narrow);
  query.addEventListener("change", changed);
  return () => query.removeEventListener("change", changed);
}
