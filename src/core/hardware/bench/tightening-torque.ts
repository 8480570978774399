import { z } from "zod";
import { Fault } from "../../fault";
import type { Frozen } from "../../frozen";
import { NM_PER } from "../../quantity/units";
import { lockerCure, lockerRefused } from "./locker";
import { stressArea, type Thread, threadNamed } from "./threads";

/**
 * Proof stress σ_p, MPa: ISO 898-1 (8.8 up to M16), ISO 3506-1 (A2, A4: R_p0.2), SAE J429 for inch screws.
 */
const PROOF = {
  "4.8": 310,
  "8.8": 580,
  "10.9": 830,
  "12.9": 970,
  "A2-70": 450,
  "A4-80": 600,
  "SAE 2": 379,
  "SAE 5": 586,
  "SAE 8": 827,
} as const;
export type Grade = keyof typeof PROOF;
export const GRADES = Object.keys(PROOF) as [Grade, ...Grade[]];

/** What a screw goes into, and what it is called in a sentence. */
const INTO = {
  plastic: "plastic",
  "brass-insert": "a brass insert",
  aluminium: "aluminium",
  zinc: "die-cast zinc",
  magnesium: "magnesium",
  steel: "steel",
} as const;
export type ScrewInto = keyof typeof INTO;
export const SCREW_INTO = Object.keys(INTO) as [ScrewInto, ...ScrewInto[]];

export const torqueInput = z.strictObject({
  thread: z.string().min(1, "say which thread, like M4 or ST3.5"),
  /** property class of the screw */
  grade: z.enum(GRADES, { error: `is none of ${GRADES.join(", ")}` }).optional(),
  into: z.enum(SCREW_INTO, { error: `is none of ${SCREW_INTO.join(", ")}` }),
  /** oil, grease or thread locker on the thread */
  oiled: z.boolean().optional(),
  makersNm: z.number().positive("a torque is above 0").optional(),
  /** by angle: so many degrees past snug, or past the maker's figure */
  makersAngleDeg: z
    .number()
    .positive("an angle is above 0°")
    .max(360, "is more than a whole turn")
    .optional(),
});
export type TorqueInput = Frozen<z.infer<typeof torqueInput>>;

export interface TorqueAnswer {
  /** null: there is no figure to be had, go by feel */
  readonly torqueNm: number | null;
  readonly school: "maker" | "angle" | "figure" | "capped" | "feel";
  readonly reasons: readonly { readonly rule: string; readonly says: string }[];
  /** what is asked before anybody goes by it */
  readonly doubt?: string;
}

/** What a boss or an insert stands, N m: the weaker side decides. */
const BOSS: Readonly<Record<string, number>> = {
  "M2.5": 0.3,
  M3: 0.5,
  M4: 1.2,
  M5: 2,
  "ST2.9": 0.6,
  "ST3.5": 1,
  "ST4.2": 1.6,
};

/**
 * A machine thread cut straight into plastic has the plastic's shear strength where an insert spreads the
 * pull over its knurl: about half.
 */
const BARE_PLASTIC_SHARE = 0.5;

/**
 * A soft thread strips before a strong screw yields. Usual practice takes four fifths in aluminium; zinc die
 * castings are as strong in shear (about 200 MPa) but creep, magnesium (AZ91: 140 MPa) has seven tenths of
 * it.
 */
const SOFT_METAL: Partial<Record<ScrewInto, { readonly share: number; readonly says: string }>> = {
  aluminium: { share: 0.8, says: "four fifths of it" },
  zinc: { share: 0.8, says: "four fifths of it, and it creeps: what was tight is looser next year" },
  magnesium: {
    share: 0.56,
    says: "a little over half of it; a bare steel screw corrodes there: plated, or with an aluminium washer",
  },
};

/**
 * A maker's figure so many times what the thread itself stands, or so small a part of it, is asked about: it
 * may be of another unit.
 */
const ODD_ABOVE = 3;
const ODD_BELOW = 0.1;
/** What a figure may have been meant in, the likeliest first. */
const MEANT_IN = ["in-lb", "N cm", "kgf cm"] as const;

/**
 * A torque in the other units that stand on drivers.
 *
 * @example inOtherUnits(1.2) // "120 N cm · 10.6 in-lb"
 */
export const inOtherUnits = (nm: number): string =>
  `${Math.round(nm / NM_PER["N cm"])} N cm · ${(nm / NM_PER["in-lb"]).toFixed(1)} in-lb`;

/** T = K d F with F = 0.75 σ_p A_s, N m; K 0.20 dry, 0.16 oiled or with locker. */
function byFormula(
  thread: Thread,
  grade: Grade,
  oiled: boolean,
): { readonly nm: number; readonly says: string } {
  const k = oiled ? 0.16 : 0.2;
  const clampN = 0.75 * PROOF[grade] * stressArea(thread);
  const nm = (k * thread.diameterMm * clampN) / 1000;
  const area = stressArea(thread).toFixed(1);
  return {
    nm,
    says: `${oiled ? "oiled or with locker, K 0.16" : "dry, K 0.20"}; F = 0.75 × ${PROOF[grade]} MPa × ${area} mm² = ${Math.round(clampN)} N: ${nm.toFixed(1)} N m`,
  };
}

/** Where a screw's strength is marked. */
const LOOK_FOR: Readonly<Partial<Record<Thread["system"], string>>> = {
  unified: "look at the head for three lines (SAE 5) or six (SAE 8)",
  Whitworth: "old ones bear no mark, and many are softer",
  BA: "old ones bear no mark, and many are of brass: those stand less than half",
};

const FEEL = "snug, then a little; with the short end of the key, and stop when the head is down";

/**
 * Tightening torque of a screw, N m: T = K d F with F = 0.75 σ_p A_s; K 0.20 dry, 0.16 oiled or with locker.
 * Into plastic or a brass insert the boss decides, and the maker's figure
 * stands above all; where it is far from what the thread stands, a doubt says so.
 *
 * @throws Fault for a thread nobody knows
 * @example tighteningTorque({ thread: "M6", grade: "8.8", into: "steel" }).torqueNm // 10.5
 */
export function tighteningTorque(input: TorqueInput): TorqueAnswer {
  const thread = threadNamed(input.thread);
  if (!thread)
    throw new Fault(
      "thread",
      `no thread here is called “${input.thread}”: write it like M4, M8×1, ST3.5, #8-32, 2BA or 1/4 BSW`,
    );
  const own = ofItself(thread, input);
  if (input.makersNm === undefined && input.makersAngleDeg === undefined) return own;
  const doubt =
    input.makersNm === undefined ? undefined : oddFigure(input.makersNm, thread, own.torqueNm, input.grade);
  const angle = input.makersAngleDeg;
  const reasons = [
    ...(input.makersNm === undefined
      ? []
      : [
          {
            rule: "maker's figure",
            says: `the maker says ${input.makersNm} N m: that stands above any formula`,
          },
        ]),
    ...(angle === undefined
      ? []
      : [
          {
            rule: "by angle",
            says: `${input.makersNm === undefined ? `bring it to snug${own.torqueNm === null ? "" : ` (about ${(own.torqueNm / 4).toFixed(1)} N m)`}` : `bring it to ${input.makersNm} N m`}, mark head and seat, then turn ${angle}° more (${turnInWords(angle)}): the angle stretches the screw, whatever the friction`,
          },
        ]),
  ];
  return {
    torqueNm: input.makersNm ?? null,
    school: angle === undefined ? "maker" : "angle",
    reasons,
    ...(doubt ? { doubt } : {}),
  };
}

const turnInWords = (deg: number): string => {
  const of = Math.round((360 / deg) * 10) / 10;
  return of === 1
    ? "one turn"
    : Number.isInteger(of)
      ? `1/${of} turn`
      : `${(deg / 360).toFixed(2)} of a turn`;
};

/**
 * A figure that its thread cannot stand, or that would not hold it: with the unit it may have been meant in.
 */
function oddFigure(
  nm: number,
  thread: Thread,
  own: number | null,
  grade: Grade | undefined,
): string | undefined {
  const stands = own ?? byFormula(thread, grade ?? "8.8", false).nm;
  const ratio = nm / stands;
  if (ratio <= ODD_ABOVE && ratio >= ODD_BELOW) return undefined;
  const meant = MEANT_IN.find(
    (unit) => (nm * NM_PER[unit]) / stands < 1.6 && (nm * NM_PER[unit]) / stands > 0.3,
  );
  const how =
    ratio > 1
      ? `${ratio >= 10 ? Math.round(ratio) : ratio.toFixed(1)} times`
      : `only ${Math.round(ratio * 100)} % of`;
  const unit = meant ? ` Was it ${nm} ${meant}, which is ${(nm * NM_PER[meant]).toFixed(2)} N m?` : "";
  return `${nm} N m is ${how} what ${thread.designation} stands here (about ${stands.toFixed(stands < 3 ? 2 : 1)} N m).${unit} Read the figure and its unit again before you go by it.`;
}

/** What the thread and what it goes into stand, without anybody's figure. */
function ofItself(thread: Thread, input: TorqueInput): TorqueAnswer {
  const { into } = input;
  const feel = (says: string, before: TorqueAnswer["reasons"] = []): TorqueAnswer => ({
    torqueNm: null,
    school: "feel",
    reasons: [
      ...before,
      { rule: says.startsWith("for ") ? "no figure" : "boss decides", says: `${says}: ${FEEL}` },
    ],
  });
  if (thread.system === "tapping" || thread.system === "for plastic") {
    const boss = into === "plastic" ? BOSS[thread.designation] : undefined;
    if (boss === undefined)
      return feel(`for ${thread.designation} into ${INTO[into]} there is no general figure`);
    return {
      torqueNm: boss,
      school: "capped",
      reasons: [
        {
          rule: "boss decides",
          says: `${thread.designation} into plastic stands about ${boss} N m; more strips the boss`,
        },
        { rule: "old thread", says: "turn it backwards until it drops into its old thread first" },
      ],
    };
  }
  const locker = input.oiled
    ? [
        {
          rule: "if it is locker",
          says: lockerRefused(INTO[into].replace(/^a /, "")) ?? lockerCure({ metals: [INTO[into]] }).says,
        },
      ]
    : [];
  const weakest = thread.system === "unified" ? "SAE 2" : "4.8";
  const { nm, says } = byFormula(thread, input.grade ?? weakest, input.oiled === true);
  const reasons = [{ rule: "K d F", says }, ...locker];
  if (input.grade === undefined)
    reasons.push({
      rule: "grade not known",
      says: `taken as ${weakest}, the weakest that is common: ${LOOK_FOR[thread.system] ?? "look at the head for 8.8, 10.9 or A2-70"}`,
    });
  if (into === "plastic" || into === "brass-insert") {
    const insert = BOSS[thread.designation];
    if (insert === undefined)
      return feel(`what ${thread.designation} in ${INTO[into]} stands is not known here`, reasons);
    const boss = into === "plastic" ? insert * BARE_PLASTIC_SHARE : insert;
    if (into === "plastic")
      reasons.push({
        rule: "no insert",
        says: "a machine thread cut straight into plastic stands about half of what a brass insert does, and less each time it is opened",
      });
    if (boss < nm) {
      reasons.push({
        rule: "boss decides",
        says: `${INTO[into]} stands about ${boss} N m with ${thread.designation}: capped there`,
      });
      return { torqueNm: boss, school: "capped", reasons };
    }
  }
  const soft = SOFT_METAL[into];
  if (soft)
    reasons.push({
      rule: `thread in ${INTO[into]}`,
      says: `${soft.says}: ${(nm * soft.share).toFixed(1)} N m, with at least twice the diameter of thread in the hole`,
    });
  return { torqueNm: Math.round(nm * (soft?.share ?? 1) * 100) / 100, school: "figure", reasons };
}
