import { z } from "zod";
import { Fault } from "../fault";
import type { Frozen } from "../frozen";
import { stressArea, threadNamed } from "./threads";

export const torqueInput = z.strictObject({
  thread: z.string().min(1, "say which thread, like M4 or ST3.5"),
  /** property class of the screw */
  grade: z.enum(["4.8", "8.8", "A2-70"], { error: 'is none of "4.8", "8.8", "A2-70"' }).optional(),
  into: z.enum(["steel", "aluminium", "brass-insert", "plastic"], { error: 'is none of "steel", "aluminium", "brass-insert", "plastic"' }),
  /** oil, grease or thread locker on the thread */
  oiled: z.boolean().optional(),
  makersNm: z.number().positive("a torque is above 0").optional(),
});
export type TorqueInput = Frozen<z.infer<typeof torqueInput>>;

export interface TorqueAnswer {
  /** null: there is no figure to be had, go by feel */
  readonly torqueNm: number | null;
  readonly school: "maker" | "figure" | "capped" | "feel";
  readonly reasons: readonly { readonly rule: string; readonly says: string }[];
}

/** Proof stress σ_p, MPa: ISO 898-1 for 4.8 and 8.8 up to M16, ISO 3506-1 for A2-70. */
const PROOF: Readonly<Record<NonNullable<TorqueInput["grade"]>, number>> = { "4.8": 310, "8.8": 580, "A2-70": 450 };

/** What a boss or an insert stands, N m: the weaker side decides. */
const BOSS: Readonly<Record<string, number>> = { "M2.5": 0.3, M3: 0.5, M4: 1.2, M5: 2, "ST2.9": 0.6, "ST3.5": 1, "ST4.2": 1.6 };

/** An aluminium thread strips before a strong screw yields: usual practice takes four fifths. */
const ALUMINIUM_SHARE = 0.8;

/**
 * Tightening torque of a screw, N m: T = K d F with F = 0.75 σ_p A_s; K 0.20 dry, 0.16 oiled or with locker. Into plastic or a brass insert the boss decides, and the maker's figure
 * stands above all.
 *
 * @throws Fault for a thread nobody knows
 * @example tighteningTorque({ thread: "M6", grade: "8.8", into: "steel" }).torqueNm // 10.5
 */
export function tighteningTorque(input: TorqueInput): TorqueAnswer {
  const thread = threadNamed(input.thread);
  if (!thread) throw new Fault("thread", `no thread here is called “${input.thread}”: write it like M4, M8×1, ST3.5 or #8-32`);
  const reasons: { rule: string; says: string }[] = [];
  if (input.makersNm !== undefined)
    return {
      torqueNm: input.makersNm,
      school: "maker",
      reasons: [{ rule: "maker's figure", says: `the maker says ${input.makersNm} N m: that stands above any formula` }],
    };
  const soft = input.into === "plastic" || input.into === "brass-insert";
  const boss = soft ? BOSS[thread.designation] : undefined;
  const feel = "snug, then a little; with the short end of the key, and stop when the head is down";
  if (thread.system === "tapping") {
    if (boss !== undefined && input.into === "plastic")
      return {
        torqueNm: boss,
        school: "capped",
        reasons: [
          { rule: "boss decides", says: `${thread.designation} into plastic stands about ${boss} N m; more strips the boss` },
          { rule: "old thread", says: "turn it backwards until it drops into its old thread first" },
        ],
      };
    return {
      torqueNm: null,
      school: "feel",
      reasons: [{ rule: "no figure", says: `for ${thread.designation} into ${WORDS[input.into]} there is no general figure: ${feel}` }],
    };
  }
  const grade = input.grade ?? "4.8";
  const k = input.oiled ? 0.16 : 0.2;
  const clampN = 0.75 * PROOF[grade] * stressArea(thread);
  let torque = (k * thread.diameterMm * clampN) / 1000;
  reasons.push({
    rule: "K d F",
    says: `${input.oiled ? "oiled or with locker, K 0.16" : "dry, K 0.20"}; F = 0.75 × ${PROOF[grade]} MPa × ${stressArea(thread).toFixed(1)} mm² = ${Math.round(clampN)} N: ${torque.toFixed(1)} N m`,
  });
  if (input.grade === undefined) reasons.push({ rule: "grade not known", says: "taken as 4.8, the weakest that is common: look at the head for 8.8 or A2-70" });
  if (soft) {
    if (boss === undefined)
      return {
        torqueNm: null,
        school: "feel",
        reasons: [...reasons, { rule: "boss decides", says: `what ${thread.designation} in ${WORDS[input.into]} stands is not known here: ${feel}` }],
      };
    if (boss < torque) {
      reasons.push({ rule: "boss decides", says: `${WORDS[input.into]} stands about ${boss} N m with ${thread.designation}: capped there` });
      return { torqueNm: boss, school: "capped", reasons };
    }
  }
  if (input.into === "aluminium") {
    torque *= ALUMINIUM_SHARE;
    reasons.push({ rule: "thread in aluminium", says: `four fifths of it: ${torque.toFixed(1)} N m, with at least twice the diameter of thread in the hole` });
  }
  return { torqueNm: Math.round(torque * 100) / 100, school: "figure", reasons };
}

const WORDS: Readonly<Record<TorqueInput["into"], string>> = { steel: "steel", aluminium: "aluminium", "brass-insert": "a brass insert", plastic: "plastic" };
