import { Button, Input } from "antd";
import type { KindSpec } from "./kinds";

type RunProps = {
  run?: { also: string[]; step: string };
  spec: KindSpec;
  units: string;
  onRun: (r: { also: string[]; step: string } | undefined) => void;
  practice: boolean;
  onPractice: (on: boolean) => void;
};

/** Station after station: Enter goes from reading to reading and on to the next station, as a gauge that types sends it. */
export function Run({ run, spec, units, onRun, practice, onPractice }: RunProps) {
  const optional = spec.fields.filter((f) => f.measure && f.optional);
  return (
    <span className="row" role="group" aria-label="Run of stations">
      <Button
        type={run !== undefined ? "primary" : "default"}
        aria-pressed={run !== undefined}
        title="Enter goes to the next reading, then to the next station; a gauge that types does it by itself"
        onClick={() => onRun(run ? undefined : { also: [], step: "" })}
      >
        Run
      </Button>
      {run && (
        <>
          {optional.map((f) => (
            <Button
              type={run.also.includes(f.name) ? "primary" : "default"}
              key={f.name}
              aria-pressed={run.also.includes(f.name)}
              onClick={() =>
                onRun({
                  ...run,
                  also: run.also.includes(f.name) ? run.also.filter((x) => x !== f.name) : [...run.also, f.name],
                })
              }
            >
              + {f.label.toLowerCase()}
            </Button>
          ))}
          <label className="row">
            every{" "}
            <Input
              aria-label={`Stations every, ${units}`}
              className="num-box"
              value={run.step}
              placeholder="next"
              onChange={(e) => onRun({ ...run, step: e.target.value })}
            />{" "}
            {run.step !== "" && units}
          </label>
        </>
      )}
      {!practice && <Button onClick={() => onPractice(true)}>Practice gauge</Button>}
    </span>
  );
}
