import {
  CartesianGrid,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  Tooltip,
  XAxis,
  YAxis,
} from "recharts";
import { ink } from "../theme";
import { numberOf } from "./words";

/** @param said what the point is, in words */
export type StudyPoint = { x: number; y: number; said: string };

const shapes = ["circle", "square", "triangle", "diamond", "cross", "star"] as const;

type Props = {
  label: string;
  /** What stands at 0, 1, 2 … along the foot. */
  names: string[];
  /** A shape for each. */
  series: StudyPoint[][];
  /** A line at zero. */
  zero?: boolean;
};

/** Readings of a gauge study as points. */
export function StudyPlot({ label, names, series, zero }: Props) {
  return (
    <div className="curve" role="img" aria-label={label}>
      <ResponsiveContainer width="100%" height="100%">
        <ScatterChart margin={{ top: 8, right: 12, bottom: 4, left: 0 }}>
          <CartesianGrid stroke={ink.line} />
          <XAxis
            type="number"
            dataKey="x"
            domain={[-0.5, names.length - 0.5]}
            ticks={names.map((_, n) => n)}
            tickFormatter={(n: number) => names[n] ?? ""}
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
              const point = payload[0]?.payload as StudyPoint | undefined;
              return point ? <div className="card side small">{point.said}</div> : null;
            }}
          />
          {zero && <ReferenceLine y={0} stroke={ink.quiet} />}
          {series.map((points, n) => (
            <Scatter
              key={n}
              data={points}
              shape={shapes[n % shapes.length]}
              fill={n % 2 === 0 ? ink.layout : ink.paper}
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
