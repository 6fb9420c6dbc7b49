import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState, type FormEvent } from "react";
import { api, problemsByField, saidBy, type Welder, type WelderForm } from "../lib/api";
import { ChoiceField, said, TextField } from "../lib/fields";
import { useActor } from "../lib/session";

type Test = NonNullable<WelderForm["tests"]>[number];
const positions = ["1F", "2F", "3F", "4F", "1G", "2G", "3G", "4G", "5G", "6G"].map((p) => [p, p] as const);

/** The welders, what each has been tested for, and whether it still stands. */
export function Welders() {
  const actor = useActor();
  const welders = useQuery({ queryKey: ["welders"], queryFn: api.welders });
  const [chosen, setChosen] = useState<string>();
  const keeps = actor.role === "WELDING_ENGINEER" || actor.role === "QUALITY_MANAGER";
  const welder = welders.data?.find((w) => w.form.stamp === chosen);
  return (
    <section className="card rows" style={{ marginTop: 14 }} aria-label="Welders">
      <table>
        <thead>
          <tr>
            <th>Welder</th>
            <th>Tested for, SMAW</th>
            <th>Stands</th>
          </tr>
        </thead>
        <tbody>
          {(welders.data ?? []).map((w) => (
            <tr
              key={w.form.stamp}
              onClick={() => setChosen(w.form.stamp)}
              style={{ cursor: keeps ? "pointer" : "default" }}
            >
              <td>
                <b>{w.form.stamp}</b> <span className="quiet">{w.form.name}</span>
              </td>
              <td>
                {(w.form.tests ?? []).length === 0
                  ? "nothing"
                  : (w.form.tests ?? []).map((t, i) => <div key={i}>{testInWords(t)}</div>)}
              </td>
              <td>
                {w.lapsed.map((l, i) =>
                  l ? (
                    <div key={i} className="fault small">
                      ✕ {l}
                    </div>
                  ) : (
                    <div key={i} className="v-accept">
                      ✓ stands
                    </div>
                  ),
                )}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {keeps &&
        (welder || chosen === "new" ? (
          <WelderCard key={`${chosen} ${welder?.version}`} welder={welder} onStored={() => setChosen(undefined)} />
        ) : (
          <button type="button" className="link" onClick={() => setChosen("new")}>
            add a welder
          </button>
        ))}
    </section>
  );
}

function testInWords(t: Test): string {
  return [
    `F${t.group ?? "?"}`,
    t.position,
    t.thickest ? `to ${t.thickest}` : "any thickness",
    t.backing ? "with backing" : "without backing",
    `last used ${t.lastUsed ?? t.tested ?? "–"}`,
  ].join(", ");
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
    <form className="grid" style={{ padding: 14 }} aria-label="The welder" onSubmit={(e) => void store(e)}>
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
      <div style={{ gridColumn: "span 4", alignSelf: "end" }}>
        <button
          type="button"
          className="link"
          onClick={() => setForm({ ...form, tests: [...tests, { group: 4, position: "3G", backing: true }] })}
        >
          add a test
        </button>
      </div>
      {tests.map((t, i) => {
        const at = (f: string) => problems[`tests[${i}].${f}`];
        return (
          <div className="grid" key={i} style={{ gridColumn: "span 12" }}>
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
              options={positions}
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
            <TextField
              id={`td${i}`}
              label="Tested"
              span={2}
              type="date"
              value={t.tested}
              problem={at("tested")}
              onChange={(v) => setTest(i, { tested: v })}
            />
            <TextField
              id={`lu${i}`}
              label="Last used"
              span={2}
              type="date"
              value={t.lastUsed}
              problem={at("lastUsed")}
              onChange={(v) => setTest(i, { lastUsed: v })}
            />
          </div>
        );
      })}
      {fault !== undefined && (
        <p role="alert" className="fault" style={{ gridColumn: "span 12" }}>
          {saidBy(fault)}
        </p>
      )}
      <div className="row" style={{ gridColumn: "span 12" }}>
        <button type="submit" className="btn main">
          Store the welder
        </button>
        <button type="button" className="link" onClick={onStored}>
          leave
        </button>
      </div>
      <p className="cautions" style={{ gridColumn: "span 12" }}>
        A test stands while its process was used within six months; what it covers is from memory of AWS D1.1, medium
        confidence.
      </p>
    </form>
  );
}
