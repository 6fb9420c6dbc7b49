import { Input } from "antd";
import { useState, type ReactNode } from "react";
import { Link } from "react-router";
import { DataTable, type Column } from "./DataTable";

type Props<T> = {
  name: string;
  label: string;
  rows: T[];
  loading?: boolean;
  rowKey: (row: T) => string;
  to: (row: T) => string;
  title: string;
  /** What a row is called, by which it is found and sorted. */
  called: (row: T) => string;
  under?: (row: T) => ReactNode;
  columns: Column<T>[];
  chosen?: string;
  empty: ReactNode;
};

/** A list beside what is opened from it: found by typing, sorted, filtered; each row leads on. */
export function PickTable<T extends object>(props: Props<T>) {
  const { rows, to, title, called, under, columns, chosen, rowKey, ...rest } = props;
  const [find, setFind] = useState("");
  const words = find.toLowerCase().split(/\s+/).filter(Boolean);
  const found = rows.filter((r) => words.every((w) => called(r).toLowerCase().includes(w)));
  const first: Column<T> = {
    key: "name",
    title,
    value: called,
    render: (r) => (
      <Link to={to(r)} className="picked" aria-current={rowKey(r) === chosen ? "page" : undefined}>
        <b>{called(r)}</b>
        {under && <span className="quiet small">{under(r)}</span>}
      </Link>
    ),
  };
  return (
    <>
      {rows.length > 6 && (
        <Input
          className="spaced"
          allowClear
          aria-label={`Find in ${rest.label.toLowerCase()}`}
          placeholder="Find …"
          value={find}
          onChange={(e) => setFind(e.target.value)}
        />
      )}
      <DataTable<T> {...rest} plain rows={found} rowKey={rowKey} chosen={chosen} columns={[first, ...columns]} />
    </>
  );
}
