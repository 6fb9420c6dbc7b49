import { useQueryClient } from "@tanstack/react-query";
import { useEffect, useSyncExternalStore } from "react";
import { Link } from "react-router";
import { pageOfBench } from "./api-bench";
import { showBench, useOutbox } from "../bench/useBench";

const beat = 2_000;

/** Sends what waits, whatever screen is open, and says quietly how much that is. */
export function NetworkMark() {
  const queries = useQueryClient();
  const outbox = useOutbox();
  const { waiting, reachable } = useSyncExternalStore(outbox.subscribe, outbox.now);
  const open = waiting.filter((w) => w.refused === undefined);
  const refused = waiting.filter((w) => w.refused !== undefined);
  useEffect(() => {
    outbox.answersTo((bench) => showBench(queries, bench));
    void outbox.pump();
    const back = () => void outbox.pump();
    window.addEventListener("online", back);
    return () => window.removeEventListener("online", back);
  }, [outbox, queries]);
  useEffect(() => {
    if (reachable || open.length === 0) return;
    const timer = setInterval(() => void outbox.pump(), beat);
    return () => clearInterval(timer);
  }, [outbox, reachable, open.length]);
  return (
    <span className="network" role="status">
      {!reachable && (
        <span title="Mensor cannot be reached. What you record is kept in this browser and goes when it is back.">
          ◌ no network{open.length > 0 && ` · ${open.length} ${open.length === 1 ? "waits" : "wait"}`}
        </span>
      )}
      {refused[0] && (
        <Link to={pageOfBench(refused[0].look)} className="way">
          △ {refused.length} not taken
        </Link>
      )}
    </span>
  );
}
