import { ink } from "../theme";
import { beforeHeight, rulerHeight, type Quiet } from "./strip-layout";

/** What was seen before the last inspection, kept quiet: a start opens, a stop closes, what was found along it is outlined. */
export function BeforeLane({
  quiet,
  x,
  left,
  end,
}: {
  quiet: Quiet[];
  x: (mm: number) => number;
  left: number;
  end: number;
}) {
  const y = rulerHeight + beforeHeight / 2 - 2;
  return (
    <g>
      <path d={`M${left} ${y}H${end}`} stroke={ink.line} strokeWidth="1.5" />
      {quiet.map((m, i) => {
        const middle = (x(m.from) + x(m.to)) / 2;
        const half = Math.max(8, (x(m.to) - x(m.from)) / 2 + 4);
        return (
          <g key={i}>
            <title>{m.label}</title>
            {m.kind === "start" && (
              <path
                d={`M${x(m.from)} ${y - 7}v14m0 -7h8m-4 -4l4 4-4 4`}
                stroke={ink.quiet}
                strokeWidth="2"
                fill="none"
              />
            )}
            {m.kind === "stop" && (
              <path
                d={`M${x(m.from)} ${y - 7}v14M${x(m.from) - 8} ${y}h8`}
                stroke={ink.quiet}
                strokeWidth="2"
                fill="none"
              />
            )}
            {m.kind === "stacked" && (
              <rect
                x={middle - half}
                y={y - 10}
                width={half * 2}
                height={20}
                rx="6"
                fill="none"
                stroke={ink.open}
                strokeWidth="2.5"
                strokeDasharray="4 3"
              />
            )}
            {m.kind === "remark" && (
              <>
                <rect
                  x={middle - half}
                  y={y - 9}
                  width={half * 2}
                  height={18}
                  rx="4"
                  fill={ink.openSoft}
                  stroke={ink.open}
                  strokeWidth="1.5"
                />
                <text x={middle} y={y + 5} textAnchor="middle" fontSize="14" fontWeight="800" fill={ink.open}>
                  !
                </text>
              </>
            )}
          </g>
        );
      })}
    </g>
  );
}
