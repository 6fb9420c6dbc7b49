import { Button } from "antd";
import type { Exercise, Solution } from "../lib/api-practice";
import { StripView } from "../lib/StripView";
import { SmallTable } from "../lib/SmallTable";

type Props = { exercise: Exercise; solution: Solution; place: number; onPlace: (mm: number) => void };

/** The truth beside the record: each flaw found or missed, sizes, what was called where there is nothing, where the eye never went. */
export function Explained({ exercise: e, solution: s, place, onPlace }: Props) {
  const found = s.outcomes.filter((o) => o.found).length;
  return (
    <>
      <p>
        <b className={s.right ? "v-accept" : "v-reject"}>
          {s.right ? "✓ The verdict is right" : "✕ The verdict is wrong"}: truly {s.verdict}, recorded {e.verdict}.
        </b>{" "}
        Found {found} of {s.outcomes.length}
        {s.called.length > 0 && `, called ${s.called.length} that ${s.called.length === 1 ? "is" : "are"} not there`}.
      </p>
      {s.why.map((w) => (
        <p key={w} className="small">
          {w}
        </p>
      ))}
      {s.outcomes.length === 0 ? (
        <p>This weld is sound: some are, so that nobody learns to find a flaw in each.</p>
      ) : (
        <SmallTable
          label="True flaws"
          rows={s.outcomes}
          rowKey={(o) => `${o.flaw} ${o.place}`}
          columns={[
            [
              "",
              (o) =>
                o.found ? <b className="v-accept nowrap">✓ found</b> : <b className="v-reject nowrap">✕ missed</b>,
            ],
            [
              "Flaw",
              (o) => (
                <Button type="link" className="named" onClick={() => onPlace(o.mm)}>
                  {o.flaw} at {o.place}
                </Button>
              ),
            ],
            ["Truly", (o) => o.size],
            ["Recorded", (o) => (o.found ? `${o.sized ?? "no size"}${o.off ? `, ${o.off}` : ""}` : "")],
          ]}
        />
      )}
      {s.called.length > 0 && <p>Called where there is nothing: {s.called.join(", ")}.</p>}
      {s.unseen.length > 0 && <p>Never in view near enough: {s.unseen.join(", ")}.</p>}
      <p>
        <b>Next:</b> {s.next}
      </p>
      <h3>What truly is there</h3>
      <StripView strip={s.strip} units={e.units} cursor={place} onCursor={onPlace} />
      <p className="small quiet">What was recorded is on the strip above, and under Entries.</p>
    </>
  );
}
