import "../practice/practice.css";
import { Button, Segmented } from "antd";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { lazy, Suspense, useState } from "react";
import { Link, useSearchParams } from "react-router";
import { api, saidBy } from "../lib/api";
import { plotsReport, type Plot, type PlotPoint, type PlotScope } from "../lib/api-plots";
import { ChoiceField, DateField } from "../lib/fields";
import { DataTable } from "../lib/DataTable";
import { FormGrid } from "../lib/FormGrid";
import { SmallTable } from "../lib/SmallTable";
import { TopBar } from "../lib/TopBar";
import { PlotWelds } from "./PlotWelds";

const Drawn = lazy(() => import("./Drawn"));
const narrows = ["job", "welder", "procedure", "from", "to"] as const;

/** Questions about what was signed and repaired, each with its answer; the one that is chosen with its plot, its table and its welds. */
export default function WhereToAct() {
  const [search, setSearch] = useSearchParams();
  const scope: PlotScope = Object.fromEntries(
    narrows.flatMap((n) => (search.get(n) ? [[n, search.get(n) as string]] : [])),
  );
  const plots = useQuery({
    queryKey: ["plots", scope],
    queryFn: () => api.plots(scope),
    placeholderData: keepPreviousData,
  });
  const all = plots.data?.plots ?? [];
  const chosen = all.find((p) => p.id === search.get("plot")) ?? all[0];
  const narrow = (name: string, value: string) => {
    const next = new URLSearchParams(search);
    if (value) next.set(name, value);
    else next.delete(name);
    setSearch(next, { replace: true });
  };
  return (
    <div className="app">
      <TopBar rooms />
      <main className="halves even">
        <section className="card panel" aria-label="Where to act">
          <header>
            <h2>Where to act</h2>
            <Link className="way" to="/reject-rates">
              reject rates
            </Link>
            <a className="way" href={plotsReport(scope, "pdf")} target="_blank" rel="noreferrer">
              PDF
            </a>
            <a className="way" href={plotsReport(scope, "xlsx")}>
              xlsx
            </a>
          </header>
          <div className="body" role="region" aria-label="What is asked" tabIndex={0}>
            <Scope scope={scope} onChange={narrow} />
            {plots.isError && (
              <p role="alert" className="fault">
                {saidBy(plots.error)}
              </p>
            )}
            <DataTable<Plot>
              name="plots"
              label="Questions"
              plain
              rows={all}
              loading={plots.isPending}
              rowKey={(p) => p.id}
              chosen={chosen?.id}
              onOpen={(p) => narrow("plot", p.id)}
              columns={[
                {
                  key: "question",
                  title: plots.data ? `Of ${plots.data.of}` : "",
                  render: (p) => (
                    <>
                      <b>{p.question}</b>
                      <div className={p.enough ? "small" : "small quiet"}>
                        {p.enough ? "" : "△ "}
                        {p.answer}
                      </div>
                    </>
                  ),
                },
              ]}
              empty=""
            />
            <p className="cautions">
              Signed QC inspections, the last one of each weld, and the rejects raised from them. Positions, lengths and
              joints differ between welders: a rate is where to look, not a judgement of a person.
            </p>
          </div>
        </section>
        {chosen && <Opened key={chosen.id} plot={chosen} scope={scope} />}
      </main>
    </div>
  );
}

function Scope({ scope, onChange }: { scope: PlotScope; onChange: (name: string, value: string) => void }) {
  const jobs = useQuery({ queryKey: ["jobs"], queryFn: api.jobs });
  const welders = useQuery({ queryKey: ["welders"], queryFn: api.welders });
  const procedures = useQuery({ queryKey: ["procedures"], queryFn: api.procedures });
  const any = ["", "all"] as const;
  return (
    <FormGrid role="group" aria-label="Of which welds">
      <ChoiceField
        id="of-job"
        label="Job"
        span={4}
        value={scope.job ?? ""}
        options={[any, ...(jobs.data ?? []).map((j) => [j.id, j.form.name ?? ""] as const)]}
        onChange={(v) => onChange("job", v)}
      />
      <ChoiceField
        id="of-welder"
        label="Welder"
        span={2}
        value={scope.welder ?? ""}
        options={[any, ...(welders.data ?? []).map((w) => [w.form.stamp ?? "", w.form.stamp ?? ""] as const)]}
        onChange={(v) => onChange("welder", v)}
      />
      <ChoiceField
        id="of-procedure"
        label="Procedure"
        span={2}
        value={scope.procedure ?? ""}
        options={[any, ...(procedures.data ?? []).map((p) => [p.form.number ?? "", p.form.number ?? ""] as const)]}
        onChange={(v) => onChange("procedure", v)}
      />
      <DateField
        id="of-from"
        label="From"
        placeholder="any"
        span={2}
        value={scope.from}
        onChange={(v) => onChange("from", v)}
      />
      <DateField
        id="of-to"
        label="To"
        placeholder="any"
        span={2}
        value={scope.to}
        onChange={(v) => onChange("to", v)}
      />
    </FormGrid>
  );
}

/** A question with its answer, its plot or its table; a touch on a point opens the welds behind it. */
function Opened({ plot: p, scope }: { plot: Plot; scope: PlotScope }) {
  const [as, setAs] = useState<"plot" | "table">("plot");
  const [at, setAt] = useState<PlotPoint>();
  return (
    <section className="card panel" aria-label={p.question}>
      <header>
        <h2 className="clipped">{p.question}</h2>
        <Segmented
          aria-label="Shown as"
          value={as}
          onChange={setAs}
          options={[
            { value: "plot", label: "Plot" },
            { value: "table", label: "Table" },
          ]}
        />
      </header>
      <div className="body" role="region" aria-label="Answer, plot and welds" tabIndex={0}>
        {p.points.length > 0 && as === "plot" && (
          <Suspense fallback={<div className="curve" />}>
            <Drawn plot={p} chosen={at?.key} onPick={setAt} />
          </Suspense>
        )}
        {p.points.length > 0 && as === "table" && (
          <SmallTable
            label={p.question}
            rows={p.points}
            rowKey={(x) => x.key}
            columns={p.columns.map(
              (title, i) =>
                [
                  title,
                  (x: PlotPoint) =>
                    i === 0 ? (
                      <Button type="link" className="named" onClick={() => setAt(x)}>
                        {`${said(x)}${x.cells[0] ?? ""}`}
                      </Button>
                    ) : (
                      x.cells[i]
                    ),
                ] as const,
            )}
          />
        )}
        <p className={p.enough ? "strong" : "quiet"}>
          {p.enough ? "" : "△ "}
          {p.answer}
        </p>
        {at ? (
          <PlotWelds plot={p} point={at} scope={scope} />
        ) : (
          p.points.length > 0 && <p className="quiet">Touch a point, a bar or a row: the welds behind it.</p>
        )}
        <p className="cautions">{p.note}</p>
      </div>
    </section>
  );
}

/** What marks a row, by a shape of its own. */
function said(x: PlotPoint): string {
  return x.mark === undefined ? "" : x.mark === "FEW" ? "△ " : "● ";
}
