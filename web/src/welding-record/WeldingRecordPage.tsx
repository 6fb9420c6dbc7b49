import "./welding-record.css";
import { holds } from "../lib/roles";
import { Button } from "antd";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { saidBy } from "../lib/api";
import { useActor } from "../lib/session";
import { TopBar } from "../lib/TopBar";
import { FirstRod } from "./FirstRod";
import { FitUpPanel } from "./FitUpPanel";
import { WeldingStrip } from "./WeldingStrip";
import { PassesPanel } from "./PassesPanel";
import { ProcessPanel } from "./ProcessPanel";
import { useWeldingRecord } from "./useWeldingRecord";

/** Before the last inspection: the fit-up, the passes and what was seen as they went in. */
export default function WeldingRecordPage() {
  const { id = "" } = useParams();
  const actor = useActor();
  const welding = useWeldingRecord(id);
  const [tab, setTab] = useState<"passes" | "first">("passes");
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
            <h2>{tab === "first" ? "First-rod card" : `Passes (${passes})`}</h2>
            <Button type="link" onClick={() => setTab(tab === "first" ? "passes" : "first")}>
              {tab === "first" ? `passes (${passes})` : m.firstRod.stops ? "✕ first-rod card" : "first-rod card"}
            </Button>
            {m.procedure && (
              <Link className="way" to={`/procedures/${m.procedure.id}`}>
                {m.procedure.name}
              </Link>
            )}
          </header>
          <div className="body">
            {tab === "first" ? (
              <FirstRod welding={m} mayRecord={mayRecord} />
            ) : (
              <PassesPanel welding={m} mayRecord={mayRecord} />
            )}
          </div>
        </section>
        <ProcessPanel welding={m} mayRecord={mayRecord} />
      </main>
    </div>
  );
}
