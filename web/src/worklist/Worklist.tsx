import { useQuery } from "@tanstack/react-query";
import { Fragment, useMemo, useState } from "react";
import { Link, useNavigate } from "react-router";
import { useActor } from "../lib/session";
import { api, saidBy, type Row } from "../lib/api";
import { TopBar } from "../lib/TopBar";
import { VerdictMark } from "../lib/VerdictMark";

const groups = [
  ["all", "All"],
  ["look", "To look at"],
  ["walk", "Half walked"],
  ["sign", "To sign"],
  ["dispose", "To dispose"],
  ["repair", "To repair"],
  ["done", "Done"],
] as const;

const MOST_ROWS = 300;

/** The joints, where each stands and what comes next. */
export default function Worklist() {
  const actor = useActor();
  const joints = useQuery({ queryKey: ["joints"], queryFn: api.joints, refetchInterval: 10_000 });
  const [find, setFind] = useState("");
  const [group, setGroup] = useState<string>("all");
  const rows = useMemo(() => joints.data ?? [], [joints.data]);
  const counts = useMemo(() => {
    const n: Record<string, number> = { all: rows.length };
    for (const r of rows) n[r.group] = (n[r.group] ?? 0) + 1;
    return n;
  }, [rows]);
  const shown = rows.filter(
    (r) => (group === "all" || r.group === group) && r.mark.toLowerCase().includes(find.trim().toLowerCase()),
  );
  const setsUp = ["INSPECTOR", "WELDING_ENGINEER", "QUALITY_MANAGER"].includes(actor.role);
  return (
    <div className="app">
      <TopBar>
        <span className="mark">Worklist</span>
        <span className="what">{rows.length} welds</span>
      </TopBar>
      <main className="list">
        <div className="tools">
          <input className="text find" aria-label="Find by mark" placeholder="Find by mark" value={find} autoFocus onChange={(e) => setFind(e.target.value)} />
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
            <Link to="/joints/new" className="btn main" style={{ display: "inline-flex", alignItems: "center", textDecoration: "none" }}>
              Set up a joint
            </Link>
          )}
        </div>
        <div className="card rows">
          {joints.isError && <p className="fault" style={{ padding: 16 }}>{saidBy(joints.error)}</p>}
          {joints.isSuccess && shown.length === 0 && (
            <p style={{ padding: 24 }}>
              {rows.length === 0 ? "No joint is set up yet." : "No joint fits. Clear the mark, or show all."}
            </p>
          )}
          {shown.length > 0 && <Table rows={shown.slice(0, MOST_ROWS)} />}
          {shown.length > MOST_ROWS && <p style={{ padding: 16 }}>{shown.length - MOST_ROWS} more: narrow the list by mark or state.</p>}
        </div>
      </main>
    </div>
  );
}

function Table({ rows }: { rows: Row[] }) {
  const place = (r: Row | undefined) => r && `${r.job} · ${r.lot}`;
  const body = rows.map((r, i) => (
    <Fragment key={r.inspectionId}>
      {place(r) !== place(rows[i - 1]) && (
        <tr className="lot">
          <td colSpan={7}>{place(r)}</td>
        </tr>
      )}
      <Line row={r} />
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

function Line({ row }: { row: Row }) {
  const navigate = useNavigate();
  const path = `/inspections/${row.inspectionId}`;
  const name = [row.mark, row.weldNo && `weld ${row.weldNo}`].filter(Boolean);
  return (
    <tr onClick={() => navigate(path)}>
      <td>
        <Link className="big" to={path} onClick={(e) => e.stopPropagation()}>
          {name[0]}
          {name[1] && <span className="quiet small" style={{ marginLeft: 8, fontWeight: 600 }}>{name[1]}{row.side ? `, ${row.side} side` : ""}</span>}
        </Link>
      </td>
      <td>{row.inWords}</td>
      <td>{row.position ?? "–"}</td>
      <td>{row.welder ?? "–"}</td>
      <td>
        {row.stage}
        {row.revision > 1 && <span className="quiet"> · rev {row.revision}</span>}
      </td>
      <td>{row.begun || row.signed ? <VerdictMark verdict={row.verdict} /> : <span className="quiet">not begun</span>}</td>
      <td>
        <span className="next">{row.next}</span>
        {row.holder && !row.signed && <div className="quiet small">{row.holder} has it</div>}
      </td>
    </tr>
  );
}
