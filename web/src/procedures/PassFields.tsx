import { Button } from "antd";
import { useState } from "react";
import type { ProcedureForm, Rod } from "../lib/api";
import { ChoiceField, numberOf, TextField } from "../lib/fields";
import { Cell, FormGrid } from "../lib/FormGrid";

export const kinds = ["root", "hot", "fill", "cap"].map((k) => [k, k] as const);
const polarities = [
  ["", "–"],
  ["DCEP", "DCEP"],
  ["DCEN", "DCEN"],
  ["AC", "AC"],
] as const;
const processes = [
  ["SMAW", "stick"],
  ["GTAW", "GTAW (TIG)"],
  ["GMAW", "GMAW (MIG)"],
  ["FCAW", "FCAW"],
] as const;
const techniques = [
  ["", "–"],
  ["stringer", "stringer"],
  ["weave", "weave"],
] as const;

type Pass = NonNullable<ProcedureForm["passes"]>[number];

type Props = {
  index: number;
  pass: Pass;
  rods: Rod[];
  units?: string;
  problems: Record<string, string>;
  onChange: (pass: Pass) => void;
  onTakeOff?: () => void;
};

/** One pass: its rod, current, technique and travel. */
export function PassFields({ index: i, pass: p, rods, units, problems, onChange, onTakeOff }: Props) {
  const at = (f: string) => problems[`passes[${i}].${f}`];
  const change = (part: Partial<Pass>) => onChange({ ...p, ...part });
  const rodOf = (of: Pass) =>
    rods.find(
      (r) =>
        r.electrode === of.electrode &&
        of.diameter?.replace(/ ?(in|mm)$/, "") === (units === "mm" ? r.metric : r.diameter),
    );
  /** The amps start from the rod's own range, and may be narrowed. */
  const withRange = (of: Pass): Pass => {
    const amps = rodOf(of)?.amps;
    return amps ? { ...of, amps: [amps.low, amps.high] } : of;
  };
  const stick = (p.process ?? "SMAW") === "SMAW";
  const range = rodOf(p)?.amps;
  return (
    <FormGrid className="under">
      <ChoiceField
        id={`k${i}`}
        label="Pass"
        span={2}
        value={p.kind}
        problem={at("kind")}
        options={kinds}
        onChange={(v) => change({ kind: v })}
      />
      <ChoiceField
        id={`b${i}`}
        label="By"
        span={3}
        value={p.process ?? "SMAW"}
        problem={at("process")}
        options={processes}
        onChange={(v) => change({ process: v, amps: undefined, electrode: v === "SMAW" ? "E7018" : "" })}
      />
      {stick ? (
        <ChoiceField
          id={`e${i}`}
          label="Rod"
          span={2}
          value={p.electrode}
          options={[...new Set(rods.map((r) => r.electrode))].map((r) => [r, r] as const)}
          onChange={(v) => change(withRange({ ...p, electrode: v }))}
        />
      ) : (
        <TextField
          id={`e${i}`}
          label="Filler"
          span={2}
          value={p.electrode}
          placeholder="ER70S-2"
          problem={at("electrode")}
          onChange={(v) => change({ electrode: v })}
        />
      )}
      <TextField
        id={`d${i}`}
        label="Diameter"
        span={2}
        value={p.diameter}
        problem={at("diameter")}
        onChange={(v) => change(withRange({ ...p, diameter: v }))}
      />
      <RangeField
        key={`${p.electrode} ${p.diameter}`}
        id={`a${i}`}
        label="Amps"
        span={3}
        value={p.amps?.map(String)}
        problem={at("amps")}
        hint={range ? `rod ${range.low}–${range.high}` : undefined}
        onChange={(v) => change({ amps: v.map((x) => numberOf(x) ?? Number.NaN) })}
      />
      <RangeField
        id={`v${i}`}
        label="Volts"
        span={2}
        value={p.volts?.map(String)}
        problem={at("volts")}
        onChange={(v) => change({ volts: v.map((x) => numberOf(x) ?? Number.NaN) })}
      />
      <ChoiceField
        id={`p${i}`}
        label="Polarity"
        span={2}
        value={p.polarity}
        options={polarities}
        onChange={(v) => change({ polarity: v })}
      />
      <ChoiceField
        id={`t${i}`}
        label="Beads"
        span={3}
        value={p.technique}
        options={techniques}
        onChange={(v) => change({ technique: v })}
      />
      <RangeField
        id={`s${i}`}
        label={`Travel, ${units}/min`}
        span={3}
        value={p.travel?.map((t) => t.replace(/ .*/, ""))}
        problem={at("travel") ?? at("travel[0]") ?? at("travel[1]")}
        onChange={(v) => change({ travel: v.map((x) => `${x.trim()} ${units}/min`) })}
      />
      <TextField
        id={`l${i}`}
        label={!stick ? "Thick" : p.kind === "root" ? "Largest size" : "Thickest layer"}
        span={2}
        value={p.layer}
        problem={at("layer")}
        onChange={(v) => change({ layer: v })}
      />
      <Cell span={2} bottom>
        {onTakeOff && (
          <Button type="link" onClick={onTakeOff}>
            take off
          </Button>
        )}
      </Cell>
    </FormGrid>
  );
}

/** "115–140" as two ends; what is half typed stays as it is typed. */
function RangeField({
  id,
  label,
  span,
  value,
  problem,
  hint,
  onChange,
}: {
  id: string;
  label: string;
  span: number;
  value?: string[];
  problem?: string;
  hint?: string;
  onChange: (v: string[]) => void;
}) {
  const [typed, setTyped] = useState(value?.join("–") ?? "");
  return (
    <TextField
      id={id}
      label={label}
      span={span}
      value={typed}
      problem={problem}
      hint={hint}
      placeholder="from–to"
      onChange={(v) => {
        setTyped(v);
        onChange(v.trim() === "" ? [] : v.split(/\s*[–-]\s*/).filter((x) => x !== ""));
      }}
    />
  );
}
