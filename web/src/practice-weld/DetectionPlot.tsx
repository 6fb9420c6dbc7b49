import {
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  XAxis,
  YAxis,
} from "recharts";
import type { EyeKind } from "../lib/api-practice";
import { ink } from "../theme";

/** Hits above, misses below, by size; the share that is found as a curve between. */
export default function DetectionPlot({ kind: k }: { kind: EyeKind }) {
  const most = Math.max(0.5, ...k.all.map((t) => t.size), ...k.curve.map((c) => c.size));
  const points = (found: boolean) =>
    k.all.filter((t) => t.found === found).map((t) => ({ size: t.size, share: found ? 1 : 0 }));
  return (
    <div className="curve" role="img" aria-label={`${k.title}: ${k.said}`}>
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart margin={{ top: 10, right: 14, bottom: 16, left: -12 }}>
          <CartesianGrid stroke={ink.line} />
          <XAxis
            type="number"
            dataKey="size"
            domain={[0, Math.ceil(most * 2) / 2]}
            tickCount={6}
            stroke={ink.quiet}
            fontSize={13}
            label={{ value: "mm", position: "insideBottomRight", offset: -10, fill: ink.quiet, fontSize: 13 }}
          />
          <YAxis
            type="number"
            dataKey="share"
            domain={[-0.06, 1.06]}
            ticks={[0, 0.5, 0.9, 1]}
            tickFormatter={(v: number) => `${Math.round(v * 100)} %`}
            stroke={ink.quiet}
            fontSize={13}
          />
          <Line
            data={k.curve}
            dataKey="share"
            type="monotone"
            dot={false}
            stroke={ink.layout}
            strokeWidth={2.5}
            isAnimationActive={false}
          />
          {k.a90 !== undefined && k.a90 > 0 && <ReferenceLine x={k.a90} stroke={ink.layout} strokeDasharray="5 4" />}
          {k.surely !== undefined && k.surely < most * 1.3 && (
            <ReferenceLine x={k.surely} stroke={ink.reject} strokeDasharray="2 3" />
          )}
          <Scatter data={points(true)} dataKey="share" shape="circle" fill={ink.accept} isAnimationActive={false} />
          <Scatter data={points(false)} dataKey="share" shape="cross" fill={ink.reject} isAnimationActive={false} />
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}
