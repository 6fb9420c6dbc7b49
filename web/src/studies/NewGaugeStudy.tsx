import { AutoComplete, Button, Form, Input } from "antd";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, problemsByField } from "../lib/api";
import { ChoiceField, Field, saidOf, TextField } from "../lib/fields";
import { FileButton } from "../lib/FileButton";
import { FormFoot } from "../lib/FormFoot";
import { FormGrid } from "../lib/FormGrid";
import { listOf, lists } from "../lib/list-of";
import { newId } from "../lib/id";

const example = `person,part,reading,reference
Ines,1,5/16,.310
Ines,1,.313,.310
Tomas,1,.318,.310
Tomas,1,.316,.310`;

const quantities = ["leg", "undercut depth", "throat", "crown", "offset"].map((value) => ({ value }));

/** A gauge study from its list of readings, typed or as a file; or as a whole from its own file. */
export function NewGaugeStudy({ onStored, onLeave }: { onStored: (id: string) => void; onLeave: () => void }) {
  const [form, setForm] = useState({ title: "", gauge: "", quantity: "leg", units: "in", tolerance: "" });
  const [list, setList] = useState("");
  const [fault, setFault] = useState<unknown>();
  const queries = useQueryClient();
  const gauges = useQuery({ queryKey: ["gauges"], queryFn: api.gauges });
  const problems = problemsByField(fault);
  const keep = async (put: (id: string) => Promise<unknown>) => {
    const id = newId();
    try {
      await put(id);
      await queries.invalidateQueries({ queryKey: ["studies"] });
      onStored(id);
    } catch (x) {
      setFault(x);
    }
  };
  const store = () =>
    keep((id) =>
      api.putReadings(
        id,
        { ...form, tolerance: form.tolerance.trim() === "" ? undefined : Number(form.tolerance) },
        list,
      ),
    );
  // what is wrong with a line or a list of the readings is said at the readings
  const wrong = Object.entries(problems)
    .filter(([field]) => !["title", "gauge", "quantity", "units", "tolerance"].includes(field))
    .map(([field, problem]) => (field === "readings" ? problem : `${field}: ${problem}`))
    .join("; ");
  return (
    <section className="card panel" aria-label="A new gauge study">
      <header>
        <h2>A new gauge study</h2>
        <FileButton
          accept=".json"
          onFile={(file) => void file.text().then((text) => keep((id) => api.putStudy(id, text)))}
        >
          From a study file …
        </FileButton>
      </header>
      <Form className="body" onFinish={() => void store()}>
        <p>
          Take five or more parts that span what the gauge reads, and two or three people. Each reads every part two or
          three times, in shuffled order, without seeing what was read before.
        </p>
        <FormGrid>
          <TextField
            id="title"
            label="Name of the study"
            span={6}
            required
            value={form.title}
            problem={problems.title}
            onChange={(v) => setForm({ ...form, title: v ?? "" })}
          />
          <Field id="gauge" label="Gauge" span={6} required problem={problems.gauge}>
            <AutoComplete
              {...saidOf({ id: "gauge", problem: problems.gauge })}
              value={form.gauge}
              options={(gauges.data ?? []).map((g) => ({ value: g.form.name }))}
              showSearch={{ filterOption: true }}
              onChange={(gauge: string) => setForm({ ...form, gauge })}
            />
          </Field>
          <Field id="quantity" label="What is read" span={4} required problem={problems.quantity}>
            <AutoComplete
              {...saidOf({ id: "quantity", problem: problems.quantity })}
              value={form.quantity}
              options={quantities}
              onChange={(quantity: string) => setForm({ ...form, quantity })}
            />
          </Field>
          <ChoiceField
            id="units"
            label="Units"
            span={4}
            value={form.units}
            options={[
              ["in", "inches"],
              ["mm", "millimeters"],
            ]}
            onChange={(units) => setForm({ ...form, units: units ?? "in" })}
          />
          <TextField
            id="tolerance"
            label="Width of the tolerance"
            span={4}
            value={form.tolerance}
            placeholder="0.0625, empty for none"
            problem={problems.tolerance ?? (Number.isNaN(Number(form.tolerance)) ? "a number in the units" : undefined)}
            onChange={(v) => setForm({ ...form, tolerance: v ?? "" })}
          />
          <Field
            id="readings"
            label="Readings: person, part, reading, and the reference where it is known"
            required
            problem={wrong === "" ? undefined : wrong}
          >
            <Input.TextArea
              {...saidOf({ id: "readings", problem: wrong === "" ? undefined : wrong })}
              rows={9}
              value={list}
              placeholder={example}
              onChange={(e) => setList(e.target.value)}
            />
          </Field>
        </FormGrid>
        <div className="row">
          <FileButton accept={lists} onFile={(file) => void listOf(file).then(setList, setFault)}>
            Readings from a file (CSV, xlsx) …
          </FileButton>
          <Button type="link" onClick={() => setList(example)}>
            show the form of a list
          </Button>
        </div>
        <FormFoot fault={fault} word="Compute and keep" onLeave={onLeave} />
      </Form>
    </section>
  );
}
