import type { Drill } from "../lib/api";
import { SmallTable } from "../lib/SmallTable";

/** What a drill is for, what to watch, and its aims. */
export function DrillWords({ drill: d }: { drill: Drill }) {
  return (
    <>
      <p>{d.purpose}</p>
      <h3>What to watch</h3>
      <ul>
        {d.lookAt.map((l) => (
          <li key={l}>{l}</li>
        ))}
      </ul>
      <h3>Aims</h3>
      <SmallTable
        label="Aims"
        rows={d.aims}
        rowKey={(a) => a.id}
        columns={[
          ["What is measured or counted", (a) => a.title],
          ["Aim", (a) => <b>{a.limit}</b>, 190],
        ]}
      />
    </>
  );
}
