"use server";

import { z } from "zod";
import { Fault } from "@/core/fault";
import { slipOfUnits } from "@/core/grease/charge";
import { jobHead } from "@/core/job/job";
import { weighedPointSchema } from "@/core/job/service";
import { loadJob, thereIs } from "@/store/job";
import { setHead } from "@/store/jobs";
import { lubricants, setGrease, setWashed, weighIn } from "@/store/lube";
import { type ActionResult, act } from "../saving/act";
import { onJob } from "../saving/action-input";
import { caseStep, greasePlan, needOf } from "./grease-plan";

const caseInput = z.object({ ...onJob, inside: jobHead.shape.caseInside.unwrap() });
export async function saveCase(raw: z.infer<typeof caseInput>): Promise<ActionResult> {
  return act(caseInput, raw, ({ number, version, inside }) =>
    setHead(number, version, { caseInside: inside }, `case inside ${inside.lengthMm} × ${inside.widthMm} × ${inside.depthMm} mm`),
  );
}

const schoolInput = z.object({ ...onJob, school: jobHead.shape.fillSchool });
export async function saveSchool(raw: z.infer<typeof schoolInput>): Promise<ActionResult> {
  return act(schoolInput, raw, ({ number, version, school }) => setHead(number, version, { fillSchool: school }, `grease charge: ${school} school`));
}

const washedInput = z.object({ ...onJob, washed: z.boolean() });

/** Clean and dry. The cleaning goes into the rebuild plan as a service, so that it stands on the sheet. */
export async function saveWashed(raw: z.infer<typeof washedInput>): Promise<ActionResult> {
  return act(washedInput, raw, async ({ number, version, washed }) => {
    const job = thereIs(await loadJob(number), number);
    const place = caseStep(job);
    const crumbs = job.greaseState === "metal" || job.greaseState === "plastic";
    const note = crumbs ? "case wiped once more: no crumb must stay" : "case wiped out";
    return setWashed(number, version, washed, place === undefined ? undefined : { reachedBy: place, note });
  });
}

const greaseInput = z.object({ ...onJob, lubricant: z.string().max(60) });

/** Takes a grease for the job and writes its points. One that the food rule forbids is refused. */
export async function takeGrease(raw: z.infer<typeof greaseInput>): Promise<ActionResult> {
  return act(greaseInput, raw, async ({ number, version, lubricant }) => {
    const job = thereIs(await loadJob(number), number);
    const shelf = await lubricants();
    const chosen = shelf.find((l) => l.id === lubricant);
    if (!chosen) throw new Fault("lubricant", "is not on the shelf");
    if (needOf(job).foodContact && !chosen.h1)
      throw new Fault("lubricant", `${chosen.name} is not registered H1 and must not go into a machine that touches food`);
    const plan = greasePlan({ ...job, lubricant }, shelf);
    if (!plan.charge) throw new Fault("case", "measure the inside of the case first: the amount follows from it");
    return setGrease(number, version, chosen, plan.points);
  });
}

const weighInput = z.object({
  ...onJob,
  point: z.string().max(40),
  grams: weighedPointSchema.shape.weighedGrams.unwrap().nullable(),
});

/** Weighs grease in. A slip of units is refused with a question. */
export async function weigh(raw: z.infer<typeof weighInput>): Promise<ActionResult> {
  return act(weighInput, raw, async ({ number, version, point, grams }) => {
    const job = thereIs(await loadJob(number), number);
    const aim = job.lubePoints.find((g) => g.id === point)?.grams;
    if (aim === undefined) throw new Fault("point", "is no grease point of this job");
    const free = greasePlan(job, await lubricants()).freeMl;
    const slip = grams !== null && free !== null ? slipOfUnits(grams, free) : null;
    if (slip) throw new Fault("grams", slip);
    if (grams !== null && (grams < aim / 3 || grams > aim * 3))
      throw new Fault("grams", `${grams} g for ${aim} g: out by a factor of three or more. Weigh it again, or check the unit.`);
    return weighIn(number, version, point, grams);
  });
}
