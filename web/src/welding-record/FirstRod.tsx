import { useQuery } from "@tanstack/react-query";
import { Button } from "antd";
import { useState, type FormEvent } from "react";
import { api, problemsByField, type WeldingContent, type WeldingRecord } from "../lib/api";
import { ChoiceField, numberOf, said, TextField, YesNo } from "../lib/fields";
import { FormFoot } from "../lib/FormFoot";
import { Cell, FormGrid } from "../lib/FormGrid";
import { newId } from "../lib/id";
import { arcForceOf, inText } from "./pass-text";
import { CardLines } from "./CardLines";
import { useWeldingChange } from "./useWeldingRecord";

const modes = [
  ["", "–"],
  ["SMAW", "stick"],
  ["GTAW", "TIG"],
  ["GMAW", "MIG"],
  ["FCAW", "flux-cored"],
] as const;
const numbers = ["amps", "ovenHours"] as const;
type Typed = Record<
  "kind" | "machine" | "mode" | "polarity" | "electrode" | "diameter" | "arcForceShown" | (typeof numbers)[number],
  string
>;

/** Eight lines at the machine before the first rod; a wrong pole or mode, or rods out too long, stops the start. */
export function FirstRod({ welding, mayRecord }: { welding: WeldingRecord; mayRecord: boolean }) {
  const card = welding.firstRod;
  const [editing, setEditing] = useState(false);
  return (
    <>
      {card.stops && (
        <p role="alert" className="framed bad fault">
          ✕ Do not start: see the lines marked below.
        </p>
      )}
      {card.entry && !editing && <CardLines lines={card.lines} />}
      {!card.entry && <p className="quiet">No card is filled in: it takes a minute at the machine.</p>}
      {mayRecord && !editing && (
        <Button onClick={() => setEditing(true)}>{card.entry ? "Read again" : "Fill in the card"}</Button>
      )}
      {editing && <CardForm welding={welding} onDone={() => setEditing(false)} />}
      <h3>Protection</h3>
      <ul>
        {card.protection.map((line) => (
          <li key={line} className="small">
            {line}
          </li>
        ))}
      </ul>
    </>
  );
}

function CardForm({ welding, onDone }: { welding: WeldingRecord; onDone: () => void }) {
  const { act, fault } = useWeldingChange(welding.jointId);
  const machines = useQuery({ queryKey: ["machines"], queryFn: api.machines });
  const card = welding.firstRod;
  const was = card.content;
  const row = welding.procedure?.passes.find((p) => p.process === "SMAW");
  const [typed, setTyped] = useState<Typed>(() => ({
    kind: was?.kind ?? row?.kind ?? "root",
    machine: was?.machine ?? "",
    mode: was?.mode ?? "",
    polarity: was?.polarity ?? "",
    electrode: was?.electrode ?? row?.electrode ?? "E7018",
    diameter: was?.diameter ?? row?.diameter ?? "1/8 in",
    amps: String(was?.amps ?? ""),
    arcForceShown: inText(was?.arcForceShown ?? was?.arcForceWord),
    ovenHours: String(was?.ovenHours ?? ""),
  }));
  const [yes, setYes] = useState({
    clampClose: was?.clampClose,
    rodsAtHand: was?.rodsAtHand,
    protectedNow: was?.protectedNow,
  });
  const [noNumber, setNoNumber] = useState<string>();
  const problems = problemsByField(fault);
  const set = (f: keyof Typed, v: string) => setTyped({ ...typed, [f]: v });
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    const content: WeldingContent = said({ ...typed, ...yes } as unknown as WeldingContent);
    for (const f of numbers) {
      const n = numberOf(typed[f]);
      if (n !== undefined && !isFinite(n)) return setNoNumber(f);
      if (n === undefined) delete content[f];
      else content[f] = n;
    }
    setNoNumber(undefined);
    delete content.arcForceShown;
    Object.assign(content, arcForceOf(typed.arcForceShown));
    const id = card.entry ?? newId();
    if (await act(() => api.made(welding.jointId, id, "FIRST_ROD", content, card.entry ? card.version : undefined)))
      onDone();
  };
  const text = (f: keyof Typed, label: string, span = 3) => (
    <TextField
      id={`first-${f}`}
      label={label}
      span={span}
      value={typed[f]}
      problem={noNumber === f ? "a number" : problems[f]}
      onChange={(v) => set(f, v)}
    />
  );
  const choice = (f: keyof Typed, label: string, options: readonly (readonly [string, string])[], span = 3) => (
    <ChoiceField
      id={`first-${f}`}
      label={label}
      span={span}
      value={typed[f]}
      problem={problems[f]}
      options={options}
      onChange={(v) => set(f, v)}
    />
  );
  const ask = (f: keyof typeof yes, word: string) => (
    <Cell span={4}>
      <span className="small">{word}</span>
      <YesNo word={word} value={yes[f]} onAnswer={(v) => setYes({ ...yes, [f]: v })} />
    </Cell>
  );
  const names = (machines.data ?? []).map((m) => m.form.name ?? "");
  return (
    <form onSubmit={(e) => void submit(e)} aria-label="First-rod card">
      <FormGrid>
        {choice("machine", "Machine", [["", "–"], ...names.map((n) => [n, n] as const)], 4)}
        {choice("mode", "Switched to", modes, 4)}
        {choice(
          "polarity",
          "Polarity",
          ["", "DCEP", "DCEN", "AC"].map((p) => [p, p || "–"] as const),
          4,
        )}
        {choice(
          "kind",
          "Pass",
          ["root", "hot", "fill", "cap"].map((k) => [k, k] as const),
        )}
        {text("electrode", "Rod")}
        {text("diameter", "Diameter")}
        {text("amps", "Amps")}
        {text("arcForceShown", "Arc force, as the machine has it", 6)}
        {text("ovenHours", "Rods out of the oven, hours", 6)}
        {ask("clampClose", "Clamp near, on bright metal")}
        {ask("rodsAtHand", "Rods at hand for the pass")}
        {ask("protectedNow", "Access and protection")}
      </FormGrid>
      <FormFoot fault={fault} word="Keep the card" onLeave={onDone} />
    </form>
  );
}
