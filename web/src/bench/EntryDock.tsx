import { Button } from "antd";
import { useRef, useState } from "react";
import { saidBy } from "../lib/api";
import { isPractice } from "../lib/api-bench";
import { newId } from "../lib/id";
import { Clash } from "./Clash";
import { DockField, ReadWith } from "./DockField";
import { DrawPanel } from "./DrawPanel";
import { EntryLine } from "./EntryLine";
import { Gloves } from "./Gloves";
import { KindsBar } from "./KindsBar";
import { contentOf, measures } from "./kinds";
import { PhotoButton } from "./PhotoButton";
import { PracticeGauge } from "./PracticeGauge";
import { Run } from "./Run";
import { UndoRedo } from "./UndoRedo";
import { useDock, type Dock, type DockProps } from "./useDock";

const nobody = () => undefined;

const glovesKey = "mensor.gloves";

/** With gloves on, one question after the other; else the line, the kinds and their form. */
export function EntryDock(props: DockProps) {
  const [gloves, setGloves] = useState(() => window.localStorage.getItem(glovesKey) === "on");
  const put = (on: boolean) => {
    window.localStorage.setItem(glovesKey, on ? "on" : "off");
    setGloves(on);
  };
  const { bench, doing, cursor, editing, drawn, line, onCursor = nobody } = props;
  if (gloves && !editing && !drawn && line === undefined)
    return <Gloves bench={bench} doing={doing} cursor={cursor} onCursor={onCursor} onLeave={() => put(false)} />;
  return <BareHandDock {...props} onGloves={() => put(true)} />;
}

/** Where things are recorded: a line, a kind and what the gauge showed, a stretch drawn. Letters pick a kind, Enter records. */
function BareHandDock(props: DockProps & { onGloves: () => void }) {
  const { bench, doing, editing, drawn, line, later = 0, onLater = nobody, onDrawn = nobody, onDone } = props;
  const form = useRef<HTMLFormElement>(null);
  const dock = useDock(form, props);
  const { spec, typed, run, setSaid, setFault } = dock;
  const readWith = spec && measures(spec) && (
    <ReadWith bench={bench} known={dock.gauges} value={typed.gauge ?? ""} onChange={(v) => dock.update({ gauge: v })} />
  );
  const undo = (
    <>
      <UndoRedo doing={doing} onSaid={setSaid} onFault={setFault} />
      <Button title="Large targets, one question at a time" onClick={props.onGloves}>
        Gloves
      </Button>
    </>
  );
  const station = dock.isStation && !editing;
  return (
    <section className="card column dock" aria-label="Record">
      {drawn && !editing ? (
        <DrawPanel
          key={drawn.lane}
          bench={bench}
          doing={doing}
          drawn={drawn}
          onDrawn={onDrawn}
          onSaid={setSaid}
          onForm={dock.pick}
        />
      ) : (
        !editing &&
        !spec && (
          <EntryLine
            bench={bench}
            doing={doing}
            focused={dock.toLine}
            start={line}
            onMarks={props.onMarks ?? nobody}
            side={undo}
          />
        )
      )}
      {!editing && !drawn && !(spec && run) && (
        <KindsBar dock={dock} bench={bench} doing={doing} later={later} onLater={onLater} readWith={readWith} />
      )}
      {spec && (!drawn || editing) && (
        <form ref={form} onSubmit={dock.submit} noValidate onKeyDown={dock.onPressed}>
          {spec.fields.map((f, i) => (
            <DockField
              key={f.name}
              spec={f}
              bench={bench}
              value={typed[f.name] ?? ""}
              problem={dock.problems[f.name]}
              first={i === 0}
              onChange={(v) => dock.update({ [f.name]: v })}
            />
          ))}
          {(editing ?? run) && readWith}
          <Button type="primary" htmlType="submit">
            {editing?.version !== undefined ? "Store the change" : "Record"}
          </Button>
          {editing && <PhotoButton doing={doing} {...dock.photoOf} onSaid={setSaid} onFault={setFault} />}
          {editing && (
            <Button onClick={onDone}>{editing.version === undefined ? "Leave it" : "Leave as it was"}</Button>
          )}
          {station && (
            <Run
              run={run}
              spec={spec}
              units={bench.joint.units}
              onRun={dock.setRun}
              practice={dock.practice || isPractice(bench.id)}
              onPractice={dock.setPractice}
            />
          )}
          {run && !editing && undo}
        </form>
      )}
      {dock.practice && station && (
        <PracticeGauge bench={bench} at={typed.at ?? ""} onClose={() => dock.setPractice(false)} />
      )}
      {dock.theirs && spec && (
        <Clash
          bench={bench}
          mine={{ kind: spec.entry, content: contentOf(spec, typed) }}
          theirs={dock.theirs}
          onTheirs={onDone}
          onMine={() => void dock.putDown(dock.theirs?.version)}
          onBoth={() => void dock.putDown(undefined, newId())}
        />
      )}
      <DockSaid dock={dock} />
    </section>
  );
}

/** What came of the last thing recorded, what is wrong with this one, or what may be done. */
function DockSaid({ dock: { spec, late, others, fault, problems, said } }: { dock: Dock }) {
  const first = Object.values(problems)[0];
  return (
    <div className="said" role="status">
      {late && spec && measures(spec) && <span className="fault">✕ {late}</span>}
      {others ? (
        <span className="fault">{saidBy(fault)}</span>
      ) : first !== undefined ? (
        <span className="fault">{first}</span>
      ) : (
        said ||
        (spec && (
          <span className="quiet">
            Lengths as the gauge shows them: 1/32, 1 1/8, .03, 2.4mm. Enter records; Esc, then a letter, changes what is
            recorded.
          </span>
        ))
      )}
    </div>
  );
}
