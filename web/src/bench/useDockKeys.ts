import { useEffect } from "react";
import type { KindSpec } from "./kinds";

type Keys = {
  kinds: KindSpec[];
  /** A form or a stretch drawn is open: then / goes back to the line. */
  open: boolean;
  onLine: () => void;
  onEscape: () => void;
  onGuide?: () => void;
  onKind: (k: KindSpec) => void;
};

/** Letters pick a kind, / the entry line, G the next to inspect, Escape leaves: outside of fields. */
export function useDockKeys({ kinds, open, onLine, onEscape, onGuide, onKind }: Keys) {
  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      const target = e.target as HTMLElement;
      const inField = /^(INPUT|SELECT|TEXTAREA)$/.test(target.tagName) || target.closest('[role="dialog"]');
      if (inField || e.ctrlKey || e.metaKey || e.altKey) return;
      if (e.key === "/" && open) {
        e.preventDefault();
        onLine();
        return;
      }
      if (e.key === "Escape") onEscape();
      if (e.key === "g" && onGuide) {
        e.preventDefault();
        onGuide();
        return;
      }
      const k = kinds.find((x) => x.key === e.key.toLowerCase());
      if (k) {
        e.preventDefault();
        onKind(k);
      }
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  });
}
