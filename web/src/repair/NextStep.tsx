import { holds } from "../lib/roles";
import { Button, Input } from "antd";
import { useState } from "react";
import { api, problemsByField, type Defect, type StepForm } from "../lib/api";
import { Choice, ChoiceField, DateTimeField, TextField, YesNo } from "../lib/fields";
import { useActor } from "../lib/session";
import { Fault } from "./DefectCard";
import { HoldMark } from "./HoldMark";
import { useDefectChange } from "./useDefect";
import { Cell, FormGrid } from "../lib/FormGrid";

const lengths: Partial<Record<string, string>> = {
  from: "From",
  to: "To",
  depth: "How deep",
  left: "Thickness left",
  diameter: "Rod’s diameter",
};
const texts: Partial<Record<string, string>> = {
  seenBy: "Inspected by",
  proofReport: "Report no.",
  rod: "Rod class",
  welder: "Welder’s stamp",
};
const questions: Partial<Record<string, string>> = {
  clean: "Cavity clean and sound?",
  cleaned: "Slag and spatter off?",
  cooled: "Cooled to ambient?",
};
const counts: Partial<Record<string, string>> = { rods: "How many rods", minutes: "Minutes of work" };
const hints: Partial<Record<string, string>> = { rod: "E7018", diameter: "1/8", depth: "1/4" };

const now = () => {
  const d = new Date();
  return new Date(d.getTime() - d.getTimezoneOffset() * 60_000).toISOString().slice(0, 16);
};

/** What must be recorded for the repair to go on; it is refused where something that must be seen is missing. */
export function NextStep({ defect: d, units }: { defect: Defect; units: string }) {
  const actor = useActor();
  const change = useDefectChange(d.id);
  const [form, setForm] = useState<Record<string, string | boolean>>(() => ({
    scale: units === "mm" ? "C" : "F",
    weldedAt: now(),
    seenBy: actor.name,
    ...before(d),
  }));
  const next = d.next;
  if (!next) return null;
  const may =
    holds(actor, "REPAIR_LEAD", "WELDING_ENGINEER") || (next.state === "cavity-accepted" && holds(actor, "INSPECTOR"));
  const problems = problemsByField(change.error);
  const set = (field: string, value: string | boolean) => setForm({ ...form, [field]: value });
  const text = (field: string) => String(form[field] ?? "");
  const record = () => change.mutate(() => api.step(d.id, next.state, said(form, [...next.asks, "note"], d.version)));
  if (next.stopped)
    return (
      <p className="marked">
        <span>
          <HoldMark /> <b>{next.title}</b> waits: {next.stopped}.
        </span>
      </p>
    );
  if (!may)
    return (
      <p className="quiet">Next: {next.title.toLowerCase()}. The repair lead or the welding engineer records it.</p>
    );
  return (
    <form
      className="framed nextstep"
      aria-label={`Record: ${next.title}`}
      onSubmit={(e) => {
        e.preventDefault();
        record();
      }}
    >
      <h3>Record: {next.title.toLowerCase()}</h3>
      <FormGrid>
        {next.asks.map((a) => {
          const problem = problems[a];
          if (lengths[a])
            return (
              <TextField
                key={a}
                id={`s-${a}`}
                label={`${lengths[a]}, ${units}`}
                span={3}
                value={text(a)}
                placeholder={hints[a]}
                problem={problem}
                onChange={(v) => set(a, v)}
              />
            );
          if (texts[a])
            return (
              <TextField
                key={a}
                id={`s-${a}`}
                label={texts[a]}
                span={4}
                value={text(a)}
                placeholder={hints[a]}
                problem={problem}
                onChange={(v) => set(a, v)}
              />
            );
          if (questions[a])
            return (
              <Cell span={5}>
                <div key={a} className="field">
                  <span className="label strong small">{questions[a]}</span>
                  <YesNo word={questions[a]} value={form[a] as boolean | undefined} onAnswer={(v) => set(a, v)} />
                  {problem && <div className="small fault">{problem}</div>}
                </div>
              </Cell>
            );
          if (a === "method")
            return (
              <ChoiceField
                key={a}
                id="s-method"
                label="How it was taken off"
                span={6}
                value={text(a)}
                problem={problem}
                options={[["", "choose"], ...next.methods.map((m) => [m.id, m.title] as const)]}
                onChange={(v) => set(a, v)}
              />
            );
          if (a === "foundBy")
            return (
              <ChoiceField
                key={a}
                id="s-foundBy"
                label="Ends found by"
                span={3}
                value={text(a)}
                problem={problem}
                options={[
                  ["", "choose"],
                  ["PT", "PT"],
                  ["MT", "MT"],
                  ["etch", "etching"],
                  ["VT", "by eye"],
                ]}
                onChange={(v) => set(a, v)}
              />
            );
          if (a === "proof")
            return (
              <ChoiceField
                key={a}
                id="s-proof"
                label="Proven gone by"
                span={3}
                value={text(a)}
                problem={problem}
                options={[
                  ["", "choose"],
                  ["MT", "MT"],
                  ["PT", "PT"],
                ]}
                onChange={(v) => set(a, v)}
              />
            );
          if (a === "preheat")
            return (
              <Cell span={4}>
                <div key={a} className="field">
                  <label htmlFor="s-preheat">Preheat read</label>
                  <span className="nowrap">
                    <Input
                      status={problem !== undefined ? "error" : undefined}
                      id="s-preheat"
                      inputMode="decimal"
                      value={text(a)}
                      aria-invalid={problem !== undefined}
                      onChange={(e) => set(a, e.target.value)}
                    />
                    <Choice
                      width={76}
                      aria-label="Scale"
                      value={text("scale")}
                      options={[
                        ["F", "°F"],
                        ["C", "°C"],
                      ]}
                      onChange={(v) => set("scale", v)}
                    />
                  </span>
                  {problem && <div className="small fault">{problem}</div>}
                </div>
              </Cell>
            );
          if (counts[a])
            return (
              <TextField
                key={a}
                id={`s-${a}`}
                label={counts[a]}
                span={3}
                value={text(a)}
                problem={problem}
                onChange={(v) => set(a, v)}
              />
            );
          if (a === "weldedAt")
            return (
              <DateTimeField
                key={a}
                id="s-weldedAt"
                label="Welded at"
                span={5}
                value={text(a)}
                problem={problem}
                onChange={(v) => set(a, v)}
              />
            );
          return null;
        })}
        <TextField
          id="s-note"
          label="Note"
          span={8}
          value={text("note")}
          problem={problems.note}
          onChange={(v) => set("note", v)}
        />
        <Cell span={4} bottom>
          <Button block type="primary" htmlType="submit" disabled={change.isPending}>
            Record
          </Button>
        </Cell>
      </FormGrid>
      {Object.keys(problems).length === 0 && <Fault of={change.error} />}
    </form>
  );
}

/** The place as it was recorded, and the extent where the step before told it. */
function before(d: Defect): Record<string, string> {
  const place = d.plan?.extent ?? d.place;
  const [from, to] = (place ?? "").split("–");
  return d.state === "open" && d.place ? ends(d.place) : from && to ? { from, to } : {};
}

function ends(place: string): Record<string, string> {
  const [from, to] = place.split("–");
  return from && to ? { from, to } : {};
}

function said(form: Record<string, string | boolean>, asks: string[], version: number): StepForm {
  const all: Record<string, unknown> = { version };
  for (const a of asks) {
    const v = form[a];
    if (v === undefined || v === "") continue;
    all[a] =
      counts[a] || a === "preheat"
        ? Number(String(v).replace(",", "."))
        : a === "weldedAt"
          ? new Date(String(v)).toISOString()
          : v;
    if (a === "preheat") all.scale = form.scale;
  }
  return all;
}
