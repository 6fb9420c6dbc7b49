import { useState, type FormEvent } from "react";
import { api, problemsByField, saidBy, type Bench, type PassForm, type WeldingForm } from "../lib/api";
import { useChange } from "./useBench";

const rods = ["E6010", "E6011", "E6013", "E7014", "E7018", "E7024"];
const diameters: Record<string, string[]> = { in: ["3/32", "1/8", "5/32", "3/16"], mm: ["2.5", "3.2", "4", "5"] };

type Typed = Record<"kind" | "electrode" | "diameter" | "amps" | "polarity" | "technique" | "progression", string>;
const empty: Typed = { kind: "root", electrode: "E7018", diameter: "", amps: "", polarity: "", technique: "", progression: "" };

/** What was actually used to make the weld, pass by pass, and where it departs; it is what the causes are traced from. */
export function PassesPanel({ bench, mayRecord }: { bench: Bench; mayRecord: boolean }) {
  const change = useChange(bench.id);
  const [fault, setFault] = useState<unknown>();
  const w = bench.welding;
  const passes = w.form.passes ?? [];
  const store = async (form: WeldingForm) => {
    try {
      await change.mutateAsync(() => api.welding(bench.id, w.version, form));
      setFault(undefined);
      return true;
    } catch (e) {
      setFault(e);
      return false;
    }
  };
  return (
    <>
      {passes.length === 0 && <p className="quiet" style={{ margin: "10px 0" }}>No pass is recorded. Without amps and speed no single cause can be named as the one.</p>}
      {passes.map((p, i) => (
        <div className="entered" key={i}>
          <span>
            <b>{i + 1}.</b> {passInWords(p)}
            {w.departures.filter((d) => d.pass === i).map((d) => (
              <div key={d.line} className={p.planned ? "hint small" : "fault small"}>{d.line}</div>
            ))}
          </span>
          {mayRecord && (
            <button type="button" className="link" onClick={() => void store({ ...w.form, passes: passes.filter((_, n) => n !== i) })}>take off</button>
          )}
        </div>
      ))}
      {w.departures.filter((d) => d.pass < 0).map((d) => (
        <p key={d.line} className="fault small">{d.line}</p>
      ))}
      {mayRecord && <NewPass bench={bench} last={passes.at(-1)} fault={fault} onAdd={(p) => store({ ...w.form, passes: [...passes, { ...p, pass: passes.length + 1 }] })} />}
      {mayRecord && <Whole form={w.form} onStore={store} />}
      {fault !== undefined && <p role="alert" className="fault">{saidBy(fault)}</p>}
      <p className="cautions">Ranges from memory of the filler-metal specification’s annex and handbooks: the procedure and the maker’s box label go first.</p>
    </>
  );
}

function passInWords(p: PassForm): string {
  return [p.kind, p.diameter && `${p.diameter}`, p.electrode, p.amps !== undefined && `${p.amps} A`, p.polarity, p.technique, p.progression].filter(Boolean).join(", ");
}

function NewPass({ bench, last, fault, onAdd }: { bench: Bench; last?: PassForm; fault: unknown; onAdd: (p: PassForm) => Promise<boolean> }) {
  const [typed, setTyped] = useState<Typed>({ ...empty, electrode: last?.electrode ?? empty.electrode, diameter: last?.diameter ?? "", polarity: last?.polarity ?? "", kind: last ? "fill" : "root" });
  const [noNumber, setNoNumber] = useState(false);
  const set = (field: keyof Typed, value: string) => setTyped((t) => ({ ...t, [field]: value }));
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    const kept = Object.fromEntries(Object.entries(typed).filter(([k, v]) => v.trim() !== "" && k !== "amps")) as PassForm;
    const amps = Number(typed.amps.replace(/ *A$/i, ""));
    setNoNumber(!isFinite(amps));
    if (!isFinite(amps)) return;
    if (typed.amps.trim() !== "") kept.amps = amps;
    if (await onAdd(kept)) setTyped((t) => ({ ...t, amps: "", kind: "fill" }));
  };
  const problems = problemsByField(fault);
  const choice = (field: keyof Typed, label: string, options: string[]) => (
    <div className="field">
      <label htmlFor={`pass-${field}`}>{label}</label>
      <select id={`pass-${field}`} className="text" value={typed[field]} onChange={(e) => set(field, e.target.value)}>
        {options.map((o) => (
          <option key={o} value={o}>{o === "" ? "–" : o}</option>
        ))}
      </select>
    </div>
  );
  return (
    <form onSubmit={(e) => void submit(e)} className="passform" aria-label="Record a pass">
      {choice("kind", "Pass", ["root", "hot", "fill", "cap"])}
      {choice("electrode", "Rod", rods)}
      {choice("diameter", "Diameter", ["", ...(diameters[bench.joint.units] ?? [])])}
      <div className="field">
        <label htmlFor="pass-amps">Amps</label>
        <input id="pass-amps" className="text" style={{ width: 84 }} value={typed.amps} inputMode="decimal" autoComplete="off" aria-invalid={noNumber || Object.keys(problems).some((f) => f.endsWith("amps"))} onChange={(e) => set("amps", e.target.value)} />
      </div>
      {choice("polarity", "Polarity", ["", "DCEP", "DCEN", "AC"])}
      {choice("technique", "Beads", ["", "stringer", "weave"])}
      {choice("progression", "Vertical", ["", "up", "down"])}
      <button type="submit" className="btn main">Record the pass</button>
      {noNumber && <div role="alert" className="fault">Amps as a number, as the meter shows them: 120</div>}
    </form>
  );
}

/** What holds for the weld as a whole. */
function Whole({ form, onStore }: { form: WeldingForm; onStore: (f: WeldingForm) => Promise<boolean> }) {
  const [hours, setHours] = useState(form.electrodeExposureHours === undefined ? "" : String(form.electrodeExposureHours));
  const choose = (field: "arcLength", v: string) => void onStore({ ...form, [field]: v === "" ? undefined : v });
  return (
    <div className="passform" style={{ borderTop: "1px solid #e4e9eb" }}>
      <div className="field">
        <label htmlFor="arc">Arc was held</label>
        <select id="arc" className="text" value={form.arcLength ?? ""} onChange={(e) => choose("arcLength", e.target.value)}>
          {["", "short", "normal", "long"].map((o) => (
            <option key={o} value={o}>{o === "" ? "–" : o}</option>
          ))}
        </select>
      </div>
      <div className="field">
        <label htmlFor="scale">Mill scale off</label>
        <select id="scale" className="text" value={form.millScaleRemoved === undefined ? "" : String(form.millScaleRemoved)} onChange={(e) => void onStore({ ...form, millScaleRemoved: e.target.value === "" ? undefined : e.target.value === "true" })}>
          <option value="">–</option>
          <option value="true">yes</option>
          <option value="false">no</option>
        </select>
      </div>
      <div className="field">
        <label htmlFor="out">Rods out, hours</label>
        <input id="out" className="text" style={{ width: 84 }} inputMode="decimal" autoComplete="off" aria-invalid={!isFinite(Number(hours))} value={hours} onChange={(e) => setHours(e.target.value)} onBlur={() => isFinite(Number(hours)) && void onStore({ ...form, electrodeExposureHours: hours.trim() === "" ? undefined : Number(hours) })} />
      </div>
    </div>
  );
}
