import { Button, Flex } from "antd";
import { Link } from "react-router";
import { useCauses } from "../causes/CausesPanel";
import { Defect, groupByRanking } from "../causes/DefectCauses";
import type { Bench, Finding } from "../lib/api";
import { VerdictShape } from "../lib/VerdictMark";
import { ink } from "../theme";
import { ContractPanel } from "./ContractPanel";
import { tied } from "../lib/tied";

const order: Record<string, number> = { reject: 0, incomplete: 1, accept: 2, "not-applicable": 3 };

/** What the code says, criterion by criterion: what rejects first. Each opens to its arithmetic, clause and causes. */
export function CriteriaPanel({
  bench,
  open,
  onOpen,
  onCauses,
}: {
  bench: Bench;
  open?: string;
  onOpen: (finding: string | undefined) => void;
  onCauses: () => void;
}) {
  const findings = [...bench.evaluation.findings].sort((a, b) => (order[a.verdict] ?? 9) - (order[b.verdict] ?? 9));
  const j = bench.joint;
  return (
    <>
      <div className="small quiet">
        <Link to={`/criteria/${j.criteria}`}>{j.criteriaTitle}</Link>, {j.edition}
      </div>
      <ContractPanel bench={bench} />
      {findings.map((f) => (
        <FindingRow
          key={f.id}
          finding={f}
          bench={bench}
          open={open === f.id}
          onToggle={() => onOpen(open === f.id ? undefined : f.id)}
          onCauses={onCauses}
        />
      ))}
      {bench.evaluation.notes.map((n) => (
        <p key={n} className="cautions">
          {n}
        </p>
      ))}
    </>
  );
}

function FindingRow({
  finding: f,
  bench,
  open,
  onToggle,
  onCauses,
}: {
  finding: Finding;
  bench: Bench;
  open: boolean;
  onToggle: () => void;
  onCauses: () => void;
}) {
  return (
    <div className="finding" data-criterion={f.id} data-verdict={f.verdict}>
      <button type="button" aria-expanded={open} onClick={onToggle}>
        <VerdictShape verdict={f.verdict} size={26} />
        <span>
          <span className={`strong v-${f.verdict}`}>
            {f.title}
            {f.verdict === "reject" ? ": rejects" : ""}
          </span>
          {f.nearLimit && <span className="hint small"> · near the limit, read again with a finer gauge</span>}
          {f.finer && <span className="hint small"> · {f.finer} could tell</span>}
          <div className="small quiet">{tied(f.reason)}</div>
        </span>
        <span className="small allowed">
          {f.verdict !== "not-applicable" && tied(f.allowed)}
          <Share finding={f} />
        </span>
      </button>
      {open && (
        <div className="column opened">
          {f.measured && (
            <div>
              Measured <b>{tied(f.measured)}</b> · allowed <b>{tied(f.allowed)}</b>
              {f.margin && (
                <>
                  {" "}
                  · margin <b>{f.margin}</b>
                </>
              )}
              {f.span && (
                <>
                  {" "}
                  · at <b>{f.span}</b>
                </>
              )}
            </div>
          )}
          {f.trace.length > 0 && (
            <ol aria-label="Arithmetic">
              {f.trace.map((t, i) => (
                <li key={i}>{tied(t)}</li>
              ))}
            </ol>
          )}
          <div className="small quiet">
            {f.citation} · from memory, {f.confidence} confidence
            {f.confidence !== "high" ? ": check against your copy" : ""}
          </div>
          {f.verdict === "reject" && <CausesOf finding={f} bench={bench} onCauses={onCauses} />}
        </div>
      )}
    </div>
  );
}

/** How much of the allowed is used up: past the line it fails. */
function Share({ finding: f }: { finding: Finding }) {
  if (f.share === undefined || f.share === null || !isFinite(f.share)) return null;
  const most = 1.25;
  const width = Math.min(1, Math.max(0.02, f.share / most));
  const colour = f.verdict === "reject" ? ink.reject : f.verdict === "accept" ? ink.accept : ink.open;
  return (
    <svg width="100%" height="8" aria-hidden="true">
      <rect width="100%" height="8" rx="4" fill={ink.line} />
      <rect width={`${width * 100}%`} height="8" rx="4" fill={colour} />
      <rect x={`${(1 / most) * 100}%`} width="3" height="8" fill={ink.text} />
    </svg>
  );
}

/** The causes of one finding, beside it; all of the weld's stand in their own tab. */
function CausesOf({ finding, bench, onCauses }: { finding: Finding; bench: Bench; onCauses: () => void }) {
  const causes = useCauses(bench);
  if (!causes.data) return <p className="quiet">Tracing the causes …</p>;
  const mine = causes.data.defects.filter((d) => d.entry !== undefined && finding.entries.includes(d.entry));
  return (
    <section aria-label="Likely causes">
      <Flex wrap gap={8} align="center">
        <h3 className="grow">Likely causes</h3>
        <Button type="link" onClick={onCauses}>
          signs, changes, note for the welder
        </Button>
      </Flex>
      {mine.length === 0 && (
        <p className="quiet small">Nothing recorded to trace: the fit-up or the drawing decides here.</p>
      )}
      {groupByRanking(mine).map((g) => (
        <Defect key={g.key} defects={g.defects} bench={bench} />
      ))}
    </section>
  );
}
