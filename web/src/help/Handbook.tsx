import { SearchOutlined } from "@ant-design/icons";
import { Collapse, Empty, Input } from "antd";
import { useState } from "react";
import Markdown from "react-markdown";
import handbook from "../../../docs/handbook.md?raw";
import { found, sectionsOf } from "./sections";

const sections = sectionsOf(handbook);

/** The handbook to read and search; it ships with the app and needs no network. */
export default function Handbook({ at }: { at: string }) {
  const [find, setFind] = useState("");
  const [open, setOpen] = useState<string[]>([at]);
  const shown = found(sections, find);
  const searching = find.trim() !== "";
  return (
    <>
      <Input
        prefix={<SearchOutlined />}
        allowClear
        aria-label="Find in the handbook"
        placeholder="Find in the handbook"
        value={find}
        onChange={(e) => setFind(e.target.value)}
      />
      {shown.length === 0 && <Empty description="No part of the handbook has all of these words." />}
      <Collapse
        ghost
        className="spaced"
        activeKey={searching ? shown.map((s) => s.title) : open}
        onChange={(keys) => setOpen([keys].flat())}
        items={shown.map((s) => ({
          key: s.title,
          label: <b>{s.title}</b>,
          children: <Markdown>{s.text}</Markdown>,
        }))}
      />
    </>
  );
}
