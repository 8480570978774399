import type { MeasuredInput } from "../../quantity/measured";
import { CLEARANCES, type RingSpec } from "../catalogue/part-spec";
import { comparedLength, materialCriterion, toldAlike } from "./compared";
import { type Criterion, criterion, unknownCriterion } from "./verdict";

/** A bearing, bush or seal that is looked for by its size. */
export interface WantedRing {
  readonly kind: RingSpec["kind"];
  readonly insideMm: MeasuredInput;
  readonly outsideMm: MeasuredInput;
  readonly widthMm: MeasuredInput;
  /** of a bearing, as it was: open, Z, 2Z, RS, 2RS */
  readonly closure?: string;
  /** one side of the bearing stands in the grease of the case, and is meant to share it */
  readonly facesGrease?: boolean;
  /** play inside, as the suffix has it: C2, CN, C3, C4 */
  readonly clearance?: string;
  readonly cage?: string;
  /** of its shaft, where the train tells it */
  readonly rpm?: number;
  readonly material?: string;
}

/**
 * A catalogue bearing, bush or seal against the one that is wanted. Sizes are standard: another one is
 * another part. A sealed bearing where the case's grease is meant to reach the balls has one seal pulled.
 *
 * @example ringVerdict({ kind: "bearing", …608, closure: "RS" }, { kind: "bearing", …608, closure: "2RS" })
 *   // closure: rework, pull the seal that faces the case
 */
export function ringVerdict(wanted: WantedRing, offered: RingSpec): Criterion[] {
  const size = (name: string, w: MeasuredInput, o: number, tolerance: number): Criterion =>
    comparedLength(w, o, {
      name,
      tolerance,
      ask: `measure the ${name}`,
      otherwise: () => ["no", "another size"],
    });
  const out = [
    size("bore", wanted.insideMm, offered.insideMm, 0.05),
    size("outside", wanted.outsideMm, offered.outsideMm, 0.05),
    size("width", wanted.widthMm, offered.widthMm, 0.1),
  ];
  if (offered.kind === "bearing") {
    if (wanted.closure || wanted.facesGrease || offered.closure)
      out.push(closureCriterion(wanted, offered.closure, offered));
    out.push(...insideCriteria(wanted, offered));
  }
  const material =
    offered.kind === "bearing"
      ? null
      : materialCriterion(
          wanted.material,
          offered.material,
          "ask whether it stands the lubricant, the heat and the speed",
        );
  return material ? [...out, material] : out;
}

/** What a lip of NBR stands on a ground shoulder, m/s (DIN 3760); of other rubbers more. */
const LIP_MPS = 14;

/**
 * The speed of the lip of a touching seal, m/s: on the inner ring's shoulder, about a third of the way from
 * bore to outside.
 */
const lipSpeed = ({ insideMm, outsideMm }: RingSpec, rpm: number): number =>
  (Math.PI * (insideMm + (outsideMm - insideMm) / 3) * rpm) / 60_000;

/** Play inside and cage. The usual play is not printed, so nothing is asked where neither tells another. */
function insideCriteria(wanted: WantedRing, offered: RingSpec & { readonly kind: "bearing" }): Criterion[] {
  const out: Criterion[] = [];
  const [was, is] = [wanted.clearance, offered.clearance];
  const order = CLEARANCES as readonly string[];
  if ((was ?? is) !== undefined)
    out.push(
      toldAlike(
        "clearance",
        was,
        is,
        {
          same: "as much play inside as it had",
          other:
            order.indexOf(is ?? "") < order.indexOf(was ?? "")
              ? `${is} instead of ${was}: less play inside. Where it runs hot or is pressed hard it binds`
              : `${is} instead of ${was}: more play inside. It may be heard, and lets a gear's shaft lean`,
          look: was
            ? `ask the seller for its clearance: ${was} before`
            : `read the suffix of the old one: this is ${is}`,
        },
        was === is,
        "settle",
      ),
    );
  if ((wanted.cage ?? offered.cage) !== undefined)
    out.push(
      toldAlike(
        "cage",
        wanted.cage,
        offered.cage,
        {
          same: "as it was",
          other: `${offered.cage} cage instead of ${wanted.cage}: ask whether it stands the speed and the heat`,
          look: wanted.cage
            ? "ask the seller what its cage is of"
            : "look what the cage of the old one is of",
        },
        wanted.cage === offered.cage,
        "settle",
      ),
    );
  return out;
}

/** Open, or one seal pulled: a seal that faces a greased case keeps the case's grease out of the bearing. */
function closureCriterion(
  wanted: WantedRing,
  offered: string | undefined,
  ring: RingSpec & { readonly kind: "bearing" },
): Criterion {
  const was = wanted.closure ?? "not noted";
  const said = (verdict: Criterion["verdict"], says: string, make = criterion): Criterion =>
    make("closure", was, offered ?? "not told", "–", verdict, says);
  if (offered === undefined)
    return said("settle", "ask the seller whether it is open, shielded or sealed", unknownCriterion);
  if (wanted.closure === undefined && !wanted.facesGrease)
    return said(
      "settle",
      `look whether the old one is open, shielded or sealed: this is ${offered}`,
      unknownCriterion,
    );
  const closedBothSides = offered === "2RS" || offered === "2Z";
  if (wanted.facesGrease || wanted.closure === "open" || wanted.closure === "RS" || wanted.closure === "Z") {
    if (closedBothSides)
      return said(
        "rework",
        `pull the ${offered === "2Z" ? "shield" : "seal"} that faces the case, so that its grease can enter; the other one stays, it faces outwards`,
      );
    if (offered === "open")
      return wanted.closure === "open" || (wanted.facesGrease && wanted.closure === undefined)
        ? said("same", "open as it was: the case's grease enters")
        : said("fits", "open on both sides: dirt can come in where it was closed");
    return said(
      offered === wanted.closure ? "same" : "fits",
      "the closed side faces outwards, the open one faces the case's grease",
    );
  }
  if (wanted.closure === offered) return said("same", "closed as it was");
  if (offered === "2RS") return touchingSeal(wanted, ring, said);
  if (offered === "2Z")
    return said(
      "settle",
      "shields instead of seals: fine dirt and oil pass them; ask whether any is near it",
    );
  return said("no", "open where it was closed: dirt gets in");
}

/** A seal that touches for a shield that did not: its lip stands so much speed and no more. */
function touchingSeal(
  { rpm }: WantedRing,
  ring: RingSpec,
  said: (verdict: Criterion["verdict"], says: string) => Criterion,
): Criterion {
  if (rpm === undefined)
    return said(
      "settle",
      "sealed instead of shielded: a seal that touches allows less speed; ask for the limit of this size",
    );
  const speed = lipSpeed(ring, rpm);
  const at = `at ${Math.round(rpm)} rpm its lips run at about ${speed.toFixed(0)} m/s`;
  return speed > LIP_MPS
    ? said("no", `${at}; rubber lips stand some ${LIP_MPS}: they burn. Take shields, as it had`)
    : said(
        "fits",
        `sealed instead of shielded: ${at}, and such lips stand some ${LIP_MPS}; it turns a little harder`,
      );
}
