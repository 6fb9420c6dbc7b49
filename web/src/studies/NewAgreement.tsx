import { Form, Segmented, Select, Slider } from "antd";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, problemsByField } from "../lib/api";
import { ChoiceField, Field, saidOf, TextField } from "../lib/fields";
import { FormFoot } from "../lib/FormFoot";
import { FormGrid } from "../lib/FormGrid";
import { newId } from "../lib/id";

const may = ["INSPECTOR", "INSTRUCTOR", "LEARNER", "QUALITY_MANAGER"];

/** The same welds for several people, each twice, shuffled. */
export function NewAgreement({ onStored, onLeave }: { onStored: (id: string) => void; onLeave: () => void }) {
  const [title, setTitle] = useState("");
  const [people, setPeople] = useState<string[]>([]);
  const [welds, setWelds] = useState(10);
  const [setting, setSetting] = useState({ level: 3, joint: "tee", units: "in", criteria: "d1.1-static" });
  const [real, setReal] = useState<string[]>();
  const judgeable = useQuery({
    queryKey: ["judgeable-welds"],
    queryFn: api.judgeableWelds,
    enabled: real !== undefined,
  });
  const [fault, setFault] = useState<unknown>();
  const queries = useQueryClient();
  const everybody = useQuery({ queryKey: ["people"], queryFn: api.people });
  const problems = problemsByField(fault);
  const store = async () => {
    const id = newId();
    try {
      await api.beginAgreement(id, real ? { title, people, inspections: real } : { title, people, welds, setting });
      await queries.invalidateQueries({ queryKey: ["studies"] });
      onStored(id);
    } catch (x) {
      setFault(x);
    }
  };
  return (
    <section className="card panel" aria-label="A new agreement study">
      <header>
        <h2>A new agreement study</h2>
      </header>
      <Form className="body" onFinish={() => void store()}>
        <p>
          Each person finds the welds under Practice welds, one after another, in an order of their own, and sees each
          twice. Of a weld of the shop they see its pictures and its scanned surface, under no mark. Nobody sees the
          others’ record or the truth before all have handed in.
        </p>
        <FormGrid>
          <TextField
            id="title"
            label="Name of the study"
            required
            value={title}
            problem={problems.title}
            onChange={(v) => setTitle(v ?? "")}
          />
          <Field id="people" label="People" required problem={problems.people}>
            <Select
              {...saidOf({ id: "people", problem: problems.people })}
              mode="multiple"
              showSearch={{ optionFilterProp: "label" }}
              value={people}
              options={(everybody.data ?? [])
                .filter((p) => p.roles.some((r) => may.includes(r)))
                .map((p) => ({ value: p.id, label: p.name }))}
              onChange={setPeople}
            />
          </Field>
          <Field id="which" label="Welds">
            <Segmented
              aria-label="Which welds"
              value={real ? "real" : "made-up"}
              options={[
                { value: "made-up", label: "made up, their truth is known" },
                { value: "real", label: "of the shop" },
              ]}
              onChange={(v) => setReal(v === "real" ? [] : undefined)}
            />
          </Field>
          {real ? (
            <Field
              id="inspections"
              label="Welds with a scan or pictures"
              required
              problem={problems.inspections ?? problems.welds}
            >
              <Select
                {...saidOf({ id: "inspections", problem: problems.inspections ?? problems.welds })}
                mode="multiple"
                loading={judgeable.isPending}
                showSearch={{ optionFilterProp: "label" }}
                value={real}
                options={(judgeable.data ?? []).map((w) => ({
                  value: w.inspection,
                  label: `${w.mark}, ${w.words}: ${[
                    w.scan && "scan",
                    w.pictures > 0 && `${w.pictures} ${w.pictures === 1 ? "picture" : "pictures"}`,
                  ]
                    .filter(Boolean)
                    .join(", ")}`,
                }))}
                onChange={setReal}
              />
            </Field>
          ) : (
            <MadeUp
              welds={welds}
              setWelds={setWelds}
              setting={setting}
              setSetting={setSetting}
              problem={problems.welds}
            />
          )}
        </FormGrid>
        <FormFoot fault={fault} word="Hand the welds out" onLeave={onLeave} />
      </Form>
    </section>
  );
}

type Setting = { level: number; joint: string; units: string; criteria: string };
type MadeUpProps = {
  welds: number;
  setWelds: (n: number) => void;
  setting: Setting;
  setSetting: (s: Setting) => void;
  problem?: string;
};

/** How many made-up welds, and of what kind. */
function MadeUp({ welds, setWelds, setting, setSetting, problem }: MadeUpProps) {
  return (
    <>
      <Field id="welds" label={`Welds: ${welds}, so ${2 * welds} for each person`} problem={problem}>
        <Slider
          id="welds"
          min={2}
          max={30}
          value={welds}
          ariaLabelForHandle="How many welds"
          tooltip={{ open: false }}
          onChange={setWelds}
        />
      </Field>
      <ChoiceField
        id="level"
        label="Level"
        span={4}
        value={String(setting.level)}
        options={["1", "2", "3", "4", "5"].map((l): [string, string] => [l, l])}
        onChange={(v) => setSetting({ ...setting, level: Number(v ?? 3) })}
      />
      <ChoiceField
        id="joint"
        label="Joint"
        span={4}
        value={setting.joint}
        options={[
          ["tee", "fillet, tee"],
          ["butt", "butt, CJP"],
        ]}
        onChange={(joint) => setSetting({ ...setting, joint: joint ?? "tee" })}
      />
      <ChoiceField
        id="units"
        label="Units"
        span={4}
        value={setting.units}
        options={[
          ["in", "inches"],
          ["mm", "millimeters"],
        ]}
        onChange={(units) => setSetting({ ...setting, units: units ?? "in" })}
      />
    </>
  );
}
