import { useState } from "react";
import { useActor } from "../lib/session";
import { api, saidBy, type Bench, type Disposition } from "../lib/api";
import { RepairPlan } from "./RepairPlan";
import { useChange } from "./useBench";

/** After a signed reject: the contractor disposes of each rejected finding. */
export function DisposePanel({ bench }: { bench: Bench }) {
  return (
    <>
      <p className="small" style={{ margin: "8px 0 0" }}>
        The contractor chooses the repair. The Engineer acts for the owner: accept as is only by his document. Welding over a defect is not a repair.
      </p>
      {bench.dispositions.map((d) => (
        <One key={d.finding} bench={bench} disposition={d} />
      ))}
      <RepairPlan bench={bench} />
      <p className="cautions">
        Grinding: guard on, disc rated for the speed, shield over glasses, ears, no side load on a thin wheel, then measure what is left. Gouging: fume, noise, hot-work permit, fire watch at least 30 min (60 in newer rules). Hot metal: mark it. Nothing erected or loaded is ground or gouged at a crack before the Engineer has decided on support. Local codes and licensed practice decide.
      </p>
    </>
  );
}

function One({ bench, disposition: d }: { bench: Bench; disposition: Disposition }) {
  const actor = useActor();
  const change = useChange(bench.id);
  const [changing, setChanging] = useState(d.decision === undefined);
  const [decision, setDecision] = useState(d.decision ?? "");
  const [note, setNote] = useState(d.note ?? "");
  const [documentNo, setNo] = useState(d.documentNo ?? "");
  const [documentBy, setBy] = useState(d.documentBy ?? "");
  const [documentDate, setDate] = useState(d.documentDate ?? "");
  const [fault, setFault] = useState<unknown>();
  const disposes = actor.role === "REPAIR_LEAD" || actor.role === "WELDING_ENGINEER";
  const records = actor.role === "WELDING_ENGINEER" || actor.role === "QUALITY_MANAGER";
  const chosen = d.choices.find((c) => c.id === decision);
  const may = (needsDocument: boolean) => (needsDocument ? records : disposes);
  const store = async () => {
    try {
      await change.mutateAsync(() =>
        api.dispose(bench.id, d.finding, {
          decision,
          note: note || undefined,
          documentNo: documentNo || undefined,
          documentBy: documentBy || undefined,
          documentDate: documentDate || undefined,
          version: d.version,
        }),
      );
      setFault(undefined);
      setChanging(false);
    } catch (e) {
      setFault(e);
    }
  };
  return (
    <section className="dispose" aria-label={`Dispose of ${d.title}`}>
      <div>
        <b style={{ fontSize: 18 }}>{d.title}</b> <span className="quiet">{d.reason}</span>
      </div>
      {d.decision && !changing ? (
        <div style={{ display: "flex", gap: 10, alignItems: "center", flexWrap: "wrap" }}>
          <span>
            <b>{d.decisionTitle}</b>
            {d.note && `: ${d.note}`}
            {d.documentNo && ` · document ${d.documentNo}, ${d.documentBy ?? ""}, ${d.documentDate ?? ""}`}
            <span className="quiet small"> · {d.by}</span>
          </span>
          {(disposes || records) && <button type="button" className="link" onClick={() => setChanging(true)}>change</button>}
        </div>
      ) : disposes || records ? (
        <>
          <div className="small">Usual: {d.why}.</div>
          <div className="kinds" role="group" aria-label="Disposition">
            {d.choices.map((c) => (
              <button key={c.id} type="button" className="pick" aria-pressed={decision === c.id} disabled={!may(c.needsDocument)} title={may(c.needsDocument) ? undefined : c.needsDocument ? "recorded by the welding engineer or the quality manager" : "chosen by the repair lead or the welding engineer"} onClick={() => setDecision(c.id)}>
                {c.title}
              </button>
            ))}
          </div>
          {chosen?.needsDocument && (
            <div className="grid">
              <Text id={`no-${d.finding}`} label="Engineer's document no." value={documentNo} onChange={setNo} />
              <Text id={`by-${d.finding}`} label="Engineer's name" value={documentBy} onChange={setBy} />
              <Text id={`date-${d.finding}`} label="Date" type="date" value={documentDate} onChange={setDate} />
            </div>
          )}
          <div style={{ display: "flex", gap: 8 }}>
            <input className="text" aria-label="Note" placeholder="Note for the one who does it" value={note} onChange={(e) => setNote(e.target.value)} />
            <button type="button" className="btn main" disabled={decision === "" || change.isPending} onClick={() => void store()}>Decide</button>
          </div>
        </>
      ) : (
        <div className="quiet">Not decided yet.</div>
      )}
      {fault !== undefined && <div role="alert" className="fault">{saidBy(fault)}</div>}
    </section>
  );
}

function Text({ id, label, value, onChange, type = "text" }: { id: string; label: string; value: string; onChange: (v: string) => void; type?: string }) {
  return (
    <div className="field" style={{ gridColumn: "span 4" }}>
      <label htmlFor={id}>{label}</label>
      <input id={id} className="text" type={type} value={value} onChange={(e) => onChange(e.target.value)} />
    </div>
  );
}
