import { saidKind } from "@/core/hardware/part-kind";
import type { ChosenCauses, Finding } from "@/core/job/finding";
import {
  asksForNewName,
  type GearIdentity,
  type GearNotes,
  noteSays,
  type PhotoCount,
  sizeOf,
} from "@/core/job/gear-notes";
import { PART_MATERIALS } from "@/core/job/part-material";
import type { HardwareFind, Reading } from "@/core/job/reading";
import { foundSays, isFailure, modeNamed, worstOf } from "@/core/judge/failure-modes";
import { FATES } from "@/core/judge/fate";
import { namesTheGear, readingKind } from "@/core/quantity/reading-kinds";
import type { TrainInput } from "@/core/train/train";
import { type Change, changeJob } from "./change";
import { findingOf, nameOf, renewPart, writeFinding } from "./findings";
import { setHead } from "./jobs";
import { rememberKind } from "./known-kinds";
import { records } from "./tables";

async function addReadings(
  { trx, job, at }: Change,
  part: string,
  readings: readonly Omit<Reading, "id" | "part" | "at">[],
): Promise<void> {
  for (const r of readings)
    await trx("readings").insert({ job_id: job.id, ...records.readings.write({ part, ...r, at }) });
}

/**
 * Says what a part is, which is remembered for its name, or what it is made of; null: it is not known.
 */
export async function setPartFacts(
  number: string,
  version: number,
  part: string,
  said: { readonly kind?: string | null; readonly material?: string | null },
): Promise<number> {
  return changeJob(number, version, async (c) => {
    const { trx, job } = c;
    const name = await nameOf(c, part);
    const kind =
      said.kind === undefined
        ? {}
        : { kind: said.kind ?? saidKind(name) ?? null, kindSaid: said.kind === null ? null : true };
    if (said.kind) await rememberKind(trx, name, said.kind);
    await trx("parts")
      .where({ job_id: job.id, ref: part })
      .update(
        records.parts.write({ ...kind, ...(said.material === undefined ? {} : { material: said.material }) }),
      );
    if (said.material !== undefined)
      return `${name}: made of ${PART_MATERIALS.find((m) => m.material === said.material)?.says ?? "what is not known"}`;
    return `${name}: ${said.kind === null ? "its kind goes by its name" : `kind ${said.kind}`}`;
  });
}

/**
 * What is wrong with a part. A failed part goes back new; a sound one stays.
 *
 * @param got null: what was said of where it comes from is taken back
 * @param openAgain lines of the rebuild that are not done any more, because the part must come out again
 */
export async function setFinding(
  number: string,
  version: number,
  part: string,
  {
    renew,
    got,
    ...fields
  }: Partial<Pick<Finding, "mode" | "also" | "extent" | "note" | "fate" | "fateWhy">> & {
    readonly renew?: boolean;
    readonly got?: null;
  },
  openAgain: readonly string[] = [],
): Promise<number> {
  return changeJob(number, version, async (c) => {
    const before = await findingOf(c, part);
    const { gear } = before;
    const mode = modeNamed(fields.mode);
    const besides = fields.also ?? before.also ?? [];
    // what is sound has nothing else; what was found besides may become what is said first
    const also = isFailure(fields.mode ?? before.mode)
      ? besides.filter((m) => m !== (fields.mode ?? before.mode))
      : [];
    await writeFinding(c, part, {
      ...fields,
      ...(fields.mode === undefined && fields.also === undefined ? {} : { also }),
      ...(got === undefined ? {} : { got, chosen: null, goesIn: null }),
    });
    if (openAgain.length)
      await c
        .trx("lines_done")
        .where({ job_id: c.job.id })
        .whereIn("line", [...openAgain])
        .delete();
    if (isFailure(fields.mode))
      await c
        .trx("jobs")
        .where({ id: c.job.id })
        .update(records.jobs.write({ nothingFailed: null }));
    if (fields.fate === "renew-pair" && gear.mate) await renewPart(c, gear.mate, true);
    const worst = modeNamed(worstOf({ mode: fields.mode ?? before.mode, also }));
    const renewed = renew ?? (fields.also?.length ? worst?.renew || undefined : mode?.renew);
    if (renewed !== undefined) await renewPart(c, part, renewed);
    if (fields.fate)
      return `${await nameOf(c, part)}: ${FATES.find((f) => f.fate === fields.fate)?.says.toLowerCase()}`;
    if (fields.also)
      return `${await nameOf(c, part)}: ${foundSays({ mode: fields.mode ?? before.mode, also })}`;
    return `${await nameOf(c, part)}: ${mode?.says ?? (renew === undefined ? "noted" : renew ? "goes back new" : "stays")}`;
  });
}

/** Marks teeth on the gear face; null takes a mark away. */
export async function markTeeth(
  number: string,
  version: number,
  part: string,
  teeth: readonly number[],
  mark: string | null,
): Promise<number> {
  return changeJob(number, version, async (c) => {
    const marks: Record<string, string> = { ...(await findingOf(c, part)).teeth };
    for (const t of teeth) {
      if (mark === null) delete marks[t];
      else marks[t] = mark;
    }
    await writeFinding(c, part, { teeth: marks });
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
    const { gear } = await findingOf(c, part);
    const merged: GearNotes = Object.fromEntries(
      Object.entries({ ...gear, ...said }).filter(([, v]) => v !== null && v !== undefined && v !== ""),
    );
    if (said.mate) {
      const other = await findingOf(c, said.mate);
      if (!other.gear.mate) await writeFinding(c, said.mate, { gear: { ...other.gear, mate: part } });
    }
    await writeFinding(c, part, { gear: merged, ...(asksForNewName(said) ? { identity: null } : {}) });
    const told: Record<string, unknown> = {
      ...said,
      ...(said.mate ? { mate: await nameOf(c, said.mate) } : {}),
    };
    const notes = Object.entries(told).map(([note, value]) => noteSays(note, value));
    return `${await nameOf(c, part)}: ${notes.join(", ")}`;
  });
}

/** Says what was seen on a part that is no gear; empty takes it back. */
export async function setPartLook(
  number: string,
  version: number,
  part: string,
  key: string,
  label: string,
  says: string,
): Promise<number> {
  return changeJob(number, version, async (c) => {
    const { gear } = await findingOf(c, part);
    const { [key]: _, ...looks } = gear.looks ?? {};
    await writeFinding(c, part, { gear: { ...gear, looks: says ? { ...looks, [key]: says } : looks } });
    return `${await nameOf(c, part)}: ${label} ${says || "taken back"}`;
  });
}

/**
 * Takes a count from a photograph: the teeth, those that are gone and those that are broken off in part, and
 * the picture as that of the finding. Marks
 * of broken teeth that were there before go; worn, cracked and melted ones stay. Sizes read from it go among
 * the readings.
 */
export async function takePhotoCount(
  number: string,
  version: number,
  part: string,
  count: PhotoCount,
): Promise<number> {
  return changeJob(number, version, async (c) => {
    const f = await findingOf(c, part);
    const marks: Record<string, string> = Object.fromEntries(
      Object.entries(f.teeth).filter(
        ([k, m]) => m !== "missing" && m !== "broken" && Number(k) < count.teeth,
      ),
    );
    for (const t of count.missing) marks[t] = "missing";
    for (const t of count.broken) marks[t] = "broken";
    for (const { tooth, mark } of count.worn ?? []) marks[tooth] ??= mark;
    const gear: GearNotes = {
      ...f.gear,
      teeth: count.teeth,
      countedFrom: { picture: count.picture, certainty: count.certainty },
      ...(count.boreForm ? { boreForm: count.boreForm } : {}),
    };
    const other = f.gear.teeth !== count.teeth || count.sizes.length > 0;
    await writeFinding(c, part, { gear, teeth: marks, ...(other ? { identity: null } : {}) });
    await c
      .trx("job_pictures")
      .where({ job_id: c.job.id, name: count.picture })
      .whereNull("part")
      .update(records.job_pictures.write({ part }));
    for (const { what } of count.sizes)
      await c.trx("readings").where({ job_id: c.job.id, part, what, source: PHOTOGRAPH }).delete();
    await addReadings(c, part, count.sizes.map((size) => ({ ...size, source: PHOTOGRAPH }))); // biome-ignore format: one call
    return `${await nameOf(c, part)}: ${count.teeth} teeth counted in picture ${count.picture}, ${count.missing.length} missing`;
  });
}
/** The source of a reading that was taken from a picture. */
const PHOTOGRAPH = "photograph";

export async function addReading(
  number: string,
  version: number,
  part: string,
  reading: Omit<Reading, "id" | "part" | "at">,
): Promise<number> {
  return changeJob(number, version, async (c) => {
    await findingOf(c, part);
    await addReadings(c, part, [reading]);
    if (namesTheGear(reading.what)) await writeFinding(c, part, { identity: null });
    return `${await nameOf(c, part)}: ${reading.what}${reading.teeth ? ` over ${reading.teeth}` : ""} ${reading.value} ${readingKind(reading.what)?.unit ?? "mm"} (${reading.source})`;
  });
}

/** Strikes all readings of one dimension. */
export async function strikeReadings(
  number: string,
  version: number,
  part: string,
  what: string,
  teeth?: number,
): Promise<number> {
  return changeJob(number, version, async (c) => {
    const q = c.trx("readings").where({ job_id: c.job.id, part, what });
    await (teeth === undefined ? q : q.andWhere({ teeth })).delete();
    if (namesTheGear(what)) await writeFinding(c, part, { identity: null });
    return `${await nameOf(c, part)}: ${what} struck`;
  });
}

/** Accepts the name of a gear. */
export async function nameGear(
  number: string,
  version: number,
  part: string,
  identity: GearIdentity,
): Promise<number> {
  return changeJob(number, version, async (c) => {
    await findingOf(c, part);
    await writeFinding(c, part, { identity });
    return `${await nameOf(c, part)}: named ${identity.teeth} teeth, ${sizeOf(identity)}, ${identity.pressureAngleDeg}°`;
  });
}

/** Keeps the train; what it was before is in the history's line only by its size. */
export async function setTrain(number: string, version: number, train: TrainInput): Promise<number> {
  return setHead(
    number,
    version,
    { train },
    `train: ${train.meshes.length} ${train.meshes.length === 1 ? "mesh" : "meshes"}`,
  );
}

export async function setCauses(
  number: string,
  version: number,
  causes: ChosenCauses,
  what: string,
): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    await trx("jobs")
      .where({ id: job.id })
      .update(records.jobs.write({ causes: { ...job.causes, ...causes } }));
    return what;
  });
}

export async function keepHardwareFind(
  number: string,
  version: number,
  find: Omit<HardwareFind, "at">,
): Promise<number> {
  return changeJob(number, version, async ({ trx, job, at }) => {
    await trx("jobs")
      .where({ id: job.id })
      .update(records.jobs.write({ benchFinds: [...job.benchFinds, { ...find, at }] }));
    return `hardware bench: ${find.name} from ${find.from}`;
  });
}
