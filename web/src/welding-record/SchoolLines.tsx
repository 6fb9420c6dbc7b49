import type { WeldingRecord } from "../lib/api";

/** The school of each topic that holds in the job, with its reason; the others stand beside it. */
export function SchoolLines({ schools, topics }: { schools: WeldingRecord["schools"]; topics: string[] }) {
  return schools
    .filter((s) => topics.includes(s.topic))
    .map((s) => {
      const picked = s.ways.find((w) => w.id === s.picked);
      const others = s.ways.filter((w) => w !== picked);
      return (
        <p key={s.topic} className="small">
          <b>{s.title}:</b> {picked ? `${picked.title}, ${picked.reason}.` : "not picked."}{" "}
          <span className="quiet">
            {picked ? "Others: " : ""}
            {others.map((w) => `${w.title} (${w.reason})`).join("; ")}
          </span>
        </p>
      );
    });
}
