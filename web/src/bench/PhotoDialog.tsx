import { Button, Flex, Modal } from "antd";
import { lazy, Suspense, useState } from "react";
import { saidBy, type Bench, type Photo } from "../lib/api";
import { photoPath, type PictureValue } from "../lib/api-pictures";
import { newId } from "../lib/id";
import type { NewEntry } from "../lib/outbox";
import { holds } from "../lib/roles";
import { useActor } from "../lib/session";
import { fromPicture, inWords } from "./kinds";
import type { Doing } from "./useBench";

const MeasurePicture = lazy(() => import("../picture/MeasurePicture"));
const BesidePicture = lazy(() => import("../picture/BesidePicture"));

/** What a length from a picture may be as an entry: where its value goes, and where the picture's place does. */
const entries: readonly (readonly [string, string, NewEntry["kind"], Record<string, string>, string, string])[] = [
  ["undercut", "an undercut’s depth", "INDICATION", { kind: "undercut", toe: "A" }, "depth", "from"],
  ["porosity", "a pore’s diameter", "INDICATION", { kind: "porosity" }, "diameter", "at"],
  ["legA", "leg A", "READING", {}, "legA", "at"],
  ["legB", "leg B", "READING", {}, "legB", "at"],
];

type Props = { bench: Bench; photo: Photo; doing?: Doing; onTake: (entry: NewEntry) => void; onClose: () => void };

/** A picture in full, with what it shows and who took it; measured in, marked, set beside another. */
export function PhotoDialog({ bench, photo, doing, onTake, onClose }: Props) {
  const actor = useActor();
  const [shown, setShown] = useState<"whole" | "measure" | "beside">("whole");
  const [fault, setFault] = useState<unknown>();
  const wordsOf = (p: Photo) => {
    const entry = bench.entries.find((e) => e.id === p.entry);
    return entry ? `of ${inWords(entry, bench)}` : `at ${p.label ?? ""} ${bench.joint.units}`;
  };
  const words = wordsOf(photo);
  const off = () =>
    doing
      ?.act({ do: "photoOff", photo: photo.id }, `take off: picture ${words.replace(/^of /, "")}`)
      .then(onClose, setFault);
  const take = (as: string, value: PictureValue) => {
    const e = entries.find(([id]) => id === as);
    if (!e || value.entered === undefined) return;
    const [, , kind, content, field, where] = e;
    onTake({
      id: newId(),
      kind,
      content: {
        ...content,
        ...(photo.label ? { [where]: photo.label } : {}),
        [field]: value.entered,
        division: value.division,
        gauge: fromPicture,
      },
    });
  };
  if (shown === "measure")
    return (
      <Suspense>
        <MeasurePicture
          src={photoPath(bench.id, photo.id)}
          title={`Picture ${words}`}
          units={bench.joint.units}
          kept={{ inspection: bench.id, photo: photo.id, mayMark: !holds(actor, "VIEWER") }}
          takes={doing ? entries.map(([id, said]) => [id, said] as const) : []}
          onTake={take}
          onClose={() => setShown("whole")}
        />
      </Suspense>
    );
  if (shown === "beside")
    return (
      <Suspense>
        <BesidePicture bench={bench} photo={photo} words={wordsOf} onClose={() => setShown("whole")} />
      </Suspense>
    );
  const others = bench.photos.filter((p) => !p.withdrawn && p.id !== photo.id).length;
  return (
    <Modal open title={`Picture ${words}`} footer={null} onCancel={onClose} width={900}>
      <img className="photo" src={photoPath(bench.id, photo.id)} alt={`The weld, ${words}`} />
      <Flex className="spaced" wrap gap={8} align="center">
        <span className="quiet grow">taken by {photo.by}</span>
        <Button onClick={() => setShown("measure")}>Measure and mark</Button>
        {others > 0 && <Button onClick={() => setShown("beside")}>Beside another</Button>}
        {doing && <Button onClick={() => void off()}>Take it off</Button>}
      </Flex>
      {fault !== undefined && (
        <p role="alert" className="fault">
          {saidBy(fault)}
        </p>
      )}
    </Modal>
  );
}
