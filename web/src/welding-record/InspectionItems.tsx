import type { InspectionItem } from "../lib/api";
import { VerdictShape } from "../lib/VerdictMark";

const words: Record<string, string> = {
  accept: "holds",
  reject: "does not hold",
  incomplete: "not inspected",
  "not-applicable": "not asked",
};

/** What one inspection comes to: a shape and a word, both numbers, and why. */
export function InspectionItemLine({ item, children }: { item: InspectionItem; children?: React.ReactNode }) {
  return (
    <div className="item icon-first" data-item={item.id} data-verdict={item.verdict}>
      <VerdictShape verdict={item.verdict} size={24} />
      <div>
        <b>{item.title}</b> <span className={`v-${item.verdict} small`}>{words[item.verdict] ?? item.verdict}</span>
        {item.verdict !== "not-applicable" && (
          <div className="small">
            {item.measured && (
              <>
                {item.measured}
                {item.allowed && <span className="quiet"> · allowed {item.allowed}</span>}.{" "}
              </>
            )}
            {item.reason}
            {item.citation && <span className="quiet"> ({item.citation})</span>}
          </div>
        )}
      </div>
      {children}
    </div>
  );
}
