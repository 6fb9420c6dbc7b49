import { useState } from "react";
import { api, saidBy, type Bench, type Entry } from "../lib/api";
import { inWords, specOf } from "./kinds";
import { useChange } from "./useBench";

/** What was put down, the newest first; taking off is a mark that can be undone. */
export function EnteredPanel({ bench, mayChange, onEdit }: { bench: Bench; mayChange: boolean; onEdit: (e: Entry) => void }) {
  const change = useChange(bench.id);
  const [fault, setFault] = useState<unknown>();
  const act = async (f: () => Promise<Bench>) => {
    setFault(undefined);
    try {
      await change.mutateAsync(f);
    } catch (e) {
      setFault(e);
    }
  };
  const entries = [...bench.entries].reverse();
  return (
    <>
      {fault !== undefined && <p role="alert" className="fault">{saidBy(fault)}</p>}
      {entries.length === 0 && <p className="quiet">Nothing is put down yet.</p>}
      {entries.map((e) => (
        <div key={e.id} className={`entered${e.withdrawn ? " off" : ""}`}>
          <span>
            {inWords(e, bench)}
            <span className="quiet small" style={{ marginLeft: 8 }}>
              {e.by}
              {e.withdrawnWhy && ` · ${e.withdrawnWhy}`}
            </span>
          </span>
          {mayChange && (
            <span style={{ whiteSpace: "nowrap" }}>
              {!e.withdrawn && specOf(e) && <button type="button" className="link" onClick={() => onEdit(e)}>change</button>}
              {e.withdrawn ? (
                <button type="button" className="link" onClick={() => void act(() => api.restore(bench.id, e.id))}>undo</button>
              ) : (
                <button type="button" className="link" onClick={() => void act(() => api.takeOff(bench.id, e))}>take off</button>
              )}
            </span>
          )}
        </div>
      ))}
    </>
  );
}
