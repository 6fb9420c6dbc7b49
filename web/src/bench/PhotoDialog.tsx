import { Button, Flex, Modal } from "antd";
import { lazy, Suspense, useState } from "react";
import { saidBy, type Bench, type Photo } from "../lib/api";
import { photoPath } from "../lib/api-pictures";
import type { NewEntry } from "../lib/outbox";
import { holds } from "../lib/roles";
import { useActor } from "../lib/session";
import { inWords } from "./kinds";
import type { Doing } from "./useBench";

const MeasurePicture = lazy(() => import("../picture/MeasurePicture"));
const BesidePicture = lazy(() => import("../picture/BesidePicture"));

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
  if (shown === "measure")
    return (
      <Suspense>
        <MeasurePicture
          bench={bench}
          photo={photo.id}
          title={`Picture ${words}`}
          mayMark={!holds(actor, "VIEWER")}
          {...(doing ? { onTake } : {})}
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
