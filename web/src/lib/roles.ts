import type { Actor } from "./api";

export type Role = Actor["roles"][number];

export const roleWords: Record<Role, string> = {
  INSPECTOR: "inspector",
  WELDING_ENGINEER: "welding engineer",
  REPAIR_LEAD: "repair lead",
  QUALITY_MANAGER: "quality manager",
  VIEWER: "viewer",
};

/** Whether a person holds one of these roles. */
export function holds({ roles }: { roles: Role[] }, ...any: Role[]): boolean {
  return any.some((r) => roles.includes(r));
}

/** The roles as said: "quality manager, inspector". */
export function rolesSaid({ roles }: { roles: Role[] }): string {
  return roles.map((r) => roleWords[r]).join(", ");
}
