import { holds } from "../lib/roles";
import { Button } from "antd";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { api, problemsByField, saidBy, type Gauge, type GaugeForm } from "../lib/api";
import { DateField, said, TextField } from "../lib/fields";
import { dayOf } from "../lib/local-time";
import { useActor } from "../lib/session";
import { TopBar } from "../lib/TopBar";
import { VerdictMark } from "../lib/VerdictMark";
import { newId } from "../lib/id";
import { DataTable, type Column } from "../lib/DataTable";
import { RegisterCard } from "../lib/RegisterCard";

/** The register of gauges, the kit carried today, and what a gauge touched that was found out of calibration. */
export default function Gauges() {
  const actor = useActor();
  const queries = useQueryClient();
  const gauges = useQuery({ queryKey: ["gauges"], queryFn: api.gauges });
  const kit = useQuery({ queryKey: ["kit"], queryFn: api.kit });
  const [chosen, setChosen] = useState<string>();
  const [fault, setFault] = useState<unknown>();
  const registers = holds(actor, "INSPECTOR", "QUALITY_MANAGER");
  const carries = holds(actor, "INSPECTOR");
  const carried = kit.data ?? [];
  const gauge = gauges.data?.find((g) => g.id === chosen);
  const carry = async (id: string) => {
    try {
      const next = carried.includes(id) ? carried.filter((c) => c !== id) : [...carried, id];
      queries.setQueryData(["kit"], await api.takeKit(next));
      setFault(undefined);
    } catch (e) {
      setFault(e);
    }
  };
  return (
    <div className="app">
      <TopBar rooms />
      <main className="halves wide-left">
        <section className="card panel" aria-label="Gauges">
          <header>
            <h2>Gauges</h2>
            {carries && <span className="small quiet">{carried.length} in today’s kit</span>}
            {registers && (
              <Button type="link" onClick={() => setChosen("new")}>
                register a gauge
              </Button>
            )}
          </header>
          <div className="body">
            {fault !== undefined && (
              <p role="alert" className="fault">
                {saidBy(fault)}
              </p>
            )}
            <DataTable<Gauge>
              name="gauges"
              label="Gauges"
              rows={gauges.data ?? []}
              loading={gauges.isPending}
              rowKey={(g) => g.id}
              chosen={chosen}
              onOpen={(g) => setChosen(g.id)}
              columns={gaugeColumns(carries ? { carried, carry } : undefined)}
              empty={registers ? "No gauge is registered. Register the first one above." : "No gauge is registered."}
            />
          </div>
        </section>
        {chosen === undefined && (
          <section className="card side">
            <p className="quiet">
              Choose a gauge to see which records it touched, or to say that it was found out of calibration.
            </p>
          </section>
        )}
        {(chosen === "new" || gauge) && (
          <GaugeCard
            key={`${chosen} ${gauge?.version}`}
            gauge={gauge}
            mayChange={registers}
            onStored={(id) => setChosen(id)}
          />
        )}
      </main>
    </div>
  );
}

type Kit = { carried: string[]; carry: (id: string) => Promise<void> };

function gaugeColumns(kit?: Kit): Column<Gauge>[] {
  return [
    {
      key: "name",
      title: "Gauge",
      value: (g) => g.form.name,
      render: (g) => (
        <>
          <Button type="link" className="named">
            {g.form.name}
          </Button>
          <div className="small quiet">{g.form.kind}</div>
          {g.fault && <div className="small fault">✕ {g.fault}</div>}
        </>
      ),
    },
    { key: "kind", title: "Kind", value: (g) => g.form.kind, filter: true, extra: true },
    { key: "division", title: "Reads to", width: 110, value: (g) => g.form.division ?? "go/no-go" },
    { key: "range", title: "Up to", width: 80, value: (g) => g.form.range },
    { key: "serial", title: "Serial", width: 90, value: (g) => g.form.serial },
    {
      key: "due",
      title: "Calibration due",
      width: 140,
      value: (g) => g.form.due ?? "none",
      render: (g) => (g.form.due ? dayOf(g.form.due) : "none"),
    },
    ...(kit ? [kitColumn(kit)] : []),
  ];
}

function kitColumn({ carried, carry }: Kit): Column<Gauge> {
  return {
    key: "kit",
    title: "Today’s kit",
    width: 130,
    value: (g) => (carried.includes(g.id) ? "carried" : "not carried"),
    filter: true,
    render: (g) => (
      <Button
        type={carried.includes(g.id) ? "primary" : "default"}
        aria-pressed={carried.includes(g.id)}
        disabled={g.fault !== undefined && !carried.includes(g.id)}
        aria-label={`${g.form.name} in today’s kit`}
        onClick={(e) => {
          e.stopPropagation();
          void carry(g.id);
        }}
      >
        {carried.includes(g.id) ? "carried" : "take"}
      </Button>
    ),
  };
}

function GaugeCard({
  gauge,
  mayChange,
  onStored,
}: {
  gauge?: Gauge;
  mayChange: boolean;
  onStored: (id: string) => void;
}) {
  const [form, setForm] = useState<GaugeForm>(gauge?.form ?? { kind: "fillet gauge" });
  const [fault, setFault] = useState<unknown>();
  const queries = useQueryClient();
  const touched = useQuery({
    queryKey: ["touched", gauge?.id, gauge?.version],
    queryFn: () => api.touchedBy(gauge?.id ?? ""),
    enabled: gauge !== undefined,
  });
  const problems = problemsByField(fault);
  const store = async () => {
    try {
      const id = gauge?.id ?? newId();
      await api.putGauge(id, said(form), gauge?.version);
      setFault(undefined);
      await queries.invalidateQueries({
        predicate: (q) => ["gauges", "bench", "joints", "touched"].includes(String(q.queryKey[0])),
      });
      onStored(id);
    } catch (x) {
      setFault(x);
    }
  };
  const date = (f: "due" | "foundOut", label: string) => (
    <DateField
      id={`gauge-${f}`}
      label={label}
      span={6}
      disabled={!mayChange}
      value={form[f]}
      problem={problems[f]}
      onChange={(v) => setForm({ ...form, [f]: v })}
    />
  );
  const text = (f: keyof GaugeForm, label: string, span: number, placeholder?: string) => (
    <TextField
      id={`gauge-${f}`}
      label={label}
      span={span}
      required={f === "name" || f === "kind"}
      value={form[f]}
      placeholder={placeholder}
      problem={problems[f]}
      onChange={(v) => setForm({ ...form, [f]: v })}
    />
  );
  return (
    <RegisterCard
      label="The gauge"
      title={gauge ? gauge.form.name : "A new gauge"}
      mayChange={mayChange}
      fault={fault}
      word={gauge ? "Store the gauge" : "Register it"}
      onStore={store}
      fields={
        <>
          {text("name", "Name on it", 6, "FG-3")}
          {text("kind", "Kind", 6, "fillet gauge")}
          {text("division", "Smallest division", 6, "1/32, empty for go/no-go")}
          {text("range", "Reads up to", 6, "1")}
          {text("uncertainty", "Certificate’s uncertainty, k = 2", 6, ".0008, empty for none")}
          {text("serial", "Serial", 6)}
          {date("due", "Calibration due")}
          {date("foundOut", "Found out of calibration on")}
        </>
      }
    >
      {gauge?.form.measured && (
        <p>
          Measured, not assumed: a reading has a standard uncertainty of <b>{gauge.form.measured}</b>, by the{" "}
          {gauge.form.measuredBy}. <Link to="/studies">Studies</Link>
        </p>
      )}
      {gauge && (
        <section aria-label="Records it touched">
          <h3>{gauge.form.foundOut ? "Records that this gauge touched" : "Records it touched"}</h3>
          {touched.data?.length === 0 && <p className="quiet">None.</p>}
          {touched.data?.map((t) => (
            <div className="item" key={t.inspectionId}>
              <Link to={`/inspections/${t.inspectionId}`}>
                <b>{t.mark}</b>
                {t.weldNo && ` weld ${t.weldNo}`}
                {t.revision > 1 && `, rev ${t.revision}`}
              </Link>
              <span>
                <VerdictMark verdict={t.verdict} size={18} />{" "}
                <span className="quiet small">{t.signed ? "signed" : "open"}</span>
              </span>
            </div>
          ))}
          {gauge.form.foundOut && (
            <p className="cautions">
              An open inspection that names it is not ready until another gauge is named. A signed record stands;
              whether it holds is for the quality manager to decide, by a new revision.
            </p>
          )}
        </section>
      )}
    </RegisterCard>
  );
}
