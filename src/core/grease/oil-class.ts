/** What the class on an oil's tin tells. */
export interface OilClass {
  /** of the oil at 40 °C, mm²/s; of SAE classes about the middle */
  readonly viscosityMm2s?: number;
  readonly ep?: boolean;
  readonly activeSulphur?: boolean;
}

/**
 * SAE classes by the usual viscosity of their oils at 40 °C, mm²/s. SAE sets them at 100 °C and in the cold
 * (J300 for engines, J306 for gears), so that oils of one class differ; these are the middle of what is sold.
 * Gear classes from 70 on are not thicker than engine classes of 30 to 50: the two scales are different ones.
 */
const SAE: Readonly<Record<string, number>> = {
  "10W": 32, "20W": 68, 20: 55, 30: 100, 40: 140, 50: 220, 60: 320,
  "0W-20": 43, "5W-20": 48, "5W-30": 62, "10W-30": 70, "5W-40": 85, "10W-40": 95, "15W-40": 110, "20W-50": 165,
  "75W": 30, "75W-80": 55, "75W-85": 65, "75W-90": 100, "80W": 75, "80W-90": 145, "85W-90": 190, "75W-140": 180,
  "85W-140": 390, 80: 75, 85: 105, 90: 190, 140: 450, 250: 1000,
}; // biome-ignore format: a table

const VG = /\b(?:ISO[ -]?)?VG[ -]?(\d{1,4})\b/i;
const SAE_NAMED = /\bSAE[ -]?(\d{2,3}W?(?:-\d{2,3})?)\b|\b(\d{1,2}W-?\d{2,3})\b/i;
const GL = /\b(?:API )?GL-?\s?([1-6])\b/i;

/**
 * Reads the class on an oil's tin: "ISO VG 220", "SAE 80W-90 GL-5". A GL-4 holds EP additives; a GL-5 so many,
 * mostly with active sulphur, that it is kept away from bronze unless its sheet says that it is not active
 * (API 1560).
 *
 * @example oilClass("hypoid 80W-90 GL-5") // { viscosityMm2s: 145, ep: true, activeSulphur: true }
 */
export function oilClass(text: string): OilClass {
  const vg = VG.exec(text)?.[1];
  const named = SAE_NAMED.exec(text);
  const sae = (named?.[1] ?? named?.[2])?.toUpperCase().replace(/^(\d+W)(\d)/, "$1-$2");
  const gl = Number(GL.exec(text)?.[1] ?? 0);
  const viscosityMm2s = vg ? Number(vg) : sae === undefined ? undefined : SAE[sae];
  return {
    ...(viscosityMm2s !== undefined && viscosityMm2s > 0 && { viscosityMm2s }),
    ...(gl > 0 && { ep: gl >= 3 }),
    ...(gl >= 5 && { activeSulphur: true }),
  };
}
