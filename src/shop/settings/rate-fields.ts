import type { ShopSettings } from "@/store/settings";

/** A figure that the shop sets: how it is asked for, and between what it must lie. */
export interface RateField {
  readonly key: keyof ShopSettings["rates"] | "testMinutes" | "cleaningCost";
  readonly label: string;
  readonly unit: "money" | "%" | "min";
  readonly max: number;
  readonly says: string;
}

export const RATE_FIELDS: readonly RateField[] = [
  { key: "perHour", label: "An hour at the bench", unit: "money", max: 1000, says: "charged for the minutes of the plan" },
  { key: "minMinutes", label: "Minimum time charged", unit: "min", max: 600, says: "a repair is never charged less than this" },
  { key: "testMinutes", label: "Testing and hand back", unit: "min", max: 600, says: "on top of the strip and the plan" },
  { key: "markupPercent", label: "Mark-up on parts", unit: "%", max: 500, says: "parts from the drawer go at their own price" },
  { key: "cleaningCost", label: "Cleaning", unit: "money", max: 1000, says: "solvent and wipes for a typical job" },
  { key: "taxPercent", label: "Tax", unit: "%", max: 100, says: "on everything, at your local rate" },
  {
    key: "ifDeclined",
    label: "If a quote is declined",
    unit: "money",
    max: 1000,
    says: "before tax, for finding the fault and putting it back as it was",
  },
];
