import { holds } from "../lib/roles";
import { Button } from "antd";
import { useState, type FormEvent } from "react";
import { api, saidBy, type Bench } from "../lib/api";
import { TextField } from "../lib/fields";
import { useActor } from "../lib/session";
import { useChange } from "./useBench";

type Fault = Bench["gaugeFaults"][number];

/** Gauges that were not in calibration: each warns, and stops the signature until replaced or waived. */
export function GaugeFaults({ bench }: { bench: Bench }) {
  return (
    <>
      {bench.gaugeFaults.map((f) => (
        <OneFault key={f.gauge} bench={bench} fault={f} />
      ))}
    </>
  );
}

function OneFault({ bench, fault }: { bench: Bench; fault: Fault }) {
  const actor = useActor();
  const change = useChange(bench.id);
  const [reason, setReason] = useState<string>();
  const readings = fault.entries.length;
  const waive = (e: FormEvent) => {
    e.preventDefault();
    void change.mutateAsync(() => api.waive(bench.id, fault.gauge, reason ?? "")).catch(() => undefined);
  };
  return (
    <div className="small marked" role="note">
      <b className={fault.waived ? "hint" : "fault"}>
        {fault.waived ? "△ " : "✕ "}
        {fault.fault}
      </b>
      {readings > 0 && (
        <>
          {" "}
          · {readings} {readings === 1 ? "entry" : "entries"} read with it
        </>
      )}
      {fault.waived && (
        <div>
          Waived by {fault.waived.by}: {fault.waived.reason}
        </div>
      )}
      {!fault.waived && bench.state === "OPEN" && (
        <div>
          Stops the signature: read again with another gauge
          {holds(actor, "QUALITY_MANAGER") ? "" : ", or the quality manager waives it"}.
        </div>
      )}
      {!fault.waived && bench.state === "OPEN" && holds(actor, "QUALITY_MANAGER") && reason === undefined && (
        <Button type="link" onClick={() => setReason("")}>
          waive it …
        </Button>
      )}
      {reason !== undefined && !fault.waived && (
        <form onSubmit={waive}>
          <TextField
            id={`waive-${fault.gauge}`}
            label="Why its readings may stand"
            value={reason}
            onChange={setReason}
          />
          {change.isError && (
            <div role="alert" className="fault">
              {saidBy(change.error)}
            </div>
          )}
          <Button htmlType="submit">Waive it</Button>
        </form>
      )}
    </div>
  );
}
