import { holds } from "../lib/roles";
import { Button, Input } from "antd";
import { useQuery } from "@tanstack/react-query";
import { useState } from "react";
import { Link } from "react-router";
import { api, saidBy, type Bench, type Conditions } from "../lib/api";
import { YesNo } from "../lib/fields";
import { useActor } from "../lib/session";
import { useWaiting, type Doing } from "./useBench";

/** The "ready to look?" answers: each is given once, and makes the readiness. */
export function Ready({ bench, doing, disabled }: { bench: Bench; doing: Doing; disabled: boolean }) {
  const actor = useActor();
  const { waiting } = useWaiting(bench.id);
  const [fault, setFault] = useState<unknown>();
  const kit = useQuery({ queryKey: ["kit"], queryFn: api.kit, enabled: holds(actor, "INSPECTOR") });
  // what waits for the network is shown as answered: nobody is asked twice
  const c: Conditions = waiting.reduce(
    (c, w) => (w.step.do === "conditions" ? { ...c, ...w.step.part } : c),
    bench.conditions,
  );
  const answer = (part: Partial<Conditions>) => {
    doing.act({ do: "conditions", part }, "ready to inspect").then(() => setFault(undefined), setFault);
  };
  const finding = bench.evaluation.findings.find((f) => f.id === "readiness");
  const ready = finding?.verdict === "accept";
  const [shown, setShown] = useState(!ready);
  if (!shown)
    return (
      <section aria-label="Ready to inspect" className="item">
        <span>
          <b>Ready to inspect</b>
          <div className="small quiet">
            {["cleaned, at ambient", c.lightLevel && `light ${c.lightLevel}`, bench.gaugeNames.join(", ")]
              .filter(Boolean)
              .join("; ")}
          </div>
        </span>
        <Button type="link" onClick={() => setShown(true)}>
          change
        </Button>
      </section>
    );
  const question = (
    word: string,
    field: "cleaned" | "ambient" | "coated" | "light" | "near" | "inCalibration" | "reverseFace" | "groundPlaces",
  ) => (
    <div className="item">
      <span>{word}</span>
      <YesNo word={word} value={c[field]} disabled={disabled} onAnswer={(v) => answer({ [field]: v })} />
    </div>
  );
  return (
    <section aria-label="Ready to inspect">
      <h3>Ready to inspect? {ready && <span className="v-accept">✓ Yes</span>}</h3>
      {!ready && finding && finding.verdict === "reject" && <p className="small fault">{finding.reason}</p>}
      {bench.joint.form.delayed === true && <Wait bench={bench} disabled={disabled} onAnswer={answer} />}
      {question("Cleaned", "cleaned")}
      {question("At ambient", "ambient")}
      {question("Coated", "coated")}
      {question("Enough light", "light")}
      {question("Eye within 24 in, 30° up", "near")}
      {bench.gaugeNames.length === 0 && (kit.data?.length ?? 0) > 0 ? (
        <div className="item">
          <span>Gauges used</span>
          <Button disabled={disabled} onClick={() => answer({ gauges: kit.data })}>
            today’s kit ({kit.data?.length})
          </Button>
        </div>
      ) : bench.gaugeNames.length > 0 ? (
        <div className="item">
          <span className="small">
            {c.inCalibration === false ? (
              <b className="fault">✕ not in calibration</b>
            ) : (
              <b className="v-accept">✓ in calibration</b>
            )}
            <div className="quiet">{bench.gaugeNames.join(", ")}</div>
          </span>
          <Button type="link" disabled={disabled} onClick={() => answer({ forget: ["gauges", "inCalibration"] })}>
            others
          </Button>
        </div>
      ) : (
        <>
          {question("Gauges in calibration", "inCalibration")}
          <Link className="small" to="/gauges">
            or take today’s kit
          </Link>
        </>
      )}
      {bench.again && (
        <>
          {question("Reverse face inspected", "reverseFace")}
          {c.reverseFace === false && (
            <Noted
              word="Reverse covered by"
              field="reverseBy"
              value={c.reverseBy}
              hint="UT report 12"
              disabled={disabled}
              onNote={answer}
            />
          )}
          {question("Ground and clamp places", "groundPlaces")}
        </>
      )}
      <Noted
        word="Light level"
        field="lightLevel"
        value={c.lightLevel}
        hint="100 fc"
        disabled={disabled}
        onNote={answer}
      />
      <Noted
        word="Access"
        field="access"
        value={c.access}
        hint="scaffold, both sides"
        disabled={disabled}
        onNote={answer}
      />
      {fault !== undefined && (
        <p role="alert" className="fault small">
          {saidBy(fault)}
        </p>
      )}
      {ready && (
        <Button type="link" onClick={() => setShown(false)}>
          done
        </Button>
      )}
    </section>
  );
}

/** Something noted in words; emptied, it is taken back. */
function Noted({
  word,
  field,
  value,
  hint,
  disabled,
  onNote,
}: {
  word: string;
  field: "lightLevel" | "access" | "reverseBy";
  value?: string;
  hint: string;
  disabled: boolean;
  onNote: (c: Partial<Conditions>) => void;
}) {
  const [typed, setTyped] = useState(value ?? "");
  const note = () => {
    if (typed.trim() === (value ?? "")) return;
    onNote(typed.trim() === "" ? { forget: [field] } : { [field]: typed.trim() });
  };
  return (
    <div className="item">
      <label htmlFor={field}>{word}</label>
      <Input
        className="box"
        id={field}
        placeholder={hint}
        autoComplete="off"
        value={typed}
        disabled={disabled}
        onChange={(e) => setTyped(e.target.value)}
        onBlur={note}
      />
    </div>
  );
}

/** The wait of delayed steels: it runs by itself from the welding date, else the hours are typed. */
function Wait({
  bench,
  disabled,
  onAnswer,
}: {
  bench: Bench;
  disabled: boolean;
  onAnswer: (c: Partial<Conditions>) => void;
}) {
  const stands = bench.conditions.hoursSinceWelding;
  const [hours, setHours] = useState(stands === undefined ? "" : String(stands));
  if (bench.welding.weldedAt)
    return (
      <div className="item">
        <span>Since welding</span>
        <b className={(stands ?? 0) < 48 ? "hint" : "v-accept"}>
          {(stands ?? 0) < 48 ? `${stands ?? 0} h of 48` : `✓ ${stands ?? 0} h`}
        </b>
      </div>
    );
  return (
    <div className="item">
      <label htmlFor="hours">Hours since welding</label>
      <Input
        className="num-box"
        id="hours"
        value={hours}
        disabled={disabled}
        onChange={(e) => setHours(e.target.value)}
        onBlur={() =>
          onAnswer(
            hours.trim() === ""
              ? { forget: ["hoursSinceWelding"] }
              : { hoursSinceWelding: Number(hours.replace(",", ".")) },
          )
        }
      />
    </div>
  );
}
