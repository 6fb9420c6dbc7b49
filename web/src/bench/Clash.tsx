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
        <button type="button" className="pick" onClick={onTheirs}>
          Keep theirs
        </button>
      </div>
      <div>
        <b>You made it</b>
        <p>{inWords(mine, bench)}</p>
        <button type="button" className="pick" onClick={onMine}>
          Store mine instead
        </button>
      </div>
      <button type="button" className="pick" onClick={onBoth}>
        Both stand: mine as one more
      </button>
    </div>
  );
}
