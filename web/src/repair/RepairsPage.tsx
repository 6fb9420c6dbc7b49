import "./repair.css";
import { SearchOutlined } from "@ant-design/icons";
import { keepPreviousData, useInfiniteQuery, useQuery } from "@tanstack/react-query";
import { Alert, Flex, Input, Tabs } from "antd";
import { useEffect, useRef, useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import { api, saidBy, type Repairs } from "../lib/api";
import { DataTable, type Column, type Sort } from "../lib/DataTable";
import { Choice } from "../lib/fields";
import { TopBar } from "../lib/TopBar";
import { dayOf } from "../lib/local-time";
import { useNewest } from "../lib/useNewest";
import { useSettled } from "../lib/useSettled";
import { HoldMark } from "./HoldMark";

const size = 100;
const standings = [
  ["", "wherever it stands"],
  ["undecided", "no disposition yet"],
  ["hold", "on hold"],
  ["open", "open"],
  ["extent-known", "extent known"],
  ["excavated", "excavated"],
  ["cavity-accepted", "cavity accepted"],
  ["welded", "welded"],
  ["ready-to-inspect", "ready to inspect"],
] as const;

type Waiting = Repairs["waiting"][number];
type Rejected = Repairs["defects"][number];

/** The shop's repairs: what waits for the Engineer, and every rejected place that is not closed; found, sorted and cut by the server. */
export default function RepairsPage() {
  const navigate = useNavigate();
  const [params, setParams] = useSearchParams();
  const job = params.get("job") ?? "";
  const tab = params.get("tab") ?? "rejected";
  const where = params.get("where") ?? "";
  const set = (change: Record<string, string>) => {
    const next = { ...Object.fromEntries(params), ...change };
    setParams(Object.fromEntries(Object.entries(next).filter(([, v]) => v !== "")), { replace: true });
  };
  const [find, setFind] = useState("");
  const [sort, setSort] = useState<Sort>();
  const jobs = useQuery({ queryKey: ["jobs"], queryFn: api.jobs, staleTime: 30_000 });
  const wanted = {
    find: useSettled(find.trim()),
    where,
    sort: sort ? `${sort.down ? "-" : ""}${sort.key}` : "",
    ...(job ? { job } : {}),
  };
  const list = useInfiniteQuery({
    queryKey: ["repairs", wanted],
    queryFn: ({ pageParam }) => api.repairs({ ...wanted, from: pageParam, size }),
    initialPageParam: 0,
    getNextPageParam: (last, all) =>
      all.length * size < Math.max(last.fitting, last.fittingWaiting) ? all.length * size : undefined,
    placeholderData: keepPreviousData,
    refetchInterval: 60_000,
  });
  const first = list.data?.pages[0];
  const newest = useNewest();
  const shown = useRef(newest);
  const { refetch } = list;
  useEffect(() => {
    if (shown.current && newest !== shown.current) void refetch();
    shown.current = newest;
  }, [newest, refetch]);
  const more = () => {
    if (list.hasNextPage && !list.isFetchingNextPage) void list.fetchNextPage();
  };
  const shared = { fill: true, loading: list.isPending || list.isPlaceholderData, onSort: setSort, onEnd: more };
  const open = (id: string) => void navigate(`/defects/${id}`);
  return (
    <div className="app">
      <TopBar rooms />
      <main className="list">
        <Flex wrap gap={10} align="center">
          <Input
            className="box wide-box"
            aria-label="Find a rejected place"
            prefix={<SearchOutlined />}
            allowClear
            placeholder="number, mark, lot, words"
            value={find}
            onChange={(e) => setFind(e.target.value)}
          />
          <Tabs
            className="tabs"
            activeKey={tab}
            onChange={(k) => set({ tab: k })}
            items={[
              { key: "rejected", label: `Rejected places (${first?.fitting ?? 0})` },
              { key: "waiting", label: `Waits for the Engineer (${first?.fittingWaiting ?? 0})` },
            ]}
          />
          <span className="grow" />
          {tab === "rejected" && (
            <Choice
              width={200}
              aria-label="Where it stands"
              value={where}
              options={standings}
              onChange={(v) => set({ where: v })}
            />
          )}
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
        {list.isError && <Alert type="error" showIcon title={saidBy(list.error)} />}
        {tab === "waiting" ? (
          <DataTable<Waiting>
            name="repairs-waiting"
            label="Waits for the Engineer"
            {...shared}
            rows={list.data?.pages.flatMap((p) => p.waiting) ?? []}
            rowKey={(w) => w.defect + w.kind}
            onOpen={(w) => open(w.defect)}
            columns={waiting}
            empty="Nothing waits for the Engineer."
          />
        ) : (
          <DataTable<Rejected>
            name="repairs"
            label="Rejected places"
            {...shared}
            rows={list.data?.pages.flatMap((p) => p.defects) ?? []}
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
  { key: "job", title: "Job", width: 170, value: (w) => w.job },
  { key: "what", title: "What was rejected", value: (w) => w.words },
  {
    key: "for",
    title: "Waits for",
    value: (w) => w.hold,
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
  { key: "job", title: "Job", width: 150, value: (d) => d.job },
  { key: "lot", title: "Lot", width: 140, value: (d) => d.lot, extra: true },
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
    render: (d) => d.disposition ?? <span className="quiet">none yet</span>,
  },
  {
    key: "state",
    title: "State",
    width: 190,
    value: (d) => (d.onHold ? `on hold, ${d.stateTitle.toLowerCase()}` : d.stateTitle),
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
