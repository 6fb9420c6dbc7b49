import { Button, Segmented, Select } from "antd";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { api, saidBy } from "../lib/api";
import type { ExerciseRow, PracticeSetting } from "../lib/api-practice";
import { DataTable, type Column } from "../lib/DataTable";
import { ChoiceField, Field, saidOf } from "../lib/fields";
import { FormGrid } from "../lib/FormGrid";
import { newId } from "../lib/id";
import { dayOf } from "../lib/local-time";
import { holds } from "../lib/roles";
import { useActor } from "../lib/session";
import { TopBar } from "../lib/TopBar";

const columns: Column<ExerciseRow>[] = [
  {
    key: "begun",
    title: "Weld",
    value: (e) => e.begunAt,
    render: (e) => (
      <>
        <Button type="link" className="named">
          {e.study
            ? `${e.study.title}, weld ${e.study.place} of ${e.study.of}`
            : `Level ${e.setting?.level ?? ""}, ${e.weld}`}
        </Button>
        <div className="small quiet">
          {e.study && `${e.weld}; `}
          {dayOf(e.begunAt)}, {e.person}
        </div>
      </>
    ),
  },
  {
    key: "found",
    title: "Found",
    width: 120,
    value: (e) => (e.right === undefined ? "" : e.found),
    render: (e) =>
      e.right !== undefined
        ? `${e.found} of ${e.flaws}`
        : !e.handedAt
          ? "not handed in"
          : e.setting
            ? "others still look"
            : "see the study",
  },
  {
    key: "called",
    title: "Called wrongly",
    width: 130,
    value: (e) => (e.right === undefined ? "" : e.called),
  },
  {
    key: "right",
    title: "Verdict",
    width: 140,
    value: (e) => (e.right === undefined ? "" : e.right ? "right" : "wrong"),
    filter: true,
    render: (e) =>
      e.right === undefined ? (
        ""
      ) : (
        <b className={e.right ? "v-accept" : "v-reject"}>
          {e.right ? "✓" : "✕"} {e.verdict}, {e.right ? "right" : "wrong"}
        </b>
      ),
  },
];

/** Made-up welds of known truth: practice without end, and what it says of the eye. */
export default function PracticeWelds() {
  const actor = useActor();
  const go = useNavigate();
  const [others, setOthers] = useState(false);
  const exercises = useQuery({ queryKey: ["exercises", others], queryFn: () => api.exercises(others) });
  return (
    <div className="app">
      <TopBar rooms />
      <main className="halves wide-left">
        <section className="card panel" aria-label="Practice welds">
          <header>
            <h2>Practice welds</h2>
            {holds(actor, "QUALITY_MANAGER", "INSTRUCTOR") && (
              <Segmented
                aria-label="Whose"
                value={others ? "all" : "own"}
                options={[
                  { value: "own", label: "My own" },
                  { value: "all", label: "Handed in by all" },
                ]}
                onChange={(v) => setOthers(v === "all")}
              />
            )}
          </header>
          <div className="body">
            {exercises.isError && (
              <p role="alert" className="fault">
                {saidBy(exercises.error)}
              </p>
            )}
            <DataTable<ExerciseRow>
              name="exercises"
              label="Practice welds"
              rows={exercises.data ?? []}
              loading={exercises.isPending}
              rowKey={(e) => e.id}
              onOpen={(e) => void go(`/practice/${e.id}`)}
              columns={columns}
              empty="No practice weld yet. Begin one at the right: nobody has seen it, and its truth is known."
            />
          </div>
        </section>
        <NewWeld onBegun={(id) => void go(`/practice/${id}`)} />
      </main>
    </div>
  );
}

const levels: [string, string][] = [
  ["1", "1: large flaws, clean"],
  ["2", "2: also craters and short legs"],
  ["3", "3: near the limits, cracks"],
  ["4", "4: small, crowded, dirty"],
  ["5", "5: hardly seen"],
];

const flaws = [
  { value: "undercut", label: "undercut" },
  { value: "pore", label: "pore" },
  { value: "crack", label: "crack" },
  { value: "crater", label: "unfilled crater" },
  { value: "short-leg", label: "short leg" },
];

const amounts = (least: string, most: string): [string, string][] => [
  ["usual", "as the level has it"],
  ["0", least],
  ["1", "a little more"],
  ["2", "more"],
  ["3", most],
];

function NewWeld({ onBegun }: { onBegun: (id: string) => void }) {
  const [form, setForm] = useState<PracticeSetting>({ level: 1, joint: "tee", units: "in", criteria: "d1.1-static" });
  const queries = useQueryClient();
  const codes = useQuery({ queryKey: ["books"], queryFn: api.books });
  const begin = useMutation({
    mutationFn: async () => {
      const id = newId();
      queries.setQueryData(["exercise", id], await api.beginExercise(id, form));
      return id;
    },
    onSuccess: (id) => {
      void queries.invalidateQueries({ queryKey: ["exercises"] });
      onBegun(id);
    },
  });
  return (
    <section className="card side" aria-label="A new weld">
      <h2>A new weld</h2>
      <p>
        Made up from the level: look along it under the lamp, hold gauges, record what you see, hand it in. Then the
        truth is shown beside your record. No job, rate or chain is touched.
      </p>
      <FormGrid>
        <ChoiceField
          id="level"
          label="Level"
          value={String(form.level)}
          options={levels}
          onChange={(v) => setForm({ ...form, level: Number(v ?? 1) })}
        />
        <ChoiceField
          id="joint"
          label="Joint"
          span={6}
          value={form.joint}
          options={[
            ["tee", "fillet, tee"],
            ["butt", "butt, CJP"],
          ]}
          onChange={(joint) => setForm({ ...form, joint })}
        />
        <ChoiceField
          id="units"
          label="Units"
          span={6}
          value={form.units}
          options={[
            ["in", "inches"],
            ["mm", "millimeters"],
          ]}
          onChange={(units) => setForm({ ...form, units })}
        />
        <ChoiceField
          id="criteria"
          label="Acceptance criteria"
          value={form.criteria}
          options={(codes.data ?? []).map((c): [string, string] => [c.id, c.title])}
          onChange={(criteria) => setForm({ ...form, criteria })}
        />
        <Field id="kinds" label="What may be wrong">
          <Select
            {...saidOf({ id: "kinds" })}
            mode="multiple"
            allowClear
            placeholder="as the level has it"
            value={form.kinds ?? []}
            options={flaws}
            showSearch={{ optionFilterProp: "label" }}
            onChange={(kinds: string[]) => setForm({ ...form, kinds: kinds.length === 0 ? undefined : kinds })}
          />
        </Field>
        <ChoiceField
          id="crowd"
          label="How crowded"
          span={6}
          value={form.crowd === undefined ? "usual" : String(form.crowd)}
          options={amounts("few flaws", "many flaws")}
          onChange={(v) => setForm({ ...form, crowd: v === "usual" || v === undefined ? undefined : Number(v) })}
        />
        <ChoiceField
          id="dirt"
          label="How dirty"
          span={6}
          value={form.dirt === undefined ? "usual" : String(form.dirt)}
          options={amounts("clean", "spatter and slag")}
          onChange={(v) => setForm({ ...form, dirt: v === "usual" || v === undefined ? undefined : Number(v) })}
        />
      </FormGrid>
      {begin.isError && (
        <p role="alert" className="fault">
          {saidBy(begin.error)}
        </p>
      )}
      <Button type="primary" disabled={begin.isPending} onClick={() => begin.mutate()}>
        Begin
      </Button>
    </section>
  );
}
