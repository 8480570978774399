import { z } from "zod";
import type { Frozen } from "../frozen";
import { BACK_MOMENTS, type StepFacts } from "../job/step";
import { folded, type Ghost, type GhostStep } from "./ghost";
import { type Guide, type GuideStep, saidAs } from "./guide";

const stepTitle = z.string().trim().min(1, "say which step").max(400, "is longer than 400 characters");
const sentence = z.string().trim().min(2, "say it in a few words").max(200, "is longer than 200 characters");
const tool = z.string().trim().min(1, "name the tool").max(80, "is longer than 80 characters");

/**
 * What the shop wrote into a model's guide by hand, besides what its strips say. Steps are named by what they
 * are called.
 */
export const writtenGuide = z.strictObject({
  /**
   * said of a step: as a note, or for a moment around its return, where it becomes a line of the next unit's
   * plan
   */
  said: z
    .array(z.strictObject({ step: stepTitle, when: z.enum(BACK_MOMENTS).optional(), says: sentence }))
    .max(300, "are more than 300"),
  /** what a strip said and does not hold */
  dropped: z
    .array(z.strictObject({ step: stepTitle, says: z.string().max(2000) }))
    .max(300, "are more than 300"),
  /** steps that nothing forces to their place, whatever the strips say */
  free: z.array(stepTitle).max(300, "are more than 300"),
  /** to be laid out besides */
  tools: z.array(tool).max(60, "are more than 60"),
  /** noted once, and not needed */
  notTools: z.array(tool).max(60, "are more than 60"),
});
export type WrittenGuide = Frozen<z.infer<typeof writtenGuide>>;

export const NOTHING_WRITTEN: WrittenGuide = { said: [], dropped: [], free: [], tools: [], notTools: [] };
/** Whose words these are, where no unit said them. */
export const WRITTEN_HERE = "written by hand";

/** Whether something was written of a step, by any of what that is called. */
const isOf =
  (...called: readonly string[]) =>
  ({ step }: { readonly step: string }): boolean =>
    called.some((c) => folded(c) === folded(step));

/** Facts with what the guide says of their step, and without what it dropped. */
function factsWith(
  { facts, title, what }: Pick<GhostStep, "facts" | "title" | "what">,
  { said, dropped }: WrittenGuide,
): StepFacts {
  const gone = new Set(dropped.filter(isOf(title, what)).map((d) => d.says));
  const own = said.filter(isOf(title, what));
  const kept: { -readonly [K in keyof StepFacts]: StepFacts[K] } = { ...facts };
  for (const fact of ["note", "setting", "doNotUndo"] as const) {
    const value = kept[fact];
    if (value !== undefined && gone.has(saidAs[fact](value))) delete kept[fact];
  }
  const notes = [kept.note, ...own.flatMap((s) => (s.when === undefined ? [s.says] : []))].filter(Boolean);
  if (notes.length) kept.note = notes.join("; ");
  const back = (facts.back ?? []).filter((b) => !gone.has(b.says));
  for (const { when, says } of own)
    if (when !== undefined && !back.some((b) => b.when === when && b.says === says))
      back.push({ when, says });
  if (back.length) kept.back = back;
  else delete kept.back;
  return kept;
}

/**
 * A strip as the next unit follows it, with what was written into the guide. It never asks for more order
 * than the strip did.
 */
export function ghostWith(ghost: Ghost, written: WrittenGuide): Ghost {
  return {
    ...ghost,
    steps: ghost.steps.map(
      (s): GhostStep => ({
        ...s,
        facts: factsWith(s, written),
        ...(written.free.some((step) => isOf(s.title, s.what)({ step })) ? { needs: [] } : {}),
      }),
    ),
  };
}

/** A guide as it was learnt, with what was written into it. */
export function guideWith(guide: Guide, written: WrittenGuide): Guide {
  const known = new Set(guide.tools.map((t) => folded(t.tool)));
  return {
    ...guide,
    steps: guide.steps.map((s): GuideStep => {
      const gone = new Set(written.dropped.filter(isOf(s.title)).map((d) => d.says));
      const own = written.said
        .filter(isOf(s.title))
        .map(({ says, when }) => ({ from: WRITTEN_HERE, says, ...(when ? { when } : {}) }));
      const isFree = written.free.some((step) => isOf(s.title)({ step }));
      return {
        ...s,
        ...(isFree ? { after: [], isHabit: true } : {}),
        said: [
          ...s.said.filter((x) => !gone.has(x.says)),
          ...own.filter((o) => !s.said.some((x) => x.says === o.says && !gone.has(x.says))),
        ],
      };
    }),
    tools: [
      ...guide.tools.filter((t) => !written.notTools.some((n) => folded(n) === folded(t.tool))),
      ...written.tools
        .filter((t) => !known.has(folded(t)))
        .map((t) => ({ tool: t, times: guide.from.length })),
    ],
  };
}
