import { GRAMS_PER_OUNCE, MM_PER_INCH } from "./units";

/** What a figure is of; each is kept in one unit. */
export const FIGURE_UNITS = {
  mass: "g",
  volume: "ml",
  length: "mm",
  temperature: "°C",
  speed: "m/s",
  turns: "rpm",
} as const;
export type FigureOf = keyof typeof FIGURE_UNITS;

/** A figure as it was typed, in the unit of what it is of. */
export interface TypedFigure {
  /** of a spread its middle */
  readonly value: number;
  /** both ends of a spread; left out: one figure was typed */
  readonly spread?: readonly [least: number, most: number];
  /** the unit that was typed, where it was another: "oz" */
  readonly unit?: string;
}

/** What a figure is turned with from one quantity into another; left out: it cannot be. */
export interface FigureGround {
  /** turns millilitres, teaspoons and drops into grams, g/ml */
  readonly densityGPerMl?: number | undefined;
  /** what a stroke of the shop's grease gun gives, g */
  readonly gunGramsPerStroke?: number | undefined;
}

/** Millilitres in a US fluid ounce, exactly 29.5735295625. */
export const ML_PER_FLUID_OUNCE = 29.5735295625;
/** A drop of oil, ml. */
export const DROP_ML = 0.03;

interface Unit {
  readonly words: RegExp;
  readonly called: string;
  readonly of: FigureOf | "strokes";
  readonly factor: number;
  readonly offset?: number;
}
const unit = (of: Unit["of"], called: string, factor: number, words: RegExp, offset?: number): Unit => ({
  words,
  called,
  of,
  factor,
  ...(offset !== undefined && { offset }),
});

/**
 * Units as they are typed. Sources: the international pound and inch of 1959; the US fluid ounce of 231/128
 * cubic inches; a teaspoon and a tablespoon are the metric 5 and 15 ml of kitchen measures.
 */
const UNITS: readonly Unit[] = [
  unit("mass", "mg", 0.001, /^(?:mg|milligram(?:me)?s?)$/),
  unit("mass", "g", 1, /^(?:g|gr|gm|gms|gram(?:me)?s?)$/),
  unit("mass", "kg", 1000, /^(?:kg|kgs|kilo(?:gram(?:me)?)?s?)$/),
  unit("mass", "lb", 16 * GRAMS_PER_OUNCE, /^(?:lbs?|pounds?)$/),
  unit("volume", "fl oz", ML_PER_FLUID_OUNCE, /^(?:fl ?oz|fluid ounces?)$/),
  unit("mass", "oz", GRAMS_PER_OUNCE, /^(?:oz|ounces?)$/),
  unit("volume", "ml", 1, /^(?:ml|mls|cc|ccm|cm3|cm³|millilit(?:re|er)s?)$/),
  unit("volume", "cl", 10, /^cl$/),
  unit("volume", "l", 1000, /^(?:l|lit(?:re|er)s?)$/),
  unit("volume", "tsp", 5, /^(?:tsps?|teaspoon(?:ful)?s?)$/),
  unit("volume", "tbsp", 15, /^(?:tbsps?|tablespoon(?:ful)?s?)$/),
  unit("volume", "drops", DROP_ML, /^drops?$/),
  unit("strokes", "strokes", 1, /^(?:(?:gun )?(?:strokes?|pumps?)(?: of the (?:grease )?gun)?)$/),
  unit("length", "mm", 1, /^(?:mm|millimet(?:re|er)s?)$/),
  unit("length", "cm", 10, /^(?:cm|centimet(?:re|er)s?)$/),
  unit("length", "m", 1000, /^(?:m|met(?:re|er)s?)$/),
  unit("length", "in", MM_PER_INCH, /^(?:in|inch(?:es)?|"|″|”|'')$/),
  unit("temperature", "°C", 1, /^(?:°|° ?c|c|deg(?:rees)?(?: c(?:elsius)?)?|celsius)$/),
  unit("temperature", "°F", 5 / 9, /^(?:° ?f|f|deg(?:rees)? f(?:ahrenheit)?|fahrenheit)$/, -32),
  unit("speed", "m/s", 1, /^(?:m\/s|m\/sec|mps)$/),
  unit("speed", "ft/min", 0.00508, /^(?:ft\/min|fpm)$/),
  unit("turns", "rpm", 1, /^(?:rpm|1\/min|r\/min|u\/min|turns (?:a|per) minute)$/),
  unit("turns", "1/s", 60, /^(?:rps|1\/s|turns (?:a|per) second)$/),
];

const WORDS: Readonly<Record<string, string>> = {
  "half a": "0.5", "half an": "0.5", half: "0.5", "a quarter": "0.25", a: "1", an: "1", one: "1", two: "2",
  three: "3", four: "4", five: "5", six: "6", seven: "7", eight: "8", nine: "9", ten: "10", twelve: "12",
}; // biome-ignore format: a table
const WORD = new RegExp(`^(?:${Object.keys(WORDS).join("|")})(?= |$)`);
const VULGAR: Readonly<Record<string, string>> = {
  "½": "1/2",
  "¼": "1/4",
  "¾": "3/4",
  "⅓": "1/3",
  "⅔": "2/3",
  "⅛": "1/8",
};

/** "1 1/2", "3/4", "0.5", ".5", "12", and a sign. */
const NUMBER = String.raw`[-−+]?(?:\d+(?:[ -]\d+\/\d+|\/\d+|\.\d+)?|\.\d+)`;
const SPREAD = new RegExp(
  String.raw`^(${NUMBER}) *(?:(?:to|till|–|—|-|\.\.\.?|…) *(${NUMBER})|± *(${NUMBER}))? *(.*)$`,
);
/** "1,250": a thousand and a quarter, or one and a quarter. */
const EITHER = /(?<![\d.,])[1-9]\d{0,2},\d{3}(?!\d)/;
const ABOUT = /^(?:about|approx(?:\.|imately)?|ca\.?|circa|roughly|~|≈) */;

const numberOf = (text: string): number => {
  const m = /^([-−+]?)(?:(\d+)[ -])?(\d+)\/(\d+)$/.exec(text);
  if (!m) return Number(text.replace("−", "-"));
  const value = Number(m[2] ?? 0) + Number(m[3]) / Number(m[4]);
  return m[1] === "" || m[1] === "+" ? value : -value;
};

/** How the units of a quantity are asked for. */
const EXAMPLES: Readonly<Record<FigureOf, string>> = {
  mass: "a weight: 110 g, 4 oz or 110-130 g",
  volume: "a volume: 60 ml, 2 fl oz or 4 tsp",
  length: "a length: 45.1 mm or 1 3/16 in",
  temperature: "a temperature: -10 °C or 14 °F",
  speed: "a speed: 2.5 m/s",
  turns: "a speed: 900 rpm",
};

/**
 * Reads a figure as a technician types it: with or without its unit, a comma or a point, a fraction, a
 * spread, a word for a small number: `6 oz`, `1,5`, `½ tsp`, `110-130 g`, `110 ± 10`, `1 lb 4 oz`, `two
 * pumps`. A bare number is in the quantity's own unit.
 *
 * @returns the figure, or a sentence that says why it is none
 * @example typedFigure("6 oz", "mass") // { value: 170.097…, unit: "oz" }
 * @example typedFigure("110-130 g", "mass") // { value: 120, spread: [110, 130] }
 */
export function typedFigure(text: string, of: FigureOf, ground: FigureGround = {}): TypedFigure | string {
  const typed = text.trim();
  const either = EITHER.exec(typed);
  if (either)
    return `${either[0]}: is that ${either[0].replace(",", "")} or ${either[0].replace(",", ".")}? Write it without the comma.`;
  const plain = typed
    .toLowerCase()
    .replace(ABOUT, "")
    .replace(/(\d),(\d)/g, "$1.$2")
    .replace(/(\d)?([½¼¾⅓⅔⅛])/g, (_, whole, part) => `${whole ? `${whole} ` : ""}${VULGAR[part as string]}`)
    .replace(WORD, (word) => WORDS[word] ?? word)
    .replace(/ +/g, " ");
  const pounds = /^(\d+(?:\.\d+)?) ?(?:lbs?|pounds?),? (.+)$/.exec(plain);
  if (pounds && of === "mass") {
    const rest = typedFigure(pounds[2] as string, of, ground);
    const isOunces = typeof rest !== "string" && rest.unit === "oz" && !rest.spread;
    if (isOunces) return { value: Number(pounds[1]) * 16 * GRAMS_PER_OUNCE + rest.value, unit: "lb oz" };
  }
  const m = SPREAD.exec(plain);
  if (!m) return `“${typed}” is not ${EXAMPLES[of]}.`;
  const [, first = "", second, around, tail = ""] = m;
  const [a, b] = [numberOf(first), second === undefined ? undefined : numberOf(second)];
  const said = tail.replace(/\.$/, "").trim();
  const found = said ? UNITS.find((u) => u.words.test(said)) : undefined;
  if (said && !found) return `“${typed}” is not ${EXAMPLES[of]}.`;
  const turn = turning(found, of, ground);
  if (typeof turn === "string") return turn;
  const ends =
    around !== undefined
      ? ([a - numberOf(around), a + numberOf(around)] as const)
      : b !== undefined
        ? ([a, b] as const)
        : undefined;
  if (![a, ...(ends ?? [])].every(Number.isFinite)) return `“${typed}” is not ${EXAMPLES[of]}.`;
  if (ends && ends[0] > ends[1]) return `“${typed}”: the smaller figure comes first.`;
  const unitSaid = found && found.called !== FIGURE_UNITS[of] ? { unit: found.called } : {};
  if (!ends) return { value: turn(a), ...unitSaid };
  return { value: turn((ends[0] + ends[1]) / 2), spread: [turn(ends[0]), turn(ends[1])], ...unitSaid };
}

/** Turns a number of a unit into the unit of a quantity, or says why that cannot be. */
function turning(
  from: Unit | undefined,
  of: FigureOf,
  { densityGPerMl, gunGramsPerStroke }: FigureGround,
): ((n: number) => number) | string {
  if (!from) return (n) => n;
  const own = (n: number): number => (n + (from.offset ?? 0)) * from.factor;
  if (from.of === of) return own;
  const grams =
    from.of === "volume" && densityGPerMl
      ? (n: number) => own(n) * densityGPerMl
      : from.of === "strokes" && gunGramsPerStroke
        ? (n: number) => n * gunGramsPerStroke
        : undefined;
  if (of === "mass" && grams) return grams;
  if (from.of === "mass" && of === "volume" && densityGPerMl) return (n) => own(n) / densityGPerMl;
  if (of === "mass" && from.of === "strokes")
    return "What a stroke of the gun gives is not known: say it under Settings, or weigh one.";
  return `${from.called} does not measure ${of === "mass" ? "a weight" : `a ${of}`} here: type ${EXAMPLES[of]}.`;
}

/** The figure alone; null: the field is empty. Throws nothing: what is no figure is a sentence. */
export const typedOrEmpty = (
  text: string,
  of: FigureOf,
  ground?: FigureGround,
): TypedFigure | string | null => (text.trim() ? typedFigure(text, of, ground) : null);
