import type { Knex } from "knex";
import { Fault } from "@/core/fault";
import { saidKind } from "@/core/hardware/part-kind";
import { hardwareInWords } from "@/core/hardware/piece";
import { partName } from "@/core/job/part";
import { MENDING, type Service, type ServiceName, serviceSays } from "@/core/job/service";
import { type Change, changeJob } from "./change";
import { newRef } from "./ids";
import { knownKind } from "./known-kinds";
import type { Row } from "./rows";
import { records } from "./tables";

/**
 * A part that was found bad and was not among the parts: a piece of hardware, or something that is not there.
 * It goes back with the step that it belongs to.
 */
export interface NewPart {
  readonly name?: string | undefined;
  /** the step with which it goes back */
  readonly step: string;
  /** the piece of that step's hardware that it is */
  readonly hardware?: string | undefined;
}

/** Adds a part that Judge speaks of. A piece of hardware is called by what it is, and judged like a part. */
export async function addPart(
  number: string,
  version: number,
  { name, step, hardware }: NewPart,
): Promise<number> {
  return changeJob(number, version, async (c) => {
    const { called } = await insertPart(c, { name, step, hardware });
    return `${called}: among the parts`;
  });
}

/** Inserts that part; answers its id, and what it is called. */
export async function insertPart(
  { trx, job }: Change,
  { name, step, hardware }: NewPart,
): Promise<{ readonly part: string; readonly called: string }> {
  const own = () => trx("steps").where({ job_id: job.id, ref: step });
  const row: Row | undefined = await own().first();
  if (!row) throw new Fault("step", "is not on the Mat any more");
  const piece: Row | undefined = hardware
    ? await trx("hardware").where({ job_id: job.id, step, ref: hardware }).first()
    : undefined;
  if (hardware && !piece) throw new Fault("hardware", "does not lie with that step any more");
  const laid = piece && records.hardware.read(piece);
  const called =
    name?.trim() ||
    (laid && hardwareInWords({ ...laid, qty: 1, at: undefined, state: undefined }).replace(/^1 /, ""));
  if (!called) throw new Fault("name", "say what it is");
  const { ref, position } = await newRef(trx, "parts", job.id);
  const kind =
    laid?.kind === "pin" || laid?.kind === "spring" || laid?.kind === "bearing"
      ? laid.kind
      : (saidKind(called) ?? (await knownKind(trx, called)));
  await trx("parts").insert({
    job_id: job.id,
    position,
    ...records.parts.write({ id: ref, name: called, kind, piece: laid?.id }),
  });
  const parts = [...(records.steps.read(row).parts ?? []), ref];
  await own().update(records.steps.write({ parts }));
  return { part: ref, called };
}

/** Something is done to a part before it goes back: with what never came off the plan could not say when. */
export async function cameOff(trx: Knex, jobId: number, part: string): Promise<void> {
  const steps = (await trx("steps").where({ job_id: jobId })).map(records.steps.read);
  if (!steps.some((s) => s.parts?.includes(part)))
    throw new Fault(
      "part",
      "did not come off with any step: lay it down at the strip, or add it with the step it goes back with",
    );
}

/**
 * What mends a part: these, and no others of that kind. What stands there already keeps its note and its
 * wait.
 */
export async function setMending(
  number: string,
  version: number,
  part: string,
  services: readonly ServiceName[],
): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    const row: Row | undefined = await trx("parts").where({ job_id: job.id, ref: part }).first();
    if (!row) throw new Fault("part", "is not among the job’s parts any more");
    await cameOff(trx, job.id, part);
    const own = () => trx("services").where({ job_id: job.id, part });
    const there = (await own()).map(records.services.read);
    const mends = new Set<string>(MENDING.map((m) => m.do));
    await own()
      .whereIn("what", there.filter((v) => mends.has(v.do) && !services.includes(v.do)).map((v) => v.do))
      .delete(); // biome-ignore format: one query
    for (const what of services.filter((s) => !there.some((v) => v.do === s))) {
      const { ref, position } = await newRef(trx, "services", job.id);
      const waitMinutes = MENDING.find((m) => m.do === what)?.waitMinutes;
      await trx("services").insert({
        job_id: job.id,
        position,
        ...records.services.write({ id: ref, part, do: what, waitMinutes }),
      });
    }
    return `${partName(records.parts.read(row))}: ${services.map((s) => serviceSays(s).toLowerCase()).join(", ") || "nothing done to it"}`;
  });
}

/**
 * Something more is done to a part before it goes back, or to what a step laid open before that is closed.
 * What is planned already is not planned twice.
 */
export async function addService(
  number: string,
  version: number,
  service: Omit<Service, "id">,
  says: string,
): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    const there = (await trx("services").where({ job_id: job.id })).map(records.services.read);
    const same = (v: Service): boolean =>
      v.do === service.do &&
      v.part === service.part &&
      v.reachedBy === service.reachedBy &&
      (v.note ?? "") === (service.note ?? "");
    if (there.some(same))
      throw new Fault("do", "is planned already: say in a word what is done besides, or open its line again");
    const { ref, position } = await newRef(trx, "services", job.id);
    await trx("services").insert({
      job_id: job.id,
      position,
      ...records.services.write({ ...service, id: ref }),
    });
    return `to be done before it goes on: ${says}`;
  });
}

/** How, and how long it must rest: of one service. */
export async function setServiceNote(
  number: string,
  version: number,
  service: string,
  said: { readonly note?: string; readonly waitMinutes?: number },
): Promise<number> {
  return changeJob(number, version, async ({ trx, job }) => {
    const own = () => trx("services").where({ job_id: job.id, ref: service });
    const row: Row | undefined = await own().first();
    if (!row) throw new Fault("service", "is not planned any more");
    await own().update(records.services.write(said));
    return `${serviceSays(records.services.read(row).do).toLowerCase()}: ${said.note ?? `${said.waitMinutes} minutes`}`;
  });
}
