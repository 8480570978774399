import type { LengthUnit } from "@/core/quantity/units";
import type { ShopSettings } from "@/store/settings";

type ElectricalKey =
  `electrical.${"earthBondOhm" | "insulationIMohm" | "insulationIIMohm" | "protectiveMa" | "touchMa"}`;

/** What the shop sets once: how it is asked for, and between what it must lie. */
export type ShopField = { readonly label: string; readonly says: string } & (
  | {
      readonly key: "shopName" | "town" | "currency";
      readonly unit: "text";
      readonly min: number;
      readonly max: number;
    }
  | {
      readonly key: "lengthUnit";
      readonly unit: "choice";
      readonly of: readonly { readonly value: LengthUnit; readonly says: string }[];
    }
  | {
      readonly key: ElectricalKey;
      readonly unit: "Ω" | "MΩ" | "mA";
      readonly max: number;
      readonly mayBeEmpty?: true;
    }
  | {
      readonly key: "electrical.source" | "electrical.tester" | "electrical.calibratedOn";
      readonly unit: "text" | "day";
      readonly min: 0;
      readonly max: number;
    }
  | { readonly key: "backup.folder"; readonly unit: "text"; readonly min: 0; readonly max: number }
  | {
      readonly key: "backup.nightlyAt";
      readonly unit: "choice";
      readonly of: readonly { readonly value: string; readonly says: string }[];
    }
  | { readonly key: "backup.keep"; readonly unit: "count"; readonly max: number }
  | { readonly key: "forgetAfterMonths" | "warrantyMonths"; readonly unit: "months"; readonly max: number }
  | {
      readonly key: keyof ShopSettings["rates"] | "testMinutes" | "cleaningCost" | "gunGramsPerStroke";
      readonly unit: "money" | "%" | "min" | "g";
      readonly max: number;
    }
);

export const SHOP_FIELDS: readonly ShopField[] = [
  {
    key: "shopName",
    label: "Name of the shop",
    unit: "text",
    min: 1,
    max: 60,
    says: "on the board and at the head of every sheet",
  },
  {
    key: "town",
    label: "Address",
    unit: "text",
    min: 0,
    max: 120,
    says: "under the name, on quotes and return sheets",
  },
  {
    key: "warrantyMonths",
    label: "Warranty on the work",
    unit: "months",
    max: 120,
    says: "on the return sheet, beside what the law gives; 0: nothing is said",
  },
  {
    key: "currency",
    label: "Currency",
    unit: "text",
    min: 1,
    max: 4,
    says: "its sign, as prices are written: €, £, $, kr",
  },
  {
    key: "lengthUnit",
    label: "Lengths first in",
    unit: "choice",
    of: [
      { value: "mm", says: "mm" },
      { value: "in", says: "inch" },
    ],
    says: "on the gear bench; the other is one key away",
  },
  {
    key: "perHour",
    label: "An hour at the bench",
    unit: "money",
    max: 1000,
    says: "charged for the minutes of the plan",
  },
  {
    key: "minMinutes",
    label: "Minimum time charged",
    unit: "min",
    max: 600,
    says: "a repair is never charged less than this",
  },
  {
    key: "testMinutes",
    label: "Testing and hand back",
    unit: "min",
    max: 600,
    says: "on top of the strip and the plan",
  },
  {
    key: "markupPercent",
    label: "Mark-up on parts",
    unit: "%",
    max: 500,
    says: "parts from the drawer go at their own price",
  },
  {
    key: "cleaningCost",
    label: "Cleaning",
    unit: "money",
    max: 1000,
    says: "solvent and wipes for a typical job",
  },
  {
    key: "gunGramsPerStroke",
    label: "A stroke of the grease gun",
    unit: "g",
    max: 100,
    says: "weigh ten; 0: amounts in grams alone",
  },
  { key: "taxPercent", label: "Tax", unit: "%", max: 100, says: "on everything, at your local rate" },
  {
    key: "ifDeclined",
    label: "If a quote is declined",
    unit: "money",
    max: 1000,
    says: "before tax, for finding the fault and putting it back as it was",
  },
];

/** By what the shop tests a mains unit. Defaults to begin with; the local code decides. */
export const ELECTRICAL_FIELDS: readonly ShopField[] = [
  {
    key: "electrical.earthBondOhm",
    label: "Earth bond, class I",
    unit: "Ω",
    max: 10,
    says: "at most, with its cord",
  },
  {
    key: "electrical.insulationIMohm",
    label: "Insulation, class I",
    unit: "MΩ",
    max: 1000,
    says: "at least, at 500 V DC",
  },
  {
    key: "electrical.insulationIIMohm",
    label: "Insulation, class II",
    unit: "MΩ",
    max: 1000,
    says: "at least, at 500 V DC",
  },
  {
    key: "electrical.protectiveMa",
    label: "Protective current",
    unit: "mA",
    max: 100,
    mayBeEmpty: true,
    says: "at most; empty: the tester’s programme decides",
  },
  {
    key: "electrical.touchMa",
    label: "Touch current",
    unit: "mA",
    max: 100,
    mayBeEmpty: true,
    says: "at most; empty: the tester’s programme decides",
  },
  {
    key: "electrical.source",
    label: "Where the limits come from",
    unit: "text",
    min: 0,
    max: 120,
    says: "the local code and its year, on every sheet",
  },
  { key: "electrical.tester", label: "Tester", unit: "text", min: 0, max: 80, says: "its name and number" },
  {
    key: "electrical.calibratedOn",
    label: "Calibrated on",
    unit: "day",
    min: 0,
    max: 10,
    says: "on every sheet with a measured figure",
  },
];

/** Where and when the shop is backed up. */
export const BACKUP_FIELDS: readonly ShopField[] = [
  {
    key: "backup.folder",
    label: "Folder",
    unit: "text",
    min: 0,
    max: 500,
    says: "on another disk than the shop’s, with its whole path",
  },
  {
    key: "backup.nightlyAt",
    label: "Every night",
    unit: "choice",
    of: [
      { value: "", says: "no" },
      ...[22, 23, 0, 1, 2, 3, 4, 5].map((h) => ({ value: String(h), says: `at ${h}:00` })),
    ],
    says: "while the program runs; after a night that it slept through, in the morning",
  },
  {
    key: "backup.keep",
    label: "Kept",
    unit: "count",
    max: 365,
    says: "the last so many, and one of each month before",
  },
];

/** How long a customer is known. */
export const FORGET_FIELD: ShopField = {
  key: "forgetAfterMonths",
  label: "Forgotten after",
  unit: "months",
  max: 600,
  says: "counted from the day the unit went home; 0: never",
};
export const ALL_FIELDS: readonly ShopField[] = [
  ...SHOP_FIELDS,
  ...ELECTRICAL_FIELDS,
  ...BACKUP_FIELDS,
  FORGET_FIELD,
];
