import { Button, Flex, Input } from "antd";
import { useState, type FormEvent } from "react";
import { Link } from "react-router";
import { api, problemsByField, saidBy, type WeldingRecord, type WeldingContent, type WeldingEntry } from "../lib/api";
import { DateTime, said, TextField, YesNo } from "../lib/fields";
import { Made } from "./FitUpPanel";
import { InspectionItemLine } from "./InspectionItems";
import { placeOf, placeText } from "./place";
import { useWeldingChange } from "./useWeldingRecord";
import { newId } from "../lib/id";
import { localTime } from "../lib/local-time";
import { Cell, FormGrid } from "../lib/FormGrid";

/** The looks while the passes go in, and the low-hydrogen rods' clock. */
export function ProcessPanel({ welding, mayRecord }: { welding: WeldingRecord; mayRecord: boolean }) {
  const { act, fault } = useWeldingChange(welding.jointId);
  const [exception, setException] = useState<string>();
  const standing = welding.entries.filter((e) => e.kind === "PROCESS" && !e.withdrawn);
  const whole = (q: string) => standing.find((e) => e.content.question === q && !e.content.at && !e.content.from);
  const put = (content: WeldingContent) => act(() => api.made(welding.jointId, newId(), "PROCESS", content));
  const asked = new Set(welding.questions.map((q) => q.id));
  const computed = welding.process.filter((i) => !asked.has(i.id) && i.verdict !== "not-applicable");
  const notes = welding.entries.filter(
    (e) => e.kind === "PROCESS" && (e.content.at || e.content.from || e.content.note),
  );
  const title = (q?: string) => welding.questions.find((x) => x.id === q)?.title ?? q;
  return (
    <section className="card panel" aria-label="As the passes go in">
      <header>
        <h2>As the passes go in</h2>
      </header>
      <div className="body">
        {welding.questions.map((q) => {
          const item = welding.process.find((i) => i.id === q.id);
          return (
            <div key={q.id}>
              <div className="item">
                <span>
                  <b>{q.title}</b>
                  {item && item.verdict === "reject" && <div className="small fault">✕ {item.reason}</div>}
                </span>
                <YesNo
                  word={q.title}
                  value={whole(q.id)?.content.asWanted}
                  disabled={!mayRecord}
                  onAnswer={(v) => void put({ question: q.id, asWanted: v })}
                >
                  {mayRecord && (
                    <Button
                      aria-expanded={exception === q.id}
                      aria-label={`${q.title}: not so at a place`}
                      onClick={() => setException(exception === q.id ? undefined : q.id)}
                    >
                      at …
                    </Button>
                  )}
                </YesNo>
              </div>
              {exception === q.id && (
                <Exception
                  question={q.id}
                  problems={problemsByField(fault)}
                  onLeave={() => setException(undefined)}
                  onPut={async (c) => {
                    if (await put(c)) setException(undefined);
                  }}
                />
              )}
            </div>
          );
        })}
        {notes.map((e) => (
          <Made
            key={e.id}
            entry={e}
            may={mayRecord}
            act={act}
            jointId={welding.jointId}
            words={
              <>
                <b>{placeText(e.content) || "along it"}</b> {e.content.asWanted ? "" : "not so: "}
                {title(e.content.question)}
                {e.content.note && `, ${e.content.note}`}
                {e.content.pass && `, pass ${e.content.pass}`}
              </>
            }
          />
        ))}
        {fault !== undefined && (
          <p role="alert" className="fault">
            {saidBy(fault)}
          </p>
        )}
        {computed.map((i) => (
          <InspectionItemLine key={i.id} item={i} />
        ))}
        <p className="cautions">
          Starts and stops {welding.apart} {welding.units} apart is a rule of thumb, set in the{" "}
          <Link to="/jobs">job</Link>. The questions are common practice.
        </p>
        <Rods welding={welding} mayRecord={mayRecord} act={act} />
        <WeldedAt key={welding.weldedAt ?? ""} welding={welding} mayRecord={mayRecord} act={act} />
      </div>
    </section>
  );
}

function Exception({
  question,
  problems,
  onPut,
  onLeave,
}: {
  question: string;
  problems: Record<string, string>;
  onPut: (c: WeldingContent) => Promise<void>;
  onLeave: () => void;
}) {
  const [place, setPlace] = useState("");
  const [note, setNote] = useState("");
  const submit = (e: FormEvent) => {
    e.preventDefault();
    void onPut(said({ question, asWanted: false, ...placeOf(place), note }));
  };
  return (
    <form onSubmit={submit} aria-label="Not so at a place">
      <FormGrid>
        <TextField
          id="not-at"
          label="At, or from–to"
          span={4}
          value={place}
          problem={problems.at ?? problems.from ?? problems.to}
          onChange={setPlace}
        />
        <TextField id="not-note" label="What was seen" span={8} value={note} onChange={setNote} />
        <Cell span={12}>
          <Flex wrap gap={8} align="center">
            <Button type="primary" htmlType="submit">
              Record
            </Button>
            <Button type="link" onClick={onLeave}>
              leave
            </Button>
          </Flex>
        </Cell>
      </FormGrid>
    </form>
  );
}

type Act = (f: () => Promise<WeldingRecord>) => Promise<boolean>;

/** How long each package of low-hydrogen rods has been out of the oven; it runs until the weld was finished. */
function Rods({ welding, mayRecord, act }: { welding: WeldingRecord; mayRecord: boolean; act: Act }) {
  const [electrode, setElectrode] = useState("E7018");
  const [at, setAt] = useState("");
  const outing = (e: WeldingEntry, outings: NonNullable<WeldingContent["outings"]>) =>
    act(() => api.made(welding.jointId, e.id, "RODS", { ...e.content, outings }, e.version));
  const entryOf = (id: string) => welding.entries.find((e) => e.id === id);
  const moment = () => (at === "" ? moments(new Date()) : moments(new Date(at)));
  return (
    <section aria-label="Rods out of the oven">
      <h3>Rods out of the oven</h3>
      {welding.rods.map((r) => {
        const e = entryOf(r.entry);
        if (!e) return null;
        const outings = e.content.outings ?? [];
        return (
          <div key={r.entry} className="item">
            <span>
              <b>{r.electrode}</b> <b className={r.over ? "fault" : ""}>{r.shown}</b>
              {r.over && <span className="fault"> ✕ over: dry them again as the maker says, or scrap them</span>}
              <div className="small quiet">
                {r.out ? "out now" : "in the oven"}
                {welding.weldedAt && r.out ? ", clock stopped when the weld was finished" : ""}
              </div>
            </span>
            {mayRecord && (
              <span className="nowrap">
                {r.out ? (
                  <Button
                    onClick={() =>
                      void outing(
                        e,
                        outings.map((o, i) => (i === outings.length - 1 ? { ...o, back: moment() } : o)),
                      )
                    }
                  >
                    back now
                  </Button>
                ) : (
                  <Button onClick={() => void outing(e, [...outings, { out: moment() }])}>out again</Button>
                )}
                <Button type="link" onClick={() => void act(() => api.takeOffMade(welding.jointId, e))}>
                  take off
                </Button>
              </span>
            )}
          </div>
        );
      })}
      <Labels welding={welding} mayRecord={mayRecord} act={act} />
      {mayRecord && (
        <Flex wrap gap={8} align="center">
          <Input
            className="num-box"
            aria-label="Rod"
            value={electrode}
            onChange={(e) => setElectrode(e.target.value)}
          />
          <DateTime label="Taken out at, empty for now" value={at} onChange={setAt} />
          <Button
            onClick={() =>
              void act(() => api.made(welding.jointId, newId(), "RODS", { electrode, outings: [{ out: moment() }] }))
            }
          >
            {at === "" ? "Out now" : "Out then"}
          </Button>
        </Flex>
      )}
    </section>
  );
}

/** What the maker prints on the boxes: those amps go before the general table. */
function Labels({ welding, mayRecord, act }: { welding: WeldingRecord; mayRecord: boolean; act: Act }) {
  const [open, setOpen] = useState(false);
  const [electrode, setElectrode] = useState("E7018");
  const [diameter, setDiameter] = useState(welding.units === "mm" ? "3.2" : "1/8");
  const [amps, setAmps] = useState("");
  const noted = welding.entries.filter(
    (e) => e.kind === "RODS" && !e.withdrawn && (e.content.labelAmps ?? []).length > 0,
  );
  const range = amps.split(/[–-]/).map((a) => Number(a.trim()));
  const put = async () => {
    if (await act(() => api.made(welding.jointId, newId(), "RODS", { electrode, diameter, labelAmps: range }))) {
      setOpen(false);
      setAmps("");
    }
  };
  return (
    <>
      {noted.map((e) => (
        <div key={e.id} className="item">
          <span>
            <b>
              {e.content.diameter} {e.content.electrode}
            </b>
            : the box says {e.content.labelAmps?.join("–")} A
          </span>
          {mayRecord && (
            <Button type="link" onClick={() => void act(() => api.takeOffMade(welding.jointId, e))}>
              take off
            </Button>
          )}
        </div>
      ))}
      {mayRecord && !open && (
        <Button type="link" onClick={() => setOpen(true)}>
          note a box label
        </Button>
      )}
      {open && (
        <Flex wrap gap={8} align="center">
          <span className="small quiet whole-line">On the box: rod, diameter, least and most amps</span>
          <Input
            className="num-box"
            aria-label="Rods of the box"
            value={electrode}
            onChange={(e) => setElectrode(e.target.value)}
          />
          <Input
            className="num-box"
            aria-label="Diameter on the box"
            value={diameter}
            onChange={(e) => setDiameter(e.target.value)}
          />
          <Input
            className="num-box"
            aria-label="Amps on the box, least–most"
            placeholder="90–140"
            value={amps}
            onChange={(e) => setAmps(e.target.value)}
          />
          <Button disabled={range.length !== 2 || range.some((n) => !(n > 0))} onClick={() => void put()}>
            Note it
          </Button>
        </Flex>
      )}
    </>
  );
}

function WeldedAt({ welding, mayRecord, act }: { welding: WeldingRecord; mayRecord: boolean; act: Act }) {
  const shown = welding.weldedAt ? localTime(new Date(welding.weldedAt)) : "";
  const [at, setAt] = useState(shown);
  return (
    <section aria-label="Welding finished">
      <h3>Welding finished</h3>
      <Flex wrap gap={8} align="center">
        <DateTime label="Welding finished at" disabled={!mayRecord} value={at} onChange={setAt} />
        {mayRecord && (at !== "" || shown !== "") && (
          <Button
            disabled={at === "" || at === shown}
            onClick={() =>
              void act(() => api.welded(welding.jointId, new Date(at).toISOString().replace(".000Z", "Z")))
            }
          >
            Store
          </Button>
        )}
        {mayRecord && shown === "" && at === "" && <Button onClick={() => setAt(localTime(new Date()))}>Now</Button>}
      </Flex>
      <p className="cautions">
        {welding.delayed ? "The 48 h wait of this steel runs from here." : "The rods’ clock stops here."}
      </p>
    </section>
  );
}

/** To the second, as the server takes it. */
function moments(d: Date): string {
  return d.toISOString().replace(/\.\d+Z$/, "Z");
}
