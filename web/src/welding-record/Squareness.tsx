import { Button } from "antd";
import { useState, type FormEvent } from "react";
import { api, problemsByField, type WeldingContent, type WeldingRecord } from "../lib/api";
import { said, TextField, YesNo } from "../lib/fields";
import { FormFoot } from "../lib/FormFoot";
import { Cell, FormGrid } from "../lib/FormGrid";
import { newId } from "../lib/id";
import { CardLines } from "./CardLines";
import { useWeldingChange } from "./useWeldingRecord";

const fields = [
  ["preset", "Preset away", "2", "2"],
  ["squareBefore", "Off square before", "-2", "-2"],
  ["squareAfter", "Off square after", "1/16 over 3", "1 over 50"],
  ["squareAllowed", "The drawing allows", "1", "1"],
  ["bowBefore", "Bow before", "1/32 over 24", "1 over 600"],
  ["bowAfter", "Bow after", "1/16 over 24", "2 over 600"],
  ["bowAllowed", "Bow that is allowed", "1/8 over 120", "1 over 1000"],
] as const;
const questions = [
  ["tackedBothEnds", "Tacked at both ends"],
  ["alternated", "Sides turned about"],
] as const;

/** Squareness and bow, before the first bead and after the last: what the weld pulled, and what the drawing allows. */
export function Squareness({ welding, mayRecord }: { welding: WeldingRecord; mayRecord: boolean }) {
  const card = welding.squareness;
  const [editing, setEditing] = useState(false);
  return (
    <>
      {card.entry && !editing && <CardLines lines={card.lines} />}
      {!card.entry && !editing && (
        <p className="quiet">
          Nothing is read yet. A weld pulls toward the side welded first: write down how square and straight it is
          before and after.
        </p>
      )}
      {mayRecord && !editing && (
        <Button onClick={() => setEditing(true)}>{card.entry ? "Read again" : "Record readings"}</Button>
      )}
      {editing && <Readings welding={welding} onDone={() => setEditing(false)} />}
    </>
  );
}

function Readings({ welding, onDone }: { welding: WeldingRecord; onDone: () => void }) {
  const { act, fault } = useWeldingChange(welding.jointId);
  const card = welding.squareness;
  const [content, setContent] = useState<WeldingContent>(card.content ?? {});
  const problems = problemsByField(fault);
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    const id = card.entry ?? newId();
    const version = card.entry ? card.version : undefined;
    if (await act(() => api.made(welding.jointId, id, "SQUARENESS", said(content), version))) onDone();
  };
  return (
    <form onSubmit={(e) => void submit(e)} aria-label="Squareness and bow">
      <p className="small">
        Off square in degrees, or an offset over a length; plus is toward the side welded first, minus away from it.
      </p>
      <FormGrid>
        {fields.map(([f, label, inch, mm]) => (
          <TextField
            key={f}
            id={`square-${f}`}
            label={label}
            span={6}
            value={content[f] ?? ""}
            placeholder={welding.units === "in" ? inch : mm}
            problem={problems[f]}
            onChange={(v) => setContent({ ...content, [f]: v })}
          />
        ))}
        {questions.map(([f, word]) => (
          <Cell key={f} span={6}>
            <span className="small">{word}</span>
            <YesNo word={word} value={content[f]} onAnswer={(v) => setContent({ ...content, [f]: v })} />
          </Cell>
        ))}
      </FormGrid>
      <FormFoot fault={fault} word="Keep the readings" onLeave={onDone} />
    </form>
  );
}
