import { holds } from "../lib/roles";
import { Button, Flex } from "antd";
import { useState, type FormEvent } from "react";
import { api, problemsByField, saidBy, type Bench, type DeviationForm } from "../lib/api";
import { ChoiceField, DateField, TextField } from "../lib/fields";
import { useActor } from "../lib/session";
import { useChange } from "./useBench";
import { FormGrid } from "../lib/FormGrid";

/** What stands beside the code for this weld: the contract's limits, and what the Engineer allowed by his document. */
export function ContractPanel({ bench }: { bench: Bench }) {
  const actor = useActor();
  const [adding, setAdding] = useState(false);
  const records = bench.state === "OPEN" && holds(actor, "WELDING_ENGINEER", "QUALITY_MANAGER");
  const { lines } = bench.contract;
  if (lines.length === 0 && bench.deviations.length === 0 && !records) return null;
  return (
    <section className="marked" aria-label="Beside the code">
      {lines.map((l) => (
        <div key={l} className="small">
          <b>Contract:</b> {l}
        </div>
      ))}
      {bench.deviations.map((d) => (
        <div key={d.id} className="small">
          <b>The Engineer allows:</b> {d.form.criterion}
          {d.form.max ? ` up to ${d.form.max}` : " as it is"}
          {d.form.from ? ` at ${d.form.from}–${d.form.to}` : ", whole weld"}, by {d.form.document} ({d.form.engineer},{" "}
          {d.form.date}){records && <TakeBack bench={bench} id={d.id} />}
        </div>
      ))}
      {records && !adding && (
        <Button type="link" onClick={() => setAdding(true)}>
          record what the Engineer allows …
        </Button>
      )}
      {adding && <DeviationEntry bench={bench} onDone={() => setAdding(false)} />}
    </section>
  );
}

function TakeBack({ bench, id }: { bench: Bench; id: string }) {
  const change = useChange(bench.id);
  const [why, setWhy] = useState<string>();
  if (why === undefined)
    return (
      <Button type="link" onClick={() => setWhy("")}>
        no longer holds …
      </Button>
    );
  const store = (e: FormEvent) => {
    e.preventDefault();
    void change.mutateAsync(() => api.withdrawDeviation(bench.id, id, why)).catch(() => undefined);
  };
  return (
    <form onSubmit={store}>
      <TextField id={`why-${id}`} label="Why it no longer holds" value={why} onChange={setWhy} />
      <Button htmlType="submit">Take it back</Button>
      {change.isError && (
        <span role="alert" className="fault">
          {saidBy(change.error)}
        </span>
      )}
    </form>
  );
}

function DeviationEntry({ bench, onDone }: { bench: Bench; onDone: () => void }) {
  const rejected = bench.evaluation.findings.find((f) => f.verdict === "reject");
  const [form, setForm] = useState<DeviationForm>({ criterion: rejected?.criterion ?? "undercut" });
  const [fault, setFault] = useState<unknown>();
  const change = useChange(bench.id);
  const problems = problemsByField(fault);
  const criteria = bench.evaluation.findings.filter(
    (f) => f.id === f.criterion && f.id !== "readiness" && f.id !== "size",
  );
  const text = (name: Exclude<keyof DeviationForm, "criterion">, label: string, span: number, placeholder?: string) => (
    <TextField
      id={`dev-${name}`}
      label={label}
      span={span}
      placeholder={placeholder}
      value={form[name]}
      problem={problems[name]}
      onChange={(v) => setForm({ ...form, [name]: v === "" ? undefined : v })}
    />
  );
  const store = async (e: FormEvent) => {
    e.preventDefault();
    try {
      await change.mutateAsync(() => api.deviate(bench.id, form));
      onDone();
    } catch (x) {
      setFault(x);
    }
  };
  return (
    <form onSubmit={(e) => void store(e)} aria-label="What the Engineer allows">
      <FormGrid>
        <ChoiceField
          id="dev-criterion"
          label="Of"
          span={4}
          value={form.criterion}
          problem={problems.criterion}
          options={criteria.map((c) => [c.id, c.title] as const)}
          onChange={(v) => setForm({ ...form, criterion: v })}
        />
        {text("from", "From", 2, "whole weld")}
        {text("to", "To", 2)}
        {text("max", `Up to, ${bench.joint.units}`, 4, "as it is")}
        {text("document", "His document", 4)}
        {text("engineer", "The Engineer", 4)}
        <DateField
          id="dev-date"
          label="Dated"
          span={4}
          value={form.date}
          problem={problems.date}
          onChange={(v) => setForm({ ...form, date: v })}
        />
        {text("note", "Note", 12)}
      </FormGrid>
      {fault !== undefined && (
        <p role="alert" className="fault">
          {saidBy(fault)}
        </p>
      )}
      <p className="cautions">
        The Engineer acts for the owner; the fabricator’s engineer only records his word. Not for a smaller size: that
        is a changed drawing.
      </p>
      <Flex gap={8}>
        <Button type="primary" htmlType="submit">
          Record the document
        </Button>
        <Button onClick={onDone}>Back</Button>
      </Flex>
    </form>
  );
}
