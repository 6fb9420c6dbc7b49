import "./welding-record.css";
import { holds } from "../lib/roles";
import { Segmented } from "antd";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { saidBy } from "../lib/api";
import { useActor } from "../lib/session";
import { TopBar } from "../lib/TopBar";
import { FirstRod } from "./FirstRod";
import { FitUpPanel } from "./FitUpPanel";
import { Squareness } from "./Squareness";
import { WeldingStrip } from "./WeldingStrip";
import { PassesPanel } from "./PassesPanel";
import { ProcessPanel } from "./ProcessPanel";
import { useWeldingRecord } from "./useWeldingRecord";

/** Before the last inspection: the fit-up, the passes and what was seen as they went in. */
export default function WeldingRecordPage() {
  const { id = "" } = useParams();
  const actor = useActor();
  const welding = useWeldingRecord(id);
  const [tab, setTab] = useState<"passes" | "first" | "square">("passes");
  const m = welding.data;
  if (!m)
    return (
      <div className="app">
        <TopBar />
        <p className="page">{welding.isError ? saidBy(welding.error) : "Opening …"}</p>
      </div>
    );
  const mayRecord = !holds(actor, "VIEWER");
  const passes = m.entries.filter((e) => e.kind === "PASS" && !e.withdrawn).length;
  const departs = m.squareness.lines.some((l) => l.state === "departs");
  return (
    <div className="app">
      <TopBar>
        <span className="mark">
          {m.mark}
          {m.weldNo && <span> weld {m.weldNo}</span>}
        </span>
        <span className="what">
          {[m.inWords, m.position, m.welder && `welder ${m.welder}`, m.procedure?.name ?? "no procedure"]
            .filter(Boolean)
            .join(" · ")}
        </span>
        <Link className="small way" to={`/joints/${id}/plan`}>
          pass plan
        </Link>
        <Link className="small way" to={`/joints/${id}/stop-or-go`}>
          stop or go on
        </Link>
        {m.inspectionId && (
          <Link className="small way" to={`/inspections/${m.inspectionId}`}>
            to the bench
          </Link>
        )}
      </TopBar>
      <main className="halves thirds">
        <section className="card strip" aria-label="Fit-up and passes along the weld">
          <WeldingStrip drawing={m.drawing} units={m.units} />
        </section>
        <FitUpPanel welding={m} mayRecord={mayRecord} />
        <section className="card panel" aria-label="Passes">
          <header>
            <Segmented
              aria-label="Passes, first-rod card, squareness"
              value={tab}
              onChange={setTab}
              options={[
                { value: "passes", label: `Passes (${passes})` },
                { value: "first", label: m.firstRod.stops ? "✕ First-rod card" : "First-rod card" },
                { value: "square", label: departs ? "✕ Squareness" : "Squareness" },
              ]}
            />
            {m.procedure && (
              <Link className="way" to={`/procedures/${m.procedure.id}`}>
                {m.procedure.name}
              </Link>
            )}
          </header>
          <div className="body">
            {tab === "first" && <FirstRod welding={m} mayRecord={mayRecord} />}
            {tab === "passes" && <PassesPanel welding={m} mayRecord={mayRecord} />}
            {tab === "square" && <Squareness welding={m} mayRecord={mayRecord} />}
          </div>
        </section>
        <ProcessPanel welding={m} mayRecord={mayRecord} />
      </main>
    </div>
  );
}
