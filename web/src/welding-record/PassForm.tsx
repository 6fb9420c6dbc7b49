import { useQuery } from "@tanstack/react-query";
import { Button, Flex } from "antd";
import { useState, type FormEvent } from "react";
import { api, problemsByField, type WeldingContent, type WeldingRecord } from "../lib/api";
import { ChoiceField, numberOf, said, TextField } from "../lib/fields";
import { arcForceOf, inText } from "./pass-text";
import { PassChanges } from "./PassChanges";
import { SeenAngles } from "./SeenAngles";
import { Cell, FormGrid } from "../lib/FormGrid";

const rods = ["E6010", "E6011", "E6013", "E7014", "E7018", "E7024"];
const diameters: Record<string, string[]> = { in: ["3/32", "1/8", "5/32", "3/16"], mm: ["2.5", "3.2", "4", "5"] };
const processes = [
  ["", "stick"],
  ["GTAW", "GTAW (TIG)"],
  ["GMAW", "GMAW (MIG)"],
  ["FCAW", "FCAW"],
] as const;
const choices = (list: string[]) => list.map((v) => [v, v || "–"] as const);

type Typed = Record<
  | "kind"
  | "process"
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
  | "arcForceShown"
  | "machine"
  | "starts"
  | "stops"
  | "beadWidth"
  | "workAngle"
  | "travelAngle"
  | "cover"
  | "hotStart"
  | "ampsAtArc"
  | "restarts"
  | "cleaned"
  | "welder",
  string
>;
const empty: Typed = {
  kind: "root",
  process: "",
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
  arcForceShown: "",
  machine: "",
  starts: "",
  stops: "",
  beadWidth: "",
  workAngle: "",
  travelAngle: "",
  cover: "",
  hotStart: "",
  ampsAtArc: "",
  restarts: "",
  cleaned: "",
  welder: "",
};
const numbers = [
  "amps",
  "volts",
  "arcForceShown",
  "temperatureF",
  "workAngle",
  "travelAngle",
  "cover",
  "hotStart",
  "ampsAtArc",
] as const;
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

/** One pass as it was run; what is copied from the procedure stays marked until a hand types over it. */
export function PassForm({
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
          polarity: last?.polarity ?? welding.firstRod.content?.polarity ?? "",
          machine: last?.machine ?? welding.firstRod.content?.machine ?? "",
          welder: welding.welder ?? "",
        },
  );
  const known = useQuery({ queryKey: ["machines"], queryFn: api.machines, enabled: !brief });
  const machines = (known.data ?? []).map((m) => m.form.name ?? "");
  const [planned, setPlanned] = useState<string[]>(editing?.plannedFields ?? []);
  const [noNumber, setNoNumber] = useState<string>();
  const [seen, setSeen] = useState(editing?.angles ?? []);
  const [changes, setChanges] = useState(editing?.changes ?? []);
  const [more, setMore] = useState(false);
  const set = (field: keyof Typed, value: string) => {
    setTyped({ ...typed, [field]: value });
    setPlanned(planned.filter((f) => f !== field)); // what a hand changed was measured
  };
  const copy = (i: number) => {
    const from = welding.procedure?.passes[i];
    if (!from) return;
    const values = Object.fromEntries(copied.filter((f) => from[f] !== undefined).map((f) => [f, String(from[f])]));
    setTyped({ ...typed, ...values, kind: from.kind, process: from.process === "SMAW" ? "" : from.process });
    setPlanned(Object.keys(values));
  };
  const submit = async (e: FormEvent) => {
    e.preventDefault();
    const { starts, stops, restarts, cleaned, ...rest } = typed;
    const content: WeldingContent = said(rest as unknown as WeldingContent);
    if (typed.machine) delete content.arcForceShown;
    for (const f of numbers) {
      if (f === "arcForceShown" && typed.machine) continue;
      const n = numberOf(typed[f].replace(/ *(A|V|°?F|°|%)$/i, ""));
      if (n !== undefined && !isFinite(n)) return setNoNumber(f);
      if (n !== undefined) content[f] = n;
    }
    if (seen.some((a) => Number.isNaN(a.work) || Number.isNaN(a.travel))) return setNoNumber("angles");
    setNoNumber(undefined);
    if (typed.machine) Object.assign(content, arcForceOf(typed.arcForceShown));
    if (!content.machine && content.arcForceShown !== undefined) {
      content.arcForce = content.arcForceShown; // without a machine's scale it is a share of it
      delete content.arcForceShown;
    }
    if (starts.trim()) content.starts = placesOf(starts);
    if (stops.trim()) content.stops = placesOf(stops);
    if (restarts.trim()) content.restarts = placesOf(restarts);
    if (changes.length > 0) content.changes = changes;
    if (seen.length > 0) content.angles = seen;
    if (cleaned) content.cleaned = cleaned === "true";
    if (planned.length > 0) content.plannedFields = planned.filter((f) => f in content);
    if (await onPut(content)) setPlanned([]);
  };
  const problems = problemsByField(fault);
  const angles = welding.angles.find((a) => a.kind === typed.kind)?.planned ?? [];
  const stick = typed.process === "" || typed.process === "SMAW";
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
    <form onSubmit={(e) => void submit(e)} aria-label="Record a pass">
      {(welding.procedure?.passes.length ?? 0) > 0 && (
        <Flex wrap gap={6}>
          <span className="small quiet">Copy from {welding.procedure?.name}:</span>
          {welding.procedure?.passes.map((p, i) => (
            <Button key={i} title={p.ranges} onClick={() => copy(i)}>
              {p.kind}
            </Button>
          ))}
        </Flex>
      )}
      <FormGrid>
        {choice("kind", "Pass", 3, ["root", "hot", "fill", "cap"])}
        {stick ? choice("electrode", "Rod", 3, rods) : text("electrode", "Filler", 3, "ER70S-2")}
        {choice("diameter", "Diameter", 3, ["", ...(diameters[welding.units] ?? [])])}
        {text("amps", "Amps", 3)}
        {choice("polarity", "Polarity", 3, ["", "DCEP", "DCEN", "AC"])}
        {choice("technique", "Beads", 3, ["", "stringer", "weave"])}
        {choice("progression", "Vertical", 3, ["", "up", "down"])}
        {!brief && (
          <ChoiceField
            id="pass-process"
            label="By"
            span={3}
            value={typed.process}
            options={processes}
            problem={problems.process}
            onChange={(v) => {
              setTyped({ ...typed, process: v, electrode: v === "" ? "E7018" : "" });
              setPlanned(planned.filter((f) => f !== "electrode"));
            }}
          />
        )}
        {!brief && text("volts", "Volts", 3)}
        {!brief && text("speed", "Travel", 3, welding.units === "in" ? "6 in/min" : "150 mm/min")}
        {!brief && text("runLength", "Run a rod", 3)}
        {!brief && text("temperatureF", "Steel at, °F", 3)}
        {!brief && choice("machine", "Machine", 6, ["", ...machines])}
        {!brief && text("arcForceShown", typed.machine ? "Arc force, as it shows" : "Arc force, %", 6)}
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
        {more && (
          <>
            {text("ampsAtArc", "Amps at the arc", 6)}
            {text("hotStart", "Hot start, %", 4)}
            {text("cover", "Covers, %", 4)}
            {text("restarts", "Restarts at", 4)}
            {text("workAngle", "Work angle, °", 6, "45")}
            {text("travelAngle", "Travel angle, °", 6, "10 dragged, -5 pushed")}
            {welding.drawing.clock.length > 0 && (
              <SeenAngles
                seen={seen}
                welding={welding}
                problem={noNumber === "angles" ? "a number of degrees" : problems.angles}
                onChange={setSeen}
              />
            )}
            <Cell span={12}>
              {angles.map((a) => (
                <p key={a} className="small">
                  <b>Planned:</b> {a}
                </p>
              ))}
              {typed.kind === "root" &&
                welding.openRoot.map((line) => (
                  <p key={line} className="small">
                    {line}
                  </p>
                ))}
            </Cell>
            <PassChanges changes={changes} problems={problems} onChange={setChanges} />
          </>
        )}
        <Cell span={6} bottom>
          <Flex wrap gap={8} align="center">
            <Button type="primary" htmlType="submit">
              {editing ? "Store the pass" : "Record the pass"}
            </Button>
            {!brief && !more && (
              <Button type="link" onClick={() => setMore(true)}>
                more
              </Button>
            )}
            {editing && (
              <Button type="link" onClick={onLeave}>
                leave
              </Button>
            )}
          </Flex>
        </Cell>
      </FormGrid>
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
  const typed = Object.fromEntries(Object.keys(empty).map((f) => [f, inText(c[f as keyof WeldingContent])])) as Typed;
  return { ...typed, arcForceShown: inText(c.machine ? (c.arcForceShown ?? c.arcForceWord) : c.arcForce) };
}
