import { Button, Flex, Space } from "antd";
import { useState } from "react";
import { saidBy, type Bench } from "../lib/api";
import { newId } from "../lib/id";
import { showPlace } from "../lib/place";
import type { Drawn } from "../lib/useStripHand";
import { markOf } from "../lib/view";
import { bladesFor } from "./blades";
import { chipsFor, contentOf, inWords, kinds, type KindSpec, type Typed } from "./kinds";
import { saidOf, useBusy, type Doing } from "./useBench";

type Props = {
  bench: Bench;
  doing: Doing;
  drawn: Drawn;
  onDrawn: (d: Drawn | undefined) => void;
  onSaid: (words: string) => void;
  onForm: (k: KindSpec, start: Typed) => void;
};

/** What can be seen on each lane, the most usual first. */
const onLane: Record<string, string[]> = {
  A: ["undercut", "overlap"],
  B: ["undercut", "overlap"],
  face: ["porosity", "underfill", "incomplete-fusion", "slag", "spatter", "crack"],
  root: ["root-concavity", "incomplete-penetration", "melt-through", "undercut"],
  base: ["spatter", "arc-strike", "base-metal-damage", "crack"],
  size: [],
};

/** After a finger drew a stretch: what it is, how deep by one touch, and its ends put right by the tape's marks. */
export function DrawPanel({ bench, doing, drawn, onDrawn, onSaid, onForm }: Props) {
  const units = bench.joint.units;
  const busy = useBusy(bench.id);
  const here = (onLane[drawn.lane] ?? []).flatMap((id) => kinds.find((k) => k.id === id) ?? []);
  const [id, setId] = useState(here[0]?.id);
  const [fault, setFault] = useState<unknown>();
  const spec = here.find((k) => k.id === id) ?? here[0];
  const from = showPlace(drawn.from, units);
  const to = showPlace(drawn.to, units);
  const start = spec ? startOf(spec, drawn, from, to) : {};
  const by = spec?.fields.find((f) => f.chips === "depth");
  const put = async (kind: "READING" | "INDICATION", content: Parameters<typeof inWords>[0]["content"]) => {
    setFault(undefined);
    try {
      const words = inWords({ kind, content }, bench);
      const kept = await doing.act({ do: "put", entry: { id: newId(), kind, content } }, words);
      onSaid(saidOf(kept, words));
      onDrawn(undefined);
    } catch (e) {
      setFault(e);
    }
  };
  const nudge = (end: "from" | "to", by2: number) => {
    const next = { ...drawn, [end]: Math.min(bench.strip.length, Math.max(0, drawn[end] + by2 * markOf(units))) };
    if (next.from <= next.to) onDrawn(next);
  };
  const name = bench.strip.lanes.find((l) => l.id === drawn.lane)?.name ?? "size";
  const step = units === "mm" ? "1 mm" : "1/8 in";
  return (
    <section
      aria-label="Drawn stretch"
      onKeyDown={(e) => {
        if (e.key === "Escape") onDrawn(undefined);
      }}
    >
      <Flex wrap gap={8} align="center">
        <b className="nc">{name}</b>
        {(["from", "to"] as const).map((end) => (
          <Space.Compact key={end} role="group" aria-label={`${end === "from" ? "From" : "To"}`}>
            <Button aria-label={`${end}: ${step} back`} onClick={() => nudge(end, -1)}>
              ◂
            </Button>
            <output className="nc">{end === "from" ? from : to}</output>
            <Button aria-label={`${end}: ${step} on`} onClick={() => nudge(end, 1)}>
              ▸
            </Button>
          </Space.Compact>
        ))}
        {here.length > 1 && (
          <span className="row" role="group" aria-label="What it is">
            {here.map((k) => (
              <Button
                type={spec?.id === k.id ? "primary" : "default"}
                key={k.id}
                aria-pressed={spec?.id === k.id}
                onClick={() => setId(k.id)}
              >
                {k.word}
              </Button>
            ))}
          </span>
        )}
        <span className="grow" />
        <Button onClick={() => onDrawn(undefined)}>Leave it</Button>
      </Flex>
      <Flex wrap gap={8} align="center">
        {drawn.lane === "size" &&
          bladesFor(bench, from, to).map((b) => (
            <Button
              key={b.words}
              className={`chip ${b.goes ? "none" : ""}`}
              disabled={busy}
              onClick={() => void put(b.kind, b.content)}
            >
              {b.words}
            </Button>
          ))}
        {spec && by && (
          <>
            <span className="nc">
              {spec.word}, {by.label.toLowerCase()}:
            </span>
            {chipsFor(by, bench).map((c) => (
              <Button
                key={c}
                className="chip"
                disabled={busy}
                onClick={() => void put("INDICATION", contentOf(spec, { ...start, [by.name]: c }))}
              >
                {c}
              </Button>
            ))}
          </>
        )}
        {spec && (!by || by.optional) && (
          <Button className="chip" disabled={busy} onClick={() => void put("INDICATION", contentOf(spec, start))}>
            {by ? "not measured" : `Record ${spec.word.toLowerCase()}`}
          </Button>
        )}
        {spec && <Button onClick={() => onForm(spec, start)}>other …</Button>}
      </Flex>
      {fault !== undefined && (
        <p role="alert" className="fault">
          {saidBy(fault)}
        </p>
      )}
    </section>
  );
}

/** The kind's fields as far as the drawing tells them; what is chosen by a word starts as in the form. */
function startOf(spec: KindSpec, drawn: Drawn, from: string, to: string): Typed {
  const start: Typed = {};
  for (const f of spec.fields) {
    if (f.name === "toe") start.toe = drawn.lane;
    if (f.name === "from") start.from = from;
    if (f.name === "to") start.to = to;
    if (f.name === "at") start.at = from;
    if (f.input === "choice")
      start[f.name] = drawn.lane === "base" && f.name === "where" ? "base" : (f.options?.[0]?.[0] ?? "");
  }
  return start;
}
