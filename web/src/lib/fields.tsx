import type { ReactNode } from "react";

type Common = { id: string; label: string; span?: number; problem?: string; hint?: ReactNode };

/** A labelled input in a form's grid, with what is wrong or unusual about it under it. */
export function TextField({
  id,
  label,
  span = 12,
  problem,
  hint,
  value,
  onChange,
  placeholder,
  type = "text",
  onBlur,
  disabled,
}: Common & {
  value: string | undefined;
  onChange: (v: string) => void;
  placeholder?: string;
  type?: string;
  onBlur?: () => void;
  disabled?: boolean;
}) {
  return (
    <div className="field" style={{ gridColumn: `span ${span}` }}>
      <label htmlFor={id}>{label}</label>
      <input
        id={id}
        className="text"
        type={type}
        autoComplete="off"
        disabled={disabled}
        value={value ?? ""}
        placeholder={placeholder}
        aria-invalid={problem !== undefined}
        onChange={(e) => onChange(e.target.value)}
        onBlur={onBlur}
      />
      <Under problem={problem} hint={hint} />
    </div>
  );
}

export function ChoiceField({
  id,
  label,
  span = 12,
  problem,
  hint,
  value,
  options,
  onChange,
  disabled,
}: Common & {
  value: string | undefined;
  options: readonly (readonly [string, string])[];
  onChange: (v: string) => void;
  disabled?: boolean;
}) {
  return (
    <div className="field" style={{ gridColumn: `span ${span}` }}>
      <label htmlFor={id}>{label}</label>
      <select
        id={id}
        className="text"
        value={value ?? ""}
        disabled={disabled}
        aria-invalid={problem !== undefined}
        onChange={(e) => onChange(e.target.value)}
      >
        {options.map(([v, word]) => (
          <option key={v} value={v}>
            {word}
          </option>
        ))}
      </select>
      <Under problem={problem} hint={hint} />
    </div>
  );
}

function Under({ problem, hint }: { problem?: string; hint?: ReactNode }) {
  return (
    <>
      {problem && <div className="msg fault">{problem}</div>}
      {hint && <div className="msg hint">{hint}</div>}
    </>
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
    <span className="yesno" role="group" aria-label={word}>
      <button type="button" disabled={disabled} aria-pressed={value === true} onClick={() => onAnswer(true)}>
        yes
      </button>
      <button type="button" disabled={disabled} aria-pressed={value === false} onClick={() => onAnswer(false)}>
        no
      </button>
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
