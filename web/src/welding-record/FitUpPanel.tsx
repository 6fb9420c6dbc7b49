import "./welding-record.css";
import { Button, Flex, Input } from "antd";
import { useState, type FormEvent } from "react";
import { api, problemsByField, saidBy, type WeldingRecord, type WeldingContent, type WeldingEntry } from "../lib/api";
import { numberOf, said, TextField, YesNo } from "../lib/fields";
import { InspectionItemLine } from "./InspectionItems";
import { placeOf, placeText } from "./place";
import { useWeldingChange } from "./useWeldingRecord";
import { newId } from "../lib/id";
import { Cell, FormGrid } from "../lib/FormGrid";

type Typed = Record<"place" | "opening" | "rootFace" | "angle" | "offset" | "backingGap", string>;
const empty: Typed = { place: "", opening: "", rootFace: "", angle: "", offset: "", backingGap: "" };

const questions: [string, string][] = [
  ["scale-off", "Rust and loose scale off"],
  ["tacks", "Tacks sound and placed"],
  ["square", "Square, or pre-set"],
];

/** What is measured and seen before welding, and what it asks of the weld. */
export function FitUpPanel({ welding, mayRecord }: { welding: WeldingRecord; mayRecord: boolean }) {
  const { act, fault, pending } = useWeldingChange(welding.jointId);
  const [typed, setTyped] = useState<Typed>(empty);
  const standing = welding.entries.filter((e) => !e.withdrawn);
  const readings = welding.entries.filter((e) => e.kind === "FIT_UP");
  const answerTo = (question: string) =>
    standing.find((e) => e.kind === "FIT_UP_ANSWER" && e.content.question === question);
  const local = questions.concat(
    standing.some((e) => e.kind === "FIT_UP" && e.content.from) ? [["tight-elsewhere", "Tight everywhere else"]] : [],
  );
  const may = mayRecord && !welding.signed;
  const read = async (e: FormEvent) => {
    e.preventDefault();
    const { place, angle, ...lengths } = typed;
    const content: WeldingContent = said({ ...placeOf(place), ...lengths, angle: numberOf(angle) });
    if (await act(() => api.made(welding.jointId, newId(), "FIT_UP", content))) setTyped(empty);
  };
  const answer = (question: string, more: WeldingContent) =>
    void act(() => api.made(welding.jointId, newId(), "FIT_UP_ANSWER", { question, ...more }));
  const problems = problemsByField(fault);
  const field = (name: keyof Typed, label: string, span: number, hint?: string) => (
    <TextField
      id={`fit-${name}`}
      label={label}
      span={span}
      value={typed[name]}
      placeholder={hint}
      problem={name === "place" ? (problems.at ?? problems.from ?? problems.to) : problems[name]}
      onChange={(v) => setTyped({ ...typed, [name]: v })}
    />
  );
  const inch = welding.units === "in";
  return (
    <section className="card panel" aria-label="Fit-up">
      <header>
        <h2>Fit-up</h2>
        {welding.fitUp.begun && <FitUpWord welding={welding} />}
      </header>
      <div className="body">
        {may && (
          <form onSubmit={(e) => void read(e)} aria-label="Read the fit-up">
            <FormGrid>
              {field("place", "At, or from–to", 4, inch ? "6 or 10-14" : "150, 0-90")}
              {field("opening", welding.fillet ? "Gap" : "Root opening", 4, inch ? "1/16" : "1.5")}
              {!welding.fillet && field("rootFace", "Root face", 4)}
              {!welding.fillet && field("angle", "Included angle, °", 4)}
              {!welding.fillet && field("offset", "Offset", 4)}
              {(welding.backing || !welding.fillet) && field("backingGap", "Gap to backing", 4)}
              <Cell span={4} bottom>
                <Button type="primary" htmlType="submit" disabled={pending}>
                  Record
                </Button>
              </Cell>
            </FormGrid>
          </form>
        )}
        {fault !== undefined && (
          <p role="alert" className="fault">
            {saidBy(fault)}
          </p>
        )}
        {welding.signed && <p className="hint small">An inspection is signed: the fit-up stands as it is.</p>}
        {welding.fitUp.stops && (
          <p role="alert" className="framed bad fault">
            Do not weld: refer it, or build up under an approved procedure, then read the fit-up again.
          </p>
        )}
        {!welding.fitUp.stops &&
          welding.fitUp.raised.map((r) => (
            <p key={r} className="marked hint">
              {r}
            </p>
          ))}
        {readings.map((e) => (
          <Made key={e.id} entry={e} may={may} act={act} jointId={welding.jointId} words={readingInWords(e)} />
        ))}
        <div>
          {local.map(([id, word]) => {
            const a = answerTo(id);
            return (
              <div className="item" key={id}>
                <span>{word}</span>
                <YesNo
                  word={word}
                  value={a?.content.asWanted}
                  disabled={!may}
                  onAnswer={(v) => answer(id, { asWanted: v })}
                />
              </div>
            );
          })}
          <Bright
            welding={welding}
            value={answerTo("bright-metal")?.content.depth}
            may={may}
            onAnswer={(depth) => answer("bright-metal", { depth })}
          />
        </div>
        <h3>What it comes to</h3>
        {!welding.fitUp.begun && <p className="quiet small">Nothing is read yet. No reading is not a pass.</p>}
        {welding.fitUp.begun &&
          welding.fitUp.items
            .filter((i) => i.verdict !== "not-applicable")
            .map((i) => <InspectionItemLine key={i.id} item={i} />)}
        <p className="cautions">
          Tolerances from memory of AWS D1.1; the joint’s own detail, the procedure and the Engineer decide.
        </p>
      </div>
    </section>
  );
}

export function FitUpWord({ welding }: { welding: WeldingRecord }) {
  const f = welding.fitUp;
  if (f.stops) return <b className="v-reject">✕ stops</b>;
  if (f.verdict === "reject") return <b className="v-reject">✕ does not hold</b>;
  if (f.verdict === "incomplete") return <b className="hint">not all inspected</b>;
  return <b className="v-accept">✓ holds</b>;
}

function Bright({
  welding,
  value,
  may,
  onAnswer,
}: {
  welding: WeldingRecord;
  value?: string;
  may: boolean;
  onAnswer: (v: string) => void;
}) {
  const [typed, setTyped] = useState(value ?? "");
  return (
    <div className="item">
      <label htmlFor="bright">Bright metal back, {welding.units}</label>
      <Input
        className="num-box"
        id="bright"
        disabled={!may}
        autoComplete="off"
        placeholder={welding.units === "in" ? "1/2 to 1" : "13 to 25"}
        value={typed}
        onChange={(e) => setTyped(e.target.value)}
        onBlur={() => typed.trim() !== "" && typed !== value && onAnswer(typed.trim())}
      />
    </div>
  );
}

/** One thing recorded, who did, and the way to take it off and back. */
export function Made({
  entry: e,
  words,
  may,
  act,
  jointId,
  onEdit,
  children,
}: {
  entry: WeldingEntry;
  words: React.ReactNode;
  may: boolean;
  act: (f: () => Promise<WeldingRecord>) => Promise<boolean>;
  jointId: string;
  onEdit?: () => void;
  children?: React.ReactNode;
}) {
  return (
    <div className={`item${e.withdrawn ? " off" : ""}`}>
      <span>
        {words}{" "}
        <span className="quiet small">
          {e.by}
          {e.withdrawnWhy && ` · ${e.withdrawnWhy}`}
        </span>
        {children}
      </span>
      {may && (
        <Flex vertical align="end">
          {e.withdrawn ? (
            <Button type="link" onClick={() => void act(() => api.restoreMade(jointId, e.id))}>
              undo
            </Button>
          ) : (
            <Button type="link" onClick={() => void act(() => api.takeOffMade(jointId, e))}>
              take off
            </Button>
          )}
          {!e.withdrawn && onEdit && (
            <Button type="link" onClick={onEdit}>
              change
            </Button>
          )}
        </Flex>
      )}
    </div>
  );
}

function readingInWords(e: WeldingEntry) {
  const c = e.content;
  const parts = [
    c.opening && `open ${c.opening}`,
    c.rootFace && `root face ${c.rootFace}`,
    c.angle !== undefined && `angle ${c.angle}°`,
    c.offset && `offset ${c.offset}`,
    c.backingGap && `to backing ${c.backingGap}`,
  ].filter(Boolean);
  return (
    <>
      <b>{placeText(c)}</b> {parts.join(", ")}
    </>
  );
}
