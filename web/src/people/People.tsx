import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState, type FormEvent } from "react";
import { api, problemsByField, saidBy, type NewPerson } from "../lib/api";
import { useActor } from "../lib/session";
import { roleWords, TopBar } from "../lib/TopBar";
import { PapersForm, Until } from "./Papers";
import { Welders } from "./Welders";

const empty: NewPerson = { login: "", name: "", role: "INSPECTOR", certificate: "", password: "" };

/** Who signs in; the quality manager adds people. */
export default function People() {
  const people = useQuery({ queryKey: ["papers"], queryFn: api.papers });
  const queries = useQueryClient();
  const [form, setForm] = useState<NewPerson>(empty);
  const [fault, setFault] = useState<unknown>();
  const [chosen, setChosen] = useState<string>();
  const manages = useActor().role === "QUALITY_MANAGER";
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
    <div className="field" style={{ gridColumn: "span 12" }}>
      <label htmlFor={field}>{label}</label>
      <input
        id={field}
        className="text"
        type={type}
        autoComplete="off"
        aria-invalid={field in problems}
        value={form[field] ?? ""}
        onChange={(e) => setForm({ ...form, [field]: e.target.value })}
      />
      {problems[field] && <div className="msg fault">{problems[field]}</div>}
    </div>
  );
  return (
    <div className="app">
      <TopBar rooms />
      <main className="setup people" tabIndex={0}>
        <div>
          <div className="card rows">
            <table>
              <thead>
                <tr>
                  <th>Name</th>
                  <th>Role</th>
                  <th>Inspects for</th>
                  <th>Certificate</th>
                  <th>Until</th>
                  <th>Eye test until</th>
                </tr>
              </thead>
              <tbody>
                {(people.data ?? []).map((p) => (
                  <tr
                    key={p.person.id}
                    onClick={() => setChosen(p.person.id)}
                    style={{ cursor: manages ? "pointer" : "default" }}
                    aria-current={chosen === p.person.id ? "true" : undefined}
                  >
                    <td>
                      <b>{p.person.name}</b>
                      <div className="quiet small">{p.person.login}</div>
                    </td>
                    <td>{roleWords[p.person.role]}</td>
                    <td>
                      {p.papers.capacity === "verification"
                        ? "the owner"
                        : p.papers.capacity === "QC"
                          ? "the fabricator"
                          : p.person.role === "INSPECTOR"
                            ? "either"
                            : "–"}
                    </td>
                    <td>{p.papers.certificate ?? "–"}</td>
                    <td>
                      <Until date={p.papers.certificateUntil} />
                    </td>
                    <td>
                      <Until date={p.papers.eyeTestUntil} />
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
          <Welders />
        </div>
        <aside style={{ display: "grid", gap: 14 }}>
          {shown && manages && <PapersForm key={`${shown.person.id} ${shown.papers.version ?? 0}`} of={shown} />}
          {manages && (
            <form className="card side grid" onSubmit={(e) => void add(e)}>
              <h2 style={{ gridColumn: "span 12" }}>Add somebody</h2>
              {text("name", "Name")}
              {text("login", "Login")}
              <div className="field" style={{ gridColumn: "span 12" }}>
                <label htmlFor="role">Role</label>
                <select
                  id="role"
                  className="text"
                  value={form.role}
                  onChange={(e) => setForm({ ...form, role: e.target.value as NewPerson["role"] })}
                >
                  {Object.entries(roleWords).map(([id, word]) => (
                    <option key={id} value={id}>
                      {word}
                    </option>
                  ))}
                </select>
              </div>
              {text("certificate", "Certificate, if any")}
              {text("password", "First password", "password")}
              {fault !== undefined && Object.keys(problems).length === 0 && (
                <div className="fault" style={{ gridColumn: "span 12" }}>
                  {saidBy(fault)}
                </div>
              )}
              <button className="btn main" type="submit" style={{ gridColumn: "span 12" }}>
                Add
              </button>
            </form>
          )}
          {!manages && <p className="card side quiet">The quality manager adds people and keeps their papers.</p>}
        </aside>
      </main>
    </div>
  );
}
