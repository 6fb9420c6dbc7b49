import "./repair.css";
import { holds } from "../lib/roles";
import { Button } from "antd";
import { useQuery } from "@tanstack/react-query";
import { useMemo, useState } from "react";
import { Link, useParams } from "react-router";
import { api, saidBy, type Ticket } from "../lib/api";
import { newId } from "../lib/id";
import { SectionView } from "../lib/SectionView";
import { useActor } from "../lib/session";
import { RoundStrip } from "../lib/RoundStrip";
import { TopBar } from "../lib/TopBar";
import { DefectCard, Fault } from "./DefectCard";
import { useDefectChange } from "./useDefect";
import { FileButton } from "../lib/FileButton";

/** What the repair lead holds in his hand: where, what to do in order, and what must be recorded. */
export default function TicketPage() {
  const { id = "" } = useParams();
  const ticket = useQuery({ queryKey: ["defect", id], queryFn: () => api.ticket(id), refetchInterval: 10_000 });
  const t = ticket.data;
  return (
    <div className="app">
      <TopBar>
        <span className="mark">{t ? t.defect.number : "Repair ticket"}</span>
        {t && (
          <span className="what">
            {[
              `${t.mark}${t.weldNo ? ` weld ${t.weldNo}` : ""}`,
              t.side && `${t.side} side`,
              t.inWords,
              `${t.job} / ${t.lot}`,
            ]
              .filter(Boolean)
              .join(" · ")}
          </span>
        )}
        {t && (
          <Link className="small way" to={`/inspections/${t.inspection}`}>
            to the bench
          </Link>
        )}
      </TopBar>
      <main className="halves even scrolls ticket">
        {ticket.isError && (
          <p role="alert" className="fault">
            {saidBy(ticket.error)}
          </p>
        )}
        {t && <Whole key={t.defect.id} ticket={t} />}
      </main>
    </div>
  );
}

function Whole({ ticket: t }: { ticket: Ticket }) {
  const [cursor, setCursor] = useState(t.from ?? 0);
  const d = t.defect;
  const worked = useMemo(
    () => (t.from === undefined || t.to === undefined ? undefined : [{ from: t.from, to: t.to }]),
    [t.from, t.to],
  );
  return (
    <>
      <section className="card side where" aria-label="Where">
        <div className="place">
          {d.place ? (
            <>
              <b>
                {d.place}
                {t.units === "in" ? " in" : " mm"}
              </b>{" "}
              from the {t.datum}
              {d.byClock && (
                <>
                  , <b>{d.byClock}</b> o’clock
                </>
              )}
            </>
          ) : (
            <b>the whole weld, {t.length}</b>
          )}
        </div>
        <RoundStrip strip={t.strip} units={t.units} cursor={cursor} onCursor={setCursor} worked={worked} />
        <div className="section">
          <SectionView section={t.section} units={t.units} />
        </div>
        <div className="small quiet">
          {[t.drawing && `drawing ${t.drawing}`, t.wps && `procedure ${t.wps}`, `weld ${t.length} long`]
            .filter(Boolean)
            .join(" · ")}
        </div>
      </section>
      <div>
        <DefectCard defect={d} units={t.units} datum={t.datum} whole />
        <Photos ticket={t} />
        <p className="row spaced">
          <Button href={`/api/defects/${d.id}/ticket.pdf`} target="_blank" rel="noreferrer">
            Ticket on paper (A5)
          </Button>
          <Button href={`/api/defects/${d.id}/ticket.pdf?paper=letter`} target="_blank" rel="noreferrer">
            letter
          </Button>
        </p>
        <p className="cautions">{[...t.protection, ...t.cautions].join(" ")}</p>
      </div>
    </>
  );
}

function Photos({ ticket: t }: { ticket: Ticket }) {
  const actor = useActor();
  const change = useDefectChange(t.defect.id);
  const may = !t.defect.closedWhy && holds(actor, "REPAIR_LEAD", "WELDING_ENGINEER", "INSPECTOR");
  if (!may && t.defect.photos.length === 0) return null;
  return (
    <section aria-label="Pictures" className="row pictures">
      {t.defect.photos.map((p) => (
        <a key={p.id} href={`/api/defects/${t.defect.id}/photos/${p.id}`} target="_blank" rel="noreferrer">
          <img alt={`by ${p.by}`} src={`/api/defects/${t.defect.id}/photos/${p.id}`} />
        </a>
      ))}
      {may && (
        <FileButton
          accept="image/png,image/jpeg"
          onFile={(file) => change.mutate(() => api.repairPhoto(t.defect.id, newId(), file))}
        >
          Add a picture …
        </FileButton>
      )}
      <Fault of={change.error} />
    </section>
  );
}
