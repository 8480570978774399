import { Fault } from "../../fault";
import { sentence } from "../../sentence";

/**
 * What is printed on a capacitor. A look, not a test: a capacitor that reads well may be bad all the same.
 */
export interface CapacitorMarks {
  readonly farads: number;
  /** as it is said: "100 nF" */
  readonly says: string;
  readonly volts?: number;
  /** AC or DC, where it says so */
  readonly current?: "AC" | "DC";
  readonly tolerance?: string;
  /** of an interference suppressor: X1, X2, Y1, Y2 … */
  readonly safety?: string;
  readonly notes: readonly string[];
}

const UNITS: Readonly<Record<string, number>> = { p: 1e-12, n: 1e-9, u: 1e-6, µ: 1e-6, μ: 1e-6, m: 1e-3 };
/** IEC 60062: letters of tolerance, %. */
const TOLERANCE: Readonly<Record<string, string>> = {
  F: "±1 %",
  G: "±2 %",
  J: "±5 %",
  K: "±10 %",
  M: "±20 %",
  Z: "+80 −20 %",
};

const VALUE = /(?<![\p{L}\p{N}.])(\d+(?:[.,]\d+)?)\s?(p|n|u|µ|μ|mf(?=d)|m)(?:(\d+)|f)?d?(?![\p{L}])/iu;
const CODE = /(?<![\p{L}\p{N}.])(\d{2})([0-6])([fgjkmz])?(?![\p{L}\p{N}.])/iu;
const VOLTS = /(\d{1,4})\s?v(?:olts?)?\s?[-.]?\s?(ac|dc|~|⎓|=)?/iu;
const SAFETY = /(?<![\p{L}\p{N}])([xy][1-4])(?![\p{L}\p{N}])/giu;

const inWords = (farads: number): string => {
  const [scale, unit] =
    farads >= 0.999e-3
      ? [1e3, "mF"]
      : farads >= 0.999e-6
        ? [1e6, "µF"]
        : farads >= 0.999e-9
          ? [1e9, "nF"]
          : [1e12, "pF"];
  return `${Number((farads * (scale as number)).toPrecision(4))} ${unit}`;
};

/**
 * Reads what is printed on a capacitor: `0.1µF X2 275V~`, `104K`, `2n2 Y2`, `4.7 uF 450 V`.
 *
 * @throws Fault where no value can be read
 * @example capacitorMarked("104K 275V~ X2") // { says: "100 nF", volts: 275, current: "AC", tolerance: "±10
 *   %", safety: "X2", … }
 */
export function capacitorMarked(text: string): CapacitorMarks {
  const value = VALUE.exec(text);
  const code = value ? null : CODE.exec(text.replace(VOLTS, " "));
  if (!value && !code)
    throw new Fault("marks", "no value is read from that: type what is printed, like 0.1 µF, 2n2 or 104K");
  // `2n2` has its point where the unit stands; MFD is an old way of writing µF
  const unit = value
    ? /^mf$/i.test(value[2] as string)
      ? 1e-6
      : (UNITS[(value[2] as string).toLowerCase()] ?? 1e-6)
    : 1e-12;
  const farads = value
    ? Number(`${(value[1] as string).replace(",", ".")}${value[3] ? `.${value[3]}` : ""}`) * unit
    : Number(code?.[1]) * 10 ** Number(code?.[2]) * 1e-12;
  if (!(farads > 0)) throw new Fault("marks", "a capacitor has more than 0 farads: read it again");
  const volts = VOLTS.exec(text);
  const current = /ac|~/i.test(volts?.[2] ?? "") ? "AC" : volts?.[2] ? "DC" : undefined;
  const tolerance = TOLERANCE[(code?.[3] ?? "").toUpperCase()];
  const safety = [...text.matchAll(SAFETY)].map((m) => (m[1] as string).toUpperCase()).join(" ");
  return {
    farads,
    says: inWords(farads),
    ...(volts ? { volts: Number(volts[1]) } : {}),
    ...(current ? { current } : {}),
    ...(tolerance ? { tolerance } : {}),
    ...(safety ? { safety } : {}),
    notes: [
      "Discharge it through a resistor before it is touched, and look at the meter: it may hold its charge for days.",
      safety
        ? `Class ${safety}: goes back as class ${safety} or better, with a mark of approval; nothing else belongs across the mains.`
        : "The new one: the same value, the same voltage or more, the same kind of current. Across the mains only class X, to the case only class Y: is it one?",
      "A look, not a test: a bulge, a crack or a leak condemns it; a good look clears nothing.",
    ],
  };
}

/** A carbon brush as it was measured, mm. */
export interface BrushSizes {
  readonly thickness: number;
  readonly width: number;
  readonly length: number;
  /** of a new one, where it is known */
  readonly newLength?: number;
  /** how far it may wear: from the end to a line or a stamp on its side */
  readonly toMark?: number;
}
export interface BrushAnswer {
  readonly name: string;
  readonly worn: "yes" | "no" | "not known";
  readonly notes: readonly string[];
}
/** Where nothing is marked and no new one is known, usual practice changes a brush below this, mm. */
const SHORTEST_MM = 6;

/**
 * A carbon brush by its sizes, and whether it is worn: past its mark, or down to a third of a new one, or
 * shorter than 6 mm where neither is known.
 *
 * @throws Fault where a size is missing or none
 */
export function brushMeasured(b: BrushSizes): BrushAnswer {
  for (const [what, mm] of Object.entries(b))
    if (mm !== undefined && !(mm >= 0 && mm <= 100)) throw new Fault(what, "a brush measures up to 100 mm");
  const [t, w] = [Math.min(b.thickness, b.width), Math.max(b.thickness, b.width)].map((x) => x.toFixed(1));
  const by =
    b.toMark !== undefined
      ? {
          worn: b.toMark <= 0,
          says: b.toMark <= 0 ? "worn past its mark" : `${b.toMark.toFixed(1)} mm are left to its mark`,
        }
      : b.newLength !== undefined
        ? {
            worn: b.length <= b.newLength / 3,
            says: `${Math.round((100 * b.length) / b.newLength)} % of a new one's length is left; a third is the end of it`,
          }
        : b.length < SHORTEST_MM
          ? { worn: true, says: `shorter than ${SHORTEST_MM} mm: usual practice changes it` }
          : undefined;
  return {
    name: `carbon brush ${t} × ${w} × ${b.length.toFixed(1)} mm`,
    worn: by ? (by.worn ? "yes" : "no") : "not known",
    notes: [
      by
        ? sentence(by.says)
        : "No mark and no new one to compare: look for a line on its side, or measure a new one.",
      "Both go new together, of the same grade: a harder one eats the commutator. The new one falls through its holder by its own weight, with a tenth of play.",
      "One that wore askew, chipped or burnt tells of the commutator or the spring: look at those first.",
    ],
  };
}
