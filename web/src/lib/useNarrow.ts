import { useSyncExternalStore } from "react";

/** Whether the screen is at most this wide; at a phone's width tables become cards. */
export function useNarrow(most = 640): boolean {
  const query = `(max-width: ${most}px)`;
  return useSyncExternalStore(
    (changed) => {
      const list = window.matchMedia(query);
      list.addEventListener("change", changed);
      return () => list.removeEventListener("change", changed);
    },
    () => window.matchMedia(query).matches,
  );
}
