"use server";

import { z } from "zod";
import { Fault } from "@/core/fault";
import { planOf } from "@/core/gates/job-facts";
import { PART_KINDS } from "@/core/hardware/part-kind";
import { chosenCauses, findingSchema } from "@/core/job/finding";
import { gearNotes, photoCount, toothIndexes } from "@/core/job/gear-notes";
import { type Job, jobHead } from "@/core/job/job";
import { mateOf } from "@/core/job/mate-of";
import { partNamed } from "@/core/job/part";
import { PART_MATERIALS } from "@/core/job/part-material";
import { bodyAsked, sizesAsked } from "@/core/job/part-sizes";
import { hardwareFind, readingSchema } from "@/core/job/reading";
import { MENDING, serviceSchema } from "@/core/job/service";
import { ref, text, words } from "@/core/job/written";
import { greaseState, greaseStatesIn, greaseStatesWith, isFailure } from "@/core/judge/failure-modes";
import { ROOTS } from "@/core/judge/roots";
import { OLDER_MARKS, TOOTH_MARKS } from "@/core/judge/tooth-marks";
import { ratingPrinted } from "@/core/match/candidates/sizes-verdict";
import { accessPlan } from "@/core/order/access-plan";
import { linesOpenedBy, offNow } from "@/core/order/off-again";
import { believedReading, readingKind } from "@/core/quantity/reading-kinds";
import { lengthFrom } from "@/core/quantity/units";
import { trainInput } from "@/core/train/train";
import { loadJob, thereIs } from "@/store/job";
import { setHead } from "@/store/jobs";
import {
  addReading,
  keepHardwareFind,
  markTeeth,
  nameGear,
  setCauses,
  setFinding,
  setGearNotes,
  setPartFacts,
  setPartLook,
  setTrain,
  strikeReadings,
  takePhotoCount,
} from "@/store/judge";
import { addPart, setMending, setServiceNote } from "@/store/mending";
import { type ActionResult, act } from "../saving/act";
import { onJob } from "../saving/action-input";
import { nameFrom } from "./gear/naming";

const onPart = { ...onJob, part: ref };

/**
 * Lines of the rebuild that must be done again once a part that was fitted already has to come out: those of
 * the least that must come off with it.
 */
function linesToOpen(job: Job, part: string): string[] {
  const own = job.steps.find((s) => s.parts?.includes(part));
  const off = offNow(job.steps, job.linesDone);
  if (!own || off.includes(own.id)) return [];
  const done = new Set(job.linesDone);
  const { steps } = accessPlan(job, part, off);
  return linesOpenedBy(planOf(job), job, steps).filter((k) => done.has(k));
}

const findingInput = z.object({
  ...onPart,
  ...findingSchema.pick({ mode: true, also: true, extent: true, note: true, fate: true, fateWhy: true })
    .shape,
  renew: z.boolean().optional(),
  /** null: where it comes from is open again */
  got: z.null().optional(),
});
export async function saveFinding(raw: z.infer<typeof findingInput>): Promise<ActionResult> {
  return act(findingInput, raw, async ({ number, version, part, ...f }) => {
    const job = thereIs(await loadJob(number), number);
    let at = version;
    if (f.fate === "renew-pair") {
      const mate = mateOf(job, part);
      if (!mate) throw new Fault("fate", "say first which gear it runs with: on the gear bench, under Mate");
      // what the train says is written down at both, so that both go back new
      if (job.findings.find((x) => x.part === part)?.gear.mate !== mate)
        at = await setGearNotes(number, version, part, { mate });
    }
    const anew = isFailure(f.mode) || (f.also?.length ?? 0) > 0 || f.renew === true;
    return setFinding(number, at, part, f, anew ? linesToOpen(job, part) : []);
  });
}

const partInput = z.object({
  ...onPart,
  kind: z.enum(PART_KINDS).nullable().optional(),
  material: z
    .enum(PART_MATERIALS.map((m) => m.material))
    .nullable()
    .optional(),
});
/** Says what a part is or what it is made of; null: it is not known, or goes by its name. */
export async function savePart(raw: z.infer<typeof partInput>): Promise<ActionResult> {
  return act(partInput, raw, ({ number, version, part, ...said }) =>
    setPartFacts(number, version, part, said),
  );
}

const stateInput = z.object({ ...onJob, state: greaseState });
/** Says one more state of the old grease, or takes it back. */
export async function saveGreaseState(raw: z.infer<typeof stateInput>): Promise<ActionResult> {
  return act(stateInput, raw, async ({ number, version, state }) => {
    const greaseStates = greaseStatesWith(thereIs(await loadJob(number), number).greaseStates, state);
    const says = greaseStatesIn(greaseStates).map((g) => g.says);
    return setHead(
      number,
      version,
      { greaseStates },
      `state of the old grease: ${says.join(", ") || "open again"}`,
    );
  });
}

const nothingInput = z.object({ ...onJob, nothing: jobHead.shape.nothingFailed.unwrap().nullable() });
/**
 * Says that no part failed: a service was asked for, or no fault was found. Refused while a part is judged
 * bad.
 */
export async function saveNothingFailed(raw: z.infer<typeof nothingInput>): Promise<ActionResult> {
  return act(nothingInput, raw, async ({ number, version, nothing }) => {
    const job = thereIs(await loadJob(number), number);
    const bad = job.findings.find((f) => isFailure(f.mode));
    if (nothing && bad)
      throw new Fault("nothing", `the ${partNamed(job, bad.part)} was found bad: judge it sound first`);
    const says =
      nothing === null
        ? "what was found is open again"
        : nothing === "service"
          ? "nothing failed: service only"
          : "no fault found";
    return setHead(number, version, { nothingFailed: nothing ?? undefined }, says);
  });
}

const addInput = z.object({ ...onJob, name: words.optional(), step: ref, hardware: ref.optional() });
/** Adds a part that was found bad and did not come off as one: a piece of hardware, or what is not there. */
export async function savePartAdded(raw: z.infer<typeof addInput>): Promise<ActionResult> {
  return act(addInput, raw, ({ number, version, ...added }) => addPart(number, version, added));
}

const mendingInput = z.object({ ...onPart, services: z.array(serviceSchema.shape.do).max(MENDING.length) });
/** What mends a part. Each is a line of the rebuild plan, before the part goes back. */
export async function saveMending(raw: z.infer<typeof mendingInput>): Promise<ActionResult> {
  return act(mendingInput, raw, ({ number, version, part, services }) =>
    setMending(number, version, part, services),
  );
}

const serviceInput = z.object({
  ...onJob,
  service: ref,
  ...serviceSchema.pick({ note: true, waitMinutes: true }).shape,
});
export async function saveService(raw: z.infer<typeof serviceInput>): Promise<ActionResult> {
  return act(serviceInput, raw, ({ number, version, service, ...said }) =>
    setServiceNote(number, version, service, said),
  );
}

/** Every note of a gear; null takes it back. */
const nullable = <T extends z.ZodType>(schema: z.ZodOptional<T>) => schema.unwrap().nullable().optional();
const { teeth, mateTeeth, arcPitches, moduleMm, pitchMm, boreForm, shaftAngleDeg, ...others } =
  gearNotes.omit({ countedFrom: true, looks: true }).shape;
const notesInput = z.object({
  ...onPart,
  notes: z.strictObject({
    ...others,
    teeth: nullable(teeth),
    mateTeeth: nullable(mateTeeth),
    arcPitches: nullable(arcPitches),
    moduleMm: nullable(moduleMm),
    pitchMm: nullable(pitchMm),
    boreForm: nullable(boreForm),
    shaftAngleDeg: nullable(shaftAngleDeg),
  }),
});
export async function saveGearNotes(raw: z.infer<typeof notesInput>): Promise<ActionResult> {
  return act(notesInput, raw, async ({ number, version, part, notes }) => {
    if (notes.teeth != null && notes.teeth < 4) {
      const job = thereIs(await loadJob(number), number);
      const kind = notes.kind ?? job.findings.find((f) => f.part === part)?.gear.kind ?? "spur";
      if (kind !== "worm")
        throw new Fault("notes.teeth", "a gear has 4 teeth or more; only a worm has fewer");
    }
    return setGearNotes(number, version, part, notes);
  });
}

const readingInput = z.object({
  ...onPart,
  what: text,
  teeth: readingSchema.shape.teeth,
  typed: words,
  unit: z.enum(["mm", "in"]),
  source: text,
});

/**
 * Takes a reading as it was typed: `45,11`, `1 3/16 in`. Refused with a sentence where it is no length, or
 * one that cannot be.
 */
export async function takeReading(raw: z.infer<typeof readingInput>): Promise<ActionResult> {
  return act(readingInput, raw, ({ number, version, part, what, teeth, typed, unit, source }) => {
    const kind = readingKind(what)?.unit;
    const angle = kind === "°";
    const value = lengthFrom(typed.trim().replace(/°$/, ""), kind === "mm" ? unit : "mm");
    if (kind === "" && !/^\d+$/.test(typed.trim()))
      throw new Fault("typed", `“${typed}” is no count: type it like 24`);
    if (value === null)
      throw new Fault(
        "typed",
        `“${typed}” is no ${angle ? "angle" : "length"}: type it like ${angle ? "18" : "45.11 or 1 3/16 in"}`,
      );
    believedReading(what, value);
    return addReading(number, version, part, {
      what,
      value,
      source,
      ...(teeth === undefined ? {} : { teeth }),
    });
  });
}

const lookInput = z.object({ ...onPart, key: z.string().max(40), says: z.string().trim().max(80) });
/** What was seen on a part that is sold by its sizes; empty takes it back. */
export async function saveLook(raw: z.infer<typeof lookInput>): Promise<ActionResult> {
  return act(lookInput, raw, async ({ number, version, part, key, says }) => {
    const job = thereIs(await loadJob(number), number);
    const kind = job.parts.find((p) => p.id === part)?.kind;
    const asked = (kind === "gear" ? bodyAsked() : sizesAsked(kind))?.looks.find((l) => l.key === key);
    if (!asked) throw new Fault("key", "that is not told of a part of this kind");
    if (says && asked.of && !asked.of.includes(says))
      throw new Fault("says", `${asked.label} is one of ${asked.of.join(", ")}`);
    if (says && asked.rating && ratingPrinted(says) === undefined)
      throw new Fault("says", `“${says}” has no figure: write what is printed on it, or leave it empty`);
    return setPartLook(number, version, part, key, asked.label, says);
  });
}

const strikeInput = z.object({ ...onPart, what: text, teeth: z.int().optional() });
export async function strikeReading(raw: z.infer<typeof strikeInput>): Promise<ActionResult> {
  return act(strikeInput, raw, ({ number, version, part, what, teeth }) =>
    strikeReadings(number, version, part, what, teeth),
  );
}

const marksInput = z.object({
  ...onPart,
  teeth: toothIndexes,
  mark: z.enum([...TOOTH_MARKS.map((m) => m.mark as string), ...OLDER_MARKS]).nullable(),
});
export async function saveMarks(raw: z.infer<typeof marksInput>): Promise<ActionResult> {
  return act(marksInput, raw, ({ number, version, part, teeth, mark }) =>
    markTeeth(number, version, part, teeth, mark),
  );
}

const nameInput = z.object({ ...onPart, which: z.int() });

/**
 * Accepts one of the names that the readings allow. It is worked out again here: the screen only says which
 * one.
 */
export async function acceptName(raw: z.infer<typeof nameInput>): Promise<ActionResult> {
  return act(nameInput, raw, async ({ number, version, part, which }) => {
    const naming = nameFrom(thereIs(await loadJob(number), number), part);
    if (!naming) throw new Fault("readings", "not enough is measured to name it");
    const name = naming.names[which];
    if (!name) throw new Fault("which", "that name no longer fits the readings");
    const { words: _words, ...identity } = name;
    return nameGear(number, version, part, identity);
  });
}

const trainChange = z.object({ ...onJob, train: trainInput });
export async function saveTrain(raw: z.infer<typeof trainChange>): Promise<ActionResult> {
  return act(trainChange, raw, ({ number, version, train }) => setTrain(number, version, train));
}

const causesInput = z.object({ ...onJob, ...chosenCauses.shape });
/** The technician's own verdict: which causes it was, and in words. */
export async function saveCauses(raw: z.infer<typeof causesInput>): Promise<ActionResult> {
  return act(causesInput, raw, ({ number, version, ...causes }) => {
    const said = causes.chosen?.map((c) => ROOTS.find((r) => r.cause === c)?.says.toLowerCase());
    const what = said
      ? `cause: ${said.join(", ") || "taken back"}`
      : causes.looked
        ? "looked at, to find the cause"
        : "cause, in words";
    return setCauses(number, version, causes, what);
  });
}

const findInput = z.object({ ...onJob, find: hardwareFind.omit({ at: true }) });
export async function saveHardwareFind(raw: z.infer<typeof findInput>): Promise<ActionResult> {
  return act(findInput, raw, ({ number, version, find }) => keepHardwareFind(number, version, find));
}

const photoInput = z.object({ ...onPart, ...photoCount.shape });
/** Takes a count, and sizes if there are any, from a photograph. */
export async function savePhotoCount(raw: z.infer<typeof photoInput>): Promise<ActionResult> {
  return act(photoInput, raw, async ({ number, version, part, ...count }) => {
    const job = thereIs(await loadJob(number), number);
    if (!job.pictures.some((p) => p.name === count.picture))
      throw new Fault("picture", "that picture is not among the job's any more");
    return takePhotoCount(number, version, part, count);
  });
}
