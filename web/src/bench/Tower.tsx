import { holds } from "../lib/roles";
import { Button } from "antd";
import { useState, type ReactNode } from "react";
import { useNavigate } from "react-router";
import { useActor } from "../lib/session";
import { isPractice } from "../lib/api-bench";
import { api, saidBy, type Bench } from "../lib/api";
import { VerdictMark } from "../lib/VerdictMark";
import { AmendDialog, HandOverDialog, seenInWords, SignDialog, FullLengthDialog, CoverDialog } from "./dialogs";
import { GaugeFaults } from "./GaugeFaults";
import { Ready } from "./Ready";
import { useBusy, useWaiting, type Doing } from "./useBench";
import { newId } from "../lib/id";
import { minuteOf } from "../lib/local-time";
import { signLook } from "./sign-look";
import { tied } from "../lib/tied";

/** The verdict to be read at arm's length, what is still to be inspected, and what to do next; a practice weld has another end. */
export function Tower({ bench, doing, end }: { bench: Bench; doing: Doing; end?: ReactNode }) {
  const actor = useActor();
  const navigate = useNavigate();
  const busy = useBusy(bench.id);
  const { waiting } = useWaiting(bench.id);
  const [dialog, setDialog] = useState<"full-length" | "sign" | "hand" | "amend" | "cover">();
  const [fault, setFault] = useState<unknown>();
  const practice = isPractice(bench.id);
  const inspects = practice ? bench.holder === actor.name : holds(actor, "INSPECTOR");
  const open = bench.state === "OPEN";
  const e = bench.evaluation;
  const clearable = e.todo.filter((t) => t.clearable);
  const rest = e.todo.filter((t) => !t.clearable && t.id !== "readiness");
  const waits = waiting
    .flatMap((w) => (w.step.do === "put" ? [w.step.entry] : w.step.do === "putAll" ? w.step.entries : []))
    .flatMap((x) => (x.kind === "CLEAR" ? [x.content.criterion] : []));
  const noneSeen = async (criterion: string, title: string) => {
    setFault(undefined);
    try {
      await doing.act(
        { do: "put", entry: { id: newId(), kind: "CLEAR", content: { criterion } } },
        `${title}: inspected, none seen`,
      );
    } catch (x) {
      setFault(x);
    }
  };
  const verify = async () => {
    setFault(undefined);
    try {
      await navigate(`/inspections/${(await api.verify(bench.joint.id)).inspectionId}`);
    } catch (x) {
      setFault(x);
    }
  };
  return (
    <aside className="card tower">
      <div className={`column said ${bench.signature?.elsewhere ? "elsewhere" : e.verdict}`} aria-live="polite">
        <div data-testid="verdict">
          <VerdictMark verdict={e.verdict} size={46} />
        </div>
        <div className="strong">
          {e.rejects === 1 ? "1 criterion rejects" : e.rejects > 1 && `${e.rejects} criteria reject`}
          {e.rejects > 0 && e.todo.length > 0 && " · "}
          {e.todo.length > 0 && `${e.todo.length} to do`}
          {e.rejects === 0 && e.todo.length === 0 && "all inspected"}
        </div>
        {bench.signature ? (
          <div className="small">
            Signed {bench.signature.verdict} by {bench.signature.name} ({bench.signature.capacity}),{" "}
            {minuteOf(bench.signature.at)}
            {bench.signature.elsewhere && (
              <div className="strong hint">
                △ This record was {bench.signature.elsewhere}. It is no accept of this shop.
              </div>
            )}
            <div className="quiet breaks">SHA-256 {bench.signature.sha256.slice(0, 16)}…</div>
          </div>
        ) : null}
        <div>
          Next: <b>{bench.next}</b>
        </div>
        {bench.signStop && <div className="small hint">△ {bench.signStop}.</div>}
        {bench.due.length > 0 && <div className="small hint">Not released: {bench.due.join(", ")}</div>}
        {bench.capacity === "verification" && (
          <div className="small">Verification (verification), a record of its own</div>
        )}
      </div>
      <div className="todo">
        <GaugeFaults bench={bench} />
        {open ? (
          <>
            {bench.welding.fitUp.stops && <p className="small fault">✕ The fit-up stopped this joint</p>}
            {!bench.welding.fitUp.stops &&
              bench.welding.fitUp.raised.map((r) => (
                <p key={r} className="small marked hint">
                  {r}
                </p>
              ))}
            {bench.again && (
              <p className="small marked">
                <b>Re-inspection, {bench.stage}</b>: repaired {bench.again.repaired}; inspect{" "}
                <b>{bench.again.inspectAlong}</b>, both toes, the reverse face, every ground and clamp place. Answers{" "}
                {bench.again.defects.join(", ")}. Outside it the inspection before stands.
              </p>
            )}
            {!practice && <Ready bench={bench} doing={doing} disabled={!inspects} />}
            {clearable.length > 0 && <h3>Still to inspect</h3>}
            {clearable.map((t) => (
              <div className="item" key={t.id}>
                <span>
                  <b>{t.title}</b>
                  <div className="small quiet">{tied(t.ask)}</div>
                </span>
                <Button
                  className="none"
                  data-none={t.id}
                  disabled={!inspects || busy || waits.includes(t.id)}
                  aria-label={`${t.title}: inspected, none seen`}
                  onClick={() => void noneSeen(t.id, t.title)}
                >
                  {waits.includes(t.id) ? (
                    "waits"
                  ) : (
                    <>
                      none
                      <br />
                      seen
                    </>
                  )}
                </Button>
              </div>
            ))}
            {inspects && !practice && clearable.length > 0 && (
              <Button type="link" className="start" onClick={() => setDialog("cover")}>
                Cannot be seen …
              </Button>
            )}
            {rest.length > 0 && <h3>Still to measure</h3>}
            {rest.map((t) => (
              <div className="item" key={t.id + t.ask}>
                <span>
                  <b>{t.title}</b>
                  <div className="small quiet">{tied(t.ask)}</div>
                </span>
              </div>
            ))}
          </>
        ) : (
          !practice && <Signed bench={bench} />
        )}
        {bench.handovers.map((h) => (
          <p key={h.at} className="small quiet">
            {h.from} handed over to {h.to}
            {h.inspected && `, inspected at ${h.inspected}`}
            {h.note && `: “${h.note}”`}
          </p>
        ))}
        {bench.handovers.length > 0 &&
          bench.seenBy.map((s) => (
            <p key={s.name} className="small quiet">
              {seenInWords(s)}
            </p>
          ))}
        {bench.reason && (
          <p className="small">
            Revision {bench.revision}: {bench.reason}
          </p>
        )}
        {fault !== undefined && (
          <p role="alert" className="fault small">
            {saidBy(fault)}
          </p>
        )}
      </div>
      <div className="column acts">
        {open && inspects && clearable.length > 1 && (
          <Button onClick={() => setDialog("full-length")}>Full length inspected: none seen …</Button>
        )}
        {end}
        {open &&
          !practice &&
          inspects &&
          (e.verdict === "incomplete" ? (
            <Button onClick={() => setDialog("hand")}>Hand over …</Button>
          ) : (
            <Button {...signLook(e.verdict)} onClick={() => setDialog("sign")}>
              Sign {e.verdict} …
            </Button>
          ))}
        {!open && !practice && inspects && bench.revisions[0]?.id === bench.id && (
          <Button onClick={() => setDialog("amend")}>Amend …</Button>
        )}
        {inspects &&
          !open &&
          !practice &&
          bench.capacity === "QC" &&
          !bench.revisions.some((r) => r.capacity === "verification") && (
            <Button onClick={() => void verify()}>Verification inspection …</Button>
          )}
        {!inspects && open && (
          <p className="cautions">An inspector inspects and signs; you see the inspection as it stands.</p>
        )}
        {!open && !practice && (
          <Button href={`/api/inspections/${bench.id}/record`} download={`${bench.joint.mark}-record.json`}>
            Signed record (file)
          </Button>
        )}
        {!open && !practice && (
          <Button href={`/api/joints/${bench.joint.id}/report`} target="_blank" rel="noreferrer">
            Report (PDF)
          </Button>
        )}
      </div>
      {dialog === "full-length" && (
        <FullLengthDialog bench={bench} doing={doing} onClose={() => setDialog(undefined)} />
      )}
      {dialog === "cover" && <CoverDialog bench={bench} doing={doing} onClose={() => setDialog(undefined)} />}
      {dialog === "sign" && <SignDialog bench={bench} onClose={() => setDialog(undefined)} />}
      {dialog === "hand" && <HandOverDialog bench={bench} onClose={() => setDialog(undefined)} />}
      {dialog === "amend" && (
        <AmendDialog
          bench={bench}
          onClose={() => setDialog(undefined)}
          onAmended={(id) => void navigate(`/inspections/${id}`)}
        />
      )}
    </aside>
  );
}

function Signed({ bench }: { bench: Bench }) {
  const navigate = useNavigate();
  return (
    <>
      <h3>The record is frozen</h3>
      <p className="small">A change is a new revision that names this one.</p>
      {bench.revisions.length > 1 && (
        <>
          <h3>Inspections and revisions</h3>
          {bench.revisions.map((r) => (
            <Button
              type="link"
              key={r.id}
              className="start"
              disabled={r.id === bench.id}
              onClick={() => void navigate(`/inspections/${r.id}`)}
            >
              {r.capacity === "verification" ? "Verification, " : ""}
              {r.stage === "final" ? "" : `re-inspection after ${r.stage}, `}revision {r.revision},{" "}
              {r.state === "SIGNED" ? `signed ${r.verdict}` : "open"}
            </Button>
          ))}
        </>
      )}
      <p className="cautions">
        Do not paint before acceptance. Acceptance by eye is not release while MT, PT, UT or RT is still due.
      </p>
    </>
  );
}
