import { Button, Flex } from "antd";
import type { Bench, Entry } from "../lib/api";
import type { NewEntry } from "../lib/outbox";
import { inWords } from "./kinds";

type Props = {
  bench: Bench;
  mine: Omit<NewEntry, "id">;
  theirs: Entry;
  onTheirs: () => void;
  onMine: () => void;
  onBoth: () => void;
};

/** Two people changed one entry: both stand side by side, and none goes before somebody decides. */
export function Clash({ bench, mine, theirs, onTheirs, onMine, onBoth }: Props) {
  return (
    <Flex wrap gap={10} align="end" role="alert" className="framed open" aria-label="Two changed this entry">
      <div className="grow">
        <b>{theirs.by} made it</b>
        <p className="strong">{theirs.withdrawn ? <s>{inWords(theirs, bench)}</s> : inWords(theirs, bench)}</p>
        <Button onClick={onTheirs}>Keep theirs</Button>
      </div>
      <div className="grow">
        <b>You made it</b>
        <p className="strong">{inWords(mine, bench)}</p>
        <Button onClick={onMine}>Store mine instead</Button>
      </div>
      <Button onClick={onBoth}>Both stand: mine as one more</Button>
    </Flex>
  );
}
