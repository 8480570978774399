import { z } from "zod";
import type { Frozen } from "@/core/frozen";
import type { LaidHardware } from "@/core/hardware/look-alikes";
import { partKindFrom } from "@/core/hardware/part-kind";
import { partLook } from "@/core/hardware/part-look";
import { namesIn } from "@/core/job/recorded-step";
import { asRecorded, openStep, understood } from "@/core/recorder/open-step";
import type { Pocket } from "@/ui/pocket";
import { pocketLook, titleOf } from "../job-view/pocket-look";

const stepOnItsWay = z.object({
  open: openStep,
  /** when it was laid down, ms */
  at: z.number(),
});
/** A step that was laid down at this screen and of which the shop has not said yet that it has it. */
export type StepOnItsWay = Frozen<z.infer<typeof stepOnItsWay>>;

/** Reads what the browser kept of them. */
export const stepsOnTheirWay = z.array(stepOnItsWay);

export const recordedOnItsWay = ({ open, at }: StepOnItsWay): ReturnType<typeof asRecorded> =>
  asRecorded(open, understood(open), at);

/**
 * The Mat as the hand left it: what the shop has, and behind it what is on its way there.
 *
 * @param thumbOf first picture of a step that is on its way, by the recorder's own name for it
 */
export function matWith(
  pockets: readonly Pocket[],
  onTheWay: readonly StepOnItsWay[],
  thumbOf: (key: string) => string | undefined,
): readonly Pocket[] {
  if (!onTheWay.length) return pockets;
  const out = [...pockets];
  for (const step of onTheWay) {
    const { key, asOne, needs } = step.open;
    const { action, hardware, facts, what } = recordedOnItsWay(step);
    const names = namesIn(what);
    const title = titleOf(
      { action, hardware, parts: names, note: facts.note, said: facts.said },
      (name) => name,
    );
    const kind =
      names[0] && action !== "note" && action !== "block"
        ? partLook(names[0], partKindFrom(names[0]))
        : undefined;
    const isNote = action === "note";
    const thumb = thumbOf(key);
    const before = out.at(-1);
    const bundle = asOne && before ? (before.bundle ?? key) : undefined;
    if (bundle && before) out[out.length - 1] = { ...before, bundle };
    out.push({
      step: key,
      ...pocketLook(title, { hardware, facing: facts.facing }, kind),
      onItsWay: true,
      ...(isNote ? { isNote: true as const } : {}),
      ...(thumb ? { thumb } : {}),
      ...(bundle ? { bundle } : {}),
      ...(needs
        ? { needs: needs.map((s) => pockets.findIndex((p) => p.step === s)).filter((i) => i >= 0) }
        : {}),
    });
  }
  return out;
}

/** The hardware that lies there, with what is on its way. @param before steps that the shop has */
export const laidWith = (
  laid: readonly LaidHardware[],
  onTheWay: readonly StepOnItsWay[],
  before: number,
): readonly LaidHardware[] =>
  onTheWay.length
    ? [
        ...laid,
        ...onTheWay.map((step, i) => ({ step: before + i + 1, hardware: recordedOnItsWay(step).hardware })),
      ]
    : laid;
