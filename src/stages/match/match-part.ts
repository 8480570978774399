import type { GoesIn } from "@/core/job/goes-in";
import type { Got } from "@/core/job/got";
import type { Candidate } from "@/core/match/candidates/rank";
import type { SupplierOffer } from "@/core/match/catalogue/catalogue-part";

/** A part that goes back new, with what the catalogue has for it. */
export interface MatchPart {
  readonly id: string;
  readonly name: string;
  readonly wanted: string;
  readonly missing?: string;
  readonly candidates: readonly Candidate[];
  /** what suppliers ask for them */
  readonly offers: readonly SupplierOffer[];
  readonly chosen?: string;
  /** where it comes from, if not out of the catalogue */
  readonly got?: Got | undefined;
  /** what goes in in its place, with what comes with it */
  readonly goesIn?: GoesIn | undefined;
  /** ordered, or taken out of the drawer */
  readonly ordered: boolean;
  readonly readNumber: string | undefined;
  readonly isGear: boolean;
}
