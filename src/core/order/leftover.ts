import type { HardwareKind } from "../hardware/kinds";
import { type Hardware, type HardwareFacts, isLoose } from "../hardware/piece";
import type { StripStep } from "../job/step";

/** Where a piece that is left over may have sat. */
export interface Trace {
  readonly step: string;
  readonly hardware: Hardware;
  /** all that was said of it agrees; otherwise nothing speaks against it */
  readonly agrees: boolean;
}

/** What looks alike in a hand: a wavy washer is called a washer. */
const FAMILIES: readonly (readonly HardwareKind[])[] = [
  ["washer", "wavy-washer", "lock-washer", "disc-spring", "thrust-washer", "spacer"],
  ["circlip", "e-clip", "clip"],
  ["pin", "split-pin", "key"],
];
const isOneFamily = (a: HardwareKind, b: HardwareKind): boolean =>
  a === b || FAMILIES.some((f) => f.includes(a) && f.includes(b));

/** Two lengths under a hand's ruler, mm. */
const SAME_MM = 1.5;

/** A fact that is known of both: whether it is the same; undefined: one of them does not say. */
function compared(
  a: HardwareFacts,
  b: HardwareFacts,
  fact: "thread" | "drive" | "form" | "leftHand" | "finish",
): boolean | undefined {
  const [x, y] = [a[fact], b[fact]];
  return x === undefined || y === undefined ? undefined : String(x).toLowerCase() === String(y).toLowerCase();
}

/**
 * Steps whose hardware a piece that is left over may have come out of: of its kind or one that looks like it,
 * with nothing known of both that differs. Those with which all agrees that was
 * said come first, then in the order of the strip. Thread, drive and length speak against a piece; its head
 * and its finish only for it.
 */
export function traceLeftover(
  steps: readonly Pick<StripStep, "id" | "action" | "hardware">[],
  piece: HardwareFacts,
): Trace[] {
  const found = steps.flatMap((s) =>
    s.action === "note"
      ? []
      : (s.hardware ?? []).filter(isLoose).flatMap((hardware): Trace[] => {
          if (!isOneFamily(hardware.kind, piece.kind)) return [];
          const long =
            hardware.lengthMm === undefined || piece.lengthMm === undefined
              ? undefined
              : Math.abs(hardware.lengthMm - piece.lengthMm) <= SAME_MM;
          const hard = [
            compared(hardware, piece, "thread"),
            compared(hardware, piece, "drive"),
            compared(hardware, piece, "leftHand"),
            long,
          ];
          if (hard.includes(false)) return [];
          const soft = [compared(hardware, piece, "form"), compared(hardware, piece, "finish")];
          const said = [
            piece.thread,
            piece.drive,
            piece.leftHand,
            piece.lengthMm,
            piece.form,
            piece.finish,
          ].filter((x) => x !== undefined).length;
          const agree = [...hard, ...soft].filter((x) => x === true).length;
          return [{ step: s.id, hardware, agrees: hardware.kind === piece.kind && agree === said }];
        }),
  );
  return [...found.filter((t) => t.agrees), ...found.filter((t) => !t.agrees)];
}
