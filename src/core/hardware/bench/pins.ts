import { MM_PER_INCH } from "../../quantity/units";

/** How a pin holds in its hole. */
export const PIN_FORMS = ["slotted", "coiled", "grooved", "solid"] as const;
export type PinForm = (typeof PIN_FORMS)[number];

/** A pin of a standard: the hole it goes into, and what it measures before it is driven, mm. */
export interface Pin {
  readonly name: string;
  readonly form: PinForm;
  readonly standard: string;
  /** the hole */
  readonly nominalMm: number;
  readonly freeLeastMm: number;
  readonly freeMostMm: number;
  readonly inch?: true;
}

const rows = (form: PinForm, standard: string, table: string): Pin[] =>
  table.split(";").map((row) => {
    const [nominalMm, freeLeastMm, freeMostMm] = row.trim().split(" ").map(Number) as [
      number,
      number,
      number,
    ];
    return { name: `${NAMES[form]} ${nominalMm}`, form, standard, nominalMm, freeLeastMm, freeMostMm };
  });
const NAMES: Readonly<Record<PinForm, string>> = {
  slotted: "spring pin",
  coiled: "coiled spring pin",
  grooved: "grooved pin",
  solid: "dowel pin",
};

/** Slotted, heavy duty. */
const SLOTTED =
  "1 1.2 1.3;1.5 1.7 1.8;2 2.3 2.4;2.5 2.8 2.9;3 3.3 3.5;3.5 3.8 4;4 4.4 4.6;4.5 4.9 5.1;5 5.4 5.6;6 6.4 6.7;8 8.5 8.8;10 10.5 10.8";
/** Coiled, standard duty. */
const COILED =
  "1 1.05 1.15;1.2 1.25 1.35;1.5 1.62 1.73;2 2.13 2.25;2.5 2.65 2.78;3 3.15 3.3;3.5 3.67 3.84;4 4.2 4.4;5 5.25 5.5;6 6.25 6.5;8 8.3 8.63;10 10.35 10.8";
/** Slotted, inch: nominal as it is said, nominal and free sizes in inch. */
const INCH =
  "1/16 0.062 0.066 0.069;5/64 0.078 0.083 0.086;3/32 0.094 0.099 0.103;1/8 0.125 0.131 0.135;5/32 0.156 0.162 0.167;3/16 0.187 0.194 0.199;7/32 0.219 0.226 0.232;1/4 0.25 0.258 0.264;5/16 0.312 0.321 0.33;3/8 0.375 0.385 0.395";
const inchPins: Pin[] = INCH.split(";").map((row) => {
  const [said, ...inch] = row.split(" ");
  const [nominalMm, freeLeastMm, freeMostMm] = inch.map((x) => Number(x) * MM_PER_INCH) as [
    number,
    number,
    number,
  ];
  return {
    name: `spring pin ${said} in`,
    form: "slotted",
    standard: "ASME B18.8.2",
    nominalMm,
    freeLeastMm,
    freeMostMm,
    inch: true,
  };
});
/** Limits of a shaft to m6, µm, by nominal size up to so many mm (ISO 286-2). */
const M6: readonly (readonly [upTo: number, least: number, most: number])[] = [
  [3, 2, 8],
  [6, 4, 12],
  [10, 6, 15],
];
const WHOLE = [1, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10];
const solid: Pin[] = WHOLE.map((d) => {
  const [, least, most] = M6.find(([upTo]) => d <= upTo) as (typeof M6)[number];
  return {
    name: `dowel pin ${d} m6`,
    form: "solid",
    standard: "ISO 2338, ISO 8734",
    nominalMm: d,
    freeLeastMm: d + least / 1000,
    freeMostMm: d + most / 1000,
  };
});
/**
 * Measured beside its grooves, which stand a few hundredths to two tenths higher: h9 up to 3 mm, h11 above
 * (ISO 8739 to 8745).
 */
const grooved: Pin[] = WHOLE.filter((d) => d >= 1.5 && d !== 2.5).map((d) => ({
  name: `grooved pin ${d}`,
  form: "grooved",
  standard: "ISO 8739 to 8745",
  nominalMm: d,
  freeLeastMm: d - (d <= 3 ? 0.025 : d <= 6 ? 0.075 : 0.09),
  freeMostMm: d,
}));

/**
 * ISO 8752 (slotted), ISO 8750 (coiled), ASME B18.8.2 (slotted, inch), ISO 2338 and 8734 (solid), ISO 8739 to
 * 8745 (grooved).
 */
export const PINS: readonly Pin[] = [
  ...rows("slotted", "ISO 8752", SLOTTED),
  ...rows("coiled", "ISO 8750", COILED),
  ...inchPins,
  ...solid,
  ...grooved,
];

/** What to know of a form when it comes out and goes in. */
export const PIN_SAYS: Readonly<Record<PinForm, string>> = {
  slotted: "Its slot faces the load, not away from it. One that went loose goes back new.",
  coiled:
    "Wound one and a half to two turns: softer than a slotted one, for shock. A slotted one in its place wears the hole.",
  grooved:
    "Goes out the way its grooves do not: drive on the end without them. It cuts the hole: the same size a second time holds less.",
  solid:
    "Holds by its fit alone, and puts parts in place: no spring pin in its stead. Out of a blind hole it is drawn by its thread, or pushed with grease.",
};
