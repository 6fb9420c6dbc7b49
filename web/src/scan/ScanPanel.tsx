import "./scan.css";
import { RadarChartOutlined } from "@ant-design/icons";
import { Alert, App, Button, Checkbox, Flex, Progress, Select } from "antd";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { lazy, Suspense, useState } from "react";
import { api, saidBy, type Bench } from "../lib/api";
import { scanFileOf, sendScan, type Scan, type ScanProposal } from "../lib/api-scan";
import { FileButton } from "../lib/FileButton";
import { newId } from "../lib/id";
import { showBench } from "../bench/useBench";
import { Compared } from "./Compared";
import type { Live } from "./useLive";
import type { Scans } from "./useScans";
import { sizeOf } from "./words";

const SurfaceDialog = lazy(() => import("./SurfaceDialog"));

type Props = {
  bench: Bench;
  scans: Scans;
  live: Live;
  mayChange: boolean;
  cursor: number;
  onCursor: (mm: number) => void;
};

/** Scans of the weld: sent, measured, and what each proposes. */
export function ScanPanel({ bench, scans, live, mayChange, cursor, onCursor }: Props) {
  const [surface, setSurface] = useState<Scan>();
  const standing = scans.all.filter((s) => !s.withdrawn);
  return (
    <>
      {mayChange && <Sending bench={bench} scans={scans} live={live} />}
      {scans.all.length === 0 && (
        <p className="quiet">
          No scan yet. A profile scanner’s file (CSV, PLY or X3P) is measured along the whole weld: legs, throat,
          convexity, undercut, crown, offset. Cracks, fusion, overlap, slag, pores and arc strikes it cannot see:
          inspect for those.
        </p>
      )}
      {[...scans.all].reverse().map((s) => (
        <ScanCard
          key={s.id}
          bench={bench}
          scan={s}
          scans={scans}
          mayChange={mayChange}
          onSurface={() => setSurface(s)}
        />
      ))}
      {standing.length > 0 && <Compared bench={bench} scans={standing.filter((s) => s.drawn)} />}
      {surface && (
        <Suspense fallback={null}>
          <SurfaceDialog
            bench={bench}
            scan={surface}
            cursor={cursor}
            onCursor={onCursor}
            onClose={() => setSurface(undefined)}
          />
        </Suspense>
      )}
    </>
  );
}

function Sending({ bench, scans, live }: { bench: Bench; scans: Scans; live: Live }) {
  const gauges = useQuery({ queryKey: ["gauges"], queryFn: api.gauges });
  const [gauge, setGauge] = useState<string>();
  const [sent, setSent] = useState<{ name: string; part: number; cancel: () => void }>();
  const [fault, setFault] = useState<unknown>();
  const scanners = (gauges.data ?? []).filter((g) => /scan/i.test(g.form.kind ?? ""));
  const send = (file: File) => {
    setFault(undefined);
    const way = sendScan(bench.id, newId(), file, gauge, (part) => setSent((now) => now && { ...now, part }));
    setSent({ name: file.name, part: 0, cancel: way.cancel });
    way.done.then(scans.set, setFault).finally(() => setSent(undefined));
  };
  return (
    <>
      <Flex wrap gap={8} align="center">
        <FileButton accept=".csv,.ply,.x3p,.txt" onFile={send}>
          Bring in a scan …
        </FileButton>
        {live.lines ? (
          <Button danger onClick={live.stop}>
            Stop scanning
          </Button>
        ) : (
          <Button onClick={() => live.start(60)}>Scan live (simulated)</Button>
        )}
        <Select
          aria-label="Scanner"
          value={gauge ?? ""}
          onChange={(v) => setGauge(v || undefined)}
          options={[
            { value: "", label: "scanner by serial" },
            ...scanners.map((g) => ({ value: g.id, label: g.form.name ?? "" })),
          ]}
          popupMatchSelectWidth={false}
        />
        {sent && (
          <>
            <Progress percent={sent.part} size="small" className="sending" aria-label={`Sending ${sent.name}`} />
            <Button onClick={sent.cancel}>Stop</Button>
          </>
        )}
      </Flex>
      {[fault, live.fault]
        .filter((f) => f !== undefined)
        .map((f) => (
          <p key={saidBy(f)} role="alert" className="fault">
            {saidBy(f)}
          </p>
        ))}
    </>
  );
}

type CardProps = { bench: Bench; scan: Scan; scans: Scans; mayChange: boolean; onSurface: () => void };

function ScanCard({ bench, scan: s, scans, mayChange, onSurface }: CardProps) {
  const change = useMutation({ mutationFn: (act: () => Promise<Scan[]>) => act(), onSuccess: scans.set });
  const shown = scans.shown?.id === s.id;
  return (
    <section className={`scan${s.withdrawn ? " off" : ""}`} aria-label={`Scan ${s.name}`}>
      <Flex wrap gap={8} align="center">
        <b className="grow">
          {s.name} {shown && !s.withdrawn && <span className="quiet">· shown on the strip</span>}
        </b>
        {s.drawn && !s.withdrawn && !shown && <Button onClick={() => scans.show(s.id)}>Show</Button>}
        {s.drawn && !s.withdrawn && (
          <Button icon={<RadarChartOutlined />} onClick={onSurface}>
            Surface …
          </Button>
        )}
        {mayChange && (
          <Button
            type="link"
            onClick={() => change.mutate(() => (s.withdrawn ? api.scanOn : api.scanOff)(bench.id, s.id))}
          >
            {s.withdrawn ? "put back" : "take off"}
          </Button>
        )}
      </Flex>
      <div className="small quiet">
        {s.gauge ?? s.device ?? "scanner"}
        {!s.gauge && s.state === "measured" && " (not in the register)"} · {sizeOf(s.bytes)} ·{" "}
        <a href={scanFileOf(bench.id, s.id)} download>
          file
        </a>{" "}
        · {s.by}
        {s.state === "measured" &&
          ` · ${s.profiles} profiles, ${s.points.toLocaleString("en-US")} points · noise ${(s.noise ?? 0).toFixed(3)} mm`}
      </div>
      {s.state === "failed" && <Alert type="error" showIcon title={`Not measured: ${s.failure ?? ""}`} />}
      {(s.state === "waiting" || s.state === "measuring") && !s.withdrawn && (
        <Progress percent={s.part} size="small" aria-label="Measuring" />
      )}
      {s.state === "measured" && !s.drawn && !s.withdrawn && mayChange && (
        <Button onClick={() => change.mutate(() => api.measureScan(bench.id, s.id))}>Measure it again</Button>
      )}
      {s.holes.length > 0 && !s.withdrawn && (
        <Alert type="warning" showIcon title={`Not measured at ${s.holes.join(", ")}: inspect there by hand`} />
      )}
      {s.left.length > 0 && !s.withdrawn && <div className="small">Left out: {s.left.join("; ")}</div>}
      {!s.withdrawn && s.notes.map((n) => <Alert key={n} type="warning" showIcon title={n} />)}
      {!s.withdrawn && <ByHand scan={s} />}
      {!s.withdrawn && s.proposals.length > 0 && (
        <Proposals key={s.sha256} bench={bench} scan={s} scans={scans} mayChange={mayChange} />
      )}
      {s.state === "measured" && bench.state === "SIGNED" && <ComputedAgain inspection={bench.id} scan={s} />}
      {change.isError && <p className="fault">{saidBy(change.error)}</p>}
    </section>
  );
}

/** What was signed, had again from the file. */
function ComputedAgain({ inspection, scan: s }: { inspection: string; scan: Scan }) {
  const queries = useQueryClient();
  const again = useMutation({
    mutationFn: () => api.recountScan(inspection, s.id),
    onSuccess: () => queries.invalidateQueries(), // a drawing that was lost may be there again
  });
  return (
    <div>
      <Button disabled={again.isPending} onClick={() => again.mutate()}>
        Compute it again
      </Button>{" "}
      {again.data?.same && <span className="v-accept">✓ the same to the letter, by {again.data.now}</span>}
      {again.data && !again.data.same && (
        <span className="fault">
          not the same by {again.data.now} ({again.data.then} measured it): {again.data.differing.join(", ")}
        </span>
      )}
      {again.isError && <span className="fault">{saidBy(again.error)}</span>}
    </div>
  );
}

/** Both stand; where they lie too far apart, one of them is wrong. */
function ByHand({ scan: s }: { scan: Scan }) {
  const beyond = s.byHand.filter((h) => h.beyond);
  if (s.byHand.length === 0) return null;
  return (
    <>
      {beyond.map((h) => (
        <Alert key={h.words} type="warning" showIcon title={`Read it again: ${h.words}`} />
      ))}
      {beyond.length < s.byHand.length && (
        <div className="small quiet">
          {s.byHand.length - beyond.length} readings by hand agree with the scan within both uncertainties.
        </div>
      )}
    </>
  );
}

/** What was found before what was read. */
function worstFirst(proposals: ScanProposal[]): ScanProposal[] {
  return [...proposals.filter((p) => p.kind !== "READING"), ...proposals.filter((p) => p.kind === "READING")];
}

function Proposals({ bench, scan, scans, mayChange }: Omit<CardProps, "onSurface">) {
  const queries = useQueryClient();
  const { message } = App.useApp();
  const open = scan.proposals.filter((p) => !p.taken);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const wanted = open.filter((p) => !left.has(p.id));
  const take = useMutation({
    mutationFn: () =>
      api.takeScan(
        bench.id,
        scan.id,
        wanted.map((p) => p.id),
      ),
    onSuccess: (next) => {
      showBench(queries, next);
      void scans.again();
      void message.success(`${wanted.length} entries taken over`);
    },
  });
  if (open.length === 0) return <p className="small">All {scan.proposals.length} proposals are entries.</p>;
  return (
    <>
      <div className="small">
        Proposed, rounded against the weld
        {open.length < scan.proposals.length && `; ${scan.proposals.length - open.length} taken`}:
      </div>
      {worstFirst(open).map((p) => (
        <div key={p.id}>
          <Checkbox
            checked={!left.has(p.id)}
            disabled={!mayChange}
            onChange={(e) => {
              const next = new Set(left);
              if (e.target.checked) next.delete(p.id);
              else next.add(p.id);
              setLeft(next);
            }}
          >
            {p.kind === "READING" ? p.words : <b>{p.words}</b>}
          </Checkbox>
        </div>
      ))}
      {mayChange && (
        <Button type="primary" disabled={wanted.length === 0 || take.isPending} onClick={() => take.mutate()}>
          Take {wanted.length === open.length ? `all ${open.length}` : `${wanted.length} of ${open.length}`} over
        </Button>
      )}
      {take.isError && (
        <p role="alert" className="fault">
          {saidBy(take.error)}
        </p>
      )}
    </>
  );
}
