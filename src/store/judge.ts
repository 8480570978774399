import { FAILURE_MODES } from "@/core/judge/failure-modes";
import { type Change, changeJob } from "./change";
import type { Finding, GearIdentity, GearNotes } from "./job";
import { fromRow, toRow } from "./rows";

async function finding(c: Change, part: string): Promise<Finding & { id: number }> {
  await c.trx("findings").insert({ job_id: c.job.id, part }).onConflict(["job_id", "part"]).ignore();
  return fromRow(await c.trx("findings").where({ job_id: c.job.id, part }).first(), ["teeth", "gear", "identity"]);
}
const nameOf = async ({ trx, job }: Change, part: string): Promise<string> =>
  (await trx("parts").where({ job_id: job.id, ref: part }).first("name"))?.name ?? part;

/** What is wrong with a part. A failed part goes back new; a sound one stays. */
export async function setFinding(
  number: string,
  version: number,
  part: string,
  fields: { mode?: string; extent?: string; note?: string; renew?: boolean },
): Promise<number> {
  return changeJob(number, version, async (c) => {
    const { id } = await finding(c, part);
    const { renew, ...rest } = fields;
    if (Object.keys(rest).length) await c.trx("findings").where({ id }).update(toRow(rest));
    const renewed = renew ?? FAILURE_MODES.find((m) => m.mode === fields.mode)?.renew;
    if (renewed !== undefined) await c.trx("parts").where({ job_id: c.job.id, ref: part }).update({ renew: renewed });
    return `${await nameOf(c, part)}: ${FAILURE_MODES.find((m) => m.mode === fields.mode)?.says ?? (renew === undefined ? "noted" : renew ? "goes back new" : "stays")}`;
  });
}

/** Readings that a gear's name rests on: a new one takes the accepted name back. */
const NAMING = new Set(["tip diameter", "root diameter", "span", "helix angle"]);

/** Marks teeth on the gear face; null takes a mark away. */
export async function markTeeth(number: string, version: number, part: string, teeth: readonly number[], mark: string | null): Promise<number> {
  return changeJob(number, version, async (c) => {
    const f = await finding(c, part);
    const marks: Record<string, string> = { ...f.teeth };
    for (const t of teeth) {
      if (mark === null) delete marks[t];
      else marks[t] = mark;
    }
    await c
      .trx("findings")
      .where({ id: f.id })
      .update(toRow({ teeth: marks }));
    return `${await nameOf(c, part)}: tooth ${teeth.map((t) => t + 1).join(", ")} ${mark ?? "unmarked"}`;
  });
}

export async function setGearNotes(number: string, version: number, part: string, notes: GearNotes): Promise<number> {
  return changeJob(number, version, async (c) => {
    const f = await finding(c, part);
    await c
      .trx("findings")
      .where({ id: f.id })
      .update(toRow({ gear: { ...f.gear, ...notes }, ...(Object.keys(notes).every((k) => k === "boreForm" || k === "mateTeeth") ? {} : { identity: null }) }));
    return `${await nameOf(c, part)}: ${Object.entries(notes)
      .map(([k, v]) => `${k} ${v}`)
      .join(", ")}`;
  });
}

export async function addReading(
  number: string,
  version: number,
  part: string,
  reading: { what: string; teeth?: number | undefined; value: number; u?: number | undefined; source: string },
): Promise<number> {
  return changeJob(number, version, async (c) => {
    const f = await finding(c, part);
    await c.trx("readings").insert(toRow({ jobId: c.job.id, part, ...reading, at: c.at }));
    if (NAMING.has(reading.what)) await c.trx("findings").where({ id: f.id }).update({ identity: null });
    return `${await nameOf(c, part)}: ${reading.what}${reading.teeth ? ` over ${reading.teeth}` : ""} ${reading.value} mm (${reading.source})`;
  });
}

/** Strikes all readings of one dimension. */
export async function strikeReadings(number: string, version: number, part: string, what: string, teeth?: number): Promise<number> {
  return changeJob(number, version, async (c) => {
    const q = c.trx("readings").where({ job_id: c.job.id, part, what });
    await (teeth === undefined ? q : q.andWhere({ teeth })).delete();
    if (NAMING.has(what)) await c.trx("findings").where({ job_id: c.job.id, part }).update({ identity: null });
    return `${await nameOf(c, part)}: ${what} struck`;
  });
}

/** Accepts the name of a gear. */
export async function nameGear(number: string, version: number, part: string, identity: GearIdentity): Promise<number> {
  return changeJob(number, version, async (c) => {
    const f = await finding(c, part);
    await c.trx("findings").where({ id: f.id }).update(toRow({ identity }));
    const size = identity.diametralPitch ? `${identity.diametralPitch} DP` : `module ${identity.moduleMm}`;
    return `${await nameOf(c, part)}: named ${identity.teeth} teeth, ${size}, ${identity.pressureAngleDeg}°`;
  });
}

/** Chooses what replaces a part. */
export async function choosePart(number: string, version: number, part: string, chosen: string | null): Promise<number> {
  return changeJob(number, version, async (c) => {
    const f = await finding(c, part);
    await c.trx("findings").where({ id: f.id }).update({ chosen });
    return chosen ? `${await nameOf(c, part)}: replaced by ${chosen}` : `${await nameOf(c, part)}: choice taken back`;
  });
}
