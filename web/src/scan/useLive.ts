import { useEffect, useRef, useState } from "react";
import { scanLive, type LiveRow, type ScanLines } from "../lib/api-scan";
import { newId } from "../lib/id";

const beat = 80;

/** A scan while it goes on: the lines so far. Drawn a few times a second, however fast the profiles come. */
export function useLive(inspection: string, onEnd: () => void) {
  const [lines, setLines] = useState<ScanLines>();
  const [fault, setFault] = useState<unknown>();
  const going = useRef<AbortController>(undefined);
  useEffect(() => () => going.current?.abort(), []);
  const start = (speed: number) => {
    const stop = new AbortController();
    going.current = stop;
    setFault(undefined);
    let head: ScanLines | undefined;
    const rows = new Map<number, LiveRow>();
    const draw = window.setInterval(() => head && setLines(soFar(head, rows)), beat);
    scanLive(
      inspection,
      newId(),
      speed,
      stop.signal,
      (h) => (head = h),
      (row) => rows.set(row.s, row),
    )
      .catch((e: unknown) => {
        if (!stop.signal.aborted) setFault(e);
      })
      .finally(() => {
        window.clearInterval(draw);
        going.current = undefined;
        setLines(undefined);
        window.setTimeout(onEnd, stop.signal.aborted ? 600 : 0); // what came is kept once the server has seen the end
      });
  };
  return { lines, fault, start, stop: () => going.current?.abort() };
}

export type Live = ReturnType<typeof useLive>;

/** What came, in the order of the weld; what did not is not measured. */
function soFar(head: ScanLines, rows: Map<number, LiveRow>): ScanLines {
  const all = [...rows.values()].sort((a, b) => a.s - b.s);
  const last = all[all.length - 1]?.s ?? 0;
  return {
    ...head,
    s: all.map((r) => r.s),
    lines: head.lines.map((l) => ({ ...l, values: all.map((r) => r.values?.[l.id] ?? (r.why ? null : 0)) })),
    holes: last < head.length - 2 ? [{ from: last, to: head.length }] : [],
  };
}
