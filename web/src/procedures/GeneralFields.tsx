import { Button, Flex } from "antd";
import type { ProcedureForm } from "../lib/api";
import { ChoiceField, numberOf, TextField } from "../lib/fields";
import { positions } from "../lib/positions";
import { Cell, FormGrid } from "../lib/FormGrid";

const steels = [
  ["unknown", "not known"],
  ["a36-type", "A36-type"],
  ["a572-50-type", "A572-50, A992 and like"],
  ["higher-strength", "higher strength"],
] as const;
const allConnections = ["tee", "lap", "corner", "butt", "tube-to-plate", "pipe-butt"];

type Props = { form: ProcedureForm; set: (change: Partial<ProcedureForm>) => void; problems: Record<string, string> };

/** What holds for all passes of a procedure. */
export function GeneralFields({ form, set, problems }: Props) {
  return (
    <FormGrid>
      <TextField
        id="number"
        label="Number"
        span={2}
        value={form.number}
        problem={problems.number}
        onChange={(v) => set({ number: v })}
      />
      <TextField
        id="revision"
        label="Revision"
        span={2}
        value={form.revision}
        problem={problems.revision}
        onChange={(v) => set({ revision: v })}
      />
      <ChoiceField
        id="units"
        label="In"
        span={2}
        value={form.units}
        options={[
          ["in", "inches"],
          ["mm", "mm"],
        ]}
        onChange={(v) => set({ units: v })}
      />
      <ChoiceField
        id="steel"
        label="Steel"
        span={4}
        value={form.steel}
        options={steels}
        onChange={(v) => set({ steel: v })}
      />
      <ChoiceField
        id="progression"
        label="Vertical"
        span={2}
        value={form.progression}
        options={[
          ["", "–"],
          ["up", "up"],
          ["down", "down"],
        ]}
        onChange={(v) => set({ progression: v })}
      />
      <TextField
        id="thinnest"
        label="Thinnest"
        span={2}
        value={form.thinnest}
        problem={problems.thinnest}
        onChange={(v) => set({ thinnest: v })}
      />
      <TextField
        id="thickest"
        label="Thickest"
        span={2}
        value={form.thickest}
        problem={problems.thickest}
        onChange={(v) => set({ thickest: v })}
      />
      <TextField
        id="preheatF"
        label="Preheat, °F"
        span={2}
        value={text(form.preheatF)}
        problem={problems.preheatF}
        onChange={(v) => set({ preheatF: numberOf(v) })}
      />
      <TextField
        id="interpassMaxF"
        label="Interpass to, °F"
        span={2}
        value={text(form.interpassMaxF)}
        problem={problems.interpassMaxF}
        onChange={(v) => set({ interpassMaxF: numberOf(v) })}
      />
      <TextField
        id="beadWidthRods"
        label="Bead, × rod"
        span={2}
        value={text(form.beadWidthRods)}
        problem={problems.beadWidthRods}
        onChange={(v) => set({ beadWidthRods: numberOf(v) })}
      />
      <TextField
        id="brightMetal"
        label="Bright back"
        span={2}
        value={form.brightMetal}
        problem={problems.brightMetal}
        onChange={(v) => set({ brightMetal: v })}
      />
      <Cell span={9}>
        <div className="field">
          <b className="small">Joints; none chosen is all</b>
          <Flex wrap gap={6}>
            {["fillet", "groove"].map((w) => (
              <Toggle
                key={w}
                word={w}
                on={form.welds?.includes(w) ?? false}
                onTurn={() => set({ welds: turned(form.welds, w) })}
              />
            ))}
            {allConnections.map((c) => (
              <Toggle
                key={c}
                word={c.replaceAll("-", " ")}
                on={form.connections?.includes(c) ?? false}
                onTurn={() => set({ connections: turned(form.connections, c) })}
              />
            ))}
          </Flex>
        </div>
      </Cell>
      <Cell span={3}>
        <div className="field">
          <b className="small">Technique and backing</b>
          <Flex wrap gap={6}>
            <Toggle
              word="stringers only"
              on={form.stringerOnly ?? false}
              onTurn={() => set({ stringerOnly: form.stringerOnly ? undefined : true })}
            />
            <Toggle
              word="backing"
              on={form.backing ?? false}
              onTurn={() => set({ backing: form.backing ? undefined : true })}
            />
          </Flex>
        </div>
      </Cell>
      <Cell span={12}>
        <div className="field">
          <b className="small">Positions; none chosen is all</b>
          <Flex wrap gap={6}>
            {positions.map(([p]) => (
              <Toggle
                key={p}
                word={p}
                on={form.positions?.includes(p) ?? false}
                onTurn={() => set({ positions: turned(form.positions, p) })}
              />
            ))}
          </Flex>
        </div>
      </Cell>
      <TextField
        id="cleaning"
        label="Cleaning"
        span={12}
        value={form.cleaning}
        onChange={(v) => set({ cleaning: v })}
        placeholder="chip and wire wheel between passes"
      />
    </FormGrid>
  );
}

function text(n?: number): string {
  return n === undefined ? "" : Number.isNaN(n) ? "?" : String(n);
}

function turned(list: string[] | undefined, word: string): string[] {
  return list?.includes(word) ? list.filter((w) => w !== word) : [...(list ?? []), word];
}

function Toggle({ word, on, onTurn }: { word: string; on: boolean; onTurn: () => void }) {
  return (
    <Button type={on ? "primary" : "default"} aria-pressed={on} onClick={onTurn}>
      {word}
    </Button>
  );
}
