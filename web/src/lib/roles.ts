import type { Actor } from "./api";

export type Role = Actor["roles"][number];

export const roleWords: Record<Role, string> = {
  INSPECTOR: "inspector",
  WELDING_ENGINEER: "welding engineer",
  REPAIR_LEAD: "repair lead",
  QUALITY_MANAGER: "quality manager",
  VIEWER: "viewer",
  INSTRUCTOR: "instructor",
  LEARNER: "learner",
};

/** Whether a person holds one of these roles. */
export function holds({ roles }: { roles: Role[] }, ...any: Role[]): boolean {
  return any.some((r) => roles.includes(r));
}

/** The roles as said: "quality manager, inspector". */
export function rolesSaid({ roles }: { roles: Role[] }): string {
  return roles.map((r) => roleWords[r]).join(", ");
}

/** Holds only roles to whom the shop's open work is not shown: a viewer, an instructor, a learner. */
export function isOutside({ roles }: { roles: Role[] }): boolean {
  return roles.every((r) => r === "VIEWER" || r === "INSTRUCTOR" || r === "LEARNER");
}

/** Sees own test pieces, and nothing else. */
export function isLearnerOnly(actor: { roles: Role[] }): boolean {
  return actor.roles.every((r) => r === "LEARNER");
}
