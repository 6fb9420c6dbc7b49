import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Alert, Button, Checkbox, Col, Progress, Row } from "antd";
import { useState } from "react";
import { Link, useNavigate } from "react-router";
import { api, problemsByField, saidBy, type Learner, type SchoolClass } from "../lib/api";
import { DataTable, type Column } from "../lib/DataTable";
import { ChoiceField, DateField } from "../lib/fields";
import { Cell, FormGrid } from "../lib/FormGrid";
import { dayOf } from "../lib/local-time";
import { TopBar } from "../lib/TopBar";

/** The class: who is where, the faults that are common, and what was handed out. */
export default function ClassPage() {
  const navigate = useNavigate();
  const queries = useQueryClient();
  const open = useQuery({ queryKey: ["class"], queryFn: api.schoolClass });
  const change = useMutation({
    mutationFn: (act: () => Promise<SchoolClass>) => act(),
    onSuccess: (c) => queries.setQueryData(["class"], c),
  });
  const c = open.data;
  return (
    <div className="app">
      <TopBar rooms />
      <main className="halves wide-left">
        <section className="card panel" aria-label="Class">
          <header>
            <h2>Class</h2>
          </header>
          <div className="body">
            {open.isError && <Alert type="error" showIcon title={saidBy(open.error)} />}
            <DataTable<Learner>
              name="class"
              label="Learners"
              plain
              rows={c?.learners ?? []}
              loading={open.isPending}
              rowKey={(l) => l.login}
              onOpen={(l) => void navigate(`/series/${encodeURIComponent(l.login)}`)}
              columns={columns}
              empty="Nobody has the role of a learner yet. The quality manager gives it under People and welders."
            />
            {c && c.faults.length > 0 && <Common faults={c.faults} />}
          </div>
        </section>
        {c && (
          <section className="card panel" aria-label="Handed out">
            <header>
              <h2>Handed out</h2>
            </header>
            <div className="body">
              <HandOut learners={c.learners} change={change} />
              {c.handouts.map((h) => (
                <div key={h.id} className="item">
                  <span>
                    <b>{h.title}</b> · {h.name}
                    <div className={h.late ? "fault small" : "small quiet"}>
                      {h.done ? "✓ done" : h.late ? `✕ was due ${dayOf(h.due)}` : `due ${dayOf(h.due)}`}
                    </div>
                  </span>
                  <Button type="link" onClick={() => change.mutate(() => api.takeBack(h.id))}>
                    take back
                  </Button>
                </div>
              ))}
            </div>
          </section>
        )}
      </main>
    </div>
  );
}

const columns: Column<Learner>[] = [
  {
    key: "name",
    title: "Learner",
    value: (l) => l.name,
    render: (l) => (
      <Link to={`/series/${encodeURIComponent(l.login)}`} className="big">
        {l.name}
      </Link>
    ),
  },
  { key: "pieces", title: "Pieces", width: 90, value: (l) => l.pieces },
  {
    key: "last",
    title: "Last",
    width: 190,
    value: (l) => l.last,
    render: (l) => (
      <>
        {l.last ? dayOf(l.last) : "–"}
        {l.drill && <div className="small quiet">{l.drill}</div>}
      </>
    ),
  },
  {
    key: "score",
    title: "Score",
    width: 140,
    value: (l) => l.recent,
    render: (l) =>
      l.recent === undefined ? (
        "–"
      ) : (
        <>
          <b>{l.recent}</b>
          <div className="small quiet">first {l.first}</div>
        </>
      ),
  },
  {
    key: "fault",
    title: "Commonest fault",
    width: 165,
    value: (l) => l.commonest,
    render: (l) => (
      <>
        {l.commonest ?? "–"}
        {l.lessons > 0 && <div className="fault small">{l.lessons} × looks good, broke badly</div>}
      </>
    ),
  },
];

/** What the whole class gets wrong, the commonest first. */
function Common({ faults }: { faults: SchoolClass["faults"] }) {
  const most = Math.max(...faults.map((f) => f.count));
  return (
    <section aria-label="Common faults">
      <h3>Common faults of the class</h3>
      {faults.map((f) => (
        <Row key={f.fault}>
          <Col span={7}>{f.fault}</Col>
          <Col span={17}>
            <Progress percent={(100 * f.count) / most} format={() => <b>{f.count}</b>} status="normal" />
          </Col>
        </Row>
      ))}
    </section>
  );
}

function HandOut({
  learners,
  change,
}: {
  learners: Learner[];
  change: {
    mutate: (act: () => Promise<SchoolClass>, o?: { onSuccess?: () => void }) => void;
    error: unknown;
    isPending: boolean;
  };
}) {
  const drills = useQuery({ queryKey: ["drills"], queryFn: api.drills });
  const [drill, setDrill] = useState("");
  const [due, setDue] = useState("");
  const [to, setTo] = useState<string[]>([]);
  const problems = problemsByField(change.error);
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        change.mutate(() => api.handOut({ drill: drill || undefined, welders: to, due: due || undefined }), {
          onSuccess: () => setTo([]),
        });
      }}
      aria-label="Hand out a drill"
    >
      <FormGrid>
        <ChoiceField
          id="handout-drill"
          label="Drill"
          span={7}
          value={drill}
          problem={problems.drill}
          options={[["", "which?"], ...(drills.data ?? []).map((d) => [d.id, d.title] as const)]}
          onChange={setDrill}
        />
        <DateField id="handout-due" label="By" span={5} value={due} problem={problems.due} onChange={setDue} />
        <Cell>
          <Checkbox.Group
            value={to}
            onChange={setTo}
            options={learners.map((l) => ({ value: l.login, label: l.name }))}
          />
          {problems.welders && <div className="fault">{problems.welders}</div>}
        </Cell>
        <Cell>
          <Button type="primary" htmlType="submit" disabled={change.isPending}>
            Hand it out
          </Button>
        </Cell>
      </FormGrid>
    </form>
  );
}
