import type { ShopSettings } from "@/store/settings";

/** A figure that the shop sets: how it is asked for, and between what it must lie. */
export interface RateField {
  readonly key: keyof ShopSettings["rates"] | "testMinutes" | "cleaningCost";
  readonly label: string;
  readonly unit: "money" | "%" | "min";
  readonly most: number;
  readonly says: string;
}

export const RATE_FIELDS: readonly RateField[] = [
  { key: "perHour", label: "An hour at the bench", unit: "money", most: 1000, says: "what a quote charges for the minutes of the plan" },
  { key: "leastMinutes", label: "Least time charged", unit: "min", most: 600, says: "a repair is never charged less than this" },
  { key: "testMinutes", label: "Testing and handing back", unit: "min", most: 600, says: "on top of the strip and the plan" },
  { key: "markupPercent", label: "On what parts cost", unit: "%", most: 500, says: "parts from the drawer go at their own price" },
  { key: "cleaningCost", label: "Cleaning", unit: "money", most: 1000, says: "solvent and wipes of a usual job" },
  { key: "taxPercent", label: "Tax", unit: "%", most: 100, says: "on everything, as your country asks" },
  {
    key: "ifDeclined",
    label: "If a quote is declined",
    unit: "money",
    most: 1000,
    says: "before tax, for finding the fault and putting it together as it was",
  },
];
