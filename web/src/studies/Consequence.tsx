import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, saidBy } from "../lib/api";
import type { GaugeStudy } from "../lib/api-study";
import { ChoiceField, TextField } from "../lib/fields";
import { FormGrid } from "../lib/FormGrid";
import { SmallTable } from "../lib/SmallTable";
import { useSettled } from "../lib/useSettled";
import { numberOf } from "./words";

const number = (typed: string) => (typed.trim() === "" ? undefined : Number(typed));
const perThousand = (v: number) => (1000 * v).toFixed(1);

/** What is signed wrongly with this gauge and the eyes of the shop. */
export function Consequence({ id, study: g }: { id: string; study: GaugeStudy }) {
  const [form, setForm] = useState({
    limit: g.tolerance === undefined ? "" : numberOf(g.tolerance),
    guard: "0",
    side: /leg|throat|size/.test(g.quantity) ? "least" : "most",
    kind: /undercut/.test(g.quantity) ? "undercut" : "none",
    mean: "",
    sd: "",
  });
  const settled = useSettled(form, 400);
  const asked = {
    limit: number(settled.limit) ?? NaN,
    guard: number(settled.guard) ?? 0,
    least: settled.side === "least",
    kind: settled.kind === "none" ? undefined : settled.kind,
    mean: number(settled.mean),
    sd: number(settled.sd),
  };
  const ready = Object.values(asked).every((v) => typeof v !== "number" || Number.isFinite(v));
  const risk = useQuery({
    queryKey: ["risk", id, asked],
    queryFn: () => api.risk(id, asked),
    enabled: ready,
    retry: false,
  });
  const r = risk.data;
  const text = (f: keyof typeof form, label: string, placeholder?: string) => (
    <TextField
      id={`risk-${f}`}
      label={label}
      span={4}
      value={form[f]}
      placeholder={placeholder}
      problem={Number.isNaN(number(form[f]) ?? 0) ? "a number" : undefined}
      onChange={(v) => setForm({ ...form, [f]: v ?? "" })}
    />
  );
  return (
    <section aria-label="What is signed wrongly">
      <h3>What is signed wrongly?</h3>
      <FormGrid>
        {text("limit", `Limit, ${g.units}`)}
        <ChoiceField
          id="risk-side"
          label="It is"
          span={4}
          value={form.side}
          options={[
            ["most", "the most allowed"],
            ["least", "the least allowed"],
          ]}
          onChange={(side) => setForm({ ...form, side: side ?? "most" })}
        />
        {text("guard", "Guard band, standard uncertainties")}
        <ChoiceField
          id="risk-kind"
          label="Seen by the eye as"
          span={4}
          value={form.kind}
          options={[
            ["none", "all is seen"],
            ["undercut", "undercut"],
            ["pore", "pore"],
            ["crater", "unfilled crater"],
            ["short-leg", "short leg"],
          ]}
          onChange={(kind) => setForm({ ...form, kind: kind ?? "none" })}
        />
        {text("mean", `Mean of the true values, ${g.units}`, r ? `${numberOf(r.mean)}, as the parts` : undefined)}
        {text("sd", `Their standard deviation, ${g.units}`, r ? `${numberOf(r.sd)}, as the parts` : undefined)}
      </FormGrid>
      {!ready && <p className="quiet">Say the limit.</p>}
      {risk.isError && <p className="fault">{saidBy(risk.error)}</p>}
      {r && (
        <>
          <p>
            <b>{r.said}</b> {r.eye && `The eye: ${r.eye}.`}
          </p>
          <SmallTable
            label="Of 1000 places"
            rows={[
              {
                what: "bad, signed as good (consumer’s risk)",
                at: r.consumers,
                low: r.consumersLow,
                high: r.consumersHigh,
              },
              {
                what: "good, signed as bad (producer’s risk)",
                at: r.producers,
                low: r.producersLow,
                high: r.producersHigh,
              },
            ]}
            rowKey={(l) => l.what}
            columns={[
              ["Of 1000 places", (l) => l.what],
              ["", (l) => <b>{perThousand(l.at)}</b>],
              ["By the study’s 95 %", (l) => `${perThousand(l.low)} to ${perThousand(l.high)}`],
            ]}
          />
          <p>
            {r.enough} good readings at random places say with 95 % confidence that less than a tenth of the length is
            bad.
          </p>
          <p className="cautions">
            By JCGM 106, true values spread as a normal distribution. A guard band of 2 takes the risk of whoever uses
            the bridge down and that of the shop up.
          </p>
        </>
      )}
    </section>
  );
}
