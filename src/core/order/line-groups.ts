import { namesDrivenPin, namesHingePin, namesLocatingPin } from "../assemblies/goes-back";
import type { HardwareKind } from "../hardware/kinds";
import type { Hardware } from "../hardware/piece";
import type { Part } from "../job/part";
import type { StripStep } from "../job/step";

/** What lies in or under a part before it is set: in its slot, its groove, on its face. */
const UNDER: readonly HardwareKind[] = ["key", "o-ring", "gasket"];
/** What holds a part once it is set. */
export const HOLDS: readonly HardwareKind[] = [
  "screw",
  "nut",
  "circlip",
  "e-clip",
  "clip",
  "pin",
  "split-pin",
  "rivet",
  "clamp",
  "cable-tie",
  "plug",
];
/** What lies between a part and what holds it. */
const BETWEEN: readonly HardwareKind[] = ["washer", "wavy-washer", "lock-washer", "disc-spring"];
/** Said of a piece that lies under or behind its part. */
const LIES_UNDER = /^(?:behind|under|below|beneath|underneath)(?: (?:it|the part|them))?$/i;
/** "Under the feet": what it lies under goes on over it. */
const LIES_UNDER_NAMED = /^(?:behind|under|below|beneath|underneath) (?:the |its |each )?(.+)$/i;
/** Washers of which some lie under the part and some over it. */
const BOTH_SIDES = /\b(?:both|each) (?:sides?|faces?)\b/i;
/** What came off first of a step goes on last. */
const CAME_FIRST = /^(?:off )?first$/i;
/** Parts that are located by pins rather than held by them. */
const LOCATED = ["cover", "housing"];

/** A step's return, part for part, in the order in which it is done; empty where there is nothing of it. */
export interface LineGroups {
  /** goes in before the parts */
  readonly under: readonly Hardware[];
  /** the parts, and what goes in with them as one */
  readonly parts: readonly string[];
  readonly beside: readonly Hardware[];
  /** holds them, and what lies under it */
  readonly holds: readonly Hardware[];
  /** parts that go on over what holds the others: feet over their screws, a cap over its nut */
  readonly last: readonly string[];
}

/**
 * Takes the return of a step apart: what lies under its parts, the parts, what holds them. How they lay on
 * each other decides, where it was recorded; otherwise what they are. Of what
 * neither tells, nothing is made: it stays with the parts.
 *
 * @param parts what goes back of its parts
 * @param hardware what goes back of its hardware
 * @param first kinds of pieces that go in before the parts, by how they are assembled
 */
export function lineGroups(
  step: Pick<StripStep, "action" | "stack" | "said">,
  parts: readonly Part[],
  hardware: readonly Hardware[],
  first: readonly HardwareKind[] = [],
): LineGroups {
  const ids = parts.map((p) => p.id);
  const together: LineGroups = { under: [], parts: ids, beside: hardware, holds: [], last: [] };
  if (!parts.length || step.action === "block" || step.action === "loosen") return together;
  const located = parts.some((p) => p.kind !== undefined && LOCATED.includes(p.kind));
  const holdsIt = (h: Hardware): boolean =>
    HOLDS.includes(h.kind) && !(h.kind === "pin" && located && !namesDrivenPin(step) && !namesHingePin(step));
  const anyHolds = hardware.some(holdsIt);
  const upwards = [...(step.stack ?? [])].reverse();
  const at = ids.map((id) => upwards.indexOf(id)).filter((i) => i >= 0);
  const placeOf = (h: Hardware): "under" | "beside" | "holds" => {
    const own = upwards.indexOf(h.id);
    if (own >= 0 && at.length)
      return own < Math.min(...at) ? "under" : own > Math.max(...at) ? "holds" : "beside";
    // dowels lie in their holes before anything goes over them
    if (h.kind === "pin" && namesLocatingPin(step)) return "under";
    if (CAME_FIRST.test(h.at ?? "")) return "holds";
    if (UNDER.includes(h.kind) || first.includes(h.kind) || LIES_UNDER.test(h.at ?? "")) return "under";
    if (holdsIt(h)) return "holds";
    if (BETWEEN.includes(h.kind) && BOTH_SIDES.test(h.at ?? "")) return "beside";
    return BETWEEN.includes(h.kind) && anyHolds ? "holds" : "beside";
  };
  const of = (where: ReturnType<typeof placeOf>): Hardware[] => hardware.filter((h) => placeOf(h) === where);
  const holds = of("holds");
  const last = parts.filter((p) => holds.some((h) => isUnder(h, p))).map((p) => p.id);
  const others = ids.filter((id) => !last.includes(id));
  return others.length
    ? { under: of("under"), parts: others, beside: of("beside"), holds, last }
    : { under: of("under"), parts: ids, beside: of("beside"), holds, last: [] };
}

/** Whether a piece was said to lie under this part. */
function isUnder({ at = "" }: Pick<Hardware, "at">, { name = "" }: Pick<Part, "name">): boolean {
  const named = LIES_UNDER_NAMED.exec(at)?.[1]?.toLowerCase();
  const own = name.toLowerCase();
  return named !== undefined && (own === named || own.endsWith(` ${named}`) || named.endsWith(` ${own}`));
}
