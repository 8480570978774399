"use server";

import { z } from "zod";
import { Fault } from "@/core/fault";
import { SPEED_NAMES } from "@/core/grease/lube-ask";
import { isMeshing } from "@/core/grease/point-kinds";
import { partNamed } from "@/core/job/part";
import { ref } from "@/core/job/written";
import { FOOD_QUESTION } from "@/core/lube/food";
import { pointOn } from "@/core/lube/propose";
import { placeOf } from "@/core/lube/rooms";
import { TEETH_OF } from "@/core/lube/teeth-of";
import { loadJob, thereIs } from "@/store/job";
import { setHead } from "@/store/jobs";
import { addDry, addPoints, changePoints } from "@/store/lube";
import { setAnswer } from "@/store/rebuild";
import { type ActionResult, act } from "../saving/act";
import { onJob } from "../saving/action-input";

const foodInput = z.object({ ...onJob, touches: z.boolean() });
/** Whether the unit touches food, where its kind mostly does. */
export async function sayFood(raw: z.infer<typeof foodInput>): Promise<ActionResult> {
  return act(foodInput, raw, ({ number, version, touches }) =>
    touches
      ? setHead(number, version, { foodContact: true }, "food contact: yes")
      : setAnswer(number, version, FOOD_QUESTION, { answer: "no" }, "food contact: no"),
  );
}

const bearingInput = z.object({ ...onJob, chamber: ref, part: ref, closure: z.enum(["open", "sealed"]) });
/** Whether a bearing is open, and gets grease, or sealed, and gets none. */
export async function sayBearing(raw: z.infer<typeof bearingInput>): Promise<ActionResult> {
  return act(bearingInput, raw, async ({ number, version, chamber, part, closure }) => {
    const job = thereIs(await loadJob(number), number);
    const within = job.chambers?.find((c) => c.id === chamber);
    if (!within) throw new Fault("chamber", "is not among the job’s chambers any more");
    const name = partNamed(job, part);
    if (closure === "sealed")
      return addDry(number, version, chamber, { says: `${name}: sealed, gets none`.slice(0, 80), part });
    const point = pointOn(job, within, "rolling-bearing", part, name);
    if (!point) throw new Fault("part", "did not come off: add it as a point");
    return addPoints(number, version, [point]);
  });
}

/** What teeth that mesh are mostly of, as it is asked. */
const teethInput = z.object({ ...onJob, chamber: ref, teeth: z.enum(TEETH_OF.map((t) => t.teeth)) });
/** What the teeth of a chamber are of, where neither Judge nor the train says it. */
export async function sayTeeth(raw: z.infer<typeof teethInput>): Promise<ActionResult> {
  return act(teethInput, raw, async ({ number, version, chamber, teeth }) => {
    const job = thereIs(await loadJob(number), number);
    const untold = job.lubePoints.filter(
      (g) => g.chamber === chamber && g.kind && isMeshing(g.kind) && !placeOf(job, g).materials?.length,
    );
    const said = TEETH_OF.find((t) => t.teeth === teeth);
    if (!untold.length || !said) throw new Fault("chamber", "what its teeth are of is known by now");
    return changePoints(
      number,
      version,
      untold.map((g) => g.id),
      { materials: [...said.materials] },
      `its teeth are ${said.says}`,
    );
  });
}

const speedInput = z.object({ ...onJob, chamber: ref, speed: z.enum(SPEED_NAMES) });
/** How fast the teeth of a chamber run, where nobody measured it. */
export async function saySpeed(raw: z.infer<typeof speedInput>): Promise<ActionResult> {
  return act(speedInput, raw, async ({ number, version, chamber, speed }) => {
    const job = thereIs(await loadJob(number), number);
    const teeth = job.lubePoints.filter((g) => g.chamber === chamber && g.kind && isMeshing(g.kind));
    if (!teeth.length) throw new Fault("chamber", "no teeth run in it any more");
    return changePoints(
      number,
      version,
      teeth.map((g) => g.id),
      { speed },
      `its teeth run ${speed === "medium" ? "at 1 to 5 m/s" : speed === "slow" ? "under 1 m/s" : "above 5 m/s"}`,
    );
  });
}
