import { Button, Input } from "antd";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { api, problemsByField, type Piece } from "../lib/api";
import { RubricPoints } from "../lib/RubricPoints";

/** How well it is made: each rater's own score, and the rubric to give one by. */
export function RatePiece({
  piece: p,
  mayRate,
  change,
}: {
  piece: Piece;
  mayRate: boolean;
  change: { mutate: (act: () => Promise<Piece>, o?: { onSuccess?: () => void }) => void; error: unknown };
}) {
  const own = p.ratings.find((r) => r.own);
  const [open, setOpen] = useState(false);
  const [points, setPoints] = useState<Record<string, number>>(
    Object.fromEntries(own?.points.map((x) => [x.id, x.points]) ?? []),
  );
  const [why, setWhy] = useState(own?.reasons[0] ?? "");
  const rubric = useQuery({ queryKey: ["rubric"], queryFn: api.rubric, enabled: open });
  const problems = problemsByField(change.error);
  return (
    <section aria-label="Score">
      <h3>Score{p.score === undefined ? "" : `: ${p.score} of 10`}</h3>
      {p.ratings.map((r) => (
        <div key={`${r.by} ${r.at}`} className="item">
          <span>
            <b>
              {r.by}: {r.sum}
            </b>{" "}
            <span className="small quiet">{r.points.map((x) => `${x.title} ${x.points}/${x.most}`).join(" · ")}</span>
            {r.reasons.map((x) => (
              <div key={x}>{x}</div>
            ))}
          </span>
        </div>
      ))}
      {mayRate && !open && <Button onClick={() => setOpen(true)}>{own ? "Change my score …" : "Score it …"}</Button>}
      {open && rubric.data && (
        <form
          onSubmit={(e) => {
            e.preventDefault();
            change.mutate(() => api.ratePiece(p.id, { points, firstReason: why }), { onSuccess: () => setOpen(false) });
          }}
        >
          <RubricPoints parts={rubric.data.parts} points={points} problems={problems} onPoints={setPoints} />
          <Input
            aria-label="Comment"
            value={why}
            maxLength={200}
            placeholder="what earned or cost the points"
            onChange={(e) => setWhy(e.target.value)}
          />
          <Button className="spaced" type="primary" htmlType="submit">
            Store {Object.values(points).reduce((a, b) => a + b, 0)} of 10
          </Button>
        </form>
      )}
      <p className="cautions">A score is for learning; it is not pass or fail.</p>
    </section>
  );
}
