import { Button } from "antd";
import { useQueryClient } from "@tanstack/react-query";
import { useState, type FormEvent } from "react";
import { api, problemsByField, saidBy, type Papers, type WithPapers } from "../lib/api";
import { dayOf } from "../lib/local-time";
import { ChoiceField, DateField, said, TextField } from "../lib/fields";
import { Cell, FormGrid } from "../lib/FormGrid";

/** A date up to which a paper holds; past it a word says so. */
export function Until({ date }: { date?: string }) {
  if (!date) return <>–</>;
  const over = date < new Date().toISOString().slice(0, 10);
  return over ? <span className="fault">✕ {dayOf(date)}, over</span> : <>{dayOf(date)}</>;
}

/** An inspector's certificate, eye test, and for whom he looks; what is over refuses a signature. */
export function PapersForm({ of }: { of: WithPapers }) {
  const [form, setForm] = useState<Papers>(of.papers);
  const [fault, setFault] = useState<unknown>();
  const queries = useQueryClient();
  const store = async (e: FormEvent) => {
    e.preventDefault();
    try {
      await api.certify(of.person.id, said(form));
      setFault(undefined);
      await queries.invalidateQueries({ queryKey: ["papers"] });
    } catch (x) {
      setFault(x);
    }
  };
  const problems = problemsByField(fault);
  const set = (change: Partial<Papers>) => setForm({ ...form, ...change });
  return (
    <form className="card side" aria-label={`Papers of ${of.person.name}`} onSubmit={(e) => void store(e)}>
      <FormGrid>
        <Cell span={12}>
          <h2>Papers of {of.person.name}</h2>
        </Cell>
        <TextField
          id="paper"
          label="Certificate"
          value={form.certificate}
          problem={problems.certificate}
          onChange={(v) => set({ certificate: v })}
        />
        <DateField
          id="until"
          label="Holds until"
          span={6}
          value={form.certificateUntil}
          problem={problems.certificateUntil}
          onChange={(v) => set({ certificateUntil: v })}
        />
        <DateField
          id="eyes"
          label="Eye test until"
          span={6}
          value={form.eyeTestUntil}
          problem={problems.eyeTestUntil}
          onChange={(v) => set({ eyeTestUntil: v })}
        />
        <ChoiceField
          id="inspects-for"
          label="Inspects for"
          value={form.capacity}
          problem={problems.capacity}
          options={[
            ["", "either"],
            ["QC", "the fabricator (QC)"],
            ["verification", "the owner (verification)"],
          ]}
          onChange={(v) => set({ capacity: v })}
        />
        <TextField
          id="mail"
          label="Mail, for notices"
          type="email"
          value={form.mail}
          problem={problems.mail}
          onChange={(v) => set({ mail: v })}
        />
        {fault !== undefined && Object.keys(problems).length === 0 && (
          <Cell span={12}>
            <p role="alert" className="fault">
              {saidBy(fault)}
            </p>
          </Cell>
        )}
        <Cell span={12}>
          <Button type="primary" htmlType="submit">
            Store the papers
          </Button>
        </Cell>
      </FormGrid>
    </form>
  );
}
