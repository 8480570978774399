"use server";

import { z } from "zod";
import { Fault } from "@/core/fault";
import { factsOf } from "@/core/gates/job-facts";
import { openGates } from "@/core/gates/open-gates";
import { type FinalCheck, figureFault, limitInWords, type ReadAtUnit } from "@/core/hand-back/final-check";
import { finalChecks, mayNotApply } from "@/core/hand-back/final-checks";
import { instrumentFor, instrumentKey } from "@/core/hand-back/instruments";
import { runTime } from "@/core/hand-back/run-checks";
import type { Answer } from "@/core/job/answer";
import { goingHomeSchema, signatureSchema } from "@/core/job/going-home";
import { DOES_NOT_APPLY, finalKey } from "@/core/job/keys";
import { ownTests } from "@/core/job/own-tests";
import { note, ref } from "@/core/job/written";
import { minutesInWords } from "@/core/order/running-waits";
import { backToStage } from "@/store/endings";
import { openJobAgain, setGoingHome, setOwnTests } from "@/store/hand-back";
import { loadJob, thereIs } from "@/store/job";
import { setHead } from "@/store/jobs";
import { setAnswer } from "@/store/rebuild";
import { rememberInstrument, rememberTests, shopSettings } from "@/store/settings";
import { beforeItRuns } from "../job-view/waits-now";
import { type ActionResult, act, actAtDesk } from "../saving/act";
import { onJob } from "../saving/action-input";

const input = z.object({
  ...onJob,
  check: ref,
  value: z.number("must be a figure").optional(),
  note: note.optional(),
  /** left out: the one that is proposed */
  instrument: note.optional(),
  /** of a check that has choices: which, of each */
  ends: z.record(z.string(), ref).optional(),
  /** how long it has run, minutes, where that was before it was asked */
  ran: z.number("must be a figure").optional(),
  back: z.boolean().optional(),
});

/** Answers one of the last checks; a measured one with its figure, which must keep its limit. */
export async function answerCheck(raw: z.infer<typeof input>): Promise<ActionResult> {
  return actAtDesk(
    input,
    raw,
    async ({ number, version, check, value, note: measured, instrument, ends, ran, back }) => {
      const job = thereIs(await loadJob(number), number);
      const { electrical, instruments } = await shopSettings();
      const checks = finalChecks(job, electrical);
      const asked = checks.find((c) => c.check === check);
      if (!asked) throw new Fault("check", "this unit is not asked that");
      if (job.handedBackAt !== undefined)
        throw new Fault("check", "the unit went home: open the job again first");
      if (back)
        return setAnswer(number, version, finalKey(check), null, `final check reopened: ${asked.asks}`);
      const [cure] = asked.runs ? beforeItRuns(job) : [];
      if (cure)
        throw new Fault(
          "check",
          `${cure.why}. ${minutesInWords(cure.minutesLeft)} are left: wait, or say that it has set`,
        );
      if (asked.unit) {
        if (value === undefined) throw new Fault("value", `give the figure in ${asked.unit}`);
        const fault = figureFault(asked, value);
        if (fault) throw new Fault("value", fault);
      }
      const hasRun = ranLongEnough(asked, checks, job.answers, ran);
      const said = endsOf(asked, ends);
      if (said)
        version = await setGoingHome(
          number,
          version,
          { ends: { ...job.home?.ends, ...said.ends } },
          said.says,
        );
      // what was not measured had no instrument
      const by =
        !asked.may || measured?.trim()
          ? (instrument ?? instrumentFor(asked, electrical, instruments)).trim()
          : "";
      const of = instrumentKey(asked);
      if (by && of && instrument !== undefined && instrument !== instruments[of])
        await rememberInstrument(of, by);
      return setAnswer(
        number,
        version,
        finalKey(check),
        // the limit that it was held against, and by what: both may change later
        {
          answer: said?.answer ?? "yes",
          value,
          unit: asked.unit,
          ...noteOf(asked, [measured?.trim(), hasRun].filter(Boolean).join("; ")),
          ...(by ? { instrument: by } : {}),
        },
        [
          `final check: ${asked.asks} ${said?.says ?? (value === undefined ? "yes" : `${value} ${asked.unit}`)}`,
          measured,
        ]
          .filter(Boolean)
          .join(": "),
      );
    },
  );
}

/**
 * What became of each, checked against what is asked.
 *
 * @throws Fault naming what nobody said yet
 */
function endsOf(
  { choices, each, agreed }: FinalCheck,
  ends: Readonly<Record<string, string>> = {},
): { readonly ends: Record<string, string>; readonly answer: string; readonly says: string } | undefined {
  if (!choices || !each) return undefined;
  const said = each.map(({ item, says }) => ({
    item,
    says,
    end: choices.find((c) => c.answer === (ends[item] ?? agreed)),
  }));
  const open = said.filter((s) => !s.end).map((s) => s.says);
  if (open.length) throw new Fault("ends", `not said yet: ${open.join(", ")}`);
  const kinds = new Set(said.map((s) => s.end?.answer ?? ""));
  return {
    ends: Object.fromEntries(said.map((s) => [s.item, s.end?.answer ?? ""])),
    answer: kinds.size === 1 ? ([...kinds][0] ?? "") : "each",
    says: said.map((s) => `${s.says}: ${s.end?.says}`).join("; "),
  };
}

const MOST_RUN = 24 * 60;
/**
 * How long it ran, where somebody said that it had run before it was asked.
 *
 * @throws Fault while a run that is asked for cannot have ended yet
 */
function ranLongEnough(
  asked: FinalCheck,
  checks: readonly FinalCheck[],
  answers: readonly Answer[],
  ran: number | undefined,
): string | undefined {
  if (asked.minutes === undefined) return undefined;
  if (ran !== undefined) {
    if (!Number.isFinite(ran) || ran < asked.minutes)
      throw new Fault("ran", `it is asked to run ${asked.minutes} min`);
    if (ran > MOST_RUN) throw new Fault("ran", "say it in minutes: a day has 1440");
    return `ran ${ran} min`;
  }
  const at = (c: FinalCheck): string | undefined => answers.find((a) => a.question === finalKey(c.check))?.at;
  const time = runTime(asked, checks, at, new Date().toISOString());
  if (time)
    throw new Fault(
      "ran",
      `it cannot have run ${asked.minutes} min yet: ${secondsInWords(time.minutesLeft)} are left. ` +
        "If it ran before, say for how long",
    );
  return undefined;
}
const secondsInWords = (minutes: number): string =>
  minutes < 1 ? `${Math.ceil(60 * minutes)} s` : `${Math.ceil(minutes)} min`;

/** The limit beside a figure, or what somebody measured besides a yes. */
function noteOf(asked: FinalCheck, measured: string | undefined): { note?: string } {
  const said = [
    asked.unit && (asked.min !== undefined || asked.max !== undefined) ? limitInWords(asked) : undefined,
    measured?.trim(),
  ].filter(Boolean);
  return said.length ? { note: said.join("; ") } : {};
}

const leftOutInput = z.object({ ...onJob, check: ref, why: note.min(3, "say why it is left out") });
/** A last check is left out, with its reason: it stands on the sheet. An electrical test never is. */
export async function leaveOut(raw: z.infer<typeof leftOutInput>): Promise<ActionResult> {
  return act(leftOutInput, raw, async ({ number, version, check, why }) => {
    const job = thereIs(await loadJob(number), number);
    const asked = finalChecks(job, (await shopSettings()).electrical).find((c) => c.check === check);
    if (!asked) throw new Fault("check", "this unit is not asked that");
    if (asked.never)
      throw new Fault("why", "an electrical test is not left out: without it the unit must not go out");
    return setAnswer(
      number,
      version,
      finalKey(check),
      { answer: "left out", note: why },
      `final check left out, ${asked.asks.replace(/[?:].*$/, "")}: ${why}`,
    );
  });
}

const notHereInput = z.object({ ...onJob, check: ref });
/** A last check asks of something that this unit does not have: it is answered so. */
export async function finalDoesNotApply(raw: z.infer<typeof notHereInput>): Promise<ActionResult> {
  return act(notHereInput, raw, async ({ number, version, check }) => {
    const job = thereIs(await loadJob(number), number);
    const asked = finalChecks(job, (await shopSettings()).electrical).find((c) => c.check === check);
    if (!asked) throw new Fault("check", "this unit is not asked that");
    if (job.handedBackAt !== undefined)
      throw new Fault("check", "the unit went home: open the job again first");
    if (!mayNotApply(asked)) throw new Fault("check", "applies to this unit: answer it");
    return setAnswer(
      number,
      version,
      finalKey(check),
      { answer: DOES_NOT_APPLY },
      `does not apply: ${asked.asks}`,
    );
  });
}

const failedInput = z.object({
  ...onJob,
  check: ref,
  says: note.min(3, "say in a few words what is wrong"),
  /** where it leads back to; null: it is only written down, and the check stays open */
  to: z.enum(["rebuild", "judge"]).nullable(),
});
/**
 * A last check is answered with no: written down, and the job goes back to where it is put right. What was
 * tried before it was opened again is tried again.
 */
export async function failCheck(raw: z.infer<typeof failedInput>): Promise<ActionResult> {
  return act(failedInput, raw, async ({ number, version, check, says, to }) => {
    const job = thereIs(await loadJob(number), number);
    const asked = finalChecks(job, (await shopSettings()).electrical).find((c) => c.check === check);
    if (!asked) throw new Fault("check", "this unit is not asked that");
    if (job.handedBackAt !== undefined) throw new Fault("check", "the unit went home already");
    const failed = `final check failed, ${asked.asks.replace(/[?:].*$/, "")}: ${says}`;
    return to === null ? setHead(number, version, {}, failed) : backToStage(number, version, to, failed);
  });
}

const testsInput = z.object({ ...onJob, tests: ownTests });
/**
 * What this unit, and every next of its kind, has to do before it goes home. An answer to one that is changed
 * is asked anew.
 */
export async function sayOwnTests(raw: z.infer<typeof testsInput>): Promise<ActionResult> {
  return act(testsInput, raw, async ({ number, version, tests }) => {
    const job = thereIs(await loadJob(number), number);
    await rememberTests(job.kind, tests);
    return setOwnTests(
      number,
      version,
      tests,
      `what every ${job.kind} has to do: ${tests.map((t) => t.asks).join("; ") || "nothing of its own"}`,
    );
  });
}

const bare = z.object(onJob);

/** The unit goes home. Refused while anything is open. */
export async function handBack(raw: z.infer<typeof bare>): Promise<ActionResult> {
  return actAtDesk(bare, raw, async ({ number, version }) => {
    const job = thereIs(await loadJob(number), number);
    const facts = factsOf(job);
    const open = [...openGates("rebuild", facts), ...openGates("hand-back", facts)];
    if (job.handedBackAt !== undefined)
      throw new Fault("stage", `it went home on ${job.handedBackAt.slice(0, 10)}`);
    if (job.stage !== "hand-back") throw new Fault("stage", "the job has not come to Hand back yet");
    if (open[0]) throw new Fault("stage", open[0].says);
    return setHead(number, version, { handedBackAt: new Date().toISOString() }, "handed back");
  });
}

const nextLookInput = z.object({ ...onJob, says: note });
/**
 * When it should be looked at next, in the technician's own words; empty: what the cause and the use suggest.
 */
export async function sayNextLook(raw: z.infer<typeof nextLookInput>): Promise<ActionResult> {
  return act(nextLookInput, raw, async ({ number, version, says }) =>
    setGoingHome(
      number,
      version,
      { nextLook: says.trim() || undefined },
      says.trim() ? `next look: ${says.trim()}` : "next look as suggested",
    ),
  );
}

const signInput = z.object({ ...onJob, signature: signatureSchema.omit({ at: true }) });
/** The customer signs for the unit on the screen. */
export async function sign(raw: z.infer<typeof signInput>): Promise<ActionResult> {
  return actAtDesk(signInput, raw, async ({ number, version, signature }) =>
    setGoingHome(
      number,
      version,
      { signature: { ...signature, at: new Date().toISOString() }, notSigned: undefined },
      "signed for",
    ),
  );
}

const unsignedInput = z.object({ ...onJob, why: note.min(3, "say in a few words why it is not signed") });
/** It goes home without a signature, with the reason. */
export async function notSigned(raw: z.infer<typeof unsignedInput>): Promise<ActionResult> {
  return actAtDesk(unsignedInput, raw, async ({ number, version, why }) =>
    setGoingHome(number, version, { signature: undefined, notSigned: why }, `not signed: ${why}`),
  );
}

const againInput = z.object({ ...onJob, why: note.min(3, "say in a few words why it is opened again") });
/** A unit that went home is on the bench again. */
export async function openAgain(raw: z.infer<typeof againInput>): Promise<ActionResult> {
  return actAtDesk(againInput, raw, async ({ number, version, why }) => openJobAgain(number, version, why));
}

const FACTS = {
  plateA: { unit: "A", says: (x: number) => `the plate says ${x} A` },
  plateRpm: { unit: "rpm", says: (x: number) => `the plate says ${x} rpm` },
  cordM: { unit: "m", says: (x: number) => `its cord is ${x} m long` },
  heaterKw: { unit: "kW", says: (x: number) => `${x} kW of heating` },
} as const satisfies Readonly<Record<ReadAtUnit, unknown>>;
const factInput = z.object({
  ...onJob,
  fact: z.enum(["plateA", "plateRpm", "cordM", "heaterKw"]),
  figure: z.string(),
});
/** A figure that is read at the unit: from then on the limit goes by it. */
export async function sayFact(raw: z.infer<typeof factInput>): Promise<ActionResult> {
  return act(factInput, raw, async ({ number, version, fact, figure }) => {
    const value = Number(figure.trim().replace(",", "."));
    if (figure.trim() === "" || !Number.isFinite(value))
      throw new Fault("figure", `write it as a figure, in ${FACTS[fact].unit}`);
    const said = goingHomeSchema.shape[fact].safeParse(value);
    if (!said.success) throw new Fault("figure", said.error.issues[0]?.message ?? "cannot be");
    return setGoingHome(number, version, { [fact]: value }, FACTS[fact].says(value));
  });
}
