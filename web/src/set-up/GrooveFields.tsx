import type { JointForm } from "../lib/api";
import type { Options } from "../lib/fields";
import { Chosen, Ticked, Typed } from "./fields";
import { useSetUp } from "./useSetUp";

const preparations: Options = [
  ["V", "V"],
  ["bevel", "single bevel"],
  ["double-V", "double V"],
  ["double-bevel", "double bevel"],
  ["square", "square"],
];

/** What a groove is asked beyond what every weld is. */
export function GrooveFields() {
  const { joint, set } = useSetUp();
  const { groove } = joint;
  const setGroove = (part: Partial<NonNullable<JointForm["groove"]>>) => set({ groove: { ...groove, ...part } });
  return (
    <>
      <Chosen
        path="penetration"
        label="Penetration"
        span={3}
        value={joint.penetration}
        options={[
          ["cjp", "complete"],
          ["pjp", "partial"],
        ]}
        onChange={(v) => set({ penetration: v, throat: v === "pjp" ? joint.throat : undefined })}
      />
      {joint.penetration === "pjp" && (
        <Typed path="throat" label="Throat" span={3} value={joint.throat} onChange={(v) => set({ throat: v })} />
      )}
      <Chosen
        path="groove.prep"
        label="Preparation"
        span={3}
        value={groove?.prep}
        options={preparations}
        onChange={(v) => setGroove({ prep: v })}
      />
      {groove?.prep !== "square" && (
        <Typed
          path="groove.includedAngle"
          label="Included angle, °"
          span={3}
          value={groove?.includedAngle === undefined ? "" : String(groove.includedAngle)}
          hint="60"
          onChange={(v) => setGroove({ includedAngle: v === "" ? undefined : Number(v) || 0 })}
        />
      )}
      <Typed
        path="groove.rootFace"
        label="Root face"
        span={3}
        value={groove?.rootFace}
        hint="1/8"
        onChange={(v) => setGroove({ rootFace: v })}
      />
      <Typed
        path="groove.rootOpening"
        label="Root opening"
        span={3}
        value={groove?.rootOpening}
        hint="1/8"
        onChange={(v) => setGroove({ rootOpening: v })}
      />
      <Ticked label="backing stays" on={joint.backing} onChange={(v) => set({ backing: v })} />
      <Ticked label="flush face" on={joint.flush} onChange={(v) => set({ flush: v })} />
    </>
  );
}
