import type { ReactNode } from "react";
import type { WeldState } from "../lib/api-map";
import { ink } from "../theme";

/** Where a weld stands, in the order of the work: each has a word and a shape of its own, so that no color is needed. */
export const states: { state: WeldState; word: string }[] = [
  { state: "NOT_INSPECTED", word: "not inspected" },
  { state: "OPEN", word: "open" },
  { state: "REJECT", word: "reject" },
  { state: "HOLD", word: "hold" },
  { state: "IN_REPAIR", word: "in repair" },
  { state: "ACCEPT", word: "accept" },
];

export const wordOf = (state: WeldState) => states.find((s) => s.state === state)?.word ?? "";

const stroke = { strokeWidth: 2.4, strokeLinecap: "round", fill: "none" } as const;

const shapes: Record<WeldState, ReactNode> = {
  NOT_INSPECTED: <circle r="8.5" fill={ink.paper} stroke={ink.none} strokeWidth="2.4" />,
  OPEN: <circle r="8.5" fill={ink.paper} stroke={ink.open} strokeWidth="2.6" strokeDasharray="5 3.5" />,
  ACCEPT: (
    <>
      <circle r="9.5" fill={ink.accept} stroke={ink.paper} />
      <path d="m-4.5 .5 3 3L5-3.5" stroke={ink.paper} {...stroke} />
    </>
  ),
  REJECT: (
    <>
      <path d="M-4-9.5h8L9.5-4v8L4 9.5h-8L-9.5 4v-8z" fill={ink.reject} stroke={ink.paper} />
      <path d="m-3.6-3.6 7.2 7.2m0-7.2-7.2 7.2" stroke={ink.paper} {...stroke} />
    </>
  ),
  HOLD: (
    <>
      <path d="M-8.5-8.5h17v17h-17z" fill={ink.paper} stroke={ink.reject} strokeWidth="2.4" />
      <path d="M-2.8-4v8m5.6-8v8" stroke={ink.reject} {...stroke} />
    </>
  ),
  IN_REPAIR: (
    <>
      <path d="M0-10.5 10.5 0 0 10.5-10.5 0z" fill={ink.paper} stroke={ink.reject} strokeWidth="2.4" />
      <path d="M-4 0h8" stroke={ink.reject} {...stroke} />
    </>
  ),
};

/** The shape of a state about the origin. */
export const PinShape = ({ state }: { state: WeldState }) => <>{shapes[state]}</>;

/** A shape in a line of text. */
export const StateMark = ({ state }: { state: WeldState }) => (
  <svg width="22" height="22" viewBox="-11 -11 22 22" aria-hidden="true">
    {shapes[state]}
  </svg>
);
