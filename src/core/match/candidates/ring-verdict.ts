import { CALIPER_U_MM } from "../../quantity/caliper";
import type { MeasuredInput } from "../../quantity/measured";
import type { RingSpec } from "../catalogue/part-spec";
import { compared, materialCriterion } from "./compared";
import { type Criterion, criterion } from "./verdict";

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
    compared(w, o, {
      name,
      unit: "mm",
      tolerance,
      instrumentU: CALIPER_U_MM,
      ask: `measure the ${name}`,
      otherwise: () => ["no", "another size"],
    });
  const out = [
    size("bore", wanted.insideMm, offered.insideMm, 0.05),
    size("outside", wanted.outsideMm, offered.outsideMm, 0.05),
    size("width", wanted.widthMm, offered.widthMm, 0.1),
  ];
  if (offered.kind === "bearing" && (wanted.closure || wanted.facesGrease))
    out.push(closureCriterion(wanted, offered.closure));
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

/** Open, or one seal pulled: a seal that faces a greased case keeps the case's grease out of the bearing. */
function closureCriterion(wanted: WantedRing, offered: string | undefined): Criterion {
  const was = wanted.closure ?? "not noted";
  const said = (verdict: Criterion["verdict"], says: string): Criterion =>
    criterion("closure", was, offered ?? "not told", "–", verdict, says);
  if (offered === undefined) return said("settle", "ask the seller whether it is open, shielded or sealed");
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
  return offered === "2RS"
    ? said(
        "settle",
        "sealed instead of shielded: a seal that touches allows less speed; ask for the limit of this size",
      )
    : said("no", "open where it was closed: dirt gets in");
}
