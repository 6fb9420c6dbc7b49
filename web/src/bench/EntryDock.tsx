import { useQuery } from "@tanstack/react-query";
import { useEffect, useRef, useState, type FormEvent } from "react";
import { api, problemsByField, Refused, saidBy, type Bench, type Entry, type Gauge, type Line } from "../lib/api";
import { chipsFor, contentOf, inWords, kindsOf, measures, specOf, type FieldSpec, type KindSpec, type Typed } from "./kinds";
import { EntryLine } from "./EntryLine";
import { useChange } from "./useBench";

/** A place touched on the strip; each touch has a number of its own. */
export type Touched = { place: string; touch: number };

type Props = { bench: Bench; touched: Touched; editing?: Entry; onDone: () => void; onMarks?: (marks: Line["marks"]) => void };


/** Where things are put down: a kind, then what the gauge showed. Letters pick a kind, Enter puts down. */
export function EntryDock({ bench, touched, editing, onDone, onMarks = () => undefined }: Props) {
  const [spec, setSpec] = useState<KindSpec | undefined>(() => (editing ? specOf(editing) : undefined));
  const [typed, setTyped] = useState<Typed>(() => (editing ? asTyped(editing) : {}));
  const [fault, setFault] = useState<unknown>();
  const [said, setSaid] = useState("");
  const [toLine, setToLine] = useState(false);
  const [filled, setFilled] = useState(touched.touch);
  const change = useChange(bench.id);
  const here = kindsOf(bench);
  const first = here.filter((k) => k.key).length; // these have a button of their own; the others are under "More"
  const form = useRef<HTMLFormElement>(null);
  /** The entry's own id is made once and kept until it is stored, so that a repeated send adds nothing twice. */
  const pending = useRef<string>(editing?.id ?? crypto.randomUUID());

  if (filled !== touched.touch) {
    // a touch on the strip fills the first place that is still empty
    setFilled(touched.touch);
    const empty = spec?.fields.find((f) => ["at", "from", "to"].includes(f.name) && !typed[f.name]);
    if (empty) setTyped({ ...typed, [empty.name]: touched.place });
  }

  const pick = (k: KindSpec, start: Typed = {}) => {
    setSpec(k);
    setTyped({ ...defaults(k, bench), gauge: typed.gauge, ...start });
    setFault(undefined);
    setSaid("");
    setTimeout(() => form.current?.querySelector<HTMLElement>("[data-first]")?.focus(), 0);
  };

  useEffect(() => {
    const onKey = (e: KeyboardEvent) => {
      const target = e.target as HTMLElement;
      const typing = /^(INPUT|SELECT|TEXTAREA)$/.test(target.tagName) || target.closest('[role="dialog"]');
      if (typing || e.ctrlKey || e.metaKey || e.altKey) return;
      if (e.key === "/" && spec) {
        e.preventDefault();
        setSpec(undefined);
        setToLine(true);
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

  const submit = (e: FormEvent) => {
    e.preventDefault();
    void putDown(editing?.version);
  };

  const putDown = async (version?: number) => {
    if (!spec) return;
    const content = contentOf(spec, typed);
    try {
      await change.mutateAsync(() => api.put(bench.id, pending.current, spec.entry, content, version));
      setSaid(`Put down: ${inWords({ kind: spec.entry, content }, bench)}`);
      setFault(undefined);
      pending.current = crypto.randomUUID();
      if (editing) {
        onDone();
        return;
      }
      setTyped(kept(spec, typed));
      form.current?.querySelector<HTMLElement>("[data-first]")?.focus();
    } catch (x) {
      setFault(x);
      setSaid("");
    }
  };

  const gauges = useQuery({ queryKey: ["gauges"], queryFn: api.gauges, staleTime: 60_000 });
  const late = gauges.data?.find((g) => g.form.name === typed.gauge)?.fault;
  const readWith = spec && measures(spec) && <ReadWith bench={bench} known={gauges.data ?? []} value={typed.gauge ?? ""} onChange={(v) => setTyped((t) => ({ ...t, gauge: v }))} />;
  const problems = problemsByField(fault);
  const theirs = fault instanceof Refused && fault.status === 409 ? (fault.current as Entry | undefined) : undefined;
  const others = fault !== undefined && !spec?.fields.some((f) => f.name in problems);
  return (
    <section className="card dock" aria-label="Put down">
      {!editing && !spec && <EntryLine bench={bench} focused={toLine} onMarks={onMarks} />}
      {!editing && (
        <div className="kinds" role="group" aria-label="What was seen or read">
          {here.slice(0, first).map((k) => (
            <button key={k.id} type="button" className="pick" aria-pressed={spec?.id === k.id} onClick={() => (spec?.id === k.id ? setSpec(undefined) : pick(k))} title={`key ${k.key}`}>
              <KeyWord word={k.word} letter={k.key} />
            </button>
          ))}
          <select className="pick" aria-label="More kinds" value={spec && here.indexOf(spec) >= first ? spec.id : ""} onChange={(e) => {
            const k = here.find((x) => x.id === e.target.value);
            if (k) pick(k);
          }}>
            <option value="">More …</option>
            {here.slice(first).map((k) => (
              <option key={k.id} value={k.id}>{k.word}</option>
            ))}
          </select>
          <span style={{ flex: 1 }} />
          {readWith}
          {bench.joint.blade && <button type="button" className="pick" style={{ borderColor: "#14623c", color: "#14623c" }} disabled={change.isPending} onClick={() => void bladeFullLength(bench, change.mutateAsync, setSaid, setFault)}>
            {bench.joint.size} goes, full length
          </button>}
        </div>
      )}
      {spec && (
        <form
          ref={form}
          onSubmit={submit}
          noValidate
          onKeyDown={(e) => {
            if (e.key === "Escape") (document.activeElement as HTMLElement | null)?.blur();
          }}
        >
          {spec.fields.map((f, i) => (
            <Field key={f.name} spec={f} bench={bench} value={typed[f.name] ?? ""} problem={problems[f.name]} first={i === 0} onChange={(v) => setTyped((t) => ({ ...t, [f.name]: v }))} />
          ))}
          {editing && readWith}
          <button type="submit" className="btn main" disabled={change.isPending}>
            {editing ? "Store the change" : "Put down"}
          </button>
          {editing && <button type="button" className="btn" onClick={onDone}>Leave as it was</button>}
        </form>
      )}
      {theirs && (
        <div role="alert">
          <b className="fault">{saidBy(fault)}:</b> {inWords(theirs, bench)}
          <button type="button" className="link" onClick={onDone}>keep theirs</button>
          <button type="button" className="link" onClick={() => void putDown(theirs.version)}>store mine instead</button>
        </div>
      )}
      <div className="said" role="status">
        {late && spec && measures(spec) && <span className="fault" style={{ marginRight: 12 }}>✕ {late}</span>}
        {others ? <span className="fault">{saidBy(fault)}</span> : Object.keys(problems).length > 0 ? <span className="fault">{Object.values(problems)[0]}</span> : said || (spec ? <span className="quiet">Lengths as the gauge shows them: 1/32, 1 1/8, .03, 2.4mm. Enter puts down; Esc, then a letter, changes what is put down.</span> : <span className="quiet">Or pick what you saw or read (the underlined letter does it too); a touch on the strip fills the place.</span>)}
      </div>
    </section>
  );
}

async function bladeFullLength(bench: Bench, mutate: (f: () => Promise<Bench>) => Promise<Bench>, say: (s: string) => void, setFault: (e: unknown) => void) {
  const form = bench.joint.form;
  const content = { from: "0", to: form.length ?? "", atLeast: form.size ?? form.throat ?? "" };
  try {
    await mutate(() => api.put(bench.id, crypto.randomUUID(), "READING", content));
    say(`Put down: ${content.atLeast} blade goes, full length`);
    setFault(undefined);
  } catch (x) {
    setFault(x);
  }
}

function KeyWord({ word, letter }: { word: string; letter?: string }) {
  const at = letter ? word.toLowerCase().indexOf(letter) : -1;
  if (at < 0) return <>{word}</>;
  return (
    <>
      {word.slice(0, at)}
      <kbd>{word[at]}</kbd>
      {word.slice(at + 1)}
    </>
  );
}

function defaults(spec: KindSpec, bench: Bench): Typed {
  const start: Typed = {};
  for (const f of spec.fields) {
    if (f.input === "toe") start[f.name] = "A";
    if (f.input === "choice") start[f.name] = f.options?.[0]?.[0] ?? "";
    if (f.chips === "size" && f.name === "atLeast") start[f.name] = bench.joint.form.size ?? bench.joint.form.throat ?? "";
  }
  return start;
}

/** After putting one down: the toe and the choices stay, the places go. */
function kept(spec: KindSpec, typed: Typed): Typed {
  const stays = spec.fields.filter((f) => f.input === "toe" || f.input === "choice").map((f) => f.name);
  return Object.fromEntries([...stays, "gauge" as const].map((name) => [name, typed[name] ?? ""])) as Typed;
}

function asTyped(entry: Entry): Typed {
  return Object.fromEntries(Object.entries(entry.content).map(([k, v]) => [k, String(v)])) as Typed;
}

/** The gauge that read it: of the look's kit first, then the rest of the register. One past its date says so. */
function ReadWith({ bench, known, value, onChange }: { bench: Bench; known: Gauge[]; value: string; onChange: (v: string) => void }) {
  const kit = known.filter((g) => bench.gaugeNames.includes(g.form.name ?? ""));
  const others = known.filter((g) => !kit.includes(g));
  return (
      <select id="dock-gauge" className="pick" aria-label="Read with gauge" value={value} onChange={(e) => onChange(e.target.value)}>
        <option value="">read with …</option>
        {[...kit, ...others].map((g) => (
          <option key={g.id} value={g.form.name}>{g.fault ? "✕ " : ""}{g.form.name}{g.form.division ? `, ${g.form.division}` : ""}{g.fault ? " (not in calibration)" : ""}</option>
        ))}
      </select>
  );
}

type FieldProps = { spec: FieldSpec; bench: Bench; value: string; problem?: string; first: boolean; onChange: (v: string) => void };

function Field({ spec, bench, value, problem, first: isFirst, onChange }: FieldProps) {
  const id = `dock-${spec.name}`;
  const mark = isFirst ? { "data-first": true } : {};
  if (spec.input === "toe") {
    const names: [string, string][] = [["A", bench.joint.toeA], ["B", bench.joint.toeB]];
    if (bench.joint.form.oneSided) names.push(["root", "root"]);
    return (
      <div className="field">
        <label id={id}>{spec.label}</label>
        <div className="chips" role="group" aria-labelledby={id}>
          {names.map(([toe, name], i) => (
            <button key={toe} type="button" {...(isFirst && i === 0 ? mark : {})} aria-pressed={value === toe} onClick={() => onChange(toe)}>
              {name}
            </button>
          ))}
        </div>
      </div>
    );
  }
  if (spec.input === "choice")
    return (
      <div className="field">
        <label htmlFor={id}>{spec.label}</label>
        <select id={id} className="text" {...mark} value={value} onChange={(e) => onChange(e.target.value)}>
          {spec.options?.map(([v, word]) => (
            <option key={v} value={v}>{word}</option>
          ))}
        </select>
      </div>
    );
  const chips = chipsFor(spec, bench);
  return (
    <div className="field">
      <label htmlFor={id}>
        {spec.label}
        {spec.optional && <span className="quiet"> if read</span>}
      </label>
      <div style={{ display: "flex", gap: 4 }}>
        <input id={id} className="text" {...mark} value={value} autoComplete="off" inputMode="text" aria-invalid={problem !== undefined} onChange={(e) => onChange(e.target.value)} />
        {chips.length > 0 && (
          <span className="chips">
            {chips.map((c) => (
              <button key={c} type="button" aria-pressed={value === c} onClick={() => onChange(c)}>{c}</button>
            ))}
          </span>
        )}
      </div>
    </div>
  );
}
