import { Button, Flex, Segmented, Select } from "antd";
import { useMutation, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, saidBy } from "../lib/api";
import type { Exercise } from "../lib/api-practice";
import { showPlace } from "../lib/place";

type Props = { exercise: Exercise; place: number; onGauged: () => void };

/** A simulated gauge held at the cursor; what it shows is read and recorded by the hand. */
export function GaugesAt({ exercise: e, place, onGauged }: Props) {
  const [gauge, setGauge] = useState(e.gauges[0]?.id ?? "");
  const [toe, setToe] = useState("A");
  const queries = useQueryClient();
  const hold = useMutation({
    mutationFn: () => api.holdGauge(e.id, gauge, toe, place),
    onSuccess: (now) => queries.setQueryData(["exercise", e.id], now),
  });
  const chosen = e.gauges.find((g) => g.id === gauge);
  const last = e.gauged.at(-1);
  return (
    <Flex wrap gap={8} align="center">
      <Select
        aria-label="Gauge"
        value={gauge}
        popupMatchSelectWidth={false}
        options={e.gauges.map((g) => ({ value: g.id, label: g.title }))}
        onChange={setGauge}
      />
      {chosen?.toe && (
        <Segmented
          aria-label="Toe"
          value={toe}
          options={e.toes.map((t) => ({ value: t.id, label: t.name }))}
          onChange={setToe}
        />
      )}
      <Button disabled={hold.isPending} onClick={() => hold.mutate()}>
        Hold at {showPlace(place, e.units)}
      </Button>
      <b role="status">{hold.isError ? saidBy(hold.error) : (last?.words ?? "")}</b>
      {e.gauged.length > 1 && (
        <Button type="link" onClick={onGauged}>
          all {e.gauged.length}
        </Button>
      )}
    </Flex>
  );
}
