import "./sheet.css";
import { Button, Flex } from "antd";
import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useState } from "react";
import { Link, useParams } from "react-router";
import { api, saidBy, type Conditions, type EntryContent, type EntryKind, type Sheet } from "../lib/api";
import { YesNo } from "../lib/fields";
import { TopBar } from "../lib/TopBar";
import { VerdictMark } from "../lib/VerdictMark";

type Line = Sheet["lines"][number];

const ready = [
  ["cleaned", "Slag and spatter off"],
  ["ambient", "Cooled to ambient"],
  ["light", "Enough light"],
  ["near", "Eye within 24 in, not below 30°"],
] as const;

/** Many like welds on one sheet: what is common is said once; the exceptions are opened by themselves. */
export default function SheetPage() {
  const { id = "" } = useParams();
  const sheet = useQuery({ queryKey: ["sheet", id], queryFn: () => api.sheet(id), refetchInterval: 10_000 });
  return (
    <div className="app">
      <TopBar>
        <span className="mark">{sheet.data ? `${sheet.data.lines.length} like welds` : "Sheet"}</span>
        <span className="what">{sheet.data?.inWords}</span>
      </TopBar>
      {sheet.isError && <p className="fault page">{saidBy(sheet.error)}</p>}
      {sheet.data && <SheetScreen id={id} sheet={sheet.data} />}
    </div>
  );
}

function SheetScreen({ id, sheet }: { id: string; sheet: Sheet }) {
  const queries = useQueryClient();
  const untouched = sheet.lines.filter((l) => !l.begun && !l.signed);
  const [left, setLeft] = useState<string[]>([]);
  const [conditions, setConditions] = useState<Conditions>({});
  const [blade, setBlade] = useState<string>("");
  const [none, setNone] = useState<string[]>([]);
  const kit = useQuery({ queryKey: ["kit"], queryFn: api.kit });
  const change = useMutation({
    mutationFn: (f: () => Promise<Sheet>) => f(),
    onSuccess: (s) => {
      queries.setQueryData(["sheet", id], s);
      void queries.invalidateQueries({ predicate: (q) => ["joints", "bench"].includes(String(q.queryKey[0])) });
    },
  });
  const chosen = untouched.filter((l) => !left.includes(l.inspectionId));
  const accepts = sheet.lines.filter((l) => l.verdict === "accept" && !l.signed);
  const entries: { kind: EntryKind; content: EntryContent }[] = [
    ...(blade ? [{ kind: "READING" as const, content: { from: "0", to: sheet.length, atLeast: blade } }] : []),
    ...none.map((criterion) => ({ kind: "CLEAR" as const, content: { criterion } })),
  ];
  const allNone = none.length === sheet.clearable.length;
  const answered = ready.every(([f]) => conditions[f] !== undefined) && conditions.coated !== undefined;
  const put = () => {
    const gauges = kit.data && kit.data.length > 0 ? { gauges: kit.data } : {};
    change.mutate(() =>
      api.putSheet(id, {
        inspections: chosen.map((l) => l.inspectionId),
        conditions: { ...conditions, ...gauges },
        entries,
      }),
    );
  };
  return (
    <main className="halves wide-left">
      <section className="card panel" aria-label="The welds">
        <header>
          <h2>{chosen.length} to be recorded together</h2>
          {accepts.length > 0 && (
            <Button
              color="green"
              variant="solid"
              disabled={change.isPending}
              onClick={() =>
                change.mutate(() =>
                  api.signSheet(
                    id,
                    accepts.map((l) => ({ inspectionId: l.inspectionId, version: l.version })),
                    sheet.capacity,
                  ),
                )
              }
            >
              Sign {accepts.length} as accept
            </Button>
          )}
        </header>
        <div className="body cards">
          {sheet.lines.map((l) => (
            <WeldCard
              key={l.inspectionId}
              line={l}
              on={chosen.includes(l)}
              onTurn={() =>
                setLeft(
                  left.includes(l.inspectionId) ? left.filter((x) => x !== l.inspectionId) : [...left, l.inspectionId],
                )
              }
            />
          ))}
        </div>
      </section>
      <section className="card panel" aria-label="What holds for each">
        <header>
          <h2>What holds for each</h2>
          <Button
            type="primary"
            disabled={chosen.length === 0 || (!answered && entries.length === 0) || change.isPending}
            onClick={put}
          >
            Record on {chosen.length} {chosen.length === 1 ? "weld" : "welds"}
          </Button>
        </header>
        <div className="body">
          <h3>Ready to inspect?</h3>
          {ready.map(([f, word]) => (
            <div className="item" key={f}>
              <span>{word}</span>
              <YesNo word={word} value={conditions[f]} onAnswer={(v) => setConditions({ ...conditions, [f]: v })} />
            </div>
          ))}
          <div className="item">
            <span>Coated or painted</span>
            <YesNo
              word="Coated or painted"
              value={conditions.coated}
              onAnswer={(v) => setConditions({ ...conditions, coated: v })}
            />
          </div>
          <div className="item">
            <span>Gauges in calibration</span>
            {kit.data && kit.data.length > 0 ? (
              <b className="v-accept">✓ today’s kit, {kit.data.length}</b>
            ) : (
              <YesNo
                word="Gauges in calibration"
                value={conditions.inCalibration}
                onAnswer={(v) => setConditions({ ...conditions, inCalibration: v })}
              />
            )}
          </div>
          <h3>Size</h3>
          {sheet.size && (
            <Button
              type={blade !== "" ? "primary" : "default"}
              aria-pressed={blade !== ""}
              onClick={() => setBlade(blade ? "" : sheet.size)}
            >
              {sheet.size} blade goes, full length
            </Button>
          )}
          <h3>Inspected for, none seen</h3>
          <Flex wrap gap={6}>
            <Button
              type={allNone ? "primary" : "default"}
              aria-pressed={allNone}
              onClick={() => setNone(allNone ? [] : sheet.clearable.map((c) => c.id))}
            >
              all {sheet.clearable.length}
            </Button>
            {sheet.clearable.map((c) => (
              <Button
                type={none.includes(c.id) ? "primary" : "default"}
                key={c.id}
                aria-pressed={none.includes(c.id)}
                onClick={() => setNone(none.includes(c.id) ? none.filter((x) => x !== c.id) : [...none, c.id])}
              >
                {c.title}
              </Button>
            ))}
          </Flex>
          {change.isError && (
            <p role="alert" className="fault">
              {saidBy(change.error)}
            </p>
          )}
          <p className="cautions spaced">
            Each weld was inspected by itself; the sheet only saves the writing. A weld with anything else on it is left
            out by a touch and opened by itself.
          </p>
        </div>
      </section>
    </main>
  );
}

function WeldCard({ line: l, on, onTurn }: { line: Line; on: boolean; onTurn: () => void }) {
  const name = `${l.mark}${l.weldNo ? ` / ${l.weldNo}` : ""}${l.side ? `, ${l.side} side` : ""}`;
  return (
    <div className={`framed weldcard${on ? " on" : ""}`}>
      <button
        type="button"
        className="named"
        disabled={l.begun || l.signed}
        aria-pressed={on}
        aria-label={`${name} on the sheet`}
        onClick={onTurn}
      >
        <b>
          {l.mark}
          {l.weldNo && ` / ${l.weldNo}`}
        </b>
        {l.side && <span className="quiet small">{l.side} side</span>}
        {l.begun || l.signed ? (
          <VerdictMark verdict={l.verdict} size={18} />
        ) : (
          <span className="quiet small">{on ? "on the sheet" : "left out"}</span>
        )}
        {l.signed && <span className="quiet small">signed</span>}
        {!l.signed && l.begun && l.todos > 0 && <span className="quiet small">{l.todos} to do</span>}
      </button>
      <Link className="small" to={`/inspections/${l.inspectionId}`}>
        open
      </Link>
    </div>
  );
}
