import { createHash, randomBytes, randomInt } from "node:crypto";
import { z } from "zod";
import { deviceName, role } from "@/core/door/role";
import { Fault, readWith } from "@/core/fault";
import type { Frozen } from "@/core/frozen";
import { database } from "./database";
import { inTurn } from "./in-turn";
import { rowsOf } from "./rows";

const deviceSchema = z.strictObject({
  id: z.int(),
  name: z.string(),
  pairedAt: z.string(),
  seenAt: z.string(),
});
export type Device = Frozen<z.infer<typeof deviceSchema>>;
const devices = rowsOf("devices", deviceSchema);

/**
 * Tokens and codes are kept as their hashes: who reads the database cannot come in with what stands there.
 */
const hashOf = (token: string): string => createHash("sha256").update(token).digest("hex");
const newToken = (): string => randomBytes(32).toString("base64url");

/** Signs that are not taken for each other. */
const SIGNS = "ABCDEFGHJKLMNPQRSTUVWXYZ23456789";
const CODE_LENGTH = 8;
const CODE_MS = 10 * 60_000;
/** A code that so many were tried against is none any more. */
const MOST_TRIES = 20;

let tries = 0;

/** A code for one device, good for ten minutes; the one before it is none any more. */
export async function newPairing(now = new Date()): Promise<{ code: string; until: string }> {
  const code = Array.from({ length: CODE_LENGTH }, () => SIGNS[randomInt(SIGNS.length)]).join("");
  const until = new Date(now.getTime() + CODE_MS).toISOString();
  tries = 0;
  await inTurn(await database(), async (trx) => {
    await trx("pairings").delete();
    await trx("pairings").insert({ code: hashOf(code), until });
  });
  return { code, until };
}

/** Pairs a device by a code. Answers the token that it comes in by from now on; it is told only once. */
export async function pairDevice(
  said: { readonly code: string; readonly name: string },
  now = new Date(),
): Promise<{ token: string; device: Device }> {
  const name = readWith(deviceName, said.name, "name");
  const code = said.code.toUpperCase().replace(/[^A-Z0-9]/g, "");
  if (++tries > MOST_TRIES) {
    await (await database())("pairings").delete();
    throw new Fault("code", "too many codes were tried. Have a new one made on the shop’s own screen");
  }
  const token = newToken();
  return inTurn(await database(), async (trx) => {
    const found = await trx("pairings")
      .where({ code: hashOf(code) })
      .andWhere("until", ">", now.toISOString())
      .first();
    if (!found)
      throw new Fault(
        "code",
        "this code is not good, or no longer. Have a new one made on the shop’s own screen",
      );
    if (await trx("devices").where({ name }).whereNull("let_go_at").first())
      throw new Fault(
        "name",
        `there is a “${name}” already: give this one another name, or let that one go first`,
      );
    await trx("pairings").delete();
    const at = now.toISOString();
    const [id = 0]: number[] = await trx("devices").insert({
      name,
      token: hashOf(token),
      paired_at: at,
      seen_at: at,
    });
    return { token, device: { id, name, pairedAt: at, seenAt: at } };
  });
}

/** The devices that may come in, the one that was seen last first. */
export async function pairedDevices(): Promise<Device[]> {
  return (
    await (
      await database()
    )("devices")
      .whereNull("let_go_at")
      .orderBy("seen_at", "desc")
      .select("id", "name", "paired_at", "seen_at")
  ).map(devices.read);
}

/** A device comes in no more: it was lost, or given away. */
export async function letDeviceGo(id: number, now = new Date()): Promise<void> {
  await inTurn(await database(), async (trx) => {
    await trx("devices").where({ id }).update({ let_go_at: now.toISOString() });
    await trx("sessions").where({ device: id }).delete();
  });
}

/** The paired device of a token, or null. */
export async function deviceOf(token: string): Promise<{ id: number; name: string } | null> {
  const row: { id: number; name: string } | undefined = await (await database())("devices")
    .where({ token: hashOf(token) })
    .whereNull("let_go_at")
    .first("id", "name");
  return row ?? null;
}

/** Signed in so long without doing anything, somebody has gone home. */
const IDLE_MS = 12 * 3600_000;
/** Nobody works longer than this in one go. */
const LONGEST_MS = 24 * 3600_000;
const SEEN_EVERY_MS = 60_000;

/** Begins somebody's work on a device. Answers the session's token, told only once. */
export async function beginSession(person: number, device: number, now = new Date()): Promise<string> {
  const token = newToken();
  const at = now.toISOString();
  await inTurn(await database(), async (trx) => {
    await trx("sessions").where({ device }).delete();
    await trx("sessions").insert({ token: hashOf(token), person, device, begun_at: at, seen_at: at });
  });
  return token;
}

const sessionSchema = z.strictObject({
  id: z.int(),
  name: z.string(),
  role,
  seenAt: z.string(),
  begunAt: z.string(),
});
const sessions = rowsOf("sessions", sessionSchema);
export type Session = Frozen<z.infer<typeof sessionSchema>>;

/** Who works on this device by this token; null: nobody, or not any more. */
export async function sessionOf(token: string, device: number, now = new Date()): Promise<Session | null> {
  const db = await database();
  const row = await db("sessions")
    .join("people", "people.id", "sessions.person")
    .where({ "sessions.token": hashOf(token), "sessions.device": device })
    .whereNull("people.left_at")
    .first("sessions.id", "people.name", "people.role", "sessions.seen_at", "sessions.begun_at");
  if (!row) return null;
  const session = sessions.read(row);
  const since = (at: string): number => now.getTime() - new Date(at).getTime();
  if (since(session.seenAt) > IDLE_MS || since(session.begunAt) > LONGEST_MS) {
    await endSession(session.id);
    return null;
  }
  if (since(session.seenAt) > SEEN_EVERY_MS) {
    const at = now.toISOString();
    await db("sessions").where({ id: session.id }).update({ seen_at: at });
    await db("devices").where({ id: device }).update({ seen_at: at });
  }
  return session;
}

export async function endSession(id: number): Promise<void> {
  await (await database())("sessions").where({ id }).delete();
}
