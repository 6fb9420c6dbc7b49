import { Button, Flex } from "antd";
import type { Bench } from "../lib/api";
import { newId } from "../lib/id";
import type { Waiting } from "../lib/outbox";
import { Clash } from "./Clash";
import { useWaiting } from "./useBench";

type Props = { bench: Bench; onRight: (w: Waiting) => void };

/** What was kept while the network was gone and then could not be taken: each stays until somebody decides. */
export function NotTaken({ bench, onRight }: Props) {
  const { outbox, waiting } = useWaiting(bench.id);
  const refused = waiting.filter((w) => w.refused !== undefined);
  if (refused.length === 0) return null;
  return (
    <section aria-label="Not taken" className="framed bad">
      {refused.map((w) => {
        const mine = w.step.do === "put" ? w.step.entry : undefined;
        const { theirs } = w;
        if (mine && theirs)
          return (
            <Clash
              key={w.key}
              bench={bench}
              mine={mine}
              theirs={theirs}
              onTheirs={() => outbox.drop(w.key)}
              onMine={() => void outbox.again(w.key, { do: "put", entry: mine, version: theirs.version })}
              onBoth={() => void outbox.again(w.key, { do: "put", entry: { ...mine, id: newId() } })}
            />
          );
        return (
          <Flex wrap gap={8} align="center" key={w.key} role="alert">
            <span className="grow">
              <b className="fault">Not taken:</b> {w.words}: {w.refused}
            </span>
            {(w.step.do === "put" || w.step.do === "line") && <Button onClick={() => onRight(w)}>put it right</Button>}
            <Button onClick={() => void outbox.again(w.key, w.step)}>send it again</Button>
            <Button onClick={() => outbox.drop(w.key)}>leave it out</Button>
          </Flex>
        );
      })}
    </section>
  );
}
