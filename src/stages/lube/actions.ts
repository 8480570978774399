"use server";

import { z } from "zod";
import { Fault } from "@/core/fault";
import { planOf } from "@/core/gates/job-facts";
import { POINT_KIND_NAMES } from "@/core/grease/point-kinds";
import { chamberKind, chamberKindSays, chamberSchema, chamberTyped, dryPlace } from "@/core/job/chamber";
import { jobHead } from "@/core/job/job";
import { greaseKey } from "@/core/job/keys";
import { partName, partNamed } from "@/core/job/part";
import { pictureSpot } from "@/core/job/picture-spot";
import { lubePointSchema, weighedPointSchema } from "@/core/job/service";
import { note, ref, words } from "@/core/job/written";
import { placeKindOf } from "@/core/lube/places";
import { lubePlan } from "@/core/lube/plan";
import { chamberKindAround, openerBefore, openerOf, pointOn } from "@/core/lube/propose";
import { momentsFor, reachOf } from "@/core/lube/reach";
import { freeVolumeOf, makersGroundOf } from "@/core/lube/rooms";
import { makersSlip, type Slip, slipIn } from "@/core/lube/slips";
import { saidOf, wordsKept } from "@/core/lube/typed-words";
import { loadJob, thereIs } from "@/store/job";
import { setHead } from "@/store/jobs";
import {
  addChamber,
  addDry,
  addPoints,
  changeChamber,
  changePoint,
  dropChamber,
  dropDry,
  dropPoint,
  setNoGrease,
  takeLubricant,
  takeProposed,
  weighIn,
} from "@/store/lube";
import { greasesOnShelf } from "@/store/shelf";
import { type ActionResult, act } from "../saving/act";
import { onJob } from "../saving/action-input";
import { lastTime } from "./last-time";
import { MEANT } from "./meant";

const schoolInput = z.object({ ...onJob, school: jobHead.shape.fillSchool });
export async function saveSchool(raw: z.infer<typeof schoolInput>): Promise<ActionResult> {
  return act(schoolInput, raw, ({ number, version, school }) =>
    setHead(number, version, { fillSchool: school }, `grease charge: ${school} school`),
  );
}

const bareInput = z.object({ ...onJob });
/** Takes over the chambers that train and strip speak of. */
export async function saveProposed(raw: z.infer<typeof bareInput>): Promise<ActionResult> {
  return act(bareInput, raw, ({ number, version }) => takeProposed(number, version));
}

const makeInput = z.union([
  z
    .object({ ...onJob, kind: chamberKind, name: words.trim().optional(), spot: pictureSpot.optional() })
    .strict(),
  z.object({ ...onJob, part: ref }).strict(),
]);
/**
 * A chamber, made by one press, or where a picture was pointed at; around a part that came off, of a kind
 * that suits it and with a point on it. What opened it is proposed, and can be changed.
 */
export async function makeChamber(raw: z.infer<typeof makeInput>): Promise<ActionResult> {
  return act(makeInput, raw, async ({ number, version, ...asked }) => {
    const job = thereIs(await loadJob(number), number);
    if (!("part" in asked)) {
      // what is seen in a picture was laid open by the steps before it
      const picture = asked.spot && job.pictures.find((p) => p.name === asked.spot?.picture);
      if (asked.spot && !picture) throw new Fault("spot", "that picture is not among the job’s any more");
      const at = job.steps.findIndex((s) => picture?.step !== undefined && s.id === picture.step);
      const openedBy = at < 0 ? openerOf(job, undefined) : openerBefore(job, at);
      const alike = (job.chambers ?? []).filter((c) => c.kind === asked.kind).length;
      const called = chamberKindSays(asked.kind).toLowerCase();
      const name = asked.name || (alike ? `${called} ${alike + 1}` : called);
      // where nothing has come off, nothing closes over it
      const reached = openedBy ? { openedBy } : { outside: true };
      return addChamber(number, version, asked.kind, {
        name,
        ...reached,
        ...(asked.spot && { spot: asked.spot }),
      });
    }
    const part = job.parts.find((x) => x.id === asked.part);
    if (!part) throw new Fault("part", "is not among the job’s parts any more");
    const openedBy = openerOf(job, part.id);
    const opened = openedBy ? { openedBy } : {};
    const place = placeKindOf(part);
    return addChamber(
      number,
      version,
      chamberKindAround(part),
      { name: `around the ${partName(part)}`.slice(0, 80), ...opened },
      (id) => (place ? pointOn(job, { id, ...opened }, place, part.id, partName(part)) : null),
    );
  });
}

/** What can be said of a chamber; null takes it back. */
const facts = z
  .object({
    name: chamberSchema.shape.name,
    filling: chamberSchema.shape.filling.nullable(),
    levelPlug: z.boolean(),
    openedBy: ref.nullable(),
    outside: z.boolean(),
    volume: chamberSchema.shape.volume.nullable(),
    makersGrams: chamberSchema.shape.makersGrams.nullable(),
    makersSpread: chamberSchema.shape.makersSpread.nullable(),
    oldGrams: chamberSchema.shape.oldGrams.nullable(),
    lastUnit: chamberSchema.shape.lastUnit.nullable(),
    staysGrams: chamberSchema.shape.staysGrams.nullable(),
    makersLubricant: z.string().max(80).nullable(),
    /** how figures of these were typed, where that says more than the figure */
    typed: chamberTyped,
    coldestC: chamberSchema.shape.coldestC.nullable(),
    hottestC: chamberSchema.shape.hottestC.nullable(),
    leaks: z.boolean(),
    water: z.boolean(),
    seals: chamberSchema.shape.seals,
    materials: chamberSchema.shape.materials,
    old: chamberSchema.shape.old.nullable(),
  })
  .partial();
const chamberInput = z.object({ ...onJob, chamber: ref, facts });
export async function saveChamber(raw: z.infer<typeof chamberInput>): Promise<ActionResult> {
  return act(chamberInput, raw, async ({ number, version, chamber, facts }) => {
    const job = thereIs(await loadJob(number), number);
    const before = job.chambers?.find((c) => c.id === chamber);
    if (!before) throw new Fault("chamber", "is not among the job’s chambers any more");
    const reached = facts.outside
      ? { openedBy: undefined }
      : facts.openedBy !== undefined
        ? { outside: undefined }
        : {};
    const changed = Object.keys(facts).filter((k) => k !== "typed");
    const said = {
      ...Object.fromEntries(Object.entries(facts).map(([k, v]) => [k, v ?? undefined])),
      ...reached,
      typed: wordsKept(before.typed, facts.typed, changed),
    };
    if (facts.openedBy && !job.steps.some((x) => x.id === facts.openedBy && x.action !== "note"))
      throw new Fault("openedBy", "is not on the Mat any more");
    const now = chamberSchema.parse({ ...before, ...said });
    if (now.coldestC !== undefined && now.hottestC !== undefined && now.coldestC >= now.hottestC)
      throw new Fault(
        facts.coldestC === undefined ? "hottestC" : "coldestC",
        "the coldest must lie below the hottest",
      );
    const slip = now.makersGrams === undefined ? null : makersSlip(now.makersGrams, makersGroundOf(job, now));
    if (slip) throw new Fault(facts.makersGrams === undefined ? "volume" : "makersGrams", slip);
    return changeChamber(number, version, chamber, said, saidOf(changed, facts.typed));
  });
}

const oneChamber = z.object({ ...onJob, chamber: ref });
export async function takeChamberAway(raw: z.infer<typeof oneChamber>): Promise<ActionResult> {
  return act(oneChamber, raw, ({ number, version, chamber }) => dropChamber(number, version, chamber));
}

const noneInput = z.object({ ...onJob, chamber: ref, why: note.min(3, "say in a few words why").nullable() });
/** Why a chamber gets no lubricant; null: that is open again. */
export async function saveNone(raw: z.infer<typeof noneInput>): Promise<ActionResult> {
  return act(noneInput, raw, ({ number, version, chamber, why }) =>
    changeChamber(
      number,
      version,
      chamber,
      { none: why ?? undefined, ...(why ? { lubricant: undefined, override: undefined } : {}) },
      why ? `no lubricant, ${why}` : "open again",
    ),
  );
}

const takeInput = z.object({
  ...onJob,
  chamber: ref,
  lubricant: words,
  override: note.min(8, "say in a sentence why it goes in all the same: it stands on the sheet").optional(),
});
/**
 * Takes a lubricant for a chamber. What a hard rule forbids is refused; only for food is there an override,
 * with its reason in writing.
 */
export async function takeLube(raw: z.infer<typeof takeInput>): Promise<ActionResult> {
  return act(takeInput, raw, async ({ number, version, chamber, lubricant, override }) => {
    const job = thereIs(await loadJob(number), number);
    const shelf = await greasesOnShelf();
    const chosen = shelf.find((l) => l.id === lubricant);
    if (!chosen) throw new Fault("lubricant", "is not on the shelf");
    const as = {
      ...job,
      chambers: (job.chambers ?? []).map((c) => (c.id === chamber ? { ...c, lubricant, override } : c)),
    };
    const plan = lubePlan(as, shelf).find((p) => p.chamber.id === chamber);
    if (!plan)
      throw new Fault(
        "points",
        "say first where in this chamber it goes: which places decide what may go there",
      );
    if (plan.fault) throw new Fault("makersGrams", plan.fault);
    const verdict = plan.answer?.verdicts.find((v) => v.lubricant === lubricant);
    const against = verdict?.reasons.filter((r) => r.hard && r.against) ?? [];
    if (against.length)
      throw new Fault("lubricant", `${chosen.name}: ${against.map((r) => r.says).join("; ")}`);
    return takeLubricant(number, version, chamber, chosen, override);
  });
}

const noGreaseInput = z.object({
  ...onJob,
  why: jobHead.shape.noGrease.unwrap().min(3, "say in a few words why").nullable(),
});
/** Says why nothing in the unit is lubricated; null: that is open again. */
export async function saveNoGrease(raw: z.infer<typeof noGreaseInput>): Promise<ActionResult> {
  return act(noGreaseInput, raw, ({ number, version, why }) => setNoGrease(number, version, why));
}

const addInput = z.object({
  ...onJob,
  chamber: ref,
  kind: z.enum(POINT_KIND_NAMES),
  part: ref.optional(),
  wheel: lubePointSchema.shape.wheel,
  spot: lubePointSchema.shape.spot,
  where: words.trim().optional(),
});
/**
 * A point: on a part, on a wheel of the train, or where a picture was pointed at. One that is closed over
 * already is refused.
 */
export async function addPoint(raw: z.infer<typeof addInput>): Promise<ActionResult> {
  return act(addInput, raw, async ({ number, version, chamber, kind, part, wheel, spot, where }) => {
    const job = thereIs(await loadJob(number), number);
    const at = job.chambers?.find((c) => c.id === chamber);
    if (!at) throw new Fault("chamber", "is not among the job’s chambers any more");
    const says = where || (part ? partNamed(job, part) : "");
    if (!says) throw new Fault("where", "say where it is");
    const point = pointOn(job, at, kind, part, says);
    if (!point)
      throw new Fault(
        "openedBy",
        "say first, under What it is, which step laid this chamber open, or that it is reached from outside: otherwise the plan cannot say until when it is reached",
      );
    const whole = { ...point, ...(wheel && { wheel }), ...(spot && { spot }) };
    const { closed } = reachOf(job, planOf(job), greaseKey("new"), { id: "new", ...whole });
    if (closed) throw new Fault("where", `${says}: ${closed}`);
    return addPoints(number, version, [whole]);
  });
}

const dryInput = z.object({ ...onJob, chamber: ref, says: dryPlace.shape.says, spot: dryPlace.shape.spot });
/** A place that this chamber’s lubricant must stay away from. */
export async function addDryPlace(raw: z.infer<typeof dryInput>): Promise<ActionResult> {
  return act(dryInput, raw, ({ number, version, chamber, ...place }) =>
    addDry(number, version, chamber, place),
  );
}

const oneDry = z.object({ ...onJob, chamber: ref, place: ref });
export async function takeDryOff(raw: z.infer<typeof oneDry>): Promise<ActionResult> {
  return act(oneDry, raw, ({ number, version, chamber, place }) => dropDry(number, version, chamber, place));
}

const pointInput = z.object({
  ...onJob,
  point: ref,
  facts: lubePointSchema
    .pick({
      kind: true,
      where: true,
      how: true,
      load: true,
      rpm: true,
      bearing: true,
      pitchLineMPerS: true,
      materials: true,
    })
    .partial()
    .extend({
      grams: weighedPointSchema.shape.grams.unwrap().nullable().optional(),
      /** an amount that seems a slip is meant all the same */
      sure: z.boolean().optional(),
      /** named by hand; null: by the chamber again */
      lubricant: words.trim().min(2, "say which").nullable().optional(),
    }),
});
/** What is said of a point. An amount that was said is not worked out any more; null: it is again. */
export async function savePoint(raw: z.infer<typeof pointInput>): Promise<ActionResult> {
  return act(
    pointInput,
    raw,
    async ({ number, version, point, facts: { grams, sure, lubricant, ...facts } }) => {
      const job = thereIs(await loadJob(number), number);
      const before = job.lubePoints.find((g) => g.id === point);
      if (!before) throw new Fault("point", "is not among the points any more");
      if (grams) refuseSlip(slipIn(grams, await groundOf(job, before)), sure);
      if (lubricant && job.foodContact)
        throw new Fault(
          "lubricant",
          "this unit touches food: only what the shelf says is registered H1 goes in. Put it on the shelf first",
        );
      // what was worked out for the chamber's lubricant says nothing of another
      const own = before.gramsSaid ? {} : { grams: null };
      const named =
        lubricant === undefined
          ? {}
          : {
              lubricant,
              ...own,
              lubricantId: undefined,
              lubricantSaid: lubricant === null ? undefined : true,
            };
      const amount = grams === undefined ? {} : { grams, gramsSaid: grams === null ? undefined : true };
      return changePoint(
        number,
        version,
        point,
        { ...facts, ...named, ...amount },
        grams ? `${grams} g said` : (lubricant ?? "said anew"),
      );
    },
  );
}

const moveInput = z.object({
  ...onJob,
  point: ref,
  before: z.union([z.enum(["before-fit", "after-fit"]), ref]),
});
/** Puts a point before another step's going back, or back to the fitting of its part. */
export async function movePoint(raw: z.infer<typeof moveInput>): Promise<ActionResult> {
  return act(moveInput, raw, async ({ number, version, point, before }) => {
    const job = thereIs(await loadJob(number), number);
    const g = job.lubePoints.find((x) => x.id === point);
    if (!g) throw new Fault("point", "is not among the points any more");
    const part = g.part ?? g.onPart;
    if (before === "before-fit" || before === "after-fit") {
      if (!part || !job.steps.some((s) => s.parts?.includes(part)))
        throw new Fault("before", "this point is on no part that came off");
      return changePoint(
        number,
        version,
        point,
        { part, onPart: undefined, reachedBy: null, when: before },
        `${before === "before-fit" ? "before" : "after"} its part is fitted`,
      );
    }
    const moment = momentsFor(job, planOf(job), g).find((m) => m.step === before);
    if (!moment) {
      const { last, closed } = reachOf(job, planOf(job), greaseKey(point), g);
      throw new Fault(
        "before",
        closed ??
          (last
            ? `it can be reached until line ${last.line}: ${last.says}`
            : "that step is not in the plan any more"),
      );
    }
    return changePoint(
      number,
      version,
      point,
      { reachedBy: before, part: null, when: null, onPart: part },
      moment.says,
    );
  });
}

const onePoint = z.object({ ...onJob, point: ref });
export async function takePointOff(raw: z.infer<typeof onePoint>): Promise<ActionResult> {
  return act(onePoint, raw, ({ number, version, point }) => dropPoint(number, version, point));
}

type LoadedJob = NonNullable<Awaited<ReturnType<typeof loadJob>>>;
/** What a weight at a point is held against. */
async function groundOf(job: LoadedJob, g: LoadedJob["lubePoints"][number]) {
  const chamber = job.chambers?.find((c) => c.id === g.chamber);
  const density = (await greasesOnShelf()).find((l) => l.id === g.lubricantId)?.densityGPerMl;
  return {
    aim: g.gramsSaid ? undefined : g.grams,
    freeVolumeMl: chamber && freeVolumeOf(job, chamber),
    densityGPerMl: density,
    before: await lastTime(job, g),
  };
}

/** Refuses what cannot be, and asks about what is odd until somebody is sure of it. */
function refuseSlip(slip: Slip | null, sure: boolean | undefined): void {
  if (slip && !(slip.mayBeMeant && sure)) throw new Fault(slip.mayBeMeant ? MEANT : "grams", slip.says);
}

const weighInput = z.object({
  ...onJob,
  point: ref,
  grams: weighedPointSchema.shape.weighedGrams.unwrap().nullable(),
  sure: z.boolean().optional(),
});
/** Weighs a lubricant in. A slip of units is refused with a question; so is a place that is closed over. */
export async function weigh(raw: z.infer<typeof weighInput>): Promise<ActionResult> {
  return act(weighInput, raw, async ({ number, version, point, grams, sure }) => {
    const job = thereIs(await loadJob(number), number);
    const g = job.lubePoints.find((x) => x.id === point);
    if (!g) throw new Fault("point", "is no point of this job any more");
    if (!g.lubricant) throw new Fault("grams", "choose the lubricant first");
    const { closed } = reachOf(job, planOf(job), greaseKey(point), g);
    if (closed && grams !== null) throw new Fault("grams", closed);
    if (grams !== null) refuseSlip(slipIn(grams, { ...(await groundOf(job, g)), aim: g.grams }), sure);
    return weighIn(number, version, point, grams);
  });
}
