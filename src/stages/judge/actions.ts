"use server";

import { z } from "zod";
import { Fault } from "@/core/fault";
import { identifyGear } from "@/core/gear/index";
import { lengthFrom } from "@/core/quantity/units";
import { database } from "@/store/database";
import { loadJob } from "@/store/job";
import { setHead } from "@/store/jobs";
import { addReading, markTeeth, nameGear, setFinding, setGearNotes, strikeReadings } from "@/store/judge";
import { type ActionResult, act } from "../act";
import { onJob } from "../action-input";
import { identifyInputOf } from "./gear-readings";

const text = z.string().max(2000);
const onPart = { ...onJob, part: z.string().max(40) };

const findingInput = z.object({ ...onPart, mode: text.optional(), extent: text.optional(), note: text.optional(), renew: z.boolean().optional() });
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
    teeth: z.int("the tooth count must be a whole number").min(4, "a gear has 4 teeth or more").max(400, "more than 400 teeth cannot be drawn").optional(),
    kind: z.enum(["spur", "helical"]).optional(),
    hand: z.enum(["left", "right"]).optional(),
    boreForm: text.optional(),
    tipsWorn: z.boolean().optional(),
    mateTeeth: z.int("the tooth count must be a whole number").min(4, "a gear has 4 teeth or more").max(400).optional(),
  }),
});
export async function saveGearNotes(raw: z.infer<typeof notesInput>): Promise<ActionResult> {
  return act(notesInput, raw, ({ number, version, part, notes }) => setGearNotes(number, version, part, notes));
}

/** What can be measured on a gear, with the range that is believed, in mm or degrees. */
const RANGES: Readonly<Record<string, readonly [number, number, string]>> = {
  "tip diameter": [2, 600, "mm"],
  span: [0.5, 300, "mm"],
  "root diameter": [1, 600, "mm"],
  bore: [0.5, 200, "mm"],
  "face width": [0.5, 200, "mm"],
  "helix angle": [0, 60, "°"],
  "outside diameter": [1, 400, "mm"],
  width: [0.5, 200, "mm"],
  "mate span loss": [0, 5, "mm"],
};
const readingInput = z.object({
  ...onPart,
  what: text,
  teeth: z.int("the number of teeth must be whole").min(2, "a span is over 2 teeth or more").max(60).optional(),
  typed: z.string().max(60),
  unit: z.enum(["mm", "in"]),
  source: z.string().max(40),
});

/** Takes a reading as it was typed: `45,11`, `1 3/16 in`. Refused with a sentence where it is no length, or one that cannot be. */
export async function takeReading(raw: z.infer<typeof readingInput>): Promise<ActionResult> {
  return act(readingInput, raw, ({ number, version, part, what, teeth, typed, unit, source }) => {
    const range = RANGES[what];
    if (!range) throw new Fault("what", `there is no reading called ${what}`);
    const angle = range[2] === "°";
    const value = lengthFrom(typed.replace(/°$/, ""), angle ? "mm" : unit);
    if (value === null) throw new Fault("typed", `“${typed}” is no ${angle ? "angle" : "length"}: type it like ${angle ? "18" : "45.11 or 1 3/16 in"}`);
    if (value < range[0] || value > range[1])
      throw new Fault("typed", `a ${what} of ${Number(value.toFixed(3))} ${range[2]} cannot be: it lies between ${range[0]} and ${range[1]} ${range[2]}`);
    return addReading(number, version, part, { what, value, source, ...(teeth === undefined ? {} : { teeth }), ...(angle ? { u: 1.5 } : {}) });
  });
}

const strikeInput = z.object({ ...onPart, what: text, teeth: z.int().optional() });
export async function strikeReading(raw: z.infer<typeof strikeInput>): Promise<ActionResult> {
  return act(strikeInput, raw, ({ number, version, part, what, teeth }) => strikeReadings(number, version, part, what, teeth));
}

const marksInput = z.object({
  ...onPart,
  teeth: z.array(z.int().min(0).max(2000)).max(2000),
  mark: z.enum(["missing", "knife", "chipped", "cracked", "worn"]).nullable(),
});
export async function saveMarks(raw: z.infer<typeof marksInput>): Promise<ActionResult> {
  return act(marksInput, raw, ({ number, version, part, teeth, mark }) => markTeeth(number, version, part, teeth, mark));
}

const nameInput = z.object({ ...onPart, which: z.int().min(0).max(20) });

/** Accepts one of the names that the readings allow. It is worked out again here: the screen only says which one. */
export async function acceptName(raw: z.infer<typeof nameInput>): Promise<ActionResult> {
  return act(nameInput, raw, async ({ number, version, part, which }) => {
    const job = await loadJob(await database(), number);
    const input = job && identifyInputOf(job, part);
    if (!input) throw new Fault("readings", "there is too little measured to name it");
    const h = identifyGear(input).hypotheses[which];
    if (!h) throw new Fault("which", "that name is not among the possible ones any more");
    return nameGear(number, version, part, {
      teeth: h.teeth,
      moduleMm: h.module,
      diametralPitch: h.diametralPitch,
      pressureAngleDeg: h.pressureAngle,
      helixAngleDeg: h.helixAngle,
      profileShift: h.profileShift,
      probability: h.probability,
    });
  });
}
