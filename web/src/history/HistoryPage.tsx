import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { api, saidBy, type Change } from "../lib/api";
import { TopBar } from "../lib/TopBar";

const most = 200;

/** Every change of a weld: who, when, what stood before and what after. */
export default function HistoryPage() {
  const { id = "" } = useParams();
  const history = useQuery({ queryKey: ["history", id], queryFn: () => api.history(id) });
  const [what, setWhat] = useState("");
  const [find, setFind] = useState("");
  const all = history.data ?? [];
  const kinds = [...new Set(all.map((c) => c.what))];
  const wanted = find.trim().toLowerCase();
  const fitting = all.filter(
    (c) =>
      (what === "" || c.what === what) &&
      (wanted === "" ||
        `${c.by} ${c.name} ${c.fields.map((f) => `${f.field} ${f.before ?? ""} ${f.after ?? ""}`).join(" ")}`
          .toLowerCase()
          .includes(wanted)),
  );
  return (
    <div className="app">
      <TopBar>
        <span className="mark">{all.find((c) => c.what === "Weld")?.name ?? "Weld"}</span>
        <span className="what">history: every change, who made it, what stood before</span>
        <Link className="small way" to="/">
          to the worklist
        </Link>
      </TopBar>
      <main className="list">
        <div className="tools">
          <input
            className="text find"
            style={{ width: 240 }}
            aria-label="Find a person or a word"
            placeholder="Find a person or a word"
            value={find}
            onChange={(e) => setFind(e.target.value)}
          />
          <div className="kinds" role="group" aria-label="Show">
            <button type="button" className="pick" aria-pressed={what === ""} onClick={() => setWhat("")}>
              All<span className="n">{all.length}</span>
            </button>
            {kinds.map((k) => (
              <button key={k} type="button" className="pick" aria-pressed={what === k} onClick={() => setWhat(k)}>
                {k}
                <span className="n">{all.filter((c) => c.what === k).length}</span>
              </button>
            ))}
          </div>
        </div>
        <div className="card rows history" role="region" aria-label="Changes" tabIndex={0}>
          {history.isError && <p className="fault">{saidBy(history.error)}</p>}
          {history.isSuccess && fitting.length === 0 && <p style={{ padding: 16 }}>Nothing fits.</p>}
          {fitting.length > 0 && (
            <table>
              <thead>
                <tr>
                  <th>When</th>
                  <th>Who</th>
                  <th>What</th>
                  <th>Before → after</th>
                </tr>
              </thead>
              <tbody>
                {fitting.slice(0, most).map((c, i) => (
                  <Line key={`${c.revision} ${i}`} change={c} />
                ))}
              </tbody>
            </table>
          )}
          {fitting.length > most && (
            <p style={{ padding: 16 }}>{fitting.length - most} more: narrow them by a word or a kind.</p>
          )}
        </div>
      </main>
    </div>
  );
}

function Line({ change: c }: { change: Change }) {
  return (
    <tr>
      <td>{new Date(c.at).toLocaleString(undefined, { dateStyle: "medium", timeStyle: "medium" })}</td>
      <td>{c.by === "" ? <span className="quiet">Mensor</span> : c.by}</td>
      <td>
        <b>{c.what}</b> {c.name}
        <div className="small quiet">{c.did}</div>
      </td>
      <td>
        <ul>
          {c.fields.map((f) => (
            <li key={f.field}>
              <span className="quiet">{f.field}:</span> {f.before !== undefined && <del>{f.before}</del>}
              {f.before !== undefined && f.after !== undefined && " → "}
              {f.after !== undefined && <b>{f.after}</b>}
            </li>
          ))}
        </ul>
      </td>
    </tr>
  );
}
