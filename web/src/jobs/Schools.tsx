import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Button, Drawer } from "antd";
import { useState } from "react";
import { api, saidBy, type JobForm } from "../lib/api";
import { ChoiceField } from "../lib/fields";
import { FormGrid } from "../lib/FormGrid";

type Picks = NonNullable<JobForm["schools"]>;

/** Where good welders do it in more than one way: the job picks one, and what the others say for themselves stands under it. */
export function Schools(p: { picks: Picks; onChange: (p: Picks | undefined) => void }) {
  const shop = useQuery({ queryKey: ["schools"], queryFn: api.schools });
  return (
    <section aria-label="Schools of practice">
      <h3>Schools of practice</h3>
      <Topics
        {...p}
        span={6}
        topics={shop.data?.topics ?? []}
        otherwise={(picked) => (picked ? `as the shop: ${picked}` : none)}
      />
    </section>
  );
}

const none = "not picked";

/** What the shop picks for all its jobs. */
export function ShopSchools() {
  const shop = useQuery({ queryKey: ["schools"], queryFn: api.schools });
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button type="link" onClick={() => setOpen(true)}>
        the shop’s schools of practice
      </Button>
      <Drawer title="Schools of practice" size={560} open={open} onClose={() => setOpen(false)} destroyOnHidden>
        {shop.data && <ShopForm shop={shop.data} onDone={() => setOpen(false)} />}
      </Drawer>
    </>
  );
}

function ShopForm({ shop, onDone }: { shop: Awaited<ReturnType<typeof api.schools>>; onDone: () => void }) {
  const queries = useQueryClient();
  const [picks, setPicks] = useState<Picks>(
    Object.fromEntries(shop.topics.flatMap((t) => (t.picked ? [[t.topic, t.picked]] : []))),
  );
  const [fault, setFault] = useState<unknown>();
  const store = async () => {
    try {
      await api.pickSchools(picks, shop.version);
      await queries.invalidateQueries({ queryKey: ["schools"] });
      onDone();
    } catch (x) {
      setFault(x);
    }
  };
  return (
    <>
      <p>
        Where good welders do it in more than one way, the shop picks one; a job may pick another. The pass plan, the
        guide and what is asked as the passes go in follow it.
      </p>
      <Topics picks={picks} onChange={(p) => setPicks(p ?? {})} topics={shop.topics} otherwise={() => none} span={12} />
      {fault !== undefined && (
        <p role="alert" className="fault">
          {saidBy(fault)}
        </p>
      )}
      <Button type="primary" className="spaced" onClick={() => void store()}>
        Keep the picks
      </Button>
    </>
  );
}

type Topic = Awaited<ReturnType<typeof api.schools>>["topics"][number];

function Topics({
  picks,
  onChange,
  topics,
  otherwise,
  span,
}: {
  picks: Picks;
  onChange: (p: Picks | undefined) => void;
  topics: Topic[];
  otherwise: (picked?: string) => string;
  span: number;
}) {
  const pick = (topic: string, way: string) => {
    const next = { ...picks, [topic]: way };
    if (way === "") delete next[topic];
    onChange(Object.keys(next).length > 0 ? next : undefined);
  };
  return (
    <FormGrid>
      {topics.map((t) => (
        <ChoiceField
          key={t.topic}
          id={`school-${t.topic}`}
          label={t.title}
          span={span}
          value={picks[t.topic] ?? ""}
          options={[
            ["", otherwise(t.ways.find((w) => w.id === t.picked)?.title)],
            ...t.ways.map((w) => [w.id, `${w.title}: ${w.reason}`] as const),
          ]}
          onChange={(v) => pick(t.topic, v)}
        />
      ))}
    </FormGrid>
  );
}
