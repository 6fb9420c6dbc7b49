import { Button } from "antd";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, problemsByField, saidBy } from "../lib/api";
import { ChoiceField, TextField } from "../lib/fields";
import { FormGrid } from "../lib/FormGrid";
import { SmallTable } from "../lib/SmallTable";
import { useSettled } from "../lib/useSettled";

const perThousand = (v: number) => (1000 * v).toFixed(1);
const between = (low: number, high: number) => `${perThousand(low)} to ${perThousand(high)}`;

/** Of one joint, criterion by criterion: how much that is bad is signed as good, and the other way about. */
export function SignedWrongly({ onLeave }: { onLeave: () => void }) {
  const [form, setForm] = useState({
    criteria: "d1.1-static",
    joint: "tee",
    units: "in",
    thickness: "3/8",
    size: "5/16",
    guard: "0",
  });
  const codes = useQuery({ queryKey: ["books"], queryFn: api.books });
  const settled = useSettled(form, 400);
  const guard = Number(settled.guard);
  const risks = useQuery({
    queryKey: ["risks", settled],
    queryFn: () =>
      api.risks({
        ...settled,
        size: settled.joint === "tee" && settled.size !== "" ? settled.size : undefined,
        guard,
      }),
    enabled: Number.isFinite(guard),
    retry: false,
  });
  const problems = problemsByField(risks.error);
  const choice = (id: "criteria" | "joint" | "units", label: string, options: [string, string][]) => (
    <ChoiceField
      id={id}
      label={label}
      span={id === "criteria" ? 12 : 6}
      value={form[id]}
      options={options}
      onChange={(v) => setForm({ ...form, [id]: v ?? form[id] })}
    />
  );
  const text = (id: "thickness" | "size" | "guard", label: string) => (
    <TextField
      id={id}
      label={label}
      span={4}
      value={form[id]}
      problem={problems[id]}
      onChange={(v) => setForm({ ...form, [id]: v ?? "" })}
    />
  );
  const rows = risks.data?.criteria ?? [];
  return (
    <section className="card panel" aria-label="What is signed wrongly">
      <header>
        <h2>What is signed wrongly, criterion by criterion?</h2>
        <Button type="link" onClick={onLeave}>
          close
        </Button>
      </header>
      <div className="body">
        <FormGrid>
          {choice(
            "criteria",
            "Acceptance criteria",
            (codes.data ?? []).map((c): [string, string] => [c.id, c.title]),
          )}
          {choice("joint", "Joint", [
            ["tee", "fillet, tee"],
            ["butt", "butt, CJP"],
          ])}
          {choice("units", "Units", [
            ["in", "inches"],
            ["mm", "millimeters"],
          ])}
          {text("thickness", "Thickness")}
          {form.joint === "tee" && text("size", "Size of the fillet")}
          {text("guard", "Guard band, u")}
        </FormGrid>
        {risks.isError && Object.keys(problems).length === 0 && (
          <p role="alert" className="fault">
            {saidBy(risks.error)}
          </p>
        )}
        {risks.isFetching && <p className="quiet">Computing …</p>}
        {risks.data && rows.length === 0 && (
          <p>This code has no limit in numbers for such a joint that a gauge reads: the eye alone decides.</p>
        )}
        {rows.length > 0 && (
          <SmallTable
            label="Of 1000 places"
            rows={rows}
            rowKey={(r) => r.criterion}
            columns={[
              [
                "Criterion",
                (r) => (
                  <>
                    <b>{r.criterion}</b>
                    <div className="small quiet">{r.limit}</div>
                  </>
                ),
              ],
              [
                "Bad, signed as good",
                (r) =>
                  r.risk ? (
                    <>
                      <b>{perThousand(r.risk.consumers)}</b>
                      <div className="small quiet">{between(r.risk.consumersLow, r.risk.consumersHigh)}</div>
                    </>
                  ) : (
                    r.why
                  ),
              ],
              [
                "Good, signed as bad",
                (r) =>
                  r.risk && (
                    <>
                      <b>{perThousand(r.risk.producers)}</b>
                      <div className="small quiet">{between(r.risk.producersLow, r.risk.producersHigh)}</div>
                    </>
                  ),
              ],
              [
                "By",
                (r) => (
                  <span className="small">
                    {r.study}
                    {r.risk?.eye && `; the eye: ${r.risk.eye}`}
                  </span>
                ),
              ],
            ]}
          />
        )}
        <p className="cautions">
          Of 1000 places judged, with what the study’s 95 % leaves; true values as the parts of the study, as a normal
          distribution (JCGM 106); the loosest limit that the code has for such a joint. Cracks, missing fusion and
          overlap have no number: for them see the eye.
        </p>
      </div>
    </section>
  );
}
