import "./welding-record.css";
import { useState } from "react";
import { api, saidBy, type WeldingContent, type WeldingEntry, type WeldingRecord } from "../lib/api";
import { Made } from "./FitUpPanel";
import { inText, timeOf } from "./pass-text";
import { PassForm } from "./PassForm";
import { WholeWeld } from "./WholeWeld";
import { useWeldingChange } from "./useWeldingRecord";
import { newId } from "../lib/id";

/** What was actually used, pass by pass, and where it departs; it is what the causes are traced from. */
export function PassesPanel({
  welding,
  mayRecord,
  brief = false,
}: {
  welding: WeldingRecord;
  mayRecord: boolean;
  brief?: boolean;
}) {
  const { act, fault } = useWeldingChange(welding.jointId);
  const [editing, setEditing] = useState<WeldingEntry>();
  const passes = welding.entries.filter((e) => e.kind === "PASS");
  const standing = passes.filter((e) => !e.withdrawn);
  const put = async (content: WeldingContent) => {
    const done = await act(() => api.made(welding.jointId, editing?.id ?? newId(), "PASS", content, editing?.version));
    if (done) setEditing(undefined);
    return done;
  };
  return (
    <>
      {passes.length === 0 && (
        <p className="quiet">No pass is recorded. Without amps and speed no single cause can be named as the one.</p>
      )}
      {passes.map((e) => (
        <Made
          key={e.id}
          entry={e}
          may={mayRecord}
          act={act}
          jointId={welding.jointId}
          onEdit={() => setEditing(e)}
          words={
            <>
              <b>{e.withdrawn ? "" : `${standing.indexOf(e) + 1}. `}</b>
              <PassInWords content={e.content} welding={welding} />
            </>
          }
        >
          {welding.departures
            .filter((d) => d.entry === e.id && (d.fault || !e.content.plannedFields?.length))
            .map((d) => (
              <Departure key={d.line} line={d.line} fault={d.fault} />
            ))}
        </Made>
      ))}
      {welding.departures
        .filter((d) => !d.entry)
        .map((d) => (
          <Departure key={d.line} line={d.line} fault={d.fault} />
        ))}
      {mayRecord && (
        <PassForm
          key={`${editing?.id} ${editing?.version} ${standing.length}`}
          welding={welding}
          last={standing.at(-1)?.content}
          editing={editing?.content}
          fault={fault}
          brief={brief}
          onPut={put}
          onLeave={() => setEditing(undefined)}
        />
      )}
      {mayRecord && (
        <WholeWeld welding={welding} onStore={(w) => act(() => api.whole(welding.jointId, welding.version, w))} />
      )}
      {fault !== undefined && (
        <p role="alert" className="fault">
          {saidBy(fault)}
        </p>
      )}
      <p className="cautions">
        Rod ranges from memory of the filler-metal specification’s annex and handbooks: the procedure and the maker’s
        box label go first.
      </p>
    </>
  );
}

function Departure({ line, fault }: { line: string; fault: boolean }) {
  return (
    <div className={`small ${fault ? "fault" : "hint"}`}>
      {fault ? "✕" : "!"} {line}
    </div>
  );
}

const shown: [keyof WeldingContent, string][] = [
  ["process", ""],
  ["diameter", ""],
  ["electrode", ""],
  ["amps", " A"],
  ["volts", " V"],
  ["polarity", ""],
  ["speed", ""],
  ["runLength", " a rod"],
  ["technique", ""],
  ["progression", ""],
  ["temperatureF", " °F"],
  ["arcForce", " % arc force"],
  ["machine", ""],
];

/** A pass in a line; what nobody measured yet is set apart. */
function PassInWords({ content: c, welding }: { content: WeldingContent; welding: WeldingRecord }) {
  const planned = c.plannedFields ?? [];
  const word = ([f, unit]: (typeof shown)[number]) => `${inText(c[f])}${unit}`;
  const there = shown.filter(([f]) => c[f] !== undefined);
  const measured = there.filter(([f]) => !planned.includes(f)).map(word);
  const copies = there.filter(([f]) => planned.includes(f)).map(word);
  const more = [
    c.starts?.length && `starts ${places(c.starts, welding)}`,
    c.stops?.length && `stops ${places(c.stops, welding)}`,
    c.restarts?.length && `restarts ${places(c.restarts, welding)}`,
    c.beadWidth && `bead ${c.beadWidth}`,
    c.ampsAtArc !== undefined && `${c.ampsAtArc} A at the arc`,
    c.hotStart !== undefined && `hot start ${c.hotStart} %`,
    c.workAngle !== undefined && `work angle ${c.workAngle}°`,
    c.travelAngle !== undefined && `${c.travelAngle < 0 ? "pushed" : "dragged"} ${Math.abs(c.travelAngle)}°`,
    c.cover !== undefined && `covers ${c.cover} %`,
    ...(c.angles ?? []).map((a) => `at ${places([a.at ?? ""], welding)} ${anglesIn(a)}`),
    ...(c.changes ?? []).map((x) => `at ${places([x.at ?? ""], welding)} ${x.what} ${x.from} to ${x.to}`),
    c.cleaned !== undefined && (c.cleaned ? "cleaned" : "not cleaned"),
    c.welder && `by ${c.welder}`,
  ].filter(Boolean);
  return (
    <>
      <b>{c.kind}</b> {[...measured, ...more].join(", ")}
      {copies.length > 0 && <span className="hint small">planned, not measured: {copies.join(", ")}</span>}
    </>
  );
}

function anglesIn(a: NonNullable<WeldingContent["angles"]>[number]): string {
  return [
    a.work !== undefined && `work angle ${a.work}°`,
    a.travel !== undefined && `${a.travel < 0 ? "pushed" : "dragged"} ${Math.abs(a.travel)}°`,
  ]
    .filter(Boolean)
    .join(", ");
}

/** By the clock where the weld runs around a round member, else as they were typed. */
function places(list: string[], welding: WeldingRecord): string {
  return list.map((typed) => timeOf(typed, welding)).join(", ");
}
