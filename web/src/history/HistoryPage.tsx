import { SearchOutlined } from "@ant-design/icons";
import { useQuery } from "@tanstack/react-query";
import { Alert, Button, Empty, Input, Skeleton, Timeline } from "antd";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { api, saidBy, type Change } from "../lib/api";
import { Choice } from "../lib/fields";
import { TopBar } from "../lib/TopBar";
import styles from "./history.module.css";

const step = 100;

/** Every change of a weld: who, when, what stood before and what after. */
export default function HistoryPage() {
  const { id = "" } = useParams();
  const history = useQuery({ queryKey: ["history", id], queryFn: () => api.history(id) });
  const [what, setWhat] = useState("");
  const [find, setFind] = useState("");
  const [most, setMost] = useState(step);
  const all = history.data ?? [];
  const kinds = [...new Set(all.map((c) => c.what))].sort();
  const wanted = find.trim().toLowerCase();
  const fitting = all.filter((c) => (what === "" || c.what === what) && (wanted === "" || text(c).includes(wanted)));
  return (
    <div className="app">
      <TopBar>
        <span className="mark">{all.find((c) => c.what === "Weld")?.name ?? "Weld"}</span>
        <span className="what">history: every change, who made it, what stood before</span>
        <Link className="small way" to="/worklist">
          to the worklist
        </Link>
      </TopBar>
      <main className="list">
        <div className="tools">
          <Input
            style={{ width: 260 }}
            prefix={<SearchOutlined />}
            allowClear
            aria-label="Find a person or a word"
            placeholder="Find a person or a word"
            value={find}
            onChange={(e) => setFind(e.target.value)}
          />
          <Choice
            width={240}
            aria-label="Show"
            value={what}
            options={[
              ["", `All changes (${all.length})`],
              ...kinds.map((k) => [k, `${k} (${all.filter((c) => c.what === k).length})`] as const),
            ]}
            onChange={setWhat}
          />
        </div>
        {/* it scrolls by itself, so that the keyboard reaches all of it */}
        <div className={`card ${styles.changes}`} role="region" aria-label="Changes" tabIndex={0}>
          {history.isError && <Alert type="error" showIcon title={saidBy(history.error)} />}
          {history.isPending && <Skeleton active />}
          {history.isSuccess && fitting.length === 0 && <Empty description="No change fits. Clear the search." />}
          <Timeline
            items={fitting.slice(0, most).map((c, i) => ({
              key: `${c.revision} ${i}`,
              color: c.did === "taken off" ? "gray" : c.did === "changed" ? "orange" : "green",
              content: <One change={c} />,
            }))}
          />
          {fitting.length > most && (
            <Button onClick={() => setMost(most + step)}>Show {Math.min(step, fitting.length - most)} more</Button>
          )}
        </div>
      </main>
    </div>
  );
}

function text(c: Change): string {
  return [c.by, c.name, c.what, ...c.fields.flatMap((f) => [f.field, f.before ?? "", f.after ?? ""])]
    .join(" ")
    .toLowerCase();
}

function One({ change: c }: { change: Change }) {
  const at = new Date(c.at).toLocaleString("en-US", { dateStyle: "medium", timeStyle: "short" });
  return (
    <>
      <b>
        {c.what}
        {c.name && ` ${c.name}`}
      </b>{" "}
      {c.did} by {c.by === "" ? "Mensor" : c.by} <span className="quiet small">{at}</span>
      <ul className={styles.fields}>
        {c.fields.map((f) => (
          <li key={f.field}>
            <span className="quiet">{f.field}:</span> {f.before !== undefined && <del>{f.before}</del>}
            {f.before !== undefined && f.after !== undefined && " → "}
            {f.after !== undefined && <b>{f.after}</b>}
          </li>
        ))}
      </ul>
    </>
  );
}
