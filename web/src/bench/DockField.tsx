import { Button, Flex, Input } from "antd";
import type { Bench, Gauge } from "../lib/api";
import { chipsFor, type FieldSpec } from "./kinds";
import { Choice } from "../lib/fields";

export function KeyWord({ word, letter }: { word: string; letter?: string }) {
  const at = letter ? word.toLowerCase().indexOf(letter) : -1;
  if (at < 0) return <>{word}</>;
  // one element, or the button would set its parts apart
  return (
    <span>
      {word.slice(0, at)}
      <kbd>{word[at]}</kbd>
      {word.slice(at + 1)}
    </span>
  );
}

/** The gauge that read it: of the inspection's kit first, then the rest of the register. One past its date says so. */
export function ReadWith({
  bench,
  known,
  value,
  onChange,
}: {
  bench: Bench;
  known: Gauge[];
  value: string;
  onChange: (v: string) => void;
}) {
  const kit = known.filter((g) => bench.gaugeNames.includes(g.form.name ?? ""));
  const others = known.filter((g) => !kit.includes(g));
  return (
    <Choice
      id="dock-gauge"
      width={190}
      aria-label="Read with gauge"
      value={value}
      onChange={onChange}
      options={[["", "read with …"], ...[...kit, ...others].map((g) => [g.form.name ?? "", gaugeInWords(g)] as const)]}
    />
  );
}

function gaugeInWords(g: Gauge): string {
  return [
    `${g.fault ? "✕ " : ""}${g.form.name ?? ""}`,
    ...(g.form.division ? [g.form.division] : []),
    ...(g.fault ? ["not in calibration"] : []),
  ].join(", ");
}

type FieldProps = {
  spec: FieldSpec;
  bench: Bench;
  value: string;
  problem?: string;
  first: boolean;
  onChange: (v: string) => void;
};

/** One field of what is recorded: a length with the chips a hand reaches first, a toe, a word to choose. */
export function DockField({ spec, bench, value, problem, first: isFirst, onChange }: FieldProps) {
  const id = `dock-${spec.name}`;
  const mark = { ...(isFirst ? { "data-first": true } : {}), ...(spec.measure ? { "data-measure": spec.name } : {}) };
  if (spec.input === "toe") {
    const names: [string, string][] = [
      ["A", bench.joint.toeA],
      ["B", bench.joint.toeB],
    ];
    if (bench.joint.form.oneSided) names.push(["root", "root"]);
    return (
      <div className="field">
        <label id={id}>{spec.label}</label>
        <div className="row" role="group" aria-labelledby={id}>
          {names.map(([toe, name], i) => (
            <Button
              type={value === toe ? "primary" : "default"}
              key={toe}
              {...(isFirst && i === 0 ? mark : {})}
              aria-pressed={value === toe}
              onClick={() => onChange(toe)}
            >
              {name}
            </Button>
          ))}
        </div>
      </div>
    );
  }
  if (spec.input === "choice")
    return (
      <div className="field">
        <label htmlFor={id}>{spec.label}</label>
        <Choice id={id} width={150} {...mark} value={value} options={spec.options ?? []} onChange={onChange} />
      </div>
    );
  const chips = chipsFor(spec, bench);
  return (
    <div className="field">
      <label htmlFor={id}>
        {spec.label}
        {spec.optional && <span className="quiet"> if read</span>}
      </label>
      <Flex gap={4}>
        <Input
          status={problem !== undefined ? "error" : undefined}
          id={id}
          {...mark}
          value={value}
          autoComplete="off"
          className="num-box"
          inputMode="text"
          aria-invalid={problem !== undefined}
          onChange={(e) => onChange(e.target.value)}
        />
        {chips.length > 0 && (
          <span className="row">
            {chips.map((c) => (
              <Button
                type={value === c ? "primary" : "default"}
                key={c}
                aria-pressed={value === c}
                onClick={() => onChange(c)}
              >
                {c}
              </Button>
            ))}
          </span>
        )}
      </Flex>
    </div>
  );
}
