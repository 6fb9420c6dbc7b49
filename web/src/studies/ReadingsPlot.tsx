import { CartesianGrid, ResponsiveContainer, Scatter, ScatterChart, Tooltip, XAxis, YAxis } from "recharts";
import type { GaugeStudy } from "../lib/api-study";
import { ink } from "../theme";
import { numberOf } from "./words";

type Point = { x: number; y: number; said: string };

const shapes = ["circle", "square", "triangle", "diamond", "cross", "star"] as const;

/** Every reading by part, a shape for each person: a part whose readings lie far apart, a person who lies off, is seen. */
export default function ReadingsPlot({ study }: { study: GaugeStudy }) {
  const people = study.people.length;
  const of = (a: number): Point[] =>
    (study.readings[a] ?? []).flatMap((repeat, r) =>
      repeat.map((y, p) => ({
        x: p + (a - (people - 1) / 2) * Math.min(0.18, 0.6 / people),
        y,
        said: `${study.people[a]}, part ${study.parts[p]}, repeat ${r + 1}: ${numberOf(y)} ${study.units}`,
      })),
    );
  return (
    <div
      className="curve"
      role="img"
      aria-label={`Readings of ${study.parts.length} parts by ${study.people.join(", ")}`}
    >
      <ResponsiveContainer width="100%" height="100%">
        <ScatterChart margin={{ top: 8, right: 12, bottom: 4, left: 0 }}>
          <CartesianGrid stroke={ink.line} />
          <XAxis
            type="number"
            dataKey="x"
            domain={[-0.5, study.parts.length - 0.5]}
            ticks={study.parts.map((_, p) => p)}
            tickFormatter={(p: number) => study.parts[p] ?? ""}
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
          <Tooltip
            cursor={false}
            content={({ payload }) => {
              const point = payload[0]?.payload as Point | undefined;
              return point ? <div className="card side small">{point.said}</div> : null;
            }}
          />
          {study.people.map((name, a) => (
            <Scatter
              key={name}
              name={name}
              data={of(a)}
              shape={shapes[a % shapes.length]}
              fill={a % 2 === 0 ? ink.layout : ink.paper}
              stroke={ink.layout}
              strokeWidth={1.5}
              isAnimationActive={false}
            />
          ))}
        </ScatterChart>
      </ResponsiveContainer>
    </div>
  );
}
