import { holds } from "../lib/roles";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useNavigate, useParams } from "react-router";
import { api, saidBy, type Procedure, type ProcedureForm } from "../lib/api";

import { useActor } from "../lib/session";
import { PickTable } from "../lib/PickTable";
import { TopBar } from "../lib/TopBar";
import { FileButton } from "../lib/FileButton";
import { ProcedureCard } from "./ProcedureCard";

/** Welding procedures (WPS), each revision checked against the prequalified limits. */
export default function Procedures() {
  const { id } = useParams();
  const actor = useActor();
  const [fault, setFault] = useState<unknown>();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const procedures = useQuery({ queryKey: ["procedures"], queryFn: api.procedures });
  const rods = useQuery({ queryKey: ["rods"], queryFn: api.rods, staleTime: Infinity });
  const writes = holds(actor, "WELDING_ENGINEER", "QUALITY_MANAGER");
  const based = id?.startsWith("from-") ? procedures.data?.find((p) => p.id === id.slice(5)) : undefined;
  const fresh = id === "new" || based !== undefined;
  const chosen = fresh ? undefined : (procedures.data?.find((p) => p.id === id) ?? procedures.data?.at(-1));
  const take = async (text: string) => {
    try {
      const taken = await api.importProcedure(text);
      setFault(undefined);
      await queries.invalidateQueries({ queryKey: ["procedures"] });
      await navigate(`/procedures/${taken.id}`);
    } catch (e) {
      setFault(e);
    }
  };
  return (
    <div className="app">
      <TopBar rooms />
      <main className="halves">
        <nav className="card panel" aria-label="Procedures">
          <header>
            <h2>Procedures</h2>
            {writes && (
              <Link className="way" to="/procedures/new">
                new
              </Link>
            )}
          </header>
          <div className="body column">
            <PickTable<Procedure>
              name="procedures"
              label="Procedures"
              title="Procedure"
              rows={procedures.data ?? []}
              loading={procedures.isPending}
              rowKey={(p) => p.id}
              to={(p) => `/procedures/${p.id}`}
              called={(p) => `${p.form.number} rev ${p.form.revision}`}
              under={(p) =>
                p.breaches.length > 0 ? (
                  <span className="hint">⚠ {p.breaches.length} outside limits</span>
                ) : (
                  "within limits"
                )
              }
              chosen={chosen?.id}
              columns={[
                { key: "used", title: "Joints", value: (p) => p.used, width: 96 },
                {
                  key: "state",
                  title: "State",
                  value: (p) => (p.used > 0 ? "frozen" : "open"),
                  filter: true,
                  width: 104,
                },
              ]}
              empty="No procedure yet. Write one, or open a file."
            />
            {writes && (
              <FileButton accept=".json,application/json" onFile={(f) => void f.text().then(take)}>
                Open a file …
              </FileButton>
            )}
            {fault !== undefined && (
              <p role="alert" className="fault">
                {saidBy(fault)}
              </p>
            )}
          </div>
        </nav>
        {procedures.data && rods.data && (
          <ProcedureCard
            key={chosen ? `${chosen.id} ${chosen.version}` : (id ?? "none")}
            procedure={chosen}
            start={based ? { ...based.form, revision: "" } : emptyProcedure}
            rods={rods.data}
            writes={writes}
          />
        )}
      </main>
    </div>
  );
}

const emptyProcedure: ProcedureForm = {
  format: "mensor-procedure/1",
  units: "in",
  welds: ["fillet"],
  steel: "unknown",
  passes: [{ kind: "root", electrode: "E7018", diameter: "1/8", amps: [115, 165] }],
};
