import "./causes.css";
import { holds } from "../lib/roles";
import { Button, Flex, Input } from "antd";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { api, saidBy, type Bench, type Causes } from "../lib/api";
import { newId } from "../lib/id";
import { useActor } from "../lib/session";
import { Defect, groupByRanking, useSigns } from "./DefectCauses";
import { SignMark } from "./SignMark";
import { Specimens, useSpecimensOfWeld } from "./Specimens";

const keyOf = (bench: Bench, also: string[]) => ["causes", bench.id, bench.version, madeState(bench), also.join(" ")];

/** Changes whenever something of the welding record does, so that the causes are traced anew. */
function madeState(bench: Bench): string {
  const m = bench.welding;
  return [m.version, ...m.entries.map((e) => `${e.version}${e.withdrawn ? "-" : ""}`)].join(" ");
}

export function useCauses(bench: Bench, also: string[] = []) {
  return useQuery({ queryKey: keyOf(bench, also), queryFn: () => api.causes(bench.id, also) });
}

/** Something recorded that belongs to the causes: the answer is what they come to now. */
export function useRecord(bench: Bench, also: string[] = []) {
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (record: () => Promise<Causes>) => record(),
    onSuccess: () => void queries.invalidateQueries({ queryKey: keyOf(bench, also).slice(0, 2) }),
  });
}

/** All of a weld's causes in one place: its defects together, what is seen on the bead, what was changed, what looking cannot see. */
export function CausesPanel({ bench }: { bench: Bench }) {
  const actor = useActor();
  const [also, setAlso] = useState<string[]>([]);
  const causes = useCauses(bench, also);
  const c = causes.data;
  const mayRecord = !holds(actor, "VIEWER");
  const specimens = useSpecimensOfWeld(bench);
  if (causes.isError)
    return (
      <p role="alert" className="fault">
        {saidBy(causes.error)}
      </p>
    );
  if (!c) return <p className="quiet">Tracing the causes …</p>;
  return (
    <div className="column causes">
      <Flex wrap gap={8} align="center">
        <span className="small quiet">Also on this bead:</span>
        {c.also.map((a) => (
          <Button
            type={also.includes(a.id) ? "primary" : "default"}
            key={a.id}
            aria-pressed={also.includes(a.id)}
            onClick={() => setAlso(also.includes(a.id) ? also.filter((x) => x !== a.id) : [...also, a.id])}
          >
            {a.words}
          </Button>
        ))}
        <span className="grow" />
        <Link className="way" to={`/inspections/${bench.id}/note`}>
          note for the welder
        </Link>
      </Flex>
      {c.doubts.map((d) => (
        <section key={d.why} className="framed open" aria-label="Fusion in doubt">
          <div>⚠ Fusion is in doubt, whatever the surface shows</div>
          <div>{d.why}</div>
          <div className="small">Test: {d.test}</div>
        </section>
      ))}
      {c.common.length > 0 && <Common common={c.common} />}
      {c.defects.length === 0 && (
        <p className="quiet">
          Nothing rejects, so there is no cause to trace. Pick what is accepted, or what else is seen on the bead,
          above.
        </p>
      )}
      {groupByRanking(c.defects).map((g) => (
        <Defect
          key={g.key}
          defects={g.defects}
          bench={bench}
          act={
            mayRecord
              ? (cause, d) => <WeChange bench={bench} cause={cause.id} trouble={d.trouble} words={cause.change} />
              : undefined
          }
        />
      ))}
      <Trials bench={bench} trials={c.trials} mayRecord={mayRecord} />
      <Signs bench={bench} causes={c} mayRecord={mayRecord} />
      <Specimens
        hand={specimens}
        tests={c.tests}
        mayRecord={mayRecord}
        usual={bench.joint.blade ? "fillet-break" : "root-bend"}
      />
    </div>
  );
}

/** What the defects have in common, and what it leaves unexplained. */
function Common({ common }: { common: Causes["common"] }) {
  return (
    <section aria-label="Together">
      <h3>Together</h3>
      {common.slice(0, 3).map((x) => (
        <div key={x.id}>
          <b>{x.title}</b> could explain the {x.explains.join(" and the ")}
          <span className="quiet">
            {x.leaves.length > 0
              ? `; it leaves the ${x.leaves.join(" and the ")} unexplained`
              : "; it leaves nothing unexplained"}
          </span>
        </div>
      ))}
    </section>
  );
}

/** One thing is changed, and written down, so that the next weld can tell. */
function WeChange({ bench, cause, trouble, words }: { bench: Bench; cause: string; trouble: string; words: string }) {
  const record = useRecord(bench);
  const [id] = useState(newId);
  const [text, setText] = useState<string>();
  if (record.isSuccess)
    return (
      <span role="status" className="v-accept">
        Written down: say below what the next weld shows.
      </span>
    );
  if (text === undefined)
    return (
      <Button className="start" onClick={() => setText(words)}>
        We change this …
      </Button>
    );
  return (
    <form
      className="row"
      onSubmit={(e) => {
        e.preventDefault();
        record.mutate(() => api.trial(bench.id, id, { cause, trouble, words: text }));
      }}
    >
      <Input
        aria-label="What is changed, one thing"
        className="grow"
        value={text}
        onChange={(e) => setText(e.target.value)}
      />
      <Button type="primary" htmlType="submit" disabled={record.isPending}>
        Write it down
      </Button>
      <Button onClick={() => setText(undefined)}>Back</Button>
      {record.isError && (
        <span role="alert" className="fault">
          {saidBy(record.error)}
        </span>
      )}
    </form>
  );
}

const showedWords = { BETTER: "better", SAME: "no better", WORSE: "worse" } as const;

function Trials({ bench, trials, mayRecord }: { bench: Bench; trials: Causes["trials"]; mayRecord: boolean }) {
  if (trials.length === 0) return null;
  return (
    <section aria-label="Changed before">
      <h3>Changed before{bench.joint.welder ? `, welder ${bench.joint.welder}` : ""}</h3>
      {trials.map((t) => (
        <div key={t.id} className="item">
          <span>
            <b>{t.words}</b>{" "}
            <span className="small quiet">
              for the {t.trouble} of {t.after}, {t.by}
            </span>
            {t.showed && (
              <div className={t.showed === "BETTER" ? "v-accept" : "v-reject"}>
                {t.nextMark} was {showedWords[t.showed]}
                {t.note ? `: ${t.note}` : ""}
              </div>
            )}
          </span>
          {!t.showed && mayRecord && <Outcome bench={bench} id={t.id} />}
        </div>
      ))}
    </section>
  );
}

function Outcome({ bench, id }: { bench: Bench; id: string }) {
  const record = useRecord(bench);
  const [mark, setMark] = useState("");
  const put = (showed: keyof typeof showedWords) =>
    record.mutate(() => api.outcome(bench.id, id, { nextMark: mark, showed }));
  return (
    <span className="row">
      <Input
        className="num-box"
        aria-label="Mark of the next weld"
        placeholder="next weld"
        value={mark}
        onChange={(e) => setMark(e.target.value)}
      />
      {(Object.keys(showedWords) as (keyof typeof showedWords)[]).map((s) => (
        <Button key={s} disabled={record.isPending} onClick={() => put(s)}>
          {showedWords[s]}
        </Button>
      ))}
      {record.isError && (
        <span role="alert" className="fault">
          {saidBy(record.error)}
        </span>
      )}
    </span>
  );
}

/** The signs to tick: those that bear on the defects first. */
function Signs({ bench, causes, mayRecord }: { bench: Bench; causes: Causes; mayRecord: boolean }) {
  const signs = useSigns(bench);
  const [all, setAll] = useState(false);
  const answered = causes.signs.filter((s) => s.seen !== undefined);
  const shown = all ? causes.signs : answered;
  return (
    <section aria-label="Seen on the bead">
      <h3>
        Seen on the bead {answered.length > 0 ? `(${answered.length} of ${causes.signs.length} inspected for)` : ""}
      </h3>
      {signs.fault && (
        <p role="alert" className="fault">
          {signs.fault}
        </p>
      )}
      <div className="cards">
        {shown.map((s) => (
          <div key={s.id} className="framed signcard" data-seen={s.seen === undefined ? "" : s.seen ? "yes" : "no"}>
            <Flex gap={10} align="center">
              <SignMark id={s.id} />
              <span>{s.words}</span>
            </Flex>
            {mayRecord && (
              <span className="row pair" role="group" aria-label={s.words}>
                <Button
                  type={s.seen === true ? "primary" : "default"}
                  disabled={signs.pending}
                  aria-pressed={s.seen === true}
                  onClick={() => signs.answer(s.id, s.seen === true ? undefined : true)}
                >
                  seen
                </Button>
                <Button
                  type={s.seen === false ? "primary" : "default"}
                  disabled={signs.pending}
                  aria-pressed={s.seen === false}
                  onClick={() => signs.answer(s.id, s.seen === false ? undefined : false)}
                >
                  not
                </Button>
              </span>
            )}
          </div>
        ))}
      </div>
      <Button type="link" onClick={() => setAll(!all)}>
        {all ? "Only those answered" : `Check for a sign (${causes.signs.length})`}
      </Button>
    </section>
  );
}
