import { z } from "zod";
import { Fault } from "../../fault";
import type { Frozen } from "../../frozen";
import { plasticFamily } from "../material";

/** Anaerobic thread lockers by how firmly they hold; colours are a custom, and differ between makers. */
export const LOCKER_CLASSES = ["low", "medium", "high", "wicking"] as const;
export type LockerClass = (typeof LOCKER_CLASSES)[number];
export const LOCKER_SAYS: Readonly<Record<LockerClass, string>> = {
  low: "low strength (often purple): up to M6, comes off with a screwdriver",
  medium: "medium strength (often blue): comes off with hand tools",
  high: "high strength (often red): comes off with heat only, about 250 °C at the joint",
  wicking: "wicking (often green): runs into a thread that is together already",
};

/**
 * A passive skin slows it; iron and copper set it going. A metal that is not among these is taken for one
 * that does.
 */
const PASSIVE =
  /\b(stainless|a2|a4|zinc|plated|galvani[sz]ed|anodi[sz]ed|alumini?um|magnesium|titanium|chrome)/i;

export const cureInput = z.strictObject({
  class: z.enum(LOCKER_CLASSES, { error: `is none of ${LOCKER_CLASSES.join(", ")}` }),
  /** what screw and hole are of, as far as it is known; the slower one decides */
  metals: z.array(z.string().max(60)).max(10).optional(),
  celsius: z
    .number()
    .min(-60, "is colder than any bench")
    .max(150, "is hotter than the locker stands")
    .optional(),
  /** an activator on one side */
  activated: z.boolean().optional(),
  /** what the screw goes into, where that is a plastic */
  into: z.string().max(60).optional(),
});
export type CureInput = Frozen<z.infer<typeof cureInput>>;
export interface LockerCure {
  /** until it holds when it is handled, and until it holds fully, minutes */
  readonly handleMinutes: number;
  readonly fullMinutes: number;
  readonly says: string;
}

/**
 * Until it holds when it is handled, on steel at 22 °C, minutes: the slow end of what data sheets of each
 * class print.
 */
const HANDLE_MINUTES: Readonly<Record<LockerClass, number>> = { low: 30, medium: 20, high: 20, wicking: 30 };
const FULL_MINUTES = 24 * 60;
/** A passive surface triples it; an activator makes one active. */
const PASSIVE_FACTOR = 3;
/**
 * A reaction halves its rate for ten degrees less. Below 5 °C it hardly goes on; above 40 °C nothing is
 * gained that is known here.
 */
const COLDEST = 5;
const WARMEST = 40;

/**
 * How long an anaerobic locker takes. The figures are for planning and on the safe side; the product's own
 * sheet stands above them.
 *
 * @example lockerCure({ metals: ["steel"] }).fullMinutes // 1440
 */
export function lockerCure({
  class: kind = "medium",
  metals = [],
  celsius = 22,
  activated = false,
}: Partial<Omit<CureInput, "into">> = {}): LockerCure {
  const passive = metals.filter((m) => PASSIVE.test(m));
  const slow = passive.length > 0 && !activated;
  const factor =
    (slow ? PASSIVE_FACTOR : 1) * 2 ** ((22 - Math.min(WARMEST, Math.max(COLDEST, celsius))) / 10);
  const [handleMinutes, fullMinutes] = [HANDLE_MINUTES[kind], FULL_MINUTES].map(
    (m) => Math.ceil((m * factor) / 5) * 5,
  ) as [number, number];
  const why = [
    slow
      ? `${passive.join(" and ")} ${passive.length > 1 ? "are" : "is"} passive: an activator brings it down to a third`
      : undefined,
    celsius < COLDEST
      ? `below ${COLDEST} °C it hardly sets: warm the joint`
      : celsius < 18
        ? `${celsius} °C is cold for it`
        : undefined,
  ].filter((w) => w !== undefined);
  return {
    handleMinutes,
    fullMinutes,
    says: `holds after ${inHours(handleMinutes)}, fully after ${inHours(fullMinutes)}${why.length ? ` (${why.join("; ")})` : ""}; the product's own sheet stands above this`,
  };
}
const inHours = (minutes: number): string =>
  minutes < 90 ? `${minutes} min` : `${Math.round(minutes / 60)} h`;

/** Plastics that anaerobic lockers crack under stress, where the moulding pulls at itself. */
const CRACKS = new Set(["ABS", "PC", "PS"]);

/**
 * Why an anaerobic locker does not belong there; undefined: nothing speaks against it that is known.
 *
 * @param into what the screw goes into
 * @example lockerRefused("ABS") // "anaerobic locker cracks ABS: …"
 */
export function lockerRefused(into: string | undefined): string | undefined {
  const family = plasticFamily(into);
  if (!family) return undefined;
  return CRACKS.has(family)
    ? `anaerobic locker cracks ${family}: it creeps out of the joint and the moulding splits days later. Clean the thread dry; use a screw with a dry patch, or a locking washer`
    : `anaerobic locker does not set between plastic and a screw, and may craze ${family === "plastic" ? "it (ABS and PC split)" : "what is near it"}: it belongs on metal against metal`;
}

/** How long a locker takes on these metals. @throws Fault where it does not belong there at all */
export function lockerAnswer({ into, ...input }: CureInput): LockerCure & { readonly holds: string } {
  const refused = lockerRefused(into);
  if (refused) throw new Fault("into", refused);
  return { ...lockerCure(input), holds: LOCKER_SAYS[input.class] };
}
