import { Button, Flex, Typography } from "antd";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { api, saidBy } from "../lib/api";
import { newId } from "../lib/id";
import { holds } from "../lib/roles";
import { useActor } from "../lib/session";
import { TopBar } from "../lib/TopBar";
import { SchoolLines } from "./SchoolLines";
import { useWeldingChange, useWeldingRecord } from "./useWeldingRecord";

/** While a rod burns: what is seen, whether to stop, and how to go on. One screen, large, nothing to type. */
export default function StopOrGo() {
  const { id = "" } = useParams();
  const actor = useActor();
  const welding = useWeldingRecord(id);
  const { act, fault, pending } = useWeldingChange(id);
  const [seen, setSeen] = useState<string>();
  const m = welding.data;
  const sight = m?.sights.find((s) => s.id === seen);
  const kept = m?.entries.filter((e) => e.kind === "SIGHT" && !e.withdrawn && e.content.question === seen).length ?? 0;
  return (
    <div className="app">
      <TopBar>
        <span className="mark">{m?.mark ?? "Stop or go on"}</span>
        <span className="what">{m && `stop or go on · ${m.inWords}`}</span>
        <Link className="small way" to={`/joints/${id}/welding-record`}>
          fit-up and passes
        </Link>
      </TopBar>
      <main className="halves even">
        <section className="card panel" aria-label="What do you see?">
          <header>
            <h2>What do you see?</h2>
          </header>
          <Flex vertical gap={8} className="body">
            {m?.sights.map((s) => (
              <Button
                key={s.id}
                size="large"
                block
                type={s.id === seen ? "primary" : "default"}
                aria-pressed={s.id === seen}
                onClick={() => setSeen(s.id)}
              >
                {s.title}
              </Button>
            ))}
          </Flex>
        </section>
        <section className="card panel" aria-label="What to do" aria-live="polite">
          <header>
            <h2>What to do</h2>
          </header>
          <div className="body">
            {!sight && <p className="quiet">Touch what you see.</p>}
            {sight && (
              <>
                <Typography.Title level={1} type={sight.stop ? "danger" : "success"}>
                  {sight.stop ? "✕ Stop" : "✓ Go on"}
                </Typography.Title>
                <Typography.Title level={3}>{sight.restart}</Typography.Title>
                {sight.stop && (
                  <p>Chip, grind the spot, restart on clean metal. Staggered starts: 1 in apart or more.</p>
                )}
                {!holds(actor, "VIEWER") && (
                  <Button
                    size="large"
                    loading={pending}
                    onClick={() => void act(() => api.made(id, newId(), "SIGHT", { question: sight.id }))}
                  >
                    Keep that it was seen
                  </Button>
                )}
                {kept > 0 && (
                  <p className="quiet">Kept {kept === 1 ? "once" : `${kept} times`}, as evidence of causes.</p>
                )}
              </>
            )}
            {fault !== undefined && (
              <p role="alert" className="fault">
                {saidBy(fault)}
              </p>
            )}
            {m?.openRoot.map((line) => (
              <p key={line} className="small">
                {line}
              </p>
            ))}
            {m && <SchoolLines schools={m.schools} topics={["restart-lead", "slag-lines", "open-root"]} />}
            <p className="cautions">
              Common practice, no source; the procedure decides. One change at a time, 5 A steps. Slag is hot: eye
              protection under the hood.
            </p>
          </div>
        </section>
      </main>
    </div>
  );
}
