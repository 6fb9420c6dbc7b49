import type { GaugeStudy } from "../lib/api-study";
import { StudyPlot, type StudyPoint } from "./StudyPlot";
import { numberOf } from "./words";

const saidOf = (g: GaugeStudy, a: number, p: number, r: number, y: number) =>
  `${g.people[a]}, part ${g.parts[p]}, repeat ${r + 1}: ${numberOf(y)} ${g.units}`;

/** Every reading by part, a shape for each person: a part whose readings lie far apart, a person who lies off, is seen. */
function ByPart({ study: g }: { study: GaugeStudy }) {
  const people = g.people.length;
  const of = (a: number): StudyPoint[] =>
    (g.readings[a] ?? []).flatMap((repeat, r) =>
      repeat.map((y, p) => ({
        x: p + (a - (people - 1) / 2) * Math.min(0.18, 0.6 / people),
        y,
        said: saidOf(g, a, p, r, y),
      })),
    );
  return (
    <StudyPlot
      label={`Readings of ${g.parts.length} parts by ${g.people.join(", ")}`}
      names={g.parts}
      series={g.people.map((_, a) => of(a))}
    />
  );
}

/** Each reading less the mean of its part, by person. */
function ByPerson({ study: g }: { study: GaugeStudy }) {
  const means = g.parts.map((_, p) => {
    const all = g.readings.flatMap((person) => person.map((repeat) => repeat[p] ?? 0));
    return all.reduce((sum, v) => sum + v, 0) / Math.max(1, all.length);
  });
  const points = g.readings.flatMap((person, a) =>
    person.flatMap((repeat, r) =>
      repeat.map((v, p) => ({
        x: a + ((p + 0.5) / g.parts.length - 0.5) * 0.6,
        y: v - (means[p] ?? 0),
        said: saidOf(g, a, p, r, v),
      })),
    ),
  );
  return (
    <StudyPlot
      label={`Readings less the mean of their part, by ${g.people.join(", ")}`}
      names={g.people}
      series={[points]}
      zero
    />
  );
}

export default function ReadingsPlot({ study, by }: { study: GaugeStudy; by: "part" | "person" }) {
  return by === "part" ? <ByPart study={study} /> : <ByPerson study={study} />;
}
