"use server";

import { z } from "zod";
import { Fault } from "@/core/fault";
import { slipOfUnits } from "@/core/grease/charge";
import { forbiddenIn } from "@/core/grease/choose";
import { jobHead } from "@/core/job/job";
import { PART_MATERIALS } from "@/core/job/part-material";
import { weighedPointSchema } from "@/core/job/service";
import { ref, words } from "@/core/job/written";
import { hasCrumbs } from "@/core/judge/failure-modes";
import { addOilPoint, dropLubePoint, setNoGrease } from "@/store/endings";
import { loadJob, thereIs } from "@/store/job";
import { setHead } from "@/store/jobs";
import { setGrease, setWashed, weighIn } from "@/store/lube";
import { greasesOnShelf } from "@/store/shelf";
import { type ActionResult, act } from "../saving/act";
import { onJob } from "../saving/action-input";
import { caseStep, greasePlan } from "./grease-plan";

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
    const crumbs = hasCrumbs(job.greaseStates);
    const note = crumbs ? "case wiped once more: no crumb must stay" : "case wiped out";
    return setWashed(number, version, washed, place === undefined ? undefined : { reachedBy: place, note });
  });
}

const greaseInput = z.object({ ...onJob, lubricant: words });

/** Takes a grease for the job and writes its points. One that the food rule forbids is refused. */
export async function takeGrease(raw: z.infer<typeof greaseInput>): Promise<ActionResult> {
  return act(greaseInput, raw, async ({ number, version, lubricant }) => {
    const job = thereIs(await loadJob(number), number);
    const shelf = await greasesOnShelf();
    const chosen = shelf.find((l) => l.id === lubricant);
    if (!chosen) throw new Fault("lubricant", "is not on the shelf");
    const forbidden = forbiddenIn(job, chosen);
    if (forbidden) throw new Fault("lubricant", forbidden);
    const plan = greasePlan({ ...job, lubricant }, shelf);
    if (!plan.charge) throw new Fault("case", "measure the inside of the case first: the amount follows from it");
    return setGrease(number, version, chosen, plan.points);
  });
}

const madeInput = z.object({ ...onJob, material: z.enum(PART_MATERIALS.map((m) => m.material)), on: z.boolean() });
/** Says of what case and seals are made that did not come off as parts: no oil may touch what it attacks. */
export async function saveCaseMaterial(raw: z.infer<typeof madeInput>): Promise<ActionResult> {
  return act(madeInput, raw, async ({ number, version, material, on }) => {
    const before = thereIs(await loadJob(number), number).caseMaterials ?? [];
    const caseMaterials = [...before.filter((m) => m !== material), ...(on ? [material] : [])];
    return setHead(number, version, { caseMaterials }, `case and seals: ${caseMaterials.join(", ") || "not said"}`);
  });
}

const noGreaseInput = z.object({ ...onJob, why: jobHead.shape.noGrease.unwrap().min(3, "say in a few words why").nullable() });
/** Says why no grease is weighed in; null: that is open again. */
export async function saveNoGrease(raw: z.infer<typeof noGreaseInput>): Promise<ActionResult> {
  return act(noGreaseInput, raw, ({ number, version, why }) => setNoGrease(number, version, why));
}

const oilInput = z.object({
  ...onJob,
  part: ref,
  lubricant: words.trim().min(2, "say which oil"),
  where: words.trim().min(2, "say where, and how much"),
});
/** Oil on a part, by the drop. */
export async function saveOilPoint(raw: z.infer<typeof oilInput>): Promise<ActionResult> {
  return act(oilInput, raw, ({ number, version, ...point }) => addOilPoint(number, version, point));
}

const pointInput = z.object({ ...onJob, point: ref });
export async function takeLubePointOff(raw: z.infer<typeof pointInput>): Promise<ActionResult> {
  return act(pointInput, raw, ({ number, version, point }) => dropLubePoint(number, version, point));
}

const weighInput = z.object({
  ...onJob,
  point: ref,
  grams: weighedPointSchema.shape.weighedGrams.unwrap().nullable(),
});

/** Weighs grease in. A slip of units is refused with a question. */
export async function weigh(raw: z.infer<typeof weighInput>): Promise<ActionResult> {
  return act(weighInput, raw, async ({ number, version, point, grams }) => {
    const job = thereIs(await loadJob(number), number);
    const aim = job.lubePoints.find((g) => g.id === point)?.grams;
    if (aim === undefined) throw new Fault("point", "is no grease point of this job");
    const free = greasePlan(job, await greasesOnShelf()).freeMl;
    const slip = grams !== null && free !== null ? slipOfUnits(grams, free) : null;
    if (slip) throw new Fault("grams", slip);
    if (grams !== null && (grams < aim / 3 || grams > aim * 3))
      throw new Fault("grams", `${grams} g for ${aim} g: out by a factor of three or more. Weigh it again, or check the unit.`);
    return weighIn(number, version, point, grams);
  });
}
