import type { Beside } from "../../charge/beside";
import type { Lubricant } from "../../grease/lubricant";
import type { Job } from "../../job/job";
import type { CataloguePart } from "../../match/catalogue/catalogue-part";
import type { ShopRates } from "../../match/quote/quote";
import type { ElectricalLimits } from "../electrical-limits";
import type { UnitSystem } from "./in-units";

/** What a sheet is made of besides the job. */
export interface ReportInput {
  readonly job: Job;
  readonly catalogue: readonly CataloguePart[];
  /** lubricants that it names, as the shelf has them */
  readonly lubricants: readonly Lubricant[];
  readonly shop: {
    readonly name: string;
    readonly town: string;
    readonly currency: string;
    readonly rates: ShopRates;
    readonly limits: ElectricalLimits;
    /** 0: the shop promises nothing beyond the law */
    readonly warrantyMonths: number;
  };
  /** what it costs besides its parts, for the bill where nothing was quoted */
  readonly beside: Beside;
  readonly units: UnitSystem;
  readonly form: "short" | "long";
  /** a moment as a day in words */
  readonly day: (iso: string) => string;
  /** a moment as the time of its day; with its day in short where there are several */
  readonly time: (iso: string, withDay: boolean) => string;
  readonly now: string;
}
