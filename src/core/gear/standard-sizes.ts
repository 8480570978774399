/**
 * Standard tooth sizes.
 *
 * Modules from 1 mm: ISO 54:1996, series I and II. ISO 54 starts at 1 mm; the fine modules below it are those of DIN 780-1, series I and II.
 * Diametral pitches: the whole numbers in use, AGMA 1012 practice.
 */
export const MODULES_ROW_I: readonly number[] = [0.2, 0.25, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1, 1.25, 1.5, 2, 2.5, 3, 4, 5, 6, 8, 10];
export const MODULES_ROW_II: readonly number[] = [0.35, 0.45, 0.55, 0.65, 0.75, 0.85, 1.125, 1.375, 1.75, 2.25, 2.75, 3.5, 4.5, 5.5, 7, 9];
export const DIAMETRAL_PITCHES: readonly number[] = [4, 5, 6, 8, 10, 12, 14, 16, 18, 20, 22, 24, 28, 30, 32, 36, 40, 48, 56, 64, 72, 80, 96, 120];

export interface ToothSize {
  readonly system: "module" | "diametral-pitch";
  readonly moduleMm: number;
  readonly diametralPitch: number | null;
  readonly pressureAngleDeg: number;
  /** how usual it is before anything was measured; not normed */
  readonly prior: number;
}

/** Every standard tooth with how usual it is: row I before row II, 20° before 14.5°, metric before inch in a European shop. */
export const TOOTH_SIZES: readonly ToothSize[] = [
  ...MODULES_ROW_I.flatMap((m) => metric(m, 1)),
  ...MODULES_ROW_II.flatMap((m) => metric(m, 0.12)),
  ...DIAMETRAL_PITCHES.flatMap((p) => inch(p, [12, 16, 20, 24, 32, 48, 64].includes(p) ? 0.5 : 0.1)),
];

function metric(moduleMm: number, prior: number): ToothSize[] {
  return [
    { system: "module", moduleMm, diametralPitch: null, pressureAngleDeg: 20, prior: prior * 0.98 },
    { system: "module", moduleMm, diametralPitch: null, pressureAngleDeg: 14.5, prior: prior * 0.02 },
  ];
}

function inch(diametralPitch: number, prior: number): ToothSize[] {
  const size = { system: "diametral-pitch", moduleMm: 25.4 / diametralPitch, diametralPitch } as const;
  return [
    { ...size, pressureAngleDeg: 20, prior: prior * 0.6 },
    { ...size, pressureAngleDeg: 14.5, prior: prior * 0.4 },
  ];
}
