import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, saidBy, type Bench, type Repair } from "../lib/api";
import { inWords } from "./kinds";

type Place = Repair["places"][number];

/** How each rejected place would be repaired: where, how deep, in which order, with what; estimates that a depth makes whole. */
export function RepairPlan({ bench }: { bench: Bench }) {
  const [depths, setDepths] = useState<Record<string, string>>({});
  const repair = useQuery({ queryKey: ["repair", bench.id, bench.version, depths], queryFn: () => api.repair(bench.id, depths), placeholderData: keepPreviousData, retry: false });
  // where a depth is refused, the plan before it stands
  const [last, setLast] = useState<Repair>();
  if (repair.data && repair.data !== last) setLast(repair.data);
  const plan = repair.data ?? last;
  if (!plan) return repair.isError ? <p role="alert" className="fault">{saidBy(repair.error)}</p> : null;
  const least = [...new Set(plan.places.map((p) => p.least).filter((l) => l !== undefined))];
  return (
    <section aria-label="Repair plan" className="repairplan">
      <h3>The repair, place by place</h3>
      {least.map((l) => (
        <p key={l} className="least"><b>Least repair:</b> {l}. Correcting all of it is never wrong.</p>
      ))}
      {repair.isError && <p role="alert" className="fault">{saidBy(repair.error)}</p>}
      {plan.places.map((p) => (
        <OnePlace key={p.entry} place={p} bench={bench} depth={depths[p.entry] ?? ""} onDepth={(d) => setDepths(Object.fromEntries(Object.entries({ ...depths, [p.entry]: d }).filter(([, v]) => v !== "")))} />
      ))}
    </section>
  );
}

function OnePlace({ place: p, bench, depth, onDepth }: { place: Place; bench: Bench; depth: string; onDepth: (d: string) => void }) {
  const [typed, setTyped] = useState(depth);
  const entry = bench.entries.find((e) => e.id === p.entry);
  return (
    <div className="cause" data-place={p.criterion}>
      <div className="head">
        <span>{entry ? inWords(entry, bench) : p.criterion}</span>
        <span>{p.disposition}</span>
      </div>
      {p.extent && <div className="extent">{p.extent} <span className="small quiet">from the {bench.joint.form.datum ?? "datum"}</span></div>}
      {p.holds.map((h) => (
        <div key={h} className="hint">⚠ Hold: {h}</div>
      ))}
      <ol>
        {p.steps.map((s) => <li key={s}>{s}</li>)}
      </ol>
      {(p.asksDepth || depth !== "") && (
        <form className="row" onSubmit={(e) => { e.preventDefault(); onDepth(typed.trim()); }}>
          <label htmlFor={`depth-${p.entry}`}>Depth found</label>
          <input id={`depth-${p.entry}`} className="text" style={{ width: 90 }} placeholder={bench.joint.units === "mm" ? "6" : "1/4"} value={typed} onChange={(e) => setTyped(e.target.value)} />
          <button type="submit" className="btn">Reckon</button>
        </form>
      )}
      {p.numbers && (
        <div className="small">
          About <b>{p.numbers.rods} {p.numbers.rods === 1 ? "rod" : "rods"}</b> of {p.numbers.diameter} {p.numbers.rod}, {p.numbers.beads} {p.numbers.beads === 1 ? "bead" : "beads"}, {p.numbers.grams.toFixed(0)} g ({p.numbers.pounds.toFixed(2)} lb), {Math.ceil(p.numbers.arcMinutes)} min of arc; the cavity {size(p.numbers.depthMm, bench)} deep, {size(p.numbers.widthMm, bench)} wide. Estimates, the volume an upper one.
        </div>
      )}
    </div>
  );
}

const size = (mm: number, bench: Bench) => (bench.joint.units === "mm" ? `${mm.toFixed(1)} mm` : `${(mm / 25.4).toFixed(2)} in`);
