"use server";

import { z } from "zod";
import { Fault } from "@/core/fault";
import { planOf } from "@/core/gates/job-facts";
import { serviceKey } from "@/core/job/keys";
import { partNamed } from "@/core/job/part";
import { ref, words } from "@/core/job/written";
import { cleaningMoments, cleaningsFor, closedForCleaning } from "@/core/lube/cleaning";
import { cleaningsLeft } from "@/core/lube/cleaning-list";
import { CLEANING_NAMES, cleaningFor, cleaningLine } from "@/core/lube/cleaning-ways";
import { offNow } from "@/core/order/off-again";
import { loadJob, thereIs } from "@/store/job";
import { addCleanings, dropService, moveService, setWashed } from "@/store/lube";
import { setLines } from "@/store/rebuild";
import { layDown } from "@/store/strip";
import { type ActionResult, act } from "../saving/act";
import { onJob } from "../saving/action-input";
import { LEFT } from "./meant";

const washedInput = z.object({ ...onJob, washed: z.boolean() });
/** Clean and dry, or not yet. What stands in the plan to be cleaned is done first. */
export async function saveWashed(raw: z.infer<typeof washedInput>): Promise<ActionResult> {
  return act(washedInput, raw, async ({ number, version, washed }) => {
    const job = thereIs(await loadJob(number), number);
    const left = washed ? cleaningsLeft(job, planOf(job)) : [];
    if (left.length)
      throw new Fault(
        LEFT,
        `${left.length === 1 ? "One is" : `${left.length} are`} not ticked yet: ${left.join(", ")}. Tick what is done, or take it out.`,
      );
    return setWashed(number, version, washed);
  });
}

const tickInput = z.object({ ...onJob, services: z.array(ref).min(1).max(300), done: z.boolean() });
/** Cleanings that are done, or open again: their lines in the plan are as well. */
export async function tickCleaning(raw: z.infer<typeof tickInput>): Promise<ActionResult> {
  return act(tickInput, raw, async ({ number, version, services, done }) => {
    const job = thereIs(await loadJob(number), number);
    const own = job.services.filter((v) => v.do === "clean" && services.includes(v.id));
    if (own.length < services.length) throw new Fault("services", "is not in the plan any more");
    return setLines(
      number,
      version,
      own.map((v) => serviceKey(v.id)),
      done,
      own.map((v) => v.note ?? "cleaned").join("; "),
    );
  });
}

const bareInput = z.object({ ...onJob });
/** Puts the cleanings that follow from what was found into the plan. */
export async function planCleaning(raw: z.infer<typeof bareInput>): Promise<ActionResult> {
  return act(bareInput, raw, async ({ number, version }) => {
    const job = thereIs(await loadJob(number), number);
    const plan = planOf(job);
    const lines = cleaningsFor(job, plan);
    if (!lines.length) {
      const closed = (job.chambers ?? [])
        .flatMap((c) =>
          job.services.some((v) => v.chamber === c.id) ? [] : (closedForCleaning(job, plan, c) ?? []),
        )
        .at(0);
      if (closed) throw new Fault("cleaning", closed);
      if (job.services.some((v) => v.do === "clean"))
        throw new Fault("cleaning", "all that follows from it is in the plan");
      throw new Fault(
        "cleaning",
        "no chamber says which step opened it, and no part that came off says what it is made of: say one of them",
      );
    }
    return addCleanings(number, version, lines);
  });
}

const cleanInput = z.object({ ...onJob, part: ref, method: z.enum(CLEANING_NAMES) });
/** How a part is cleaned. What attacks it is refused. */
export async function saveCleaning(raw: z.infer<typeof cleanInput>): Promise<ActionResult> {
  return act(cleanInput, raw, async ({ number, version, part, method }) => {
    const job = thereIs(await loadJob(number), number);
    const p = job.parts.find((x) => x.id === part);
    if (!p) throw new Fault("part", "is not among the job’s parts any more");
    const own = job.steps.find((s) => s.parts?.includes(part));
    if (!own) throw new Fault("part", "did not come off: it is cleaned with the chamber that it lies in");
    if (!offNow(job.steps, job.linesDone).includes(own.id))
      throw new Fault("part", `${partNamed(job, part)} is on again: take it off first`);
    const verdict = cleaningFor(p, job.greaseStates).find((m) => m.method === method);
    if (!verdict?.ok)
      throw new Fault("method", `${partNamed(job, part)}: ${verdict?.because ?? "not that way"}`);
    return addCleanings(number, version, [cleaningLine(part, partNamed(job, part), method)]);
  });
}

const blockInput = z.object({
  ...onJob,
  chamber: ref.nullable(),
  says: words.trim().min(3, "say what is blocked, and with what"),
});
/**
 * An opening is blocked before the washing: a step of its own, so that what was put in comes out again as a
 * line of the plan, and after the washing if that is planned already.
 */
export async function saveBlock(raw: z.infer<typeof blockInput>): Promise<ActionResult> {
  return act(blockInput, raw, async ({ number, version, chamber, says }) => {
    const job = thereIs(await loadJob(number), number);
    const within = job.chambers?.find((c) => c.id === chamber);
    if (chamber !== null && !within) throw new Fault("chamber", "is not among the job’s chambers any more");
    const blocked = await layDown(number, version, {
      action: "block",
      title: says,
      parts: [],
      hardware: [],
      needs: within?.openedBy ? [within.openedBy] : [],
    });
    if (!job.services.some((v) => v.chamber !== undefined && v.chamber === chamber)) return blocked;
    const now = thereIs(await loadJob(number), number);
    return addCleanings(
      number,
      blocked,
      cleaningsFor(now, planOf(now)).filter((c) => c.chamber === chamber),
    );
  });
}

const cleanMoveInput = z.object({ ...onJob, service: ref, before: ref });
/** A chamber is cleaned at another moment, at the latest before the first thing goes back into it. */
export async function moveCleaning(raw: z.infer<typeof cleanMoveInput>): Promise<ActionResult> {
  return act(cleanMoveInput, raw, async ({ number, version, service, before }) => {
    const job = thereIs(await loadJob(number), number);
    const plan = planOf(job);
    const chamber = job.chambers?.find((c) => c.id === job.services.find((v) => v.id === service)?.chamber);
    if (!chamber) throw new Fault("service", "is no cleaning of a chamber any more");
    const moments = cleaningMoments(job, plan, chamber);
    const moment = moments.find((m) => m.step === before);
    if (moment)
      return moveService(number, version, service, before, `${chamber.name} is cleaned ${moment.says}`);
    const last = moments.at(-1);
    throw new Fault(
      "before",
      closedForCleaning(job, plan, chamber) ??
        (last ? `it is cleaned at the latest ${last.says}` : "that step is not in the plan any more"),
    );
  });
}

const oneService = z.object({ ...onJob, service: ref });
export async function takeCleaningOut(raw: z.infer<typeof oneService>): Promise<ActionResult> {
  return act(oneService, raw, ({ number, version, service }) => dropService(number, version, service));
}
