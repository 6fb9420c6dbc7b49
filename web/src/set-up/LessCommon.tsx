import { useState } from "react";
import { Chosen, ofTruth, Ticked, truth, truths, Typed } from "./fields";
import { gapsOf, gapsText, spansOf, spansText } from "./form";
import { useSetUp } from "./useSetUp";
import { FormGrid } from "../lib/FormGrid";

/** Folded until it is needed: intermittent welds, gaps, skewed members, girders, what is known of the member. */
export function LessCommon() {
  const { form, joint, set } = useSetUp();
  const [segments, setSegments] = useState(spansText(joint.segments) ?? "");
  const [gaps, setGaps] = useState(gapsText(joint.gaps) ?? "");
  const groove = joint.weld === "groove";
  return (
    <FormGrid>
      <Typed
        path="segments"
        label="Intermittent: welded stretches"
        span={6}
        value={segments}
        hint="0-3, 12-15, 21-24"
        onChange={(v) => {
          setSegments(v);
          set({ segments: spansOf(v) });
        }}
      />
      {!groove && (
        <Typed
          path="gaps"
          label="Fit-up gaps, where they are"
          span={6}
          value={gaps}
          hint="10-14 1/8, 20-21 3/32"
          onChange={(v) => {
            setGaps(v);
            set({ gaps: gapsOf(v) });
          }}
        />
      )}
      {!groove && <RareOfFillets />}
      <Ticked
        label="all around"
        on={joint.closed}
        onChange={(v) => set({ closed: v, ...(v ? {} : { clock: undefined }) })}
      />
      {joint.closed && <Clock />}
      {(joint.connection === "butt" || joint.connection === "pipe-butt") && (
        <Typed
          path="offsetMax"
          label="Offset at most, by the procedure"
          span={4}
          value={joint.offsetMax}
          onChange={(v) => set({ offsetMax: v })}
        />
      )}
      {!groove && form.criteria === "d1.1-welder-test" && (
        <Chosen
          path="testPiece"
          label="Test piece"
          span={4}
          value={joint.testPiece}
          options={[
            ["", "not said"],
            ["break", "is broken: no pore"],
            ["macro", "is cut for a macro"],
          ]}
          onChange={(v) => set({ testPiece: v || undefined })}
        />
      )}
      <Chosen
        path="primary"
        label="Primary member"
        span={4}
        value={truth(joint.primary)}
        options={truths}
        onChange={(v) => set({ primary: ofTruth(v) })}
      />
      <Chosen
        path="transverseTension"
        label="Across tension"
        span={4}
        value={truth(joint.transverseTension)}
        options={truths}
        onChange={(v) => set({ transverseTension: ofTruth(v) })}
      />
      <Chosen
        path="oneSided"
        label="Welded from one side"
        span={4}
        value={truth(joint.oneSided)}
        options={[
          ["", "not said"],
          ["false", "no, from both"],
          ["true", groove ? "yes, no backing" : "yes"],
        ]}
        onChange={(v) => set({ oneSided: ofTruth(v) })}
      />
      <Chosen
        path="delayed"
        label="Inspected 48 h after welding"
        span={4}
        value={truth(joint.delayed)}
        options={[
          ["", "not said"],
          ["false", "no"],
          ["true", "yes (delayed cracking)"],
        ]}
        onChange={(v) => set({ delayed: ofTruth(v) })}
      />
    </FormGrid>
  );
}

function RareOfFillets() {
  const { joint, set } = useSetUp();
  const skewed = joint.dihedral !== undefined && joint.dihedral !== 90;
  const girder = joint.use === "web-to-flange";
  return (
    <>
      <Typed
        path="throat"
        label="Throat, where the drawing gives it"
        span={4}
        value={joint.throat}
        onChange={(v) => set({ throat: v, ...(v ? { sizeMeans: undefined } : {}) })}
      />
      <Typed
        path="rootOpening"
        label="Fit-up gap"
        span={4}
        value={joint.rootOpening}
        hint="none"
        onChange={(v) => set({ rootOpening: v })}
      />
      <Typed
        path="dihedral"
        label="Angle between members"
        span={4}
        value={joint.dihedral === undefined ? "" : String(joint.dihedral)}
        hint="90"
        onChange={(v) => set({ dihedral: v === "" ? undefined : Number(v) || 0 })}
      />
      {skewed && !joint.throat && (
        <Chosen
          path="sizeMeans"
          label="The size means"
          span={6}
          value={joint.sizeMeans}
          options={[
            ["", "choose"],
            ["contact", "leg along the member"],
            ["perpendicular", "square to the other member"],
            ["equivalent", "90° leg of equal throat"],
          ]}
          onChange={(v) => set({ sizeMeans: v })}
        />
      )}
      {skewed && (
        <Chosen
          path="legs"
          label="Legs are read"
          span={6}
          value={joint.legs}
          options={[
            ["", "along the member"],
            ["perpendicular", "square to the other member"],
          ]}
          onChange={(v) => set({ legs: v })}
        />
      )}
      <Chosen
        path="use"
        label="Use"
        span={4}
        value={joint.use}
        options={[
          ["", "–"],
          ["web-to-flange", "girder web to flange"],
          ["stiffener-to-web", "stiffener to web"],
        ]}
        onChange={(v) =>
          set({
            use: v,
            flangeWidth: v === "web-to-flange" ? joint.flangeWidth : undefined,
            girderEnds: v === "web-to-flange" ? (joint.girderEnds ?? "none") : undefined,
          })
        }
      />
      {girder && (
        <Typed
          path="flangeWidth"
          label="Flange width"
          span={4}
          value={joint.flangeWidth}
          onChange={(v) => set({ flangeWidth: v })}
        />
      )}
      {girder && (
        <Chosen
          path="girderEnds"
          label="Girder ends at"
          span={4}
          value={joint.girderEnds}
          options={[
            ["none", "neither end"],
            ["start", "the datum"],
            ["end", "the far end"],
            ["both", "both ends"],
          ]}
          onChange={(v) => set({ girderEnds: v })}
        />
      )}
    </>
  );
}

/** A weld around a pipe or tube: its places are then told by the clock as well. */
function Clock() {
  const { joint, set } = useSetUp();
  const clock = joint.clock;
  return (
    <>
      <Ticked
        label="around a pipe or tube, by the clock"
        on={clock !== undefined}
        onChange={(v) => set({ clock: v ? { datum: "12:00", direction: "clockwise" } : undefined })}
      />
      {clock && (
        <>
          <Typed
            path="clock.diameter"
            label="Outside diameter"
            span={3}
            value={clock.diameter}
            onChange={(v) => set({ clock: { ...clock, diameter: v || undefined } })}
          />
          <Typed
            path="clock.datum"
            label="Datum is at"
            span={3}
            value={clock.datum}
            hint="12:00 is the top"
            onChange={(v) => set({ clock: { ...clock, datum: v } })}
          />
          <Chosen
            path="clock.direction"
            label="Measured, as one faces it"
            span={4}
            value={clock.direction}
            options={[
              ["clockwise", "clockwise"],
              ["counterclockwise", "counterclockwise"],
            ]}
            onChange={(v) => set({ clock: { ...clock, direction: v } })}
          />
          <Ticked
            label="the pipe is turned under the rod"
            on={clock.turned ?? false}
            onChange={(v) => set({ clock: { ...clock, turned: v || undefined } })}
          />
        </>
      )}
    </>
  );
}
