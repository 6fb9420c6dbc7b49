import { Card, Table } from "antd";
import type { ReactNode } from "react";
import { useNarrow } from "./useNarrow";

/** A column: its head, and what a row shows in it. */
export type SmallColumn<T> = readonly [title: ReactNode, cell: (row: T, index: number) => ReactNode, width?: number];

type Props<T> = {
  label: string;
  columns: readonly SmallColumn<T>[];
  rows: readonly T[];
  rowKey: (row: T, index: number) => string | number;
  rowProps?: (row: T) => Record<string, string | undefined>;
};

/** A short table that is read as it stands: no sorting, no choice of columns. On a phone each row is a card. */
export function SmallTable<T extends object>({ label, columns, rows, rowKey, rowProps }: Props<T>) {
  const narrow = useNarrow();
  if (narrow && columns.length > 2) {
    return (
      <div role="list" aria-label={label} className="column">
        {rows.map((r, n) => (
          <Card size="small" role="listitem" key={rowKey(r, n)} {...rowProps?.(r)}>
            {columns.map(([title, cell], i) => (
              <div key={i}>
                {title && <span className="small quiet">{title}: </span>}
                {cell(r, n)}
              </div>
            ))}
          </Card>
        ))}
      </div>
    );
  }
  return (
    <Table<T>
      aria-label={label}
      size="small"
      pagination={false}
      dataSource={[...rows]}
      rowKey={(r) => rowKey(r, rows.indexOf(r))}
      onRow={rowProps && ((r) => rowProps(r))}
      columns={columns.map(([title, cell, width], i) => ({
        key: String(i),
        title,
        width,
        render: (_: unknown, r: T, n: number) => cell(r, n),
      }))}
    />
  );
}
