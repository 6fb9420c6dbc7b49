import { Button, Flex } from "antd";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, saidBy, type Bench, type CodeColumn, type Finding } from "../lib/api";
import { VerdictMark, VerdictShape } from "../lib/VerdictMark";
import { SmallTable, type SmallColumn } from "../lib/SmallTable";
import { tied } from "../lib/tied";

/** The same inspection held against other books, criterion by criterion; what differs is marked. Nothing of it is kept. */
export function Beside({ bench }: { bench: Bench }) {
  const books = useQuery({ queryKey: ["books"], queryFn: api.books });
  const [chosen, setChosen] = useState<string[]>([]);
  const [today, setToday] = useState(false);
  const signed = bench.state === "SIGNED";
  const asked = [...(!signed || today ? [bench.joint.criteria] : []), ...chosen];
  const columns = useQuery({
    queryKey: ["beside", bench.id, bench.version, asked.join()],
    queryFn: () => api.compare(bench.id, asked),
    enabled: chosen.length > 0 || today,
    placeholderData: (before) => before,
  });
  const toggle = (id: string) => setChosen(chosen.includes(id) ? chosen.filter((c) => c !== id) : [...chosen, id]);
  return (
    <>
      <p className="small">
        Compare with other codes: for a change of contract, a metric client, a coupon. It is shown here only: never
        printed, exported or signed.
      </p>
      <Flex wrap gap={6} role="group" aria-label="Other codes">
        {signed && (
          <Button type={today ? "primary" : "default"} aria-pressed={today} onClick={() => setToday(!today)}>
            What would today’s criteria say?
          </Button>
        )}
        {books.data
          ?.filter((b) => b.id !== bench.joint.criteria)
          .map((b) => (
            <Button
              type={chosen.includes(b.id) ? "primary" : "default"}
              key={b.id}
              aria-pressed={chosen.includes(b.id)}
              onClick={() => toggle(b.id)}
            >
              {b.id}
            </Button>
          ))}
      </Flex>
      {columns.isError && (
        <p role="alert" className="fault">
          {saidBy(columns.error)}
        </p>
      )}
      {(chosen.length > 0 || today) && columns.data && (
        <Columns columns={signed ? [asSigned(bench), ...columns.data] : columns.data} />
      )}
    </>
  );
}

/** What was signed, as a column of its own: it is never judged again. */
function asSigned(bench: Bench): CodeColumn {
  const { criteria, criteriaTitle, edition } = bench.joint;
  return {
    id: `${criteria} as signed`,
    title: criteriaTitle,
    edition,
    asOfToday: false,
    verdict: bench.evaluation.verdict,
    findings: bench.evaluation.findings,
  };
}

function under(column: CodeColumn, isFirst: boolean): string {
  if (column.asOfToday) return "as it stands today; nothing of it is signed";
  if (!isFirst) return "for comparison";
  return column.id.endsWith("as signed") ? "as signed" : "the contract’s code";
}

function Columns({ columns }: { columns: CodeColumn[] }) {
  const judging = columns.filter((c) => !c.refused);
  const own = judging[0];
  if (!own) return null;
  const verdictsOf = (id: string) => new Set(judging.map((c) => c.findings.find((x) => x.id === id)?.verdict));
  const differing = (f: Finding) => verdictsOf(f.id).size > 1;
  // what differs comes first; the rest in the books' order
  const all = own.findings.filter((f) => f.id === f.criterion);
  const rows = [...all.filter(differing), ...all.filter((f) => !differing(f))];
  return (
    <SmallTable
      label="The codes side by side"
      rows={rows}
      rowKey={(f) => f.id}
      rowProps={(f) => ({ "data-criterion": f.id, className: differing(f) ? "differs" : undefined })}
      columns={[
        [
          "Criterion",
          (f) => (
            <>
              <b>{f.title}</b>
              {differing(f) && <div className="small hint">≠ differs</div>}
            </>
          ),
          150,
        ],
        ...columns.map((c, i): SmallColumn<Finding> => [
          <Head key={c.id} column={c} isFirst={i === 0} />,
          (f) => <CellOf column={c} id={f.id} />,
        ]),
      ]}
    />
  );
}

function Head({ column: c, isFirst }: { column: CodeColumn; isFirst: boolean }) {
  return (
    <>
      {c.title}
      <div className="small quiet">{under(c, isFirst)}</div>
      {c.refused ? <div className="small hint">{c.refused}</div> : <VerdictMark verdict={c.verdict} size={22} />}
    </>
  );
}

function CellOf({ column, id }: { column: CodeColumn; id: string }) {
  const finding = column.findings.find((x) => x.id === id);
  return finding ? <Cell finding={finding} /> : "–";
}

function Cell({ finding: f }: { finding: Finding }) {
  return (
    <Flex gap={6} align="start">
      <VerdictShape verdict={f.verdict} size={20} />
      <span className="small">
        <b className={`v-${f.verdict}`}>{f.verdict === "not-applicable" ? "not asked" : f.verdict}</b>
        {f.measured && <> {tied(f.measured)}</>}
        {f.allowed && f.verdict !== "not-applicable" && <span className="quiet"> of {tied(f.allowed)}</span>}
      </span>
    </Flex>
  );
}
