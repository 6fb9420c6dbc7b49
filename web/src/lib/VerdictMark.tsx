import { ink } from "../theme";

export type VerdictWord = "accept" | "reject" | "incomplete" | "not-applicable";

const words: Record<string, string> = {
  accept: "Accept",
  reject: "Reject",
  incomplete: "Incomplete",
  "not-applicable": "Not asked",
};

/** A shape of its own for each verdict: an eight-sided stop, a round tick, a broken ring, a dash. */
export function VerdictShape({ verdict, size = 24 }: { verdict: string; size?: number }) {
  const common = { width: size, height: size, viewBox: "0 0 24 24", "aria-hidden": true as const };
  if (verdict === "reject")
    return (
      <svg {...common}>
        <path d="M8 1.5h8L22.5 8v8L16 22.5H8L1.5 16V8z" fill={ink.reject} />
        <path d="m8 8 8 8m0-8-8 8" stroke={ink.paper} strokeWidth="2.6" strokeLinecap="round" />
      </svg>
    );
  if (verdict === "accept")
    return (
      <svg {...common}>
        <circle cx="12" cy="12" r="10.5" fill={ink.accept} />
        <path
          d="m7 12.5 3.4 3.4L17 9"
          fill="none"
          stroke={ink.paper}
          strokeWidth="2.6"
          strokeLinecap="round"
          strokeLinejoin="round"
        />
      </svg>
    );
  if (verdict === "incomplete")
    return (
      <svg {...common}>
        <circle cx="12" cy="12" r="9.5" fill={ink.paper} stroke={ink.open} strokeWidth="2.6" strokeDasharray="6 4" />
      </svg>
    );
  return (
    <svg {...common}>
      <path d="M6 12h12" stroke={ink.none} strokeWidth="2.6" strokeLinecap="round" />
    </svg>
  );
}

export function VerdictMark({ verdict, size, word }: { verdict: string; size?: number; word?: string }) {
  return (
    <span className={`verdict v-${verdict}`}>
      <VerdictShape verdict={verdict} size={size} />
      {word ?? words[verdict] ?? verdict}
    </span>
  );
}
