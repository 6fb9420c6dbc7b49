import { useMutation, useQuery } from "@tanstack/react-query";
import { Alert, Button, Flex, Input, Segmented } from "antd";
import { useState } from "react";
import { Link, useNavigate, useSearchParams } from "react-router";
import { api, saidBy, type PieceRow, type TestPieceRow } from "../lib/api";
import { DataTable, type Column } from "../lib/DataTable";
import { FileButton } from "../lib/FileButton";
import { dayOf } from "../lib/local-time";
import { isOutside } from "../lib/roles";
import { useActor } from "../lib/session";
import { tied } from "../lib/tied";
import { Came } from "../practice/Came";
import { TopBar } from "../lib/TopBar";
import { VerdictMark } from "../lib/VerdictMark";

/** All test pieces: those of their own, and the welds at the bench that are judged as a welder's test. */
export default function TestPieces() {
  const actor = useActor();
  const [query, setQuery] = useSearchParams();
  const [find, setFind] = useState("");
  const atBench = query.get("list") === "bench";
  return (
    <div className="app">
      <TopBar rooms />
      <main className="list">
        <Flex wrap gap={16} align="center">
          <h1>Test pieces</h1>
          {!isOutside(actor) && (
            <Segmented
              value={atBench ? "bench" : "pieces"}
              options={[
                { value: "pieces", label: "All pieces" },
                { value: "bench", label: "Welds judged as a welder’s test" },
              ]}
              onChange={(v) => setQuery(v === "bench" ? { list: "bench" } : {})}
            />
          )}
          {!atBench && (
            <Input.Search
              aria-label="Find a piece"
              placeholder="number, welder or drill"
              allowClear
              className="wide-box"
              onSearch={setFind}
            />
          )}
          <span className="grow" />
          <TakeFile />
          <Link to="/test-pieces/new">
            <Button type="primary">New test piece</Button>
          </Link>
        </Flex>
        {atBench && !isOutside(actor) ? <WeldsAsTests /> : <Pieces find={find} />}
      </main>
    </div>
  );
}

/** A piece from its file, as another shop or school has written it. */
function TakeFile() {
  const navigate = useNavigate();
  const take = useMutation({
    mutationFn: async (file: File) => api.takePiece(await file.text()),
    onSuccess: (p) => void navigate(`/test-pieces/${p.id}`),
  });
  return (
    <>
      {take.isError && <span className="fault">{saidBy(take.error)}</span>}
      <FileButton accept=".json,application/json" onFile={(f) => take.mutate(f)}>
        From a file …
      </FileButton>
    </>
  );
}

/** Pieces of their own, the newest first. */
function Pieces({ find }: { find: string }) {
  const navigate = useNavigate();
  const pieces = useQuery({ queryKey: ["pieces", find], queryFn: ({ signal }) => api.pieces(find, signal) });
  const rows = pieces.data?.rows ?? [];
  return (
    <>
      {pieces.isError && <Alert type="error" showIcon title={saidBy(pieces.error)} />}
      <DataTable<PieceRow>
        name="pieces"
        label="Test pieces"
        fill
        rows={rows}
        loading={pieces.isPending}
        rowKey={(p) => p.id}
        onOpen={(p) => void navigate(`/test-pieces/${p.id}`)}
        columns={pieceColumns}
        empty={find ? "No piece is found by that." : "No test piece is recorded yet. Begin the first one above."}
      />
      {pieces.data && pieces.data.count > rows.length && (
        <p className="quiet">
          The newest {rows.length} of {pieces.data.count}; find the others by number, welder or drill.
        </p>
      )}
    </>
  );
}

const pieceColumns: Column<PieceRow>[] = [
  {
    key: "number",
    title: "Piece",
    width: 110,
    value: (p) => p.number,
    render: (p) => (
      <Link className="big" to={`/test-pieces/${p.id}`}>
        {p.number}
      </Link>
    ),
  },
  { key: "welder", title: "Welder", width: 150, value: (p) => p.welderName, filter: true },
  {
    key: "what",
    title: "What it is",
    value: (p) => p.kind,
    filter: true,
    render: (p) => (
      <>
        {p.kind}
        {p.drill && p.drill !== p.kind && <div className="small quiet">{p.drill}</div>}
      </>
    ),
  },
  { key: "purpose", title: "For", width: 130, value: (p) => p.purpose, filter: true },
  { key: "made", title: "Welded on", width: 130, value: (p) => p.made, render: (p) => dayOf(p.made) },
  { key: "stage", title: "Stage", width: 140, value: (p) => p.stage, filter: true },
  { key: "score", title: "Score", width: 85, value: (p) => p.score, render: (p) => p.score ?? "–" },
  {
    key: "verdict",
    title: "Came to",
    width: 190,
    value: (p) => (p.byAims && p.verdict ? `aims: ${p.verdict}` : p.verdict),
    filter: true,
    render: (p) => (
      <>
        <Came verdict={p.verdict} byAims={p.byAims} size={20} />
        {p.lesson && <div className="fault small">looks good, broke badly</div>}
      </>
    ),
  },
];

/** How each looked, how many specimens were tested, and what it comes to. */
function WeldsAsTests() {
  const navigate = useNavigate();
  const pieces = useQuery({ queryKey: ["test-pieces"], queryFn: api.testPieces });
  return (
    <>
      {pieces.isError && <Alert type="error" showIcon title={saidBy(pieces.error)} />}
      <DataTable<TestPieceRow>
        name="test-pieces"
        label="Test pieces"
        fill
        rows={pieces.data ?? []}
        loading={pieces.isPending}
        rowKey={(p) => p.jointId}
        onOpen={(p) => void navigate(`/joints/${p.jointId}/test-piece`)}
        columns={columns}
        empty="No weld is set up in a job that is judged as a welder’s test piece."
      />
    </>
  );
}

const columns: Column<TestPieceRow>[] = [
  {
    key: "mark",
    title: "Piece",
    width: 110,
    value: (p) => p.mark,
    render: (p) => (
      <Link className="big" to={`/joints/${p.jointId}/test-piece`}>
        {p.mark}
      </Link>
    ),
  },
  { key: "what", title: "What it is", value: (p) => p.inWords, render: (p) => tied(p.inWords) },
  { key: "position", title: "Position", width: 135, value: (p) => p.position, filter: true },
  { key: "welder", title: "Welder", width: 125, value: (p) => p.welder, filter: true },
  { key: "job", title: "Job", width: 150, value: (p) => p.job, filter: true, extra: true },
  {
    key: "visual",
    title: "By eye",
    width: 150,
    value: (p) => p.visual,
    render: (p) => (
      <>
        <VerdictMark verdict={p.visual} size={20} />
        {!p.signed && <div className="quiet small">not signed</div>}
      </>
    ),
  },
  {
    key: "tested",
    title: "Specimens",
    width: 120,
    value: (p) => p.tested,
    render: (p) => `${p.tested} of ${p.planned}`,
  },
  {
    key: "score",
    title: "Score",
    width: 105,
    value: (p) => (p.scores.length === 0 ? undefined : p.scores.reduce((a, b) => a + b) / p.scores.length),
    render: (p) => (p.scores.length === 0 ? "–" : `${p.scores.join(", ")} of 10`),
  },
  {
    key: "decision",
    title: "Decision",
    width: 230,
    value: (p) => p.decision,
    filter: true,
    render: (p) => (
      <>
        <VerdictMark verdict={p.decision} size={20} />
        {p.lesson && <div className="fault small">looks good, broke badly</div>}
      </>
    ),
  },
];
