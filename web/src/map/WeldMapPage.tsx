import { Button, Flex, Input, Select } from "antd";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useCallback, useEffect, useMemo, useState } from "react";
import { Link, useParams } from "react-router";
import { api, saidBy } from "../lib/api";
import { mapReport, type MapSheet, type MapWeld, type WeldMap, type WeldState } from "../lib/api-map";
import { DataTable, type Column } from "../lib/DataTable";
import { holds } from "../lib/roles";
import { useActor } from "../lib/session";
import { TopBar } from "../lib/TopBar";
import { Drawing, nameOf } from "./Drawing";
import { NewSheet } from "./NewSheet";
import { StateMark, states, wordOf } from "./states";

const beat = 10_000;
/** Another's pins and sheets. */
const whole = 60_000;

/** A job's drawings with its welds pinned to them: where each stands is seen at its place, and a touch goes to its bench. */
export default function WeldMapPage() {
  const { id = "" } = useParams();
  // read anew only where something that a list shows was stored
  const version = useQuery({ queryKey: ["map-version"], queryFn: api.worklistVersion, refetchInterval: beat });
  const queries = useQueryClient();
  const stands = version.data?.version;
  const map = useQuery({ queryKey: ["map", id], queryFn: () => api.weldMap(id), refetchInterval: whole });
  useEffect(() => {
    void queries.invalidateQueries({ queryKey: ["map", id] });
  }, [queries, id, stands]);
  return (
    <div className="app">
      <TopBar rooms />
      {map.data ? (
        <MapOf job={id} map={map.data} />
      ) : (
        <p className="page">{map.isError ? saidBy(map.error) : "Opening the map …"}</p>
      )}
    </div>
  );
}

const everything: WeldState[] = states.map((s) => s.state);

function MapOf({ job, map }: { job: string; map: WeldMap }) {
  const actor = useActor();
  const draws = holds(actor, "INSPECTOR", "WELDING_ENGINEER", "QUALITY_MANAGER");
  const queries = useQueryClient();
  const [on, setOn] = useState<string>();
  const [find, setFind] = useState("");
  const [only, setOnly] = useState<WeldState[]>([]);
  const [chosen, setChosen] = useState<string>();
  const [placing, setPlacing] = useState(false);
  const [adding, setAdding] = useState<"new" | "revision">();
  const change = useMutation({
    mutationFn: (act: () => Promise<WeldMap>) => act(),
    onSuccess: (now) => queries.setQueryData(["map", job], now),
  });
  const sheet = map.sheets.find((s) => s.id === on) ?? map.sheets[0];
  const welds = useMemo(() => new Map(map.welds.map((w) => [w.joint, w])), [map.welds]);
  const shown = useCallback(
    (w: MapWeld) =>
      (only.length === 0 || only.includes(w.state)) &&
      `${nameOf(w)} ${w.inWords}`.toLowerCase().includes(find.trim().toLowerCase()),
    [find, only],
  );
  const choose = (joint: string) => {
    setChosen(joint);
    setPlacing(false);
  };
  const weld = chosen === undefined ? undefined : welds.get(chosen);
  const counts = everything
    .map((s) => ({ s, n: map.welds.filter((w) => w.state === s).length }))
    .filter((c) => c.n > 0);
  return (
    <main className="halves wide-left">
      <section className="card panel" aria-label="Weld map">
        <header>
          <h2>{map.job}: weld map</h2>
          {map.sheets.length > 0 && (
            <Select
              aria-label="Sheet"
              value={sheet?.id}
              popupMatchSelectWidth={false}
              options={map.sheets.map((s) => ({ value: s.id, label: `${s.name}, rev ${s.revision}` }))}
              onChange={setOn}
            />
          )}
          {draws && sheet && (
            <Button type="link" onClick={() => setAdding("revision")}>
              new revision
            </Button>
          )}
          {draws && (
            <Button type="link" onClick={() => setAdding("new")}>
              new sheet
            </Button>
          )}
        </header>
        {sheet ? (
          <Drawing
            key={sheet.id}
            job={job}
            sheet={sheet}
            welds={welds}
            shown={shown}
            chosen={chosen}
            placing={placing}
            onChoose={choose}
            onPlace={(place) => {
              setPlacing(false);
              if (chosen) change.mutate(() => api.pinWeld(job, sheet.id, chosen, place));
            }}
          />
        ) : (
          <p className="body quiet">
            No drawing yet. {draws && "Bring one in as a new sheet: a PDF, a PNG or a JPEG; then pin the welds to it."}
          </p>
        )}
      </section>
      <section className="card panel" aria-label="Welds of the map">
        <header>
          <h2>Welds</h2>
          {map.sheets.length > 0 && (
            <Button type="link" href={mapReport(job)} target="_blank" rel="noreferrer">
              print (PDF)
            </Button>
          )}
        </header>
        <div className="body" role="region" aria-label="Welds and what is chosen" tabIndex={0}>
          {change.isError && (
            <p role="alert" className="fault">
              {saidBy(change.error)}
            </p>
          )}
          {adding ? (
            <NewSheet
              key={adding}
              job={job}
              replaces={adding === "revision" ? sheet : undefined}
              onDone={(id) => {
                setAdding(undefined);
                if (id) setOn(id);
              }}
            />
          ) : weld && sheet ? (
            <Chosen
              weld={weld}
              sheet={sheet}
              draws={draws}
              placing={placing}
              onPlacing={setPlacing}
              onPin={(place) => change.mutate(() => api.pinWeld(job, sheet.id, weld.joint, place))}
              onOff={() => change.mutate(() => api.unpinWeld(job, sheet.id, weld.joint))}
              onLeave={() => setChosen(undefined)}
            />
          ) : (
            <>
              <Input.Search
                aria-label="Find a weld"
                placeholder="mark, number, size"
                allowClear
                value={find}
                onChange={(e) => setFind(e.target.value)}
              />
              <Flex wrap gap={6} className="spaced" role="group" aria-label="By state">
                {counts.map(({ s, n }) => (
                  <Button
                    key={s}
                    size="small"
                    type={only.includes(s) ? "primary" : "default"}
                    aria-pressed={only.includes(s)}
                    icon={<StateMark state={s} />}
                    onClick={() => setOnly(only.includes(s) ? only.filter((x) => x !== s) : [...only, s])}
                  >
                    {wordOf(s)} {n}
                  </Button>
                ))}
              </Flex>
              <WeldTable map={map} sheet={sheet} shown={shown} onChoose={choose} />
            </>
          )}
        </div>
      </section>
    </main>
  );
}

type ListProps = { map: WeldMap; sheet?: MapSheet; shown: (w: MapWeld) => boolean; onChoose: (joint: string) => void };

/** The welds that the filter leaves; those that are to be checked or pinned first. */
function WeldTable({ map, sheet, shown, onChoose }: ListProps) {
  const pinned = useMemo(() => new Map(map.sheets.flatMap((s) => s.pins.map((p) => [p.joint, s.name]))), [map]);
  const ask = useMemo(() => new Set(sheet?.pins.filter((p) => p.changedNear).map((p) => p.joint)), [sheet]);
  const columns: Column<MapWeld>[] = [
    {
      key: "mark",
      title: "Weld",
      value: (w) => nameOf(w),
      render: (w) => (
        <Flex gap={8} align="center">
          <StateMark state={w.state} />
          <span>
            <b>{nameOf(w)}</b>
            <div className="small quiet">
              {ask.has(w.joint)
                ? "check its pin: the drawing changed near it"
                : (pinned.get(w.joint) ?? "not pinned yet")}
            </div>
          </span>
        </Flex>
      ),
    },
    { key: "state", title: "State", width: 120, value: (w) => wordOf(w.state) },
  ];
  const rows = map.welds.filter(shown);
  const first = (w: MapWeld) => (ask.has(w.joint) ? 0 : pinned.has(w.joint) ? 2 : 1);
  return (
    <DataTable<MapWeld>
      name="map-welds"
      label="Welds of the job"
      plain
      rows={[...rows].sort((a, b) => first(a) - first(b))}
      rowKey={(w) => w.joint}
      onOpen={(w) => onChoose(w.joint)}
      columns={columns}
      empty="No weld fits."
    />
  );
}

type ChosenProps = {
  weld: MapWeld;
  sheet: MapSheet;
  draws: boolean;
  placing: boolean;
  onPlacing: (on: boolean) => void;
  onPin: (place: { x: number; y: number }) => void;
  onOff: () => void;
  onLeave: () => void;
};

/** The weld that was touched: to its bench, and its pin. */
function Chosen({ weld, sheet, draws, placing, onPlacing, onPin, onOff, onLeave }: ChosenProps) {
  const pin = sheet.pins.find((p) => p.joint === weld.joint);
  return (
    <Flex vertical gap={10}>
      <Flex gap={8} align="center">
        <StateMark state={weld.state} />
        <h3>{nameOf(weld)}</h3>
        <b>{wordOf(weld.state)}</b>
      </Flex>
      <div>{weld.inWords}</div>
      <div>
        Next: <b>{weld.next}</b>
      </div>
      <Link to={`/inspections/${weld.inspection}`}>
        <Button type="primary" block>
          To the bench
        </Button>
      </Link>
      {pin?.changedNear && draws && (
        <>
          <p className="marked">
            <b>Is the pin still at its weld?</b> The drawing changed near it with revision {sheet.revision}.
          </p>
          <Button onClick={() => onPin(pin)}>Yes, it is there</Button>
        </>
      )}
      {placing && (
        <p className="marked" role="status">
          Touch the place of {nameOf(weld)} on the drawing.
        </p>
      )}
      {draws && (
        <Button onClick={() => onPlacing(!placing)}>
          {placing ? "Do not move it" : pin ? "Move the pin" : `Pin it to ${sheet.name}`}
        </Button>
      )}
      {draws && pin && <Button onClick={onOff}>Take the pin off</Button>}
      <Button type="link" onClick={onLeave}>
        all welds
      </Button>
    </Flex>
  );
}
