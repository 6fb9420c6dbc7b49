import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { api, type Change } from "../lib/api";
import { TopBar } from "../lib/TopBar";
import { Changes, step } from "./Changes";

/** Every change of a weld: who, when, what stood before and what after. */
export default function HistoryPage() {
  const { id = "" } = useParams();
  const history = useQuery({ queryKey: ["history", id], queryFn: () => api.history(id) });
  const [what, setWhat] = useState("");
  const [find, setFind] = useState("");
  const [most, setMost] = useState(step);
  const all = history.data ?? [];
  const kinds: Record<string, number> = {};
  for (const c of all) kinds[c.what] = (kinds[c.what] ?? 0) + 1;
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
      <Changes
        changes={fitting.slice(0, most)}
        fitting={fitting.length}
        kinds={kinds}
        what={what}
        onWhat={setWhat}
        find={find}
        onFind={setFind}
        onMore={() => setMost(most + step)}
        pending={history.isPending}
        fault={history.error}
      />
    </div>
  );
}

function text(c: Change): string {
  return [c.by, c.name, c.what, ...c.fields.flatMap((f) => [f.field, f.before ?? "", f.after ?? ""])]
    .join(" ")
    .toLowerCase();
}
