import { useQuery } from "@tanstack/react-query";
import { api, type JobForm } from "../lib/api";
import { ChoiceField } from "../lib/fields";
import { FormGrid } from "../lib/FormGrid";

type Picks = NonNullable<JobForm["schools"]>;

/** Where good welders do it in more than one way: the job picks one, and what the others say for themselves stands under it. */
export function Schools({ picks, onChange }: { picks: Picks; onChange: (p: Picks | undefined) => void }) {
  const topics = useQuery({ queryKey: ["schools"], queryFn: api.schools, staleTime: Infinity });
  const pick = (topic: string, way: string) => {
    const next = { ...picks, [topic]: way };
    if (way === "") delete next[topic];
    onChange(Object.keys(next).length > 0 ? next : undefined);
  };
  return (
    <section aria-label="Schools of practice">
      <h3>Schools of practice</h3>
      <FormGrid>
        {(topics.data ?? []).map((t) => (
          <ChoiceField
            key={t.topic}
            id={`school-${t.topic}`}
            label={t.title}
            span={6}
            value={picks[t.topic] ?? ""}
            options={[["", "not picked"], ...t.ways.map((w) => [w.id, `${w.title}: ${w.reason}`] as const)]}
            onChange={(v) => pick(t.topic, v)}
          />
        ))}
      </FormGrid>
    </section>
  );
}
