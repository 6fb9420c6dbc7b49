import { Button, Checkbox } from "antd";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, problemsByField, type Machine } from "../lib/api";
import { DataTable, type Column } from "../lib/DataTable";
import { DateField, Field, numberOf, said, TextField } from "../lib/fields";
import { RegisterCard } from "../lib/RegisterCard";
import { newId } from "../lib/id";
import { dayOf } from "../lib/local-time";
import { holds } from "../lib/roles";
import { useActor } from "../lib/session";
import { TopBar } from "../lib/TopBar";

type Form = Machine["form"];

const processes = [
  ["SMAW", "stick"],
  ["GTAW", "TIG"],
  ["GMAW", "MIG"],
  ["FCAW", "flux-cored"],
] as const;

/** The register of welding machines: their modes, how their arc force is marked, and how their display stands. */
export default function Machines() {
  const actor = useActor();
  const machines = useQuery({ queryKey: ["machines"], queryFn: api.machines });
  const [chosen, setChosen] = useState<string>();
  const registers = holds(actor, "INSPECTOR", "WELDING_ENGINEER", "QUALITY_MANAGER");
  const machine = machines.data?.find((m) => m.id === chosen);
  return (
    <div className="app">
      <TopBar rooms />
      <main className="halves wide-left">
        <section className="card panel" aria-label="Machines">
          <header>
            <h2>Machines</h2>
            {registers && (
              <Button type="link" onClick={() => setChosen("new")}>
                register a machine
              </Button>
            )}
          </header>
          <div className="body">
            <DataTable<Machine>
              name="machines"
              label="Machines"
              rows={machines.data ?? []}
              loading={machines.isPending}
              rowKey={(m) => m.id}
              chosen={chosen}
              onOpen={(m) => setChosen(m.id)}
              columns={columns}
              empty={
                registers ? "No machine is registered. Register the first one above." : "No machine is registered."
              }
            />
          </div>
        </section>
        {chosen === undefined && (
          <section className="card side">
            <p className="quiet">
              A machine’s card keeps the scale of its arc force, so that its numbers mean the same on every record, and
              how far its display stood from a meter at the arc.
            </p>
          </section>
        )}
        {(chosen === "new" || machine) && (
          <MachineCard
            key={`${chosen} ${machine?.version}`}
            machine={machine}
            mayChange={registers}
            onStored={setChosen}
          />
        )}
      </main>
    </div>
  );
}

const columns: Column<Machine>[] = [
  {
    key: "name",
    title: "Machine",
    value: (m) => m.form.name,
    render: (m) => (
      <Button type="link" className="named">
        {m.form.name}
      </Button>
    ),
  },
  { key: "modes", title: "Modes", value: (m) => (m.form.modes ?? []).join(", ") },
  {
    key: "force",
    title: "Arc force",
    width: 150,
    value: (m) =>
      m.form.arcForceWords?.join(", ") ??
      (m.form.arcForceLowest === undefined ? "no scale" : `${m.form.arcForceLowest} to ${m.form.arcForceHighest}`),
  },
  {
    key: "display",
    title: "Display against meter",
    width: 210,
    value: (m) => m.percentOff ?? "",
    render: (m) =>
      m.percentOff === undefined ? (
        <span className="quiet">not checked</span>
      ) : (
        <span className={m.unusual ? "fault" : ""}>
          {m.unusual && "! "}
          {Math.abs(m.percentOff)} % {m.percentOff < 0 ? "low" : "high"},{" "}
          {m.form.checkedOn ? dayOf(m.form.checkedOn) : ""}
        </span>
      ),
  },
];

const numbers = ["arcForceLowest", "arcForceMiddle", "arcForceHighest", "displayAmps", "meterAmps"] as const;
type Numbers = Record<(typeof numbers)[number], string>;

function MachineCard({
  machine,
  mayChange,
  onStored,
}: {
  machine?: Machine;
  mayChange: boolean;
  onStored: (id: string) => void;
}) {
  const [form, setForm] = useState<Form>(machine?.form ?? { modes: ["SMAW"] });
  const [typed, setTyped] = useState<Numbers>(
    () => Object.fromEntries(numbers.map((f) => [f, String(machine?.form[f] ?? "")])) as Numbers,
  );
  const [fault, setFault] = useState<unknown>();
  const [noNumber, setNoNumber] = useState<string>();
  const queries = useQueryClient();
  const problems = problemsByField(fault);
  const store = async () => {
    const sent: Form = { ...said(form) };
    for (const f of numbers) {
      const n = numberOf(typed[f]);
      if (n !== undefined && !isFinite(n)) return setNoNumber(f);
      if (n === undefined) delete sent[f];
      else sent[f] = n;
    }
    setNoNumber(undefined);
    try {
      const id = machine?.id ?? newId();
      await api.putMachine(id, sent, machine?.version);
      setFault(undefined);
      await queries.invalidateQueries({ queryKey: ["machines"] });
      onStored(id);
    } catch (x) {
      setFault(x);
    }
  };
  const number = (f: (typeof numbers)[number], label: string, span: number, placeholder?: string) => (
    <TextField
      id={`machine-${f}`}
      label={label}
      span={span}
      value={typed[f]}
      placeholder={placeholder}
      problem={noNumber === f ? "a number" : problems[f]}
      onChange={(v) => setTyped({ ...typed, [f]: v })}
    />
  );
  return (
    <RegisterCard
      label="The machine"
      title={machine ? machine.form.name : "A new machine"}
      mayChange={mayChange}
      fault={fault}
      word={machine ? "Store the machine" : "Register it"}
      onStore={store}
      fields={
        <>
          <TextField
            id="machine-name"
            label="Name on it"
            span={6}
            required
            value={form.name}
            placeholder="M-4"
            problem={problems.name}
            onChange={(v) => setForm({ ...form, name: v })}
          />
          <Field id="machine-modes" label="Can be switched to" span={6} problem={problems.modes}>
            <div role="group" aria-label="Can be switched to">
              <Checkbox.Group
                options={processes.map(([value, label]) => ({ value, label }))}
                value={form.modes ?? []}
                onChange={(v) => setForm({ ...form, modes: v })}
              />
            </div>
          </Field>
          {number("arcForceLowest", "Arc force from", 4, "-10")}
          {number("arcForceMiddle", "Middle", 4, "0")}
          {number("arcForceHighest", "to", 4, "10")}
          <TextField
            id="machine-arcForceWords"
            label="or its words, softest first, separated by commas"
            span={12}
            value={(form.arcForceWords ?? []).join(",")}
            placeholder="soft, medium, crisp"
            problem={problems.arcForceWords}
            onChange={(v) => setForm({ ...form, arcForceWords: v === "" ? undefined : v.split(",") })}
          />
          <DateField
            id="machine-checkedOn"
            label="Display checked on"
            span={6}
            disabled={!mayChange}
            value={form.checkedOn}
            problem={problems.checkedOn}
            onChange={(v) => setForm({ ...form, checkedOn: v })}
          />
          {number("displayAmps", "Display, A", 3, "120")}
          {number("meterAmps", "Meter, A", 3, "114")}
        </>
      }
    >
      <p className="cautions">Machines read 3–8 % off (common practice, no source).</p>
    </RegisterCard>
  );
}
