import { holds } from "../lib/roles";
import { Button, Checkbox, Flex, Input, Steps } from "antd";
import { useState, type ReactNode } from "react";
import { Link } from "react-router";
import { dayOf } from "../lib/local-time";
import { api, saidBy, type Defect, type RepairNumbers } from "../lib/api";
import { useActor } from "../lib/session";
import { Holds } from "./Holds";
import { NextStep } from "./NextStep";
import { useDefectChange } from "./useDefect";
import { tied } from "../lib/tied";

type Props = {
  defect: Defect;
  units: string;
  datum: string;
  whole?: boolean;
  depth?: string;
  onDepth?: (depth: string) => void;
};

/** One rejected place: its number, where it stands, what was decided, what waits, what to do and what was done. */
export function DefectCard({ defect: d, units, datum, whole = false, depth = "", onDepth }: Props) {
  const actor = useActor();
  const decidesDisposition = holds(actor, "REPAIR_LEAD", "WELDING_ENGINEER");
  return (
    <section className="card side column defect" aria-label={`${d.number}: ${d.words}`} data-state={d.state}>
      <Flex wrap gap="4px 12px" align="baseline">
        <span className="nc">
          {whole || holds(actor, "VIEWER") ? d.number : <Link to={`/defects/${d.id}`}>{d.number}</Link>}
        </span>
        <span className="grow">
          <b>{d.words}</b>
          <span className="small quiet"> from the {datum}</span>
        </span>
        <span className="nowrap">
          {d.cycle > 1 && `repair ${d.cycle} of this place · `}
          <b>{d.stateTitle}</b>
        </span>
      </Flex>
      {d.route.length > 1 && (
        <div role="group" aria-label="States of the repair" className="route">
          <Steps
            size="small"
            titlePlacement="vertical"
            responsive={false}
            current={d.route.findIndex((s) => s.id === d.state)}
            items={d.route.map((s) => ({ title: s.title, status: s.reached ? "finish" : "wait" }))}
          />
        </div>
      )}
      {d.closedWhy && <p className="v-accept strong">✓ Closed: {d.closedWhy}</p>}
      <Notification defect={d} />
      {!d.closedWhy && <Decision defect={d} may={decidesDisposition} />}
      <Holds defect={d} />
      {d.plan && (whole || d.disposition !== undefined) && (
        <Plan defect={d} units={units} depth={depth} onDepth={onDepth} whole={whole} />
      )}
      {whole && <Recorded defect={d} may={decidesDisposition} />}
      {d.next &&
        (whole ? (
          <NextStep key={`${d.next.state} ${d.cycle}`} defect={d} units={units} />
        ) : (
          !holds(actor, "VIEWER") && (
            <p className="small">
              Next: <Link to={`/defects/${d.id}`}>{d.next.title.toLowerCase()}, on the ticket</Link>
            </p>
          )
        ))}
    </section>
  );
}

function Notification({ defect: d }: { defect: Defect }) {
  const actor = useActor();
  const change = useDefectChange(d.id);
  const [whom, setWhom] = useState("");
  const [asking, setAsking] = useState(false);
  const raised = `Rejected ${dayOf(d.raisedAt)} by ${d.raisedBy}.`;
  if (d.notified)
    return (
      <p className="small quiet">
        {raised} Notified {dayOf(d.notifiedAt ?? d.raisedAt)}: {d.notified} ({d.notifiedBy}).
      </p>
    );
  if (holds(actor, "VIEWER") || d.closedWhy) return <p className="small quiet">{raised}</p>;
  return (
    <div className="small">
      {raised}{" "}
      {asking ? (
        <form
          className="row"
          onSubmit={(e) => {
            e.preventDefault();
            change.mutate(() => api.notify(d.id, { notified: whom, version: d.version }));
          }}
        >
          <label htmlFor={`told-${d.id}`}>Who was told</label>
          <Input
            className="box wide-box"
            id={`told-${d.id}`}
            placeholder="name, and how"
            value={whom}
            onChange={(e) => setWhom(e.target.value)}
          />
          <Button htmlType="submit">Note it</Button>
        </form>
      ) : (
        <Button type="link" onClick={() => setAsking(true)}>
          note who was told
        </Button>
      )}
      <Fault of={change.error} />
    </div>
  );
}

function Decision({ defect: d, may }: { defect: Defect; may: boolean }) {
  const change = useDefectChange(d.id);
  const [changing, setChanging] = useState(d.disposition === undefined);
  const [decision, setDecision] = useState(d.disposition ?? d.proposed);
  const [note, setNote] = useState(d.note ?? "");
  const [cuts, setCuts] = useState(d.cutsApart);
  const store = () =>
    change.mutate(
      () => api.decide(d.id, { decision, ...(note ? { note } : {}), cutsApart: cuts, version: d.version }),
      { onSuccess: () => setChanging(false) },
    );
  if (d.disposition && !changing)
    return (
      <div>
        <b>{d.dispositionTitle}</b>
        {d.note && `: ${d.note}`}
        {d.cutsApart && " · a member is cut apart"}
        <span className="quiet small"> · {d.decidedBy}</span>
        {may && d.state === "open" && (
          <>
            {" "}
            <Button type="link" onClick={() => setChanging(true)}>
              decide anew
            </Button>
          </>
        )}
      </div>
    );
  if (!may)
    return (
      <div className="quiet">
        {d.disposition ? d.dispositionTitle : "Not decided yet."} Proposed: {d.proposedTitle.toLowerCase()}.
      </div>
    );
  const removes = decision === "replace" || decision === "remove-and-reweld";
  return (
    <>
      <div className="small">
        Proposed: <b>{d.proposedTitle.toLowerCase()}</b>: {d.why}. Welding over a defect is not offered: it would bury
        it.
      </div>
      <Flex wrap gap={6} role="group" aria-label="Disposition">
        {d.choices.map((c) => (
          <Button
            type={decision === c.id ? "primary" : "default"}
            key={c.id}
            aria-pressed={decision === c.id}
            onClick={() => setDecision(c.id)}
          >
            {c.title}
          </Button>
        ))}
      </Flex>
      {removes && (
        <Checkbox checked={cuts} onChange={(e) => setCuts(e.target.checked)}>
          a member is cut apart: the Engineer is notified first
        </Checkbox>
      )}
      <Flex gap={8}>
        <Input
          aria-label="Note"
          placeholder="Note for the one who does it"
          value={note}
          onChange={(e) => setNote(e.target.value)}
        />
        <Button type="primary" disabled={change.isPending} onClick={store}>
          Decide
        </Button>
      </Flex>
      <Fault of={change.error} />
    </>
  );
}

function Plan({
  defect: d,
  units,
  depth,
  onDepth,
  whole,
}: {
  defect: Defect;
  units: string;
  depth: string;
  onDepth?: (d: string) => void;
  whole: boolean;
}) {
  const [typed, setTyped] = useState(depth);
  const p = d.plan;
  if (!p) return null;
  const works = d.disposition !== "refer" && d.disposition !== "accept-as-is";
  return (
    <div>
      {works && p.extent && (
        <div className="nc">
          {p.extent} <span className="small quiet">is worked on{p.preheat && `; preheat at least ${p.preheat}`}</span>
        </div>
      )}
      {whole && p.least && (
        <p className="marked">
          <b>Least repair:</b> {tied(p.least)}. Correcting all of it is never wrong.
        </p>
      )}
      <ol>
        {p.steps.map((s) => (
          <li key={s}>{tied(s)}</li>
        ))}
      </ol>
      {onDepth && (p.asksDepth || depth !== "") && (
        <form
          className="row"
          onSubmit={(e) => {
            e.preventDefault();
            onDepth(typed.trim());
          }}
        >
          <label htmlFor={`depth-${d.id}`}>Depth found</label>
          <Input
            className="num-box"
            id={`depth-${d.id}`}
            placeholder={units === "mm" ? "6" : "1/4"}
            value={typed}
            onChange={(e) => setTyped(e.target.value)}
          />
          <Button htmlType="submit">Reckon</Button>
        </form>
      )}
      {p.numbers && (
        <div className={whole ? undefined : "small"}>
          <Metal numbers={p.numbers} />; the cavity {size(p.numbers.depthMm, units)} deep,{" "}
          {size(p.numbers.widthMm, units)} wide. Estimates, the volume an upper one.
        </div>
      )}
    </div>
  );
}

/** What the repair takes; no rod is named where none is recorded. */
function Metal({ numbers: n }: { numbers: RepairNumbers }) {
  const metal = `${n.grams.toFixed(0)} g (${n.pounds.toFixed(2)} lb)`;
  const r = n.rods;
  if (!r) return <>About {metal} of weld metal, the rod as the procedure has it</>;
  return (
    <>
      About{" "}
      <b>
        {r.count} {r.count === 1 ? "rod" : "rods"}
      </b>{" "}
      of {r.diameter} {r.electrode}, {r.beads} {r.beads === 1 ? "bead" : "beads"}, {metal}, {Math.ceil(r.arcMinutes)}{" "}
      min of arc, {r.workHours < 1 ? `${Math.ceil(r.workHours * 60)} min` : `${r.workHours.toFixed(1)} h`} of work
    </>
  );
}

function Recorded({ defect: d, may }: { defect: Defect; may: boolean }) {
  const change = useDefectChange(d.id);
  const [why, setWhy] = useState<string>();
  const standing = d.steps.filter((s) => s.withdrawnWhy === undefined && s.cycle === d.cycle);
  if (d.steps.length === 0) return null;
  return (
    <div>
      <h3>What was done</h3>
      <ol>
        {d.steps.map((s, i) => (
          <li key={i} className={s.withdrawnWhy ? "off" : undefined}>
            {d.cycle > 1 && <span className="quiet">repair {s.cycle} · </span>}
            <b>{s.title}</b>: {s.said.join(", ")}
            <span className="small quiet">
              {" "}
              · {s.by}, {dayOf(s.at)}
            </span>
            {s.warnings.map((w) => (
              <div key={w} className="hint">
                ⚠ {w}
              </div>
            ))}
            {s.withdrawnWhy && <div className="small">taken back by {s.withdrawnWhy}</div>}
          </li>
        ))}
      </ol>
      {may &&
        !d.closedWhy &&
        standing.length > 0 &&
        (why === undefined ? (
          <Button type="link" onClick={() => setWhy("")}>
            take the last step back
          </Button>
        ) : (
          <form
            className="row"
            onSubmit={(e) => {
              e.preventDefault();
              change.mutate(() => api.stepBack(d.id, { why, version: d.version }), {
                onSuccess: () => setWhy(undefined),
              });
            }}
          >
            <label htmlFor="back">What was wrong with it</label>
            <Input className="box wide-box" id="back" value={why} onChange={(e) => setWhy(e.target.value)} />
            <Button htmlType="submit">Take back</Button>
          </form>
        ))}
      <Fault of={change.error} />
    </div>
  );
}

export function Fault({ of }: { of: unknown }): ReactNode {
  return of ? (
    <div role="alert" className="fault">
      {saidBy(of)}
    </div>
  ) : null;
}

const size = (mm: number, units: string) => (units === "mm" ? `${mm.toFixed(1)} mm` : `${(mm / 25.4).toFixed(2)} in`);
