import {
  Area,
  Bar,
  CartesianGrid,
  Cell,
  ComposedChart,
  ErrorBar,
  Line,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  Tooltip,
  XAxis,
  YAxis,
} from "recharts";
import type { ReactElement } from "react";
import type { Plot, PlotPoint } from "../lib/api-plots";
import { ink } from "../theme";

type Props = { plot: Plot; chosen?: string; onPick: (p: PlotPoint) => void };
type Drawing = (props: Props) => ReactElement;

const axis = { stroke: ink.quiet, fontSize: 13 };
const still = { isAnimationActive: false } as const;
/** More rows than this are read in the table. */
const rows = 14;

/** A plot; each of its points is touched for the welds behind it. */
export default function Drawn(props: Props) {
  const { plot } = props;
  const shapes: Record<Plot["shape"], Drawing> = {
    CONTROL: Control,
    PARETO: Pareto,
    INTERVALS: Intervals,
    STEPS: Steps,
    PAIRS: Pairs,
  };
  const Shape = shapes[plot.shape];
  return (
    <div className="curve" role="img" aria-label={`${plot.question} ${plot.answer}`}>
      <ResponsiveContainer width="100%" height="100%">
        {Shape(props)}
      </ResponsiveContainer>
    </div>
  );
}

const isOff = (p: PlotPoint) => p.mark === "OUT" || p.mark === "RUN" || p.mark === "HIGH";

/** A touch wherever the chart is nearest to a point. */
const near = (plot: Plot, onPick: (p: PlotPoint) => void) => (state: { activeTooltipIndex?: unknown }) => {
  const index = state.activeTooltipIndex;
  const p = index === undefined || index === null ? undefined : plot.points[Number(index)];
  if (p) onPick(p);
};

function Said({ points }: { points: PlotPoint[] }) {
  return (
    <Tooltip
      cursor={{ stroke: ink.quiet }}
      content={({ payload }) => {
        const p = payload[0]?.payload as PlotPoint | undefined;
        return p?.cells && points.includes(p) ? <div className="card side small">{p.cells.join(" · ")}</div> : null;
      }}
    />
  );
}

/** "welds 11 to 20" is 11–20 under an axis of welds. */
const short = (name: unknown) => String(name).replace("welds ", "").replace(" to ", "–");

/** The foot's words, at most a dozen of them. */
const every = (n: number) => Math.max(0, Math.ceil(n / 8) - 1);

const Control: Drawing = ({ plot, chosen, onPick }) => (
  <ComposedChart data={plot.points} margin={{ top: 8, right: 14, bottom: 0, left: -14 }} onClick={near(plot, onPick)}>
    <CartesianGrid stroke={ink.line} vertical={false} />
    <XAxis dataKey="name" interval={every(plot.points.length)} tickFormatter={short} {...axis} />
    <YAxis {...axis} />
    {Said({ points: plot.points })}
    <Line dataKey="high" type="step" dot={false} stroke={ink.reject} strokeDasharray="5 4" {...still} />
    <Line dataKey="low" type="step" dot={false} stroke={ink.reject} strokeDasharray="5 4" {...still} />
    {plot.middle !== undefined && <ReferenceLine y={plot.middle} stroke={ink.quiet} strokeWidth={2} />}
    <Line
      dataKey="value"
      type="linear"
      stroke={ink.layout}
      strokeWidth={2.5}
      {...still}
      dot={({ cx, cy, index }: { cx?: number; cy?: number; index?: number }) => {
        const p = plot.points[index ?? 0];
        const off = p !== undefined && isOff(p);
        return (
          <circle
            key={index}
            cx={cx}
            cy={cy}
            r={p?.key === chosen ? 9 : 6}
            fill={off ? ink.reject : ink.paper}
            stroke={off ? ink.reject : ink.layout}
            strokeWidth={2.5}
          />
        );
      }}
    />
  </ComposedChart>
);

const Pareto: Drawing = ({ plot, chosen, onPick }) => {
  const first = plot.points[0];
  const total = first?.cumulative ? first.value / first.cumulative : 1;
  const points = plot.points.slice(0, 8).map((p) => ({ ...p, sum: (p.cumulative ?? 0) * total }));
  return (
    <ComposedChart
      layout="vertical"
      data={points}
      margin={{ top: 0, right: 14, bottom: 0, left: 0 }}
      onClick={near(plot, onPick)}
    >
      <CartesianGrid stroke={ink.line} horizontal={false} />
      <XAxis type="number" {...axis} domain={[0, Math.ceil(total)]} allowDecimals={false} />
      <YAxis type="category" dataKey="name" width={190} interval={0} {...axis} />
      {Said({ points })}
      <Bar dataKey="value" barSize={16} {...still}>
        {points.map((p) => (
          <Cell key={p.key} fill={p.key === chosen ? ink.layout : ink.steel} />
        ))}
      </Bar>
      <Line dataKey="sum" type="linear" stroke={ink.layout} strokeWidth={2} {...still} />
    </ComposedChart>
  );
};

/** Months along the foot; else one row below the other. */
const Intervals: Drawing = ({ plot, chosen, onPick }) => {
  const points = plot.points
    .slice(0, rows)
    .map((p) => ({ ...p, reach: [p.value - (p.low ?? p.value), (p.high ?? p.value) - p.value] }));
  const months = points.every((p) => /^(\d{4}-\d\d|ten-)/.test(p.key));
  const along = months ? { x: "name", y: "value" } : { x: "value", y: "name" };
  return (
    <ScatterChart margin={{ top: 8, right: 24, bottom: 0, left: months ? -14 : 0 }}>
      <CartesianGrid stroke={ink.line} horizontal={months} vertical={!months} />
      <XAxis
        type={months ? "category" : "number"}
        dataKey={along.x}
        allowDuplicatedCategory={false}
        tickFormatter={short}
        domain={months ? undefined : [0, "auto"]}
        {...axis}
      />
      <YAxis
        type={months ? "number" : "category"}
        dataKey={along.y}
        allowDuplicatedCategory={false}
        reversed={!months}
        width={months ? 60 : 170}
        domain={months ? [0, 100] : undefined}
        interval={0}
        {...axis}
      />
      {Said({ points })}
      {plot.middle !== undefined && (
        <ReferenceLine
          {...(months ? { y: plot.middle } : { x: plot.middle })}
          stroke={ink.quiet}
          strokeDasharray="5 4"
        />
      )}
      <Scatter
        data={points}
        {...still}
        onClick={(s: unknown) => onPick((s as { payload: PlotPoint }).payload)}
        shape={({ cx, cy, payload }: { cx?: number; cy?: number; payload?: PlotPoint }) => {
          const fill = payload?.mark === "FEW" ? ink.paper : payload && isOff(payload) ? ink.reject : ink.layout;
          return (
            <circle
              cx={cx}
              cy={cy}
              r={payload?.key === chosen ? 9 : 7}
              fill={fill}
              stroke={fill === ink.paper ? ink.layout : fill}
              strokeWidth={2}
            />
          );
        }}
      >
        <ErrorBar dataKey="reach" direction={months ? "y" : "x"} width={5} strokeWidth={2} stroke={ink.layout} />
      </Scatter>
    </ScatterChart>
  );
};

const Steps: Drawing = ({ plot, onPick }) => {
  const begin = { expected: 0, value: 100, low: 100, high: 100 };
  const data = [begin, ...plot.points].map((p) => ({ ...p, band: [p.low ?? p.value, p.high ?? p.value] }));
  return (
    <ComposedChart
      data={data}
      margin={{ top: 8, right: 14, bottom: 16, left: -14 }}
      onClick={near({ ...plot, points: [begin, ...plot.points] as PlotPoint[] }, (p) => {
        if (plot.points.includes(p)) onPick(p);
      })}
    >
      <CartesianGrid stroke={ink.line} />
      <XAxis
        type="number"
        dataKey="expected"
        domain={[0, "dataMax"]}
        allowDecimals={false}
        {...axis}
        label={{ value: "days", position: "insideBottomRight", offset: -10, fill: ink.quiet, fontSize: 13 }}
      />
      <YAxis domain={[0, 100]} tickFormatter={(v: number) => `${v} %`} {...axis} />
      {Said({ points: data as PlotPoint[] })}
      <Area dataKey="band" type="stepAfter" fill={ink.steelLight} stroke="none" fillOpacity={0.7} {...still} />
      <Line dataKey="value" type="stepAfter" dot={false} stroke={ink.layout} strokeWidth={2.5} {...still} />
      {plot.middle !== undefined && <ReferenceLine x={plot.middle} stroke={ink.quiet} strokeDasharray="5 4" />}
    </ComposedChart>
  );
};

const Pairs: Drawing = ({ plot, chosen, onPick }) => {
  const most = Math.max(...plot.points.map((p) => p.expected ?? 0));
  const through = (ratio: number) => [
    { x: 0, y: 0 },
    { x: most, y: most * ratio },
  ];
  return (
    <ScatterChart margin={{ top: 8, right: 24, bottom: 16, left: 0 }}>
      <CartesianGrid stroke={ink.line} />
      <XAxis
        type="number"
        dataKey="expected"
        domain={[0, "auto"]}
        {...axis}
        label={{ value: `estimated, ${plot.unit}`, position: "insideBottomRight", offset: -10, fill: ink.quiet }}
      />
      <YAxis
        type="number"
        dataKey="value"
        domain={[0, "auto"]}
        {...axis}
        label={{ value: `true, ${plot.unit}`, angle: -90, position: "insideLeft", fill: ink.quiet }}
      />
      {Said({ points: plot.points })}
      <ReferenceLine
        segment={through(1) as [{ x: number; y: number }, { x: number; y: number }]}
        stroke={ink.quiet}
        strokeDasharray="5 4"
      />
      {plot.middle !== undefined && (
        <ReferenceLine
          segment={through(plot.middle) as [{ x: number; y: number }, { x: number; y: number }]}
          stroke={ink.layout}
          strokeWidth={2}
        />
      )}
      <Scatter
        data={plot.points}
        {...still}
        fill={ink.layout}
        onClick={(s: unknown) => onPick((s as { payload: PlotPoint }).payload)}
      >
        {plot.points.map((p) => (
          <Cell key={p.key} fill={p.key === chosen ? ink.chalkDeep : ink.layout} />
        ))}
      </Scatter>
    </ScatterChart>
  );
};
