import "./causes.css";
import { holds } from "../lib/roles";
import { Button, Input } from "antd";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { api, problemsByField, saidBy, type Note } from "../lib/api";
import { useActor } from "../lib/session";
import { RubricPoints } from "../lib/RubricPoints";
import { TopBar } from "../lib/TopBar";
import { VerdictShape } from "../lib/VerdictMark";
import { SmallTable } from "../lib/SmallTable";
import { tied } from "../lib/tied";

const verdictWords: Record<string, string> = { accept: "Accept", reject: "Reject", incomplete: "Not finished" };

/** One page for the welder: what was seen, where, likely why, the one thing to change, what was good. */
export default function NotePage() {
  const { id = "" } = useParams();
  const note = useQuery({ queryKey: ["note", id], queryFn: () => api.note(id) });
  const n = note.data;
  const actor = useActor();
  const queries = useQueryClient();
  return (
    <div className="app">
      <TopBar>
        <span className="mark">{n?.mark ?? "Note"}</span>
        <span className="what">note for the welder</span>
        <Link className="small way" to={`/inspections/${id}`}>
          to the bench
        </Link>
      </TopBar>
      <main className="halves wide-left">
        {note.isError && (
          <p role="alert" className="fault">
            {saidBy(note.error)}
          </p>
        )}
        {n && (
          <>
            <article className="card note" role="region" aria-label="Note for the welder" tabIndex={0}>
              <Sheet n={n} />
            </article>
            <aside className="card panel noprint" aria-label="Rating">
              <header>
                <h2>Rate the test piece</h2>
              </header>
              <div className="body">
                <Button className="spaced" block type="primary" onClick={() => window.print()}>
                  Print the note
                </Button>
                {!holds(actor, "VIEWER") && (
                  <Rate
                    key={n.ratings.find((r) => r.own)?.at ?? "new"}
                    n={n}
                    onRated={(rated) => queries.setQueryData(["note", id], rated)}
                  />
                )}
              </div>
            </aside>
          </>
        )}
      </main>
    </div>
  );
}

function Sheet({ n }: { n: Note }) {
  return (
    <>
      <header>
        <h1>
          {n.mark}
          {n.welder ? `, welder ${n.welder}` : ""}
        </h1>
        <p>{[n.inWords, n.position, n.wps, n.job].filter(Boolean).join(" · ")}</p>
        <p className="row strong">
          <VerdictShape verdict={n.verdict} size={28} /> {verdictWords[n.verdict]}
          {n.signed ? ", signed" : ", not signed yet"}
        </p>
      </header>
      <h2>What was seen</h2>
      {n.seen.length === 0 ? (
        <p>Nothing that rejects.</p>
      ) : (
        <SmallTable
          label="What was seen"
          rows={n.seen}
          rowKey={(x) => x.what}
          columns={[
            [
              "What",
              (x) => (
                <>
                  <b>{x.what}</b>
                  {x.why && <div className="small">likely: {x.why}</div>}
                </>
              ),
            ],
            ["Found", (x) => tied(x.found)],
            ["Allowed", (x) => tied(x.allowed)],
            [`Where${n.datum ? `, from the ${n.datum}` : ""}`, (x) => x.where ?? "along the weld"],
          ]}
        />
      )}
      {n.change && (
        <section className="framed onething">
          <h2>Change one thing</h2>
          <p className="big">{tied(n.change.change)}</p>
          <p>
            Because: {n.change.cause} ({n.change.standing}).
          </p>
          {n.change.evidence.length > 0 && (
            <ul>
              {n.change.evidence.map((e) => (
                <li key={e}>{e}</li>
              ))}
            </ul>
          )}
          <p>So that it does not come again: {n.change.prevent}.</p>
        </section>
      )}
      {n.doubts.map((d) => (
        <p key={d.why}>
          <b>Fusion is in doubt:</b> {d.why}. {d.test}.
        </p>
      ))}
      <h2>What was good</h2>
      {n.good.length === 0 ? (
        <p>Not everything is inspected yet.</p>
      ) : (
        <ul>
          {n.good.map((g) => (
            <li key={g}>{g}</li>
          ))}
        </ul>
      )}
      {n.ratings.length > 0 && (
        <section className="rated" aria-label="How well it is made">
          <h2>How well it is made: {n.ratings.map((r) => r.sum).join(" and ")} of 10</h2>
          <p className="small">A rating for learning. It is not pass or fail: the code’s verdict stands above.</p>
          {n.ratings.map((r) => (
            <div key={r.by}>
              <p>
                <b>
                  {r.by}: {r.sum}
                </b>{" "}
                {r.points.map((x) => `${x.title} ${x.points}/${x.most}`).join(" · ")}
              </p>
              {r.reasons.map((why) => (
                <p key={why}>{why}</p>
              ))}
            </div>
          ))}
        </section>
      )}
      <p className="cautions">
        The likely why is a ranking from common practice with its evidence, not proof and not a measured probability.
        Stay within the procedure; outside it the welding engineer decides.
      </p>
    </>
  );
}

function Rate({ n, onRated }: { n: Note; onRated: (note: Note) => void }) {
  const own = n.ratings.find((r) => r.own);
  const [points, setPoints] = useState<Record<string, number>>(
    Object.fromEntries(own?.points.map((p) => [p.id, p.points]) ?? []),
  );
  const [first, setFirst] = useState(own?.reasons[0] ?? "");
  const [second, setSecond] = useState(own?.reasons[1] ?? "");
  const rate = useMutation({
    mutationFn: () => api.rateTestPiece(n.inspectionId, { points, firstReason: first, secondReason: second }),
    onSuccess: onRated,
  });
  const problems = problemsByField(rate.error);
  const sum = Object.values(points).reduce((a, b) => a + b, 0);
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        rate.mutate();
      }}
    >
      <p className="small quiet">
        For a coupon, or to teach: your own rating, beside those of others. Apart from pass and fail.
      </p>
      <RubricPoints parts={n.rubric} points={points} problems={problems} onPoints={setPoints} />
      <label htmlFor="first">Why, in two lines</label>
      <Input
        status={problems.firstReason !== undefined ? "error" : undefined}
        id="first"
        value={first}
        placeholder="what earned the points"
        aria-invalid={problems.firstReason !== undefined}
        onChange={(e) => setFirst(e.target.value)}
      />
      {problems.firstReason && <div className="fault">{problems.firstReason}</div>}
      <Input
        status={problems.secondReason !== undefined ? "error" : undefined}
        aria-label="Second line"
        value={second}
        placeholder="what cost points"
        aria-invalid={problems.secondReason !== undefined}
        onChange={(e) => setSecond(e.target.value)}
      />
      {problems.secondReason && <div className="fault">{problems.secondReason}</div>}
      <Button className="spaced" htmlType="submit" disabled={rate.isPending}>
        Store {sum} of 10
      </Button>
      {rate.isError && Object.keys(problems).length === 0 && (
        <p role="alert" className="fault">
          {saidBy(rate.error)}
        </p>
      )}
    </form>
  );
}
