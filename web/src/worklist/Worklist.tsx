import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { Fragment, useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import { useActor } from "../lib/session";
import { api, saidBy, type Row } from "../lib/api";
import { TopBar } from "../lib/TopBar";
import { VerdictMark } from "../lib/VerdictMark";

const groups = [
  ["all", "All"],
  ["inspect", "Inspect"],
  ["in-progress", "In progress"],
  ["sign", "Sign"],
  ["disposition", "Disposition"],
  ["hold", "On hold"],
  ["repair", "Repair"],
  ["done", "Done"],
] as const;

/** The joints, where each stands and what comes next. */
export default function Worklist() {
  const actor = useActor();
  const [find, setFind] = useState("");
  const [group, setGroup] = useState<string>("all");
  const [params, setParams] = useSearchParams();
  const job = params.get("job") ?? "";
  const jobs = useQuery({ queryKey: ["jobs"], queryFn: api.jobs, staleTime: 30_000 });
  const joints = useQuery({
    queryKey: ["joints", find, group, job],
    queryFn: () => api.joints(find.trim(), group, job),
    refetchInterval: 10_000,
    placeholderData: keepPreviousData,
  });
  const rows = joints.data?.rows ?? [];
  const counts = joints.data?.counts ?? {};
  const setsUp = ["INSPECTOR", "WELDING_ENGINEER", "QUALITY_MANAGER"].includes(actor.role);
  const all = find === "" && group === "all" && job === "";
  const hidden = (joints.data?.fitting ?? 0) - rows.length;
  return (
    <div className="app">
      <TopBar rooms />
      <main className="list">
        <div className="tools">
          <input
            className="text find"
            aria-label="Find by mark"
            placeholder="Find by mark"
            value={find}
            autoFocus
            onChange={(e) => setFind(e.target.value)}
          />
          {(jobs.data?.length ?? 0) > 1 && (
            <select
              className="text"
              style={{ width: 124 }}
              aria-label="Show the job"
              value={job}
              onChange={(e) => setParams(e.target.value ? { job: e.target.value } : {}, { replace: true })}
            >
              <option value="">all jobs</option>
              {jobs.data?.map((j) => (
                <option key={j.id} value={j.id}>
                  {j.form.name}
                </option>
              ))}
            </select>
          )}
          <div className="kinds" role="group" aria-label="Show">
            {groups.map(([id, word]) => (
              <button key={id} type="button" className="pick" aria-pressed={group === id} onClick={() => setGroup(id)}>
                {word}
                <span className="n">{counts[id] ?? 0}</span>
              </button>
            ))}
          </div>
          <span style={{ flex: 1 }} />
          {setsUp && (
            <Link
              to="/joints/new"
              className="btn main"
              style={{ display: "inline-flex", alignItems: "center", textDecoration: "none" }}
            >
              Set up a joint
            </Link>
          )}
        </div>
        <div className="card rows">
          {joints.isError && (
            <p className="fault" style={{ padding: 16 }}>
              {saidBy(joints.error)}
            </p>
          )}
          {joints.isSuccess && rows.length === 0 && (
            <p style={{ padding: 24 }}>
              {all ? "No joint is set up yet." : "No joint fits. Clear the mark, or show all."}
            </p>
          )}
          {rows.length > 0 && <Table rows={rows} inspects={actor.role === "INSPECTOR"} />}
          {hidden > 0 && <p style={{ padding: 16 }}>{hidden} more: narrow the list by mark, job or state.</p>}
        </div>
      </main>
    </div>
  );
}

function Table({ rows, inspects }: { rows: Row[]; inspects: boolean }) {
  const place = (r: Row | undefined) => r && `${r.job} · ${r.lot}`;
  const body = rows.map((r, i) => (
    <Fragment key={r.inspectionId}>
      {place(r) !== place(rows[i - 1]) && (
        <tr className="lot">
          <td colSpan={7}>{place(r)}</td>
        </tr>
      )}
      <Line row={r} inspects={inspects} />
    </Fragment>
  ));
  return (
    <table>
      <thead>
        <tr>
          <th>Weld</th>
          <th>What it is</th>
          <th>Position</th>
          <th>Welder</th>
          <th>Stage</th>
          <th>Verdict</th>
          <th>Next</th>
        </tr>
      </thead>
      <tbody>{body}</tbody>
    </table>
  );
}

function Line({ row, inspects }: { row: Row; inspects: boolean }) {
  const navigate = useNavigate();
  const path = `/inspections/${row.inspectionId}`;
  const name = [row.mark, row.weldNo && `weld ${row.weldNo}`].filter(Boolean);
  return (
    <tr onClick={() => navigate(path)}>
      <td>
        <Link className="big" to={path} onClick={(e) => e.stopPropagation()}>
          {name[0]}
          {name[1] && (
            <span className="quiet small" style={{ marginLeft: 8, fontWeight: 600 }}>
              {name[1]}
              {row.side ? `, ${row.side} side` : ""}
            </span>
          )}
        </Link>
      </td>
      <td>{row.inWords}</td>
      <td>{row.position ?? "–"}</td>
      <td>{row.welder ?? "–"}</td>
      <td>
        {row.stage}
        {row.capacity === "verification" && <span className="quiet"> · owner’s</span>}
        {row.revision > 1 && <span className="quiet"> · rev {row.revision}</span>}
      </td>
      <td>
        {row.begun || row.signed ? <VerdictMark verdict={row.verdict} /> : <span className="quiet">not begun</span>}
      </td>
      <td>
        <span className="next">{row.next}</span>
        {inspects && row.alike > 1 && !row.begun && (
          <Link
            className="small"
            style={{ display: "block" }}
            to={`${path}/sheet`}
            onClick={(e) => e.stopPropagation()}
          >
            {row.alike} alike: one sheet
          </Link>
        )}
        {row.holder && !row.signed && <div className="quiet small">{row.holder} has it</div>}
      </td>
    </tr>
  );
}
