import { Alert, Button, ConfigProvider } from "antd";
import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useState, type FormEvent } from "react";
import { Link, useNavigate } from "react-router";
import {
  api,
  problemsByField,
  saidBy,
  type Procedure,
  type ProcedureForm,
  type ProcedurePreview,
  type Rod,
} from "../lib/api";
import { said } from "../lib/fields";

import { GeneralFields } from "./GeneralFields";
import { kinds, PassFields } from "./PassFields";

/** One revision: what it allows, checked against the prequalified limits while it is typed. */
export function ProcedureCard({
  procedure,
  start,
  rods,
  writes,
}: {
  procedure?: Procedure;
  start: ProcedureForm;
  rods: Rod[];
  writes: boolean;
}) {
  const [form, setForm] = useState<ProcedureForm>(procedure?.form ?? start);
  const [preview, setPreview] = useState<ProcedurePreview>();
  const [unchecked, setUnchecked] = useState<string>();
  const [fault, setFault] = useState<unknown>();
  const queries = useQueryClient();
  const navigate = useNavigate();
  const frozen = (procedure?.used ?? 0) > 0;
  const mayChange = writes && !frozen;
  const set = (change: Partial<ProcedureForm>) => setForm({ ...form, ...change });
  const sent = () => said({ ...form, passes: form.passes?.map((p) => said(p)) });
  useEffect(() => {
    const asked = new AbortController();
    const timer = setTimeout(() => {
      api.previewProcedure(said({ ...form, passes: form.passes?.map((p) => said(p)) }), asked.signal).then(
        (p) => {
          setPreview(p);
          setUnchecked(undefined);
        },
        (e: unknown) => {
          if (!asked.signal.aborted) setUnchecked(saidBy(e));
        },
      );
    }, 200);
    return () => {
      asked.abort();
      clearTimeout(timer);
    };
  }, [form]);
  const store = async (e: FormEvent) => {
    e.preventDefault();
    try {
      const stored = procedure
        ? await api.changeProcedure(procedure.id, sent(), procedure.version)
        : await api.createProcedure(sent());
      await queries.invalidateQueries({ queryKey: ["procedures"] });
      await navigate(`/procedures/${stored.id}`);
    } catch (x) {
      setFault(x);
    }
  };
  const problems = {
    ...problemsByField(fault),
    ...Object.fromEntries(
      (preview?.problems ?? [])
        .filter((p) => p.field !== "number" && p.field !== "revision")
        .map((p) => [p.field, p.problem]),
    ),
  };
  return (
    <div className="card panel">
      <header>
        <h2>{procedure ? `${procedure.form.number} rev ${procedure.form.revision}` : "A new procedure"}</h2>
        {frozen && <span className="hint">frozen: {procedure?.used} joints use it</span>}
        {procedure && writes && (
          <Link className="way" to={`/procedures/from-${procedure.id}`}>
            new revision
          </Link>
        )}
        {procedure && (
          <a
            className="way"
            href={`/api/procedures/${procedure.id}/document`}
            download={`${procedure.form.number}-${procedure.form.revision}.json`}
          >
            save as a file
          </a>
        )}
      </header>
      <div className="body" role="region" aria-label="The procedure" tabIndex={0}>
        <form onSubmit={(e) => void store(e)}>
          {(preview?.breaches.length ?? 0) > 0 && (
            <section aria-label="Outside the prequalified limits">
              <h3 className="hint">⚠ Outside the prequalified limits</h3>
              {preview?.breaches.map((b) => (
                <p key={b.field + b.line}>
                  <b>{b.line}</b> <span className="quiet small">{b.citation}</span>
                </p>
              ))}
              <p className="cautions">
                A procedure qualified by test may lie outside them; its test must then cover this.
              </p>
            </section>
          )}
          <ConfigProvider componentDisabled={!mayChange}>
            <GeneralFields form={form} set={set} problems={problems} />
            <h3>Passes</h3>
            {(form.passes ?? []).map((p, i) => (
              <PassFields
                key={i}
                index={i}
                pass={p}
                rods={rods}
                units={form.units}
                problems={problems}
                onChange={(pass) => set({ passes: form.passes?.map((x, n) => (n === i ? pass : x)) })}
                onTakeOff={
                  mayChange && (form.passes?.length ?? 0) > 1
                    ? () => set({ passes: form.passes?.filter((_, n) => n !== i) })
                    : undefined
                }
              />
            ))}
            {mayChange && (form.passes?.length ?? 0) < 12 && (
              <Button
                type="link"
                onClick={() =>
                  set({
                    passes: [
                      ...(form.passes ?? []),
                      {
                        ...form.passes?.at(-1),
                        kind: kinds.map(([k]) => k).find((k) => !form.passes?.some((p) => p.kind === k)) ?? "fill",
                      },
                    ],
                  })
                }
              >
                add a pass
              </Button>
            )}
          </ConfigProvider>
          {preview && preview.problems.length === 0 && preview.breaches.length === 0 && (
            <p className="v-accept">✓ Within the prequalified limits that are checked here</p>
          )}
          {unchecked && <Alert type="warning" showIcon title={`Not checked: ${unchecked}`} />}
          {preview?.problems.map((p) => (
            <p key={p.field} className="hint small">
              Still required: {p.field}: {p.problem}
            </p>
          ))}
          {fault !== undefined && (
            <p role="alert" className="fault">
              {saidBy(fault)}
            </p>
          )}
          {mayChange && (
            <Button type="primary" htmlType="submit">
              {procedure ? "Store the procedure" : "Set up the procedure"}
            </Button>
          )}
          <p className="cautions">
            Limits from memory of AWS D1.1, medium confidence: check against your copy. The welding engineer and the
            Engineer decide.
          </p>
        </form>
      </div>
    </div>
  );
}
