import { thinnedBy } from "@/core/gear/as-made";
import {
  type CrossedAnswer,
  crossedPairOf,
  type Gear,
  type PairAnswer,
  type PairGear,
  pairOf,
  type ToothLoss,
  tipDiameterFromFlatJaws,
  toothLoss,
} from "@/core/gear/index";
import type { GearIdentity, GearNotes } from "@/core/job/gear-notes";
import type { Job } from "@/core/job/job";
import { partName } from "@/core/job/part";
import { type PairRule, pairRule } from "@/core/judge/failure-modes";
import type { Measured } from "@/core/quantity/measured";
import { makingOf, meanReadings, notesOf } from "./gear-readings";

/**
 * The gear that a gear meets: what it has lost, whether and how the two mesh, and what renewing only one
 * would mean.
 */
export interface MateView {
  readonly name: string;
  readonly loss: ToothLoss | null;
  readonly answer: PairAnswer | null;
  /** instead of it where their shafts cross */
  readonly crossed?: CrossedAnswer;
  readonly rule: PairRule;
}

/** What was typed in once as the mate's loss is as good as a caliper. */
const LEGACY_U = 0.03;

/** @param gear the part's own numbers, as far as it was named; null: it has none that mesh */
export function mateView(job: Job, id: string, gear: Gear | null): MateView {
  const notes = notesOf(job, id);
  const own = meanReadings(job.readings, id);
  const part = job.parts.find((p) => p.id === notes.mate);
  if (notes.kind === "bevel")
    return { name: part?.name ?? "its mate", loss: null, answer: null, rule: bevelRule(notes.bevelTeeth) };
  const legacy = own.find((m) => m.what === "mate span loss")?.value;
  if (!part || !gear)
    return {
      name: part?.name ?? "its mate",
      loss: null,
      answer: null,
      rule: pairRule(legacy === undefined ? undefined : { value: legacy, u: LEGACY_U }, gear?.moduleMm ?? 1),
    };
  const finding = job.findings.find((f) => f.part === part.id);
  const theirs = notesOf(job, part.id);
  const means = meanReadings(job.readings, part.id);
  const teeth = theirs.teeth ?? finding?.identity?.teeth ?? notes.mateTeeth;
  if (!teeth || teeth < 4)
    return { name: partName(part), loss: null, answer: null, rule: pairRule(undefined, gear.moduleMm) };
  // a mate has its pair's tooth; its own name, where it has one, tells whether that is so
  const { profileShift: _, addendum: __, ...tooth } = gear;
  const base: Gear = finding?.identity ?? { ...tooth, teeth, profileShift: 0 };
  const spans = means
    .filter((m) => m.what === "span" && m.teeth !== undefined)
    .map((m) => ({ teeth: m.teeth as number, value: m.value, u: m.u }));
  const tip = means.find((m) => m.what === "tip diameter");
  const overTips = tip && tipDiameterFromFlatJaws(tip, base);
  const { making } = makingOf(job, part.id);
  const loss = toothLoss(base, spans, {
    tip: overTips,
    tipsWorn: theirs.tipsWorn,
    making,
    shiftKnown: finding?.identity !== undefined,
  });
  const centre = own.find((m) => m.what === "centre distance");
  const crossing = notes.kind === "helical" ? notes.shaftAngleDeg : undefined;
  const mate: PairGear = {
    ...base,
    ...openOf(finding?.identity),
    profileShift: loss?.profileShift ?? base.profileShift,
    // on parallel shafts the mate of a left-hand gear is right; where they cross it may be either
    hand:
      theirs.hand ??
      (crossing ? undefined : notes.hand === "left" ? "right" : notes.hand === "right" ? "left" : undefined),
    ...thinned(base.moduleMm, making, loss),
    ...(overTips ? { tipMm: overTips.value } : {}),
    ...faceOf(job, part.id),
  };
  // the other is looked at as a new one of its kind: it failed, and goes back new
  const fresh: PairGear = {
    ...gear,
    ...openOf(job.findings.find((f) => f.part === id)?.identity),
    hand: notes.hand,
    ...thinned(gear.moduleMm, makingOf(job, id).making, null),
    ...faceOf(job, id),
  };
  const at = centre && { value: centre.value, u: centre.u };
  if (crossing !== undefined) {
    // the mate's slant is another one: it stands for nothing until that gear is named
    if (!finding?.identity)
      return { name: partName(part), loss: null, answer: null, rule: pairRule(undefined, gear.moduleMm) };
    return {
      name: partName(part),
      loss,
      answer: null,
      crossed: crossedPairOf(fresh, mate, crossing, at),
      rule: pairRule(loss ?? undefined, gear.moduleMm),
    };
  }
  const answer = pairOf(fresh, mate, at);
  return { name: partName(part), loss, answer, rule: pairRule(loss ?? undefined, gear.moduleMm) };
}

/** Bevels are made in pairs: lapped together, and set to one another by shims. */
function bevelRule(teeth: GearNotes["bevelTeeth"]): PairRule {
  const lapped = teeth === "spiral" || teeth === "zerol";
  return {
    mate: "not measured",
    renewBoth: true,
    says: lapped
      ? "Curved bevels are lapped as a set and marked alike: one alone is never renewed. Note the shims on both sides, and set the new pair by its contact pattern."
      : "Bevels are mostly sold and lapped as a pair: renew both. Note the shims on both sides, and set the new pair by its contact pattern.",
  };
}

/** What is left open of a gear that was named. */
const openOf = (identity: GearIdentity | undefined): Pick<PairGear, "helixU" | "shiftU"> => ({
  helixU: identity?.helixU,
  shiftU: identity?.shiftU,
});

/** By how much its spans are low: thinned as it was made, and worn beside that. */
function thinned(
  moduleMm: number,
  making: Parameters<typeof thinnedBy>[1],
  loss: Measured | null,
): Pick<PairGear, "spanLossMm" | "spanLossU"> {
  const asMade = thinnedBy(moduleMm, making);
  return { spanLossMm: asMade.value + Math.max(0, loss?.value ?? 0), spanLossU: loss?.u ?? asMade.u };
}

function faceOf(job: Job, id: string): Pick<PairGear, "faceWidthMm"> {
  const face = meanReadings(job.readings, id).find((m) => m.what === "face width")?.value;
  return face === undefined ? {} : { faceWidthMm: face };
}
