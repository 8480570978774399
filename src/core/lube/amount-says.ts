import { DEFAULT_DENSITY } from "../grease/charge";
import { DROP_ML } from "../quantity/typed-figure";
import { GRAMS_PER_OUNCE } from "../quantity/units";
import { LEAST_WEIGHED_G } from "./slips";

/**
 * An amount as the bench has it in hand: millilitres, ounces, strokes of the gun; of an oil drops. Under half
 * a gram of grease is a film.
 */
export function amountSays(
  grams: number,
  of: {
    readonly oil: boolean;
    readonly densityGPerMl?: number | undefined;
    readonly gunGramsPerStroke: number;
  },
): string {
  const ml = grams / (of.densityGPerMl ?? DEFAULT_DENSITY);
  if (of.oil && ml < 1) {
    const drops = Math.max(1, Math.round(ml / DROP_ML));
    return drops === 1 ? "a drop" : `${drops} drops`;
  }
  if (grams < LEAST_WEIGHED_G) return "a film";
  const strokes =
    of.gunGramsPerStroke > 0 && !of.oil ? Math.round((2 * grams) / of.gunGramsPerStroke) / 2 : 0;
  return [
    `${ml.toFixed(1)} ml`,
    `${(grams / GRAMS_PER_OUNCE).toFixed(2)} oz`,
    ...(strokes > 0 ? [`${strokes} ${strokes === 1 ? "stroke" : "strokes"}`] : []),
  ].join(" · ");
}

/**
 * What goes to one place, as a figure with its unit: of an oil drops or millilitres, of a grease grams, or a
 * film.
 *
 * @example amountAt(0.054, { oil: true }) // { figure: "2", unit: "drops" }
 */
export function amountAt(
  grams: number,
  of: { readonly oil: boolean; readonly densityGPerMl?: number | undefined },
): { readonly figure: string; readonly unit: string } {
  const ml = grams / (of.densityGPerMl ?? DEFAULT_DENSITY);
  if (of.oil) {
    const drops = Math.max(1, Math.round(ml / DROP_ML));
    if (drops > FEW_DROPS) return { figure: ml.toFixed(1), unit: "ml" };
    return { figure: String(drops), unit: drops === 1 ? "drop" : "drops" };
  }
  return grams < LEAST_WEIGHED_G
    ? { figure: "", unit: "a film" }
    : { figure: String(Number(grams.toFixed(1))), unit: "g" };
}
/** So many are counted as drops; more is measured. */
export const FEW_DROPS = 8;

const QUARTERS = ["", "a quarter of a", "half a", "three quarters of a"] as const;
/**
 * A volume in kitchen spoons, metric (5 and 15 ml): what somebody can picture, where nothing else tells
 * whether a figure is out by ten.
 *
 * @example inSpoons(1.2) // "a quarter of a teaspoon"
 */
export function inSpoons(ml: number): string {
  const [spoon, unit] = ml < 15 ? [5, "teaspoon"] : [15, "tablespoon"];
  const quarters = Math.round((4 * ml) / spoon);
  if (quarters === 0) return "less than an eighth of a teaspoon";
  if (quarters < 4) return `${QUARTERS[quarters]} ${unit}`;
  const whole = Math.round(ml / spoon);
  return whole > 20 ? `${(ml / 1000).toFixed(2)} l` : whole === 1 ? `a ${unit}` : `${whole} ${unit}s`;
}
