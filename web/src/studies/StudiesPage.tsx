import { Button } from "antd";
import { useQuery } from "@tanstack/react-query";
import { useNavigate, useParams } from "react-router";
import { api, saidBy } from "../lib/api";
import type { StudyRow } from "../lib/api-study";
import { DataTable, type Column } from "../lib/DataTable";
import { dayOf } from "../lib/local-time";
import { holds } from "../lib/roles";
import { useActor } from "../lib/session";
import { TopBar } from "../lib/TopBar";
import { NewAgreement } from "./NewAgreement";
import { NewGaugeStudy } from "./NewGaugeStudy";
import { SignedWrongly } from "./SignedWrongly";
import { StudyCard } from "./StudyCard";

const columns: Column<StudyRow>[] = [
  {
    key: "title",
    title: "Study",
    value: (s) => s.title,
    render: (s) => (
      <>
        <Button type="link" className="named">
          {s.title}
        </Button>
        <div className="small quiet">
          {s.kind}, {dayOf(s.at)}
          {s.withdrawn && ", taken off"}
        </div>
        {!s.withdrawn && <div className="small">{s.said}</div>}
      </>
    ),
  },
  { key: "kind", title: "Of", width: 110, value: (s) => s.kind, filter: true, extra: true },
  { key: "at", title: "Recorded", width: 150, value: (s) => s.at, render: (s) => dayOf(s.at), extra: true },
];

/** How far gauges and eyes can be trusted: the studies of the shop. */
export default function StudiesPage() {
  const { id } = useParams();
  const go = useNavigate();
  const actor = useActor();
  const studies = useQuery({ queryKey: ["studies"], queryFn: api.studies });
  const records = holds(actor, "INSPECTOR", "INSTRUCTOR", "QUALITY_MANAGER");
  return (
    <div className="app">
      <TopBar rooms />
      <main className="halves">
        <section className="card panel" aria-label="Studies">
          <header>
            <h2>Studies</h2>
            <span className="small quiet">new:</span>
            {holds(actor, "INSTRUCTOR", "QUALITY_MANAGER") && (
              <Button type="link" onClick={() => void go("/studies/agreement")}>
                agreement
              </Button>
            )}
            {records && (
              <Button type="link" onClick={() => void go("/studies/new")}>
                gauge study
              </Button>
            )}
          </header>
          <div className="body">
            {holds(actor, "QUALITY_MANAGER") && (
              <Button type="link" className="start" onClick={() => void go("/studies/risks")}>
                What is signed wrongly, criterion by criterion?
              </Button>
            )}
            {studies.isError && (
              <p role="alert" className="fault">
                {saidBy(studies.error)}
              </p>
            )}
            <DataTable<StudyRow>
              name="studies"
              label="Studies"
              rows={studies.data ?? []}
              loading={studies.isPending}
              rowKey={(s) => s.id}
              chosen={id}
              onOpen={(s) => void go(`/studies/${s.id}`)}
              columns={columns}
              empty="No study yet. A gauge study says how much of what is read is the gauge and the hand: two people read the same parts twice."
            />
          </div>
        </section>
        {id === undefined && (
          <section className="card side">
            <p className="quiet">Choose a study to see what it comes to.</p>
          </section>
        )}
        {id === "new" && (
          <NewGaugeStudy onStored={(s) => void go(`/studies/${s}`)} onLeave={() => void go("/studies")} />
        )}
        {id === "agreement" && (
          <NewAgreement onStored={(s) => void go(`/studies/${s}`)} onLeave={() => void go("/studies")} />
        )}
        {id === "risks" && <SignedWrongly onLeave={() => void go("/studies")} />}
        {id !== undefined && !["new", "agreement", "risks"].includes(id) && <StudyCard key={id} id={id} />}
      </main>
    </div>
  );
}
