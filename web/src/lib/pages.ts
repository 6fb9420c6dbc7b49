import type { Actor } from "./api";

type Role = Actor["role"];
type Page = { to: string; word: string; not?: Role[] };
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
    ],
  },
  { word: "Learn", pages: [{ to: "/reject-rates", word: "Reject rates", not: ["VIEWER"] }] },
  { word: "Admin", pages: [{ to: "/people", word: "People and welders", not: ["VIEWER"] }] },
];

/** Those that a role may open: what it may not is not offered. */
export function pagesFor(role: Role): Group[] {
  return groups
    .map((g) => ({ ...g, pages: g.pages.filter((p) => !p.not?.includes(role)) }))
    .filter((g) => g.pages.length > 0);
}

/** Where a role's day begins. */
export function beginningOf(role: Role): string {
  if (role === "REPAIR_LEAD") return "/repairs";
  if (role === "WELDING_ENGINEER") return "/repairs?tab=waiting";
  return "/worklist";
}
