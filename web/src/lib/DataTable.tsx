import { SettingOutlined } from "@ant-design/icons";
import { Button, Card, Checkbox, Empty, Popover, Table, type TableColumnType } from "antd";
import { useMemo, useState, type ReactNode, type UIEvent } from "react";
import "./data-table.css";
import { useNarrow } from "./useNarrow";
import { useSize } from "./useSize";

/** A column: what it shows, and what it is sorted and filtered by. */
export type Column<T> = {
  key: string;
  title: string;
  /** By this it is sorted; absent where there is no order. */
  value?: (row: T) => string | number | undefined;
  render?: (row: T) => ReactNode;
  /** Offers its values as a filter. */
  filter?: boolean;
  width?: number;
  /** Not shown until somebody chooses it. */
  extra?: boolean;
};

export type Sort = { key: string; down: boolean };

type Props<T> = {
  /** Under this name the choice of columns is kept on this tablet. */
  name: string;
  label: string;
  columns: Column<T>[];
  rows: T[];
  rowKey: (row: T) => string;
  onOpen?: (row: T) => void;
  chosen?: string;
  /** What is said where there is no row: the next step. */
  empty: ReactNode;
  loading?: boolean;
  /** So few columns that none is chosen. */
  plain?: boolean;
  /** Takes the height that is left, and draws only the rows in view. */
  fill?: boolean;
  /** The server sorts: it is told, and the rows are left as they come. */
  onSort?: (sort: Sort | undefined) => void;
  /** The last rows come into view: more may be asked for. */
  onEnd?: () => void;
};

const collator = new Intl.Collator(undefined, { numeric: true, sensitivity: "base" });
const head = 48;

/** The table of every list: sorting, filters, kept columns, a head that stays; cards on a phone. */
export function DataTable<T extends object>(props: Props<T>) {
  const { name, label, columns, rows, rowKey, onOpen, chosen, empty, loading, fill, plain, onSort, onEnd } = props;
  const narrow = useNarrow();
  const [hidden, setHidden] = useKeptColumns(name, columns);
  const [area, { height, width }] = useSize<HTMLDivElement>({ width: 900, height: 600 });
  const shown = useMemo(() => columns.filter((c, i) => i === 0 || !hidden.includes(c.key)), [columns, hidden]);
  const none = <Empty image={Empty.PRESENTED_IMAGE_SIMPLE} description={empty} />;
  if (narrow)
    return (
      <Cards columns={shown} rows={rows} rowKey={rowKey} onOpen={onOpen} label={label} onEnd={onEnd} none={none} />
    );
  const chooser = (
    <ColumnChooser columns={columns} hidden={hidden} onChange={setHidden} label={`Columns of ${label}`} />
  );
  const antColumns: TableColumnType<T>[] = [
    ...shown.map((c) => antColumn(c, rows, onSort !== undefined)),
    ...(plain ? [] : [{ key: "columns", width: 52, render: () => null }]),
  ];
  const near = (e: UIEvent) => {
    const { scrollTop, scrollHeight, clientHeight } = e.currentTarget;
    if (scrollHeight - scrollTop - clientHeight < 1500) onEnd?.();
  };
  const y = Math.max(120, height - head);
  return (
    <div ref={area} className={fill ? "table fill" : "table"} role="region" aria-label={label}>
      {/* over the head's last cell, not in it: the table keeps a hidden copy of its head to measure by */}
      {!plain && <span className="chooser">{chooser}</span>}
      <Table<T>
        className={fill ? "body" : undefined}
        columns={antColumns}
        dataSource={rows}
        rowKey={rowKey}
        size="small"
        pagination={false}
        loading={loading}
        locale={{ emptyText: none }}
        sticky={!fill}
        virtual={fill && rows.length > 60}
        scroll={fill ? { y, x: Math.max(600, width - 2) } : undefined}
        rowClassName={(r) => (rowKey(r) === chosen ? "ant-table-row-selected" : "")}
        onRow={(r) => ({
          "data-row": rowKey(r),
          ...(onOpen ? { onClick: () => onOpen(r), style: { cursor: "pointer" } } : {}),
          ...(rowKey(r) === chosen ? { "aria-current": true } : {}),
        })}
        onScroll={onEnd && near}
        showSorterTooltip={false}
        onChange={(_, __, sorter, extra) => {
          if (extra.action !== "sort" || !onSort || Array.isArray(sorter)) return;
          onSort(sorter.order ? { key: String(sorter.columnKey), down: sorter.order === "descend" } : undefined);
        }}
      />
    </div>
  );
}

function antColumn<T>(c: Column<T>, rows: T[], byServer: boolean): TableColumnType<T> {
  const { value } = c;
  const filters = c.filter && value ? [...new Set(rows.map((r) => String(value(r) ?? "–")))] : [];
  return {
    key: c.key,
    title: c.title,
    width: c.width,
    render: (_, r) => (c.render ? c.render(r) : (value?.(r) ?? "–")),
    ...(value
      ? { sorter: byServer || ((a: T, b: T) => collator.compare(String(value(a) ?? ""), String(value(b) ?? ""))) }
      : {}),
    ...(filters.length > 1 && value
      ? {
          filters: filters.sort(collator.compare).map((f) => ({ text: f, value: f })),
          filterSearch: filters.length > 8,
          onFilter: (f: unknown, r: T) => String(value(r) ?? "–") === f,
        }
      : {}),
  };
}

/** Which columns are hidden, kept on this tablet. */
function useKeptColumns<T>(name: string, columns: Column<T>[]) {
  const key = `mensor.columns.${name}`;
  const [hidden, setHidden] = useState<string[]>(() => {
    const kept = window.localStorage.getItem(key);
    return kept === null ? columns.filter((c) => c.extra).map((c) => c.key) : kept.split(",");
  });
  const change = (next: string[]) => {
    window.localStorage.setItem(key, next.join(","));
    setHidden(next);
  };
  return [hidden, change] as const;
}

function ColumnChooser<T>(props: {
  columns: Column<T>[];
  hidden: string[];
  onChange: (h: string[]) => void;
  label: string;
}) {
  const { columns, hidden, onChange, label } = props;
  const choosable = columns.slice(1);
  return (
    <Popover
      trigger="click"
      placement="bottomRight"
      title="Columns"
      content={
        <Checkbox.Group
          className="column"
          value={choosable.filter((c) => !hidden.includes(c.key)).map((c) => c.key)}
          options={choosable.map((c) => ({ label: c.title, value: c.key }))}
          onChange={(on) => onChange(choosable.map((c) => c.key).filter((k) => !on.includes(k)))}
        />
      }
    >
      <Button type="text" icon={<SettingOutlined />} aria-label={label} />
    </Popover>
  );
}

/** The same rows where a table has no room: each a card, its columns one under the other. */
function Cards<T>(props: {
  columns: Column<T>[];
  rows: T[];
  rowKey: (row: T) => string;
  onOpen?: (row: T) => void;
  label: string;
  onEnd?: () => void;
  none: ReactNode;
}) {
  const { columns, rows, rowKey, onOpen, label, onEnd, none } = props;
  if (rows.length === 0) return none;
  const content = (c: Column<T>, r: T) => (c.render ? c.render(r) : (c.value?.(r) ?? "–"));
  return (
    <div className="column scrolled" role="list" aria-label={label} onScroll={onEnd && (() => onEnd())}>
      {rows.map((r) => (
        // the link in its first line is for the keyboard; a finger may touch the whole card
        <Card size="small" key={rowKey(r)} role="listitem" onClick={onOpen && (() => onOpen(r))}>
          {columns.map((c, i) => (
            <div key={c.key}>
              {i > 0 && <span className="quiet small">{c.title}: </span>}
              <span>{content(c, r)}</span>
            </div>
          ))}
        </Card>
      ))}
    </div>
  );
}
