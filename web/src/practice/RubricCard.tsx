import { Button, Input, InputNumber } from "antd";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, problemsByField, saidBy, type RubricForm } from "../lib/api";
import { SmallTable } from "../lib/SmallTable";

type Parts = NonNullable<RubricForm["parts"]>;

/** The rubric by which pieces are scored; a school may have its own. */
export function RubricCard({ writes }: { writes: boolean }) {
  const queries = useQueryClient();
  const rubric = useQuery({ queryKey: ["rubric"], queryFn: api.rubric });
  const [parts, setParts] = useState<Parts>();
  const [fault, setFault] = useState<unknown>();
  const r = rubric.data;
  if (!r) return null;
  const store = async (next: Parts) => {
    try {
      queries.setQueryData(["rubric"], await api.putRubric({ parts: next, version: r.version }));
      setParts(undefined);
      setFault(undefined);
    } catch (e) {
      setFault(e);
    }
  };
  const set = (i: number, more: Partial<Parts[number]>) =>
    setParts(parts?.map((p, n) => (n === i ? { ...p, ...more } : p)));
  const problems = problemsByField(fault);
  const sum = (parts ?? []).reduce((a, p) => a + (p.most ?? 0), 0);
  return (
    <section className="card side" aria-label="Rubric">
      <h2>Rubric for scores, 0 to 10{r.own ? " (the school’s own)" : ""}</h2>
      {!parts && (
        <SmallTable
          label="Rubric"
          rows={r.parts}
          rowKey={(p) => p.id}
          columns={[
            ["Part", (p) => p.title, 170],
            ["Most", (p) => p.most, 70],
            ["What earns all of it", (p) => p.full],
          ]}
        />
      )}
      {parts && (
        <>
          <SmallTable
            label="Rubric, to be changed"
            rows={parts}
            rowKey={(_, i) => i}
            columns={[
              [
                "Part",
                (p, i) => (
                  <Input
                    aria-label={`Part ${i + 1}`}
                    value={p.title}
                    onChange={(e) => set(i, { title: e.target.value, id: idOf(e.target.value) })}
                  />
                ),
                190,
              ],
              [
                "Most",
                (p, i) => (
                  <InputNumber
                    aria-label={`Most points ${i + 1}`}
                    min={1}
                    max={10}
                    value={p.most ?? null}
                    onChange={(n) => set(i, { most: n ?? undefined })}
                  />
                ),
                100,
              ],
              [
                "What earns all of it",
                (p, i) => (
                  <Input
                    aria-label={`What earns all ${i + 1}`}
                    value={p.full}
                    onChange={(e) => set(i, { full: e.target.value })}
                  />
                ),
              ],
              [
                "",
                (_, i) => (
                  <Button type="link" onClick={() => setParts(parts.filter((__, n) => n !== i))}>
                    take off
                  </Button>
                ),
                100,
              ],
            ]}
          />
          <p className="row">
            <Button
              onClick={() => setParts([...parts, { id: `part-${parts.length + 1}`, title: "", most: 1, full: "" }])}
            >
              Add a part
            </Button>
            <Button type="primary" onClick={() => void store(parts)}>
              Store, {sum} points
            </Button>
            <Button type="link" onClick={() => setParts(undefined)}>
              leave
            </Button>
          </p>
        </>
      )}
      {fault !== undefined && (
        <p role="alert" className="fault">
          {Object.values(problems)[0] ?? saidBy(fault)}
        </p>
      )}
      {writes && !parts && (
        <p className="row">
          <Button onClick={() => setParts(r.parts)}>Change it …</Button>
          {r.own && (
            <Button type="link" onClick={() => void store([])}>
              back to the usual one
            </Button>
          )}
        </p>
      )}
      <p className="cautions">Scores given before keep the rubric they were given by.</p>
    </section>
  );
}

function idOf(title: string): string {
  const id = title
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-+|-+$/g, "")
    .slice(0, 40);
  return id || "part";
}
