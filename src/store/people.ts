import { randomBytes, timingSafeEqual } from "node:crypto";
import { argon2idAsync } from "@noble/hashes/argon2.js";
import { z } from "zod";
import { personName, pinSchema, type Role, role } from "@/core/door/role";
import { Fault, readWith } from "@/core/fault";
import type { Frozen } from "@/core/frozen";
import { database } from "./database";
import { inTurn } from "./in-turn";
import { rowsOf } from "./rows";

const personSchema = z.strictObject({
  id: z.int(),
  name: z.string(),
  role,
  lockedUntil: z.string().optional(),
  leftAt: z.string().optional(),
});
export type Person = Frozen<z.infer<typeof personSchema>>;
const people = rowsOf("people", personSchema);

/**
 * Argon2id with what OWASP asks at least: 19 MiB, two passes. A PIN is short; what keeps it is that tries are
 * few.
 */
const HASH = { t: 2, m: 19_456, p: 1, dkLen: 32 } as const;
const SALT = 16;

async function hashed(pin: string): Promise<string> {
  const salt = randomBytes(SALT);
  return `${salt.toString("base64")}.${Buffer.from(await argon2idAsync(pin, salt, HASH)).toString("base64")}`;
}

async function isPin(pin: string, kept: string): Promise<boolean> {
  const [salt = "", hash = ""] = kept.split(".");
  return timingSafeEqual(
    await argon2idAsync(pin, Buffer.from(salt, "base64"), HASH),
    Buffer.from(hash, "base64"),
  );
}

/** Those who work in the shop, by name. */
export async function peopleOfShop(): Promise<Person[]> {
  return (
    await (
      await database()
    )("people")
      .whereNull("left_at")
      .orderBy("name")
      .select("id", "name", "role", "locked_until", "left_at")
  ).map(people.read);
}

/** Takes somebody in. The first must be an owner: nobody else could take in the next from a tablet. */
export async function addPerson(said: {
  readonly name: string;
  readonly role: Role;
  readonly pin: string;
}): Promise<number> {
  const name = readWith(personName, said.name, "name");
  const pin = await hashed(readWith(pinSchema, said.pin, "pin"));
  return inTurn(await database(), async (trx) => {
    if (await trx("people").whereRaw("lower(name) = lower(?)", [name]).whereNull("left_at").first("id"))
      throw new Fault("name", `there is a ${name} already`);
    await trx("people")
      .where({ name })
      .whereNotNull("left_at")
      .update({ name: `${name}, who left` });
    const [id = 0]: number[] = await trx("people").insert({ name, role: said.role, pin });
    return id;
  });
}

/** Changes what somebody may do, or their PIN; who is signed in is signed out by it. */
export async function changePerson(
  id: number,
  said: { readonly role?: Role | undefined; readonly pin?: string | undefined },
): Promise<void> {
  const pin = said.pin === undefined ? undefined : await hashed(readWith(pinSchema, said.pin, "pin"));
  await inTurn(await database(), async (trx) => {
    const found = await trx("people").where({ id }).whereNull("left_at").first("id");
    if (!found) throw new Fault("person", "does not work here any more");
    await trx("people")
      .where({ id })
      .update({
        ...(said.role ? { role: said.role } : {}),
        ...(pin ? { pin } : {}),
        wrong: 0,
        locked_until: null,
      });
    await trx("sessions").where({ person: id }).delete();
  });
}

/** Somebody leaves the shop: their name stays in the histories, and they come in no more. */
export async function personLeaves(id: number, now = new Date()): Promise<void> {
  await inTurn(await database(), async (trx) => {
    await trx("people").where({ id }).update({ left_at: now.toISOString() });
    await trx("sessions").where({ person: id }).delete();
  });
}

/** After so many wrong PINs each further one locks for twice as long. */
const FREE_TRIES = 5;
const FIRST_LOCK_MS = 60_000;
const LONGEST_LOCK_MS = 60 * 60_000;

/** Until when nobody may try after so many wrong ones; null: at once. */
export function lockedAfter(wrong: number, now: Date): string | null {
  if (wrong < FREE_TRIES) return null;
  return new Date(
    now.getTime() + Math.min(LONGEST_LOCK_MS, FIRST_LOCK_MS * 2 ** (wrong - FREE_TRIES)),
  ).toISOString();
}

export type PinAnswer = { readonly person: Person } | { readonly refused: string };

/**
 * Whether this PIN is this person's. Tries are counted before the PIN is looked at, for the person and for
 * the device: many at once are many tries.
 */
export async function checkPin(
  personId: number,
  device: number,
  pin: string,
  now = new Date(),
): Promise<PinAnswer> {
  const db = await database();
  const counted = await inTurn(
    db,
    async (
      trx,
    ): Promise<{ readonly refused: string } | { readonly kept: string; readonly person: Person }> => {
      const [who, where] = [
        await trx("people").where({ id: personId }).whereNull("left_at").first(),
        await trx("devices").where({ id: device }).first(),
      ];
      if (!who || !where) return { refused: "Nobody of that name works here." };
      const until = [who, where].reduce(
        (last, row) => (row.locked_until > last ? String(row.locked_until) : last),
        now.toISOString(),
      );
      if (until > now.toISOString())
        return {
          refused: `Too many wrong PINs. Try again after ${new Date(until).toLocaleTimeString("en-GB", { hour: "2-digit", minute: "2-digit" })}.`,
        };
      for (const [table, row] of [["people", who], ["devices", where]] as const)
      await trx(table).where({ id: row.id }).update({ wrong: row.wrong + 1, locked_until: lockedAfter(row.wrong + 1, now) }); // biome-ignore format: two tables
      return { kept: String(who.pin), person: people.read(who) };
    },
  );
  if ("refused" in counted) return { refused: counted.refused };
  if (!(await isPin(pin, counted.kept))) return { refused: "That is not the PIN." };
  await inTurn(db, async (trx) => {
    await trx("people").where({ id: personId }).update({ wrong: 0, locked_until: null });
    await trx("devices").where({ id: device }).update({ wrong: 0, locked_until: null });
  });
  return { person: counted.person };
}
