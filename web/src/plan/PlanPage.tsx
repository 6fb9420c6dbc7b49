import { Button, Descriptions, Flex, Input } from "antd";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { useWeldingRecord } from "../welding-record/useWeldingRecord";
import { api, problemsByField, saidBy, type Plan } from "../lib/api";
import { timeAt, type Dial } from "../lib/clock";
import { placeOf, showPlace } from "../lib/place";
import { TopBar } from "../lib/TopBar";
import { StackView } from "./StackView";
import { SmallTable } from "../lib/SmallTable";
import { SchoolLines } from "../welding-record/SchoolLines";
import { tied } from "../lib/tied";

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
      <main className="halves even">
        {plan.isError && !p && (
          <p role="alert" className="fault page">
            {saidBy(plan.error)}
          </p>
        )}
        {p && m && (
          <>
            <Flex vertical gap={12} className="halved">
              <section className="card panel" aria-label="The stack of beads">
                <header>
                  <h2>
                    {p.plan.beads.length} {p.plan.beads.length === 1 ? "bead" : "beads"}: {p.plan.what}
                  </h2>
                </header>
                <div className={`body ${p.recorded.length > 0 ? "fills even halves" : "fills"}`}>
                  <StackView
                    plan={p.plan}
                    beads={p.plan.beads}
                    label={p.recorded.length > 0 ? "As planned" : ""}
                    fillet={m.fillet}
                    units={m.units}
                  />
                  {p.recorded.length > 0 && (
                    <StackView plan={p.plan} beads={p.recorded} label="As recorded" fillet={m.fillet} units={m.units} />
                  )}
                </div>
              </section>
              <section className="card panel" aria-label="Order and constants">
                <header>
                  <h2>Beads in order</h2>
                </header>
                <div className="body">
                  <Beads plan={p} units={m.units} dial={m.drawing} />
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
            </Flex>
            <section className="card panel" aria-label="What it takes">
              <header>
                <h2>What it takes</h2>
                <span className="small quiet">rods from {p.rodsFrom}</span>
              </header>
              <div className="body" role="region" aria-label="Rods, machine, heat, notes" tabIndex={0}>
                <Takes plan={p} units={m.units} recorded={m.entries.some((e) => e.kind === "PASS" && !e.withdrawn)} />
                <h3>Schools</h3>
                <SchoolLines schools={m.schools} topics={["cover", "cap", "open-root", "beads"]} />
                {m.openRoot.map((line) => (
                  <p key={line} className="small">
                    {line}
                  </p>
                ))}
                {p.plan.notes.map((n) => (
                  <p key={n} className="cautions">
                    {n}
                  </p>
                ))}
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
      <Descriptions
        size="small"
        items={[
          { label: "Area to fill", children: area(d.areaMm2, units) },
          { label: "Weld metal", children: units === "in" ? `${d.pounds.toFixed(2)} lb` : `${d.grams.toFixed(0)} g` },
          {
            label: "Arc time",
            children: `${d.arcMinutes < 10 ? d.arcMinutes.toFixed(1) : Math.round(d.arcMinutes)} min`,
          },
        ]}
      />
      <SmallTable
        label="Rods"
        rows={d.rods}
        rowKey={(r) => r.electrode + r.diameter}
        columns={[
          [
            "Rod",
            (r) => (
              <b>
                {r.diameter} {r.electrode}
              </b>
            ),
          ],
          ["How many", (r) => r.count],
          [
            "Lays",
            (r) => (
              <>
                {r.gramsPerRod.toFixed(1)} g a rod
                {r.scaled && <span className="quiet"> (scaled from another size)</span>}
              </>
            ),
          ],
        ]}
      />
      {d.stretches.length > 1 && (
        <SmallTable
          label="Along the weld"
          rows={d.stretches}
          rowKey={(x) => x.where}
          columns={[
            ["Where", (x) => <b>{x.where}</b>],
            ["Asks", (x) => x.asks],
            ["Area", (x) => area(x.areaMm2, units)],
            ["Beads", (x) => x.beads],
          ]}
        />
      )}
      {d.steps.length > 0 && (
        <>
          <h3>Between the beads</h3>
          <ul>
            {d.steps.map((s) => (
              <li key={s}>{tied(s)}</li>
            ))}
          </ul>
        </>
      )}
      {d.settings.length > 0 && (
        <>
          <h3>At the machine</h3>
          <SmallTable
            label="Set the machine"
            rows={d.settings}
            rowKey={(s) => s.kind + s.rod}
            columns={[
              ["Pass", (s) => <b>{s.kind}</b>],
              ["Rod", (s) => s.rod],
              ["Amps", (s) => s.amps],
              ["From", (s) => s.source],
            ]}
          />
        </>
      )}
      <h3>Heat input</h3>
      {d.heat.length === 0 && (
        <p className="quiet small">No heat input: neither a WPS nor a recorded pass gives the amps.</p>
      )}
      {d.heat.length > 0 && (
        <SmallTable
          label="Heat input"
          rows={d.heat}
          rowKey={(_, i) => i}
          columns={[
            [
              "Bead",
              (h) => (
                <>
                  <b>{h.bead}</b> {h.kind}
                </>
              ),
            ],
            [
              "From",
              (h) => (
                <>
                  {h.amps} A, {h.volts} V, {speed(h.speedMmPerMin, units)}
                  {!h.speedGiven && <span className="quiet"> (from the rod’s run)</span>}
                </>
              ),
            ],
            ["kJ/in", (h) => h.kJPerInch.toFixed(1)],
            [
              "kJ/mm",
              (h) => (
                <>
                  {h.kJPerMm.toFixed(2)} <span className="quiet">(EN {h.enKJPerMm.toFixed(2)})</span>
                </>
              ),
            ],
          ]}
        />
      )}
      <h3>Planned and recorded</h3>
      {!recorded && (
        <p className="quiet small">No pass is recorded yet; when one is, it stands here beside the plan.</p>
      )}
      {recorded && (
        <SmallTable
          label="Planned and recorded"
          rows={p.comparison}
          rowKey={(c) => c.what}
          columns={[
            ["", (c) => c.what],
            ["Planned", (c) => c.planned],
            [
              "Recorded",
              (c) => (
                <span className={c.apart ? "fault" : ""}>
                  {c.apart ? "✕ " : ""}
                  {c.recorded}
                </span>
              ),
            ],
          ]}
        />
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

function Beads({ plan: p, units, dial }: { plan: Plan; units: string; dial: Dial }) {
  return (
    <SmallTable
      label="Beads in order"
      rows={p.plan.beads}
      rowKey={(b) => b.pass}
      columns={[
        ["No.", (b) => <b>{b.pass}</b>],
        ["Bead", (b) => b.kind],
        ["Rod", (b) => tied(b.rod)],
        [
          `Wide × thick, ${units}`,
          (b) => (
            <>
              {showPlace(b.widthMm, units, 16)} × {showPlace(b.heightMm, units, 16)}
            </>
          ),
        ],
        [
          `Covers, shelf, ${units}`,
          (b) =>
            b.cover === undefined ? "–" : `${Math.round(100 * b.cover)} %, ${showPlace(b.shelfMm ?? 0, units, 16)}`,
        ],
        [`Run a rod, ${units}`, (b) => (b.runLengthMm === undefined ? "–" : showPlace(b.runLengthMm, units))],
        [
          dial.clock.length > 0 ? "Stops by the clock" : "Stops from datum",
          (b) => b.stops.map((s) => byClock(s, units, dial)).join(", ") || "–",
        ],
      ]}
    />
  );
}

/** A stop as the clock has it; as it stands where there is no clock, or it cannot be read. */
function byClock(stop: string, units: string, dial: Dial): string {
  const at = placeOf(stop, units);
  return (at === undefined ? undefined : timeAt(at, dial)) ?? stop;
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
    <div>
      {p.constants.map((c) => (
        <label key={`${c.name} ${c.value}`} className="item">
          <span>
            {c.title}
            {c.changed && <b className="hint"> changed</b>}
            {problems[`constants.${c.name}`] && <span className="fault small"> ✕</span>}
          </span>
          <span className="row">
            <Input
              className="num-box"
              aria-label={c.title}
              defaultValue={c.value}
              onBlur={(e) =>
                e.target.value.trim() !== "" && e.target.value !== c.value && onChange(c.name, e.target.value)
              }
              onKeyDown={(e) => e.key === "Enter" && e.currentTarget.blur()}
            />
            <span className="quiet small">{c.unit}</span>
          </span>
        </label>
      ))}
      <Button onClick={onUsual}>Back to the usual ones</Button>
      <p className="cautions">
        Estimates, from common practice and handbooks; the welding engineer and the procedure decide.
      </p>
    </div>
  );
}
