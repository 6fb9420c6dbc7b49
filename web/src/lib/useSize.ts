import { useEffect, useRef, useState } from "react";

type Size = { width: number; height: number };

/** The size of an element, followed as it changes. */
export function useSize<E extends HTMLElement>(first: Size) {
  const ref = useRef<E>(null);
  const [size, setSize] = useState<Size>(first);
  useEffect(() => {
    const element = ref.current;
    if (!element) return;
    const observer = new ResizeObserver((entries) => {
      const box = entries[0]?.contentRect;
      if (box && box.width > 0 && box.height > 0) setSize({ width: box.width, height: box.height });
    });
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, size] as const;
}
