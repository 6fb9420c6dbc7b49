import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { Alert, Button, Flex } from "antd";
import { useState } from "react";
import { Link } from "react-router";
import { api, saidBy, type Drill } from "../lib/api";
import { DataTable, type Column } from "../lib/DataTable";
import { FileButton } from "../lib/FileButton";
import { holds } from "../lib/roles";
import { useActor } from "../lib/session";
import { TopBar } from "../lib/TopBar";
import { DrillWords } from "./DrillWords";
import { RubricCard } from "./RubricCard";

/** The drills: what each is for, what to watch, and its aims. A school keeps its own as files. */
export default function Drills() {
  const actor = useActor();
  const queries = useQueryClient();
  const drills = useQuery({ queryKey: ["drills"], queryFn: api.drills });
  const [chosen, setChosen] = useState<string>();
  const writes = holds(actor, "INSTRUCTOR", "WELDING_ENGINEER", "QUALITY_MANAGER");
  const change = useMutation({
    mutationFn: (act: () => Promise<Drill[]>) => act(),
    onSuccess: (all) => queries.setQueryData(["drills"], all),
  });
  const take = async (file: File) => {
    const text = await file.text();
    const id = /"id"\s*:\s*"([^"]*)"/.exec(text)?.[1] ?? "none";
    change.mutate(() => api.putDrill(id, text), { onSuccess: () => setChosen(id) });
  };
  const drill = drills.data?.find((d) => d.id === chosen) ?? drills.data?.[0];
  return (
    <div className="app">
      <TopBar rooms />
      <main className="halves">
        <section className="card panel" aria-label="Drills">
          <header>
            <h2>Drills</h2>
            {writes && (
              <FileButton accept=".json,application/json" onFile={(f) => void take(f)}>
                Add a file …
              </FileButton>
            )}
          </header>
          <div className="body">
            {change.isError && <Alert type="error" showIcon title={saidBy(change.error)} />}
            {drills.isError && <Alert type="error" showIcon title={saidBy(drills.error)} />}
            <DataTable<Drill>
              name="drills"
              label="Drills"
              plain
              rows={drills.data ?? []}
              loading={drills.isPending}
              rowKey={(d) => d.id}
              chosen={drill?.id}
              onOpen={(d) => setChosen(d.id)}
              columns={columns}
              empty="No drill is left. Add one from a file."
            />
          </div>
        </section>
        <div className="scrolled column">
          {drill && (
            <DrillCard drill={drill} writes={writes} onOff={() => change.mutate(() => api.drillOff(drill.id))} />
          )}
          <RubricCard writes={writes} />
        </div>
      </main>
    </div>
  );
}

const columns: Column<Drill>[] = [
  {
    key: "title",
    title: "Exercise",
    render: (d) => (
      <>
        <Button type="link" className="named">
          {d.title}
        </Button>
        <div className="small quiet">
          {d.kindTitle}
          {d.own ? " · the school’s own" : ""}
        </div>
      </>
    ),
  },
];

function DrillCard({ drill: d, writes, onOff }: { drill: Drill; writes: boolean; onOff: () => void }) {
  const actor = useActor();
  return (
    <section className="card side" aria-label={d.title}>
      <Flex wrap gap={10} align="center">
        <h2 className="grow">{d.title}</h2>
        <Link
          to={`/test-pieces/new?${new URLSearchParams({ drill: d.id, kind: d.kind, ...(holds(actor, "LEARNER") ? { welder: actor.login } : {}) })}`}
        >
          <Button type="primary">Begin it</Button>
        </Link>
      </Flex>
      <DrillWords drill={d} />
      <p className="row">
        <a href={`/api/drills/${d.id}/document`} download={`${d.id}.json`}>
          as a file
        </a>
        {writes && (
          <Button type="link" onClick={onOff}>
            take this drill off
          </Button>
        )}
      </p>
      <p className="cautions">
        A practice bead is judged by these aims, not by a code. Common practice, no source. Hot metal, arc light and
        fumes: the shop’s protection comes first.
      </p>
    </section>
  );
}
