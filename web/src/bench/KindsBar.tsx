import { Button, Flex } from "antd";
import type { ReactNode } from "react";
import type { Bench } from "../lib/api";
import { isPractice } from "../lib/api-bench";
import { Choice } from "../lib/fields";
import { KeyWord } from "./DockField";
import { Guide } from "./Guide";
import { PhotoButton } from "./PhotoButton";
import { UndoRedo } from "./UndoRedo";
import type { Dock } from "./useDock";
import type { Doing } from "./useBench";

type Props = {
  dock: Dock;
  bench: Bench;
  doing: Doing;
  later: number;
  onLater: (n: number) => void;
  /** What the reading is taken with, where a kind is measured. */
  readWith: ReactNode;
};

/** What was seen or read, a button each; beside them the next to inspect, or the gauge in hand. */
export function KindsBar({ dock, bench, doing, later, onLater, readWith }: Props) {
  const { spec, pick, setSaid, setFault } = dock;
  const { all, first } = dock.kinds;
  return (
    <Flex wrap gap={6} align="start" role="group" aria-label="What was seen or read">
      {all.slice(0, first).map((k) => (
        <Button
          size="small"
          type={spec?.id === k.id ? "primary" : "default"}
          key={k.id}
          aria-pressed={spec?.id === k.id}
          onClick={() => (spec?.id === k.id ? dock.setSpec(undefined) : pick(k))}
          title={`key ${k.key}`}
        >
          <KeyWord word={k.word} letter={k.key} />
        </Button>
      ))}
      <Choice
        width={108}
        aria-label="More kinds"
        value={spec && all.indexOf(spec) >= first ? spec.id : ""}
        options={[["", "More …"], ...all.slice(first).map((k) => [k.id, k.word] as const)]}
        onChange={(id) => {
          const k = all.find((x) => x.id === id);
          if (k) pick(k);
        }}
      />
      <PhotoButton doing={doing} {...dock.photoOf} onSaid={setSaid} onFault={setFault} />
      {spec ? (
        <>
          <span className="grow" />
          {readWith}
          <UndoRedo doing={doing} onSaid={setSaid} onFault={setFault} />
        </>
      ) : (
        <Guide bench={bench} later={later} onLater={onLater} onGo={dock.go} />
      )}
      {(!spec || spec.id === "blade") &&
        dock.bladed.map((b) => (
          <Button
            key={b.words}
            className={b.goes ? "none" : undefined}
            disabled={dock.busy}
            onClick={() => dock.blade(b)}
          >
            {dock.bladedWords(b)}
          </Button>
        ))}
      {!spec && !isPractice(bench.id) && (
        <Flex align="center" flex="1 1 240px" className="quiet small">
          Or pick what you saw or read (the underlined letter does it too); a touch on the strip fills the place.
        </Flex>
      )}
    </Flex>
  );
}
