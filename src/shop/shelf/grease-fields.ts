import { BASE_OILS, GREASE_THICKENERS, NLGI_NAMES, thickenerName } from "@/core/grease/lubricant";
import type { FieldOfForm } from "../forms/form-field";

/** What only a grease has. */
const OF_GREASE = new Set(["thickener", "nlgi"]);

/**
 * @param currency sign of the shop's money
 * @param sort what it is said to be
 */
export const greaseFields = (currency: string, sort?: string): readonly FieldOfForm[] =>
  all(currency).filter((f) => sort !== "oil" || !OF_GREASE.has(f.column));

const all = (currency: string): readonly FieldOfForm[] => [
  { column: "name", label: "Name on the tube" },
  {
    column: "sort",
    label: "It is",
    options: [
      ["grease", "a grease"],
      ["oil", "an oil"],
    ],
    hint: "empty: a grease",
  },
  {
    column: "thickener",
    label: "Thickener",
    options: GREASE_THICKENERS.map((t) => [t, thickenerName(t)]),
    hint: "decides what it mixes with",
  },
  {
    column: "base_oil",
    label: "Base oil",
    options: BASE_OILS.map((o) => [o, o]),
    hint: "decides what it attacks",
  },
  { column: "nlgi", label: "NLGI class", options: NLGI_NAMES.map((n) => [n, n]) },
  {
    column: "viscosity_mm2_s",
    label: "Oil at 40 °C, mm²/s",
    figure: true,
    hint: "decides what speed it suits; of an oil its class does: VG 220, SAE 30",
  },
  {
    column: "ep",
    label: "EP additives",
    options: [
      ["yes", "yes"],
      ["no", "no"],
    ],
    hint: "warm, they eat bronze; empty: not known",
  },
  {
    column: "active_sulphur",
    label: "Active sulphur",
    options: [
      ["yes", "yes"],
      ["no", "no"],
    ],
    hint: "eats bronze even cold; empty: not known",
  },
  { column: "solids", label: "Solids in it", hint: "MoS2, graphite, PTFE" },
  { column: "from_c", label: "From, °C", figure: true },
  { column: "to_c", label: "To, °C", figure: true },
  { column: "density_g_per_ml", label: "Density, g/ml", figure: true, hint: "empty: 0.9 is reckoned with" },
  { column: "lot", label: "Lot" },
  { column: "opened_on", label: "Opened on", type: "date" },
  { column: "stock_g", label: "In stock, g", figure: true, hint: "or in oz, kg, ml" },
  { column: "price_per_100_g", label: `Price of 100 g, ${currency}`, figure: true },
  { column: "h1", label: "H1, food contact", flag: "F" },
];
