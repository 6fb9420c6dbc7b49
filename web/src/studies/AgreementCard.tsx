import type { Agreement, CriterionAgreement, Kappa } from "../lib/api-study";
import { ink } from "../theme";
import { SmallTable } from "../lib/SmallTable";

const two = (v: number) => v.toFixed(2);
const percent = (v: number) => `${Math.round(v * 100)} %`;
const saidOf = (k: Kappa) =>
  k.value === undefined ? "all the same" : `${two(k.value)} (${two(k.low ?? -1)} to ${two(k.high ?? 1)}), ${k.words}`;

/** What an agreement study comes to: agreement beyond chance, who leans which way, what to talk about first. */
export function AgreementCard({ said, agreement: a }: { said: string; agreement: Agreement }) {
  if (!a.over)
    return (
      <>
        <p>
          <b>{said}</b>
        </p>
        <SmallTable
          label="How far"
          rows={a.people.map((name, p) => ({ name, done: a.done[p] ?? 0 }))}
          rowKey={(r) => r.name}
          columns={[
            ["Person", (r) => r.name],
            ["Handed in", (r) => `${r.done} of ${a.welds * a.passes}`],
          ]}
        />
      </>
    );
  const verdict = a.questions[0];
  return (
    <>
      <p>
        <b>{said}</b>
      </p>
      <p>
        {a.people.join(", ")}: {a.welds} welds, each seen {a.passes} times, shuffled, without seeing the others.
      </p>
      {a.first.length > 0 && (
        <>
          <h3>To talk about first</h3>
          {a.first.map((f) => (
            <p key={f}>{f}</p>
          ))}
        </>
      )}
      {verdict && <Verdicts question={verdict} />}
      <h3>By criterion</h3>
      <SmallTable
        label="Agreement by criterion"
        rows={a.questions}
        rowKey={(q) => q.question}
        columns={[
          ["", (q) => q.question],
          ["Agreement among all", (q) => saidOf(q.among)],
          ["", (q) => <Bar kappa={q.among} />, 150],
          ["Divided on welds", (q) => q.divided.join(", ")],
        ]}
      />
      <p className="cautions">
        Kappa is agreement beyond chance: 1 is always, 0 no more than chance. Cohen’s of two, Fleiss’ of several, with
        95 % intervals of large samples: few welds tell little. It holds for welds like these.
      </p>
    </>
  );
}

function Verdicts({ question: q }: { question: CriterionAgreement }) {
  return (
    <>
      <h3>The verdict</h3>
      <SmallTable
        label="Each with oneself, and which way each leans"
        rows={q.leans}
        rowKey={(l) => l.person}
        columns={[
          ["Person", (l) => l.person],
          ["With oneself", (l) => saidOfPerson(q, l.person)],
          [
            "Bad called good",
            (l) =>
              l.ofBad === 0
                ? "none was bad"
                : `${l.falseAccepts} of ${l.ofBad} (${percent(l.acceptLow)} to ${percent(l.acceptHigh)})`,
          ],
          [
            "Good called bad",
            (l) =>
              l.ofGood === 0
                ? "none was good"
                : `${l.falseRejects} of ${l.ofGood} (${percent(l.rejectLow)} to ${percent(l.rejectHigh)})`,
          ],
        ]}
      />
      <SmallTable
        label="Two and two"
        rows={q.pairs}
        rowKey={(p) => `${p.one} ${p.other}`}
        columns={[
          ["Two of them", (p) => `${p.one} and ${p.other}`],
          ["Agreement", (p) => saidOf(p.kappa)],
          ["", (p) => <Bar kappa={p.kappa} />, 150],
        ]}
      />
    </>
  );
}

function saidOfPerson(q: CriterionAgreement, person: string): string {
  const own = q.withSelf.find((w) => w.person === person);
  return own ? saidOf(own.kappa) : "seen once";
}

/** From −0.2 to 1: the interval as a bar, the value as a line. Beside its numbers. */
function Bar({ kappa: k }: { kappa: Kappa }) {
  if (k.value === undefined) return null;
  const x = (v: number) => `${(Math.max(0, Math.min(1.2, v + 0.2)) / 1.2) * 100}%`;
  const width = Math.max(0, Math.min(1, k.high ?? 1) - Math.max(-0.2, k.low ?? -0.2)) / 1.2;
  return (
    <svg width="100%" height="22" aria-hidden="true">
      <path d="M0 21.5h400" stroke={ink.line} />
      <rect x={x(0)} y="2" width="1" height="19" fill={ink.quiet} />
      <rect x={x(Math.max(-0.2, k.low ?? -0.2))} y="8" width={`${width * 100}%`} height="8" rx="4" fill={ink.steel} />
      <rect x={x(k.value)} y="2" width="4" height="19" fill={ink.layout} />
    </svg>
  );
}
