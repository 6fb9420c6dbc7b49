import { useQuery } from "@tanstack/react-query";
import { Link } from "react-router";
import { api, saidBy } from "../lib/api";
import type { Plot, PlotPoint, PlotScope } from "../lib/api-plots";
import { dayOf } from "../lib/local-time";
import { SmallTable } from "../lib/SmallTable";

/** The welds behind a point of a plot, each with its way to the bench. */
export function PlotWelds({ plot, point, scope }: { plot: Plot; point: PlotPoint; scope: PlotScope }) {
  const welds = useQuery({
    queryKey: ["plot-welds", plot.id, point.key, scope],
    queryFn: () => api.plotWelds(plot.id, point.key, scope),
  });
  const w = welds.data;
  return (
    <section aria-label="The welds behind it" aria-live="polite">
      <h3>
        {point.name || plot.question}
        {w && `: ${w.count} ${w.count === 1 ? "weld" : "welds"}`}
        {w && w.count > w.welds.length && `, the newest ${w.welds.length} here`}
      </h3>
      {welds.isError && (
        <p role="alert" className="fault">
          {saidBy(welds.error)}
        </p>
      )}
      {w?.count === 0 && <p className="quiet">None was rejected.</p>}
      {w && w.count > 0 && (
        <SmallTable
          label="The welds behind it"
          rows={w.welds}
          rowKey={(_, i) => i}
          columns={[
            [
              "Weld",
              (x) => (
                <Link
                  className="way"
                  to={x.pieceId === undefined ? `/inspections/${x.inspectionId ?? ""}` : `/test-pieces/${x.pieceId}`}
                >
                  {x.mark}
                </Link>
              ),
              120,
            ],
            ["Job, lot", (x) => [x.job, x.lot].filter(Boolean).join(", ")],
            ["What", (x) => x.said],
            ["When", (x) => (x.at ? dayOf(x.at) : ""), 120],
          ]}
        />
      )}
    </section>
  );
}
