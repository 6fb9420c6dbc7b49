import { useEffect, useState } from "react";

/** What was typed, once the hand pauses. */
export function useSettled<T>(typed: T, pause = 200): T {
  const [settled, setSettled] = useState(typed);
  useEffect(() => {
    const timer = window.setTimeout(() => setSettled(typed), pause);
    return () => window.clearTimeout(timer);
  }, [typed, pause]);
  return settled;
}
