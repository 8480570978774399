import { FAILURE_MODES } from "@/core/judge/failure-modes";
import { FATES, type Fate } from "@/core/judge/fate";
import type { TrainInput } from "@/core/train/train";
import { type Change, changeJob } from "./change";
import type { BenchFind, ChosenCauses, Finding, GearIdentity, GearNotes } from "./job";
import { setHead } from "./jobs";
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
  fields: { mode?: string; extent?: string; note?: string; renew?: boolean; fate?: Fate; fateWhy?: string },
): Promise<number> {
  return changeJob(number, version, async (c) => {
    const { id } = await finding(c, part);
    const { renew, ...rest } = fields;
    if (Object.keys(rest).length) await c.trx("findings").where({ id }).update(toRow(rest));
    const renewed = renew ?? FAILURE_MODES.find((m) => m.mode === fields.mode)?.renew;
    if (fields.fate === "renew-pair") {
      const mate = await c.trx("findings").where({ id }).first("gear");
      const other = (JSON.parse(mate?.gear ?? "{}") as GearNotes).mate;
      if (other) await c.trx("parts").where({ job_id: c.job.id, ref: other }).update({ renew: true });
    }
    if (renewed !== undefined) await c.trx("parts").where({ job_id: c.job.id, ref: part }).update({ renew: renewed });
    if (fields.fate) return `${await nameOf(c, part)}: ${FATES.find((f) => f.fate === fields.fate)?.says.toLowerCase()}`;
    return `${await nameOf(c, part)}: ${FAILURE_MODES.find((m) => m.mode === fields.mode)?.says ?? (renew === undefined ? "noted" : renew ? "goes back new" : "stays")}`;
  });
}

/** Readings that a gear's name rests on: a new one takes the accepted name back. */
const NAMING = new Set(["tip diameter", "root diameter", "span", "helix angle", "chord", "arc", "tip circle"]);
const names = (what: string): boolean => NAMING.has(what) || what.startsWith("over pins");
/** Notes that do not bear on the gear's name. */
const BESIDE: readonly (keyof GearNotes)[] = ["boreForm", "mateTeeth", "mate", "turning", "drives"];

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

/** Notes on a gear; null takes one back. Mates know each other: who meets whom is written at both. */
export async function setGearNotes(
  number: string,
  version: number,
  part: string,
  said: { readonly [K in keyof GearNotes]?: GearNotes[K] | null },
): Promise<number> {
  return changeJob(number, version, async (c) => {
    const f = await finding(c, part);
    const notes = said as GearNotes;
    const merged = Object.fromEntries(Object.entries({ ...f.gear, ...notes }).filter(([, v]) => v !== null && v !== ""));
    if (notes.mate) {
      const other = await finding(c, notes.mate);
      if (!other.gear.mate)
        await c
          .trx("findings")
          .where({ id: other.id })
          .update(toRow({ gear: { ...other.gear, mate: part } }));
    }
    await c
      .trx("findings")
      .where({ id: f.id })
      .update(toRow({ gear: merged, ...(Object.keys(notes).every((k) => BESIDE.includes(k as keyof GearNotes)) ? {} : { identity: null }) }));
    return `${await nameOf(c, part)}: ${Object.entries(notes)
      .map(([k, v]) => `${k} ${v}`)
      .join(", ")}`;
  });
}

/**
 * Takes a count from a photograph: the teeth, those that are gone and those that are broken off in part, and the picture as that of the finding. Marks
 * of broken teeth that were there before go; worn, cracked and melted ones stay. Sizes read from it go among the readings.
 */
export async function takePhotoCount(
  number: string,
  version: number,
  part: string,
  count: {
    readonly teeth: number;
    readonly missing: readonly number[];
    readonly broken: readonly number[];
    readonly picture: string;
    readonly certainty: number;
    readonly sizes: readonly { readonly what: string; readonly value: number; readonly u: number }[];
  },
): Promise<number> {
  return changeJob(number, version, async (c) => {
    const f = await finding(c, part);
    const marks: Record<string, string> = Object.fromEntries(
      Object.entries({ ...f.teeth }).filter(([k, m]) => m !== "missing" && m !== "broken" && Number(k) < count.teeth),
    );
    for (const t of count.missing) marks[t] = "missing";
    for (const t of count.broken) marks[t] = "broken";
    const gear: GearNotes = { ...f.gear, teeth: count.teeth, countedFrom: { picture: count.picture, certainty: count.certainty } };
    const other = f.gear.teeth !== count.teeth || count.sizes.length > 0;
    await c
      .trx("findings")
      .where({ id: f.id })
      .update(toRow({ gear, teeth: marks, ...(other ? { identity: null } : {}) }));
    await c.trx("job_pictures").where({ job_id: c.job.id, name: count.picture }).whereNull("part").update({ part });
    for (const { what, value, u } of count.sizes) {
      await c.trx("readings").where({ job_id: c.job.id, part, what, source: PHOTOGRAPH }).delete();
      await c.trx("readings").insert(toRow({ jobId: c.job.id, part, what, value, u, source: PHOTOGRAPH, at: c.at }));
    }
    return `${await nameOf(c, part)}: ${count.teeth} teeth counted in picture ${count.picture}, ${count.missing.length} missing`;
  });
}
/** The source of a reading that was taken from a picture. */
const PHOTOGRAPH = "photograph";

export async function addReading(
  number: string,
  version: number,
  part: string,
  reading: { what: string; teeth?: number | undefined; value: number; u?: number | undefined; source: string },
): Promise<number> {
  return changeJob(number, version, async (c) => {
    const f = await finding(c, part);
    await c.trx("readings").insert(toRow({ jobId: c.job.id, part, ...reading, at: c.at }));
    if (names(reading.what)) await c.trx("findings").where({ id: f.id }).update({ identity: null });
    return `${await nameOf(c, part)}: ${reading.what}${reading.teeth ? ` over ${reading.teeth}` : ""} ${reading.value} mm (${reading.source})`;
  });
}

/** Strikes all readings of one dimension. */
export async function strikeReadings(number: string, version: number, part: string, what: string, teeth?: number): Promise<number> {
  return changeJob(number, version, async (c) => {
    const q = c.trx("readings").where({ job_id: c.job.id, part, what });
    await (teeth === undefined ? q : q.andWhere({ teeth })).delete();
    if (names(what)) await c.trx("findings").where({ job_id: c.job.id, part }).update({ identity: null });
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

/** Keeps the train; what it was before is in the history's line only by its size. */
export async function setTrain(number: string, version: number, train: TrainInput): Promise<number> {
  return setHead(number, version, { train }, `train: ${train.meshes.length} ${train.meshes.length === 1 ? "mesh" : "meshes"}`);
}

export async function setCauses(number: string, version: number, causes: ChosenCauses, what: string): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    const row = await trx("jobs").where({ id: job.id }).first("causes");
    const before = JSON.parse(row?.causes ?? "{}") as ChosenCauses;
    await trx("jobs")
      .where({ id: job.id })
      .update({ causes: JSON.stringify({ ...before, ...causes }) });
    return what;
  });
}

export async function keepBenchFind(number: string, version: number, find: Omit<BenchFind, "at">): Promise<number> {
  return changeJob(number, version, async ({ trx, job, at }) => {
    const row = await trx("jobs").where({ id: job.id }).first("bench_finds");
    const before = JSON.parse(row?.bench_finds ?? "[]") as BenchFind[];
    await trx("jobs")
      .where({ id: job.id })
      .update({ bench_finds: JSON.stringify([...before, { ...find, at }]) });
    return `hardware bench: ${find.name} from ${find.from}`;
  });
}

/** Chooses what replaces a part. */
/**
 * Chooses what replaces a part; null takes it back. A gear that comes with it belongs into its mate's place: the mate goes back new then, with that one.
 *
 * @param mate the mate's part and the number that goes into its place; null: whatever was chosen for it this way is taken back
 */
export async function choosePart(
  number: string,
  version: number,
  part: string,
  chosen: string | null,
  mate?: { part: string; chosen: string | null },
): Promise<number> {
  return changeJob(number, version, async (c) => {
    const f = await finding(c, part);
    await c.trx("findings").where({ id: f.id }).update({ chosen });
    let and = "";
    if (mate) {
      const other = await finding(c, mate.part);
      await c.trx("findings").where({ id: other.id }).update({ chosen: mate.chosen });
      if (mate.chosen) {
        await c.trx("parts").where({ job_id: c.job.id, ref: mate.part }).update({ renew: true });
        and = `; with it the ${await nameOf(c, mate.part)}: ${mate.chosen}`;
      }
    }
    return chosen ? `${await nameOf(c, part)}: replaced by ${chosen}${and}` : `${await nameOf(c, part)}: choice taken back`;
  });
}

/** Keeps the number that stands on a part. */
export async function setReadNumber(number: string, version: number, part: string, read: string): Promise<number> {
  return changeJob(number, version, async (c) => {
    const f = await finding(c, part);
    await c
      .trx("findings")
      .where({ id: f.id })
      .update({ read_number: read.trim() || null });
    return `${await nameOf(c, part)}: ${read.trim() ? `number ${read.trim()} read on it` : "number struck"}`;
  });
}
