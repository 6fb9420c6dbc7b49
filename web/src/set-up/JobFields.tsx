import { At, Chosen, Offered, Typed } from "./fields";
import { localTime } from "../lib/local-time";
import { useSetUp } from "./useSetUp";
import { FormGrid } from "../lib/FormGrid";

/** What the job brings, with the drawing and how the weld is made; seldom changed by hand. */
export function JobFields() {
  const { form, joint, change, set, books, job, procedures } = useSetUp();
  const revisionOf = (number: string) => job?.form.drawings?.find((d) => d.number === number.trim())?.revision;
  return (
    <FormGrid>
      <Chosen
        path="criteria"
        label="Acceptance criteria"
        span={5}
        value={form.criteria}
        options={books.map((b) => [b.id, b.title] as const)}
        fixed={job !== undefined}
        onChange={(v) => change({ criteria: v })}
      />
      <Chosen
        path="units"
        label="Drawing in"
        span={3}
        value={form.units}
        options={[
          ["in", "inches"],
          ["mm", "mm"],
        ]}
        fixed={job !== undefined}
        onChange={(v) => change({ units: v })}
      />
      <Typed path="grade" label="Base metal" span={4} value={joint.grade} onChange={(v) => set({ grade: v })} />
      <Offered
        path="drawing"
        label="Drawing"
        span={4}
        value={form.drawing}
        offered={(job?.form.drawings ?? []).map((d) => d.number)}
        onChange={(v) =>
          change({ drawing: v, ...(revisionOf(v) && !form.drawingRev ? { drawingRev: revisionOf(v) } : {}) })
        }
      />
      <Typed
        path="drawingRev"
        label="Revision"
        span={2}
        value={form.drawingRev}
        onChange={(v) => change({ drawingRev: v })}
      />
      <Offered
        path="wps"
        label="Procedure (WPS)"
        span={6}
        value={form.wps}
        hint="number rev revision"
        offered={procedures.map((p) => `${p.form.number} rev ${p.form.revision}`)}
        onChange={(v) => change({ wps: v })}
      />
      <Chosen
        path="side"
        label="Side"
        span={4}
        value={joint.side}
        options={[
          ["", "–"],
          ["arrow", "arrow side"],
          ["other", "other side"],
        ]}
        onChange={(v) => set({ side: v })}
      />
      <Typed
        path="datum"
        label="Datum, in words"
        span={8}
        value={joint.datum}
        hint="north end, punch mark, measured east"
        onChange={(v) => set({ datum: v })}
      />
      <At
        path="weldedAt"
        label="Welding finished"
        span={6}
        value={form.weldedAt ? localTime(new Date(form.weldedAt)) : ""}
        onChange={(v) => change({ weldedAt: v })}
      />
    </FormGrid>
  );
}
