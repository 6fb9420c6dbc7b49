import { useState } from "react";
import type { WeldingContent, WeldingRecord } from "../lib/api";
import { numberOf, TextField } from "../lib/fields";
import { timeOf } from "./pass-text";

type Angles = NonNullable<WeldingContent["angles"]>;
type Row = { work: string; travel: string };

const times = ["6:00", "3:00", "9:00", "12:00"];

/** How the rod was held around a pipe: below, at both sides, and at the top. */
export function SeenAngles({
  seen,
  welding,
  problem,
  onChange,
}: {
  seen: Angles;
  welding: WeldingRecord;
  problem?: string;
  onChange: (a: Angles) => void;
}) {
  // What was stored comes back as lengths.
  const [rows, setRows] = useState<Record<string, Row>>(() =>
    Object.fromEntries(
      times.map((t) => {
        const a = seen.find((s) => timeOf(s.at ?? "", welding) === t);
        return [t, { work: String(a?.work ?? ""), travel: String(a?.travel ?? "") }];
      }),
    ),
  );
  const set = (time: string, part: Partial<Row>) => {
    const next = { ...rows, [time]: { work: "", travel: "", ...rows[time], ...part } };
    setRows(next);
    onChange(
      times.flatMap((at) => {
        const work = numberOf(next[at]?.work ?? "");
        const travel = numberOf(next[at]?.travel ?? "");
        return work === undefined && travel === undefined ? [] : [{ at, work, travel }];
      }),
    );
  };
  return times.flatMap((t) => [
    <TextField
      key={`${t} work`}
      id={`angle-work-${t}`}
      label={`${t} work`}
      span={3}
      placeholder="°"
      value={rows[t]?.work ?? ""}
      problem={problem}
      onChange={(work) => set(t, { work })}
    />,
    <TextField
      key={`${t} travel`}
      id={`angle-travel-${t}`}
      label={`${t} travel`}
      span={3}
      placeholder="°"
      value={rows[t]?.travel ?? ""}
      onChange={(travel) => set(t, { travel })}
    />,
  ]);
}
