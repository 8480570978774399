"use server";

import { z } from "zod";
import { Fault } from "@/core/fault";
import { chosenCauses, findingSchema } from "@/core/job/finding";
import { gearNotes, photoCount, toothIndexes } from "@/core/job/gear-notes";
import { hardwareFind, readingSchema } from "@/core/job/reading";
import { ref, text } from "@/core/job/written";
import { CAUSE_RULES } from "@/core/judge/cause-rules";
import { GREASE_STATES } from "@/core/judge/failure-modes";
import { OLDER_MARKS, TOOTH_MARKS } from "@/core/judge/tooth-marks";
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
  setTrain,
  strikeReadings,
  takePhotoCount,
} from "@/store/judge";
import { type ActionResult, act } from "../saving/act";
import { onJob } from "../saving/action-input";
import { nameFrom } from "./gear/gear-readings";

const onPart = { ...onJob, part: ref };

const findingInput = z.object({
  ...onPart,
  ...findingSchema.pick({ mode: true, extent: true, note: true, fate: true, fateWhy: true }).shape,
  renew: z.boolean().optional(),
});
export async function saveFinding(raw: z.infer<typeof findingInput>): Promise<ActionResult> {
  return act(findingInput, raw, ({ number, version, part, ...f }) => setFinding(number, version, part, f));
}

const stateInput = z.object({ ...onJob, state: text });
export async function saveGreaseState(raw: z.infer<typeof stateInput>): Promise<ActionResult> {
  return act(stateInput, raw, ({ number, version, state }) =>
    setHead(number, version, { greaseState: state }, `state of the old grease: ${GREASE_STATES.find((g) => g.state === state)?.says ?? state}`),
  );
}

/** Every note of a gear; null takes it back. */
const nullable = <T extends z.ZodType>(schema: z.ZodOptional<T>) => schema.unwrap().nullable().optional();
const { teeth, mateTeeth, arcPitches, moduleMm, pitchMm, boreForm, ...others } = gearNotes.omit({ countedFrom: true }).shape;
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
  }),
});
export async function saveGearNotes(raw: z.infer<typeof notesInput>): Promise<ActionResult> {
  return act(notesInput, raw, async ({ number, version, part, notes }) => {
    if (notes.teeth != null && notes.teeth < 4) {
      const job = thereIs(await loadJob(number), number);
      const kind = notes.kind ?? job.findings.find((f) => f.part === part)?.gear.kind ?? "spur";
      if (kind !== "worm") throw new Fault("notes.teeth", "a gear has 4 teeth or more; only a worm has fewer");
    }
    return setGearNotes(number, version, part, notes);
  });
}

const readingInput = z.object({
  ...onPart,
  what: text,
  teeth: readingSchema.shape.teeth,
  typed: z.string().max(60, "is longer than 60 characters"),
  unit: z.enum(["mm", "in"]),
  source: text,
});

/** Takes a reading as it was typed: `45,11`, `1 3/16 in`. Refused with a sentence where it is no length, or one that cannot be. */
export async function takeReading(raw: z.infer<typeof readingInput>): Promise<ActionResult> {
  return act(readingInput, raw, ({ number, version, part, what, teeth, typed, unit, source }) => {
    const angle = readingKind(what)?.unit === "°";
    const value = lengthFrom(typed.trim().replace(/°$/, ""), angle ? "mm" : unit);
    if (value === null) throw new Fault("typed", `“${typed}” is no ${angle ? "angle" : "length"}: type it like ${angle ? "18" : "45.11 or 1 3/16 in"}`);
    believedReading(what, value);
    return addReading(number, version, part, { what, value, source, ...(teeth === undefined ? {} : { teeth }) });
  });
}

const strikeInput = z.object({ ...onPart, what: text, teeth: z.int().optional() });
export async function strikeReading(raw: z.infer<typeof strikeInput>): Promise<ActionResult> {
  return act(strikeInput, raw, ({ number, version, part, what, teeth }) => strikeReadings(number, version, part, what, teeth));
}

const marksInput = z.object({
  ...onPart,
  teeth: toothIndexes,
  mark: z.enum([...TOOTH_MARKS.map((m) => m.mark as string), ...OLDER_MARKS]).nullable(),
});
export async function saveMarks(raw: z.infer<typeof marksInput>): Promise<ActionResult> {
  return act(marksInput, raw, ({ number, version, part, teeth, mark }) => markTeeth(number, version, part, teeth, mark));
}

const nameInput = z.object({ ...onPart, which: z.int().min(0).max(20) });

/** Accepts one of the names that the readings allow. It is worked out again here: the screen only says which one. */
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
    const said = causes.chosen?.map((c) => CAUSE_RULES.find((r) => r.cause === c)?.says.toLowerCase());
    return setCauses(number, version, causes, said ? `cause: ${said.join(", ") || "taken back"}` : "cause, in words");
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
    if (!job.pictures.some((p) => p.name === count.picture)) throw new Fault("picture", "that picture is not among the job's any more");
    return takePhotoCount(number, version, part, count);
  });
}
