import type { Knex } from "knex";
import { database } from "./database";

/** A line of who came in, or was not let in. */
export interface DoorLine {
  readonly at: string;
  readonly what: string;
  readonly who: string | null;
  readonly device: string | null;
  readonly address: string | null;
}

/** So many lines are kept. */
const KEPT = 5000;

/** Writes down who came in, or was not let in, and why. */
export async function logDoor(
  line: Partial<Omit<DoorLine, "at" | "what">> & { readonly what: string },
  now = new Date(),
  at?: Knex,
): Promise<void> {
  const db = at ?? (await database());
  const [id = 0]: number[] = await db("door_log").insert({
    who: null,
    device: null,
    address: null,
    ...line,
    at: now.toISOString(),
  });
  if (id % 500 === 0)
    await db("door_log")
      .where("id", "<", id - KEPT)
      .delete();
}

export async function lastDoorLines(most = 200): Promise<DoorLine[]> {
  return (await database())("door_log")
    .select("at", "what", "who", "device", "address")
    .orderBy("id", "desc")
    .limit(most);
}
