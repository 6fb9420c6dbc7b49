import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { api, saidBy, type Bench, type Causes, type Finding } from "../lib/api";
import { useActor } from "../lib/session";
import { VerdictShape } from "../lib/VerdictMark";
import { ink } from "../theme";
import { ContractPanel } from "./ContractPanel";
import { inWords } from "./kinds";
import { useChange } from "./useBench";

const order: Record<string, number> = { reject: 0, incomplete: 1, accept: 2, "not-applicable": 3 };

/** What the book says, criterion by criterion: what rejects first. Each opens to its arithmetic, clause and causes. */
export function BookPanel({ bench, open, onOpen }: { bench: Bench; open?: string; onOpen: (finding: string | undefined) => void }) {
  const findings = [...bench.evaluation.findings].sort((a, b) => (order[a.verdict] ?? 9) - (order[b.verdict] ?? 9));
  const j = bench.joint;
  return (
    <>
      <div className="small quiet" style={{ padding: "4px 0" }}>
        <Link to={`/books/${j.criteria}`}>{j.criteriaTitle}</Link>, {j.edition}
      </div>
      <ContractPanel bench={bench} />
      {findings.map((f) => (
        <FindingRow key={f.id} finding={f} bench={bench} open={open === f.id} onToggle={() => onOpen(open === f.id ? undefined : f.id)} />
      ))}
      {bench.evaluation.notes.map((n) => (
        <p key={n} className="cautions" style={{ marginTop: 6 }}>{n}</p>
      ))}
    </>
  );
}

function FindingRow({ finding: f, bench, open, onToggle }: { finding: Finding; bench: Bench; open: boolean; onToggle: () => void }) {
  return (
    <div className="finding" data-criterion={f.id} data-verdict={f.verdict}>
      <button type="button" aria-expanded={open} onClick={onToggle}>
        <VerdictShape verdict={f.verdict} size={26} />
        <span>
          <span className={`name v-${f.verdict}`}>
            {f.title}
            {f.verdict === "reject" ? ": rejects" : ""}
          </span>
          {f.nearLimit && <span className="hint small"> · near the limit, read again with a finer gauge</span>}
          {f.finer && <span className="hint small"> · {f.finer} could tell</span>}
          <span className="why" style={{ display: "block" }}>{f.reason}</span>
        </span>
        <span className="allowed">
          {f.verdict !== "not-applicable" && f.allowed}
          <Share finding={f} />
        </span>
      </button>
      {open && (
        <div className="opened">
          {f.measured && (
            <div>
              Measured <b>{f.measured}</b> · allowed <b>{f.allowed}</b>
              {f.margin && (
                <>
                  {" "}
                  · margin <b>{f.margin}</b>
                </>
              )}
              {f.span && (
                <>
                  {" "}
                  · at <b>{f.span}</b>
                </>
              )}
            </div>
          )}
          {f.trace.length > 0 && (
            <ol aria-label="Arithmetic">
              {f.trace.map((t, i) => (
                <li key={i}>{t}</li>
              ))}
            </ol>
          )}
          <div className="small quiet">
            {f.citation} · from memory, {f.confidence} confidence{f.confidence !== "high" ? ": check against your copy" : ""}
          </div>
          {f.verdict === "reject" && <CausesOf finding={f} bench={bench} />}
        </div>
      )}
    </div>
  );
}

/** How much of the allowed is used up: past the line it fails. */
function Share({ finding: f }: { finding: Finding }) {
  if (f.share === undefined || f.share === null || !isFinite(f.share)) return null;
  const most = 1.25;
  const width = Math.min(1, Math.max(0.02, f.share / most));
  const colour = f.verdict === "reject" ? ink.reject : f.verdict === "accept" ? ink.accept : ink.open;
  return (
    <span className="bar" style={{ display: "block" }} aria-hidden="true">
      <i style={{ width: `${width * 100}%`, background: colour }} />
      <b style={{ left: `${(1 / most) * 100}%` }} />
    </span>
  );
}

function CausesOf({ finding, bench }: { finding: Finding; bench: Bench }) {
  const causes = useQuery({ queryKey: ["causes", bench.id, bench.version, madeState(bench)], queryFn: () => api.causes(bench.id) });
  if (!causes.data) return <p className="quiet">Tracing the causes …</p>;
  const mine = causes.data.defects.filter((d) => finding.entries.includes(entryOf(d, bench) ?? ""));
  return (
    <section aria-label="Likely causes">
      <h3 style={{ fontSize: 16 }}>Likely causes</h3>
      {mine.length === 0 && <p className="quiet small">Nothing recorded to trace: the fit-up or the drawing decides here.</p>}
      {groupByRanking(mine).map((g) => (
        <Defect key={g.key} defects={g.defects} bench={bench} />
      ))}
    </section>
  );
}

/** Changes whenever something of the making does, so that the causes are traced anew. */
function madeState(bench: Bench): string {
  const m = bench.making;
  return [m.version, ...m.entries.map((e) => `${e.version}${e.withdrawn ? "-" : ""}`)].join(" ");
}

/** The look that would settle most; the answer goes into the welding record and moves the ranking at once. */
function NextCheck({ next, bench }: { next: NonNullable<DefectCauses["next"]>; bench: Bench }) {
  const actor = useActor();
  const change = useChange(bench.id);
  const { whole, version } = bench.making;
  const answer = (seen: boolean) => {
    const list = seen ? "signs" : "signsAbsent";
    const form = { ...whole, [list]: [...(whole[list] ?? []), next.sign] };
    void change.mutateAsync(() => api.welding(bench.id, version, form)).catch(() => undefined);
  };
  return (
    <div className="small">
      <b>Next check:</b> {next.ask}; {next.settles}
      {actor.role !== "VIEWER" && (
        <span style={{ display: "inline-flex", gap: 6, marginLeft: 8 }}>
          <button type="button" className="none" disabled={change.isPending} onClick={() => answer(true)}>seen</button>
          <button type="button" className="none" disabled={change.isPending} onClick={() => answer(false)}>not seen</button>
        </span>
      )}
      {change.isError && <div role="alert" className="fault">{saidBy(change.error)}</div>}
    </div>
  );
}

type DefectCauses = Causes["defects"][number];

/** Defects with one and the same ranking are shown once. */
function groupByRanking(defects: DefectCauses[]) {
  const groups = new Map<string, DefectCauses[]>();
  for (const d of defects) {
    const key = JSON.stringify([d.causes.map((c) => [c.class, c.standing]), d.kind]);
    groups.set(key, [...(groups.get(key) ?? []), d]);
  }
  return [...groups].map(([key, list]) => ({ key, defects: list }));
}

function entryOf(d: DefectCauses, bench: Bench): string | undefined {
  const standing = bench.entries.filter((e) => !e.withdrawn);
  if (d.indication !== undefined) return standing.filter((e) => e.kind === "INDICATION")[d.indication]?.id;
  if (d.reading !== undefined) return standing.filter((e) => e.kind === "READING")[d.reading]?.id;
  return undefined;
}

function Defect({ defects, bench }: { defects: DefectCauses[]; bench: Bench }) {
  const [all, setAll] = useState(false);
  const d = defects[0];
  if (!d) return null;
  const names = defects.map((x) => bench.entries.find((e) => e.id === entryOf(x, bench))).filter((e) => e !== undefined);
  const shown = all ? d.causes : d.causes.slice(0, 3);
  return (
    <div style={{ display: "grid", gap: 6, margin: "4px 0 10px" }}>
      <div className="small">
        <b>{names.map((e) => inWords(e, bench)).join(" · ")}</b>
      </div>
      {shown.map((c, i) => (
        <div className="cause" key={c.class} data-cause={c.class}>
          <div className="head">
            <span>
              {i + 1}. {c.name}
            </span>
            <span className={i === 0 ? "v-reject" : "quiet"}>{c.standing}</span>
          </div>
          <ul>
            {c.for.map((l) => (
              <li key={l} data-sign="+">{l}</li>
            ))}
            {c.against.map((l) => (
              <li key={l} data-sign="−">{l}</li>
            ))}
          </ul>
          <div>
            <b>Check:</b> {c.check}
          </div>
          {i === 0 && (
            <div>
              <b>Change one thing:</b> {c.change}
            </div>
          )}
        </div>
      ))}
      {d.causes.length > 3 && (
        <button type="button" className="link" style={{ justifySelf: "start" }} onClick={() => setAll(!all)}>
          {all ? "Only the first three" : `${d.causes.length - 3} less likely causes`}
        </button>
      )}
      {d.ruledOut.map((r) => (
        <div key={r.class} className="small quiet">
          Ruled out: {r.class.replace("-", " ")}, {r.why}
        </div>
      ))}
      {d.next && <NextCheck next={d.next} bench={bench} />}
      {d.doubt.map((l) => (
        <p key={l} className="cautions">{l}</p>
      ))}
    </div>
  );
}
