import { holds } from "../lib/roles";
import { Button, Flex } from "antd";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { dayOf } from "../lib/local-time";
import { useState, type FormEvent } from "react";
import { api, problemsByField, saidBy, type Welder, type WelderForm } from "../lib/api";
import { ChoiceField, DateField, said, TextField } from "../lib/fields";
import { useActor } from "../lib/session";
import { DataTable, type Column } from "../lib/DataTable";
import { positions } from "../lib/positions";
import { Cell, FormGrid } from "../lib/FormGrid";

type Test = NonNullable<WelderForm["tests"]>[number];

/** The welders, what each has been tested for, and whether it still stands. */
export function Welders() {
  const actor = useActor();
  const welders = useQuery({ queryKey: ["welders"], queryFn: api.welders });
  const [chosen, setChosen] = useState<string>();
  const keeps = holds(actor, "WELDING_ENGINEER", "QUALITY_MANAGER");
  const welder = welders.data?.find((w) => w.form.stamp === chosen);
  return (
    <section className="card spaced" aria-label="Welders">
      <DataTable<Welder>
        name="welders"
        label="Welders"
        rows={welders.data ?? []}
        loading={welders.isPending}
        rowKey={(w) => w.form.stamp ?? ""}
        onOpen={keeps ? (w) => setChosen(w.form.stamp) : undefined}
        columns={welderColumns}
        empty="No welder is registered."
      />
      {keeps &&
        (welder || chosen === "new" ? (
          <WelderCard key={`${chosen} ${welder?.version}`} welder={welder} onStored={() => setChosen(undefined)} />
        ) : (
          <Button type="link" onClick={() => setChosen("new")}>
            add a welder
          </Button>
        ))}
    </section>
  );
}

const welderColumns: Column<Welder>[] = [
  {
    key: "stamp",
    title: "Welder",
    value: (w) => w.form.stamp,
    render: (w) => (
      <>
        <b>{w.form.stamp}</b> <span className="quiet">{w.form.name}</span>
      </>
    ),
  },
  {
    key: "tests",
    title: "Tested for, SMAW",
    render: (w) => (w.form.tests?.length ? w.form.tests.map((t, i) => <div key={i}>{testInWords(t)}</div>) : "nothing"),
  },
  {
    key: "stands",
    title: "Stands",
    value: (w) => (w.lapsed.some(Boolean) ? "something lapsed" : "all stands"),
    filter: true,
    render: (w) =>
      w.lapsed.map((l, i) => (
        <div key={i} className={l ? "fault small" : "v-accept"}>
          {l ? `✕ ${l}` : "✓ stands"}
        </div>
      )),
  },
];

function testInWords(t: Test): string {
  const lastUse = t.lastUsed ?? t.tested;
  return [
    `F${t.group ?? "?"}`,
    t.position,
    t.thickest ? `to ${t.thickest}` : "any thickness",
    t.backing ? "with backing" : "without backing",
    t.leastDiameter ? `pipe from ${t.leastDiameter}` : "",
    `last used ${lastUse ? dayOf(lastUse) : "–"}`,
  ]
    .filter(Boolean)
    .join(", ");
}

function WelderCard({ welder, onStored }: { welder?: Welder; onStored: () => void }) {
  const [form, setForm] = useState<WelderForm>(
    welder?.form ?? { tests: [{ group: 4, position: "3G", backing: true }] },
  );
  const [fault, setFault] = useState<unknown>();
  const queries = useQueryClient();
  const tests = form.tests ?? [];
  const setTest = (i: number, change: Partial<Test>) =>
    setForm({ ...form, tests: tests.map((t, n) => (n === i ? { ...t, ...change } : t)) });
  const store = async (e: FormEvent) => {
    e.preventDefault();
    try {
      await api.putWelder({ ...said(form), tests: tests.map((t) => said(t)) }, welder?.version);
      await queries.invalidateQueries({ queryKey: ["welders"] });
      onStored();
    } catch (x) {
      setFault(x);
    }
  };
  const problems = problemsByField(fault);
  return (
    <form className="side" aria-label="The welder" onSubmit={(e) => void store(e)}>
      <FormGrid>
        <TextField
          id="stamp"
          label="Stamp"
          span={3}
          disabled={welder !== undefined}
          value={form.stamp}
          problem={problems.stamp}
          onChange={(v) => setForm({ ...form, stamp: v })}
        />
        <TextField
          id="welder-name"
          label="Name"
          span={5}
          value={form.name}
          problem={problems.name}
          onChange={(v) => setForm({ ...form, name: v })}
        />
        <Cell span={4} bottom>
          <Button
            type="link"
            onClick={() => setForm({ ...form, tests: [...tests, { group: 4, position: "3G", backing: true }] })}
          >
            add a test
          </Button>
          {welder && (
            <a
              className="small"
              href={`/api/welders/${encodeURIComponent(welder.form.stamp ?? "")}/report`}
              target="_blank"
              rel="noreferrer"
            >
              qualification record
            </a>
          )}
        </Cell>
        {tests.map((t, i) => {
          const at = (f: string) => problems[`tests[${i}].${f}`];
          return (
            <Cell span={12}>
              <FormGrid key={i}>
                <ChoiceField
                  id={`g${i}`}
                  label="Rods up to"
                  span={2}
                  value={String(t.group ?? 4)}
                  problem={at("group")}
                  options={[1, 2, 3, 4].map((g) => [String(g), `F${g}`] as const)}
                  onChange={(v) => setTest(i, { group: Number(v) })}
                />
                <ChoiceField
                  id={`p${i}`}
                  label="Position"
                  span={2}
                  value={t.position}
                  problem={at("position")}
                  options={positions.map(([p]) => [p, p] as const)}
                  onChange={(v) => setTest(i, { position: v })}
                />
                <TextField
                  id={`th${i}`}
                  label="Thickest"
                  span={2}
                  value={t.thickest}
                  placeholder="any"
                  problem={at("thickest")}
                  onChange={(v) => setTest(i, { thickest: v })}
                />
                <TextField
                  id={`d${i}`}
                  label="Least pipe"
                  span={2}
                  value={t.leastDiameter}
                  placeholder="any"
                  problem={at("leastDiameter")}
                  onChange={(v) => setTest(i, { leastDiameter: v })}
                />
                <ChoiceField
                  id={`b${i}`}
                  label="Backing"
                  span={2}
                  value={String(t.backing ?? false)}
                  options={[
                    ["true", "with"],
                    ["false", "without"],
                  ]}
                  onChange={(v) => setTest(i, { backing: v === "true" })}
                />
                <DateField
                  id={`td${i}`}
                  label="Tested"
                  span={2}
                  value={t.tested}
                  problem={at("tested")}
                  onChange={(v) => setTest(i, { tested: v })}
                />
                <DateField
                  id={`lu${i}`}
                  label="Last used"
                  span={2}
                  value={t.lastUsed}
                  problem={at("lastUsed")}
                  onChange={(v) => setTest(i, { lastUsed: v })}
                />
              </FormGrid>
            </Cell>
          );
        })}
        {fault !== undefined && (
          <Cell span={12}>
            <p role="alert" className="fault">
              {saidBy(fault)}
            </p>
          </Cell>
        )}
        <Cell span={12}>
          <Flex wrap gap={8} align="center">
            <Button type="primary" htmlType="submit">
              Store the welder
            </Button>
            <Button type="link" onClick={onStored}>
              leave
            </Button>
          </Flex>
        </Cell>
        <Cell span={12}>
          <p className="cautions">
            A test stands while its process was used within six months; what it covers is from memory of AWS D1.1,
            medium confidence.
          </p>
        </Cell>
      </FormGrid>
    </form>
  );
}
