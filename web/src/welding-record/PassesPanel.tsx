import { Button } from "antd";
import { useState, type FormEvent } from "react";
import {
  api,
  problemsByField,
  saidBy,
  type WeldingRecord,
  type WeldingContent,
  type WeldingEntry,
  type WeldingForm,
} from "../lib/api";
import { ChoiceField, numberOf, said, TextField } from "../lib/fields";
import { Made } from "./FitUpPanel";
import { useWeldingChange } from "./useWeldingRecord";
import { newId } from "../lib/id";

const rods = ["E6010", "E6011", "E6013", "E7014", "E7018", "E7024"];
const diameters: Record<string, string[]> = { in: ["3/32", "1/8", "5/32", "3/16"], mm: ["2.5", "3.2", "4", "5"] };
const choices = (list: string[]) => list.map((v) => [v, v || "–"] as const);

type Typed = Record<
  | "kind"
  | "electrode"
  | "diameter"
  | "amps"
  | "volts"
  | "speed"
  | "runLength"
  | "polarity"
  | "technique"
  | "progression"
  | "temperatureF"
  | "arcForce"
  | "starts"
  | "stops"
  | "beadWidth"
  | "cleaned"
  | "welder",
  string
>;
const empty: Typed = {
  kind: "root",
  electrode: "E7018",
  diameter: "",
  amps: "",
  volts: "",
  speed: "",
  runLength: "",
  polarity: "",
  technique: "",
  progression: "",
  temperatureF: "",
  arcForce: "",
  starts: "",
  stops: "",
  beadWidth: "",
  cleaned: "",
  welder: "",
};
const numbers = ["amps", "volts", "arcForce", "temperatureF"] as const;
/** What a procedure says and a copy takes over. */
const copied = [
  "electrode",
  "diameter",
  "amps",
  "volts",
  "polarity",
  "progression",
  "technique",
  "speed",
  "temperatureF",
] as const;

/** What was actually used, pass by pass, and where it departs; it is what the causes are traced from. */
export function PassesPanel({
  welding,
  mayRecord,
  brief = false,
}: {
  welding: WeldingRecord;
  mayRecord: boolean;
  brief?: boolean;
}) {
  const { act, fault } = useWeldingChange(welding.jointId);
  const [editing, setEditing] = useState<WeldingEntry>();
  const passes = welding.entries.filter((e) => e.kind === "PASS");
  const standing = passes.filter((e) => !e.withdrawn);
  const put = async (content: WeldingContent) => {
    const done = await act(() => api.made(welding.jointId, editing?.id ?? newId(), "PASS", content, editing?.version));
    if (done) setEditing(undefined);
    return done;
  };
  return (
    <>
      {passes.length === 0 && (
        <p className="quiet" style={{ margin: "10px 0" }}>
          No pass is recorded. Without amps and speed no single cause can be named as the one.
        </p>
      )}
      {passes.map((e) => (
        <Made
          key={e.id}
          entry={e}
          may={mayRecord}
          act={act}
          jointId={welding.jointId}
          onEdit={() => setEditing(e)}
          words={
            <>
              <b>{e.withdrawn ? "" : `${standing.indexOf(e) + 1}. `}</b>
              <PassInWords content={e.content} />
            </>
          }
        >
          {welding.departures
            .filter((d) => d.entry === e.id && (d.fault || !e.content.plannedFields?.length))
            .map((d) => (
              <Departure key={d.line} line={d.line} fault={d.fault} />
            ))}
        </Made>
      ))}
      {welding.departures
        .filter((d) => !d.entry)
        .map((d) => (
          <Departure key={d.line} line={d.line} fault={d.fault} />
        ))}
      {mayRecord && (
        <PassForm
          key={`${editing?.id} ${editing?.version} ${standing.length}`}
          welding={welding}
          last={standing.at(-1)?.content}
          editing={editing?.content}
          fault={fault}
          brief={brief}
          onPut={put}
          onLeave={() => setEditing(undefined)}
        />
      )}
      {mayRecord && (
        <Whole welding={welding} onStore={(w) => act(() => api.whole(welding.jointId, welding.version, w))} />
      )}
      {fault !== undefined && (
        <p role="alert" className="fault">
          {saidBy(fault)}
        </p>
      )}
      <p className="cautions">
        Rod ranges from memory of the filler-metal specification’s annex and handbooks: the procedure and the maker’s
        box label go first.
      </p>
    </>
  );
}

function Departure({ line, fault }: { line: string; fault: boolean }) {
  return (
    <div className={`small ${fault ? "fault" : "hint"}`}>
      {fault ? "✕" : "!"} {line}
    </div>
  );
}

const shown: [keyof WeldingContent, string][] = [
  ["diameter", ""],
  ["electrode", ""],
  ["amps", " A"],
  ["volts", " V"],
  ["polarity", ""],
  ["speed", ""],
  ["runLength", " a rod"],
  ["technique", ""],
  ["progression", ""],
  ["temperatureF", " °F"],
  ["arcForce", " arc force"],
];

/** A pass in a line; what nobody measured yet is set apart. */
function PassInWords({ content: c }: { content: WeldingContent }) {
  const planned = c.plannedFields ?? [];
  const word = ([f, unit]: (typeof shown)[number]) => `${inText(c[f])}${unit}`;
  const there = shown.filter(([f]) => c[f] !== undefined);
  const measured = there.filter(([f]) => !planned.includes(f)).map(word);
  const copies = there.filter(([f]) => planned.includes(f)).map(word);
  const more = [
    c.starts?.length && `starts ${c.starts.join(", ")}`,
    c.stops?.length && `stops ${c.stops.join(", ")}`,
    c.beadWidth && `bead ${c.beadWidth}`,
    c.cleaned !== undefined && (c.cleaned ? "cleaned" : "not cleaned"),
    c.welder && `by ${c.welder}`,
  ].filter(Boolean);
  return (
    <>
      <b>{c.kind}</b> {[...measured, ...more].join(", ")}
      {copies.length > 0 && <span className="planned">planned, not measured: {copies.join(", ")}</span>}
    </>
  );
}

function PassForm({
  welding,
  last,
  editing,
  fault,
  brief,
  onPut,
  onLeave,
}: {
  welding: WeldingRecord;
  last?: WeldingContent;
  editing?: WeldingContent;
  fault: unknown;
  brief: boolean;
  onPut: (c: WeldingContent) => Promise<boolean>;
  onLeave: () => void;
}) {
  const [typed, setTyped] = useState<Typed>(() =>
    editing
      ? typedOf(editing)
      : {
          ...empty,
          kind: last ? "fill" : "root",
          electrode: last?.electrode ?? empty.electrode,
          diameter: last?.diameter ?? "",
          polarity: last?.polarity ?? "",
          welder: welding.welder ?? "",
        },
  );
  const [planned, setPlanned] = useState<string[]>(editing?.plannedFields ?? []);
  const [noNumber, setNoNumber] = useState<string>();
  const set = (field: keyof Typed, value: string) => {
    setTyped({ ...typed, [field]: value });
    setPlanned(planned.filter((f) => f !== field)); // what a hand changed was measured
  };
  const copy = (i: number) => {
    const from = welding.procedure?.passes[i];
    if (!from) return;
    const values = Object.fromEntries(copied.filter((f) => from[f] !== undefined).map((f) => [f, String(from[f])]));
    setTyped({ ...typed, ...values, kind: from.kind });
    setPlanned(Object.keys(values));
  };
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    const { starts, stops, cleaned, ...rest } = typed;
    const content: WeldingContent = said(rest as unknown as WeldingContent);
    for (const f of numbers) {
      const n = numberOf(typed[f].replace(/ *(A|V|°?F)$/i, ""));
      if (n !== undefined && !isFinite(n)) return setNoNumber(f);
      if (n !== undefined) content[f] = n;
    }
    setNoNumber(undefined);
    if (starts.trim()) content.starts = placesOf(starts);
    if (stops.trim()) content.stops = placesOf(stops);
    if (cleaned) content.cleaned = cleaned === "true";
    if (planned.length > 0) content.plannedFields = planned.filter((f) => f in content);
    if (await onPut(content)) setPlanned([]);
  };
  const problems = problemsByField(fault);
  const hint = (f: string) => (planned.includes(f) ? "planned" : undefined);
  const text = (f: keyof Typed, label: string, span: number, placeholder?: string) => (
    <TextField
      id={`pass-${f}`}
      label={label}
      span={span}
      value={typed[f]}
      placeholder={placeholder}
      hint={hint(f)}
      problem={noNumber === f ? "a number, as the meter shows it" : problems[f]}
      onChange={(v) => set(f, v)}
    />
  );
  const choice = (f: keyof Typed, label: string, span: number, options: string[]) => (
    <ChoiceField
      id={`pass-${f}`}
      label={label}
      span={span}
      value={typed[f]}
      hint={hint(f)}
      problem={problems[f]}
      options={choices(typed[f] === "" || options.includes(typed[f]) ? options : [...options, typed[f]])}
      onChange={(v) => set(f, v)}
    />
  );
  return (
    <form onSubmit={(e) => void submit(e)} aria-label="Record a pass" className="passes">
      {(welding.procedure?.passes.length ?? 0) > 0 && (
        <div className="kinds">
          <span className="small quiet" style={{ alignSelf: "center" }}>
            Copy from {welding.procedure?.name}:
          </span>
          {welding.procedure?.passes.map((p, i) => (
            <Button key={i} title={p.ranges} onClick={() => copy(i)}>
              {p.kind}
            </Button>
          ))}
        </div>
      )}
      <div className="grid">
        {choice("kind", "Pass", 3, ["root", "hot", "fill", "cap"])}
        {choice("electrode", "Rod", 3, rods)}
        {choice("diameter", "Diameter", 3, ["", ...(diameters[welding.units] ?? [])])}
        {text("amps", "Amps", 3)}
        {choice("polarity", "Polarity", 3, ["", "DCEP", "DCEN", "AC"])}
        {choice("technique", "Beads", 3, ["", "stringer", "weave"])}
        {choice("progression", "Vertical", 3, ["", "up", "down"])}
        {!brief && text("volts", "Volts", 3)}
        {!brief && text("speed", "Travel", 3, welding.units === "in" ? "6 in/min" : "150 mm/min")}
        {!brief && text("runLength", "Run a rod", 3)}
        {!brief && text("temperatureF", "Steel at, °F", 3)}
        {!brief && text("arcForce", "Arc force", 3)}
        {!brief && text("starts", "Starts at", 4, welding.units === "in" ? "0, 8, 16" : "0, 200")}
        {!brief && text("stops", "Stops at", 4)}
        {!brief && text("beadWidth", "Bead width", 4)}
        {!brief && (
          <ChoiceField
            id="pass-cleaned"
            label="Cleaned"
            span={3}
            value={typed.cleaned}
            options={[
              ["", "–"],
              ["true", "yes"],
              ["false", "no"],
            ]}
            onChange={(v) => set("cleaned", v)}
          />
        )}
        {!brief && text("welder", "Welder", 3)}
        <div className="row" style={{ gridColumn: "span 6", alignSelf: "end" }}>
          <Button type="primary" htmlType="submit">
            {editing ? "Store the pass" : "Record the pass"}
          </Button>
          {editing && (
            <Button type="link" onClick={onLeave}>
              leave
            </Button>
          )}
        </div>
      </div>
      {planned.length > 0 && (
        <p className="hint small">
          Values marked planned are the procedure’s. Type over what you read yourself; what you leave stays planned, not
          measured.
        </p>
      )}
    </form>
  );
}

function placesOf(text: string): string[] {
  return text
    .split(/[,;]/)
    .map((s) => s.trim())
    .filter((s) => s !== "");
}

function typedOf(c: WeldingContent): Typed {
  return Object.fromEntries(Object.keys(empty).map((f) => [f, inText(c[f as keyof WeldingContent])])) as Typed;
}

/** A number, a word or a list of words, as a field has it. */
function inText(v: WeldingContent[keyof WeldingContent]): string {
  if (Array.isArray(v)) return v.filter((x) => typeof x === "string").join(", ");
  return v === undefined ? "" : String(v);
}

/** What holds for the weld as a whole. */
function Whole({ welding, onStore }: { welding: WeldingRecord; onStore: (f: WeldingForm) => Promise<boolean> }) {
  const form = welding.whole;
  const [hours, setHours] = useState(
    form.electrodeExposureHours === undefined ? "" : String(form.electrodeExposureHours),
  );
  const n = numberOf(hours);
  const clock = welding.rods.length > 0;
  return (
    <div className="grid whole">
      <ChoiceField
        id="arc"
        label="Arc was held"
        span={4}
        value={form.arcLength}
        options={choices(["", "short", "normal", "long"])}
        onChange={(v) => void onStore({ ...form, arcLength: v === "" ? undefined : v })}
      />
      <ChoiceField
        id="scale"
        label="Scale was off"
        span={4}
        value={form.millScaleRemoved === undefined ? "" : String(form.millScaleRemoved)}
        options={[
          ["", "–"],
          ["true", "yes"],
          ["false", "no"],
        ]}
        onChange={(v) => void onStore({ ...form, millScaleRemoved: v === "" ? undefined : v === "true" })}
      />
      {!clock && (
        <TextField
          id="out"
          label="Rods out, hours"
          span={4}
          value={hours}
          problem={n !== undefined && !isFinite(n) ? "a number of hours" : undefined}
          onChange={setHours}
          onBlur={() =>
            (n === undefined || isFinite(n)) &&
            n !== form.electrodeExposureHours &&
            void onStore({ ...form, electrodeExposureHours: n })
          }
        />
      )}
    </div>
  );
}
