"use server";

import { z } from "zod";
import { Fault } from "@/core/fault";
import { placeFault } from "@/core/hardware/look-alikes";
import { partKindFrom } from "@/core/hardware/part-kind";
import { LONGEST_MM, MOST_PIECES } from "@/core/hardware/quick-line";
import { pictureMarkSchema } from "@/core/job/picture-mark";
import { action, freedSchema, hardwareSchema, timingSchema } from "@/core/order/strip";
import { safetyGate } from "@/core/safety/gate";
import { database } from "@/store/database";
import { loadJob } from "@/store/job";
import { setHead } from "@/store/jobs";
import { setAnswer } from "@/store/rebuild";
import { changeStep, layDown, markPicture, type NewStep, setOrder, slide, toggleBundle } from "@/store/strip";
import { undoLast } from "@/store/undo";
import { type ActionResult, act } from "../saving/act";
import { onJob } from "../saving/action-input";

const text = z.string().trim().max(2000, "must be shorter than 2000 letters");
const ref = z.string().max(40);
const stepInput = z.object({
  ...onJob,
  /** the step that is changed; null: a new one */
  editing: ref.nullable(),
  key: z.string().max(60),
  action,
  what: text,
  hardware: z
    .array(
      hardwareSchema.omit({ id: true, x: true }).extend({
        qty: z.int("must be a whole number").min(1, "a count is 1 or more").max(MOST_PIECES, `${MOST_PIECES} pieces is the most`),
        lengthMm: z.number().positive("a length is above 0 mm").max(LONGEST_MM, `${LONGEST_MM} mm is the longest that is believed`).optional(),
      }),
    )
    .max(60, "60 kinds of hardware in one step are too many"),
  facing: text,
  mark: text,
  note: text,
  needs: z.array(ref).nullable(),
  asOne: z.boolean(),
  minutes: z.number().min(0, "minutes are never below 0").max(600, "ten hours is the most"),
  wires: z.array(z.object({ colour: text.min(1), to: text.min(1, "say which terminal the wire goes to") })).max(60),
  held: z.array(text).max(20),
  freed: freedSchema.nullable(),
  timing: timingSchema.nullable(),
  cautions: z.array(text).max(20),
  doNotUndo: text,
  tray: text,
  stack: z.array(z.string().max(8)).max(80),
  /** part names that were lost, broken or missing */
  partStates: z.record(z.string(), z.enum(["lost", "broken", "missing"])),
});
export type StepInput = Omit<z.input<typeof stepInput>, "number" | "version">;

/** Lays a step down on the Mat, or changes one that lies there. Names with commas between them are several parts. */
export async function layStepDown(raw: z.input<typeof stepInput>): Promise<ActionResult> {
  return act(stepInput as unknown as z.ZodType<z.infer<typeof stepInput>>, raw, async ({ number, version, editing, ...said }) => {
    const step = stepFrom(said);
    return editing ? changeStep(number, version, editing, step) : layDown(number, "any", step);
  });
}

function stepFrom({
  what,
  mark,
  needs,
  facing,
  note,
  held,
  freed,
  timing,
  cautions,
  doNotUndo,
  tray,
  wires,
  stack,
  partStates,
  ...s
}: Omit<z.infer<typeof stepInput>, "number" | "version" | "editing">): NewStep {
  const names = what
    .split(",")
    .map((n) => n.trim())
    .filter(Boolean);
  if (!names.length && !s.hardware.length && !note && !wires.length) throw new Fault("what", "say what came off: a part, some hardware, or a note");
  const noPlace = placeFault(s.hardware);
  if (noPlace) throw new Fault("hardware", noPlace);
  const onlyNote = s.action === "note" || s.action === "block";
  return {
    ...s,
    ...(names.length ? { title: names.join(", ") } : {}),
    parts: onlyNote ? [] : names.map((name) => ({ name, kind: partKindFrom(name), state: partStates[name] })),
    needs: needs ?? undefined,
    pictures: [],
    ...(facing ? { facing } : {}),
    ...(mark ? { marks: [mark] } : {}),
    ...(note ? { note } : {}),
    ...(held.length ? { held } : {}),
    ...(freed ? { freed } : {}),
    ...(timing && Object.keys(timing).length ? { timing } : {}),
    ...(cautions.length ? { cautions } : {}),
    ...(doNotUndo ? { doNotUndo } : {}),
    ...(tray ? { tray } : {}),
    ...(wires.length ? { wires } : {}),
    ...(stack.length ? { stack } : {}),
  };
}

const bare = z.object(onJob);
/** Takes the last action of the recorder back; ten are kept. */
export async function takeBack(raw: z.infer<typeof bare>): Promise<ActionResult> {
  return act(bare, raw, ({ number, version }) => undoLast(number, version));
}

const slideInput = z.object({ ...onJob, step: ref, to: z.int().min(0) });
export async function slideTo(raw: z.infer<typeof slideInput>): Promise<ActionResult> {
  return act(slideInput, raw, ({ number, version, step, to }) => slide(number, version, step, to));
}

const needsInput = z.object({ ...onJob, step: ref, needs: z.array(ref).max(200) });
/** What a step that lies on the Mat needed: only these. */
export async function setNeeds(raw: z.infer<typeof needsInput>): Promise<ActionResult> {
  return act(needsInput, raw, ({ number, version, step, needs }) => setOrder(number, version, step, { needs }));
}

const bundleInput = z.object({ ...onJob, step: ref, other: ref });
export async function cameOutAsOne(raw: z.infer<typeof bundleInput>): Promise<ActionResult> {
  return act(bundleInput, raw, ({ number, version, step, other }) => toggleBundle(number, version, step, other));
}

const marksInput = z.object({ ...onJob, picture: z.string().max(60), marks: z.array(pictureMarkSchema).max(60, "60 marks hide the picture") });
export async function saveMarks(raw: z.infer<typeof marksInput>): Promise<ActionResult> {
  return act(marksInput, raw, ({ number, version, picture, marks }) => markPicture(number, version, picture, marks));
}

const finishInput = z.object({ ...onJob, finished: z.boolean() });
export async function setStripFinished(raw: z.infer<typeof finishInput>): Promise<ActionResult> {
  return act(finishInput, raw, ({ number, version, finished }) =>
    setHead(number, version, { stripFinished: finished }, finished ? "the strip goes far enough" : "stripping goes on"),
  );
}

const safetyInput = z.object({ ...onJob, gate: text, skipped: text.optional() });

/** Answers one question of the safety gate, or skips it with a written reason. */
export async function answerSafety(raw: z.infer<typeof safetyInput>): Promise<ActionResult> {
  return act(safetyInput, raw, async ({ number, version, gate, skipped }) => {
    const job = await loadJob(await database(), number);
    const asked = job && safetyGate(job).find((q) => q.gate === gate);
    if (!asked) throw new Fault("gate", "this unit is not asked that");
    if (skipped !== undefined && skipped.trim().length < 4) throw new Fault("reason", "write down why it is skipped");
    const answer = skipped === undefined ? { answer: "yes" } : { answer: "skipped", note: skipped.trim() };
    return setAnswer(number, version, `safety:${gate}`, answer, `safety gate: ${asked.asks} ${skipped === undefined ? "yes" : `SKIPPED: ${skipped.trim()}`}`);
  });
}
