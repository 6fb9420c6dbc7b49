import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState, type FormEvent } from "react";
import { api, problemsByField, saidBy, type NewPerson } from "../lib/api";
import { roleWords, TopBar } from "../lib/TopBar";

const empty: NewPerson = { login: "", name: "", role: "INSPECTOR", certificate: "", password: "" };

/** Who signs in; the quality manager adds people. */
export default function People() {
  const people = useQuery({ queryKey: ["people"], queryFn: api.people });
  const queries = useQueryClient();
  const [form, setForm] = useState<NewPerson>(empty);
  const [fault, setFault] = useState<unknown>();
  const add = async (e: FormEvent) => {
    e.preventDefault();
    try {
      await api.addPerson({ ...form, certificate: form.certificate || undefined });
      setForm(empty);
      setFault(undefined);
      await queries.invalidateQueries({ queryKey: ["people"] });
    } catch (x) {
      setFault(x);
    }
  };
  const problems = problemsByField(fault);
  const text = (field: "login" | "name" | "certificate" | "password", label: string, type = "text") => (
    <div className="field" style={{ gridColumn: "span 12" }}>
      <label htmlFor={field}>{label}</label>
      <input id={field} className="text" type={type} autoComplete="off" aria-invalid={field in problems} value={form[field] ?? ""} onChange={(e) => setForm({ ...form, [field]: e.target.value })} />
      {problems[field] && <div className="msg fault">{problems[field]}</div>}
    </div>
  );
  return (
    <div className="app">
      <TopBar>
        <span className="mark">People</span>
      </TopBar>
      <main className="setup">
        <div className="card rows">
          <table>
            <thead>
              <tr><th>Name</th><th>Login</th><th>Role</th><th>Certificate</th></tr>
            </thead>
            <tbody>
              {(people.data ?? []).map((p) => (
                <tr key={p.id} style={{ cursor: "default" }}>
                  <td><b>{p.name}</b></td>
                  <td>{p.login}</td>
                  <td>{roleWords[p.role]}</td>
                  <td>{p.certificate ?? "–"}</td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        <form className="card side grid" onSubmit={(e) => void add(e)}>
          <h2 style={{ gridColumn: "span 12" }}>Add somebody</h2>
          {text("name", "Name")}
          {text("login", "Login")}
          <div className="field" style={{ gridColumn: "span 12" }}>
            <label htmlFor="role">Role</label>
            <select id="role" className="text" value={form.role} onChange={(e) => setForm({ ...form, role: e.target.value as NewPerson["role"] })}>
              {Object.entries(roleWords).map(([id, word]) => (
                <option key={id} value={id}>{word}</option>
              ))}
            </select>
          </div>
          {text("certificate", "Certificate, if any")}
          {text("password", "First password", "password")}
          {fault !== undefined && Object.keys(problems).length === 0 && <div className="fault" style={{ gridColumn: "span 12" }}>{saidBy(fault)}</div>}
          <button className="btn main" type="submit" style={{ gridColumn: "span 12" }}>Add</button>
        </form>
      </main>
    </div>
  );
}
