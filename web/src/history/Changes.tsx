import { SearchOutlined } from "@ant-design/icons";
import { Alert, Button, Empty, Flex, Input, Skeleton, Timeline } from "antd";
import { saidBy, type Change } from "../lib/api";
import { minuteOf } from "../lib/local-time";
import { Choice } from "../lib/fields";

/** So many more changes are shown at a time. */
export const step = 100;

/** Changes, the newest first: who, when, what stood before and what after. */
export function Changes({
  changes,
  fitting,
  kinds,
  what,
  onWhat,
  find,
  onFind,
  onMore,
  pending,
  fault,
}: {
  changes: Change[];
  fitting: number;
  kinds: Record<string, number>;
  what: string;
  onWhat: (v: string) => void;
  find: string;
  onFind: (v: string) => void;
  onMore: () => void;
  pending: boolean;
  fault: unknown;
}) {
  const all = Object.values(kinds).reduce((a, b) => a + b, 0);
  return (
    <main className="list">
      <Flex wrap gap={10} align="center">
        <Input
          className="box wide-box"
          prefix={<SearchOutlined />}
          allowClear
          aria-label="Find a person or a word"
          placeholder="Find a person or a word"
          value={find}
          onChange={(e) => onFind(e.target.value)}
        />
        <Choice
          width={240}
          aria-label="Show"
          value={what}
          options={[
            ["", `All changes (${all})`],
            ...Object.entries(kinds)
              .sort(([a], [b]) => a.localeCompare(b))
              .map(([k, n]) => [k, `${k} (${n})`] as const),
          ]}
          onChange={onWhat}
        />
      </Flex>
      {/* it scrolls by itself, so that the keyboard reaches all of it */}
      <div className="card page scrolled" role="region" aria-label="Changes" tabIndex={0}>
        {fault !== null && <Alert type="error" showIcon title={saidBy(fault)} />}
        {pending && <Skeleton active />}
        {!pending && fault === null && fitting === 0 && <Empty description="No change fits. Clear the search." />}
        <Timeline
          items={changes.map((c, i) => ({
            key: `${c.revision} ${i}`,
            color: c.did === "taken off" ? "gray" : c.did === "changed" ? "orange" : "green",
            content: <One change={c} />,
          }))}
        />
        {fitting > changes.length && (
          <Button onClick={onMore}>Show {Math.min(step, fitting - changes.length)} more</Button>
        )}
      </div>
    </main>
  );
}

function One({ change: c }: { change: Change }) {
  return (
    <>
      <b>
        {c.what}
        {c.name && ` ${c.name}`}
      </b>{" "}
      {c.did} by {c.by === "" ? "Mensor" : c.by} <span className="quiet small">{minuteOf(c.at)}</span>
      <Flex wrap gap="0 18px" className="small breaks">
        {c.fields.map((f) => (
          <span key={f.field}>
            <span className="quiet">{f.field}:</span> {f.before !== undefined && <del>{f.before}</del>}
            {f.before !== undefined && f.after !== undefined && " → "}
            {f.after !== undefined && <b>{f.after}</b>}
          </span>
        ))}
      </Flex>
    </>
  );
}
