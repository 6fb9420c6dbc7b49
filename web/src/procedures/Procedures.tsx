import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState, type FormEvent } from "react";
import { Link, useNavigate, useParams } from "react-router";
import {
  api,
  problemsByField,
  saidBy,
  type Procedure,
  type ProcedureForm,
  type ProcedurePreview,
  type Rod,
} from "../lib/api";
import { ChoiceField, numberOf, said, TextField } from "../lib/fields";
import { useActor } from "../lib/session";
import { TopBar } from "../lib/TopBar";

/** Welding procedures (WPS), each revision checked against the prequalified limits. */
export default function Procedures() {
  const { id } = useParams();
  const actor = useActor();
  const [fault, setFault] = useState<unknown>();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const procedures = useQuery({ queryKey: ["procedures"], queryFn: api.procedures });
  const rods = useQuery({ queryKey: ["rods"], queryFn: api.rods, staleTime: Infinity });
  const writes = actor.role === "WELDING_ENGINEER" || actor.role === "QUALITY_MANAGER";
  const based = id?.startsWith("from-") ? procedures.data?.find((p) => p.id === id.slice(5)) : undefined;
  const fresh = id === "new" || based !== undefined;
  const chosen = fresh ? undefined : (procedures.data?.find((p) => p.id === id) ?? procedures.data?.at(-1));
  const take = async (text: string) => {
    try {
      const taken = await api.importProcedure(text);
      setFault(undefined);
      await queries.invalidateQueries({ queryKey: ["procedures"] });
      navigate(`/procedures/${taken.id}`);
    } catch (e) {
      setFault(e);
    }
  };
  return (
    <div className="app">
      <TopBar rooms />
      <main className="halves">
        <nav className="card panel" aria-label="Procedures">
          <header>
            <h2>Procedures</h2>
            {writes && (
              <Link className="link linked" to="/procedures/new">
                new
              </Link>
            )}
          </header>
          <div className="body picks">
            {procedures.data?.length === 0 && <p>No procedure yet.</p>}
            {procedures.data?.map((p) => (
              <Link
                key={p.id}
                to={`/procedures/${p.id}`}
                className="picked"
                aria-current={p.id === chosen?.id ? "page" : undefined}
              >
                <b>
                  {p.form.number} rev {p.form.revision}
                </b>
                <span className="quiet small">
                  {p.used > 0 ? `frozen, ${p.used} joints` : "not used yet"}
                  {p.breaches.length > 0 && <span className="hint"> · ⚠ {p.breaches.length} outside the limits</span>}
                </span>
              </Link>
            ))}
            {writes && (
              <label className="btn linked" style={{ marginTop: 10 }}>
                Open a file …
                <input
                  type="file"
                  accept=".json,application/json"
                  className="unseen"
                  aria-label="Open a procedure file"
                  onChange={(e) => {
                    const f = e.target.files?.[0];
                    e.target.value = "";
                    if (f) void f.text().then(take);
                  }}
                />
              </label>
            )}
            {fault !== undefined && (
              <p role="alert" className="fault">
                {saidBy(fault)}
              </p>
            )}
          </div>
        </nav>
        {procedures.data && rods.data && (
          <ProcedureCard
            key={chosen ? `${chosen.id} ${chosen.version}` : (id ?? "none")}
            procedure={chosen}
            start={based ? { ...based.form, revision: "" } : emptyProcedure}
            rods={rods.data}
            writes={writes}
          />
        )}
      </main>
    </div>
  );
}

const emptyProcedure: ProcedureForm = {
  format: "mensor-procedure/1",
  units: "in",
  welds: ["fillet"],
  steel: "unknown",
  passes: [{ kind: "root", electrode: "E7018", diameter: "1/8", amps: [115, 165] }],
};
const steels = [
  ["unknown", "not known"],
  ["a36-type", "A36-type"],
  ["a572-50-type", "A572-50, A992 and like"],
  ["higher-strength", "higher strength"],
] as const;
const allPositions = ["1F", "2F", "3F", "4F", "1G", "2G", "3G", "4G", "5G", "6G"];
const allConnections = ["tee", "lap", "corner", "butt", "tube-to-plate", "pipe-butt"];
const kinds = ["root", "hot", "fill", "cap"].map((k) => [k, k] as const);
const polarities = [
  ["", "–"],
  ["DCEP", "DCEP"],
  ["DCEN", "DCEN"],
  ["AC", "AC"],
] as const;
const techniques = [
  ["", "–"],
  ["stringer", "stringer"],
  ["weave", "weave"],
] as const;

type Pass = NonNullable<ProcedureForm["passes"]>[number];

function ProcedureCard({
  procedure,
  start,
  rods,
  writes,
}: {
  procedure?: Procedure;
  start: ProcedureForm;
  rods: Rod[];
  writes: boolean;
}) {
  const [form, setForm] = useState<ProcedureForm>(procedure?.form ?? start);
  const [preview, setPreview] = useState<ProcedurePreview>();
  const [fault, setFault] = useState<unknown>();
  const queries = useQueryClient();
  const navigate = useNavigate();
  const frozen = (procedure?.used ?? 0) > 0;
  const mayChange = writes && !frozen;
  const set = (change: Partial<ProcedureForm>) => setForm({ ...form, ...change });
  const setPass = (i: number, change: Partial<Pass>) =>
    set({ passes: form.passes?.map((p, n) => (n === i ? { ...p, ...change } : p)) });
  const sent = () => said({ ...form, passes: form.passes?.map((p) => said(p)) });
  useEffect(() => {
    let current = true;
    const timer = setTimeout(() => {
      api.previewProcedure(said({ ...form, passes: form.passes?.map((p) => said(p)) })).then(
        (p) => current && setPreview(p),
        () => undefined,
      );
    }, 200);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [form]);
  const store = async (e: FormEvent) => {
    e.preventDefault();
    try {
      const stored = procedure
        ? await api.changeProcedure(procedure.id, sent(), procedure.version)
        : await api.createProcedure(sent());
      await queries.invalidateQueries({ queryKey: ["procedures"] });
      navigate(`/procedures/${stored.id}`);
    } catch (x) {
      setFault(x);
    }
  };
  const problems = {
    ...problemsByField(fault),
    ...Object.fromEntries(
      (preview?.problems ?? [])
        .filter((p) => p.field !== "number" && p.field !== "revision")
        .map((p) => [p.field, p.problem]),
    ),
  };
  const number = (v: string) => numberOf(v);
  /** The amps start from the rod's own range, and may be narrowed. */
  const withRange = (p: Pass): Pass => {
    const range = rodOf(p)?.amps;
    return range ? { ...p, amps: [range.low, range.high] } : p;
  };
  const rodOf = (p: Pass) =>
    rods.find(
      (r) =>
        r.electrode === p.electrode &&
        p.diameter?.replace(/ ?(in|mm)$/, "") === (form.units === "mm" ? r.metric : r.diameter),
    );
  return (
    <div className="card panel">
      <header>
        <h2>{procedure ? `${procedure.form.number} rev ${procedure.form.revision}` : "A new procedure"}</h2>
        {frozen && <span className="hint">frozen: {procedure?.used} joints use it</span>}
        {procedure && writes && (
          <Link className="link linked" to={`/procedures/from-${procedure.id}`}>
            new revision
          </Link>
        )}
        {procedure && (
          <a
            className="link linked"
            href={`/api/procedures/${procedure.id}/document`}
            download={`${procedure.form.number}-${procedure.form.revision}.json`}
          >
            save as a file
          </a>
        )}
      </header>
      <form className="body" tabIndex={0} onSubmit={(e) => void store(e)} aria-label="The procedure">
        {(preview?.breaches.length ?? 0) > 0 && (
          <section aria-label="Outside the prequalified limits">
            <h3 className="hint" style={{ marginTop: 6 }}>
              ⚠ Outside the prequalified limits
            </h3>
            {preview?.breaches.map((b) => (
              <p key={b.field + b.line} style={{ margin: "4px 0" }}>
                <b>{b.line}</b> <span className="quiet small">{b.citation}</span>
              </p>
            ))}
            <p className="cautions">
              A procedure qualified by test may lie outside them; its test must then cover this.
            </p>
          </section>
        )}
        <fieldset disabled={!mayChange} className="plainset">
          <div className="grid">
            <TextField
              id="number"
              label="Number"
              span={2}
              value={form.number}
              problem={problems.number}
              onChange={(v) => set({ number: v })}
            />
            <TextField
              id="revision"
              label="Revision"
              span={2}
              value={form.revision}
              problem={problems.revision}
              onChange={(v) => set({ revision: v })}
            />
            <ChoiceField
              id="units"
              label="In"
              span={2}
              value={form.units}
              options={[
                ["in", "inches"],
                ["mm", "mm"],
              ]}
              onChange={(v) => set({ units: v })}
            />
            <ChoiceField
              id="steel"
              label="Steel"
              span={4}
              value={form.steel}
              options={steels}
              onChange={(v) => set({ steel: v })}
            />
            <ChoiceField
              id="progression"
              label="Vertical"
              span={2}
              value={form.progression}
              options={[
                ["", "–"],
                ["up", "up"],
                ["down", "down"],
              ]}
              onChange={(v) => set({ progression: v })}
            />
            <TextField
              id="thinnest"
              label="Thinnest"
              span={2}
              value={form.thinnest}
              problem={problems.thinnest}
              onChange={(v) => set({ thinnest: v })}
            />
            <TextField
              id="thickest"
              label="Thickest"
              span={2}
              value={form.thickest}
              problem={problems.thickest}
              onChange={(v) => set({ thickest: v })}
            />
            <TextField
              id="preheatF"
              label="Preheat, °F"
              span={2}
              value={text(form.preheatF)}
              problem={problems.preheatF}
              onChange={(v) => set({ preheatF: number(v) })}
            />
            <TextField
              id="interpassMaxF"
              label="Interpass to, °F"
              span={2}
              value={text(form.interpassMaxF)}
              problem={problems.interpassMaxF}
              onChange={(v) => set({ interpassMaxF: number(v) })}
            />
            <TextField
              id="beadWidthRods"
              label="Bead, × rod"
              span={2}
              value={text(form.beadWidthRods)}
              problem={problems.beadWidthRods}
              onChange={(v) => set({ beadWidthRods: number(v) })}
            />
            <TextField
              id="brightMetal"
              label="Bright back"
              span={2}
              value={form.brightMetal}
              problem={problems.brightMetal}
              onChange={(v) => set({ brightMetal: v })}
            />
            <div className="field" style={{ gridColumn: "span 9" }}>
              <label>Joints; none chosen is all</label>
              <div className="kinds">
                {["fillet", "groove"].map((w) => (
                  <Toggle
                    key={w}
                    word={w}
                    on={form.welds?.includes(w) ?? false}
                    onTurn={() => set({ welds: turned(form.welds, w) })}
                  />
                ))}
                {allConnections.map((c) => (
                  <Toggle
                    key={c}
                    word={c.replaceAll("-", " ")}
                    on={form.connections?.includes(c) ?? false}
                    onTurn={() => set({ connections: turned(form.connections, c) })}
                  />
                ))}
              </div>
            </div>
            <div className="field" style={{ gridColumn: "span 3" }}>
              <label>Technique and backing</label>
              <div className="kinds">
                <Toggle
                  word="stringers only"
                  on={form.stringerOnly ?? false}
                  onTurn={() => set({ stringerOnly: form.stringerOnly ? undefined : true })}
                />
                <Toggle
                  word="backing"
                  on={form.backing ?? false}
                  onTurn={() => set({ backing: form.backing ? undefined : true })}
                />
              </div>
            </div>
            <div className="field" style={{ gridColumn: "span 12" }}>
              <label>Positions; none chosen is all</label>
              <div className="kinds">
                {allPositions.map((p) => (
                  <Toggle
                    key={p}
                    word={p}
                    on={form.positions?.includes(p) ?? false}
                    onTurn={() => set({ positions: turned(form.positions, p) })}
                  />
                ))}
              </div>
            </div>
            <TextField
              id="cleaning"
              label="Cleaning"
              span={12}
              value={form.cleaning}
              onChange={(v) => set({ cleaning: v })}
              placeholder="chip and wire wheel between passes"
            />
          </div>
          <h3>Passes</h3>
          {(form.passes ?? []).map((p, i) => {
            const at = (f: string) => problems[`passes[${i}].${f}`];
            const range = rodOf(p)?.amps;
            return (
              <div className="grid passrow" key={i}>
                <ChoiceField
                  id={`k${i}`}
                  label="Pass"
                  span={2}
                  value={p.kind}
                  problem={at("kind")}
                  options={kinds}
                  onChange={(v) => setPass(i, { kind: v })}
                />
                <ChoiceField
                  id={`e${i}`}
                  label="Rod"
                  span={3}
                  value={p.electrode}
                  options={[...new Set(rods.map((r) => r.electrode))].map((r) => [r, r] as const)}
                  onChange={(v) => setPass(i, withRange({ ...p, electrode: v }))}
                />
                <TextField
                  id={`d${i}`}
                  label="Diameter"
                  span={2}
                  value={p.diameter}
                  problem={at("diameter")}
                  onChange={(v) => setPass(i, withRange({ ...p, diameter: v }))}
                />
                <RangeField
                  key={`${p.electrode} ${p.diameter}`}
                  id={`a${i}`}
                  label="Amps"
                  span={3}
                  value={p.amps?.map(String)}
                  problem={at("amps")}
                  hint={range ? `rod ${range.low}–${range.high}` : undefined}
                  onChange={(v) => setPass(i, { amps: v.map((x) => numberOf(x) ?? Number.NaN) })}
                />
                <RangeField
                  id={`v${i}`}
                  label="Volts"
                  span={2}
                  value={p.volts?.map(String)}
                  problem={at("volts")}
                  onChange={(v) => setPass(i, { volts: v.map((x) => numberOf(x) ?? Number.NaN) })}
                />
                <ChoiceField
                  id={`p${i}`}
                  label="Polarity"
                  span={2}
                  value={p.polarity}
                  options={polarities}
                  onChange={(v) => setPass(i, { polarity: v })}
                />
                <ChoiceField
                  id={`t${i}`}
                  label="Beads"
                  span={3}
                  value={p.technique}
                  options={techniques}
                  onChange={(v) => setPass(i, { technique: v })}
                />
                <RangeField
                  id={`s${i}`}
                  label={`Travel, ${form.units}/min`}
                  span={3}
                  value={p.travel?.map((t) => t.replace(/ .*/, ""))}
                  problem={at("travel") ?? at("travel[0]") ?? at("travel[1]")}
                  onChange={(v) => setPass(i, { travel: v.map((x) => `${x.trim()} ${form.units}/min`) })}
                />
                <TextField
                  id={`l${i}`}
                  label={p.kind === "root" ? "Largest size" : "Thickest layer"}
                  span={2}
                  value={p.layer}
                  problem={at("layer")}
                  onChange={(v) => setPass(i, { layer: v })}
                />
                <div style={{ gridColumn: "span 2", alignSelf: "end" }}>
                  {mayChange && (form.passes?.length ?? 0) > 1 && (
                    <button
                      type="button"
                      className="link"
                      onClick={() => set({ passes: form.passes?.filter((_, n) => n !== i) })}
                    >
                      take off
                    </button>
                  )}
                </div>
              </div>
            );
          })}
          {mayChange && (form.passes?.length ?? 0) < 4 && (
            <button
              type="button"
              className="link"
              onClick={() =>
                set({
                  passes: [
                    ...(form.passes ?? []),
                    {
                      ...form.passes?.at(-1),
                      kind: kinds.map(([k]) => k).find((k) => !form.passes?.some((p) => p.kind === k)),
                    },
                  ],
                })
              }
            >
              add a pass
            </button>
          )}
        </fieldset>
        {preview && preview.problems.length === 0 && preview.breaches.length === 0 && (
          <p className="v-accept">✓ Within the prequalified limits that are checked here</p>
        )}
        {preview?.problems.map((p) => (
          <p key={p.field} className="hint small">
            Still required: {p.field}: {p.problem}
          </p>
        ))}
        {fault !== undefined && (
          <p role="alert" className="fault">
            {saidBy(fault)}
          </p>
        )}
        {mayChange && (
          <button type="submit" className="btn main">
            {procedure ? "Store the procedure" : "Set up the procedure"}
          </button>
        )}
        <p className="cautions">
          Limits from memory of AWS D1.1, medium confidence: check against your copy. The welding engineer and the
          Engineer decide.
        </p>
      </form>
    </div>
  );
}

function text(n?: number): string {
  return n === undefined ? "" : Number.isNaN(n) ? "?" : String(n);
}

function turned(list: string[] | undefined, word: string): string[] {
  return list?.includes(word) ? list.filter((w) => w !== word) : [...(list ?? []), word];
}

function Toggle({ word, on, onTurn }: { word: string; on: boolean; onTurn: () => void }) {
  return (
    <button type="button" className="pick" aria-pressed={on} onClick={onTurn}>
      {word}
    </button>
  );
}

/** "115–140" as two ends; what is half typed stays as it is typed. */
function RangeField({
  id,
  label,
  span,
  value,
  problem,
  hint,
  onChange,
}: {
  id: string;
  label: string;
  span: number;
  value?: string[];
  problem?: string;
  hint?: string;
  onChange: (v: string[]) => void;
}) {
  const [typed, setTyped] = useState(value?.join("–") ?? "");
  return (
    <TextField
      id={id}
      label={label}
      span={span}
      value={typed}
      problem={problem}
      hint={hint}
      placeholder="from–to"
      onChange={(v) => {
        setTyped(v);
        onChange(v.trim() === "" ? [] : v.split(/\s*[–-]\s*/).filter((x) => x !== ""));
      }}
    />
  );
}
