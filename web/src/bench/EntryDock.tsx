import { Button, Input } from "antd";
import { useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState, type FormEvent, type KeyboardEvent as Pressed } from "react";
import { api, problemsByField, Refused, saidBy, type Bench, type Entry, type Line } from "../lib/api";
import { newId } from "../lib/id";
import type { NewEntry } from "../lib/outbox";
import { placeOf, showPlace } from "../lib/place";
import type { Drawn } from "../lib/StripView";
import { bladesFor } from "./blades";
import { Clash } from "./Clash";
import { DockField, KeyWord, ReadWith } from "./DockField";
import { DrawPanel } from "./DrawPanel";
import { EntryLine } from "./EntryLine";
import { Guide } from "./Guide";
import { contentOf, inWords, kindsOf, measures, specOf, type KindSpec, type Typed } from "./kinds";
import { PhotoButton } from "./PhotoButton";
import { PracticeGauge } from "./PracticeGauge";
import { reading, Typing } from "./typing";
import { UndoRedo } from "./UndoRedo";
import { saidOf, useBusy, type Doing } from "./useBench";
import { Choice } from "../lib/fields";

/** A place touched on the strip; each touch has a number of its own. */
export type GaugeUse = { place: string; touch: number };

/** An entry that is changed, or one that was not taken and is put right: that one has no version yet. */
export type Editing = NewEntry & { version?: number; waiting?: string };

type Props = {
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

/** Where things are recorded: a line, a kind and what the gauge showed, a stretch drawn. Letters pick a kind, Enter records. */
export function EntryDock({
  bench,
  doing,
  touched,
  cursor,
  editing,
  drawn,
  line,
  later = 0,
  onLater = nobody,
  onDrawn = nobody,
  onCursor = nobody,
  onEdit = nobody,
  onDone,
  onMarks = nobody,
}: Props) {
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
  const form = useRef<HTMLFormElement>(null);
  const keys = useRef(new Typing());
  /** The entry's own id is made once and kept until it is stored, so that a repeated send adds nothing twice. */
  const pending = useRef<string>(editing?.id ?? newId());
  const latest = useRef(typed);

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

  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      const target = e.target as HTMLElement;
      const inField = /^(INPUT|SELECT|TEXTAREA)$/.test(target.tagName) || target.closest('[role="dialog"]');
      if (inField || e.ctrlKey || e.metaKey || e.altKey) return;
      if (e.key === "/" && (spec ?? drawn)) {
        e.preventDefault();
        setSpec(undefined);
        setRun(undefined);
        onDrawn(undefined);
        setToLine(true);
        return;
      }
      if (e.key === "Escape") {
        setSpec(undefined);
        setRun(undefined);
        onDrawn(undefined);
      }
      if (e.key === "g" && bench.guide.length > 0) {
        e.preventDefault();
        const step = bench.guide[later % bench.guide.length];
        if (step) go(step);
        return;
      }
      const k = here.find((x) => x.key === e.key.toLowerCase());
      if (k) {
        e.preventDefault();
        pick(k);
      }
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
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
      setFault(goesOn ? undefined : x);
      setSaid("");
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
  const readWith = spec && measures(spec) && (
    <ReadWith
      bench={bench}
      known={gauges.data ?? []}
      value={typed.gauge ?? ""}
      onChange={(v) => update({ gauge: v })}
    />
  );
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
  return (
    <section className="card dock" aria-label="Record">
      {drawn && !editing ? (
        <DrawPanel
          key={drawn.lane}
          bench={bench}
          doing={doing}
          drawn={drawn}
          onDrawn={onDrawn}
          onSaid={setSaid}
          onForm={pick}
        />
      ) : (
        !editing &&
        !spec && (
          <EntryLine
            bench={bench}
            doing={doing}
            focused={toLine}
            start={line}
            onMarks={onMarks}
            side={<UndoRedo doing={doing} onSaid={setSaid} onFault={setFault} />}
          />
        )
      )}
      {!editing && !drawn && !(spec && run) && (
        <div className="kinds" role="group" aria-label="What was seen or read">
          {here.slice(0, first).map((k) => (
            <Button
              type={spec?.id === k.id ? "primary" : "default"}
              key={k.id}
              aria-pressed={spec?.id === k.id}
              onClick={() => (spec?.id === k.id ? setSpec(undefined) : pick(k))}
              title={`key ${k.key}`}
            >
              <KeyWord word={k.word} letter={k.key} />
            </Button>
          ))}
          <Choice
            width={130}
            aria-label="More kinds"
            value={spec && here.indexOf(spec) >= first ? spec.id : ""}
            options={[["", "More …"], ...here.slice(first).map((k) => [k.id, k.word] as const)]}
            onChange={(id) => {
              const k = here.find((x) => x.id === id);
              if (k) pick(k);
            }}
          />
          <PhotoButton doing={doing} {...photoOf} onSaid={setSaid} onFault={setFault} />
          {spec ? (
            <>
              <span style={{ flex: 1 }} />
              {readWith}
              <UndoRedo doing={doing} onSaid={setSaid} onFault={setFault} />
            </>
          ) : (
            <Guide bench={bench} later={later} onLater={onLater} onGo={go} />
          )}
          {(!spec || spec.id === "blade") &&
            bladed.map((b) => (
              <Button key={b.words} className={b.goes ? "goes" : undefined} disabled={busy} onClick={() => blade(b)}>
                {spec?.id === "blade"
                  ? b.words
                  : `${bench.joint.size} goes, ${repaired ? `${along.from}–${along.to}` : "full length"}`}
              </Button>
            ))}
        </div>
      )}
      {spec && (!drawn || editing) && (
        <form ref={form} onSubmit={submit} noValidate onKeyDown={onPressed}>
          {spec.fields.map((f, i) => (
            <DockField
              key={f.name}
              spec={f}
              bench={bench}
              value={typed[f.name] ?? ""}
              problem={problems[f.name]}
              first={i === 0}
              onChange={(v) => update({ [f.name]: v })}
            />
          ))}
          {(editing ?? run) && readWith}
          <Button type="primary" htmlType="submit" disabled={busy}>
            {editing?.version !== undefined ? "Store the change" : "Record"}
          </Button>
          {editing && <PhotoButton doing={doing} {...photoOf} onSaid={setSaid} onFault={setFault} />}
          {editing && <Button onClick={onDone}>Leave as it was</Button>}
          {isStation && !editing && (
            <Run run={run} spec={spec} units={units} onRun={setRun} practice={practice} onPractice={setPractice} />
          )}
          {run && !editing && <UndoRedo doing={doing} onSaid={setSaid} onFault={setFault} />}
        </form>
      )}
      {practice && isStation && !editing && (
        <PracticeGauge bench={bench} at={typed.at ?? ""} onClose={() => setPractice(false)} />
      )}
      {theirs && spec && (
        <Clash
          bench={bench}
          mine={{ kind: spec.entry, content: contentOf(spec, typed) }}
          theirs={theirs}
          onTheirs={onDone}
          onMine={() => void putDown(theirs.version)}
          onBoth={() => void putDown(undefined, newId())}
        />
      )}
      <div className="said" role="status">
        {late && spec && measures(spec) && (
          <span className="fault" style={{ marginRight: 12 }}>
            ✕ {late}
          </span>
        )}
        {others ? (
          <span className="fault">{saidBy(fault)}</span>
        ) : Object.keys(problems).length > 0 ? (
          <span className="fault">{Object.values(problems)[0]}</span>
        ) : (
          said ||
          (spec ? (
            <span className="quiet">
              Lengths as the gauge shows them: 1/32, 1 1/8, .03, 2.4mm. Enter records; Esc, then a letter, changes what
              is recorded.
            </span>
          ) : (
            <span className="quiet">
              Or pick what you saw or read (the underlined letter does it too); a touch on the strip fills the place.
            </span>
          ))
        )}
      </div>
    </section>
  );
}

type RunProps = {
  run?: { also: string[]; step: string };
  spec: KindSpec;
  units: string;
  onRun: (r: { also: string[]; step: string } | undefined) => void;
  practice: boolean;
  onPractice: (on: boolean) => void;
};

/** Station after station: Enter goes from reading to reading and on to the next station, as a gauge that types sends it. */
function Run({ run, spec, units, onRun, practice, onPractice }: RunProps) {
  const optional = spec.fields.filter((f) => f.measure && f.optional);
  return (
    <span className="run" role="group" aria-label="Run of stations">
      <Button
        type={run !== undefined ? "primary" : "default"}
        aria-pressed={run !== undefined}
        title="Enter goes to the next reading, then to the next station; a gauge that types does it by itself"
        onClick={() => onRun(run ? undefined : { also: [], step: "" })}
      >
        Run
      </Button>
      {run && (
        <>
          {optional.map((f) => (
            <Button
              type={run.also.includes(f.name) ? "primary" : "default"}
              key={f.name}
              aria-pressed={run.also.includes(f.name)}
              onClick={() =>
                onRun({
                  ...run,
                  also: run.also.includes(f.name) ? run.also.filter((x) => x !== f.name) : [...run.also, f.name],
                })
              }
            >
              + {f.label.toLowerCase()}
            </Button>
          ))}
          <label className="step">
            every{" "}
            <Input
              aria-label={`Stations every, ${units}`}
              value={run.step}
              placeholder="next"
              onChange={(e) => onRun({ ...run, step: e.target.value })}
            />{" "}
            {run.step !== "" && units}
          </label>
        </>
      )}
      {!practice && <Button onClick={() => onPractice(true)}>Practice gauge</Button>}
    </span>
  );
}

/** The station after this one: a step further, or where the inspection wants the next one. */
function nextAt(at: string, step: string, bench: Bench): string {
  const { units } = bench.joint;
  const now = placeOf(at, units);
  const by = placeOf(step, units);
  if (now !== undefined && by !== undefined && by > 0)
    return now + by > bench.strip.length + 0.01 ? "" : showPlace(now + by, units, 16);
  return bench.guide.find((s) => s.kind === "STATION" && s.place !== at && (s.from ?? 0) > (now ?? -1))?.place ?? "";
}

function defaults(spec: KindSpec, bench: Bench): Typed {
  const start: Typed = {};
  for (const f of spec.fields) {
    if (f.input === "toe") start[f.name] = "A";
    if (f.input === "choice") start[f.name] = f.options?.[0]?.[0] ?? "";
    if (f.chips === "size" && f.name === "atLeast")
      start[f.name] = bench.joint.form.size ?? bench.joint.form.throat ?? "";
  }
  return start;
}

/** After putting one down: the toe, the choices and the gauge stay, the places go. */
function stays(spec: KindSpec, typed: Typed): Typed {
  const names = spec.fields.filter((f) => f.input === "toe" || f.input === "choice").map((f) => f.name);
  return Object.fromEntries([...names, "gauge" as const].map((name) => [name, typed[name] ?? ""]));
}

function asTyped(entry: { content: Entry["content"] }): Typed {
  return Object.fromEntries(Object.entries(entry.content).map(([k, v]) => [k, String(v)]));
}
