import { CartesianGrid, ReferenceLine, ResponsiveContainer, Scatter, ScatterChart, XAxis, YAxis } from "recharts";
import type { GaugeStudy } from "../lib/api-study";
import { ink } from "../theme";
import { numberOf } from "./words";

/** Each reading less the mean of its part, by person. */
export default function PersonPlot({ study: g }: { study: GaugeStudy }) {
  const means = g.parts.map((_, p) => {
    const all = g.readings.flatMap((person) => person.map((repeat) => repeat[p] ?? 0));
    return all.reduce((sum, v) => sum + v, 0) / Math.max(1, all.length);
  });
  const points = g.readings.flatMap((person, a) =>
    person.flatMap((repeat) =>
      repeat.map((v, p) => ({ x: a + ((p + 0.5) / g.parts.length - 0.5) * 0.6, y: v - (means[p] ?? 0) })),
    ),
  );
  return (
    <div className="curve" role="img" aria-label={`Readings less the mean of their part, by ${g.people.join(", ")}`}>
      <ResponsiveContainer width="100%" height="100%">
        <ScatterChart margin={{ top: 8, right: 12, bottom: 4, left: 0 }}>
          <CartesianGrid stroke={ink.line} />
          <XAxis
            type="number"
            dataKey="x"
            domain={[-0.5, g.people.length - 0.5]}
            ticks={g.people.map((_, a) => a)}
            tickFormatter={(a: number) => g.people[a] ?? ""}
            stroke={ink.quiet}
            fontSize={13}
          />
          <YAxis
            type="number"
            dataKey="y"
            domain={["auto", "auto"]}
            tickFormatter={(v: number) => numberOf(v)}
            width={62}
            stroke={ink.quiet}
            fontSize={13}
          />
          <ReferenceLine y={0} stroke={ink.quiet} />
          <Scatter data={points} shape="circle" fill={ink.layout} isAnimationActive={false} />
        </ScatterChart>
      </ResponsiveContainer>
    </div>
  );
}
