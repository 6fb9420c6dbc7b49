import "./scan.css";
import { useQuery } from "@tanstack/react-query";
import { Checkbox, Flex, Modal, Slider } from "antd";
import { useMemo, useState } from "react";
import { api, saidBy, type Bench } from "../lib/api";
import type { Scan } from "../lib/api-scan";
import { showPlace } from "../lib/place";
import { Lit } from "./Lit";
import { reliefOf, type Lamp } from "./relief";

type Props = { bench: Bench; scan: Scan; cursor: number; onCursor: (mm: number) => void; onClose: () => void };

/** The scanned surface under a lamp that is moved around low over it, as a flashlight is held flat. */
export default function SurfaceDialog({ bench, scan, cursor, onCursor, onClose }: Props) {
  const surface = useQuery({
    queryKey: ["scan-surface", bench.id, scan.id],
    queryFn: () => api.scanSurface(bench.id, scan.id),
    staleTime: Infinity,
    gcTime: 60_000,
  });
  const [deeper, setDeeper] = useState(1);
  const [byHeight, setByHeight] = useState(false);
  const [lamp, setLamp] = useState<Lamp>({ around: Math.PI * 0.9, up: 0.5 });
  const [reach, setReach] = useState(70);
  const length = bench.strip.length;
  const relief = useMemo(
    () => surface.data && reliefOf(surface.data, bench.drawn.dihedral !== 180, deeper),
    [surface.data, bench.drawn.dihedral, deeper],
  );
  return (
    <Modal
      open
      title={`${scan.name} at ${showPlace(cursor, bench.joint.units)} ${bench.joint.units}`}
      footer={null}
      onCancel={onClose}
      width={1180}
      centered
    >
      {surface.isError && <p className="fault">{saidBy(surface.error)}</p>}
      {relief && relief.rows > 1 && (
        <Lit
          relief={relief}
          lamp={lamp}
          onLamp={setLamp}
          byHeight={byHeight}
          cursor={cursor}
          reach={Math.min(reach, length)}
        />
      )}
      {relief && relief.rows < 2 && <p className="quiet">No profile of this scan was measured.</p>}
      <Flex wrap gap={18} align="center" className="spaced">
        <div className="grow">
          Along the weld
          <Slider
            min={0}
            max={length}
            step={length / 400}
            value={cursor}
            tooltip={{ formatter: (v) => `${showPlace(v ?? 0, bench.joint.units)} ${bench.joint.units}` }}
            ariaLabelForHandle="Place along the weld"
            onChange={onCursor}
          />
        </div>
        <div className="grow">
          In view: {showPlace(Math.min(reach, length), bench.joint.units)} {bench.joint.units}
          <Slider
            min={20}
            max={Math.max(21, length)}
            value={Math.min(reach, length)}
            ariaLabelForHandle="Stretch in view"
            tooltip={{ open: false }}
            onChange={setReach}
          />
        </div>
        <div className="grow">
          Depth × {deeper}
          <Slider
            min={1}
            max={8}
            step={0.5}
            value={deeper}
            ariaLabelForHandle="Depth exaggerated"
            tooltip={{ open: false }}
            onChange={setDeeper}
          />
        </div>
        <div className="grow">
          Lamp height
          <Slider
            min={3}
            max={85}
            value={Math.round((lamp.up * 180) / Math.PI)}
            ariaLabelForHandle="Height of the lamp, degrees"
            tooltip={{ formatter: (v) => `${v ?? 0}°` }}
            onChange={(v) => setLamp({ ...lamp, up: (v * Math.PI) / 180 })}
          />
        </div>
        <Checkbox checked={byHeight} onChange={(e) => setByHeight(e.target.checked)}>
          color by height
        </Checkbox>
      </Flex>
      <p className="small quiet">
        Above {bench.drawn.members[1]?.label}, below {bench.drawn.members[0]?.label}. Move over the surface: the lamp
        goes with the hand. Between the profiles nothing was seen; what is finer than their spacing does not show.
      </p>
    </Modal>
  );
}
