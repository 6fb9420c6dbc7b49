import type { Actor } from "./api";
import { holds, isLearnerOnly, isOutside, type Role } from "./roles";

type Page = { to: string; word: string; only?: Role[]; may?: (a: Actor) => boolean };
type Group = { word: string; pages: Page[] };

/** The pages by what one comes to do. */
const inside = (a: Actor) => !isOutside(a);
const records = (a: Actor) => !isLearnerOnly(a);

const groups: Group[] = [
  {
    word: "Inspect",
    pages: [
      { to: "/worklist", word: "Worklist", may: records },
      { to: "/repairs", word: "Repairs", may: inside },
    ],
  },
  {
    word: "Prepare",
    pages: [
      { to: "/jobs", word: "Jobs", may: records },
      { to: "/procedures", word: "Procedures", may: inside },
      { to: "/criteria", word: "Acceptance criteria", may: records },
      { to: "/gauges", word: "Gauges", may: inside },
      { to: "/machines", word: "Machines", may: inside },
    ],
  },
  {
    word: "Learn",
    pages: [
      { to: "/series", word: "My series", only: ["LEARNER"] },
      { to: "/class", word: "Class", only: ["INSTRUCTOR", "WELDING_ENGINEER", "QUALITY_MANAGER"] },
      { to: "/test-pieces", word: "Test pieces", may: (a) => !holds(a, "VIEWER") },
      { to: "/drills", word: "Drills", may: (a) => !holds(a, "VIEWER") },
      { to: "/practice", word: "Practice welds", may: (a) => !holds(a, "VIEWER") },
      { to: "/eye", word: "The eye", may: (a) => !holds(a, "VIEWER") },
      { to: "/studies", word: "Studies", may: (a) => inside(a) || holds(a, "INSTRUCTOR") },
      { to: "/where-to-act", word: "Where to act", may: inside },
      { to: "/reject-rates", word: "Reject rates", may: inside },
    ],
  },
  {
    word: "Admin",
    pages: [
      { to: "/people", word: "People and welders", may: inside },
      { to: "/history", word: "History of the shop", only: ["QUALITY_MANAGER"] },
    ],
  },
];

/** Those that a person may open: what a role may not is not offered. */
export function pagesFor(actor: Actor): Group[] {
  return groups
    .map((g) => ({
      ...g,
      pages: g.pages.filter((p) => (p.may?.(actor) ?? true) && (!p.only || holds(actor, ...p.only))),
    }))
    .filter((g) => g.pages.length > 0);
}

/** Where a person's day begins; an inspector's at the worklist, whatever else he does. */
export function beginningOf(actor: Actor): string {
  if (holds(actor, "INSPECTOR", "QUALITY_MANAGER")) return "/worklist";
  if (holds(actor, "REPAIR_LEAD")) return "/repairs";
  if (holds(actor, "WELDING_ENGINEER")) return "/repairs?tab=waiting";
  if (holds(actor, "INSTRUCTOR")) return "/class";
  return isLearnerOnly(actor) ? "/series" : "/worklist";
}
