import { BellOutlined } from "@ant-design/icons";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Button, Popover } from "antd";
import { useState } from "react";
import { Link } from "react-router";
import { api } from "./api";
import { dayOf } from "./local-time";

const words = { REJECT: "Reject", HOLD: "Hold", PAPER: "Paper", GAUGE: "Gauge" } as const;

/** What one must be told of, on every page: how many, and a touch shows them, each with its way. */
export function Notices() {
  const [open, setOpen] = useState(false);
  const queries = useQueryClient();
  const told = useQuery({ queryKey: ["notices"], queryFn: api.notices, refetchInterval: 30_000 }).data;
  if (!told || told.count === 0) return null;
  const seen = async (what: Promise<unknown>) => {
    await what;
    await queries.invalidateQueries({ queryKey: ["notices"] });
  };
  const many = `${told.count} ${told.count === 1 ? "notice" : "notices"}`;
  const list = (
    <section aria-label="Notices" className="column">
      {told.notices.slice(0, 6).map((n) => (
        <Link
          key={n.id}
          to={n.link}
          className="picked"
          onClick={() => {
            setOpen(false);
            void seen(api.seeNotice(n.id));
          }}
        >
          <b>
            {words[n.kind]}: {n.words}
          </b>
          <span className="small quiet">{dayOf(n.at.slice(0, 10))}</span>
        </Link>
      ))}
      <Button onClick={() => void seen(api.seeNotices(told.notices[0]?.at ?? ""))}>
        {told.count > 6 ? `All ${told.count} are seen` : "All are seen"}
      </Button>
    </section>
  );
  return (
    <Popover trigger="click" placement="bottomRight" open={open} onOpenChange={setOpen} content={list}>
      <Button ghost icon={<BellOutlined />} aria-label={many} aria-expanded={open}>
        <span className="name">
          <b>{told.count}</b>
          {told.count === 1 ? "notice" : "notices"}
        </span>
      </Button>
    </Popover>
  );
}
