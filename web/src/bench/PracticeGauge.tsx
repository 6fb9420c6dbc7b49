import { Button } from "antd";
import { useRef, useState } from "react";
import { api, saidBy, type Bench, type GaugeReading } from "../lib/api";
import { placeOf } from "../lib/place";
import { typeLikeAGauge } from "./typing";

/** A stand-in for a digital gauge: it squeezes a made-up weld and types what it shows into the reading in focus. */
export function PracticeGauge({ bench, at, onClose }: { bench: Bench; at: string; onClose: () => void }) {
  const [last, setLast] = useState<GaugeReading & { measure: string }>();
  const [fault, setFault] = useState<unknown>();
  const number = useRef(0);
  const field = useRef<HTMLInputElement>(undefined);
  const read = async () => {
    const input = field.current ?? (document.activeElement as HTMLInputElement);
    const measure = input?.dataset?.["measure"];
    setFault(undefined);
    if (!input || !measure) {
      setFault(new Error("put the cursor into a reading first: legs, throat, crown, a depth"));
      return;
    }
    try {
      number.current += 1;
      const s = await api.read(bench.id, measure, placeOf(at, bench.joint.units) ?? 0, number.current);
      setLast({ ...s, measure });
      input.focus();
      typeLikeAGauge(input, s.text);
    } catch (e) {
      setFault(e);
    }
  };
  return (
    <section className="framed row" aria-label="Practice gauge">
      <div>
        <b>Practice gauge</b>
        <div className="small quiet">A made-up weld: a little noise, and one reading in twelve is badly seated.</div>
      </div>
      <output className="nc" aria-live="polite">
        {last?.text ?? "– – –"}
      </output>
      <Button
        type="primary"
        onPointerDown={(e) => {
          // the reading keeps its focus, as it does when a real gauge is squeezed
          e.preventDefault();
          const active = document.activeElement;
          field.current = active instanceof HTMLInputElement ? active : undefined;
        }}
        onClick={() => void read()}
      >
        Take a reading
      </Button>
      <span className="small grow">
        {fault !== undefined ? (
          <span className="fault">{saidBy(fault)}</span>
        ) : (
          last && (
            <>
              the weld is {last.truth} there{last.misSeated && <b className="hint"> · badly seated: read again</b>}
            </>
          )
        )}
      </span>
      <Button onClick={onClose}>Put it away</Button>
    </section>
  );
}
