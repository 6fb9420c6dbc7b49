import "../practice/practice.css";
import { Button, Flex, Segmented } from "antd";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { lazy, Suspense, useState } from "react";
import { Link } from "react-router";
import { api, saidBy } from "../lib/api";
import { studyReportOf, type GaugeStudy, type Spread, type Study } from "../lib/api-study";
import { dayOf } from "../lib/local-time";
import { holds } from "../lib/roles";
import { useActor } from "../lib/session";
import { SmallTable } from "../lib/SmallTable";
import { Consequence } from "./Consequence";
import { AgreementCard } from "./AgreementCard";
import { numberOf, percentOf } from "./words";

const ReadingsPlot = lazy(() => import("./ReadingsPlot"));

/** What a study comes to. */
export function StudyCard({ id }: { id: string }) {
  const study = useQuery({ queryKey: ["study", id], queryFn: () => api.study(id) });
  const queries = useQueryClient();
  const actor = useActor();
  const change = useMutation({
    mutationFn: (how: (id: string) => Promise<Study>) => how(id),
    onSuccess: (now) => {
      queries.setQueryData(["study", id], now);
      return queries.invalidateQueries({
        predicate: (q) => ["studies", "gauges", "bench"].includes(String(q.queryKey[0])),
      });
    },
  });
  const s = study.data;
  return (
    <section className="card panel" aria-label="The study">
      <header>
        <h2>{s?.title ?? ""}</h2>
        <Flex gap={12} className="small">
          {(["pdf", "csv", "xlsx", "json"] as const).map((as) => (
            <a key={as} href={studyReportOf(id, as)} target="_blank" rel="noreferrer">
              {as.toUpperCase()}
            </a>
          ))}
        </Flex>
      </header>
      <div className="body" role="region" aria-label="What it comes to" tabIndex={0}>
        {study.isError && <p className="fault">{saidBy(study.error)}</p>}
        {s?.gauge && <OfGauge study={s.gauge} />}
        {s?.gauge && holds(actor, "QUALITY_MANAGER") && <Consequence id={id} study={s.gauge} />}
        {s?.agreement && <AgreementCard said={s.said} agreement={s.agreement} />}
        {s && (
          <>
            {change.isError && (
              <p role="alert" className="fault">
                {saidBy(change.error)}
              </p>
            )}
            <Flex wrap gap={8}>
              {s.gauge && holds(actor, "QUALITY_MANAGER") && !s.withdrawn && (
                <Button
                  type={s.gauge.inUse ? "default" : "primary"}
                  onClick={() => change.mutate(s.gauge?.inUse ? api.useStudyNoMore : api.useStudy)}
                >
                  {s.gauge.inUse ? "Use the division again" : "Use it in the register"}
                </Button>
              )}
              {holds(actor, "INSPECTOR", "INSTRUCTOR", "QUALITY_MANAGER") && (
                <Button onClick={() => change.mutate(s.withdrawn ? api.studyOn : api.studyOff)}>
                  {s.withdrawn ? "Put it back" : "Take it off"}
                </Button>
              )}
            </Flex>
            <p className="small quiet">
              Recorded by {s.by}, {dayOf(s.at)}.
            </p>
          </>
        )}
      </div>
    </section>
  );
}

function OfGauge({ study: g }: { study: GaugeStudy }) {
  const [by, setBy] = useState<"part" | "person">("part");
  return (
    <>
      <p>
        <b>{g.said}</b>
      </p>
      <p>
        {g.gaugeId ? <Link to="/gauges">{g.gauge}</Link> : `${g.gauge} (not in the register)`}, {g.quantity}: one
        reading by these people has a standard uncertainty of{" "}
        <b>
          {numberOf(g.uncertainty)} {g.units}
        </b>
        .{" "}
        {g.inUse
          ? "The register takes it: readings near a limit and guarded acceptance go by it."
          : "The register does not take it: the division and the certificate stand."}
      </p>
      <Segmented
        aria-label="Plot"
        value={by}
        options={[
          { value: "part", label: "By part" },
          { value: "person", label: "By person" },
        ]}
        onChange={setBy}
      />
      <Suspense fallback={<div className="curve" />}>
        <ReadingsPlot study={g} by={by} />
      </Suspense>
      {by === "part" ? (
        <Shapes people={g.people} />
      ) : (
        <p className="small quiet">
          Each reading less the mean of its part, {g.units}: who reads high or low, who scatters.
        </p>
      )}
      <Results study={g} />
      {g.bias && <Bias study={g} bias={g.bias} />}
      <p className="cautions">
        The study holds for this gauge, these people and parts like these. Under 10 % of the total is good, to 30 %
        conditional. An interaction that chance gives in more than 25 of 100 is pooled. From memory; your copy of the
        method decides.
      </p>
    </>
  );
}

const marks = ["●", "□", "▲", "◇", "✚", "☆"];

function Shapes({ people }: { people: string[] }) {
  return (
    <p className="small quiet">
      Every reading by part: {people.map((name, a) => `${marks[a % marks.length]} ${name}`).join(" · ")}
    </p>
  );
}

type Line = { title: string; cell: (r: Spread) => string };

function Results({ study: g }: { study: GaugeStudy }) {
  const lines: Line[] = [
    { title: "Repeatability (EV)", cell: (r) => numberOf(r.ev) },
    { title: "Reproducibility (AV)", cell: (r) => numberOf(r.av) },
    {
      title: "Gauge and people (GRR)",
      cell: (r) =>
        numberOf(r.grr) +
        (r.low !== undefined && r.high !== undefined ? `, 95 %: ${numberOf(r.low)} to ${numberOf(r.high)}` : ""),
    },
    { title: "Parts (PV)", cell: (r) => numberOf(r.pv) },
    { title: "Total (TV)", cell: (r) => numberOf(r.total) },
    { title: "GRR of the total", cell: (r) => `${percentOf(r.percent)}, ${r.words}` },
    ...(g.tolerance === undefined
      ? []
      : [
          {
            title: `GRR of ${numberOf(g.tolerance)} ${g.units}`,
            cell: (r: Spread) => percentOf(r.percentOfTolerance ?? 0),
          },
        ]),
    { title: "Groups told apart", cell: (r) => String(r.categories ?? "all") },
    {
      title: "Interaction",
      cell: (r) =>
        r.interaction === undefined
          ? "not asked"
          : `${r.pooled ? "pooled" : "kept"}, by chance ${percentOf(100 * r.interaction)}`,
    },
  ];
  return (
    <SmallTable
      label="Standard deviations"
      rows={lines}
      rowKey={(l) => l.title}
      columns={[
        [`Standard deviation, ${g.units}`, (l) => l.title],
        ...g.results.map((r, n) => [n === 0 ? `${r.method}: counts` : r.method, (l: Line) => l.cell(r)] as const),
      ]}
    />
  );
}

function Bias({ study: g, bias: b }: { study: GaugeStudy; bias: NonNullable<GaugeStudy["bias"]> }) {
  return (
    <>
      <h3>Against the reference</h3>
      <p>
        It reads {numberOf(Math.abs(b.mean))} {g.units} {b.mean < 0 ? "low" : "high"} in the mean
        {b.biased ? ", more than chance" : ", no more than chance"}. Along the range the bias{" "}
        {b.sloped
          ? `changes by ${numberOf(b.slope)} for each ${g.units}, more than chance.`
          : "does not change by more than chance."}
      </p>
      <SmallTable
        label="Bias by part"
        rows={g.parts.map((name, p) => ({ name, reference: g.references?.[p], bias: b.parts[p] ?? 0 }))}
        rowKey={(r) => r.name}
        columns={[
          ["Part", (r) => r.name],
          ["Reference", (r) => (r.reference === undefined ? "" : numberOf(r.reference))],
          ["Reading less reference", (r) => numberOf(r.bias)],
        ]}
      />
    </>
  );
}
