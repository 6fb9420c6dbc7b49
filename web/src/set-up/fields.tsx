import { AutoComplete, Checkbox } from "antd";
import { ChoiceField, DateTimeField, Field, saidOf, TextField, type Options } from "../lib/fields";
import { useSetUp } from "./useSetUp";
import { Cell } from "../lib/FormGrid";

type Common = { path: string; label: string; span: number; required?: boolean };

/** A field of the joint's form, by its path: with the server's problem, or what is unusual, under it. */
export function Typed({
  path,
  label,
  span,
  required,
  value,
  hint,
  onChange,
}: Common & { value?: string; hint?: string; onChange: (v: string) => void }) {
  const { problem, remark } = useSetUp();
  return (
    <TextField
      id={path}
      label={label}
      span={span}
      required={required}
      value={value}
      placeholder={hint}
      problem={problem(path)}
      hint={remark(path)}
      onChange={onChange}
    />
  );
}

/** The same with what is known offered while one types. */
export function Offered({
  path,
  label,
  span,
  required,
  value,
  hint,
  offered,
  onChange,
}: Common & {
  value?: string;
  hint?: string;
  offered: (string | undefined)[];
  onChange: (v: string) => void;
}) {
  const { problem, remark } = useSetUp();
  const said = { id: path, problem: problem(path), hint: remark(path) };
  const options = [...new Set(offered.filter((o) => o !== undefined && o !== ""))].map((o) => ({ value: o }));
  return (
    <Field {...said} label={label} span={span} required={required}>
      <AutoComplete
        {...saidOf(said)}
        value={value ?? ""}
        placeholder={hint}
        options={options}
        showSearch={{ filterOption: (typed, o) => (o?.value ?? "").toLowerCase().includes(typed.toLowerCase()) }}
        popupMatchSelectWidth={false}
        onChange={(v: string) => onChange(v)}
      />
    </Field>
  );
}

export function Chosen({
  path,
  fixed,
  ...rest
}: Common & { value?: string; options: Options; fixed?: boolean; onChange: (v: string) => void }) {
  const { problem, remark } = useSetUp();
  return <ChoiceField id={path} disabled={fixed} problem={problem(path)} hint={remark(path)} {...rest} />;
}

export function Ticked({
  label,
  on,
  onChange,
}: {
  label: string;
  on: boolean | undefined;
  onChange: (v: true | undefined) => void;
}) {
  return (
    <Cell span={3} bottom>
      <div>
        <Checkbox checked={on ?? false} onChange={(e) => onChange(e.target.checked || undefined)}>
          {label}
        </Checkbox>
      </div>
    </Cell>
  );
}

export function At({
  path,
  label,
  span,
  value,
  onChange,
}: Common & { value?: string; onChange: (v: string | undefined) => void }) {
  const { problem } = useSetUp();
  return (
    <DateTimeField
      id={path}
      label={label}
      span={span}
      value={value}
      problem={problem(path)}
      onChange={(v) => onChange(v ? new Date(v).toISOString().replace(".000Z", "Z") : undefined)}
    />
  );
}

/** Yes, no, or nobody knows. */
export const truths: Options = [
  ["", "not known"],
  ["false", "no"],
  ["true", "yes"],
];

export const truth = (b?: boolean) => (b === undefined ? "" : String(b));
export const ofTruth = (v: string) => (v === "" ? undefined : v === "true");
