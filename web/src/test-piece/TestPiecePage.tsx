import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Alert, Button, Descriptions } from "antd";
import { Link, useNavigate, useParams } from "react-router";
import { Specimens, type SpecimenHand } from "../causes/Specimens";
import { api, saidBy, type TestPiece } from "../lib/api";
import { holds } from "../lib/roles";
import { useActor } from "../lib/session";
import { TopBar } from "../lib/TopBar";
import { VerdictMark } from "../lib/VerdictMark";
import { CuttingPlan } from "./CuttingPlan";

/** A welder's test piece: where it is cut, what its specimens showed, what it comes to and what it qualifies. */
export default function TestPiecePage() {
  const { id = "" } = useParams();
  const actor = useActor();
  const queries = useQueryClient();
  const navigate = useNavigate();
  const piece = useQuery({ queryKey: ["test-piece", id], queryFn: () => api.testPiece(id) });
  const change = useMutation({
    mutationFn: (act: () => Promise<TestPiece>) => act(),
    onSuccess: (p) => queries.setQueryData(["test-piece", id], p),
  });
  const toSeries = useMutation({
    mutationFn: () => api.pieceOfWeld(id),
    onSuccess: (made) => void navigate(`/test-pieces/${made.id}`),
  });
  const p = piece.data;
  if (!p)
    return (
      <div className="app">
        <TopBar />
        <p className="page">{piece.isError ? saidBy(piece.error) : "Opening …"}</p>
      </div>
    );
  const hand: SpecimenHand = {
    put: (s, form, done) => change.mutate(() => api.specimen(id, s, form), { onSuccess: done }),
    off: (s) => change.mutate(() => api.specimenOff(id, s)),
    on: (s) => change.mutate(() => api.specimenOn(id, s)),
    error: change.error,
    busy: change.isPending,
  };
  return (
    <div className="app">
      <TopBar>
        <span className="mark">{p.mark}</span>
        <span className="what">
          {[p.inWords, p.position, p.welder && `welder ${p.welder}`, p.wps].filter(Boolean).join(" · ")}
        </span>
        <Link className="small way" to={`/joints/${id}/welding-record`}>
          how it was welded
        </Link>
        <Link className="small way" to={`/inspections/${p.inspectionId}`}>
          to the bench
        </Link>
      </TopBar>
      <main className="halves even scrolls">
        <section className="card panel" aria-label="Cutting plan">
          <header>
            <h2>Where it is cut</h2>
            <span className="small quiet">{p.thickness} thick</span>
          </header>
          <div className="body">
            {p.problems.map((x) => (
              <Alert key={x} type="warning" showIcon title={x} />
            ))}
            {p.cuts.length > 0 && <CuttingPlan piece={p} />}
            <Bend piece={p} />
            <p className="cautions">{p.citation}</p>
          </div>
        </section>
        <section className="card panel" aria-label="What it comes to">
          <header>
            <h2>What it comes to</h2>
            <VerdictMark verdict={p.decision} />
          </header>
          <div className="body">
            {p.lesson && (
              <Alert type="error" showIcon title="It looks good and broke badly: the eye alone would have passed it." />
            )}
            <div className="item">
              <span>By eye{p.signed ? ", signed" : ", not signed yet"}</span>
              <VerdictMark verdict={p.visual} size={20} />
            </div>
            <ul>
              {p.lines.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
            <Specimens hand={hand} tests={p.tests} mayRecord={!holds(actor, "VIEWER")} usual={next(p)} />
            {holds(actor, "INSPECTOR", "WELDING_ENGINEER", "QUALITY_MANAGER") && p.welder && (
              <p>
                <Button disabled={toSeries.isPending} onClick={() => toSeries.mutate()}>
                  Show it in {p.welder}’s series
                </Button>
                {toSeries.isError && <span className="fault"> {saidBy(toSeries.error)}</span>}
              </p>
            )}
            <Qualifies
              piece={p}
              fault={change.error}
              busy={change.isPending}
              onConfirm={
                holds(actor, "QUALITY_MANAGER", "WELDING_ENGINEER")
                  ? () => change.mutate(() => api.qualify(id))
                  : undefined
              }
            />
          </div>
        </section>
      </main>
    </div>
  );
}

/** The first specimen of the plan that was not tested yet. */
function next(p: TestPiece): string {
  const left = p.cuts.find(
    (c) =>
      p.tests.filter((t) => t.kind === c.kind && !t.withdrawn).length < p.cuts.filter((x) => x.kind === c.kind).length,
  );
  return left?.kind ?? p.cuts[0]?.kind ?? "root-bend";
}

function Bend({ piece: p }: { piece: TestPiece }) {
  if (!p.cuts.some((c) => c.kind.endsWith("bend"))) return null;
  return (
    <Descriptions
      size="small"
      title="Bent in the guide, steel up to 50 ksi"
      items={[
        { label: "Specimen", children: `${p.bend.thickness} thick` },
        { label: "Plunger radius", children: p.bend.radius },
        { label: "Die opening", children: p.bend.opening },
        { label: "Outer fiber stretches", children: `${p.bend.elongation} %` },
      ]}
    />
  );
}

function Qualifies({
  piece: p,
  fault,
  busy,
  onConfirm,
}: {
  piece: TestPiece;
  fault: unknown;
  busy: boolean;
  onConfirm: (() => void) | undefined;
}) {
  const q = p.qualifies;
  return (
    <section aria-label="What it qualifies">
      <h3>What it qualifies</h3>
      {!q && <p className="quiet">Position and rods are not known: say them at set-up and in the passes.</p>}
      {q && (
        <>
          <p>
            {q.groups
              .map((g) => `Rods F1 to F${g.group} ${g.backing ? "with backing" : "with or without backing"}`)
              .join("; ")}{" "}
            · {q.positions.join(", ")} · {q.thickest ? `grooves up to ${q.thickest}` : "any thickness"}
            {q.leastDiameter && ` · pipe from ${q.leastDiameter} outside`}
          </p>
          {q.written && <p className="v-accept">✓ It stands in {p.welder}’s tests.</p>}
          {onConfirm && q.ready && !q.written && (
            <Button type="primary" disabled={busy} onClick={onConfirm}>
              Write it into {p.welder}’s tests
            </Button>
          )}
          {!q.ready && (
            <p className="quiet">
              {p.decision === "reject"
                ? "Failed. By the code (from memory) a re-test is two pieces at once, or one after further training."
                : "Once the piece is accepted and its inspection signed, it may be confirmed."}
            </p>
          )}
          {fault !== null && (
            <p role="alert" className="fault">
              {saidBy(fault)}
            </p>
          )}
          <p className="cautions">{q.citation}</p>
        </>
      )}
    </section>
  );
}
