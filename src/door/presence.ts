import type { Role } from "@/core/door/role";

/** Who is at the other end of a request that was let in. */
export interface Presence {
  /** at the shop's own computer, where nothing is asked */
  readonly here: boolean;
  readonly role: Role;
  /** empty: nobody signed in */
  readonly name: string;
  readonly device: string;
  /** number of the session, where somebody signed in */
  readonly session?: number;
}

export const AT_HOME: Presence = { here: true, role: "owner", name: "", device: "the shop’s computer" };
