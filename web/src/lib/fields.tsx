import { DatePicker, Form, Input, Radio, Select } from "antd";
import dayjs from "dayjs";
import type { KeyboardEvent, ReactNode } from "react";
import { Cell } from "./FormGrid";

type Common = {
  id: string;
  label: ReactNode;
  span?: number;
  problem?: string;
  hint?: ReactNode;
  required?: boolean;
  disabled?: boolean;
};

/** A label over a control in a form's grid of twelve, with what is wrong or unusual about it under it. */
export function Field({
  id,
  label,
  span = 12,
  problem,
  hint,
  required,
  children,
}: Omit<Common, "disabled"> & { children: ReactNode }) {
  return (
    <Cell span={span}>
      <Form.Item
        layout="vertical"
        colon={false}
        label={label}
        htmlFor={id}
        required={required}
        validateStatus={problem ? "error" : hint ? "warning" : undefined}
        help={
          (problem || hint) && (
            <span id={saidId(id)} role={problem ? "alert" : undefined}>
              {problem ?? hint}
              {problem && hint && <span className="hint"> {hint}</span>}
            </span>
          )
        }
      >
        {children}
      </Form.Item>
    </Cell>
  );
}

const saidId = (id: string) => `${id}-said`;

/** What ties a control to the message under it, for those who hear the screen. */
export function saidOf({ id, problem, hint }: { id: string; problem?: string; hint?: ReactNode }) {
  return {
    id,
    "aria-invalid": problem !== undefined,
    ...(problem || hint ? { "aria-describedby": saidId(id) } : {}),
    ...(problem ? { status: "error" as const } : {}),
  };
}

export function TextField({
  value,
  onChange,
  placeholder,
  type = "text",
  onBlur,
  ...field
}: Common & {
  value: string | undefined;
  onChange: (v: string) => void;
  placeholder?: string;
  type?: string;
  onBlur?: () => void;
}) {
  return (
    <Field {...field}>
      <Input
        {...saidOf(field)}
        type={type}
        maxLength={1000} // what the server takes of the longest
        autoComplete="off"
        disabled={field.disabled || undefined}
        value={value ?? ""}
        placeholder={placeholder}
        onChange={(e) => onChange(e.target.value)}
        onBlur={onBlur}
      />
    </Field>
  );
}

export type Options = readonly (readonly [value: string, word: string])[];

export function ChoiceField({
  value,
  options,
  onChange,
  ...field
}: Common & { value?: string; options: Options; onChange: (v: string) => void }) {
  return (
    <Field {...field}>
      <Choice
        {...saidOf(field)}
        disabled={field.disabled || undefined}
        value={value}
        options={options}
        onChange={onChange}
      />
    </Field>
  );
}

/** A list to choose from; a long one is searched by typing. */
export function Choice({
  value,
  options,
  onChange,
  width = "100%",
  ...rest
}: {
  id?: string;
  value?: string;
  options: Options;
  onChange: (v: string) => void;
  width?: number | string;
  disabled?: boolean;
  placeholder?: string;
  status?: "error";
  "aria-label"?: string;
}) {
  return (
    <Select
      {...rest}
      style={{ width }}
      value={value ?? ""}
      onChange={onChange}
      showSearch={options.length > 8 && { optionFilterProp: "label" }}
      popupMatchSelectWidth={false}
      options={options.map(([v, word]) => ({ value: v, label: word }))}
    />
  );
}

/** How a day may be typed; the first is how it is shown. */
const days = ["MMM D, YYYY", "M/D/YYYY", "YYYY-MM-DD"];
const minutes = ["MMM D, YYYY h:mm A", "YYYY-MM-DD HH:mm", "YYYY-MM-DDTHH:mm"];

/** Enter takes the day that was typed; it does not also send the form, which would be gone before it was looked at. */
const takesOnly = (e: KeyboardEvent) => {
  if (e.key === "Enter") e.preventDefault();
};

/** A day as the interface keeps it: 2026-11-28. */
export function DateField({
  value,
  placeholder,
  onChange,
  ...field
}: Common & { value: string | undefined; placeholder?: string; onChange: (v: string) => void }) {
  return (
    <Field {...field}>
      <DatePicker
        className="whole-line"
        {...saidOf(field)}
        disabled={field.disabled || undefined}
        format={days}
        placeholder={placeholder}
        onKeyDown={takesOnly}
        value={value ? dayjs(value) : null}
        onChange={(d) => onChange(d ? d.format("YYYY-MM-DD") : "")}
      />
    </Field>
  );
}

/** A minute of this place's clock: 2026-11-28T14:05. */
export function DateTimeField({
  value,
  onChange,
  ...field
}: Common & { value: string | undefined; onChange: (v: string) => void }) {
  return (
    <Field {...field}>
      <DateTime {...saidOf(field)} disabled={field.disabled || undefined} value={value} onChange={onChange} />
    </Field>
  );
}

/** The same without a label of its own over it. */
export function DateTime({
  label,
  value,
  onChange,
  ...rest
}: {
  label?: string;
  value: string | undefined;
  onChange: (v: string) => void;
  id?: string;
  disabled?: boolean;
  status?: "error";
}) {
  return (
    <DatePicker
      className="box wide-box"
      {...rest}
      aria-label={label}
      format={minutes}
      onKeyDown={takesOnly}
      showTime={{ format: "h:mm A", use12Hours: true, showNow: true }}
      value={value ? dayjs(value) : null}
      onChange={(d) => onChange(d ? d.format("YYYY-MM-DDTHH:mm") : "")}
    />
  );
}

/** Yes or no, answered by a touch; neither is pressed beforehand. */
export function YesNo({
  word,
  value,
  disabled,
  onAnswer,
  children,
}: {
  word: string;
  value?: boolean;
  disabled?: boolean;
  onAnswer: (v: boolean) => void;
  children?: ReactNode;
}) {
  return (
    <span className="row pair">
      <Radio.Group
        aria-label={word}
        disabled={disabled}
        optionType="button"
        buttonStyle="solid"
        value={value}
        onChange={(e) => onAnswer(e.target.value as boolean)}
        options={[
          { label: "yes", value: true },
          { label: "no", value: false },
        ]}
      />
      {children}
    </span>
  );
}

/** What is typed as a number; undefined where the field is empty, not a number where it is none. */
export function numberOf(text: string | undefined): number | undefined {
  if (text === undefined || text.trim() === "") return undefined;
  return Number(text.trim().replace(",", "."));
}

/** The fields that say something: empty texts and lists are left out. */
export function said<T extends object>(form: T): T {
  return Object.fromEntries(
    Object.entries(form).filter(
      ([, v]) => v !== "" && v !== undefined && v !== null && !(Array.isArray(v) && v.length === 0),
    ),
  ) as T;
}
