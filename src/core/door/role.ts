import { z } from "zod";

/** What somebody of the shop may do; each may do what those before may. */
export const ROLES = [
  {
    role: "desk",
    says: "Front desk",
    may: "takes units in, tells quotes and hands units back; looks at everything else",
  },
  {
    role: "bench",
    says: "Bench",
    may: "also strips, judges, orders and rebuilds, and keeps catalogue and shelf",
  },
  {
    role: "owner",
    says: "Owner",
    may: "also sets charges, people, devices and back-ups, and takes customers out",
  },
] as const;
export const role = z.enum(ROLES.map((r) => r.role));
export type Role = z.infer<typeof role>;

/** @example mayDo("desk", "bench") // false */
export const mayDo = (has: Role, needs: Role): boolean =>
  ROLES.findIndex((r) => r.role === has) >= ROLES.findIndex((r) => r.role === needs);

export const roleSays = (of: Role): string => ROLES.find((r) => r.role === of)?.says ?? of;

/** A PIN: four to eight figures, and not one of those that everybody tries first. */
export const pinSchema = z
  .string()
  .regex(/^\d{4,8}$/, "a PIN is 4 to 8 figures")
  .refine(
    (pin) => !/^(\d)\1+$/.test(pin) && !"0123456789".includes(pin) && !"9876543210".includes(pin),
    "anybody would guess that one: take another",
  );
export const personName = z.string().trim().min(2, "say who it is").max(40, "is longer than 40 characters");
export const deviceName = z
  .string()
  .trim()
  .min(2, "give it a name, like Tablet at the bench")
  .max(40, "is longer than 40 characters");
