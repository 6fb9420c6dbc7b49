import { Form, Select, Slider } from "antd";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, problemsByField } from "../lib/api";
import { ChoiceField, Field, saidOf, TextField } from "../lib/fields";
import { FormFoot } from "../lib/FormFoot";
import { FormGrid } from "../lib/FormGrid";
import { newId } from "../lib/id";

const may = ["INSPECTOR", "INSTRUCTOR", "LEARNER", "QUALITY_MANAGER"];

/** The same made-up welds for several people, each twice, shuffled. */
export function NewAgreement({ onStored, onLeave }: { onStored: (id: string) => void; onLeave: () => void }) {
  const [title, setTitle] = useState("");
  const [people, setPeople] = useState<string[]>([]);
  const [welds, setWelds] = useState(10);
  const [setting, setSetting] = useState({ level: 3, joint: "tee", units: "in", criteria: "d1.1-static" });
  const [fault, setFault] = useState<unknown>();
  const queries = useQueryClient();
  const everybody = useQuery({ queryKey: ["people"], queryFn: api.people });
  const problems = problemsByField(fault);
  const store = async () => {
    const id = newId();
    try {
      await api.beginAgreement(id, { title, people, welds, setting });
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
          twice. Nobody sees the others’ record or the truth before all have handed in.
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
          <Field id="welds" label={`Welds: ${welds}, so ${2 * welds} for each person`} problem={problems.welds}>
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
        </FormGrid>
        <FormFoot fault={fault} word="Hand the welds out" onLeave={onLeave} />
      </Form>
    </section>
  );
}
