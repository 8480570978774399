import { BASE_OILS, GREASE_THICKENERS, NLGI_NAMES, thickenerName } from "@/core/grease/lubricant";
import type { FieldOfForm } from "../forms/form-field";

/** @param currency sign of the shop's money */
export const greaseFields = (currency: string): readonly FieldOfForm[] => [
  { column: "name", label: "Name on the tube" },
  {
    column: "thickener",
    label: "Thickener",
    options: GREASE_THICKENERS.map((t) => [t, thickenerName(t)]),
    hint: "on the data sheet: decides what it mixes with",
  },
  { column: "base_oil", label: "Base oil", options: BASE_OILS.map((o) => [o, o]), hint: "decides which plastics and seals it leaves alone" },
  { column: "nlgi", label: "NLGI class", options: NLGI_NAMES.map((n) => [n, n]) },
  { column: "from_c", label: "From, °C", figure: true },
  { column: "to_c", label: "To, °C", figure: true },
  { column: "density_g_per_ml", label: "Density, g/ml", figure: true, hint: "empty: 0.9 is reckoned with" },
  { column: "lot", label: "Lot" },
  { column: "opened_on", label: "Opened on", type: "date" },
  { column: "stock_g", label: "In stock, g", figure: true },
  { column: "price_per_100_g", label: `Price of 100 g, ${currency}`, figure: true },
  { column: "h1", label: "H1, food contact", flag: "F" },
];
