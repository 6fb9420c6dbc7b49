import "./causes.css";
import { holds } from "../lib/roles";
import { Button, Flex } from "antd";
import { useState, type ReactNode } from "react";
import { useActor } from "../lib/session";
import { api, saidBy, type Bench, type Causes } from "../lib/api";
import { inWords } from "../bench/kinds";
import { useChange } from "../bench/useBench";
import { tied } from "../lib/tied";

export type DefectCauses = Causes["defects"][number];
type Cause = DefectCauses["causes"][number];

/** Defects with one and the same ranking are shown once. */
export function groupByRanking(defects: DefectCauses[]) {
  const groups = new Map<string, DefectCauses[]>();
  for (const d of defects) {
    const key = JSON.stringify([d.causes.map((c) => [c.id, c.standing]), d.kind]);
    groups.set(key, [...(groups.get(key) ?? []), d]);
  }
  return [...groups].map(([key, list]) => ({ key, defects: list }));
}

/** A defect with its causes: the leading one with what speaks for and against it, the check, and the one thing to change. */
export function Defect({
  defects,
  bench,
  act,
}: {
  defects: DefectCauses[];
  bench: Bench;
  act?: (cause: Cause, defect: DefectCauses) => ReactNode;
}) {
  const [all, setAll] = useState(false);
  const d = defects[0];
  if (!d) return null;
  const names = defects
    .map((x) => [...bench.entries, ...(bench.again?.before ?? [])].find((e) => e.id === x.entry))
    .filter((e) => e !== undefined);
  const shown = all ? d.causes : d.causes.slice(0, 3);
  return (
    <Flex vertical gap={6} className="spaced">
      <div className="small">
        <b>{names.length > 0 ? names.map((e) => inWords(e, bench)).join(" · ") : d.trouble}</b>
      </div>
      {shown.map((c, i) => (
        <div className="framed column traced" key={c.id} data-cause={c.id}>
          <Flex justify="space-between" gap={8} className="strong">
            <span>
              {i + 1}. {c.name}
            </span>
            <span className={i === 0 ? "v-reject" : "quiet"}>{c.standing}</span>
          </Flex>
          <ul>
            {c.speaksFor.map((l) => (
              <li key={l} data-sign="+">
                {l}
              </li>
            ))}
            {c.speaksAgainst.map((l) => (
              <li key={l} data-sign="−">
                {l}
              </li>
            ))}
          </ul>
          <div>
            <b>Check:</b> {tied(c.check)}
          </div>
          {i === 0 && (
            <>
              <div>
                <b>Change one thing:</b> {tied(c.change)}
              </div>
              <div className="small quiet">Not again: {c.prevent}</div>
              {act?.(c, d)}
            </>
          )}
        </div>
      ))}
      {d.causes.length > 3 && (
        <Button className="start" type="link" onClick={() => setAll(!all)}>
          {all ? "Only the first three" : `${d.causes.length - 3} less likely causes`}
        </Button>
      )}
      {d.ruledOut.map((r) => (
        <div key={r.title} className="small quiet">
          Ruled out: {r.title.toLowerCase()}, {r.why}
        </div>
      ))}
      {d.next && <NextCheck next={d.next} bench={bench} />}
      {d.doubt.map((l) => (
        <p key={l} className="cautions">
          {l}
        </p>
      ))}
    </Flex>
  );
}

/** Says of a sign that it was seen, inspected for and not seen, or takes the answer back. */
export function useSigns(bench: Bench) {
  const change = useChange(bench.id);
  const { whole, version } = bench.welding;
  const answer = (sign: string, seen: boolean | undefined) => {
    const without = (list: string[] | undefined) => (list ?? []).filter((s) => s !== sign);
    const form = {
      ...whole,
      signs: seen === true ? [...without(whole.signs), sign] : without(whole.signs),
      signsAbsent: seen === false ? [...without(whole.signsAbsent), sign] : without(whole.signsAbsent),
    };
    void change.mutateAsync(() => api.welding(bench.id, version, form)).catch(() => undefined);
  };
  return { answer, pending: change.isPending, fault: change.isError ? saidBy(change.error) : undefined };
}

/** The look that would settle most; the answer goes into the welding record and moves the ranking at once. */
function NextCheck({ next, bench }: { next: NonNullable<DefectCauses["next"]>; bench: Bench }) {
  const actor = useActor();
  const signs = useSigns(bench);
  return (
    <Flex wrap gap={8} align="center" justify="space-between" className="marked nextcheck">
      <span>
        <b>Next check:</b> {next.ask}; {next.settles}
      </span>
      {!holds(actor, "VIEWER") && (
        <span className="row">
          <Button className="none" disabled={signs.pending} onClick={() => signs.answer(next.sign, true)}>
            seen
          </Button>
          <Button className="none" disabled={signs.pending} onClick={() => signs.answer(next.sign, false)}>
            not seen
          </Button>
        </span>
      )}
      {signs.fault && (
        <div role="alert" className="fault">
          {signs.fault}
        </div>
      )}
    </Flex>
  );
}
