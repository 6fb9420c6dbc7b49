import "./repair.css";
import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { Alert, Flex, Tabs } from "antd";
import { useEffect, useRef } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import { api, saidBy, type Repairs } from "../lib/api";
import { DataTable, type Column } from "../lib/DataTable";
import { Choice } from "../lib/fields";
import { TopBar } from "../lib/TopBar";
import { dayOf } from "../lib/local-time";
import { useNewest } from "../lib/useNewest";
import { HoldMark } from "./HoldMark";

type Waiting = Repairs["waiting"][number];
type Rejected = Repairs["defects"][number];

/** The shop's repairs: what waits for the Engineer, and every rejected place that is not closed. */
export default function RepairsPage() {
  const navigate = useNavigate();
  const [params, setParams] = useSearchParams();
  const job = params.get("job") ?? "";
  const tab = params.get("tab") ?? "rejected";
  const set = (change: Record<string, string>) => {
    const next = { ...Object.fromEntries(params), ...change };
    setParams(Object.fromEntries(Object.entries(next).filter(([, v]) => v !== "")), { replace: true });
  };
  const jobs = useQuery({ queryKey: ["jobs"], queryFn: api.jobs, staleTime: 30_000 });
  const page = useQuery({
    queryKey: ["repairs", job],
    queryFn: () => api.repairs(job),
    placeholderData: keepPreviousData,
    refetchInterval: 60_000,
  });
  const newest = useNewest();
  const shown = useRef(newest);
  const { refetch } = page;
  useEffect(() => {
    if (shown.current && newest !== shown.current) void refetch();
    shown.current = newest;
  }, [newest, refetch]);
  const open = (id: string) => void navigate(`/defects/${id}`);
  return (
    <div className="app">
      <TopBar rooms />
      <main className="list">
        <Flex wrap gap={10} align="center">
          <Tabs
            className="tabs"
            activeKey={tab}
            onChange={(k) => set({ tab: k })}
            items={[
              { key: "rejected", label: `Rejected places (${page.data?.defects.length ?? 0})` },
              { key: "waiting", label: `Waits for the Engineer (${page.data?.waiting.length ?? 0})` },
            ]}
          />
          <span className="grow" />
          <Choice
            width={270}
            aria-label="Show the job"
            value={job}
            options={[
              ["", "all jobs: what is not closed"],
              ...(jobs.data ?? []).map((j) => [j.id, `${j.form.name}, closed ones too`] as const),
            ]}
            onChange={(v) => set({ job: v })}
          />
        </Flex>
        {page.isError && <Alert type="error" showIcon title={saidBy(page.error)} />}
        {tab === "waiting" ? (
          <DataTable<Waiting>
            name="repairs-waiting"
            label="Waits for the Engineer"
            fill
            rows={page.data?.waiting ?? []}
            loading={page.isPending}
            rowKey={(w) => w.defect + w.kind}
            onOpen={(w) => open(w.defect)}
            columns={waiting}
            empty="Nothing waits for the Engineer."
          />
        ) : (
          <DataTable<Rejected>
            name="repairs"
            label="Rejected places"
            fill
            rows={page.data?.defects ?? []}
            loading={page.isPending}
            rowKey={(d) => d.id}
            onOpen={(d) => open(d.id)}
            columns={rejected}
            empty="Nothing is rejected that is not closed."
          />
        )}
      </main>
    </div>
  );
}

function Number({ id, children }: { id: string; children: string }) {
  return (
    <Link className="big" to={`/defects/${id}`} onClick={(e) => e.stopPropagation()}>
      {children}
    </Link>
  );
}

const waiting: Column<Waiting>[] = [
  {
    key: "no",
    title: "No.",
    width: 100,
    value: (w) => w.number,
    render: (w) => <Number id={w.defect}>{w.number}</Number>,
  },
  { key: "weld", title: "Weld", width: 130, value: (w) => w.mark },
  { key: "job", title: "Job", width: 170, value: (w) => w.job, filter: true },
  { key: "what", title: "What was rejected", value: (w) => w.words },
  {
    key: "for",
    title: "Waits for",
    value: (w) => w.hold,
    filter: true,
    render: (w) => (
      <>
        <HoldMark /> {w.hold}
      </>
    ),
  },
  { key: "since", title: "Since", width: 130, value: (w) => w.since, render: (w) => dayOf(w.since) },
];

const rejected: Column<Rejected>[] = [
  { key: "no", title: "No.", width: 100, value: (d) => d.number, render: (d) => <Number id={d.id}>{d.number}</Number> },
  { key: "weld", title: "Weld", width: 120, value: (d) => d.mark },
  { key: "job", title: "Job", width: 150, value: (d) => d.job, filter: true },
  { key: "lot", title: "Lot", width: 140, value: (d) => d.lot, filter: true, extra: true },
  {
    key: "what",
    title: "What was rejected",
    value: (d) => d.words,
    render: (d) => (
      <>
        {d.words}
        {d.cycle > 1 && <span className="hint"> · repair {d.cycle} of this place</span>}
      </>
    ),
  },
  {
    key: "disposition",
    title: "Disposition",
    width: 170,
    value: (d) => d.disposition ?? "none yet",
    filter: true,
    render: (d) => d.disposition ?? <span className="quiet">none yet</span>,
  },
  {
    key: "state",
    title: "State",
    width: 190,
    value: (d) => (d.onHold ? `on hold, ${d.stateTitle.toLowerCase()}` : d.stateTitle),
    filter: true,
    render: (d) => (
      <span data-state={d.state}>
        {d.onHold && (
          <>
            <HoldMark /> on hold,{" "}
          </>
        )}
        {d.onHold ? d.stateTitle.toLowerCase() : d.stateTitle}
      </span>
    ),
  },
  { key: "since", title: "Since", width: 125, value: (d) => d.raisedAt, render: (d) => dayOf(d.raisedAt) },
];
