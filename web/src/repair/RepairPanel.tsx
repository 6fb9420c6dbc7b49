import "./repair.css";
import { holds } from "../lib/roles";
import { Button } from "antd";
import { keepPreviousData, useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate } from "react-router";
import { api, saidBy, type Bench } from "../lib/api";
import { useActor } from "../lib/session";
import { DefectCard, Fault } from "./DefectCard";

/** After a signed reject: each rejected place with its number, what the contractor decides of it, and the inspection after the repair. */
export function RepairPanel({ bench }: { bench: Bench }) {
  const actor = useActor();
  const navigate = useNavigate();
  const queries = useQueryClient();
  const [depths, setDepths] = useState<Record<string, string>>({});
  const defects = useQuery({
    queryKey: ["defects", bench.id, depths],
    queryFn: () => api.defects(bench.id, depths),
    placeholderData: keepPreviousData,
    retry: false,
    refetchInterval: 10_000,
  });
  const again = useMutation({
    mutationFn: () => api.reinspect(bench.id),
    onSuccess: ({ inspectionId }) => {
      void queries.invalidateQueries({ queryKey: ["joints"] });
      void navigate(`/inspections/${inspectionId}`);
    },
  });
  const [last, setLast] = useState(defects.data);
  if (defects.data && defects.data !== last) setLast(defects.data);
  const shown = defects.data ?? last;
  if (!shown)
    return defects.isError ? (
      <p role="alert" className="fault">
        {saidBy(defects.error)}
      </p>
    ) : null;
  const datum = bench.joint.form.datum ?? "datum end";
  return (
    <section aria-label="Repair">
      <p className="small">
        The contractor chooses the repair. The Engineer acts for the owner: accept as is only by his document.
      </p>
      {shown.least.map((l) => (
        <p key={l} className="marked">
          <b>Least repair:</b> {l}. Correcting all of it is never wrong.
        </p>
      ))}
      {defects.isError && (
        <p role="alert" className="fault">
          {saidBy(defects.error)}
        </p>
      )}
      {shown.canReinspect && holds(actor, "INSPECTOR") && (
        <Button type="primary" disabled={again.isPending} onClick={() => again.mutate()}>
          Begin the re-inspection
        </Button>
      )}
      {shown.canReinspect && !holds(actor, "INSPECTOR") && (
        <p className="small">All is repaired: an inspector re-inspects.</p>
      )}
      {shown.again && <p className="small quiet">{shown.again}.</p>}
      <Fault of={again.error} />
      {shown.defects.map((d) => (
        <DefectCard
          key={d.id}
          defect={d}
          units={bench.joint.units}
          datum={datum}
          depth={depths[d.id] ?? ""}
          onDepth={(x) =>
            setDepths(Object.fromEntries(Object.entries({ ...depths, [d.id]: x }).filter(([, v]) => v !== "")))
          }
        />
      ))}
      <p className="cautions">{shown.cautions.join(" ")}</p>
    </section>
  );
}
