import { Button } from "antd";
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
    <div role="alert" className="clash" aria-label="Two changed this entry">
      <div>
        <b>{theirs.by} made it</b>
        <p>{theirs.withdrawn ? <s>{inWords(theirs, bench)}</s> : inWords(theirs, bench)}</p>
        <Button onClick={onTheirs}>Keep theirs</Button>
      </div>
      <div>
        <b>You made it</b>
        <p>{inWords(mine, bench)}</p>
        <Button onClick={onMine}>Store mine instead</Button>
      </div>
      <Button onClick={onBoth}>Both stand: mine as one more</Button>
    </div>
  );
}
