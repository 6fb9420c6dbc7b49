import { holds } from "../lib/roles";
import { Button, Progress } from "antd";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { api, saidBy, type ReportRun } from "../lib/api";
import { ChoiceField } from "../lib/fields";
import { useActor } from "../lib/session";
import { Cell, FormGrid } from "../lib/FormGrid";

const labelsOf = (job: string, lot: string, sheet: string) =>
  `/api/jobs/${job}/labels?${new URLSearchParams({ sheet, ...(lot ? { lot } : {}) }).toString()}`;

/** Reports of a lot or of the whole job: made in the background, each shows how far it is and can be stopped. */
export function Reports({ job, lots }: { job: string; lots: string[] }) {
  const actor = useActor();
  const queries = useQueryClient();
  const [lot, setLot] = useState("");
  const [as, setAs] = useState("pdf");
  const [sheet, setSheet] = useState("A4_70_37");
  const mine = useQuery({
    queryKey: ["reports"],
    queryFn: api.reports,
    enabled: !holds(actor, "VIEWER"),
    refetchInterval: (q) => (q.state.data?.some(isUnderway) ? 500 : false),
  });
  const again = () => void queries.invalidateQueries({ queryKey: ["reports"] });
  const begin = useMutation({
    mutationFn: () => api.beginReport({ job, as, ...(lot ? { lot } : {}) }),
    onSuccess: again,
  });
  const stop = useMutation({ mutationFn: api.stopReport, onSettled: again });
  if (holds(actor, "VIEWER")) return null;
  return (
    <section aria-label="Reports">
      <h3>Reports</h3>
      <p className="small quiet">
        What is signed: drawings, findings with clause and margin, repairs and cycles, gauges, signatures with their
        sums. One weld’s report stands at its bench.
      </p>
      <FormGrid>
        <ChoiceField
          id="report-lot"
          label="Of"
          span={6}
          value={lot}
          options={[["", "the whole job"], ...lots.map((l) => [l, l] as const)]}
          onChange={setLot}
        />
        <ChoiceField
          id="report-as"
          label="As"
          span={3}
          value={as}
          options={[
            ["pdf", "PDF"],
            ["csv", "CSV"],
            ["json", "JSON"],
          ]}
          onChange={setAs}
        />
        <Cell span={3} bottom>
          <Button block type="primary" disabled={begin.isPending} onClick={() => begin.mutate()}>
            Make it
          </Button>
        </Cell>
      </FormGrid>
      <FormGrid>
        <ChoiceField
          id="label-sheet"
          label="Labels"
          span={9}
          value={sheet}
          options={[
            ["A4_70_37", "A4, 24 of 70 × 37 mm"],
            ["A4_99_67", "A4, 8 of 99 × 68 mm"],
            ["LETTER_67_25", "Letter, 30 of 2 5/8 × 1 in"],
            ["LETTER_102_51", "Letter, 10 of 4 × 2 in"],
          ]}
          onChange={(v) => setSheet(v ?? "A4_70_37")}
        />
        <Cell span={3} bottom>
          <Button block href={labelsOf(job, lot, sheet)} target="_blank">
            Print labels
          </Button>
        </Cell>
        <Cell span={12}>
          <a href={`/api/jobs/${job}/repair-marks?sheet=${sheet}`} target="_blank" rel="noreferrer">
            Marks for what is to be repaired
          </a>{" "}
          <span className="small quiet">number, from–to; off again when it is closed</span>
        </Cell>
      </FormGrid>
      {begin.isError && (
        <p role="alert" className="fault">
          {saidBy(begin.error)}
        </p>
      )}
      {mine.data?.map((r) => (
        <div className="item" key={r.id}>
          <span>
            <b>{r.title}</b>{" "}
            <span className="quiet small">
              {r.as.toUpperCase()}, {new Date(r.asked).toLocaleTimeString(undefined, { timeStyle: "short" })}
            </span>
          </span>
          {isUnderway(r) ? (
            <span className="row">
              <Progress
                className="box"
                aria-label={`${r.title}: ${r.done} of ${r.welds} welds`}
                percent={Math.round((100 * r.done) / Math.max(1, r.welds))}
              />
              <span className="small">
                {r.done} of {r.welds}
              </span>
              <Button onClick={() => stop.mutate(r.id)}>Stop</Button>
            </span>
          ) : r.state === "done" ? (
            <Button href={`/api/reports/${r.id}/file`} target="_blank" rel="noreferrer">
              Open ({Math.ceil((r.bytes ?? 0) / 1024)} kB)
            </Button>
          ) : (
            <span className={r.state === "failed" ? "fault" : "quiet"}>
              {r.state === "failed" ? "could not be made" : "stopped"}
            </span>
          )}
        </div>
      ))}
    </section>
  );
}

const isUnderway = (r: ReportRun) => r.state === "waiting" || r.state === "running";
