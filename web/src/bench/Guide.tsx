import { Button, Space } from "antd";
import { useState } from "react";
import type { Bench, GuideStep } from "../lib/api";

type Props = { bench: Bench; later: number; onLater: (n: number) => void; onGo: (step: GuideStep) => void };

/** What the inspection proposes next; a touch goes there, "later" shows the one after it. */
export function Guide({ bench, later, onLater, onGo }: Props) {
  const step = bench.guide[later % Math.max(1, bench.guide.length)];
  const [seen, setSeen] = useState<string>();
  if (!step) return null;
  return (
    <Space.Compact className="grow guide" role="group" aria-label="Next to inspect">
      <Button
        className="go"
        data-step={step.kind}
        onClick={() => {
          setSeen(step.words);
          onGo(step);
        }}
      >
        <span className="small">
          To inspect: {bench.guide.length} <kbd>G</kbd>
        </span>
        <b>{step.words}</b>
      </Button>
      {bench.guide.length > 1 && (
        <Button
          className="square"
          aria-label="Later: show the next step"
          title="later"
          onClick={() => onLater((later + 1) % bench.guide.length)}
        >
          ›
        </Button>
      )}
      <span className="unseen" role="status">
        {seen}
      </span>
    </Space.Compact>
  );
}
