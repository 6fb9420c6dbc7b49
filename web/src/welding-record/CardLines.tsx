import { Flex } from "antd";
import type { WeldingRecord } from "../lib/api";

const signs: Record<string, string> = { ok: "✓", open: "–", remark: "!", departs: "✕", stop: "✕" };
const looks: Record<string, string> = {
  ok: "v-accept",
  open: "quiet",
  remark: "hint",
  departs: "fault",
  stop: "fault",
};

/** The lines of a card: what was read, and under it what is wanted. */
export function CardLines({ lines }: { lines: WeldingRecord["firstRod"]["lines"] }) {
  return lines.map((l) => (
    <div key={l.title} className="item">
      <Flex vertical>
        <span className={looks[l.state]}>
          {signs[l.state]} <b>{l.title}</b> {l.read || "not read"}
        </span>
        <span className="quiet small">{l.wanted}</span>
      </Flex>
    </div>
  ));
}
