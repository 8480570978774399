import { type HardwareFacts, hardwareInWords, isOut } from "@/core/hardware/piece";
import type { StepFacts, StripStep } from "@/core/job/step";
import { ACTION_SAYS } from "@/core/order/likely-action";
import type { Pocket } from "@/ui/pocket";

type Titled = Pick<StripStep, "action" | "title" | "note" | "said" | "parts"> & {
  readonly hardware?: readonly HardwareFacts[] | undefined;
};

/** What a step is called: its title, or its parts, or its hardware. */
export function titleOf(s: Titled, named: (id: string) => string): string {
  if (s.title) return s.title;
  const parts = (s.parts ?? []).map(named);
  const pieces = (s.hardware ?? []).map(hardwareInWords).join("; ");
  return parts.join(", ") || pieces || s.note || s.said || ACTION_SAYS[s.action];
}

/**
 * What a pocket shows of its step, whether it lies in the shop or is still on its way there. What is not said
 * is left out: a key that says nothing travels to the browser all the same.
 */
export function pocketLook(
  title: string,
  {
    hardware = [],
    facing,
  }: { readonly hardware?: readonly HardwareFacts[] | undefined } & Pick<StepFacts, "facing">,
  partKind: string | undefined,
): Pick<Pocket, "title"> & Partial<Pick<Pocket, "main" | "pieces" | "uncounted" | "partKind" | "facing">> {
  const [main] = hardware;
  const pieces = hardware.filter(isOut).reduce((sum, h) => sum + h.qty, 0);
  return {
    title,
    ...(main
      ? {
          main: { kind: main.kind, ...(main.drive ? { drive: main.drive } : {}) },
          ...(pieces ? { pieces } : {}),
          ...(hardware.some((h) => h.uncounted) ? { uncounted: true } : {}),
        }
      : {}),
    ...(partKind ? { partKind } : {}),
    ...(facing === undefined && !hardware.some((h) => h.facing) ? {} : { facing: true }),
  };
}
