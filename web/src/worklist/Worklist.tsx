import { holds } from "../lib/roles";
import { PlusOutlined, QrcodeOutlined, SearchOutlined } from "@ant-design/icons";
import { keepPreviousData, useInfiniteQuery, useQuery, type InfiniteData } from "@tanstack/react-query";
import { Alert, Button, Flex, Input, Segmented } from "antd";
import { useEffect, useMemo, useRef, useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import { api, saidBy, type Row, type WorklistPage } from "../lib/api";
import { DataTable, type Column, type Sort } from "../lib/DataTable";
import { Choice } from "../lib/fields";
import { useActor } from "../lib/session";
import { FirstHour } from "./FirstHour";
import { TopBar } from "../lib/TopBar";
import { useNarrow } from "../lib/useNarrow";
import { useNewest } from "../lib/useNewest";
import { useSettled } from "../lib/useSettled";
import { VerdictMark } from "../lib/VerdictMark";

const groups = [
  ["all", "All"],
  ["inspect", "Inspect"],
  ["in-progress", "In progress"],
  ["sign", "Sign"],
  ["disposition", "Disposition"],
  ["hold", "On hold"],
  ["repair", "Repair"],
  ["elsewhere", "Signed elsewhere"],
  ["done", "Done"],
] as const;
const page = 100;

/** Reads the list again once something new was stored. */
function useReadAgain(welds: { data: InfiniteData<WorklistPage> | undefined; refetch: () => Promise<unknown> }) {
  const newest = useNewest();
  const { data, refetch } = welds;
  const known = useRef(data);
  useEffect(() => {
    known.current = data;
  }, [data]);
  useEffect(() => {
    if (newest && known.current?.pages.some((p) => p.version !== newest)) void refetch();
  }, [newest, refetch]);
}

/** The welds, where each stands and what comes next; found, sorted and cut by the server. */
export default function Worklist() {
  const actor = useActor();
  const navigate = useNavigate();
  const narrow = useNarrow();
  const [find, setFind] = useState("");
  const [group, setGroup] = useState<string>("all");
  const [sort, setSort] = useState<Sort>();
  const [params, setParams] = useSearchParams();
  const job = params.get("job") ?? "";
  const jobs = useQuery({ queryKey: ["jobs"], queryFn: api.jobs, staleTime: 30_000 });
  const wanted = {
    find: useSettled(find.trim()),
    group,
    sort: sort ? `${sort.down ? "-" : ""}${sort.key}` : "",
    ...(job ? { job } : {}),
  };
  const welds = useInfiniteQuery({
    queryKey: ["joints", wanted],
    queryFn: ({ pageParam, signal }) => api.joints({ ...wanted, from: pageParam, size: page }, signal),
    initialPageParam: 0,
    getNextPageParam: (last, all) => (all.length * page < last.fitting ? all.length * page : undefined),
    refetchInterval: 60_000, // what a weld waits for goes by the clock
    placeholderData: keepPreviousData,
  });
  useReadAgain(welds);
  const rows = useMemo(() => welds.data?.pages.flatMap((p) => p.rows) ?? [], [welds.data]);
  const counts = welds.data?.pages[0]?.counts ?? {};
  const setsUp = holds(actor, "INSPECTOR", "WELDING_ENGINEER", "QUALITY_MANAGER");
  const all = find === "" && group === "all" && job === "";
  const inspects = holds(actor, "INSPECTOR");
  const columns = useMemo(() => columnsFor(inspects), [inspects]);
  const more = () => {
    if (welds.hasNextPage && !welds.isFetchingNextPage) void welds.fetchNextPage();
  };
  const shownGroups = groups
    .filter(([id]) => id !== "elsewhere" || counts[id])
    .map(([id, word]) => ({ value: id, label: `${word} ${counts[id] ?? 0}` }));
  return (
    <div className="app">
      <TopBar rooms />
      <main className="list">
        <Flex wrap gap={10} align="center">
          <Input
            className="box wide-box"
            aria-label="Find a weld"
            prefix={<SearchOutlined />}
            allowClear
            placeholder="mark, welder, WPS, words"
            value={find}
            autoFocus={!narrow}
            onChange={(e) => setFind(e.target.value)}
          />
          {(jobs.data?.length ?? 0) > 1 && (
            <Choice
              width={170}
              aria-label="Show the job"
              value={job}
              options={[["", "all jobs"], ...(jobs.data ?? []).map((j) => [j.id, j.form.name ?? ""] as const)]}
              onChange={(v) => setParams(v ? { job: v } : {}, { replace: true })}
            />
          )}
          <Button icon={<QrcodeOutlined />} aria-label="Scan a label" onClick={() => void navigate("/scan-label")} />
          {setsUp && (
            <Link to="/joints/new">
              <Button type="primary" icon={<PlusOutlined />} tabIndex={-1}>
                Set up a joint
              </Button>
            </Link>
          )}
          {narrow ? (
            <Choice
              aria-label="Show"
              value={group}
              options={shownGroups.map((g) => [g.value, g.label] as const)}
              onChange={setGroup}
            />
          ) : (
            <Segmented aria-label="Show" value={group} onChange={setGroup} options={shownGroups} />
          )}
        </Flex>
        {welds.isError && <Alert type="error" showIcon title={saidBy(welds.error)} />}
        {welds.isSuccess && all && rows.length === 0 && !holds(actor, "VIEWER") ? (
          <FirstHour />
        ) : (
          <DataTable<Row>
            name="worklist"
            label="Worklist"
            fill
            columns={columns}
            rows={rows}
            rowKey={(r) => r.inspectionId}
            loading={welds.isPending || welds.isPlaceholderData}
            onOpen={(r) => void navigate(`/inspections/${r.inspectionId}`)}
            onSort={setSort}
            onEnd={more}
            empty={all ? "No joint is set up yet." : "No weld fits. Clear the search, or show all."}
          />
        )}
      </main>
    </div>
  );
}

const place = (row: Row) => `/inspections/${row.inspectionId}`;

function columnsFor(inspects: boolean): Column<Row>[] {
  return [
    { key: "mark", title: "Weld", width: 212, value: (r) => r.mark, render: (r) => <Name row={r} /> },
    {
      key: "inWords",
      title: "What it is",
      width: 200,
      value: (r) => r.inWords,
      render: (r) => r.inWords.replace(/ (in|mm)$/, "\u00a0$1"), // a number and its unit stay together
    },
    { key: "job", title: "Job", width: 150, value: (r) => r.job, extra: true },
    { key: "lot", title: "Lot", width: 126, value: (r) => r.lot },
    { key: "position", title: "Position", width: 104, value: (r) => r.position },
    { key: "welder", title: "Welder", width: 98, value: (r) => r.welder },
    { key: "wps", title: "WPS", width: 110, value: (r) => r.wps, extra: true },
    { key: "stage", title: "Stage", width: 106, value: (r) => r.stage, render: (r) => <Stage row={r} /> },
    {
      key: "verdict",
      title: "Verdict",
      width: 132,
      value: (r) => r.verdict,
      render: (r) =>
        r.begun || r.signed ? <VerdictMark verdict={r.verdict} /> : <span className="quiet">not begun</span>,
    },
    {
      key: "next",
      title: "Next",
      width: 214,
      value: (r) => r.next,
      render: (r) => <Next row={r} inspects={inspects} />,
    },
  ];
}

function Name({ row }: { row: Row }) {
  return (
    <Link className="big" to={place(row)} onClick={(e) => e.stopPropagation()}>
      {row.mark}
      {row.weldNo && (
        <span className="quiet small">
          {" "}
          weld {row.weldNo}
          {row.side ? `, ${row.side} side` : ""}
        </span>
      )}
    </Link>
  );
}

function Stage({ row }: { row: Row }) {
  return (
    <>
      {row.stage}
      {row.capacity === "verification" && <span className="quiet"> · owner’s</span>}
      {row.revision > 1 && <span className="quiet"> · rev {row.revision}</span>}
    </>
  );
}

function Next({ row, inspects }: { row: Row; inspects: boolean }) {
  return (
    <>
      <b>{row.next}</b>
      {inspects && row.alike > 1 && !row.begun && (
        <Link className="small" to={`${place(row)}/sheet`} onClick={(e) => e.stopPropagation()}>
          {row.alike} alike: one sheet
        </Link>
      )}
      {row.holder && !row.signed && <div className="quiet small">{row.holder} has it</div>}
    </>
  );
}
