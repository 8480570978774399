import { randomBytes, timingSafeEqual } from "node:crypto";
import { z } from "zod";
import { role } from "@/core/door/role";
import type { Presence } from "./presence";

/**
 * What the guard gives a request to carry, so that what lies behind knows who asks. The word in front is made
 * anew at each start and never leaves this process.
 */
const held = globalThis as { demontageWord?: string };
const word = (): string => {
  held.demontageWord ??= randomBytes(24).toString("hex");
  return held.demontageWord;
};

const presence = z.strictObject({
  here: z.boolean(),
  role,
  name: z.string(),
  device: z.string(),
  session: z.int().optional(),
});

export const passFor = (of: Presence): string =>
  `${word()}.${Buffer.from(JSON.stringify(of)).toString("base64url")}`;

/** Whose pass it is; null: it is none of ours. */
export function passOf(said: string | null): Presence | null {
  const [given = "", rest = ""] = (said ?? "").split(".");
  const [a, b] = [Buffer.from(given), Buffer.from(word())];
  if (a.length !== b.length || !timingSafeEqual(a, b)) return null;
  return presence.parse(JSON.parse(Buffer.from(rest, "base64url").toString("utf8")));
}
