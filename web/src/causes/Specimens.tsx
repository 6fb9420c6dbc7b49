import { Button, Flex } from "antd";
import { useState } from "react";
import { api, problemsByField, saidBy, type Bench, type Causes, type TestPieceForm } from "../lib/api";
import { ChoiceField, said, TextField, YesNo } from "../lib/fields";
import { newId } from "../lib/id";
import { VerdictShape } from "../lib/VerdictMark";
import { useRecord } from "./CausesPanel";
import { Cell, FormGrid } from "../lib/FormGrid";

const kinds = { bend: "Bend", "fillet-break": "Fillet break", macro: "Macro section" } as const;

/** What was bent, broken or cut: judged by the limits for a test piece, beside the inspection and apart from it. */
export function Specimens({ bench, tests, mayRecord }: { bench: Bench; tests: Causes["tests"]; mayRecord: boolean }) {
  const [open, setOpen] = useState(false);
  const record = useRecord(bench);
  return (
    <section aria-label="Specimens">
      <h3>Specimens</h3>
      {tests.map((t) => (
        <div key={t.id} className={`item${t.withdrawn ? " off" : ""}`}>
          <span className="row">
            <VerdictShape verdict={t.withdrawn ? "not-applicable" : t.verdict} size={24} />
            <span>
              <b>{t.specimen}</b> {kinds[t.kind as keyof typeof kinds].toLowerCase()}:{" "}
              {t.withdrawn ? "taken off" : t.lines.join("; ")}
              <div className="small quiet">
                {t.by} · {t.citation}
              </div>
            </span>
          </span>
          {mayRecord && (
            <Button
              type="link"
              onClick={() =>
                record.mutate(() => (t.withdrawn ? api.testOn(bench.id, t.id) : api.testOff(bench.id, t.id)))
              }
            >
              {t.withdrawn ? "put back" : "take off"}
            </Button>
          )}
        </div>
      ))}
      {mayRecord && !open && <Button onClick={() => setOpen(true)}>Record a specimen …</Button>}
      {open && <NewSpecimen bench={bench} onDone={() => setOpen(false)} />}
      <p className="cautions">
        A specimen tells of itself. Which test, and what follows from it, the engineer decides.
      </p>
    </section>
  );
}

function NewSpecimen({ bench, onDone }: { bench: Bench; onDone: () => void }) {
  const record = useRecord(bench);
  const [id] = useState(newId);
  const [form, setForm] = useState<TestPieceForm & { openingsText?: string }>({
    kind: bench.joint.blade ? "fillet-break" : "bend",
  });
  const set = (more: Partial<typeof form>) => setForm({ ...form, ...more });
  const problems = problemsByField(record.error);
  const kind = form.kind ?? "bend";
  const put = () => {
    const { openingsText, ...rest } = form;
    const openings = (openingsText ?? "")
      .split(/[,;]/)
      .map((o) => o.trim())
      .filter(Boolean);
    record.mutate(() => api.test(bench.id, id, said({ ...rest, ...(kind === "bend" ? { openings } : {}) })), {
      onSuccess: onDone,
    });
  };
  const question = (word: string, value: boolean | undefined, onAnswer: (v: boolean) => void) => (
    <Cell span={12}>
      <div className="item">
        <span>{word}</span>
        <YesNo word={word} value={value} onAnswer={onAnswer} />
      </div>
    </Cell>
  );
  const corner = form.corners?.[0];
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        put();
      }}
    >
      <FormGrid>
        <ChoiceField
          id="specimen-kind"
          label="Test"
          span={4}
          value={kind}
          options={Object.entries(kinds)}
          onChange={(v) => setForm({ kind: v, ...(form.specimen ? { specimen: form.specimen } : {}) })}
        />
        <TextField
          id="specimen"
          label="Specimen"
          span={8}
          value={form.specimen}
          placeholder="root bend 1"
          problem={problems.specimen}
          onChange={(v) => set({ specimen: v })}
        />
        {kind === "bend" && (
          <>
            <TextField
              id="openings"
              label="Openings, each at its longest"
              span={6}
              value={form.openingsText}
              placeholder="none, or 1/16, 3/32"
              problem={problems.openings ?? problems["openings[0]"]}
              onChange={(v) => set({ openingsText: v })}
            />
            <TextField
              id="corner"
              label="Longest corner crack"
              span={3}
              value={corner?.length}
              placeholder="none"
              problem={problems["corners[0].length"]}
              onChange={(v) => set({ corners: v ? [{ ...corner, length: v }] : [] })}
            />
            {corner &&
              question("It starts from slag or lack of fusion", corner.fromSlagOrFusion, (v) =>
                set({ corners: [{ ...corner, fromSlagOrFusion: v }] }),
              )}
          </>
        )}
        {kind === "fillet-break" && (
          <>
            {question("Bent flat without breaking", form.bentFlat, (v) => set({ bentFlat: v }))}
            {!form.bentFlat && question("Fused to the root all along", form.fullFusion, (v) => set({ fullFusion: v }))}
            {!form.bentFlat && (
              <TextField
                id="largest"
                label="Largest inclusion or pore"
                span={6}
                value={form.largest}
                placeholder="0"
                problem={problems.largest}
                onChange={(v) => set({ largest: v })}
              />
            )}
            {!form.bentFlat && (
              <TextField
                id="sum"
                label="All together"
                span={6}
                value={form.sum}
                placeholder="0"
                problem={problems.sum}
                onChange={(v) => set({ sum: v })}
              />
            )}
          </>
        )}
        {kind === "macro" && (
          <>
            {question("Cracks", form.cracks, (v) => set({ cracks: v }))}
            {question("Fused between beads and to the plates", form.fullFusion, (v) => set({ fullFusion: v }))}
            {question("Fused to the root", form.fusedToRoot, (v) => set({ fusedToRoot: v }))}
            {question("Legs as required", form.legsAsRequired, (v) => set({ legsAsRequired: v }))}
            <TextField
              id="undercut"
              label="Undercut"
              span={4}
              value={form.undercut}
              placeholder="0"
              problem={problems.undercut}
              onChange={(v) => set({ undercut: v })}
            />
          </>
        )}
        {record.isError && (
          <Cell span={12}>
            <p role="alert" className="fault">
              {saidBy(record.error)}
            </p>
          </Cell>
        )}
        <Cell span={12}>
          <Flex wrap gap={8} align="center">
            <Button type="primary" htmlType="submit" disabled={record.isPending}>
              Record it
            </Button>
            <Button onClick={onDone}>Back</Button>
          </Flex>
        </Cell>
      </FormGrid>
    </form>
  );
}
