import { describe, expect, it } from "vitest";
import type { Job } from "../../job/job";
import { partName } from "../../job/part";
import type { LubePoint } from "../../job/service";
import { answersOf } from "../../lube/answers";
import { cleaningList } from "../../lube/cleaning-list";
import { isFoodAsked } from "../../lube/food";
import { askedBeforeLube } from "../../lube/places";
import { bearingsAsked, proposedChambers } from "../../lube/propose";
import { rebuildPlan } from "../../order/rebuild-plan";
import { aOrAn } from "../../sentence";
import { jobAsSaid } from "../said";
import { SHELF } from "./shelf";
import { LUBED_UNITS, type LubedUnit } from "./units";

/** A unit as it lies on the bench at Lube: what is proposed was taken over, and the best of the shelf taken. */
function atLube(u: LubedUnit): Job {
  const steps = u.steps.map((s) => {
    const [what = "", line = ""] = s.split("|").map((t) => t.trim());
    return { what, line };
  });
  const bare = jobAsSaid({ unit: u.unit, steps });
  const stripped: Job = {
    ...bare,
    kind: u.unit,
    foodContact: u.food ?? false,
    fillSchool: "measured",
    greaseStates: [...(u.states ?? [])],
    parts: bare.parts.map((p) => ({ ...p, ...u.parts?.[p.name ?? ""] })),
  };
  const proposed = proposedChambers(stripped);
  let n = 0;
  const teeth = (g: Omit<LubePoint, "id">): Partial<LubePoint> =>
    g.kind === "gear-teeth" || g.kind === "worm" ? (u.teeth ?? {}) : {};
  const job: Job = {
    ...stripped,
    chambers: proposed.map((p, i) => ({ ...p.chamber, ...(i === 0 && u.chamber) })),
    lubePoints: proposed.flatMap((p) => p.points.map((g) => ({ id: `g${++n}`, ...g, ...teeth(g) }))),
  };
  return {
    ...job,
    chambers: answersOf(job, SHELF, rebuildPlan(job)).map(({ chamber, plan }) => ({
      ...chamber,
      ...(plan?.answer?.choice && { lubricant: plan.answer.choice }),
    })),
  };
}

/** What the program says of a unit's lubrication, as a technician reads it. */
function told(job: Job): string[] {
  const plan = rebuildPlan(job);
  return [
    ...(isFoodAsked(job) ? [`asks: does it touch food? (${aOrAn(job.kind)})`] : []),
    ...answersOf(job, SHELF, plan).flatMap(({ chamber, plan: p, says, isSpeedAsked, isStayAsked }) => {
      const answer = p?.answer;
      const first = answer?.verdicts[0];
      return [
        says ??
          `asks: ${chamber.name}: ${chamber.lubricant ? `how much of ${chamber.lubricant}?` : "which?"}`,
        ...(answer?.by && answer.grams !== null ? [`   ${answer.by.rule}: ${answer.by.says}`] : []),
        ...(p?.assumed.length ? [`   taken for granted: ${p.assumed.join("; ")}`] : []),
        ...(answer?.takeOut === "all" ? ["   all of the old lubricant comes out first"] : []),
        ...(first?.ok
          ? first.reasons
              .filter((r) => r.weight !== 0 || r.hard)
              .map((r) => `   ${r.against ? "but" : "for"} ${r.rule}: ${r.says}`)
          : []),
        ...(answer?.points ?? [])
          .filter((g) => g.lubricant !== answer?.choice)
          .map(
            (g) =>
              `   ${job.lubePoints.find((x) => x.id === g.id)?.where}: ${g.lubricant ?? "nothing on the shelf"}`,
          ),
        ...(chamber.dry ?? []).map((d) => `   stays dry: ${d.says}`),
        ...(p?.missing ?? []).map((m) => `   to get: ${m}`),
        ...(isSpeedAsked ? ["   asks: how fast do its teeth run?"] : []),
        ...(isStayAsked ? ["   asks: how much of the old stays in it?"] : []),
      ];
    }),
    ...bearingsAsked(job).map((p) => `asks: ${p.name}: open or sealed?`),
    ...askedBeforeLube(job).map((p) => `asks: what is the ${p.name}?`),
    "order:",
    ...plan.steps.flatMap((l) => {
      if (l.kind !== "grease") return [];
      const g = job.lubePoints.find((x) => x.id === l.lubePoint);
      return [`   line ${l.n} of ${plan.steps.length}: ${g?.where} (${l.because.join("; ")})`];
    }),
    "cleaning:",
    ...cleaningList(job, plan).map(
      (r) =>
        `   ${r.name}: ${r.dry ? `stays dry, ${r.dry}` : `of ${r.what}`}${r.proposed ? `, ${r.proposed.says}` : ""}`,
    ),
  ];
}

describe("the lubrication of a unit that is stripped as it is spoken", () => {
  it.each(LUBED_UNITS.map((u) => [u.unit, u] as const))("%s", async (unit, u) => {
    const job = atLube(u);
    const text = told(job).join("\n");
    expect(text).not.toMatch(/undefined|null|NaN|\b[pg]\d+\b/);
    expect(job.parts.every((p) => partName(p))).toBe(true);
    await expect(`${text}\n`).toMatchFileSnapshot(`./${unit.replaceAll(" ", "-")}.txt`);
  });
});
