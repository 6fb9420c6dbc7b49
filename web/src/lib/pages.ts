import type { Actor } from "./api";
import { holds, type Role } from "./roles";

type Page = { to: string; word: string; not?: Role[]; only?: Role[] };
type Group = { word: string; pages: Page[] };

/** The pages by what one comes to do. */
const groups: Group[] = [
  {
    word: "Inspect",
    pages: [
      { to: "/worklist", word: "Worklist" },
      { to: "/repairs", word: "Repairs", not: ["VIEWER"] },
    ],
  },
  {
    word: "Prepare",
    pages: [
      { to: "/jobs", word: "Jobs" },
      { to: "/procedures", word: "Procedures", not: ["VIEWER"] },
      { to: "/criteria", word: "Acceptance criteria" },
      { to: "/gauges", word: "Gauges", not: ["VIEWER"] },
      { to: "/machines", word: "Machines", not: ["VIEWER"] },
    ],
  },
  {
    word: "Learn",
    pages: [
      { to: "/test-pieces", word: "Test pieces", not: ["VIEWER"] },
      { to: "/reject-rates", word: "Reject rates", not: ["VIEWER"] },
    ],
  },
  {
    word: "Admin",
    pages: [
      { to: "/people", word: "People and welders", not: ["VIEWER"] },
      { to: "/history", word: "History of the shop", only: ["QUALITY_MANAGER"] },
    ],
  },
];

/** Those that a person may open: what a role may not is not offered. */
export function pagesFor(actor: Actor): Group[] {
  return groups
    .map((g) => ({
      ...g,
      pages: g.pages.filter((p) => !holds(actor, ...(p.not ?? [])) && (!p.only || holds(actor, ...p.only))),
    }))
    .filter((g) => g.pages.length > 0);
}

/** Where a person's day begins; an inspector's at the worklist, whatever else he does. */
export function beginningOf(actor: Actor): string {
  if (holds(actor, "INSPECTOR", "QUALITY_MANAGER")) return "/worklist";
  if (holds(actor, "REPAIR_LEAD")) return "/repairs";
  if (holds(actor, "WELDING_ENGINEER")) return "/repairs?tab=waiting";
  return "/worklist";
}
