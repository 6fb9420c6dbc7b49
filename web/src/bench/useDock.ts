import { useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState, type FormEvent, type KeyboardEvent as Pressed, type RefObject } from "react";
import { api, problemsByField, Refused, type Bench, type Entry, type Line } from "../lib/api";
import { newId } from "../lib/id";
import type { NewEntry } from "../lib/outbox";
import { placeOf, showPlace } from "../lib/place";
import type { Drawn } from "../lib/useStripHand";
import { bladesFor } from "./blades";
import { asTyped, defaults, nextAt, stays } from "./dock-fields";
import { contentOf, inWords, kindsOf, specOf, type KindSpec, type Typed } from "./kinds";
import { reading, Typing } from "./typing";
import { saidOf, useBusy, type Doing } from "./useBench";
import { useDockKeys } from "./useDockKeys";

/** A place touched on the strip; each touch has a number of its own. */
export type GaugeUse = { place: string; touch: number };

/** An entry that is changed, or one that was not taken and is put right: that one has no version yet. */
export type Editing = NewEntry & { version?: number; waiting?: string };

export type DockProps = {
  bench: Bench;
  doing: Doing;
  touched: GaugeUse;
  cursor: number;
  editing?: Editing;
  drawn?: Drawn;
  /** A line that was not taken, to be put right. */
  line?: string;
  later?: number;
  onLater?: (n: number) => void;
  onDrawn?: (d: Drawn | undefined) => void;
  onCursor?: (mm: number) => void;
  onEdit?: (e: Entry) => void;
  onDone: () => void;
  onMarks?: (marks: Line["marks"]) => void;
};

const nobody = () => undefined;

/** What is typed in the dock, where it goes, and what came of it. */
export function useDock(
  form: RefObject<HTMLFormElement | null>,
  {
    bench,
    doing,
    touched,
    cursor,
    editing,
    drawn,
    later = 0,
    onDrawn = nobody,
    onCursor = nobody,
    onEdit = nobody,
    onDone,
  }: DockProps,
) {
  const { units } = bench.joint;
  const busy = useBusy(bench.id);
  const [spec, setSpec] = useState<KindSpec | undefined>(() => (editing ? specOf(editing) : undefined));
  const [typed, setTyped] = useState<Typed>(() => (editing ? asTyped(editing) : {}));
  const [fault, setFault] = useState<unknown>();
  const [said, setSaid] = useState("");
  const [toLine, setToLine] = useState(false);
  const [filled, setFilled] = useState(touched.touch);
  /** A run of stations: what is read at each, and how far apart they are. */
  const [run, setRun] = useState<{ also: string[]; step: string }>();
  const [practice, setPractice] = useState(false);
  const here = kindsOf(bench);
  const first = here.filter((k) => k.key).length; // these have a button of their own; the others are under "More"
  const keys = useRef(new Typing());
  /** The entry's own id is made once and kept until it is stored, so that a repeated send adds nothing twice. */
  const pending = useRef<string>(editing?.id ?? newId());
  const latest = useRef(typed);
  /** What is on its way: pressed twice it goes once, and what was typed anew meanwhile goes after it. */
  const sending = useRef<{ id: string; now: Typed }>(undefined);
  const again = useRef(false);

  const update = (change: Typed) => {
    latest.current = { ...latest.current, ...change };
    setTyped(latest.current);
  };
  useEffect(() => {
    latest.current = typed;
  }, [typed]);

  if (filled !== touched.touch) {
    // a touch on the strip fills the first place that is still empty
    setFilled(touched.touch);
    const empty = spec?.fields.find((f) => ["at", "from", "to"].includes(f.name) && !typed[f.name]);
    if (empty) setTyped({ ...typed, [empty.name]: touched.place });
  }

  const focus = (selector: string) => setTimeout(() => form.current?.querySelector<HTMLElement>(selector)?.focus(), 0);
  const pick = (k: KindSpec, start: Typed = {}) => {
    setSpec(k);
    setTyped({ ...defaults(k, bench), gauge: typed.gauge, ...start });
    setFault(undefined);
    setSaid("");
    onDrawn(undefined);
    const empty = k.fields.find((f) => !f.optional && !start[f.name] && f.input === "length");
    focus(Object.keys(start).length > 0 && empty ? `#dock-${empty.name}` : "[data-first]");
  };

  const go = (step: Bench["guide"][number]) => {
    if (step.from !== undefined) onCursor(step.to === undefined ? step.from : (step.from + step.to) / 2);
    if (step.kind === "STATION") {
      const k = here.find((x) => x.id === (bench.joint.blade ? "legs" : "crown"));
      if (k) pick(k, { at: step.place ?? "" });
    }
    if (step.kind === "REPEAT") {
      const e = bench.entries.find((x) => x.id === step.entry);
      if (e) onEdit(e);
    }
    if (step.kind === "INSPECT") document.querySelector<HTMLElement>(`[data-none="${step.criterion}"]`)?.focus();
  };

  /** What is recorded next is open again. */
  const leave = () => {
    setSpec(undefined);
    setRun(undefined);
    onDrawn(undefined);
  };
  useDockKeys({
    kinds: here,
    open: spec !== undefined || drawn !== undefined,
    onLine: () => {
      leave();
      setToLine(true);
    },
    onEscape: leave,
    onGuide:
      bench.guide.length === 0
        ? undefined
        : () => {
            const step = bench.guide[later % bench.guide.length];
            if (step) go(step);
          },
    onKind: pick,
  });

  /** The form for the next one: the places go, and in a run the next station is gone to. */
  const goOn = (k: KindSpec, now: Typed, running = run) => {
    pending.current = newId();
    // what was typed while the last one went to the server is the next one's
    const same = (name: keyof Typed) => (latest.current[name] ?? "") === (now[name] ?? "");
    const at = running && same("at") ? nextAt(now.at ?? "", running.step, bench) : undefined;
    update({
      ...Object.fromEntries(k.fields.filter((f) => same(f.name)).map((f) => [f.name, ""])),
      ...stays(k, latest.current),
      ...(at === undefined ? {} : { at }),
    });
    const place = at === undefined ? undefined : placeOf(at, units);
    if (place !== undefined) onCursor(place);
    focus(at ? "[data-measure]" : "[data-first]");
  };

  const putDown = async (version?: number, id = pending.current, running = run) => {
    if (!spec) return;
    const now = latest.current;
    if (sending.current?.id === id) {
      if (now !== sending.current.now) again.current = true;
      return;
    }
    sending.current = { id, now };
    const content = contentOf(spec, now);
    const words = inWords({ kind: spec.entry, content }, bench);
    const step = {
      do: "put" as const,
      entry: { id, kind: spec.entry, content },
      ...(version === undefined ? {} : { version }),
    };
    // a gauge does not wait: a run goes on at once, and what is refused then is held above the form
    const goesOn = running !== undefined && !editing;
    if (goesOn) goOn(spec, now, running);
    try {
      const kept = await doing.act(step, words, goesOn ? "hold" : "throw");
      setSaid(saidOf(kept, words));
      setFault(undefined);
      if (editing) onDone();
      else if (!goesOn) goOn(spec, now);
    } catch (x) {
      again.current = false;
      setFault(goesOn ? undefined : x);
      setSaid("");
    } finally {
      if (sending.current?.id === id) sending.current = undefined;
    }
    if (again.current) {
      again.current = false;
      void putDown();
    }
  };

  const submit = (e: FormEvent) => {
    e.preventDefault();
    void putDown(editing?.version);
  };

  const readings = spec ? spec.fields.filter((f) => f.measure && (!f.optional || run?.also.includes(f.name))) : [];
  const isStation = spec?.entry === "READING" && spec.fields.some((f) => f.name === "at");
  /** A gauge's Enter, or any within a run: the reading stands, the next one is gone to, after the last the station is recorded. */
  const onPressed = (e: Pressed<HTMLFormElement>) => {
    const gauge = keys.current.key(e.key, e.timeStamp);
    const input = e.target as HTMLInputElement;
    const name = input.dataset?.["measure"];
    if (e.key === "Escape") {
      (document.activeElement as HTMLElement | null)?.blur();
      return;
    }
    if (!name || !(gauge || (run && e.key === "Enter"))) return;
    e.preventDefault();
    update({ [name]: reading(input.value) });
    const running = run ?? (gauge && isStation && !editing ? { also: [], step: "" } : undefined);
    if (running !== run) setRun(running);
    const left = readings.find((f) => f.name !== name && !latest.current[f.name]);
    if (left) form.current?.querySelector<HTMLInputElement>(`#dock-${left.name}`)?.focus();
    else if (isStation && !latest.current.at) form.current?.querySelector<HTMLInputElement>("#dock-at")?.focus();
    else if (isStation) void putDown(editing?.version, pending.current, running);
  };

  const gauges = useQuery({ queryKey: ["gauges"], queryFn: api.gauges, staleTime: 60_000 });
  const late = gauges.data?.find((g) => g.form.name === typed.gauge)?.fault;
  const problems = problemsByField(fault);
  const theirs = fault instanceof Refused && fault.status === 409 ? (fault.current as Entry | undefined) : undefined;
  const others = fault !== undefined && !theirs && !spec?.fields.some((f) => f.name in problems);
  const blade = (b: ReturnType<typeof bladesFor>[number]) => {
    const words = inWords({ kind: b.kind, content: b.content }, bench);
    doing.act({ do: "put", entry: { id: newId(), kind: b.kind, content: b.content } }, words).then(
      (kept) => {
        setFault(undefined);
        setSaid(saidOf(kept, words));
        if (spec?.id === "blade") update({ from: "", to: "" });
      },
      (x: unknown) => setFault(x),
    );
  };
  const repaired =
    bench.again?.inspectedAt.find((s) => cursor >= s.from && cursor <= s.to) ?? bench.again?.inspectedAt[0];
  const along = repaired
    ? { from: showPlace(repaired.from, units), to: showPlace(repaired.to, units) }
    : { from: "0", to: bench.joint.form.length ?? "" };
  const bladed =
    spec?.id === "blade" && !editing
      ? bladesFor(bench, typed.from || "0", typed.to || (bench.joint.form.length ?? ""))
      : bladesFor(bench, along.from, along.to).slice(0, 1);
  const photoOf =
    editing && !editing.waiting
      ? { of: { entry: editing.id }, words: `of ${inWords(editing, bench)}` }
      : { of: { at: showPlace(cursor, units) }, words: `at ${showPlace(cursor, units)} ${units}` };
  return {
    busy,
    kinds: { all: here, first },
    spec,
    setSpec,
    typed,
    update,
    fault,
    setFault,
    problems,
    others,
    theirs,
    late,
    gauges: gauges.data ?? [],
    said,
    setSaid,
    toLine,
    run,
    setRun,
    practice,
    setPractice,
    pick,
    go,
    submit,
    onPressed,
    isStation,
    putDown,
    blade,
    bladed,
    bladedWords: (b: Blade) =>
      spec?.id === "blade"
        ? b.words
        : `${bench.joint.size} goes, ${repaired ? `${along.from}–${along.to}` : "full length"}`,
    photoOf,
  };
}

type Blade = ReturnType<typeof bladesFor>[number];
export type Dock = ReturnType<typeof useDock>;
