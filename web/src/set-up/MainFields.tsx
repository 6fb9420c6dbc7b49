import { useQuery } from "@tanstack/react-query";
import { positions } from "../lib/positions";
import { Button } from "antd";
import { Fragment } from "react";
import { api, type JointForm } from "../lib/api";
import type { Options } from "../lib/fields";
import { Chosen, Offered, Typed } from "./fields";
import { asWeld, likeThat } from "./form";
import { GrooveFields } from "./GrooveFields";
import { ink } from "../theme";
import { useSetUp } from "./useSetUp";
import { Cell, FormGrid } from "../lib/FormGrid";

/** What every weld is asked: eight answers for a fillet. */
export function MainFields({ isNew }: { isNew: boolean }) {
  return (
    <>
      <fieldset>
        <legend>Which weld</legend>
        <FormGrid>
          <WhichWeld isNew={isNew} />
        </FormGrid>
      </fieldset>
      <fieldset>
        <legend>What the drawing asks</legend>
        <FormGrid>
          <WhatItIs />
        </FormGrid>
      </fieldset>
    </>
  );
}

function WhichWeld({ isNew }: { isNew: boolean }) {
  const { form, joint, change, set, jobs, job, welders, procedures } = useSetUp();
  const name = form.job?.trim() ?? "";
  const lot = form.lot?.trim() ?? "";
  const last = useQuery({
    queryKey: ["last-joint", job?.id, lot],
    queryFn: () => api.lastJoint(job?.id ?? "", lot),
    enabled: isNew && job !== undefined,
    staleTime: 10_000,
  });
  /** A job that stands brings its code, units and drawing; they are no longer asked here. */
  const setJob = (typed: string) => {
    const known = jobs.find((j) => j.form.name === typed.trim());
    const drawing = known?.form.drawings?.length === 1 ? known.form.drawings[0] : undefined;
    change({
      job: typed,
      ...(known ? { criteria: known.form.criteria, units: known.form.units } : {}),
      ...(known && drawing && !form.drawing ? { drawing: drawing.number, drawingRev: drawing.revision } : {}),
      ...(known && !form.wps && procedures.length === 1 ? { wps: wpsName(procedures[0]) } : {}),
    });
  };
  const before = last.data?.form;
  const offersLast = before?.joint?.mark && !joint.size && !joint.length;
  return (
    <>
      <Offered
        path="job"
        label="Job"
        span={4}
        required
        value={form.job}
        offered={jobs.map((j) => j.form.name)}
        onChange={setJob}
      />
      <Offered
        path="lot"
        label="Lot or place"
        span={4}
        value={form.lot}
        offered={job?.form.lots ?? []}
        onChange={(v) => change({ lot: v })}
      />
      <Typed
        path="mark"
        label="Mark"
        span={4}
        required
        value={joint.mark}
        hint="ST2-22"
        onChange={(v) => set({ mark: v })}
      />
      <Offered
        path="welder"
        label="Welder's stamp"
        span={4}
        value={form.welder}
        offered={welders.map((w) => w.form.stamp)}
        onChange={(v) => change({ welder: v })}
      />
      <Chosen
        path="position"
        label="Position"
        span={4}
        value={joint.position}
        options={positionsOf(joint.weld === "groove")}
        onChange={(v) => set({ position: v })}
      />
      <Typed path="weldNo" label="Weld number" span={4} value={joint.weldNo} onChange={(v) => set({ weldNo: v })} />
      {offersLast && before && (
        <Cell span={12}>
          <Button onClick={() => change(likeThat(before, form))}>
            Start like {before.joint?.mark}, the last of {lot || name}: {last.data?.inWords}
          </Button>
        </Cell>
      )}
    </>
  );
}

const wpsName = (p?: { form: { number?: string; revision?: string } }) =>
  p && `${p.form.number ?? ""} rev ${p.form.revision ?? ""}`;

const ofGroove: Options = [
  ["butt", "butt"],
  ["tee", "tee"],
  ["corner", "corner"],
  ["lap", "lap"],
  ["pipe-butt", "pipe butt"],
  ["tube-to-plate", "tube to plate"],
];
const ofFillet: Options = [
  ["tee", "tee"],
  ["lap", "lap"],
  ["corner", "corner"],
  ["tube-to-plate", "tube to plate"],
];

function WhatItIs() {
  const { joint, change, set } = useSetUp();
  const groove = joint.weld === "groove";
  return (
    <>
      <Chosen
        path="weld"
        label="Weld"
        span={3}
        value={joint.weld}
        options={[
          ["fillet", "fillet"],
          ["groove", "groove"],
        ]}
        onChange={(v) => change({ joint: asWeld(joint, v) })}
      />
      <Chosen
        path="connection"
        label="Connection"
        span={3}
        value={joint.connection}
        options={groove ? ofGroove : ofFillet}
        onChange={(v) => set({ connection: v, corner: v === "corner" ? "inside" : undefined })}
      />
      {joint.connection === "corner" && (
        <Chosen
          path="corner"
          label="Weld lies"
          span={3}
          value={joint.corner}
          options={[
            ["inside", "inside the corner"],
            ["outside", "outside"],
          ]}
          onChange={(v) => set({ corner: v })}
        />
      )}
      {!groove && (
        <Typed
          path="size"
          label="Fillet size (leg)"
          span={3}
          required={!joint.throat}
          value={joint.size}
          hint="5/16"
          onChange={(v) => set({ size: v })}
        />
      )}
      <Typed
        path="length"
        label="Length"
        span={3}
        required
        value={joint.length}
        hint="24"
        onChange={(v) => set({ length: v })}
      />
      {groove && <GrooveFields />}
      <Members />
      {(!groove || joint.position === "2G") && <Upper />}
    </>
  );
}

/** Which member stands upright or lies above: what runs down the upper toe is told by it. */
function Upper() {
  const { joint, set } = useSetUp();
  const name = (n: 0 | 1) => joint.members?.[n]?.name?.trim() || (n === 0 ? "first member" : "second member");
  return (
    <>
      <Chosen
        path="upper"
        label="Which stands or lies above"
        span={4}
        value={joint.upper}
        options={[
          ["", "not said"],
          ["A", `${name(0)}, toe A`],
          ["B", `${name(1)}, toe B`],
        ]}
        onChange={(v) => set({ upper: v || undefined })}
      />
      <Cell span={3} bottom>
        <UpperPicture upper={joint.upper} />
      </Cell>
    </>
  );
}

/** A tee as it stands while it is welded, its toes lettered; the one above is filled. */
function UpperPicture({ upper }: { upper?: string }) {
  const top = upper === "B" ? "B" : "A";
  const fill = (toe: string) => (upper === toe ? ink.steel : ink.steelLight);
  return (
    <svg width="112" height="56" role="img" aria-label={upper ? `${upper} above` : "which member is above is not said"}>
      <rect x="4" y="44" width="104" height="10" fill={fill(top === "A" ? "B" : "A")} stroke={ink.none} />
      <rect x="46" y="2" width="10" height="42" fill={fill(top)} stroke={ink.none} />
      <path d="M56 26L74 44H56z" fill={ink.weld} stroke={ink.text} />
      <g fontSize="15" fontWeight="600" fill={ink.text}>
        <text x="62" y="20">
          {upper ? top : "?"}
        </text>
        <text x="84" y="40">
          {upper ? (top === "A" ? "B" : "A") : "?"}
        </text>
      </g>
    </svg>
  );
}

function positionsOf(groove: boolean): Options {
  const fitting = positions.filter(([p]) => p.endsWith(groove ? "G" : "F"));
  return [["", "–"], ...fitting.map(([p, words]) => [p, `${p} ${words}`] as const)];
}

function Members() {
  const { joint, set } = useSetUp();
  const members = joint.members ?? [];
  const setMember = (n: number, part: Partial<NonNullable<JointForm["members"]>[number]>) =>
    set({ members: [0, 1].map((i) => ({ ...members[i], ...(i === n ? part : {}) })) });
  return [0, 1].map((n) => (
    <Fragment key={n}>
      <Typed
        path={`members[${n}].name`}
        label={n === 0 ? "First member, toe A" : "Second member, toe B"}
        span={3}
        value={members[n]?.name}
        hint={n === 0 ? "web" : "flange"}
        onChange={(v) => setMember(n, { name: v })}
      />
      <Typed
        path={`members[${n}].thickness`}
        label="Thickness"
        span={3}
        required
        value={members[n]?.thickness}
        hint={n === 0 ? "3/8" : "3/4"}
        onChange={(v) => setMember(n, { thickness: v })}
      />
    </Fragment>
  ));
}
