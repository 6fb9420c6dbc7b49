import { Flex, Segmented, Slider } from "antd";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useMemo, useState } from "react";
import { api, saidBy } from "../lib/api";
import type { Exercise } from "../lib/api-practice";
import { showPlace } from "../lib/place";
import { Lit } from "../scan/Lit";
import { reliefOf, type Lamp } from "../scan/relief";

/** A view that is wider than this shows nothing of what matters: it does not count as seen. */
const nearEnough = 90;
const lookEvery = 4;

/** @property beside the lamp stands beside the surface, not under it */
type Props = { exercise: Exercise; open: boolean; place: number; beside: boolean };

/** The weld at the cursor under the lamp; what was in view long enough is told to the server. */
export function UnderTheLamp({ exercise: e, open, place, beside }: Props) {
  const madeUp = e.setting !== undefined;
  const surface = useQuery({
    queryKey: ["practice-surface", e.id],
    queryFn: () => api.practiceSurface(e.id, madeUp),
    staleTime: Infinity,
    gcTime: 60_000,
  });
  const [lamp, setLamp] = useState<Lamp>({ around: Math.PI * 0.9, up: 0.35 });
  const [reach, setReach] = useState(85);
  const [from, setFrom] = useState(0);
  const queries = useQueryClient();
  const { fillet } = e;
  const relief = useMemo(() => surface.data && reliefOf(surface.data, fillet, 1), [surface.data, fillet]);
  useEffect(() => {
    if (!open || reach > nearEnough) return;
    const timer = window.setInterval(() => {
      if (document.visibilityState !== "visible") return;
      // what is not stored is looked at again: nothing is said of it here
      api.lookedAt(e.id, Math.max(0, place - reach / 2), Math.min(e.length, place + reach / 2), lookEvery).then(
        () => queries.invalidateQueries({ queryKey: ["exercise", e.id] }),
        () => undefined,
      );
    }, lookEvery * 1000);
    return () => window.clearInterval(timer);
  }, [e.id, e.length, open, place, reach, queries]);
  return (
    <div className={beside ? "halves wide-left bare" : "body"}>
      <div>
        {surface.isError && <p className="fault">{saidBy(surface.error)}</p>}
        {relief && (
          <Lit relief={relief} lamp={lamp} onLamp={setLamp} byHeight={false} cursor={place} reach={reach} from={from} />
        )}
      </div>
      <div role="region" aria-label="Lamp" tabIndex={0}>
        <Flex gap={18} align="center" wrap>
          <Flex vertical flex="1 1 130px">
            In view: {showPlace(reach, e.units)} {e.units}
            <Slider
              min={15}
              max={Math.max(nearEnough, Math.round(e.length))}
              value={reach}
              ariaLabelForHandle="Stretch in view"
              tooltip={{ open: false }}
              onChange={setReach}
            />
          </Flex>
          <Flex vertical flex="1 1 130px">
            Lamp {Math.round((lamp.up * 180) / Math.PI)}° high
            <Slider
              min={3}
              max={85}
              value={Math.round((lamp.up * 180) / Math.PI)}
              ariaLabelForHandle="Height of the lamp, degrees"
              tooltip={{ open: false }}
              onChange={(v) => setLamp({ ...lamp, up: (v * Math.PI) / 180 })}
            />
          </Flex>
          <Segmented
            aria-label="Seen from"
            value={from}
            options={[
              { value: -50, label: e.toes[0]?.name ?? "A" },
              { value: 0, label: "above" },
              { value: 50, label: e.toes[1]?.name ?? "B" },
            ]}
            onChange={setFrom}
          />
        </Flex>
      </div>
    </div>
  );
}
