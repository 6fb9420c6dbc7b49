import { Button, Flex, Modal } from "antd";
import { useState } from "react";
import { saidBy, type Bench, type Photo } from "../lib/api";
import { inWords } from "./kinds";
import type { Doing } from "./useBench";

type Props = { bench: Bench; photo: Photo; doing?: Doing; onClose: () => void };

/** A picture in full, with what it shows and who took it. */
export function PhotoDialog({ bench, photo, doing, onClose }: Props) {
  const [fault, setFault] = useState<unknown>();
  const entry = bench.entries.find((e) => e.id === photo.entry);
  const words = entry ? inWords(entry, bench) : `at ${photo.label ?? ""} ${bench.joint.units}`;
  const off = () =>
    doing?.act({ do: "photoOff", photo: photo.id }, `take off: picture ${words}`).then(onClose, setFault);
  return (
    <Modal open title={`Picture ${entry ? "of " : ""}${words}`} footer={null} onCancel={onClose} width={900}>
      <img className="photo" src={`/api/inspections/${bench.id}/photos/${photo.id}`} alt={`The weld, ${words}`} />
      <Flex className="spaced" wrap gap={8} align="center">
        <span className="quiet grow">taken by {photo.by}</span>
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
