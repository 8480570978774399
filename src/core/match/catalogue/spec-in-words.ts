import { isToothed, type PartSpec } from "./part-spec";

const bored = (s: { readonly boreMm?: number; readonly boreForm?: string }): string | undefined =>
  s.boreMm === undefined
    ? undefined
    : `bore ${s.boreMm}${s.boreForm && s.boreForm !== "round" ? `, ${s.boreForm}` : ""}`;
const across = (s: { readonly outsideMm?: number }): string | undefined =>
  s.outsideMm === undefined ? undefined : `${s.outsideMm} mm outside`;

/**
 * A part in one line, as it would be asked for over the counter.
 *
 * @example specInWords({ kind: "bearing", insideMm: 8, outsideMm: 22, widthMm: 7, closure: "2RS" }) // "8 ×
 *   22 × 7 mm · 2RS"
 */
export function specInWords(spec: PartSpec): string {
  const list = (...words: (string | number | undefined | false)[]): string =>
    words.filter((w) => w !== undefined && w !== "" && w !== false).join(" · ");
  switch (spec.kind) {
    case "gear":
      return list(
        spec.teeth !== undefined && `${spec.teeth} teeth`,
        spec.moduleMm !== undefined && `module ${spec.moduleMm}`,
        isToothed(spec) ? `${spec.pressureAngleDeg}°` : "its tooth is not told",
        spec.secondTeeth !== undefined && `second rim ${spec.secondTeeth} teeth`,
        spec.soldAs === "pair" && "sold as a pair",
        spec.helixAngleDeg ? `helix ${spec.helixAngleDeg}°${spec.hand ? ` ${spec.hand}` : ""}` : undefined,
        bored(spec),
        spec.material,
      );
    case "bearing":
      return list(
        `${spec.insideMm} × ${spec.outsideMm} × ${spec.widthMm} mm`,
        spec.closure,
        spec.clearance,
        spec.cage && spec.cage !== "none" && `${spec.cage} cage`,
      );
    case "bush":
      return list(
        `${spec.insideMm} × ${spec.outsideMm} × ${spec.widthMm} mm`,
        spec.flangeMm !== undefined && `flange ${spec.flangeMm}`,
        spec.material,
      );
    case "seal":
      return list(`${spec.insideMm} × ${spec.outsideMm} × ${spec.widthMm} mm`, spec.material);
    case "o-ring":
      return list(`${spec.insideMm} × ${spec.sectionMm} mm`, spec.material);
    case "pin":
      return list(`${spec.diameterMm} × ${spec.lengthMm} mm`, spec.form);
    case "circlip":
      return list(
        `for a ${spec.seat} of ${spec.diameterMm} mm`,
        spec.thicknessMm !== undefined && `${spec.thicknessMm} thick`,
      );
    case "belt":
      return list(
        spec.profile,
        `${spec.lengthMm} mm long`,
        spec.widthMm !== undefined && `${spec.widthMm} wide`,
        spec.teeth !== undefined && `${spec.teeth} teeth`,
      );
    case "brush":
      return list(`${spec.lengthMm} × ${spec.widthMm} × ${spec.thicknessMm} mm`, spec.lead, spec.grade);
    case "switch":
      return list(
        `${spec.volts} V`,
        `${spec.amps} A`,
        spec.poles !== undefined && `${spec.poles}-pole`,
        spec.form,
      );
    case "capacitor":
      return list(`${spec.microfarads} µF`, `${spec.volts} V`, spec.class);
    case "fuse":
      return list(
        spec.speed && `${spec.speed} ${spec.amps} A`,
        !spec.speed && `${spec.amps} A`,
        `${spec.volts} V`,
        spec.size,
      );
    case "thermal-cut-off":
      return list(
        `${spec.celsius} °C`,
        `${spec.amps} A`,
        `${spec.volts} V`,
        spec.resets && (spec.resets === "never" ? "opens once" : `closes again ${spec.resets}`),
      );
    case "heater":
      return list(`${spec.volts} V`, `${spec.watts} W`, spec.size, spec.material);
    case "board":
      return list(spec.marking, spec.revision && `revision ${spec.revision}`);
    case "spline":
      return list(
        `${spec.teeth} teeth`,
        spec.form,
        spec.insideMm !== undefined && spec.outsideMm !== undefined
          ? `${spec.insideMm} × ${spec.outsideMm} mm`
          : across(spec),
        spec.on,
        spec.material,
      );
    case "ratchet":
      return list(
        `${spec.teeth} teeth`,
        spec.toothed,
        across(spec),
        bored(spec),
        spec.holds && `holds ${spec.holds}`,
        spec.material,
      );
    case "dog-clutch":
      return list(`${spec.teeth} dogs`, spec.flanks, across(spec), bored(spec), spec.material);
    case "one-way-clutch":
      return list(
        `${spec.insideMm} × ${spec.outsideMm} × ${spec.widthMm} mm`,
        spec.runsOn && `on ${spec.runsOn}`,
        spec.holds && `holds ${spec.holds}`,
      );
    case "consumable":
      return list(`${spec.amount} ${spec.unit}`, spec.size);
    case "gasket":
      return list(spec.thicknessMm !== undefined && `${spec.thicknessMm} mm`, spec.size, spec.material);
    default:
      return list(spec.size, spec.material);
  }
}
