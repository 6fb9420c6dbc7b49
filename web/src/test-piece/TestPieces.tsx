import { useQuery } from "@tanstack/react-query";
import { Alert, Flex } from "antd";
import { useNavigate } from "react-router";
import { api, saidBy, type TestPieceRow } from "../lib/api";
import { DataTable, type Column } from "../lib/DataTable";
import { tied } from "../lib/tied";
import { TopBar } from "../lib/TopBar";
import { VerdictMark } from "../lib/VerdictMark";

/** All test pieces: how each looked, how many specimens were tested, and what it comes to. */
export default function TestPieces() {
  const navigate = useNavigate();
  const pieces = useQuery({ queryKey: ["test-pieces"], queryFn: api.testPieces });
  return (
    <div className="app">
      <TopBar rooms />
      <main className="list">
        <Flex wrap gap={16} align="baseline">
          <h1>Test pieces</h1>
          <span className="quiet">
            Welds of jobs that are judged as a welder’s test piece: by eye, then cut and tested.
          </span>
        </Flex>
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
      </main>
    </div>
  );
}

const columns: Column<TestPieceRow>[] = [
  { key: "mark", title: "Piece", width: 110, value: (p) => p.mark, render: (p) => <b className="big">{p.mark}</b> },
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
