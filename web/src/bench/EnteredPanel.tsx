import { App, Button } from "antd";
import { useState } from "react";
import { saidBy, type Bench, type Entry } from "../lib/api";
import type { Step } from "../lib/outbox";
import { inWords, specOf } from "./kinds";
import { useWaiting, type Doing } from "./useBench";

type Props = { bench: Bench; doing: Doing; mayChange: boolean; onEdit: (e: Entry) => void };

/** What was recorded, the newest first, what waits for the network before it; taking off is a mark that can be undone. */
export function EnteredPanel({ bench, doing, mayChange, onEdit }: Props) {
  const { waiting } = useWaiting(bench.id);
  const [fault, setFault] = useState<unknown>();
  const { notification } = App.useApp();
  const act = (step: Step, words: string) => doing.act(step, words).then(() => setFault(undefined), setFault);
  const takeOff = async (e: Entry) => {
    const words = inWords(e, bench);
    await act({ do: "takeOff", entry: e.id, version: e.version }, `take off: ${words}`);
    notification.open({
      key: e.id,
      title: "Taken off",
      description: words,
      placement: "bottomLeft",
      duration: 8,
      actions: (
        <Button
          onClick={() => {
            notification.destroy(e.id);
            void act({ do: "restore", entry: e.id }, words);
          }}
        >
          Undo
        </Button>
      ),
    });
  };
  const entries = [...bench.entries].reverse();
  return (
    <>
      {fault !== undefined && (
        <p role="alert" className="fault">
          {saidBy(fault)}
        </p>
      )}
      {entries.length === 0 && waiting.length === 0 && <p className="quiet">Nothing is recorded yet.</p>}
      {[...waiting].reverse().map((w) => (
        <div key={w.key} className="item quiet">
          <span>
            ◌ {w.words}
            <span className="quiet small">{w.refused === undefined ? "waits for the network" : "not taken"}</span>
          </span>
        </div>
      ))}
      {entries.map((e) => (
        <div key={e.id} className={`item${e.withdrawn ? " off" : ""}`}>
          <span>
            {inWords(e, bench)}
            <span className="quiet small">
              {e.by}
              {e.withdrawnWhy && ` · ${e.withdrawnWhy}`}
            </span>
          </span>
          {mayChange && (
            <span className="nowrap">
              {!e.withdrawn && specOf(e) && (
                <Button type="link" onClick={() => onEdit(e)}>
                  change
                </Button>
              )}
              {e.withdrawn ? (
                <Button type="link" onClick={() => void act({ do: "restore", entry: e.id }, inWords(e, bench))}>
                  undo
                </Button>
              ) : (
                <Button type="link" onClick={() => void takeOff(e)}>
                  take off
                </Button>
              )}
            </span>
          )}
        </div>
      ))}
    </>
  );
}
