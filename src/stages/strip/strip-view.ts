import { gatesOf, safetyLater } from "@/core/gates/job-facts";
import type { Job } from "@/core/job/job";
import { safetyOf } from "@/core/job/keys";
import { partName } from "@/core/job/part";
import { stepThing } from "@/core/job/step-named";
import { waysInto } from "@/core/order/access-plan";
import { backNow, offNow } from "@/core/order/off-again";
import { toolsUsed } from "@/core/order/tools-used";
import { LIVE, safetyGate } from "@/core/safety/gate";
import type { SafetyQuestion } from "@/core/safety/question";
import { loadDrafts } from "@/store/drafts";
import { keptGuide } from "@/store/guides";
import { knownKinds } from "@/store/known-kinds";
import { stripsOfModel } from "@/store/same-model";
import { undoable } from "@/store/undo";
import { pack } from "@/ui/packed";
import { type FramedPicture, framed } from "@/ui/picture-frame";
import type { Pocket } from "@/ui/pocket";
import { type FrameView, frameOf } from "../frame/frame-view";
import { laidHardware, pocketsOf } from "../job-view/mat-pockets";
import { only } from "../job-view/only";
import { pageJob } from "../job-view/page-job";
import type { BackStep } from "./back-again";
import type { LaidStep } from "./laid-step";
import type { RecorderProps } from "./recorder";

/** The safety gate while a question of it is open, else the recorder. */
export type StripView = { readonly frame: FrameView; readonly pockets: readonly Pocket[] } & (
  | {
      readonly gate: {
        readonly questions: readonly SafetyQuestion[];
        readonly answered: readonly string[];
        readonly picture: FramedPicture | undefined;
      };
    }
  | { readonly recorder: Omit<RecorderProps, "pockets"> }
);

export async function stripView(number: string): Promise<StripView | null> {
  const job = await pageJob(number);
  if (!job) return null;
  const questions = safetyGate(job);
  const answered = job.answers.flatMap((a) => safetyOf(a.question) ?? []);
  const pockets = pocketsOf(job);
  const frame = frameOf(job);
  if (questions.some((q) => !answered.includes(q.gate)))
    return {
      frame,
      pockets,
      gate: { questions, answered, picture: framed(job.pictures.find((p) => p.role === "intake")) },
    };
  const { stage, kind, stripFinished } = job;
  const ghostFrom = stripFinished
    ? undefined
    : ((await stripsOfModel(job))[0] ?? (await keptGuide(job)).units[0]?.strip.from);
  return {
    frame,
    pockets,
    recorder: {
      laid: pack(laidHardware(job)),
      // those of the open step, the last thing off, and the unit as it came in; the others are named by their
      // pockets
      pictures: job.pictures
        .filter((p) => !p.step || p.step === job.steps.at(-1)?.id || p.role === "intake")
        .map((p) => only(p, ["sha256", "name", "role", "step", "stepKey", "marks", "width", "height"])),
      draft: (await loadDrafts(job.id))["strip.step"],
      finished: stripFinished,
      gates: gatesOf(job, "strip"),
      stageNow: stage,
      unit: kind,
      undo: await undoable(job.id),
      tools: toolsUsed(job.steps),
      known: await knownKinds(),
      back: backSteps(job),
      ...(ghostFrom === undefined ? {} : { ghostFrom }),
      live: job.answers.flatMap((a) => {
        const gate = safetyOf(a.question);
        return gate !== undefined && a.answer === "skipped" && LIVE.includes(gate)
          ? [{ gate, why: a.note ?? "" }]
          : [];
      }),
      later: safetyLater(job),
    },
  };
}

/** What is back in the machine, and of it what has to be off to come where the strip ended. */
function backSteps(job: Job): BackStep[] {
  if (!job.linesDone.length) return [];
  const back = backNow(job.steps, job.linesDone);
  const last = job.steps.findLast((s) => s.action !== "note")?.id;
  if (!back.length || last === undefined) return [];
  const inTheWay = new Set(waysInto(job).toStep(last, offNow(job.steps, job.linesDone)).steps);
  return back.map((step) => ({ step, says: stepThing(job, step), inTheWay: inTheWay.has(step) }));
}

/** One step of a job as it lies; null: there is none. */
export async function laidStepOf(number: string, id: string): Promise<LaidStep | null> {
  const job = await pageJob(number);
  const found = job?.steps.find((s) => s.id === id);
  if (!job || !found) return null;
  const { at: _at, ...step } = found;
  const parts = (step.parts ?? []).map((id) => {
    const part = job.parts.find((p) => p.id === id);
    return { id, name: partName(part), state: part?.state, ...(part?.kind && { kind: part.kind }) };
  });
  return {
    step,
    parts,
    pictures: job.pictures
      .filter((p) => p.step === id)
      .map((p) => only(p, ["sha256", "name", "role", "step", "stepKey", "marks", "width", "height"])),
  };
}
