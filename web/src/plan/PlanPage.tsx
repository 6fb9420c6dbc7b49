import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { useWeldingRecord } from "../welding-record/useWeldingRecord";
import { api, problemsByField, saidBy, type Plan } from "../lib/api";
import { showPlace } from "../lib/place";
import { TopBar } from "../lib/TopBar";
import { StackView } from "./StackView";

/** How the weld would be built up: the stack of beads, metal, rods, arc time and heat, held against what was recorded. */
export default function PlanPage() {
  const { id = "" } = useParams();
  const [constants, setConstants] = useState<Record<string, string>>({});
  const welding = useWeldingRecord(id);
  const plan = useQuery({
    queryKey: ["plan", id, constants],
    queryFn: () => api.plan(id, constants),
    placeholderData: keepPreviousData,
    retry: false,
  });
  const p = plan.data;
  const m = welding.data;
  const problems = problemsByField(plan.error);
  return (
    <div className="app">
      <TopBar>
        <span className="mark">{m?.mark ?? "Pass plan"}</span>
        <span className="what">{m && `pass plan · ${m.inWords}`}</span>
        <Link className="small way" to={`/joints/${id}/welding-record`}>
          fit-up and passes
        </Link>
        {m?.inspectionId && (
          <Link className="small way" to={`/inspections/${m.inspectionId}`}>
            to the bench
          </Link>
        )}
      </TopBar>
      <main className="plan">
        {plan.isError && !p && (
          <p role="alert" className="fault" style={{ padding: 24 }}>
            {saidBy(plan.error)}
          </p>
        )}
        {p && m && (
          <>
            <section className="card panel" aria-label="The stack of beads">
              <header>
                <h2>
                  {p.plan.beads.length} {p.plan.beads.length === 1 ? "bead" : "beads"}: {p.plan.what}
                </h2>
              </header>
              <div className="body">
                <StackView plan={p.plan} fillet={m.fillet} units={m.units} />
              </div>
            </section>
            <section className="card panel" aria-label="What it takes">
              <header>
                <h2>What it takes</h2>
                <span className="small quiet">rods from {p.rodsFrom}</span>
              </header>
              <div className="body">
                <Takes plan={p} units={m.units} recorded={m.entries.some((e) => e.kind === "PASS" && !e.withdrawn)} />
                {p.plan.notes.map((n) => (
                  <p key={n} className="cautions">
                    {n}
                  </p>
                ))}
              </div>
            </section>
            <section className="card panel" aria-label="Order and constants">
              <header>
                <h2>Beads in order</h2>
              </header>
              <div className="body">
                <Beads plan={p} units={m.units} />
                <h3>Set otherwise</h3>
                {plan.isError && (
                  <p role="alert" className="fault">
                    {saidBy(plan.error)}
                  </p>
                )}
                <Constants
                  plan={p}
                  problems={problems}
                  onChange={(name, value) => setConstants((c) => ({ ...c, [name]: value }))}
                  onUsual={() => setConstants({})}
                />
              </div>
            </section>
          </>
        )}
      </main>
    </div>
  );
}

function Takes({ plan: p, units, recorded }: { plan: Plan; units: string; recorded: boolean }) {
  const d = p.plan;
  return (
    <>
      <dl className="facts">
        <dt>Area to fill</dt>
        <dd>{area(d.areaMm2, units)}</dd>
        <dt>Weld metal</dt>
        <dd>{units === "in" ? `${d.pounds.toFixed(2)} lb` : `${d.grams.toFixed(0)} g`}</dd>
        <dt>Arc time</dt>
        <dd>{d.arcMinutes < 10 ? d.arcMinutes.toFixed(1) : Math.round(d.arcMinutes)} min</dd>
      </dl>
      <table className="plain-table" aria-label="Rods">
        <thead>
          <tr>
            <th>Rod</th>
            <th>How many</th>
            <th>Lays</th>
          </tr>
        </thead>
        <tbody>
          {d.rods.map((r) => (
            <tr key={r.electrode + r.diameter}>
              <td>
                <b>
                  {r.diameter} {r.electrode}
                </b>
              </td>
              <td>{r.count}</td>
              <td>
                {r.gramsPerRod.toFixed(1)} g a rod
                {r.scaled && <span className="quiet"> (scaled from another size)</span>}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {d.stretches.length > 1 && (
        <table className="plain-table" aria-label="Along the weld">
          <thead>
            <tr>
              <th>Where</th>
              <th>Asks</th>
              <th>Area</th>
              <th>Beads</th>
            </tr>
          </thead>
          <tbody>
            {d.stretches.map((s) => (
              <tr key={s.where}>
                <td>
                  <b>{s.where}</b>
                </td>
                <td>{s.asks}</td>
                <td>{area(s.areaMm2, units)}</td>
                <td>{s.beads}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <h3>Heat input</h3>
      {d.heat.length === 0 && <p className="quiet small">Amps and volts are not known: no heat input.</p>}
      {d.heat.length > 0 && (
        <table className="plain-table" aria-label="Heat input">
          <thead>
            <tr>
              <th>Pass</th>
              <th>From</th>
              <th>kJ/in</th>
              <th>kJ/mm</th>
            </tr>
          </thead>
          <tbody>
            {d.heat.map((h, i) => (
              <tr key={i}>
                <td>
                  <b>{h.kind}</b>
                </td>
                <td>
                  {h.amps} A, {h.volts} V, {speed(h.speedMmPerMin, units)}
                  {!h.speedGiven && <span className="quiet"> (from the rod’s run)</span>}
                </td>
                <td>{h.kJPerInch.toFixed(1)}</td>
                <td>
                  {h.kJPerMm.toFixed(2)} <span className="quiet">(EN {h.enKJPerMm.toFixed(2)})</span>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <h3>Planned and recorded</h3>
      {!recorded && (
        <p className="quiet small">No pass is recorded yet; when one is, it stands here beside the plan.</p>
      )}
      {recorded && (
        <table className="plain-table" aria-label="Planned and recorded">
          <thead>
            <tr>
              <th></th>
              <th>Planned</th>
              <th>Recorded</th>
            </tr>
          </thead>
          <tbody>
            {p.comparison.map((c) => (
              <tr key={c.what}>
                <td>{c.what}</td>
                <td>{c.planned}</td>
                <td className={c.apart ? "fault" : ""}>
                  {c.apart ? "✕ " : ""}
                  {c.recorded}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </>
  );
}

/** An area as the drawing's units have it. */
function area(mm2: number, units: string): string {
  return units === "in" ? `${(mm2 / 645.16).toFixed(3)} in²` : `${mm2.toFixed(1)} mm²`;
}

function speed(mmPerMin: number, units: string): string {
  return units === "in" ? `${(mmPerMin / 25.4).toFixed(1)} in/min` : `${mmPerMin.toFixed(0)} mm/min`;
}

function Beads({ plan: p, units }: { plan: Plan; units: string }) {
  return (
    <table className="plain-table" aria-label="Beads in order">
      <thead>
        <tr>
          <th>No.</th>
          <th>Bead</th>
          <th>Rod</th>
          <th>Area</th>
          <th>Run a rod</th>
          <th>Stops from the datum</th>
        </tr>
      </thead>
      <tbody>
        {p.plan.beads.map((b) => (
          <tr key={b.pass}>
            <td>
              <b>{b.pass}</b>
            </td>
            <td>{b.kind}</td>
            <td>{b.rod}</td>
            <td>{area(b.areaMm2, units)}</td>
            <td>
              {showPlace(b.runLengthMm, units)} {units}
            </td>
            <td>{b.stops.join(", ") || "–"}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Constants({
  plan: p,
  problems,
  onChange,
  onUsual,
}: {
  plan: Plan;
  problems: Record<string, string>;
  onChange: (name: string, value: string) => void;
  onUsual: () => void;
}) {
  return (
    <div className="constants">
      {p.constants.map((c) => (
        <label key={`${c.name} ${c.value}`} className="item">
          <span>
            {c.title}
            {c.changed && <b className="hint"> changed</b>}
            {problems[`constants.${c.name}`] && <span className="fault small"> ✕</span>}
          </span>
          <span className="row">
            <input
              className="text"
              aria-label={c.title}
              style={{ width: 86 }}
              defaultValue={c.value}
              onBlur={(e) =>
                e.target.value.trim() !== "" && e.target.value !== c.value && onChange(c.name, e.target.value)
              }
              onKeyDown={(e) => e.key === "Enter" && e.currentTarget.blur()}
            />
            <span className="quiet small" style={{ width: 42 }}>
              {c.unit}
            </span>
          </span>
        </label>
      ))}
      <button type="button" className="btn" onClick={onUsual}>
        Back to the usual ones
      </button>
      <p className="cautions">
        Estimates, from common practice and handbooks; the welding engineer and the procedure decide.
      </p>
    </div>
  );
}
