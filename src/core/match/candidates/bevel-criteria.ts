import type { GearSpec } from "../catalogue/part-spec";
import { compared, comparedLength, toldAlike } from "./compared";
import { handCriterion } from "./hand";
import { type Criterion, criterion } from "./verdict";
import type { WantedGear } from "./wanted-gear";

const round = (x: number): string => String(Number(x.toFixed(2)));

/**
 * A bevel gear for one that ran with a certain mate. Its cone follows from both counts (ISO 23509: tan δ₁ =
 * sin Σ / (z₂/z₁ + cos Σ)), so the mate's count must be the same; where the cones meet is set by the distance
 * to the face that it sits on. Straight, spiral and Zerol teeth do not run with one another, a spiral one only
 * with its hand, and curved teeth are lapped in pairs.
 */
export function bevelCriteria(wanted: WantedGear, offered: GearSpec): Criterion[] {
  const [was, is] = [wanted.bevelTeeth, offered.bevelTeeth];
  const curved = (t: string | undefined): boolean => t !== undefined && t !== "straight";
  return [
    toldAlike("bevel teeth", was, is, {
      same: "its teeth run as they did",
      other: `${is} teeth do not run with ${was} ones`,
      look: "look how its teeth run to settle it",
    }),
    ...(was === "spiral" || is === "spiral" ? [handCriterion(wanted.hand, offered.hand)] : []),
    compared(wanted.mate?.teeth, offered.mateTeeth, {
      name: "cut for a mate of",
      tolerance: 0,
      instrumentU: 0,
      ask: "count the teeth of the gear it runs with",
      unknownSays: "ask the seller for the teeth of the gear that it is cut for: they set its cone",
      sameSays: "the same ratio, so the same cone",
      otherwise: (o, w) => [
        "no",
        `cut for a mate of ${o} teeth, not ${w}: another cone, and the teeth meet at one end only`,
      ],
    }),
    mountingCriterion(wanted, offered),
    ...(offered.soldAs !== "pair" && (curved(was) || curved(is)) ? [lappedInPairs(offered)] : []),
  ];
}

/** Shims make up for what is short; what is long has to come off the face that it sits on. */
function mountingCriterion(wanted: WantedGear, offered: GearSpec): Criterion {
  return comparedLength(wanted.mountingMm, offered.mountingMm, {
    name: "mounting distance",
    tolerance: 0.05,
    ask: "measure from the middle of the other shaft to the face that it sits on",
    unknownSays: "ask the seller for its mounting distance",
    sameSays: "its cone meets the other's where it did",
    otherwise: (o, w) =>
      o < w
        ? ["rework", `shim it by ${round(w - o)} mm behind its seat, and look at the contact on its teeth`]
        : [
            "settle",
            `${round(o - w)} mm too long: ask whether so much may come off the face that it sits on`,
          ],
  });
}

const lappedInPairs = ({ soldAs }: GearSpec): Criterion =>
  criterion(
    "sold as",
    "–",
    soldAs ?? "not told",
    "–",
    "settle",
    "curved teeth are lapped in pairs: ask whether it may run with a mate that it was not lapped with",
  );
