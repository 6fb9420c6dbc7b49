import { useSyncExternalStore } from "react";

export type Theme = "light" | "dark";

const key = "mensor.theme";
const listeners = new Set<() => void>();

function asked(): Theme {
  const kept = window.localStorage.getItem(key);
  if (kept === "light" || kept === "dark") return kept;
  return window.matchMedia?.("(prefers-color-scheme: dark)").matches ? "dark" : "light";
}

let current: Theme | undefined;

/** The theme as chosen here, else as the tablet is set. */
export function themeNow(): Theme {
  current ??= asked();
  return current;
}

export function setTheme(theme: Theme) {
  current = theme;
  window.localStorage.setItem(key, theme);
  applyTheme();
  listeners.forEach((l) => l());
}

export function applyTheme() {
  document.documentElement.dataset["theme"] = themeNow();
}

export function useTheme(): Theme {
  return useSyncExternalStore((l) => {
    listeners.add(l);
    return () => void listeners.delete(l);
  }, themeNow);
}
