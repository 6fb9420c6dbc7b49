import { Button } from "antd";

type Part = { id: string; title: string; most: number; full: string };

/** The lines of a rubric, each with its points to touch. */
export function RubricPoints({
  parts,
  points,
  problems,
  onPoints,
}: {
  parts: Part[];
  points: Record<string, number>;
  problems: Record<string, string>;
  onPoints: (points: Record<string, number>) => void;
}) {
  return parts.map((r) => (
    <div key={r.id} className="item">
      <span>
        <b>{r.title}</b>
        <div className="small quiet">full: {r.full}</div>
      </span>
      <span className="row pair" role="group" aria-label={r.title}>
        {Array.from({ length: r.most + 1 }, (_, i) => (
          <Button
            type={points[r.id] === i ? "primary" : "default"}
            key={i}
            aria-pressed={points[r.id] === i}
            onClick={() => onPoints({ ...points, [r.id]: i })}
          >
            {i}
          </Button>
        ))}
      </span>
      {problems[`points.${r.id}`] && <div className="fault">{problems[`points.${r.id}`]}</div>}
    </div>
  ));
}
