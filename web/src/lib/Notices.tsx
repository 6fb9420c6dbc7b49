import { BellOutlined } from "@ant-design/icons";
import { useQuery, useQueryClient } from "@tanstack/react-query";
import { Button, Drawer } from "antd";
import { useState } from "react";
import { Link } from "react-router";
import { api } from "./api";
import { dayOf } from "./local-time";

const words = { REJECT: "Reject", HOLD: "Hold", PAPER: "Paper", GAUGE: "Gauge", SEALS: "Seals" } as const;

/** What one must be told of, on every page: how many, and a touch shows them, each with its way. */
export function Notices() {
  const [open, setOpen] = useState(false);
  const queries = useQueryClient();
  const told = useQuery({ queryKey: ["notices"], queryFn: api.notices, refetchInterval: 30_000 }).data;
  if (!told || (told.count === 0 && !open)) return null;
  const seen = async (what: Promise<unknown>) => {
    await what;
    await queries.invalidateQueries({ queryKey: ["notices"] });
  };
  const many = `${told.count} ${told.count === 1 ? "notice" : "notices"}`;
  return (
    <>
      <Button ghost icon={<BellOutlined />} aria-label={many} onClick={() => setOpen(true)}>
        <span className="name">
          <b>{told.count}</b>
          {told.count === 1 ? "notice" : "notices"}
        </span>
      </Button>
      <Drawer
        open={open}
        onClose={() => setOpen(false)}
        title={many}
        size={420}
        extra={
          told.count > 0 && (
            <Button
              onClick={() => void seen(api.seeNotices(told.notices[0]?.at ?? "")).then(() => setOpen(false))}
            >{`All ${told.count} are seen`}</Button>
          )
        }
      >
        {told.notices.map((n) => (
          <Link
            key={n.id}
            to={n.link}
            className="item"
            onClick={() => {
              setOpen(false);
              void seen(api.seeNotice(n.id));
            }}
          >
            <span className="picked">
              <b>{words[n.kind]}</b>
              {n.words}
            </span>
            <span className="small quiet nowrap">{dayOf(n.at)}</span>
          </Link>
        ))}
      </Drawer>
    </>
  );
}
