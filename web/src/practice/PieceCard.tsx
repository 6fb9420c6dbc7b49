import { Button, Checkbox, Input, InputNumber } from "antd";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, problemsByField, type Piece, type PieceForm } from "../lib/api";
import { ChoiceField, DateField, Field, said, TextField } from "../lib/fields";
import { Cell } from "../lib/FormGrid";
import { RegisterCard } from "../lib/RegisterCard";
import { holds, isLearnerOnly } from "../lib/roles";
import { useActor } from "../lib/session";
import { faults, pieceKinds, preparation, purposes, runSettings } from "./words";

/** How a piece was prepared and run, what was measured for its drill, and what was seen. */
export function PieceCard({
  piece,
  start,
  onStore,
}: {
  piece?: Piece;
  start: PieceForm;
  onStore: (form: PieceForm) => Promise<void>;
}) {
  const actor = useActor();
  const [form, setForm] = useState<PieceForm>(start);
  const [fault, setFault] = useState<unknown>();
  const [all, setAll] = useState(false);
  const drills = useQuery({ queryKey: ["drills"], queryFn: api.drills });
  const problems = problemsByField(fault);
  const set = (more: Partial<PieceForm>) => setForm({ ...form, ...more });
  const settings = form.settings ?? {};
  const records = holds(actor, "INSPECTOR", "WELDING_ENGINEER", "QUALITY_MANAGER", "INSTRUCTOR", "LEARNER");
  const drill = drills.data?.find((d) => d.id === form.drill) ?? piece?.drill;
  const pick = (id: string) => {
    const picked = drills.data?.find((d) => d.id === id);
    set({ drill: id || undefined, measured: {}, ...(picked ? { kind: picked.kind } : {}) });
  };
  const setting = ([id, label, example]: readonly [string, string, string]) => (
    <TextField
      key={id}
      id={`setting-${id}`}
      label={label}
      span={3}
      value={settings[id]}
      placeholder={example}
      problem={problems[`settings.${id}`]}
      onChange={(v) => set({ settings: { ...settings, [id]: v } })}
    />
  );
  const shown = (list: readonly (readonly [string, string, string])[], first: number) =>
    list.filter(([id], i) => all || i < first || settings[id]).map(setting);
  return (
    <RegisterCard
      label="How it was made"
      title={piece ? "How it was made" : "A new test piece"}
      mayChange={records}
      fault={fault}
      word={piece ? "Store" : "Begin the piece"}
      onStore={async () => {
        try {
          const kept = Object.fromEntries(Object.entries(settings).filter(([, v]) => v.trim() !== ""));
          const measured = Object.fromEntries(Object.entries(form.measured ?? {}).filter(([, v]) => v.trim() !== ""));
          await onStore(said({ ...form, settings: kept, measured }));
          setFault(undefined);
        } catch (e) {
          setFault(e);
        }
      }}
      fields={
        <>
          <ChoiceField
            id="piece-drill"
            label="Drill"
            span={6}
            value={form.drill ?? ""}
            problem={problems.drill}
            options={[
              ["", "none: free practice, or a test"],
              ...(drills.data ?? []).map((d) => [d.id, d.title] as const),
            ]}
            onChange={pick}
          />
          <ChoiceField
            id="piece-kind"
            label="Kind"
            span={6}
            value={form.kind ?? ""}
            problem={problems.kind}
            options={pieceKinds}
            onChange={(kind) => set({ kind })}
          />
          {!isLearnerOnly(actor) && (
            <TextField
              id="piece-welder"
              label="Welder or learner"
              span={4}
              value={form.welder}
              placeholder="stamp or login"
              problem={problems.welder}
              onChange={(welder) => set({ welder })}
            />
          )}
          {!isLearnerOnly(actor) && (
            <ChoiceField
              id="piece-purpose"
              label="For"
              span={4}
              value={form.purpose ?? ""}
              problem={problems.purpose}
              options={purposes}
              onChange={(purpose) => set({ purpose })}
            />
          )}
          <TextField
            id="piece-number"
            label="Number"
            span={4}
            value={form.number}
            placeholder="the next"
            problem={problems.number}
            onChange={(number) => set({ number })}
          />
          <DateField
            id="piece-made"
            label="Welded on"
            span={4}
            value={form.made}
            problem={problems.made}
            onChange={(made) => set({ made: made || undefined })}
          />
          <ChoiceField
            id="piece-units"
            label="Units"
            span={3}
            value={form.units ?? "in"}
            options={[
              ["in", "in"],
              ["mm", "mm"],
            ]}
            onChange={(units) => set({ units })}
          />
          <Heading>Rod, machine and hand</Heading>
          {shown(runSettings, 5)}
          <Heading>Prepared</Heading>
          {shown(preparation, 4)}
          {!all && (
            <Cell>
              <Button type="link" className="start" onClick={() => setAll(true)}>
                all settings
              </Button>
            </Cell>
          )}
          {drill && drill.aims.length > 0 && (
            <>
              <Heading>Measured for the drill</Heading>
              {drill.aims.map((a) => (
                <TextField
                  key={a.id}
                  id={`aim-${a.id}`}
                  label={a.title}
                  span={6}
                  value={form.measured?.[a.id]}
                  placeholder={a.limit}
                  problem={problems[`measured.${a.id}`]}
                  hint={hintOf(piece, a.id, form.measured?.[a.id])}
                  onChange={(v) => set({ measured: { ...form.measured, [a.id]: v } })}
                />
              ))}
            </>
          )}
          <Heading>What was seen</Heading>
          <Cell>
            <Checkbox checked={form.inspected ?? false} onChange={(e) => set({ inspected: e.target.checked })}>
              Inspected: what is counted here is all that was seen
            </Checkbox>
          </Cell>
          {faults.map((f) => (
            <Field key={f} id={`fault-${f}`} label={f} span={3} problem={problems[`faults.${f}`]}>
              <InputNumber
                id={`fault-${f}`}
                min={0}
                max={999}
                className="whole-line"
                value={form.faults?.[f] ?? null}
                onChange={(n) => {
                  const rest = Object.fromEntries(Object.entries(form.faults ?? {}).filter(([k]) => k !== f));
                  set({ faults: n === null ? rest : { ...rest, [f]: n } });
                }}
              />
            </Field>
          ))}
          <TextField
            id="piece-instructor"
            label="Instructor or examiner"
            value={form.instructor}
            problem={problems.instructor}
            onChange={(instructor) => set({ instructor })}
          />
          <Field id="piece-note" label="Note" problem={problems.note}>
            <Input.TextArea
              id="piece-note"
              rows={2}
              value={form.note}
              onChange={(e) => set({ note: e.target.value })}
            />
          </Field>
          <Cell>
            <Checkbox checked={form.closed ?? false} onChange={(e) => set({ closed: e.target.checked })}>
              Decided: nothing more is done with it
            </Checkbox>
          </Cell>
        </>
      }
    />
  );
}

function Heading({ children }: { children: string }) {
  return (
    <Cell>
      <h3>{children}</h3>
    </Cell>
  );
}

/** What the server said of an aim, as long as nobody typed over it. */
function hintOf(piece: Piece | undefined, aim: string, typed: string | undefined) {
  const result = piece?.aims.find((a) => a.id === aim);
  if (!result?.read || result.read !== typed) return undefined;
  return result.verdict === "accept" ? (
    <span className="v-accept">✓ met: {result.limit}</span>
  ) : (
    <span className="fault">✕ missed: {result.limit}</span>
  );
}
