import type { Knex } from "knex";
import { Fault } from "@/core/fault";
import {
  type Chamber,
  type ChamberKind,
  type DryPlace,
  newChamber,
  nextChamberId,
  nextDryId,
} from "@/core/job/chamber";
import type { Job } from "@/core/job/job";
import type { LubePoint, Service, WeighedPoint } from "@/core/job/service";
import { type Proposal, proposedChambers } from "@/core/lube/propose";
import { type Change, changeJob } from "./change";
import { shelf } from "./grease-rows";
import { newRefs } from "./ids";
import { loadJob, thereIs } from "./job";
import type { Row } from "./rows";
import { foldedFacts } from "./settle-lube";
import { records } from "./tables";

/** A change of what is lubricated: the whole job as it was, besides what every change has. */
type LubeChange = Change & { readonly whole: Job };

const changeLube = (
  number: string,
  version: number,
  work: (c: LubeChange) => Promise<string>,
): Promise<number> =>
  changeJob(number, version, async (c) =>
    work({ ...c, whole: thereIs(await loadJob(number, c.trx), number) }),
  );

const pointRow = (trx: Knex, jobId: number, point: string) =>
  trx("lube_points").where({ job_id: jobId, ref: point });

/**
 * What is weighed in at a point, with the lot that it came from; null: nothing any more. It comes off the
 * stock, and goes back to it.
 */
async function weigh(
  trx: Knex,
  jobId: number,
  g: WeighedPoint,
  grams: number | null,
  at: string,
): Promise<void> {
  const tube = g.lubricantId ? await trx("lubricants").where({ id: g.lubricantId }).first() : undefined;
  const held = tube && shelf.read(tube);
  await pointRow(trx, jobId, g.id).update(
    records.lube_points.write({
      ...foldedFacts(g),
      lot: grams === null ? undefined : held?.lot,
      weighedGrams: grams ?? undefined,
      weighedAt: grams === null ? undefined : at,
    }),
  );
  if (held?.stockG === undefined) return;
  const left = Math.max(0, held.stockG + (g.weighedGrams ?? 0) - (grams ?? 0));
  await trx("lubricants")
    .where({ id: held.id })
    .update(shelf.write({ stockG: Math.round(left * 100) / 100 }));
}

/** Refused where a lubricant is weighed in: nothing that went in is forgotten. */
function refuseWeighed(points: readonly WeighedPoint[], path: string, what: string): void {
  if (points.some((g) => g.weighedGrams !== undefined))
    throw new Fault(path, `${what}: a lubricant is weighed in there already. Strike the weights first`);
}
const inChamber = (job: Job, id: string): WeighedPoint[] => job.lubePoints.filter((g) => g.chamber === id);

const writeChambers = (trx: Knex, jobId: number, chambers: readonly Chamber[]) =>
  trx("jobs")
    .where({ id: jobId })
    .update(records.jobs.write({ chambers, noGrease: null }));

async function insertPoints(
  trx: Knex,
  jobId: number,
  points: readonly Omit<LubePoint, "id">[],
): Promise<void> {
  const { refs, position } = await newRefs(trx, "lube_points", jobId, points.length);
  for (const [i, p] of points.entries())
    await trx("lube_points").insert({
      job_id: jobId,
      position: position + i,
      ...records.lube_points.write({ ...p, id: refs[i] }),
    });
}

/** A new chamber, and its first point, if `first` gives one. */
export async function addChamber(
  number: string,
  version: number,
  kind: ChamberKind,
  facts: Partial<Chamber>,
  first: (id: string) => Omit<LubePoint, "id"> | null = () => null,
): Promise<number> {
  return changeLube(number, version, async ({ trx, job, whole }) => {
    const chambers = whole.chambers ?? [];
    const made = { ...newChamber(nextChamberId(chambers), kind), ...facts };
    await writeChambers(trx, job.id, [...chambers, made]);
    const point = first(made.id);
    if (point) await insertPoints(trx, job.id, [point]);
    return `chamber: ${made.name}`;
  });
}

/** Takes over the chambers that train and strip speak of, each with its points. */
export async function takeProposed(number: string, version: number): Promise<number> {
  return changeLube(number, version, async ({ trx, job, whole }) => {
    const proposed: Proposal[] = proposedChambers(whole);
    if (!proposed.length)
      throw new Fault(
        "chambers",
        "neither the train nor what came off speaks of another chamber: make it yourself",
      );
    await writeChambers(trx, job.id, [
      ...(whole.chambers ?? []),
      ...proposed.flatMap((p) => (p.isThere ? [] : [p.chamber])),
    ]);
    for (const p of proposed) await insertPoints(trx, job.id, p.points);
    return `chambers: ${proposed.map((p) => p.chamber.name).join(", ")}`;
  });
}

function chamberOf(job: Job, id: string): Chamber {
  const found = job.chambers?.find((c) => c.id === id);
  if (!found) throw new Fault("chamber", "is not among the job’s chambers any more");
  return found;
}

/** What is said of a chamber; `undefined` takes a fact back. */
export async function changeChamber(
  number: string,
  version: number,
  id: string,
  facts: { readonly [K in keyof Chamber]?: Chamber[K] | undefined },
  what: string,
): Promise<number> {
  return changeLube(number, version, async ({ trx, job, whole }) => {
    const changed = { ...chamberOf(whole, id), ...facts };
    if (facts.none !== undefined) {
      refuseWeighed(inChamber(whole, id), "why", changed.name);
      await dropPoints(trx, job.id, inChamber(whole, id));
    }
    await writeChambers(
      trx,
      job.id,
      (whole.chambers ?? []).map((c) => (c.id === id ? changed : c)),
    );
    if ("outside" in facts || "openedBy" in facts)
      for (const g of inChamber(whole, id)) await follow(trx, job.id, g, changed);
    return `${changed.name}: ${what}`;
  });
}

/**
 * A point that is on no part that came off is reached as its chamber is: from outside, or while the step that
 * opened it leaves it open.
 */
async function follow(trx: Knex, jobId: number, g: WeighedPoint, chamber: Chamber): Promise<void> {
  if (g.part !== undefined) return;
  const moved = chamber.outside
    ? { ...g, outside: true, reachedBy: undefined }
    : g.outside && chamber.openedBy
      ? { ...g, outside: undefined, reachedBy: chamber.openedBy }
      : undefined;
  if (moved)
    await pointRow(trx, jobId, g.id).update(
      records.lube_points.write({ ...foldedFacts(moved), reachedBy: moved.reachedBy ?? null }),
    );
}

async function dropPoints(trx: Knex, jobId: number, points: readonly WeighedPoint[]): Promise<void> {
  for (const g of points) await pointRow(trx, jobId, g.id).delete();
}

export async function dropChamber(number: string, version: number, id: string): Promise<number> {
  return changeLube(number, version, async ({ trx, job, whole }) => {
    const { name } = chamberOf(whole, id);
    refuseWeighed(inChamber(whole, id), "chamber", name);
    await dropPoints(trx, job.id, inChamber(whole, id));
    await writeChambers(
      trx,
      job.id,
      (whole.chambers ?? []).filter((c) => c.id !== id),
    );
    return `chamber taken away: ${name}`;
  });
}

/** A place at a chamber that stays dry. */
export async function addDry(
  number: string,
  version: number,
  id: string,
  place: Omit<DryPlace, "id">,
): Promise<number> {
  return changeDry(
    number,
    version,
    id,
    (dry) => [...dry, { id: nextDryId(dry), ...place }],
    `stays dry: ${place.says}`,
  );
}

export async function dropDry(number: string, version: number, id: string, place: string): Promise<number> {
  return changeDry(
    number,
    version,
    id,
    (dry) => dry.filter((d) => d.id !== place),
    "a place need not stay dry",
  );
}

async function changeDry(
  number: string,
  version: number,
  id: string,
  work: (dry: readonly DryPlace[]) => DryPlace[],
  what: string,
): Promise<number> {
  return changeLube(number, version, async ({ trx, job, whole }) => {
    const { name, dry = [] } = chamberOf(whole, id);
    await writeChambers(
      trx,
      job.id,
      (whole.chambers ?? []).map((c) => (c.id === id ? { ...c, dry: work(dry) } : c)),
    );
    return `${name}: ${what}`;
  });
}

/** The lubricant of a chamber; another one than what is weighed in is weighed in anew. */
export async function takeLubricant(
  number: string,
  version: number,
  id: string,
  lubricant: { readonly id: string; readonly name: string },
  override?: string,
): Promise<number> {
  return changeLube(number, version, async ({ trx, job, whole, at }) => {
    const before = chamberOf(whole, id);
    for (const g of inChamber(whole, id))
      if (g.weighedGrams !== undefined && g.lubricantId !== lubricant.id)
        await weigh(trx, job.id, g, null, at);
    await writeChambers(
      trx,
      job.id,
      (whole.chambers ?? []).map((c) =>
        c.id === id ? { ...c, lubricant: lubricant.id, override, none: undefined, getting: undefined } : c,
      ),
    );
    return `${before.name}: ${lubricant.name}${override ? `, not H1, because ${override}` : ""}`;
  });
}

export async function addPoints(
  number: string,
  version: number,
  points: readonly Omit<LubePoint, "id">[],
): Promise<number> {
  return changeLube(number, version, async ({ trx, job }) => {
    await insertPoints(trx, job.id, points);
    return `to be lubricated: ${points.map((p) => p.where).join(", ")}`;
  });
}

/** What is said of a point, or when it comes. */
export async function changePoint(
  number: string,
  version: number,
  point: string,
  facts: { readonly [K in keyof LubePoint]?: LubePoint[K] | null | undefined },
  what: string,
): Promise<number> {
  return changeLube(number, version, async ({ trx, job, whole }) => {
    const before = whole.lubePoints.find((g) => g.id === point);
    if (!before) throw new Fault("point", "is not among the points any more");
    // another lubricant, or another kind of place, than what it was weighed in for
    if ("lubricant" in facts || (facts.kind && facts.kind !== before.kind))
      refuseWeighed([before], "point", before.where ?? "a point");
    await pointRow(trx, job.id, point).update(
      records.lube_points.write({ ...foldedFacts(before), ...facts }),
    );
    return `${before.where ?? "a point"}: ${what}`;
  });
}

/** The same said of several points of a chamber. */
export async function changePoints(
  number: string,
  version: number,
  points: readonly string[],
  facts: { readonly [K in keyof LubePoint]?: LubePoint[K] | null | undefined },
  what: string,
): Promise<number> {
  return changeLube(number, version, async ({ trx, job, whole }) => {
    for (const g of whole.lubePoints.filter((p) => points.includes(p.id)))
      await pointRow(trx, job.id, g.id).update(records.lube_points.write({ ...foldedFacts(g), ...facts }));
    return what;
  });
}

export async function dropPoint(number: string, version: number, point: string): Promise<number> {
  return changeLube(number, version, async ({ trx, job, whole }) => {
    const before = whole.lubePoints.find((g) => g.id === point);
    refuseWeighed(before ? [before] : [], "point", before?.where ?? "a point");
    await pointRow(trx, job.id, point).delete();
    return `not lubricated: ${before?.where ?? "a point"}`;
  });
}

/** Weighs a lubricant in at a point; null strikes the weight. */
export async function weighIn(
  number: string,
  version: number,
  point: string,
  grams: number | null,
): Promise<number> {
  return changeJob(number, version, async ({ trx, job, at }) => {
    const row: Row | undefined = await pointRow(trx, job.id, point).first();
    if (!row) throw new Fault("point", "is not among the points any more");
    const before = records.lube_points.read(row);
    await weigh(trx, job.id, before, grams, at);
    const where = before.where ?? "a point";
    return grams === null ? `weight struck: ${where}` : `weighed in ${grams} g: ${where}`;
  });
}

/** Parts and chambers are clean and dry, or not yet. */
export async function setWashed(number: string, version: number, washed: boolean): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    await trx("jobs").where({ id: job.id }).update(records.jobs.write({ washed }));
    return washed ? "parts and chambers are clean and dry" : "cleaning opened again";
  });
}

/**
 * Cleanings go into the plan: of a part in place of what was planned for it, of a chamber at its moment, in
 * the words that it has.
 */
export async function addCleanings(
  number: string,
  version: number,
  cleanings: readonly Omit<Service, "id" | "do">[],
): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    const planned = (await trx("services").where({ job_id: job.id, what: "clean" })).map(
      records.services.read,
    );
    for (const c of cleanings) {
      // a chamber is cleaned once: where its moment has moved, its line moves
      const same = planned.find((v) =>
        c.chamber ? v.chamber === c.chamber : v.part === c.part && v.reachedBy === c.reachedBy,
      );
      if (same) {
        await trx("services")
          .where({ job_id: job.id, ref: same.id })
          .update(
            records.services.write(
              c.chamber
                ? { reachedBy: c.reachedBy }
                : { note: c.note, waitMinutes: c.waitMinutes, method: c.method },
            ),
          );
        continue;
      }
      const { refs, position } = await newRefs(trx, "services", job.id, 1);
      await trx("services").insert({
        job_id: job.id,
        position,
        ...records.services.write({ ...c, do: "clean", id: refs[0] }),
      });
    }
    return `to be cleaned: ${cleanings.map((c) => c.note ?? "a part").join("; ")}`;
  });
}

/** A service is done at another moment. */
export async function moveService(
  number: string,
  version: number,
  service: string,
  reachedBy: string,
  says: string,
): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    await trx("services")
      .where({ job_id: job.id, ref: service })
      .update(records.services.write({ reachedBy }));
    return says;
  });
}

export async function dropService(number: string, version: number, service: string): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    await trx("services").where({ job_id: job.id, ref: service }).delete();
    return "a cleaning is taken out of the plan";
  });
}

/** Why no lubricant goes into the whole unit; null: that is open again. Chambers and points go. */
export async function setNoGrease(number: string, version: number, why: string | null): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    const points = (await trx("lube_points").where({ job_id: job.id })).map(records.lube_points.read);
    if (why !== null) refuseWeighed(points, "why", "the unit");
    await trx("jobs")
      .where({ id: job.id })
      .update(records.jobs.write({ noGrease: why, ...(why === null ? {} : { chambers: [] }) }));
    if (why !== null) await trx("lube_points").where({ job_id: job.id }).delete();
    return why === null ? "lubricant: open again" : `no lubricant: ${why}`;
  });
}
