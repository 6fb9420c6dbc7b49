import { VerdictMark } from "../lib/VerdictMark";

/** What a piece came to: by a drill alone its aims are met or missed; a code and specimens accept and reject. */
export function Came({ verdict, byAims, size }: { verdict?: string; byAims: boolean; size?: number }) {
  if (!verdict) return <span className="quiet">no aims, no tests</span>;
  if (!byAims) return <VerdictMark verdict={verdict} size={size} />;
  if (verdict === "accept") return <b className="v-accept">✓ aims met</b>;
  if (verdict === "reject") return <b className="v-reject">✕ an aim is missed</b>;
  return <span className="quiet">aims not all measured</span>;
}
