import { Collapse } from "antd";
import { useQuery } from "@tanstack/react-query";
import { api } from "../lib/api";
import { dayOf } from "../lib/local-time";

/** Whether notices go out by mail; what the simulated mailbox took is read here. */
export function Mailbox() {
  const box = useQuery({ queryKey: ["mailbox"], queryFn: api.mailbox });
  if (!box.data) return null;
  const { mode, mails } = box.data;
  return (
    <section className="card side" aria-label="Mail">
      <h2>Mail</h2>
      <p className="small">
        {mode === "smtp"
          ? "Notices go to the addresses in the papers, by the shop’s mail server. A mail names no weld and no person."
          : mode === "off"
            ? "No mail server is set: notices stand on everybody’s pages alone."
            : `Simulated: nothing leaves this machine. ${mails.length === 0 ? "No mail yet." : "The newest first:"}`}
      </p>
      <Collapse
        size="small"
        items={mails.slice(0, 10).map((m, i) => ({
          key: i,
          label: `${m.to}: ${m.subject.replace("Mensor: ", "")}, ${dayOf(m.at.slice(0, 10))}`,
          children: m.text.split("\n").map((line, n) => (
            <p key={n} className="breaks">
              {line}
            </p>
          )),
        }))}
      />
    </section>
  );
}
