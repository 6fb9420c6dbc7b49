import "./bench.css";
import { holds } from "../lib/roles";
import { EllipsisOutlined } from "@ant-design/icons";
import { Button, Dropdown, Tabs } from "antd";
import { lazy, Suspense, useMemo, useState, type ReactNode } from "react";
import { Link, useParams, useSearchParams } from "react-router";
import { useActor } from "../lib/session";
import { saidBy, type Bench, type Photo, type Section } from "../lib/api";
import type { ScanLines } from "../lib/api-scan";
import { SectionView } from "../lib/SectionView";
import { RoundStrip } from "../lib/RoundStrip";
import { TopBar } from "../lib/TopBar";
import { useNarrow } from "../lib/useNarrow";
import { CausesPanel } from "../causes/CausesPanel";
import { Beside } from "./CodeComparison";
import { CriteriaPanel } from "./CriteriaPanel";
import { FitUpWord } from "../welding-record/FitUpPanel";
import { PassesPanel } from "../welding-record/PassesPanel";
import { RepairPanel } from "../repair/RepairPanel";
import { Lanes, ScanLanes } from "../scan/ScanLanes";
import { ScannedSection } from "../scan/ScannedSection";
import { ScanPanel } from "../scan/ScanPanel";
import { useLive } from "../scan/useLive";
import { useScans } from "../scan/useScans";
import { EnteredPanel } from "./EnteredPanel";
import { EntryDock } from "./EntryDock";
import { NotTaken } from "./NotTaken";
import { PhotoDialog } from "./PhotoDialog";
import { Tower } from "./Tower";
import { useBench } from "./useBench";
import { useHand } from "./useHand";

export default function BenchPage() {
  const { id = "" } = useParams();
  const bench = useBench(id);
  if (!bench.data)
    return (
      <div className="app">
        <TopBar />
        <p className="page">{bench.isError ? saidBy(bench.error) : "Opening the bench …"}</p>
      </div>
    );
  return <BenchScreen key={id} bench={bench.data} />;
}

const BenchTour = lazy(() => import("./BenchTour"));

type Tab = "book" | "entered" | "passes" | "scan" | "repair" | "beside" | "causes";

/** The weld unrolled, its cross-section at the cursor, what the code says, and where things are recorded. */
function BenchScreen({ bench }: { bench: Bench }) {
  const actor = useActor();
  const rejected = bench.state === "SIGNED" && bench.evaluation.verdict === "reject";
  const [tab, setTab] = useState<Tab>(rejected && !holds(actor, "INSPECTOR") ? "repair" : "book");
  const small = useNarrow(1180);
  const [narrow, setNarrow] = useState<"section" | "book">("book");
  const [photo, setPhoto] = useState<Photo>();
  const units = bench.joint.units;
  const mayChange = bench.state === "OPEN" && holds(actor, "INSPECTOR");
  const hand = useHand(bench, mayChange);
  const { doing, cursor, setCursor, chosen, setChosen, edit } = hand;
  const section = useMemo(() => nearest(bench, cursor), [bench, cursor]);
  const standing = useMemo(() => bench.entries.filter((e) => !e.withdrawn), [bench]);
  const go = (to: Tab) => {
    setChosen(undefined);
    setTab(to);
  };
  const scans = useScans(bench.id);
  const live = useLive(bench.id, () => void scans.again());
  const scanned = tab === "scan" ? scans.shown : undefined;
  const passes = bench.welding.entries.filter((e) => e.kind === "PASS" && !e.withdrawn).length;
  const j = bench.joint;
  const fullWidth = tab === "beside" || tab === "causes";
  const sectionAlone = small && narrow === "section" && !fullWidth;
  const showsBoth = !small && !fullWidth;
  return (
    <div className="app">
      <TopBar>
        <span className="mark">
          {j.mark}
          {j.weldNo && <span> weld {j.weldNo}</span>}
        </span>
        <span className="what">
          {[j.inWords, j.position, j.side && `${j.side} side`, j.welder && `welder ${j.welder}`, `${j.job} / ${j.lot}`]
            .filter(Boolean)
            .join(" · ")}
        </span>
        <Ways bench={bench} mayRead={!holds(actor, "VIEWER")} mayChange={mayChange} />
      </TopBar>
      <main className="bench">
        <Tower bench={bench} doing={doing} />
        <section className="card strip" aria-label="The weld along its length">
          <RoundStrip
            {...hand.strip}
            photos={bench.photos}
            onPhoto={setPhoto}
            {...(bench.again ? { worked: bench.again.spans, inspectedAt: bench.again.inspectedAt } : {})}
            beside={<Before bench={bench} cursor={cursor} draws={mayChange} />}
            under={
              live.lines
                ? (frame) => <Lanes data={live.lines as ScanLines} frame={frame} cursor={cursor} units={units} />
                : scanned &&
                  ((frame) => (
                    <ScanLanes inspection={bench.id} scan={scanned.id} frame={frame} cursor={cursor} units={units} />
                  ))
            }
          />
        </section>
        <div className="lower">
          {(showsBoth || sectionAlone) && (
            <section className="card panel" aria-label="Cross-section">
              {scanned ? (
                <ScannedSection
                  inspection={bench.id}
                  scan={scanned.id}
                  cursor={cursor}
                  units={units}
                  drawn={bench.drawn}
                />
              ) : (
                <ReadSection bench={bench} section={section}>
                  {small && <NarrowTabs narrow={narrow} setNarrow={setNarrow} />}
                </ReadSection>
              )}
            </section>
          )}
          {!sectionAlone && (
            <section className="card panel">
              <Tabs
                activeKey={tab}
                onChange={(k) => go(k as Tab)}
                className="tabs"
                tabBarGutter={14}
                tabBarExtraContent={small && <NarrowTabs narrow={narrow} setNarrow={setNarrow} />}
                items={[
                  { key: "book", label: "Criteria" },
                  { key: "entered", label: `Entries (${standing.length})` },
                  { key: "passes", label: countedTab("Passes", passes) },
                  { key: "scan", label: countedTab("Scan", scans.all.filter((s) => !s.withdrawn).length) },
                  ...(rejected || bench.again ? [{ key: "repair", label: "Repair" }] : []),
                  ...(holds(actor, "VIEWER") ? [] : [{ key: "causes", label: "Causes" }]),
                  { key: "beside", label: "Compare" },
                ]}
              />
              <div className="body">
                {tab === "book" && (
                  <CriteriaPanel bench={bench} open={chosen} onOpen={setChosen} onCauses={() => go("causes")} />
                )}
                {tab === "beside" && <Beside bench={bench} />}
                {tab === "entered" && <EnteredPanel bench={bench} doing={doing} mayChange={mayChange} onEdit={edit} />}
                {tab === "passes" && (
                  <>
                    <p className="small">
                      Fit-up:{" "}
                      {bench.welding.fitUp.begun ? (
                        <FitUpWord welding={bench.welding} />
                      ) : (
                        <span className="quiet">not inspected</span>
                      )}{" "}
                      · <Link to={`/joints/${j.id}/welding-record`}>fit-up and passes</Link> ·{" "}
                      <Link to={`/joints/${j.id}/plan`}>pass plan</Link>
                    </p>
                    <PassesPanel welding={bench.welding} mayRecord={!holds(actor, "VIEWER")} brief />
                  </>
                )}
                {tab === "scan" && (
                  <ScanPanel
                    bench={bench}
                    scans={scans}
                    live={live}
                    mayChange={mayChange}
                    cursor={cursor}
                    onCursor={setCursor}
                  />
                )}
                {tab === "causes" && <CausesPanel bench={bench} />}
                {tab === "repair" && <RepairPanel bench={bench} />}
              </div>
            </section>
          )}
        </div>
        {mayChange && tab !== "causes" && tab !== "scan" && (
          <div className="column docks">
            <NotTaken bench={bench} onRight={hand.putRight} />
            <EntryDock key={hand.dockKey} {...hand.dock} />
          </div>
        )}
      </main>
      <TourIfAsked />
      {photo && (
        <PhotoDialog
          bench={bench}
          photo={photo}
          doing={mayChange ? doing : undefined}
          onTake={(entry) => {
            setPhoto(undefined);
            hand.begin(entry);
          }}
          onClose={() => setPhoto(undefined)}
        />
      )}
    </div>
  );
}

/** How many there are, where there are any: the tabs have little room. */
function countedTab(word: string, count: number): string {
  return count > 0 ? `${word} (${count})` : word;
}

/** The section nearest to the cursor that was read by hand. */
function ReadSection({ bench, section, children }: { bench: Bench; section: Section; children: ReactNode }) {
  const units = bench.joint.units;
  const datum = bench.joint.form.datum;
  return (
    <>
      <header>
        <h2>{section.read ? `Section read at ${section.at} ${units}` : "Section as drawn"}</h2>
        {children}
      </header>
      <div className="body foot">
        <SectionView section={section} units={units} />
        <div className="small quiet clipped">
          Dashed: {section.requiredLabel}. {section.read ? "" : "No legs are read yet. "}
          {datum && `Datum: ${datum}`}
        </div>
      </div>
    </>
  );
}

/** What else there is of this joint; on a phone under one button. */
function Ways({ bench, mayRead, mayChange }: { bench: Bench; mayRead: boolean; mayChange: boolean }) {
  const narrow = useNarrow();
  const joint = `/joints/${bench.joint.id}`;
  const ways = [
    ...(mayRead ? [{ to: `${joint}/welding-record`, word: "fit-up and passes" }] : []),
    ...(mayRead && bench.joint.criteria === "d1.1-welder-test"
      ? [{ to: `${joint}/test-piece`, word: "cut and tested" }]
      : []),
    ...(mayRead ? [{ to: `${joint}/history`, word: "history" }] : []),
    ...(mayChange ? [{ to: joint, word: "change joint" }] : []),
  ];
  if (narrow && ways.length > 0)
    return (
      <Dropdown
        trigger={["click"]}
        menu={{ items: ways.map((w) => ({ key: w.to, label: <Link to={w.to}>{w.word}</Link> })) }}
      >
        <Button ghost icon={<EllipsisOutlined />} aria-label="More of this joint" />
      </Dropdown>
    );
  return ways.map((w) => (
    <Link key={w.to} className="small way" to={w.to}>
      {w.word}
    </Link>
  ));
}

/** The tour, where the address asks for it; leaving it takes that off the address. */
function TourIfAsked() {
  const [search, setSearch] = useSearchParams();
  if (!search.has("tour")) return null;
  return (
    <Suspense fallback={null}>
      <BenchTour onLeave={() => setSearch({}, { replace: true })} />
    </Suspense>
  );
}

function NarrowTabs({ narrow, setNarrow }: { narrow: string; setNarrow: (n: "section" | "book") => void }) {
  const other = narrow === "section" ? "book" : "section";
  return (
    <Button type="link" onClick={() => setNarrow(other)}>
      {other === "section" ? "show the section" : "show the criteria"}
    </Button>
  );
}

/** What was seen near the cursor before the last inspection. */
function Before({ bench, cursor, draws }: { bench: Bench; cursor: number; draws: boolean }) {
  const gaps = bench.strip.gaps.map((g) => ({ ...g, label: `${g.label} at fit-up` }));
  const marks = [...gaps, ...bench.quiet];
  if (marks.length === 0)
    return (
      <div className="small clipped grow quiet">
        {draws && "Draw a stretch on a lane. "}Arrows move the cursor, + and − zoom.
      </div>
    );
  const around = 25.4;
  const near = marks.filter((m) => cursor >= m.from - around && cursor <= m.to + around).map((m) => m.label);
  return (
    <div className="small clipped grow" aria-live="polite">
      <b>Before, near here:</b>{" "}
      {near.length === 0 ? <span className="quiet">nothing recorded</span> : [...new Set(near)].join(" · ")}
    </div>
  );
}

function nearest(bench: Bench, cursor: number) {
  let best = -1;
  bench.strip.stations.forEach((s, i) => {
    const now = bench.strip.stations[best];
    if (!now || Math.abs(s.at - cursor) < Math.abs(now.at - cursor)) best = i;
  });
  return bench.sections[best] ?? bench.drawn;
}
