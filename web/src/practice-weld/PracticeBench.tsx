import "../bench/bench.css";
import { App, Button, Flex, Image, Tabs } from "antd";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { useNavigate, useParams } from "react-router";
import { CriteriaPanel } from "../bench/CriteriaPanel";
import { EnteredPanel } from "../bench/EnteredPanel";
import { EntryDock } from "../bench/EntryDock";
import { NotTaken } from "../bench/NotTaken";
import { signLook } from "../bench/sign-look";
import { Tower } from "../bench/Tower";
import { useBench } from "../bench/useBench";
import { useHand } from "../bench/useHand";
import { api, saidBy, type Bench } from "../lib/api";
import { practiceBench } from "../lib/api-bench";
import { pictureOf, type Exercise, type PracticeSetting } from "../lib/api-practice";
import { newId } from "../lib/id";
import { RoundStrip } from "../lib/RoundStrip";
import { useActor } from "../lib/session";
import { TopBar } from "../lib/TopBar";
import { Explained } from "./Explained";
import { GaugesAt } from "./GaugesAt";
import { UnderTheLamp } from "./UnderTheLamp";

/** A weld that was handed out: seen under a lamp, gauged, recorded at the ordinary bench, signed as practice; then explained. */
export default function PracticeBench() {
  const { id = "" } = useParams();
  const exercise = useQuery({ queryKey: ["exercise", id], queryFn: () => api.exercise(id) });
  const bench = useBench(practiceBench(id));
  const fault = exercise.error ?? bench.error;
  if (exercise.data && bench.data) return <AtBench key={id} exercise={exercise.data} bench={bench.data} />;
  return (
    <div className="app">
      <TopBar rooms />
      <p className="page" role={fault ? "alert" : undefined}>
        {fault ? saidBy(fault) : "Opening the bench …"}
      </p>
    </div>
  );
}

type Tab = "weld" | "book" | "entered" | "gauged" | "pictures" | "solution";

function AtBench({ exercise: e, bench }: { exercise: Exercise; bench: Bench }) {
  const actor = useActor();
  const queries = useQueryClient();
  const open = e.handedAt === undefined && e.person === actor.name;
  const hand = useHand(bench, open);
  const { cursor, setCursor, doing } = hand;
  const [tab, setTab] = useState<Tab>(open ? "weld" : "solution");
  const handIn = useMutation({
    mutationFn: () => api.handIn(e.id),
    onSuccess: async (now) => {
      queries.setQueryData(["exercise", e.id], now);
      setTab("solution");
      await Promise.all(
        [["bench", bench.id], ["exercises"]].map((queryKey) => queries.invalidateQueries({ queryKey })),
      );
    },
  });
  const weld = e.lit ? (
    <UnderTheLamp exercise={e} open={open} place={cursor} beside={open} />
  ) : (
    <Pictures exercise={e} />
  );
  const standing = bench.entries.filter((x) => !x.withdrawn).length;
  return (
    <div className="app">
      <TopBar>
        <span className="mark">{e.study ? `Weld ${e.study.place} of ${e.study.of}` : "Practice"}</span>
        <span className="what">
          {[e.weld, e.study?.title, e.person !== actor.name && e.person, `${minutes(e.seconds)} looked`]
            .filter(Boolean)
            .join(" · ")}
        </span>
      </TopBar>
      <main className="bench">
        <Tower
          bench={bench}
          doing={doing}
          end={open ? <End exercise={e} bench={bench} handIn={handIn} /> : <Another exercise={e} />}
        />
        <section className="card strip" aria-label="The weld along its length">
          <RoundStrip
            {...hand.strip}
            photos={[]}
            beside={
              open && e.gauges.length > 0 && <GaugesAt exercise={e} place={cursor} onGauged={() => setTab("gauged")} />
            }
          />
        </section>
        <div className="lower">
          {!open && (
            <section className="card panel" aria-label="The weld">
              {weld}
            </section>
          )}
          <section className="card panel" aria-label="The record">
            <Tabs
              activeKey={tab}
              onChange={(k) => setTab(k as Tab)}
              className="tabs"
              tabBarGutter={14}
              items={[
                ...(open ? [{ key: "weld", label: e.lit ? "Under the lamp" : "Pictures" }] : []),
                ...(e.handedAt === undefined ? [] : [{ key: "solution", label: "Solution" }]),
                { key: "book", label: "Criteria" },
                { key: "entered", label: `Entries (${standing})` },
                ...(e.gauged.length > 0 ? [{ key: "gauged", label: `Gauged (${e.gauged.length})` }] : []),
                ...(e.lit && e.pictures.length > 0
                  ? [{ key: "pictures", label: `Pictures (${e.pictures.length})` }]
                  : []),
              ]}
            />
            <div className="body" role="region" aria-label="What is recorded" tabIndex={0}>
              {tab === "weld" && weld}
              {tab === "book" && <CriteriaPanel bench={bench} open={hand.chosen} onOpen={hand.setChosen} />}
              {tab === "entered" && <EnteredPanel bench={bench} doing={doing} mayChange={open} onEdit={hand.edit} />}
              {tab === "gauged" && [...e.gauged].reverse().map((g, n) => <p key={e.gauged.length - n}>{g.words}</p>)}
              {tab === "pictures" && <Pictures exercise={e} />}
              {tab === "solution" &&
                (e.solution ? (
                  <Explained exercise={e} solution={e.solution} place={cursor} onPlace={setCursor} />
                ) : (
                  <p>
                    {e.setting
                      ? "Handed in. The solution is shown when everybody has handed in."
                      : "Handed in. What a real weld truly has nobody knows; how far you agree is shown in the study when everybody has handed in."}
                  </p>
                ))}
            </div>
          </section>
        </div>
        {open && (
          <div className="column docks">
            <NotTaken bench={bench} onRight={hand.putRight} />
            <EntryDock key={hand.dockKey} {...hand.dock} />
          </div>
        )}
      </main>
    </div>
  );
}

const minutes = (seconds: number) =>
  seconds < 60 ? `${seconds} s` : `${Math.floor(seconds / 60)} min ${seconds % 60} s`;

type EndProps = {
  exercise: Exercise;
  bench: Bench;
  handIn: { mutate: () => void; isPending: boolean; error: unknown };
};

/** The signature of a practice weld: nothing can be changed after it, and the truth is shown. */
function End({ exercise: e, bench, handIn }: EndProps) {
  const { modal } = App.useApp();
  const { verdict } = bench.evaluation;
  const sign = () => {
    modal.confirm({
      title: verdict === "incomplete" ? "Sign although the inspection is incomplete?" : `Sign ${verdict}, as practice?`,
      content: e.setting
        ? "Nothing can be changed after that, and the truth is shown. No record of a real weld is made."
        : "Nothing can be changed after that. The record of the weld itself is not touched.",
      okText: `Sign ${verdict}`,
      cancelText: "Go on inspecting",
      onOk: () => handIn.mutate(),
    });
  };
  return (
    <>
      {handIn.error !== null && (
        <p role="alert" className="fault small">
          {saidBy(handIn.error)}
        </p>
      )}
      <Button
        {...(verdict === "incomplete" ? { type: "primary" } : signLook(verdict))}
        disabled={handIn.isPending}
        onClick={sign}
      >
        Sign as practice …
      </Button>
    </>
  );
}

/** The next one, of the same kind. */
function Another({ exercise: e }: { exercise: Exercise }) {
  const go = useNavigate();
  const begin = useMutation({
    mutationFn: async (setting: PracticeSetting) => {
      const id = newId();
      await api.beginExercise(id, setting);
      return id;
    },
    onSuccess: (id) => void go(`/practice/${id}`),
  });
  const { setting } = e;
  return (
    <>
      {setting && !e.study && (
        <Button type="primary" disabled={begin.isPending} onClick={() => begin.mutate(setting)}>
          Another like it
        </Button>
      )}
      <Button onClick={() => void go("/practice")}>All practice welds</Button>
    </>
  );
}

/** What was photographed of a real weld. */
function Pictures({ exercise: e }: { exercise: Exercise }) {
  return (
    <div className="body">
      <Image.PreviewGroup>
        <Flex wrap gap={10}>
          {e.pictures.map((p) => (
            <figure key={p.id}>
              <Image
                height={150}
                src={pictureOf(e.id, p.id)}
                alt={p.place ? `The weld at ${p.place}` : "The weld, close up"}
              />
              <figcaption className="small">{p.place ? `at ${p.place} ${e.units}` : "close up"}</figcaption>
            </figure>
          ))}
        </Flex>
      </Image.PreviewGroup>
    </div>
  );
}
