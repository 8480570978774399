"use server";

import { z } from "zod";
import { Fault } from "@/core/fault";
import { GEAR_KINDS } from "@/core/gear/gear-kind";
import { BORE_FORMS } from "@/core/gear/index";
import { CAUSE_RULES } from "@/core/judge/cause-rules";
import { FATES, type Fate } from "@/core/judge/fate";
import { OLDER_MARKS, TOOTH_MARKS } from "@/core/judge/tooth-marks";
import { lengthFrom } from "@/core/quantity/units";
import { trainInput } from "@/core/train/train";
import { loadJob } from "@/store/job";
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

const text = z.string().max(2000);
const onPart = { ...onJob, part: z.string().max(40) };

const findingInput = z.object({
  ...onPart,
  mode: text.optional(),
  extent: text.optional(),
  note: text.optional(),
  renew: z.boolean().optional(),
  fate: z.enum(FATES.map((f) => f.fate) as [Fate, ...Fate[]]).optional(),
  fateWhy: text.optional(),
});
export async function saveFinding(raw: z.infer<typeof findingInput>): Promise<ActionResult> {
  return act(findingInput, raw, ({ number, version, part, ...f }) => setFinding(number, version, part, f));
}

const stateInput = z.object({ ...onJob, state: text });
export async function saveGreaseState(raw: z.infer<typeof stateInput>): Promise<ActionResult> {
  return act(stateInput, raw, ({ number, version, state }) => setHead(number, version, { greaseState: state }, `state of the old grease: ${state}`));
}

const notesInput = z.object({
  ...onPart,
  notes: z.strictObject({
    teeth: z
      .int("the tooth count must be a whole number")
      .min(1, "a gear has 4 teeth or more, a worm 1 start or more")
      .max(400, "more than 400 teeth cannot be drawn")
      .nullable()
      .optional(),
    kind: z.enum(GEAR_KINDS).optional(),
    hand: z.enum(["left", "right"]).optional(),
    boreForm: z.enum(["", ...BORE_FORMS]).optional(),
    tipsWorn: z.boolean().optional(),
    mateTeeth: z.int("the tooth count must be a whole number").min(1, "a gear has 4 teeth or more, a worm 1 start or more").max(400).nullable().optional(),
    mate: z.string().max(40).optional(),
    arcPitches: z.int("the number of pitches must be whole").min(1, "an arc is over 1 pitch or more").max(200).nullable().optional(),
    turning: z.enum(["clockwise", "counter-clockwise"]).optional(),
    drives: z.boolean().optional(),
    moduleMm: z.number("that is no number").positive("a module is above 0 mm").max(50).nullable().optional(),
    pitchMm: z.number("that is no number").positive("a pitch is above 0 mm").max(100).nullable().optional(),
  }),
});
export async function saveGearNotes(raw: z.infer<typeof notesInput>): Promise<ActionResult> {
  return act(notesInput, raw, async ({ number, version, part, notes }) => {
    if (notes.teeth != null && notes.teeth < 4) {
      const job = await loadJob(number);
      const kind = notes.kind ?? job?.findings.find((f) => f.part === part)?.gear.kind ?? "spur";
      if (kind !== "worm") throw new Fault("notes.teeth", "a gear has 4 teeth or more; only a worm has fewer");
    }
    return setGearNotes(number, version, part, notes);
  });
}

/** What can be measured, with the range that is believed, in mm or degrees. */
const RANGES: Readonly<Record<string, readonly [number, number, string]>> = {
  "tip diameter": [1, 600, "mm"],
  "tip circle": [1, 600, "mm"],
  span: [0.5, 300, "mm"],
  chord: [0.5, 600, "mm"],
  arc: [2, 358, "°"],
  "root diameter": [1, 600, "mm"],
  bore: [0.5, 200, "mm"],
  "bore across": [0.5, 200, "mm"],
  shaft: [0.5, 200, "mm"],
  "face width": [0.5, 200, "mm"],
  "helix angle": [0, 60, "°"],
  "tooth depth": [0.2, 30, "mm"],
  "face angle": [2, 88, "°"],
  "axial pitch": [0.3, 300, "mm"],
  "throat diameter": [3, 600, "mm"],
  "centre distance": [2, 600, "mm"],
  "outside diameter": [1, 400, "mm"],
  width: [0.5, 200, "mm"],
  "mate span loss": [0, 5, "mm"],
};
const rangeOf = (what: string) => RANGES[what] ?? (/^over pins \d+(\.\d+)?$/.test(what) ? ([1, 600, "mm"] as const) : undefined);
const readingInput = z.object({
  ...onPart,
  what: text,
  teeth: z.int("the number of teeth must be whole").min(1, "it is over 1 tooth or more").max(200).optional(),
  typed: z.string().max(60),
  unit: z.enum(["mm", "in"]),
  source: z.string().max(40),
});

/** Takes a reading as it was typed: `45,11`, `1 3/16 in`. Refused with a sentence where it is no length, or one that cannot be. */
export async function takeReading(raw: z.infer<typeof readingInput>): Promise<ActionResult> {
  return act(readingInput, raw, ({ number, version, part, what, teeth, typed, unit, source }) => {
    const range = rangeOf(what);
    if (!range) throw new Fault("what", `there is no reading called ${what}`);
    const angle = range[2] === "°";
    const value = lengthFrom(typed.trim().replace(/°$/, ""), angle ? "mm" : unit);
    if (value === null) throw new Fault("typed", `“${typed}” is no ${angle ? "angle" : "length"}: type it like ${angle ? "18" : "45.11 or 1 3/16 in"}`);
    if (value < range[0] || value > range[1])
      throw new Fault("typed", `a ${what} of ${Number(value.toFixed(3))} ${range[2]} cannot be: it lies between ${range[0]} and ${range[1]} ${range[2]}`);
    return addReading(number, version, part, {
      what,
      value,
      source,
      ...(teeth === undefined ? {} : { teeth }),
      ...(angle ? { u: what === "arc" ? 1 : 1.5 } : {}),
    });
  });
}

const strikeInput = z.object({ ...onPart, what: text, teeth: z.int().optional() });
export async function strikeReading(raw: z.infer<typeof strikeInput>): Promise<ActionResult> {
  return act(strikeInput, raw, ({ number, version, part, what, teeth }) => strikeReadings(number, version, part, what, teeth));
}

const marksInput = z.object({
  ...onPart,
  teeth: z.array(z.int().min(0).max(2000)).max(2000),
  mark: z.enum([...TOOTH_MARKS.map((m) => m.mark as string), ...OLDER_MARKS]).nullable(),
});
export async function saveMarks(raw: z.infer<typeof marksInput>): Promise<ActionResult> {
  return act(marksInput, raw, ({ number, version, part, teeth, mark }) => markTeeth(number, version, part, teeth, mark));
}

const nameInput = z.object({ ...onPart, which: z.int().min(0).max(20) });

/** Accepts one of the names that the readings allow. It is worked out again here: the screen only says which one. */
export async function acceptName(raw: z.infer<typeof nameInput>): Promise<ActionResult> {
  return act(nameInput, raw, async ({ number, version, part, which }) => {
    const job = await loadJob(number);
    const naming = job && nameFrom(job, part);
    if (!naming) throw new Fault("readings", "there is too little measured to name it");
    const name = naming.names[which];
    if (!name) throw new Fault("which", "that name is not among the possible ones any more");
    const { words: _words, ...identity } = name;
    return nameGear(number, version, part, identity);
  });
}

const trainChange = z.object({ ...onJob, train: trainInput });
export async function saveTrain(raw: z.infer<typeof trainChange>): Promise<ActionResult> {
  return act(trainChange, raw, ({ number, version, train }) => setTrain(number, version, train));
}

const causesInput = z.object({
  ...onJob,
  chosen: z
    .array(z.enum(CAUSE_RULES.map((r) => r.cause) as [string, ...string[]]))
    .max(20)
    .optional(),
  words: text.optional(),
});
/** The technician's own verdict: which causes it was, and in words. */
export async function saveCauses(raw: z.infer<typeof causesInput>): Promise<ActionResult> {
  return act(causesInput, raw, ({ number, version, ...causes }) => {
    const said = causes.chosen?.map((c) => CAUSE_RULES.find((r) => r.cause === c)?.says.toLowerCase());
    return setCauses(number, version, causes, said ? `cause: ${said.join(", ") || "taken back"}` : "cause, in words");
  });
}

const findInput = z.object({
  ...onJob,
  find: z.strictObject({ name: z.string().max(80), from: z.string().max(200), sure: z.number().min(0).max(1), source: z.string().max(80) }),
});
export async function saveHardwareFind(raw: z.infer<typeof findInput>): Promise<ActionResult> {
  return act(findInput, raw, ({ number, version, find }) => keepHardwareFind(number, version, find));
}

const photoInput = z.object({
  ...onPart,
  teeth: z.int("the tooth count must be a whole number").min(4, "a gear has 4 teeth or more").max(400, "more than 400 teeth cannot be drawn"),
  missing: z.array(z.int().min(0).max(399)).max(400),
  broken: z.array(z.int().min(0).max(399)).max(400),
  picture: z.string().max(40),
  certainty: z.number().min(0).max(1),
  sizes: z
    .array(z.strictObject({ what: z.enum(["tip circle", "root diameter", "bore"]), value: z.number().min(0.5).max(600), u: z.number().positive().max(60) }))
    .max(3),
});
/** Takes a count, and sizes if there are any, from a photograph. */
export async function savePhotoCount(raw: z.infer<typeof photoInput>): Promise<ActionResult> {
  return act(photoInput, raw, async ({ number, version, part, ...count }) => {
    const job = await loadJob(number);
    if (!job?.pictures.some((p) => p.name === count.picture)) throw new Fault("picture", "that picture is not among the job's any more");
    return takePhotoCount(number, version, part, count);
  });
}
