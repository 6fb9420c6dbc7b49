import { Button, Col, Row } from "antd";
import { useState } from "react";
import { saidBy, type Bench } from "../lib/api";
import { newId } from "../lib/id";
import { after, fieldIn, isPlace, question, specIn, start, type Gloved, type Target } from "./gloves";
import { contentOf, inWords } from "./kinds";
import { UndoRedo } from "./UndoRedo";
import { saidOf, useBusy, type Doing } from "./useBench";

type Props = { bench: Bench; doing: Doing; cursor: number; onCursor: (mm: number) => void; onLeave: () => void };

/** For gloves: one question at a time, no question with more than eight targets, nothing to be typed. */
export function Gloves({ bench, doing, cursor, onCursor, onLeave }: Props) {
  const [hand, setHand] = useState<Gloved>(start);
  const [said, setSaid] = useState("");
  const [fault, setFault] = useState<unknown>();
  const busy = useBusy(bench.id);
  const { ask, targets } = question(hand, bench, cursor);
  const touch = async ({ act }: Target) => {
    setFault(undefined);
    setSaid("");
    if (act.do === "move" && isPlace(fieldIn(hand, bench))) {
      onCursor(Math.min(bench.strip.length, Math.max(0, cursor + act.by)));
      return;
    }
    if (act.do === "record") {
      const spec = specIn(hand, bench);
      if (!spec) return;
      const content = contentOf(spec, hand.typed);
      const words = inWords({ kind: spec.entry, content }, bench);
      try {
        const kept = await doing.act({ do: "put", entry: { id: newId(), kind: spec.entry, content } }, words);
        setSaid(saidOf(kept, words));
      } catch (e) {
        setFault(e); // what was said stands: a step back puts it right
        return;
      }
    }
    setHand(after(hand, act, bench));
  };
  return (
    <section className="card column dock" aria-label="Record">
      <Row align="middle" gutter={[8, 8]}>
        <Col flex="auto" role="status">
          <h2>{fault !== undefined ? <span className="fault">{saidBy(fault)}</span> : said || ask}</h2>
          {said && <span className="quiet">{ask}</span>}
        </Col>
        <Col>
          <UndoRedo doing={doing} onSaid={setSaid} onFault={setFault} />
        </Col>
        <Col>
          <Button onClick={onLeave}>Gloves off</Button>
        </Col>
      </Row>
      <Row gutter={[8, 8]} role="group" aria-label={ask}>
        {targets.map((t) => (
          <Col key={t.word} xs={12} sm={6} lg={24 / 8}>
            <Button
              block
              className="chip"
              type={t.main ? "primary" : "default"}
              disabled={busy && t.act.do === "record"}
              onClick={() => void touch(t)}
            >
              {t.word}
            </Button>
          </Col>
        ))}
      </Row>
    </section>
  );
}
