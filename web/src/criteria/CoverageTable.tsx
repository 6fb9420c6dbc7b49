import { CheckCircleOutlined, MinusCircleOutlined, QuestionCircleOutlined } from "@ant-design/icons";
import { Table, type TableColumnsType } from "antd";
import type { ReactNode } from "react";
import type { CoverageLine } from "../lib/api";

const said: Record<CoverageLine["covered"], { icon: ReactNode; word: string }> = {
  LIMITED: { icon: <CheckCircleOutlined />, word: "judged" },
  FREE: { icon: <MinusCircleOutlined />, word: "no limit" },
  SILENT: { icon: <QuestionCircleOutlined />, word: "not judged: incomplete" },
};

const columns: TableColumnsType<CoverageLine> = [
  {
    title: "Recorded",
    key: "what",
    render: (_, l) => (
      <>
        <b>{l.what}</b> <span className="small quiet">{l.read ? "read" : "seen"}</span>
      </>
    ),
  },
  {
    title: "What becomes of it",
    key: "covered",
    filters: Object.entries(said).map(([value, { word }]) => ({ text: word, value })),
    onFilter: (value, l) => l.covered === value,
    render: (_, l) => (
      <span className={l.covered === "SILENT" ? "hint" : undefined}>
        {said[l.covered].icon} {said[l.covered].word}
      </span>
    ),
  },
  {
    title: "By",
    key: "by",
    render: (_, l) => (
      <>
        {l.by}
        {l.clause && <span className="small quiet"> · {l.clause}</span>}
        {l.confidence !== "high" && (
          <span className="hint small"> · {l.confidence} confidence: check against your copy</span>
        )}
      </>
    ),
  },
];

/** Everything that can be recorded on this joint, and whether the code judges it: nothing passes in silence. */
export function CoverageTable({ lines }: { lines: CoverageLine[] }) {
  return (
    <section aria-label="What is judged">
      <h3>What is judged, and what has no limit</h3>
      <Table
        rowKey={(l) => `${l.read}${l.what}`}
        columns={columns}
        dataSource={lines}
        pagination={false}
        size="small"
      />
    </section>
  );
}
