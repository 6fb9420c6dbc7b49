import { useQuery } from "@tanstack/react-query";
import { Flex, Select } from "antd";
import { useState } from "react";
import { api, saidBy, type Bench } from "../lib/api";
import type { Scan } from "../lib/api-scan";
import { SmallTable } from "../lib/SmallTable";
import { lengthIn, volumeIn } from "./words";

/** Two scans of the weld held against each other: before and after a repair, or how far a scanner repeats. */
export function Compared({ bench, scans }: { bench: Bench; scans: Scan[] }) {
  const [chosen, setFirst] = useState<string>();
  const [other, setSecond] = useState<string>();
  // asked again whenever a scan of this inspection was measured or taken off
  const measured = scans.map((s) => s.id);
  const all = useQuery({
    queryKey: ["scans-of-weld", bench.id, ...measured],
    queryFn: () => api.scansOfWeld(bench.id),
  });
  const known = all.data ?? [];
  const first = known.find((s) => s.id === chosen) ?? known.at(-2);
  const second = known.find((s) => s.id === other) ?? known.at(-1);
  const compared = useQuery({
    queryKey: ["scans-compared", first?.id, second?.id],
    queryFn: () =>
      first && second ? api.scanCompared(first.inspection, first.id, second.id, second.inspection) : null,
    enabled: first !== undefined && second !== undefined && first.id !== second.id,
    staleTime: Infinity,
  });
  if (!first || !second) return null;
  const options = known.map((s) => ({ value: s.id, label: s.words }));
  const units = bench.joint.units;
  const c = compared.data;
  return (
    <section className="scan" aria-label="Two scans compared">
      <h3>Two scans compared</h3>
      <Flex wrap gap={8} align="center">
        <Select
          aria-label="First scan"
          value={first.id}
          options={options}
          onChange={setFirst}
          popupMatchSelectWidth={false}
        />
        <span>then</span>
        <Select
          aria-label="Second scan"
          value={second.id}
          options={options}
          onChange={setSecond}
          popupMatchSelectWidth={false}
        />
      </Flex>
      {first.id === second.id && <p className="quiet">Choose two different scans.</p>}
      {compared.isError && <p className="fault">{saidBy(compared.error)}</p>}
      {c && (
        <>
          <p>
            <b>
              Put on {volumeIn(c.putOn, units)}, taken off {volumeIn(c.takenOff, units)}
            </b>{" "}
            (u {volumeIn(c.u, units)}) where both measured.{" "}
            {c.changed.length > 0
              ? `The section differs at ${c.changed.join(", ")}.`
              : "The section is the same within both uncertainties."}
          </p>
          <SmallTable
            rows={c.lines}
            label="Differences along the weld"
            rowKey={(l) => l.title}
            columns={[
              ["", (l) => l.title],
              ["Mean", (l) => lengthIn(l.mean, units)],
              ["SD", (l) => lengthIn(l.sd, units)],
              ["Most", (l) => `${lengthIn(l.greatest, units)} at ${l.at}`],
              ["Beyond k = 2", (l) => `${l.beyond} %`],
            ]}
          />
          <p className="cautions">
            Second less first, {units}. Two passes of one scanner: its repeatability is the SD over √2.
          </p>
        </>
      )}
    </section>
  );
}
