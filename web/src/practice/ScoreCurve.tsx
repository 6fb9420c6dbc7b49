import { CartesianGrid, Line, LineChart, ReferenceDot, ResponsiveContainer, Tooltip, XAxis, YAxis } from "recharts";
import type { SeriesCard } from "../lib/api";
import { ink } from "../theme";

type Point = { n: number; number: string; score?: number; step: string; id: string };

/** The score of each piece in order; a piece that nobody scored leaves a gap. */
export default function ScoreCurve({
  cards,
  best,
  onPick,
}: {
  cards: SeriesCard[];
  best?: number;
  onPick: (id: string) => void;
}) {
  const points: Point[] = cards.map((c, n) => ({
    n,
    number: c.piece.number,
    score: c.piece.score,
    step: c.step,
    id: c.piece.id,
  }));
  const top = best === undefined ? undefined : points[best];
  return (
    <div className="curve" role="img" aria-label={saidOf(points)}>
      <ResponsiveContainer width="100%" height="100%">
        <LineChart data={points} margin={{ top: 18, right: 18, bottom: 4, left: -18 }}>
          <CartesianGrid stroke={ink.line} vertical={false} />
          <XAxis
            dataKey="n"
            type="number"
            domain={[0, Math.max(1, points.length - 1)]}
            ticks={points.map((p) => p.n)}
            tickFormatter={(n: number) => points[n]?.number ?? ""}
            stroke={ink.quiet}
            fontSize={13}
          />
          <YAxis domain={[0, 10]} ticks={[0, 2, 4, 6, 8, 10]} stroke={ink.quiet} fontSize={13} />
          <Tooltip content={({ payload }) => <Said point={payload[0]?.payload as Point | undefined} />} />
          <Line
            type="linear"
            dataKey="score"
            stroke={ink.layout}
            strokeWidth={2.5}
            isAnimationActive={false}
            dot={(d: { cx?: number; cy?: number; payload: Point }) => (
              <circle
                key={d.payload.id}
                cx={d.cx}
                cy={d.cy}
                r={d.payload.score === undefined ? 0 : 6}
                fill={ink.layout}
                stroke={ink.paper}
                strokeWidth={2}
                onClick={() => onPick(d.payload.id)}
              />
            )}
          />
          {top?.score !== undefined && (
            <ReferenceDot
              x={top.n}
              y={top.score}
              r={10}
              fill="none"
              stroke={ink.accept}
              strokeWidth={2.5}
              label={{ value: "best", position: "top", fill: ink.accept, fontSize: 13, fontWeight: 700 }}
            />
          )}
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}

function Said({ point }: { point: Point | undefined }) {
  if (!point) return null;
  return (
    <div className="card side small">
      <b>
        {point.number}: {point.score ?? "not scored"}
      </b>
      <br />
      {point.step}
    </div>
  );
}

function saidOf(points: Point[]): string {
  return `Scores in order: ${points.map((p) => `${p.number} ${p.score ?? "not scored"}`).join(", ")}`;
}
