import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Alert, Button, Steps } from "antd";
import { Link, useNavigate, useParams, useSearchParams } from "react-router";
import { Specimens, type SpecimenHand } from "../causes/Specimens";
import { api, saidBy, type Drill, type Piece, type PieceForm } from "../lib/api";
import { newId } from "../lib/id";
import { useActor } from "../lib/session";
import { holds, isLearnerOnly } from "../lib/roles";
import { TopBar } from "../lib/TopBar";
import { VerdictMark } from "../lib/VerdictMark";
import { Came } from "./Came";
import { Pictures } from "./Pictures";
import { DrillWords } from "./DrillWords";
import { PieceCard } from "./PieceCard";
import { RatePiece } from "./RatePiece";
import { copyOf, stages } from "./words";

/** A test piece: how it was made on the left, what came of it on the right. */
export default function PiecePage() {
  const { id = "new" } = useParams();
  const [query] = useSearchParams();
  const actor = useActor();
  const from = query.get("from") ?? undefined;
  const piece = useQuery({
    queryKey: ["piece", id],
    queryFn: () => api.piece(id),
    enabled: id !== "new",
  });
  const before = useQuery({
    queryKey: ["piece", from],
    queryFn: () => api.piece(from ?? ""),
    enabled: id === "new" && from !== undefined,
  });
  const drillId = query.get("drill") ?? undefined;
  const drills = useQuery({
    queryKey: ["drills"],
    queryFn: api.drills,
    enabled: id === "new" && drillId !== undefined,
  });
  const drill = drills.data?.find((d) => d.id === drillId);
  const waits =
    id === "new" ? (from !== undefined && !before.data) || (drillId !== undefined && !drills.data) : !piece.data;
  if (waits) {
    const fault: unknown = piece.error ?? before.error ?? drills.error;
    return (
      <div className="app">
        <TopBar />
        <p className="page">{fault ? saidBy(fault) : "Opening …"}</p>
      </div>
    );
  }
  const change = query.get("setting");
  const start: PieceForm = piece.data
    ? piece.data.form
    : before.data
      ? copyOf(
          before.data.form,
          before.data.id,
          change ? { setting: change, to: query.get("to") ?? undefined } : undefined,
        )
      : {
          kind: drill?.kind ?? query.get("kind") ?? "bead",
          purpose: "practice",
          units: "in",
          welder: query.get("welder") ?? (isLearnerOnly(actor) ? actor.login : undefined),
          drill: drillId,
        };
  return (
    <Opened key={`${id} ${from ?? ""} ${piece.data?.version ?? ""}`} piece={piece.data} start={start} drill={drill} />
  );
}

function Opened({ piece, start, drill }: { piece?: Piece; start: PieceForm; drill?: Drill }) {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const came = (p: Piece) => {
    queries.setQueryData(["piece", p.id], p);
    void queries.invalidateQueries({ queryKey: ["series"] });
    void queries.invalidateQueries({ queryKey: ["pieces"] });
  };
  const change = useMutation({ mutationFn: (act: () => Promise<Piece>) => act(), onSuccess: came });
  const store = async (form: PieceForm) => {
    const id = piece?.id ?? newId();
    const stored = await api.putPiece(id, form, piece?.version);
    came(stored);
    if (!piece) void navigate(`/test-pieces/${id}`, { replace: true });
  };
  return (
    <div className="app">
      <TopBar>
        <span className="mark">{piece ? piece.form.number : "New test piece"}</span>
        {piece && (
          <>
            <span className="what">
              {[piece.kindTitle, piece.welderName, piece.drill?.title].filter(Boolean).join(" · ")}
            </span>
            <Link className="small way" to={`/series/${encodeURIComponent(piece.form.welder ?? "")}`}>
              series
            </Link>
            <Link className="small way" to={`/test-pieces/new?from=${piece.id}`}>
              next piece like this
            </Link>
            <a className="small way" href={`/api/pieces/${piece.id}/report`} target="_blank" rel="noreferrer">
              on paper
            </a>
            <a className="small way" href={`/api/pieces/${piece.id}/report?as=json`} download>
              as a file
            </a>
          </>
        )}
      </TopBar>
      <main className="halves even scrolls">
        <PieceCard key={piece?.version ?? "new"} piece={piece} start={start} onStore={store} />
        {piece ? (
          <Outcome piece={piece} change={change} />
        ) : (
          <section className="card side">
            {drill && <DrillWords drill={drill} />}
            <p className="quiet">
              Kind and welder are enough to begin. Store it, then add pictures, a score, what was seen, and what was
              broken. Practice may stop anywhere.
            </p>
          </section>
        )}
      </main>
    </div>
  );
}

type Change = {
  mutate: (act: () => Promise<Piece>, o?: { onSuccess?: () => void }) => void;
  error: unknown;
  isPending: boolean;
};

function Outcome({ piece: p, change }: { piece: Piece; change: Change }) {
  const actor = useActor();
  const hand: SpecimenHand = {
    put: (s, form, done) => change.mutate(() => api.pieceSpecimen(p.id, s, form), { onSuccess: done }),
    off: (s) => change.mutate(() => api.pieceSpecimenOff(p.id, s)),
    on: (s) => change.mutate(() => api.pieceSpecimenOn(p.id, s)),
    error: change.error,
    busy: change.isPending,
  };
  const records = holds(actor, "INSPECTOR", "WELDING_ENGINEER", "QUALITY_MANAGER", "INSTRUCTOR", "LEARNER");
  return (
    <section className="card panel" aria-label="What came of it">
      <header>
        <h2>What came of it</h2>
        {p.verdict && <Came verdict={p.verdict} byAims={p.byAims} />}
      </header>
      <div className="body">
        {p.withdrawn && (
          <Alert
            type="warning"
            showIcon
            title="Taken off: it is in no series."
            action={<Button onClick={() => change.mutate(() => api.pieceOn(p.id))}>put back</Button>}
          />
        )}
        <Steps
          size="small"
          titlePlacement="vertical"
          current={stages.indexOf(p.stage)}
          items={stages.map((title) => ({ title }))}
          className="spaced"
        />
        {p.lesson && (
          <Alert type="error" showIcon title="It looks good and broke badly: the eye alone would have passed it." />
        )}
        {p.why.length > 0 && (
          <ul>
            {p.why.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        )}
        {p.likely.length > 0 && (
          <section aria-label="Likely why">
            <h3>What to change for it</h3>
            <ul>
              {p.likely.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
            <p className="cautions">Common practice, no source; one change at a time.</p>
          </section>
        )}
        {p.retest && (
          <p className="hint">
            {p.retest} <span className="small quiet">(from memory: check against your copy)</span>
          </p>
        )}
        <Pictures piece={p} mayChange={records} change={change} />
        <RatePiece key={p.ratings.length} piece={p} mayRate={records} change={change} />
        {p.jointId ? (
          <AtTheBench piece={p} />
        ) : (
          <>
            {p.joins && holds(actor, "INSPECTOR", "WELDING_ENGINEER", "QUALITY_MANAGER") && (
              <p>
                <Button disabled={change.isPending} onClick={() => change.mutate(() => api.pieceToBench(p.id))}>
                  Set it up at the bench
                </Button>{" "}
                <span className="small quiet">
                  to be judged by the code for a welder’s test, cut by a plan, and qualify
                </span>
              </p>
            )}
            <Specimens hand={hand} tests={p.tests} mayRecord={records} usual="fillet-break" />
          </>
        )}
        {change.error !== null && (
          <p role="alert" className="fault">
            {saidBy(change.error)}
          </p>
        )}
        {records && !p.withdrawn && (
          <Button type="link" onClick={() => change.mutate(() => api.pieceOff(p.id))}>
            take this piece off
          </Button>
        )}
      </div>
    </section>
  );
}

function AtTheBench({ piece: p }: { piece: Piece }) {
  return (
    <section aria-label="At the bench">
      <h3>At the bench</h3>
      <div className="item">
        <span>By eye</span>
        {p.visual ? <VerdictMark verdict={p.visual} size={20} /> : <span className="quiet">not signed yet</span>}
      </div>
      <p className="row">
        {p.inspectionId && <Link to={`/inspections/${p.inspectionId}`}>to the bench</Link>}
        <Link to={`/joints/${p.jointId}/welding-record`}>fit-up and passes</Link>
        <Link to={`/joints/${p.jointId}/test-piece`}>cutting plan, specimens, what it qualifies</Link>
      </p>
      {p.tests.map((t) => (
        <div key={t.id} className={`item${t.withdrawn ? " off" : ""}`}>
          <span>
            <b>{t.specimen}:</b> {t.lines.join("; ")}
          </span>
          <VerdictMark verdict={t.verdict} size={20} />
        </div>
      ))}
    </section>
  );
}
