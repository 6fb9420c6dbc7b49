import { holds, rolesSaid } from "../lib/roles";
import { Button } from "antd";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState, type FormEvent } from "react";
import { api, problemsByField, saidBy, type NewPerson, type WithPapers } from "../lib/api";
import { useActor } from "../lib/session";
import { TopBar } from "../lib/TopBar";
import { AccountCard } from "./AccountCard";
import { RolesField } from "./RolesField";
import { RolesForm } from "./RolesForm";
import { PapersForm, Until } from "./Papers";
import { Mailbox } from "./Mailbox";
import { Welders } from "./Welders";
import { DataTable, type Column } from "../lib/DataTable";
import { TextField } from "../lib/fields";
import { Cell, FormGrid } from "../lib/FormGrid";

const empty: NewPerson = { login: "", name: "", roles: ["INSPECTOR"], certificate: "", password: "" };

/** Who signs in; the quality manager adds people. */
export default function People() {
  const people = useQuery({ queryKey: ["papers"], queryFn: api.papers });
  const queries = useQueryClient();
  const [form, setForm] = useState<NewPerson>(empty);
  const [fault, setFault] = useState<unknown>();
  const [chosen, setChosen] = useState<string>();
  const manages = holds(useActor(), "QUALITY_MANAGER");
  const shown = people.data?.find((p) => p.person.id === chosen);
  const add = async (e: FormEvent) => {
    e.preventDefault();
    try {
      await api.addPerson({ ...form, certificate: form.certificate || undefined });
      setForm(empty);
      setFault(undefined);
      await queries.invalidateQueries({ predicate: (q) => ["people", "papers"].includes(String(q.queryKey[0])) });
    } catch (x) {
      setFault(x);
    }
  };
  const problems = problemsByField(fault);
  const text = (field: "login" | "name" | "certificate" | "password", label: string, type = "text") => (
    <TextField
      id={field}
      label={label}
      type={type}
      required={field !== "certificate"}
      problem={problems[field]}
      value={form[field]}
      onChange={(v) => setForm({ ...form, [field]: v })}
    />
  );
  return (
    <div className="app">
      <TopBar rooms />
      <main className="halves wide-left scrolls">
        <div>
          <div className="card">
            <DataTable<WithPapers>
              name="people"
              label="People"
              rows={people.data ?? []}
              loading={people.isPending}
              rowKey={(p) => p.person.id}
              chosen={chosen}
              onOpen={manages ? (p) => setChosen(p.person.id) : undefined}
              columns={personColumns}
              empty="Nobody is registered."
            />
          </div>
          <Welders />
        </div>
        <aside className="column">
          {shown && manages && <RolesForm key={`r ${shown.person.id} ${shown.papers.version ?? 0}`} of={shown} />}
          {shown && manages && <AccountCard key={`a ${shown.person.id} ${shown.papers.version ?? 0}`} of={shown} />}
          {shown && manages && <PapersForm key={`${shown.person.id} ${shown.papers.version ?? 0}`} of={shown} />}
          {manages && (
            <form className="card side" onSubmit={(e) => void add(e)}>
              <FormGrid>
                <Cell span={12}>
                  <h2>Add somebody</h2>
                </Cell>
                {text("name", "Name")}
                {text("login", "Login")}
                <RolesField
                  value={form.roles ?? []}
                  problem={problems.roles}
                  onChange={(roles) => setForm({ ...form, roles })}
                />
                {text("certificate", "Certificate, if any")}
                {text("password", "First password", "password")}
                {fault !== undefined && Object.keys(problems).length === 0 && (
                  <Cell span={12}>
                    <div className="fault">{saidBy(fault)}</div>
                  </Cell>
                )}
                <Cell span={12}>
                  <Button type="primary" htmlType="submit">
                    Add
                  </Button>
                </Cell>
              </FormGrid>
            </form>
          )}
          {manages && <Mailbox />}
          {!manages && <p className="card side quiet">The quality manager adds people and keeps their papers.</p>}
        </aside>
      </main>
    </div>
  );
}

function inspectsFor({ papers, person }: WithPapers): string {
  if (papers.capacity === "verification") return "the owner";
  if (papers.capacity === "QC") return "the fabricator";
  return holds(person, "INSPECTOR") ? "either" : "–";
}

const personColumns: Column<WithPapers>[] = [
  {
    key: "name",
    title: "Name",
    value: (p) => p.person.name,
    render: (p) => (
      <>
        <b>{p.person.name}</b>
        <div className="quiet small">
          {p.person.login}
          {p.active ? "" : " · has left"}
        </div>
      </>
    ),
  },
  {
    key: "active",
    title: "Signs in",
    value: (p) => (p.active ? "yes" : "has left"),
    filter: true,
    extra: true,
  },
  { key: "role", title: "Roles", value: (p) => rolesSaid(p.person), filter: true },
  { key: "for", title: "Inspects for", value: inspectsFor },
  { key: "certificate", title: "Certificate", width: 126, value: (p) => p.papers.certificate },
  {
    key: "until",
    title: "Until",
    value: (p) => p.papers.certificateUntil,
    render: (p) => <Until date={p.papers.certificateUntil} />,
  },
  {
    key: "eyes",
    title: "Eye test until",
    value: (p) => p.papers.eyeTestUntil,
    render: (p) => <Until date={p.papers.eyeTestUntil} />,
  },
];
