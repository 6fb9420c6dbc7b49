import { Button, Descriptions, Drawer, Flex } from "antd";
import { Link } from "react-router";
import { useCauses } from "../causes/CausesPanel";
import { Defect, groupByRanking } from "../causes/DefectCauses";
import { isPractice } from "../lib/api-bench";
import type { Bench, Finding } from "../lib/api";
import { VerdictShape } from "../lib/VerdictMark";
import { ink } from "../theme";
import { ContractPanel } from "./ContractPanel";
import { tied } from "../lib/tied";

const order: Record<string, number> = { reject: 0, incomplete: 1, accept: 2, "not-applicable": 3 };

/** What the code says, criterion by criterion: what rejects first. Each opens a drawer with its arithmetic, clause and causes. */
export function CriteriaPanel({
  bench,
  open,
  onOpen,
  onCauses,
}: {
  bench: Bench;
  open?: string;
  onOpen: (finding: string | undefined) => void;
  onCauses?: () => void;
}) {
  const findings = [...bench.evaluation.findings].sort((a, b) => (order[a.verdict] ?? 9) - (order[b.verdict] ?? 9));
  const j = bench.joint;
  const chosen = findings.find((f) => f.id === open);
  return (
    <>
      <div className="small quiet">
        <Link to={`/criteria/${j.criteria}`}>{j.criteriaTitle}</Link>, {j.edition}
      </div>
      {!isPractice(bench.id) && <ContractPanel bench={bench} />}
      {findings.map((f) => (
        <FindingRow
          key={f.id}
          finding={f}
          open={open === f.id}
          onToggle={() => onOpen(open === f.id ? undefined : f.id)}
        />
      ))}
      {chosen && <WhyDrawer finding={chosen} bench={bench} onClose={() => onOpen(undefined)} onCauses={onCauses} />}
      {bench.evaluation.notes.map((n) => (
        <p key={n} className="cautions">
          {n}
        </p>
      ))}
    </>
  );
}

function FindingRow({ finding: f, open, onToggle }: { finding: Finding; open: boolean; onToggle: () => void }) {
  return (
    <div className="finding" data-criterion={f.id} data-verdict={f.verdict}>
      <button type="button" aria-expanded={open} aria-haspopup="dialog" onClick={onToggle}>
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
    </div>
  );
}

/** Why one criterion says so: arithmetic, clause, causes. The strip stays behind it, with the same places marked. */
function WhyDrawer({
  finding: f,
  bench,
  onClose,
  onCauses,
}: {
  finding: Finding;
  bench: Bench;
  onClose: () => void;
  onCauses?: () => void;
}) {
  const facts = [
    { label: "Measured", children: f.measured },
    { label: "Allowed", children: f.allowed },
    { label: "Margin", children: f.margin },
    { label: "At", children: f.span },
  ];
  return (
    <Drawer
      open
      mask={false}
      size={460}
      rootClassName="why"
      onClose={onClose}
      title={
        <Flex gap={10} align="center">
          <VerdictShape verdict={f.verdict} size={26} />
          {f.title}
          {f.verdict === "reject" ? ": rejects" : ""}
        </Flex>
      }
    >
      <p>{tied(f.reason)}</p>
      {f.measured && (
        <Descriptions
          size="small"
          column={2}
          items={facts.flatMap((x) => (x.children ? [{ label: x.label, children: <b>{tied(x.children)}</b> }] : []))}
        />
      )}
      {f.trace.length > 0 && (
        <>
          <h3>Arithmetic</h3>
          <ol aria-label="Arithmetic">
            {f.trace.map((t, i) => (
              <li key={i}>{tied(t)}</li>
            ))}
          </ol>
        </>
      )}
      <h3>Clause</h3>
      <p>
        {f.citation}{" "}
        <span className="small quiet">
          from memory, {f.confidence} confidence
          {f.confidence !== "high" ? ": check against your copy" : ""}
        </span>
      </p>
      {f.verdict === "reject" && onCauses && <CausesOf finding={f} bench={bench} onCauses={onCauses} />}
    </Drawer>
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
