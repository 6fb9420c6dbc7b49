import { useQueryClient } from "@tanstack/react-query";
import { useCallback, useMemo, useState } from "react";
import type { Bench, Entry, Line } from "../lib/api";
import type { NewEntry, Waiting } from "../lib/outbox";
import { showPlace } from "../lib/place";
import type { Drawn } from "../lib/useStripHand";
import { useDoing, useOutbox } from "./useBench";
import type { Editing, GaugeUse } from "./useDock";

/** Where the hand is at a bench: the place on the strip, what is changed or drawn, which finding is shown, and what the dock gets of it. */
export function useHand(bench: Bench, mayChange: boolean) {
  const queries = useQueryClient();
  const doing = useDoing(bench);
  const outbox = useOutbox();
  const [cursor, setCursor] = useState(() => firstPlace(bench));
  const [touched, setGaugeUse] = useState<GaugeUse>({ place: "", touch: 0 });
  const [editing, setEditing] = useState<Editing>();
  const [line, setLine] = useState<string>();
  const [drawn, setDrawn] = useState<Drawn>();
  const [later, setLater] = useState(0);
  const [chosen, setChosen] = useState<string>();
  const [ghosts, setGhosts] = useState<Line["marks"]>([]);
  const units = bench.joint.units;
  const edit = (e: Entry) => {
    if (mayChange) setEditing(e);
  };
  const onMark = useCallback(
    (i: number) => {
      // asked of the store, so that the strip need not be drawn anew for a function that knows the newest entries
      const now = queries.getQueryData<Bench>(["bench", bench.id]);
      const seen = now && indicationsOf(now);
      const e = now?.entries.find((x) => x.id === seen?.[i]);
      if (e && mayChange) setEditing(e);
    },
    [queries, bench.id, mayChange],
  );
  const shown = useMemo(() => {
    const finding = bench.evaluation.findings.find((f) => f.id === chosen);
    if (!finding) return undefined;
    return {
      finding: finding.id,
      indications: new Set(indicationsOf(bench).flatMap((id, n) => (finding.entries.includes(id) ? [n] : []))),
    };
  }, [bench, chosen]);
  const touch = (mm: number) => {
    setCursor(mm);
    setGaugeUse({ place: showPlace(mm, units), touch: touched.touch + 1 });
  };
  /** A new entry of which something is known already. */
  const begin = (entry: NewEntry) => setEditing(entry);
  const putRight = (w: Waiting) => {
    if (w.step.do === "put")
      setEditing({
        ...w.step.entry,
        ...(w.step.version === undefined ? {} : { version: w.step.version }),
        waiting: w.key,
      });
    if (w.step.do === "line") {
      setLine(w.step.lines.join("\n"));
      outbox.drop(w.key);
    }
  };
  const onDone = () => {
    if (editing?.waiting) outbox.drop(editing.waiting);
    setEditing(undefined);
  };
  const step = mayChange ? bench.guide[later % Math.max(1, bench.guide.length)] : undefined;
  return {
    doing,
    cursor,
    setCursor,
    chosen,
    setChosen,
    edit,
    begin,
    putRight,
    /** What the strip is given. */
    strip: {
      strip: bench.strip,
      ghosts,
      quiet: bench.quiet,
      look: bench.id,
      units,
      cursor,
      chosen: shown,
      drawn,
      next: step?.from,
      onCursor: touch,
      onMark,
      onDraw: mayChange && !editing ? setDrawn : undefined,
    },
    dockKey: editing ? `${editing.id} ${editing.version ?? ""}` : `new ${line ?? ""}`,
    /** And what the dock is. */
    dock: {
      bench,
      doing,
      touched,
      cursor,
      editing,
      drawn,
      line,
      later,
      onLater: setLater,
      onDrawn: setDrawn,
      onCursor: setCursor,
      onEdit: edit,
      onMarks: setGhosts,
      onDone,
    },
  };
}

/** The entry of each indication on the strip: after a repair those of the inspection before come first. */
function indicationsOf(bench: Bench): string[] {
  return [
    ...(bench.again?.indications ?? []),
    ...bench.entries.filter((e) => !e.withdrawn && e.kind === "INDICATION").map((e) => e.id),
  ];
}

/** The cursor starts where something rejects, else at the first station. */
function firstPlace(bench: Bench): number {
  const bad = bench.strip.marks.find((m) => m.rejects) ?? bench.strip.stations.find((s) => s.rejects);
  if (bad) return "from" in bad ? (bad.from + bad.to) / 2 : bad.at;
  return bench.strip.stations[0]?.at ?? bench.strip.length / 2;
}
