import { useState } from "react";
import type { WeldingForm, WeldingRecord } from "../lib/api";
import { ChoiceField, numberOf, TextField } from "../lib/fields";
import { FormGrid } from "../lib/FormGrid";

/** What holds for the weld as a whole. */
export function WholeWeld({
  welding,
  onStore,
}: {
  welding: WeldingRecord;
  onStore: (f: WeldingForm) => Promise<boolean>;
}) {
  const form = welding.whole;
  const [hours, setHours] = useState(
    form.electrodeExposureHours === undefined ? "" : String(form.electrodeExposureHours),
  );
  const n = numberOf(hours);
  const clock = welding.rods.length > 0;
  return (
    <FormGrid className="under">
      <ChoiceField
        id="arc"
        label="Arc was held"
        span={4}
        value={form.arcLength}
        options={["", "short", "normal", "long"].map((v) => [v, v || "–"] as const)}
        onChange={(v) => void onStore({ ...form, arcLength: v === "" ? undefined : v })}
      />
      <ChoiceField
        id="scale"
        label="Scale was off"
        span={4}
        value={form.millScaleRemoved === undefined ? "" : String(form.millScaleRemoved)}
        options={[
          ["", "–"],
          ["true", "yes"],
          ["false", "no"],
        ]}
        onChange={(v) => void onStore({ ...form, millScaleRemoved: v === "" ? undefined : v === "true" })}
      />
      {!clock && (
        <TextField
          id="out"
          label="Rods out, hours"
          span={4}
          value={hours}
          problem={n !== undefined && !isFinite(n) ? "a number of hours" : undefined}
          onChange={setHours}
          onBlur={() =>
            (n === undefined || isFinite(n)) &&
            n !== form.electrodeExposureHours &&
            void onStore({ ...form, electrodeExposureHours: n })
          }
        />
      )}
    </FormGrid>
  );
}
