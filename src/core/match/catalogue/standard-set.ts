import { BEARINGS } from "../../hardware/bench/bearings";
import { CIRCLIPS } from "../../hardware/bench/clips";
import { O_RINGS } from "../../hardware/bench/o-rings";
import { PINS } from "../../hardware/bench/pins";
import { type CataloguePart, cataloguePart } from "./catalogue-part";
import type { PartSpec } from "./part-spec";

/** Nominal lengths of ISO 8752 that a bench meets, mm. */
const PIN_LENGTHS = [8, 10, 12, 14, 16, 18, 20, 24, 28, 30, 40] as const;

const part = (number: string, name: string, spec: PartSpec): CataloguePart =>
  cataloguePart.parse({ number, name, spec });

/**
 * Standard parts by their designation, without prices and without anybody who sells them: ball bearings (ISO
 * 15; open and with two seals), circlips (DIN 471, 472), spring pins (ISO 8752), O-rings (ISO 3601, JIS B
 * 2401 and metric). A shop is offered them; it is never given them unasked.
 */
export function standardSet(): CataloguePart[] {
  return [
    ...BEARINGS.filter((b) => b.type === "deep-groove ball").flatMap(
      ({ designation, boreMm, outsideMm, widthMm, closedWidthMm = widthMm }) =>
        (["open", "2RS"] as const).map((closure) =>
          part(
            closure === "open" ? designation : `${designation}-${closure}`,
            `Ball bearing ${designation}${closure === "open" ? ", open" : ", two seals"}`,
            {
              kind: "bearing",
              insideMm: boreMm,
              outsideMm,
              widthMm: closure === "open" ? widthMm : closedWidthMm,
              closure,
            },
          ),
        ),
    ),
    ...CIRCLIPS.filter((c) => c.standard !== "DIN 6799").map(({ standard, nominalMm, thicknessMm }) =>
      part(
        `${standard}-${nominalMm}`,
        `Circlip for a ${standard === "DIN 471" ? "shaft" : "bore"} of ${nominalMm} mm`,
        {
          kind: "circlip",
          seat: standard === "DIN 471" ? "shaft" : "bore",
          diameterMm: nominalMm,
          thicknessMm,
        },
      ),
    ),
    ...PINS.filter((p) => p.standard === "ISO 8752" && p.nominalMm >= 2 && p.nominalMm <= 6).flatMap(
      ({ nominalMm }) =>
        PIN_LENGTHS.map((lengthMm) =>
          part(`ISO 8752-${nominalMm}×${lengthMm}`, `Spring pin ${nominalMm} × ${lengthMm}`, {
            kind: "pin",
            form: "spring",
            diameterMm: nominalMm,
            lengthMm,
          }),
        ),
    ),
    ...O_RINGS.map(({ designation, insideMm, sectionMm, series }) =>
      part(
        series === "metric" ? `O-ring ${designation}` : `${series}-${designation}`,
        `O-ring ${insideMm.toFixed(2)} × ${sectionMm.toFixed(2)} mm`,
        {
          kind: "o-ring",
          insideMm: Number(insideMm.toFixed(2)),
          sectionMm: Number(sectionMm.toFixed(2)),
        },
      ),
    ),
  ];
}
