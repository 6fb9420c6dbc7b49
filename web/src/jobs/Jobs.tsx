import { holds } from "../lib/roles";
import { Button, Col, ConfigProvider, Row } from "antd";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState, type FormEvent } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { api, problemsByField, saidBy, type Job, type JobForm } from "../lib/api";
import { ChoiceField, said, TextField } from "../lib/fields";
import { useActor } from "../lib/session";
import { PickTable } from "../lib/PickTable";
import { TopBar } from "../lib/TopBar";
import { BringJob } from "./BringJob";
import { Schools, ShopSchools } from "./Schools";
import { Terms } from "./Terms";
import { Reports } from "./Reports";
import { SignedRecords } from "./SignedRecords";
import { WeldList } from "./WeldList";
import { Cell, FormGrid } from "../lib/FormGrid";

/** Jobs: the code they are judged by, drawings, lots, further tests, and their lists of welds. */
export default function Jobs() {
  const { id } = useParams();
  const actor = useActor();
  const jobs = useQuery({ queryKey: ["jobs"], queryFn: api.jobs });
  const setsUp = holds(actor, "INSPECTOR", "WELDING_ENGINEER", "QUALITY_MANAGER");
  const chosen = jobs.data?.find((j) => j.id === id) ?? (id === "new" ? undefined : jobs.data?.[0]);
  return (
    <div className="app">
      <TopBar rooms />
      <main className="halves">
        <nav className="card panel" aria-label="Jobs">
          <header>
            <h2>Jobs</h2>
            {setsUp && (
              <Link className="way" to="/jobs/new">
                new job
              </Link>
            )}
          </header>
          <div className="body column">
            {jobs.isError && <p className="fault">{saidBy(jobs.error)}</p>}
            <PickTable<Job>
              name="jobs"
              label="Jobs"
              title="Job"
              rows={jobs.data ?? []}
              loading={jobs.isPending}
              rowKey={(j) => j.id}
              to={(j) => `/jobs/${j.id}`}
              called={(j) => j.form.name ?? ""}
              under={(j) => `${j.form.criteria} · ${j.form.units}`}
              chosen={chosen?.id}
              columns={[{ key: "welds", title: "Welds", value: (j) => j.welds, width: 92 }]}
              empty="No job yet. A job holds the code, the units and the lots that its welds share."
            />
            {holds(actor, "WELDING_ENGINEER", "QUALITY_MANAGER") && <ShopSchools />}
            {holds(actor, "WELDING_ENGINEER", "QUALITY_MANAGER") && <BringJob />}
          </div>
        </nav>
        {jobs.data && (
          <JobCard key={chosen ? `${chosen.id} ${chosen.version}` : "new"} job={chosen} mayChange={setsUp} />
        )}
      </main>
    </div>
  );
}

const loadings = [
  ["", "not known yet"],
  ["static", "static"],
  ["cyclic", "cyclic"],
] as const;
const hands = [
  ["", "in different hands: who signs an inspection decides no repair of that weld"],
  ["one", "one person may do both; what one did in two roles is marked on the record"],
] as const;
const states = [
  ["due", "due"],
  ["asked", "asked for"],
  ["done", "done"],
] as const;

function JobCard({ job, mayChange }: { job?: Job; mayChange: boolean }) {
  const books = useQuery({ queryKey: ["books"], queryFn: api.books, staleTime: Infinity });
  const [form, setForm] = useState<JobForm>(job?.form ?? { criteria: "d1.1-static", units: "in" });
  const [fault, setFault] = useState<unknown>();
  const [stored, setStored] = useState(false);
  const queries = useQueryClient();
  const navigate = useNavigate();
  const set = (change: Partial<JobForm>) => {
    setStored(false);
    setForm({ ...form, ...change });
  };
  const problems = problemsByField(fault);
  const store = async (e: FormEvent) => {
    e.preventDefault();
    try {
      const sent = said({
        ...form,
        tests: form.tests?.map((t) => said(t)),
        drawings: form.drawings?.map((d) => said(d)),
        lots: form.lots?.filter((l) => l.trim() !== ""),
        terms: form.terms && said({ ...form.terms, limits: form.terms.limits?.map((l) => said(l)) }),
      });
      const next = job ? await api.changeJob(job.id, sent, job.version) : await api.createJob(sent);
      setFault(undefined);
      setStored(true);
      await queries.invalidateQueries({ queryKey: ["jobs"] });
      await navigate(`/jobs/${next.id}`);
    } catch (x) {
      setFault(x);
    }
  };
  const fixed = (job?.welds ?? 0) > 0;
  return (
    <div className="card panel">
      <header>
        <h2>{job ? job.form.name : "A new job"}</h2>
        {job && (
          <Link className="way" to={`/worklist?job=${job.id}`}>
            {welds(job)}
          </Link>
        )}
      </header>
      <div className="body">
        <form onSubmit={(e) => void store(e)} aria-label="The job">
          <ConfigProvider componentDisabled={!mayChange}>
            <FormGrid>
              <TextField
                id="name"
                label="Job"
                span={4}
                value={form.name}
                problem={problems.name}
                onChange={(v) => set({ name: v })}
              />
              <ChoiceField
                id="criteria"
                label={fixed ? "Acceptance criteria, fixed by its welds" : "Acceptance criteria"}
                span={5}
                disabled={fixed}
                value={form.criteria}
                problem={problems.criteria}
                options={(books.data ?? []).map((b) => [b.id, `${b.title}, ${b.edition}`] as const)}
                onChange={(v) => set({ criteria: v })}
              />
              <ChoiceField
                id="units"
                label="Drawings in"
                span={3}
                disabled={fixed}
                value={form.units}
                problem={problems.units}
                options={[
                  ["in", "inches"],
                  ["mm", "mm"],
                ]}
                onChange={(v) => set({ units: v })}
              />
              <ChoiceField
                id="loading"
                label="Loading"
                span={3}
                value={form.loading}
                problem={problems.loading}
                options={loadings}
                onChange={(v) => set({ loading: v })}
              />
              <TextField
                id="contract"
                label="Contract’s own specification"
                span={5}
                value={form.contract}
                onChange={(v) => set({ contract: v })}
                placeholder="its number and revision"
              />
              <TextField
                id="apart"
                label={`Starts and stops apart, ${form.units}`}
                span={4}
                value={form.apart}
                problem={problems.apart}
                onChange={(v) => set({ apart: v })}
                placeholder={form.units === "mm" ? "25.4, a rule of thumb" : "1, a rule of thumb"}
              />
              <ChoiceField
                id="oneHand"
                label="Inspection and repair"
                span={12}
                value={form.oneHand ? "one" : ""}
                options={hands}
                onChange={(v) => set({ oneHand: v === "one" ? true : undefined })}
              />
              <TextField
                id="lots"
                label="Lots, separated by commas"
                span={12}
                value={form.lots?.join(", ")}
                onChange={(v) => set({ lots: v === "" ? [] : v.split(/,\s?/) })}
              />
            </FormGrid>
            <Row gutter={24}>
              <Col xs={24} md={12}>
                <h3>Drawings</h3>
                {(form.drawings ?? []).map((d, i) => (
                  <FormGrid key={i}>
                    <TextField
                      id={`d${i}`}
                      label="Number"
                      span={6}
                      value={d.number}
                      problem={problems[`drawings[${i}].number`]}
                      onChange={(v) =>
                        set({ drawings: form.drawings?.map((x, n) => (n === i ? { ...x, number: v } : x)) })
                      }
                    />
                    <TextField
                      id={`dr${i}`}
                      label="Revision"
                      span={3}
                      value={d.revision}
                      onChange={(v) =>
                        set({ drawings: form.drawings?.map((x, n) => (n === i ? { ...x, revision: v } : x)) })
                      }
                    />
                    <TakeOff onClick={() => set({ drawings: form.drawings?.filter((_, n) => n !== i) })} />
                  </FormGrid>
                ))}
                <Button type="link" onClick={() => set({ drawings: [...(form.drawings ?? []), {}] })}>
                  add a drawing
                </Button>
              </Col>
              <Col xs={24} md={12}>
                <h3>Further tests</h3>
                {(form.tests ?? []).map((t, i) => (
                  <FormGrid key={i}>
                    <ChoiceField
                      id={`t${i}`}
                      label="Method"
                      span={3}
                      value={t.method}
                      problem={problems[`tests[${i}].method`]}
                      options={["", "MT", "PT", "UT", "RT"].map((m) => [m, m || "–"] as const)}
                      onChange={(v) => set({ tests: form.tests?.map((x, n) => (n === i ? { ...x, method: v } : x)) })}
                    />
                    <TextField
                      id={`tp${i}`}
                      label="Percent"
                      span={3}
                      value={t.percent === undefined ? "" : String(t.percent)}
                      problem={problems[`tests[${i}].percent`]}
                      onChange={(v) =>
                        set({
                          tests: form.tests?.map((x, n) =>
                            n === i ? { ...x, percent: v === "" ? undefined : Number(v) || 0 } : x,
                          ),
                        })
                      }
                    />
                    <ChoiceField
                      id={`ts${i}`}
                      label="Stands"
                      span={3}
                      value={t.status ?? "due"}
                      options={states}
                      onChange={(v) => set({ tests: form.tests?.map((x, n) => (n === i ? { ...x, status: v } : x)) })}
                    />
                    <TakeOff onClick={() => set({ tests: form.tests?.filter((_, n) => n !== i) })} />
                  </FormGrid>
                ))}
                <Button
                  type="link"
                  onClick={() => set({ tests: [...(form.tests ?? []), { method: "MT", status: "due" }] })}
                >
                  add a test
                </Button>
                <p className="cautions">Visual acceptance is not release while one of these is due.</p>
              </Col>
            </Row>
            <Schools picks={form.schools ?? {}} onChange={(schools) => set({ schools })} />
            <Terms
              terms={form.terms ?? {}}
              units={form.units ?? "in"}
              problems={problems}
              onChange={(terms) => set({ terms })}
            />
            {fault !== undefined && (
              <p role="alert" className="fault">
                {saidBy(fault)}
              </p>
            )}
            {mayChange && (
              <Button type="primary" htmlType="submit">
                {job ? "Store the job" : "Set up the job"}
              </Button>
            )}
            {stored && (
              <span role="status" className="v-accept spaced">
                Stored
              </span>
            )}
          </ConfigProvider>
        </form>
        {job && <WeldList job={job} mayImport={mayChange} />}
        {job && <Reports key={job.id} job={job.id} lots={job.form.lots ?? []} />}
        {job && <SignedRecords job={job.id} />}
      </div>
    </div>
  );
}

function TakeOff({ onClick }: { onClick: () => void }) {
  return (
    <Cell span={3} bottom>
      <Button type="link" onClick={onClick}>
        take off
      </Button>
    </Cell>
  );
}

const welds = (job: Job) => (job.welds === 1 ? "1 weld" : `${job.welds} welds`);
