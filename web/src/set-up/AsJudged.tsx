import { Alert, Button } from "antd";
import { Link, useNavigate } from "react-router";
import { saidBy } from "../lib/api";
import { SectionView } from "../lib/SectionView";
import { useSetUp } from "./useSetUp";
import { tied } from "../lib/tied";

/** Beside the form: the section as drawn, the numbers that govern, what stands against it and what is unusual. */
export function AsJudged({ isNew, shown }: { isNew: boolean; shown: readonly string[] }) {
  const { form, preview, unseen, fault, tried, procedures } = useSetUp();
  const navigate = useNavigate();
  const procedure = procedures.find((p) => `${p.form.number} rev ${p.form.revision}` === form.wps?.trim());
  const elsewhere = (preview?.problems ?? []).filter((p) => tried && !shown.includes(p.field));
  return (
    <aside className="card side column stays">
      <h2>As it will be judged</h2>
      {preview?.section ? (
        <>
          <SectionView section={preview.section} units={form.units ?? "in"} />
          <div>{preview.inWords}</div>
        </>
      ) : (
        <p className="quiet">The cross-section appears when size, length and both thicknesses are given.</p>
      )}
      {unseen && <Alert type="warning" showIcon title={`Not checked: ${unseen}`} />}
      <Governing />
      <RedLines />
      {procedure && (
        <div className="small quiet">
          Procedure {form.wps}:{" "}
          <Link to={`/procedures/${procedure.id}`}>{procedure.form.passes?.length ?? 0} passes</Link>
        </div>
      )}
      <UnusualLines />
      {elsewhere.map((p) => (
        <div key={p.field} className="fault">
          {p.field}: {p.problem}
        </div>
      ))}
      {fault !== undefined && <Alert role="alert" type="error" showIcon title={saidBy(fault)} />}
      <Button type="primary" htmlType="submit" size="large">
        {isNew ? "Store and go to the bench" : "Store the change"}
      </Button>
      <Button onClick={() => void navigate(-1)}>Back</Button>
    </aside>
  );
}

function Governing() {
  const { preview } = useSetUp();
  if (!preview?.numbers.length) return null;
  return (
    <section aria-label="Numbers that govern the size">
      <h3>Which number governs</h3>
      <dl className="small">
        {preview.numbers.map((n) => (
          <div key={n.title}>
            <dt className={n.broken ? "v-reject" : undefined}>
              {n.broken && "✕ "}
              {n.title}
            </dt>
            <dd>
              <b>{tied(n.value)}</b>{" "}
              <span className="quiet">
                {tied(n.how)}
                {n.broken ? ": the drawn size breaks it" : ""}
              </span>
            </dd>
          </div>
        ))}
      </dl>
    </section>
  );
}

function RedLines() {
  const { preview } = useSetUp();
  if (!preview?.redLines.length) return null;
  return (
    <section aria-label="Red lines" className="framed bad v-reject">
      <h3>✕ Stands against welding it so</h3>
      <ul className="small">
        {preview.redLines.map((l) => (
          <li key={l}>{tied(l)}</li>
        ))}
      </ul>
    </section>
  );
}

function UnusualLines() {
  const { preview } = useSetUp();
  if (!preview?.remarks.length) return null;
  return (
    <section>
      <h3>Unusual</h3>
      <ul className="small">
        {preview.remarks.map((r) => (
          <li key={r.line}>{tied(r.line)}</li>
        ))}
      </ul>
    </section>
  );
}
