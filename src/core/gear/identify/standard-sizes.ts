/**
 * Standard tooth sizes.
 *
 * Modules from 1 mm: ISO 54:1996, series I and II. ISO 54 starts at 1 mm; the fine modules below it are those
 * of DIN 780-1, series I and II.
 * Diametral pitches: the whole numbers in use, AGMA 1012 practice.
 */
export const MODULES_ROW_I: readonly number[] = [
  0.2, 0.25, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1, 1.25, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10,
];
export const MODULES_ROW_II: readonly number[] = [1.125, 1.375, 1.75, 2.25, 2.75, 3.5, 4.5, 5.5, 7, 9];
/**
 * The second row of DIN 780-1 below 1 mm. ISO 54 does not know it, no gear is stocked in it, and small
 * moulded gears of no standard are far more usual than it: a tooth that
 * measures so is named by what was measured, as a free module, and told that this row has it.
 */
export const FINE_MODULES_ROW_II: readonly number[] = [0.35, 0.45, 0.55, 0.65, 0.75, 0.85];
export const DIAMETRAL_PITCHES: readonly number[] = [
  4, 5, 6, 8, 10, 12, 14, 16, 18, 20, 22, 24, 28, 30, 32, 36, 40, 48, 56, 64, 72, 80, 96, 120,
];

/**
 * How high a tooth stands over the reference circle, in modules: the full depth of ISO 53, and the stub
 * tooth.
 */
export const FULL_DEPTH = 1;
export const STUB = 0.8;

/** The form of a tooth apart from its size. */
export interface ToothForm {
  readonly pressureAngleDeg: number;
  readonly addendum: number;
  /** how usual it is before anything was measured, as a share */
  readonly prior: number;
}

export interface ToothSize extends ToothForm {
  readonly system: "module" | "diametral-pitch";
  readonly moduleMm: number;
  readonly diametralPitch: number | null;
  /** how usual it is before anything was measured; not normed */
  readonly prior: number;
}

const form = (pressureAngleDeg: number, addendum: number, prior: number): ToothForm => ({
  pressureAngleDeg,
  addendum,
  prior,
});

/**
 * Forms in use beside the 20° full depth of ISO 53: 14.5° (old inch gears), 25° (short, strong pinions),
 * 17.5° and 15° (older metric gears), stubs of 0.8 modules at 20 and 25°.
 * Fine-pitch racks (AGMA 1003, from 20 DP) differ in their clearance only, which these readings hardly see.
 */
const forms = (old: number): ToothForm[] => {
  const rare = [
    form(25, FULL_DEPTH, 0.05),
    form(17.5, FULL_DEPTH, 0.05),
    form(15, FULL_DEPTH, 0.015),
    form(20, STUB, 0.03),
    form(25, STUB, 0.005),
  ];
  const rest = 1 - rare.reduce((sum, f) => sum + f.prior, 0);
  return [form(20, FULL_DEPTH, rest * (1 - old)), form(14.5, FULL_DEPTH, rest * old), ...rare];
};
export const METRIC_FORMS: readonly ToothForm[] = forms(0.02);
const INCH_FORMS: readonly ToothForm[] = forms(0.4);

/**
 * Every standard tooth with how usual it is: row I before row II, 20° before the rest, metric before inch in
 * a European shop.
 */
export const TOOTH_SIZES: readonly ToothSize[] = [
  ...MODULES_ROW_I.flatMap((m) => metric(m, 1)),
  ...MODULES_ROW_II.flatMap((m) => metric(m, 0.12)),
  ...DIAMETRAL_PITCHES.flatMap((p) => inch(p, [12, 16, 20, 24, 32, 48, 64].includes(p) ? 0.5 : 0.1)),
];

function metric(moduleMm: number, prior: number): ToothSize[] {
  return METRIC_FORMS.map((f) => ({
    system: "module",
    moduleMm,
    diametralPitch: null,
    ...f,
    prior: prior * f.prior,
  }));
}

function inch(diametralPitch: number, prior: number): ToothSize[] {
  return INCH_FORMS.map((f) => ({
    system: "diametral-pitch",
    moduleMm: 25.4 / diametralPitch,
    diametralPitch,
    ...f,
    prior: prior * f.prior,
  }));
}

/** Full-depth teeth of 20°: all that bevels and worms are told apart by. */
export const PLAIN_SIZES: readonly ToothSize[] = TOOTH_SIZES.filter(
  (s) => s.pressureAngleDeg === 20 && s.addendum === FULL_DEPTH,
);

/** What sizes weigh together before anything was measured. */
export const weightOf = (sizes: readonly ToothSize[]): number => sizes.reduce((sum, s) => sum + s.prior, 0);
/** What all standard sizes weigh together. */
export const STANDARD_WEIGHT = weightOf(TOOTH_SIZES);
