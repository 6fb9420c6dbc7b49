import { App, Button, Flex, Input, Segmented, Select, Slider, Tabs } from "antd";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useMemo, useState, type ReactNode } from "react";
import { useParams } from "react-router";
import { api, saidBy } from "../lib/api";
import type { Exercise } from "../lib/api-practice";
import { newId } from "../lib/id";
import { showPlace } from "../lib/place";
import { useActor } from "../lib/session";
import { StripView } from "../lib/StripView";
import { TopBar } from "../lib/TopBar";
import { VerdictMark } from "../lib/VerdictMark";
import { Lit } from "../scan/Lit";
import { reliefOf, type Lamp } from "../scan/relief";
import { Explained } from "./Explained";

/** A view that is wider than this shows nothing of what matters: it does not count as seen. */
const nearEnough = 90;
const lookEvery = 4;

/** A made-up weld: seen under a lamp, gauged, recorded, handed in; then explained. */
export default function PracticeBench() {
  const { id = "" } = useParams();
  const exercise = useQuery({ queryKey: ["exercise", id], queryFn: () => api.exercise(id) });
  const e = exercise.data;
  return (
    <div className="app">
      <TopBar rooms />
      {exercise.isError && (
        <main className="halves">
          <section className="card side">
            <p role="alert" className="fault">
              {saidBy(exercise.error)}
            </p>
          </section>
        </main>
      )}
      {e && <At key={e.id} exercise={e} />}
    </div>
  );
}

function At({ exercise: e }: { exercise: Exercise }) {
  const [place, setPlace] = useState(Math.min(35, e.length / 2));
  const actor = useActor();
  const queries = useQueryClient();
  const change = useMutation({
    mutationFn: (act: () => Promise<Exercise>) => act(),
    onSuccess: (now) => {
      queries.setQueryData(["exercise", e.id], now);
      return queries.invalidateQueries({ queryKey: ["exercises"] });
    },
  });
  const open = e.handedAt === undefined && e.person === actor.name;
  const units = e.setting.units ?? "in";
  return (
    <main className="halves wide-left">
      <section className="card panel" aria-label="The weld">
        <Seen exercise={e} open={open} place={place} onPlace={setPlace}>
          <StripView strip={e.strip} units={units} cursor={place} onCursor={setPlace} look={e.id} />
        </Seen>
      </section>
      <section className="card panel" aria-label="The record">
        <header>
          <h2>
            {e.study ? `Weld ${e.study.place} of ${e.study.of}` : e.weld}
            {e.study && <span className="small quiet"> {e.study.title}</span>}
          </h2>
          <VerdictMark verdict={e.verdict} size={22} />
        </header>
        <div className="body" role="region" aria-label="What is recorded" tabIndex={0}>
          <p className="small quiet">
            {e.study && `${e.weld}. `}
            {e.code}. {open ? "Nobody has seen it. " : `${e.person}. `}
            {minutes(e.seconds)} looked.
          </p>
          {change.isError && (
            <p role="alert" className="fault">
              {saidBy(change.error)}
            </p>
          )}
          {open && <Hand exercise={e} place={place} act={change.mutateAsync} />}
          {e.solution ? (
            <Explained exercise={e} solution={e.solution} place={place} onPlace={setPlace} />
          ) : (
            <>
              {!open && <p>Handed in. The solution is shown when everybody has handed in.</p>}
              <Recorded exercise={e} open={open} act={change.mutateAsync} />
            </>
          )}
        </div>
      </section>
    </main>
  );
}

const minutes = (seconds: number) =>
  seconds < 60 ? `${seconds} s` : `${Math.floor(seconds / 60)} min ${seconds % 60} s`;

type SeenProps = {
  exercise: Exercise;
  open: boolean;
  place: number;
  onPlace: (mm: number) => void;
  children: ReactNode;
};

/** The weld under the lamp; what was in view long enough is told to the server. */
function Seen({ exercise: e, open, place, onPlace, children }: SeenProps) {
  const surface = useQuery({
    queryKey: ["practice-surface", e.id],
    queryFn: () => api.practiceSurface(e.id),
    staleTime: Infinity,
    gcTime: 60_000,
  });
  const [lamp, setLamp] = useState<Lamp>({ around: Math.PI * 0.9, up: 0.35 });
  const [reach, setReach] = useState(70);
  const [from, setFrom] = useState(0);
  const queries = useQueryClient();
  const fillet = e.setting.joint === "tee";
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
  const units = e.setting.units ?? "in";
  return (
    <>
      <div>
        {surface.isError && <p className="fault">{saidBy(surface.error)}</p>}
        {relief && (
          <Lit relief={relief} lamp={lamp} onLamp={setLamp} byHeight={false} cursor={place} reach={reach} from={from} />
        )}
      </div>
      <div className="body" role="region" aria-label="Lamp and strip" tabIndex={0}>
        <Flex gap={18} align="center">
          <div className="grow">
            At {showPlace(place, units)} {units}
            <Slider
              min={0}
              max={e.length}
              step={1}
              value={place}
              ariaLabelForHandle="Place along the weld"
              tooltip={{ open: false }}
              onChange={onPlace}
            />
          </div>
          <div className="grow">
            In view: {showPlace(reach, units)} {units}
            <Slider
              min={15}
              max={Math.round(e.length)}
              value={reach}
              ariaLabelForHandle="Stretch in view"
              tooltip={{ open: false }}
              onChange={setReach}
            />
          </div>
          <div className="grow">
            Lamp height {Math.round((lamp.up * 180) / Math.PI)}°
            <Slider
              min={3}
              max={85}
              value={Math.round((lamp.up * 180) / Math.PI)}
              ariaLabelForHandle="Height of the lamp, degrees"
              tooltip={{ open: false }}
              onChange={(v) => setLamp({ ...lamp, up: (v * Math.PI) / 180 })}
            />
          </div>
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
        {children}
      </div>
    </>
  );
}

type Act = (act: () => Promise<Exercise>) => Promise<Exercise>;

/** Gauges, the entry line, and the end. */
function Hand({ exercise: e, place, act }: { exercise: Exercise; place: number; act: Act }) {
  const [line, setLine] = useState("");
  const [gauge, setGauge] = useState(e.gauges[0]?.id ?? "");
  const [toe, setToe] = useState("A");
  const { modal } = App.useApp();
  const units = e.setting.units ?? "in";
  const chosen = e.gauges.find((g) => g.id === gauge);
  const record = async () => {
    if (line.trim() === "") return;
    await act(() => api.recordLine(e.id, newId(), line)).then(
      () => setLine(""),
      () => undefined, // said above
    );
  };
  const handIn = () => {
    modal.confirm({
      title:
        e.verdict === "incomplete"
          ? "Hand it in although the inspection is incomplete?"
          : `Hand it in as ${e.verdict}?`,
      content: "Nothing can be changed after that, and the truth is shown.",
      okText: "Hand in",
      cancelText: "Go on looking",
      onOk: () => {
        void act(() => api.handIn(e.id)).catch(() => undefined);
      },
    });
  };
  return (
    <>
      <Flex wrap gap={8} align="center">
        <Select
          aria-label="Gauge"
          value={gauge}
          popupMatchSelectWidth={false}
          options={e.gauges.map((g) => ({ value: g.id, label: g.title }))}
          onChange={setGauge}
        />
        {chosen?.toe && (
          <Segmented
            aria-label="Toe"
            value={toe}
            options={e.toes.map((t) => ({ value: t.id, label: t.name }))}
            onChange={setToe}
          />
        )}
        <Button onClick={() => void act(() => api.holdGauge(e.id, gauge, toe, place)).catch(() => undefined)}>
          Hold at {showPlace(place, units)}
        </Button>
        <b role="status" className="shown">
          {e.gauged.at(-1)?.words ?? ""}
        </b>
      </Flex>
      <form
        aria-label="Entry line"
        className="spaced"
        onSubmit={(x) => {
          x.preventDefault();
          void record();
        }}
      >
        <Flex gap={8}>
          <Input
            aria-label="Entry line"
            value={line}
            autoComplete="off"
            autoCapitalize="off"
            spellCheck={false}
            placeholder="uc a 2-3 1/32 · pore 4 1/16 · leg 2 5/16 5/16 · none crack overlap"
            onChange={(x) => setLine(x.target.value)}
          />
          <Button type="primary" htmlType="submit">
            Record
          </Button>
        </Flex>
      </form>
      <Button onClick={handIn}>Hand in …</Button>
    </>
  );
}

function Recorded({ exercise: e, open, act }: { exercise: Exercise; open: boolean; act: Act }) {
  return (
    <Tabs
      items={[
        {
          key: "record",
          label: `Record (${e.lines.length})`,
          children: (
            <>
              {e.lines.length === 0 && <p className="quiet">Nothing is recorded yet.</p>}
              {e.lines.map((l) => (
                <div key={l.id} className="item">
                  <span>{l.line}</span>
                  {open && (
                    <Button type="link" onClick={() => void act(() => api.lineOff(e.id, l.id)).catch(() => undefined)}>
                      take off
                    </Button>
                  )}
                </div>
              ))}
            </>
          ),
        },
        {
          key: "todo",
          label: `Still to inspect (${e.todo.length})`,
          children: e.todo.map((t) => <p key={t}>{t}</p>),
        },
        {
          key: "gauged",
          label: `Gauged (${e.gauged.length})`,
          children: [...e.gauged].reverse().map((g, n) => <p key={e.gauged.length - n}>{g.words}</p>),
        },
      ]}
    />
  );
}
