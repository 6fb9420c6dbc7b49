import { CameraOutlined } from "@ant-design/icons";
import { Button, Flex, Image } from "antd";
import { lazy, Suspense, useState } from "react";
import { api, problemsByField, saidBy, type Bench, type Causes, type SpecimenForm } from "../lib/api";
import { ChoiceField, said, TextField, YesNo } from "../lib/fields";
import { FileButton } from "../lib/FileButton";
import { newId } from "../lib/id";
import { VerdictShape } from "../lib/VerdictMark";
import { useRecord } from "./CausesPanel";
import { Cell, FormGrid } from "../lib/FormGrid";

const kinds: Record<string, string> = {
  "root-bend": "Root bend",
  "face-bend": "Face bend",
  "side-bend": "Side bend",
  "fillet-break": "Fillet break",
  macro: "Macro section",
  "nick-break": "Nick-break",
};

const MeasurePicture = lazy(() => import("../picture/MeasurePicture"));
const ofMacro = [
  ["undercut", "the undercut"],
  ["throat", "the throat"],
  ["penetration", "the penetration past the root"],
] as const;

/** A picture of the etched section, measured in; its lengths go into the form. */
function MacroPicture({ onTake }: { onTake: (field: string, value: string) => void }) {
  const [src, setSrc] = useState<string>();
  const read = (file: File) => {
    const reading = new FileReader();
    reading.onload = () => setSrc(typeof reading.result === "string" ? reading.result : undefined);
    reading.readAsDataURL(file);
  };
  return (
    <>
      <FileButton accept="image/png,image/jpeg" onFile={read} icon={<CameraOutlined />}>
        Measure in a picture
      </FileButton>
      {src !== undefined && (
        <Suspense>
          <MeasurePicture
            src={src}
            title="Macro section"
            units="mm" // the value goes into the form with its unit
            takes={ofMacro}
            onTake={(as, v) => {
              if (v.entered !== undefined) onTake(as, v.entered);
              setSrc(undefined);
            }}
            onClose={() => setSrc(undefined)}
          />
        </Suspense>
      )}
    </>
  );
}

const kindOf = (id: string) => (kinds[id] ?? "bend").toLowerCase();

/** Where a specimen is recorded: at a weld's causes, or at a test piece. */
export type SpecimenHand = {
  put: (id: string, form: SpecimenForm, done: () => void) => void;
  off: (id: string) => void;
  on: (id: string) => void;
  error: unknown;
  busy: boolean;
};

/** At a weld's causes: what was cut of it because looking could not tell. */
export function useSpecimensOfWeld(bench: Bench): SpecimenHand {
  const record = useRecord(bench);
  return {
    put: (id, form, done) => record.mutate(() => api.test(bench.id, id, form), { onSuccess: done }),
    off: (id) => record.mutate(() => api.testOff(bench.id, id)),
    on: (id) => record.mutate(() => api.testOn(bench.id, id)),
    error: record.error,
    busy: record.isPending,
  };
}

/** What was bent, broken or cut: judged by the limits for a test piece, beside the inspection and apart from it. */
export function Specimens({
  hand,
  tests,
  mayRecord,
  usual,
}: {
  hand: SpecimenHand;
  tests: Causes["tests"];
  mayRecord: boolean;
  /** The test that is likely meant. */
  usual: string;
}) {
  const [open, setOpen] = useState(false);
  return (
    <section aria-label="Specimens">
      <h3>Specimens</h3>
      {tests.map((t) => (
        <div key={t.id} className={`item${t.withdrawn ? " off" : ""}`}>
          <Flex gap={10} align="start">
            <span>
              <VerdictShape verdict={t.withdrawn ? "not-applicable" : t.verdict} size={24} />
            </span>
            <span>
              <b>{t.specimen}</b>
              {t.specimen.startsWith(kindOf(t.kind)) ? "" : ` ${kindOf(t.kind)}`}:{" "}
              {t.withdrawn ? "taken off" : t.lines.join("; ")}
              <div className="small quiet">
                {t.said.at ? `cut at ${t.said.at} · ` : ""}
                {t.by} · {t.citation}
              </div>
              <SpecimenPicture id={t.id} pictured={t.pictured} mayAdd={mayRecord && !t.withdrawn} />
            </span>
          </Flex>
          {mayRecord && (
            <Button type="link" onClick={() => (t.withdrawn ? hand.on(t.id) : hand.off(t.id))}>
              {t.withdrawn ? "put back" : "take off"}
            </Button>
          )}
        </div>
      ))}
      {mayRecord && !open && <Button onClick={() => setOpen(true)}>Record a specimen …</Button>}
      {open && <NewSpecimen hand={hand} usual={usual} onDone={() => setOpen(false)} />}
      <p className="cautions">
        A specimen tells of itself. Which test, and what follows from it, the engineer decides.
      </p>
    </section>
  );
}

/** The bent, broken or cut face. */
function SpecimenPicture({ id, pictured, mayAdd }: { id: string; pictured: boolean; mayAdd: boolean }) {
  const [taken, setTaken] = useState(0);
  const [fault, setFault] = useState<unknown>();
  const add = async (file: File) => {
    try {
      await api.specimenPhoto(id, file);
      setTaken(taken + 1);
      setFault(undefined);
    } catch (e) {
      setFault(e);
    }
  };
  return (
    <div className="row">
      {(pictured || taken > 0) && (
        <Image src={`/api/specimens/${id}/photos?${taken}`} alt="The face of the specimen" height={72} />
      )}
      {mayAdd && (
        <FileButton
          accept="image/png,image/jpeg"
          label="Picture of the specimen (PNG or JPEG, up to 10 MB)"
          icon={<CameraOutlined />}
          onFile={(f) => void add(f)}
        />
      )}
      {fault !== undefined && <span className="fault">{saidBy(fault)}</span>}
    </div>
  );
}

/** What a nick-break shows, each beside the limit that the procedure or the shop has set. */
const breaks = [
  ["largest", "Longest inclusion", "0"],
  ["allowedInclusion", "allowed, by the procedure", "none set"],
  ["pore", "Largest pore", "0"],
  ["allowedPore", "allowed, by the procedure", "none set"],
  ["apart", "Nearest pores apart", "no two"],
  ["allowedApart", "wanted, by the procedure", "none set"],
] as const;

function NewSpecimen({ hand, usual, onDone }: { hand: SpecimenHand; usual: string; onDone: () => void }) {
  const [id] = useState(newId);
  const [form, setForm] = useState<SpecimenForm & { openingsText?: string }>({
    kind: usual,
  });
  const set = (more: Partial<typeof form>) => setForm({ ...form, ...more });
  const problems = problemsByField(hand.error);
  const kind = form.kind ?? usual;
  const bend = kind.endsWith("bend");
  const put = () => {
    const { openingsText, ...rest } = form;
    const openings = (openingsText ?? "")
      .split(/[,;]/)
      .map((o) => o.trim())
      .filter(Boolean);
    hand.put(id, said({ ...rest, kind, ...(bend ? { openings } : {}) }), onDone);
  };
  const question = (word: string, value: boolean | undefined, onAnswer: (v: boolean) => void) => (
    <Cell span={12}>
      <div className="item">
        <span>{word}</span>
        <YesNo word={word} value={value} onAnswer={onAnswer} />
      </div>
    </Cell>
  );
  const corner = form.corners?.[0];
  return (
    <form
      onSubmit={(e) => {
        e.preventDefault();
        put();
      }}
    >
      <FormGrid>
        <ChoiceField
          id="specimen-kind"
          label="Test"
          span={4}
          value={kind}
          options={Object.entries(kinds)}
          onChange={(v) => setForm({ kind: v, ...(form.specimen ? { specimen: form.specimen } : {}) })}
        />
        <TextField
          id="specimen"
          label="Specimen"
          span={5}
          value={form.specimen}
          placeholder="root bend 1"
          problem={problems.specimen}
          onChange={(v) => set({ specimen: v })}
        />
        <TextField
          id="specimen-at"
          label="Cut at"
          span={3}
          value={form.at}
          placeholder="by the plan"
          problem={problems.at}
          onChange={(v) => set({ at: v })}
        />
        {bend && (
          <>
            <TextField
              id="openings"
              label="Openings, each at its longest"
              span={6}
              value={form.openingsText}
              placeholder="none, or 1/16, 3/32"
              problem={problems.openings ?? problems["openings[0]"]}
              onChange={(v) => set({ openingsText: v })}
            />
            <TextField
              id="corner"
              label="Longest corner crack"
              span={3}
              value={corner?.length}
              placeholder="none"
              problem={problems["corners[0].length"]}
              onChange={(v) => set({ corners: v ? [{ ...corner, length: v }] : [] })}
            />
            {corner &&
              question("It starts from slag or lack of fusion", corner.fromSlagOrFusion, (v) =>
                set({ corners: [{ ...corner, fromSlagOrFusion: v }] }),
              )}
            {question("Nothing else opened on the bent face or its corners", form.lookedOver, (v) =>
              set({ lookedOver: v }),
            )}
          </>
        )}
        {kind === "fillet-break" && (
          <>
            {question("Bent flat without breaking", form.bentFlat, (v) => set({ bentFlat: v }))}
            {!form.bentFlat && question("Fused to the root all along", form.fullFusion, (v) => set({ fullFusion: v }))}
            {!form.bentFlat && (
              <TextField
                id="largest"
                label="Largest inclusion or pore"
                span={6}
                value={form.largest}
                placeholder="0"
                problem={problems.largest}
                onChange={(v) => set({ largest: v })}
              />
            )}
            {!form.bentFlat && (
              <TextField
                id="sum"
                label="All together"
                span={6}
                value={form.sum}
                placeholder="0"
                problem={problems.sum}
                onChange={(v) => set({ sum: v })}
              />
            )}
          </>
        )}
        {kind === "nick-break" && (
          <>
            {question("Fused over the whole break", form.fullFusion, (v) => set({ fullFusion: v }))}
            {breaks.map(([f, label, hint]) => (
              <TextField
                key={f}
                id={`nick-${f}`}
                label={label}
                span={6}
                value={form[f]}
                placeholder={hint}
                problem={problems[f]}
                onChange={(v) => set({ [f]: v })}
              />
            ))}
          </>
        )}
        {kind === "macro" && (
          <>
            {question("Cracks", form.cracks, (v) => set({ cracks: v }))}
            {question("Fused between beads and to the plates", form.fullFusion, (v) => set({ fullFusion: v }))}
            {question("Fused to the root", form.fusedToRoot, (v) => set({ fusedToRoot: v }))}
            {question("Legs as required", form.legsAsRequired, (v) => set({ legsAsRequired: v }))}
            {question("Profile as required", form.profileAsRequired, (v) => set({ profileAsRequired: v }))}
            <TextField
              id="undercut"
              label="Undercut"
              span={4}
              value={form.undercut}
              placeholder="0"
              problem={problems.undercut}
              onChange={(v) => set({ undercut: v })}
            />
            <TextField
              id="specimen-throat"
              label="Throat"
              span={4}
              value={form.throat}
              placeholder="as read"
              problem={problems.throat}
              onChange={(v) => set({ throat: v })}
            />
            <TextField
              id="specimen-penetration"
              label="Penetration"
              span={4}
              value={form.penetration}
              placeholder="past the root"
              problem={problems.penetration}
              onChange={(v) => set({ penetration: v })}
            />
            <Cell span={12}>
              <MacroPicture onTake={(field, value) => set({ [field]: value })} />
            </Cell>
          </>
        )}
        {hand.error !== null && (
          <Cell span={12}>
            <p role="alert" className="fault">
              {saidBy(hand.error)}
            </p>
          </Cell>
        )}
        <Cell span={12}>
          <Flex wrap gap={8} align="center">
            <Button type="primary" htmlType="submit" disabled={hand.busy}>
              Record it
            </Button>
            <Button onClick={onDone}>Back</Button>
          </Flex>
        </Cell>
      </FormGrid>
    </form>
  );
}
