import { Button } from "antd";
import { Fragment } from "react";
import type { WeldingContent } from "../lib/api";
import { ChoiceField, TextField } from "../lib/fields";
import { Cell } from "../lib/FormGrid";

type Changes = NonNullable<WeldingContent["changes"]>;

const what = [
  ["amps", "amps"],
  ["arc-length", "arc length"],
  ["arc-force", "arc force"],
  ["travel", "travel"],
  ["work-angle", "work angle"],
  ["travel-angle", "travel angle"],
  ["technique", "beads"],
  ["rod", "rod"],
] as const;

/** What was changed while the pass went on: at which place, from what to what. */
export function PassChanges({
  changes,
  problems,
  onChange,
}: {
  changes: Changes;
  problems: Record<string, string>;
  onChange: (c: Changes) => void;
}) {
  const set = (n: number, part: Partial<Changes[number]>) =>
    onChange(changes.map((c, i) => (i === n ? { ...c, ...part } : c)));
  return (
    <>
      {changes.map((c, i) => (
        <Fragment key={i}>
          <TextField
            id={`change-at-${i}`}
            label="At"
            span={3}
            value={c.at}
            problem={problems[`changes[${i}].at`] ?? problems.changes}
            onChange={(v) => set(i, { at: v })}
          />
          <ChoiceField
            id={`change-what-${i}`}
            label="Changed"
            span={3}
            value={c.what}
            options={what}
            onChange={(v) => set(i, { what: v })}
          />
          <TextField
            id={`change-from-${i}`}
            label="from"
            span={3}
            value={c.from}
            problem={problems[`changes[${i}].from`]}
            onChange={(v) => set(i, { from: v })}
          />
          <TextField
            id={`change-to-${i}`}
            label="to"
            span={3}
            value={c.to}
            problem={problems[`changes[${i}].to`]}
            onChange={(v) => set(i, { to: v })}
          />
          <Cell span={12}>
            <Button type="link" onClick={() => onChange(changes.filter((_, n) => n !== i))}>
              take off
            </Button>
          </Cell>
        </Fragment>
      ))}
      <Cell span={12}>
        <Button type="link" onClick={() => onChange([...changes, { at: "", what: "amps", from: "", to: "" }])}>
          add a change within the pass
        </Button>
      </Cell>
    </>
  );
}
