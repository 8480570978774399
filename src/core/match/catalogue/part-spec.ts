import { z } from "zod";
import type { Frozen } from "../../frozen";
import { BORE_FORMS } from "../../gear/bore-form";
import type { Gear } from "../../gear/dimensions";
import { BEVEL_TEETH, GEAR_KINDS } from "../../gear/gear-kind";

const mm = z.number().positive().max(10_000);
const text = z.string().trim().min(1).max(80);

/** What the catalogue knows of a part, by its kind. Lengths in mm, angles in degrees. */
export const gearSpec = z.strictObject({
  kind: z.literal("gear"),
  /** left out: spur, or helical where there is a helix angle */
  form: z.enum(GEAR_KINDS).optional(),
  teeth: z.int().min(1).max(2000),
  moduleMm: z.number().positive().max(50),
  pressureAngleDeg: z.number().min(10).max(35).default(20),
  helixAngleDeg: z.number().min(0).max(89).default(0),
  hand: z.enum(["left", "right"]).optional(),
  /**
   * left out: not told. Two gears of one count and module differ by it in their tips and in how far apart
   * they run
   */
  profileShift: z.number().min(-2).max(2).optional(),
  /** of a bevel: how its teeth run */
  bevelTeeth: z.enum(BEVEL_TEETH).optional(),
  /** of a worm: over its reference cylinder; of a worm wheel: of the worm it is cut for */
  wormDiameterMm: mm.optional(),
  /** of a pulley: the belt it is for, "T5", "GT3", "J" */
  profile: text.optional(),
  faceWidthMm: mm.optional(),
  boreMm: mm.optional(),
  boreForm: z.enum(BORE_FORMS).optional(),
  material: text.optional(),
});
export type GearSpec = Frozen<z.infer<typeof gearSpec>>;

/** How the teeth of a splined shaft or hub are shaped: parallel sides; involute; a triangle. */
export const SPLINE_FORMS = ["straight-sided", "involute", "serration"] as const;
const count = z.int("must be a whole number").min(1).max(400);
const ring = { insideMm: mm, outsideMm: mm, widthMm: mm };

export const bearingSpec = z.strictObject({
  kind: z.literal("bearing"),
  ...ring,
  closure: z.enum(["open", "Z", "2Z", "RS", "2RS"]).optional(),
});
export const bushSpec = z.strictObject({
  kind: z.literal("bush"),
  ...ring,
  flangeMm: mm.optional(),
  material: text.optional(),
});
export const sealSpec = z.strictObject({ kind: z.literal("seal"), ...ring, material: text.optional() });

/** What is told apart by one size in words, or by hardly anything. */
const loose = <K extends string>(kind: K) =>
  z.strictObject({ kind: z.literal(kind), size: text.optional(), material: text.optional() });

export const partSpec = z.discriminatedUnion("kind", [
  gearSpec,
  bearingSpec,
  bushSpec,
  sealSpec,
  z.strictObject({ kind: z.literal("o-ring"), insideMm: mm, sectionMm: mm, material: text.optional() }),
  z.strictObject({
    kind: z.literal("gasket"),
    thicknessMm: mm.optional(),
    size: text.optional(),
    material: text.optional(),
  }),
  z.strictObject({
    kind: z.literal("pin"),
    form: z.enum(["dowel", "spring", "cotter", "cross"]).optional(),
    diameterMm: mm,
    lengthMm: mm,
  }),
  z.strictObject({
    kind: z.literal("circlip"),
    seat: z.enum(["shaft", "bore"]),
    diameterMm: mm,
    thicknessMm: mm.optional(),
  }),
  z.strictObject({
    kind: z.literal("belt"),
    profile: text.optional(),
    lengthMm: mm,
    widthMm: mm.optional(),
    teeth: z.int().min(1).optional(),
  }),
  z.strictObject({
    kind: z.literal("brush"),
    lengthMm: mm,
    widthMm: mm,
    thicknessMm: mm,
    lead: text.optional(),
  }),
  z.strictObject({
    kind: z.literal("switch"),
    volts: z.number().positive(),
    amps: z.number().positive(),
    poles: z.int().min(1).max(12).optional(),
    form: text.optional(),
  }),
  z.strictObject({
    kind: z.literal("spline"),
    form: z.enum(SPLINE_FORMS).optional(),
    on: z.enum(["shaft", "hub"]).optional(),
    teeth: count,
    outsideMm: mm.optional(),
    insideMm: mm.optional(),
    lengthMm: mm.optional(),
    material: text.optional(),
  }),
  z.strictObject({
    kind: z.literal("ratchet"),
    teeth: count,
    toothed: z.enum(["outside", "inside", "face"]).optional(),
    outsideMm: mm.optional(),
    widthMm: mm.optional(),
    boreMm: mm.optional(),
    boreForm: z.enum(BORE_FORMS).optional(),
    /** the way in which its pawl holds it, seen on the side without the hub */
    holds: z.enum(["clockwise", "anticlockwise", "both"]).optional(),
    material: text.optional(),
  }),
  z.strictObject({
    kind: z.literal("dog-clutch"),
    /** its dogs */
    teeth: count,
    flanks: z.enum(["square", "undercut", "sloped", "one side sloped"]).optional(),
    outsideMm: mm.optional(),
    insideMm: mm.optional(),
    heightMm: mm.optional(),
    boreMm: mm.optional(),
    boreForm: z.enum(BORE_FORMS).optional(),
    material: text.optional(),
  }),
  z.strictObject({
    kind: z.literal("one-way-clutch"),
    ...ring,
    /** what its rollers run on */
    runsOn: z.enum(["the shaft", "its own inner ring"]).optional(),
    /**
     * the way in which the shaft takes the outer ring with it, seen on the side with the name; a plain one
     * can be turned round
     */
    holds: z.enum(["clockwise", "anticlockwise", "either way round"]).optional(),
  }),
  loose("housing"),
  loose("kit"),
  loose("hardware"),
  z.strictObject({
    kind: z.literal("consumable"),
    amount: z.number().positive(),
    unit: z.enum(["g", "ml", "m", "pieces"]),
    size: text.optional(),
  }),
  loose("other"),
]);
export type PartSpec = Frozen<z.infer<typeof partSpec>>;
export type SoldKind = PartSpec["kind"];
export type RingSpec = Extract<PartSpec, { kind: "bearing" | "bush" | "seal" }>;

/**
 * One thing that is known of a kind of part: how it is called, in which unit, and how far it may be off and
 * still be the same.
 */
export interface SpecField {
  readonly key: string;
  readonly label: string;
  readonly unit?: "mm" | "°" | "V" | "A";
  /** numbers with a tolerance are measured on arrival, the rest is looked at */
  readonly tolerance?: number;
  /** what it can be, where it is one of a few */
  readonly of?: readonly string[];
  /** printed on it, and at least what it was: what is made for more carries less */
  readonly rating?: true;
}

const size = (key: string, label: string, tolerance: number): SpecField => ({
  key,
  label,
  unit: "mm",
  tolerance,
});
const oneOf = (key: string, label: string, of: readonly string[]): SpecField => ({ key, label, of });
const counted = (label: string): SpecField => ({ key: "teeth", label, tolerance: 0 });
const MATERIAL: SpecField = { key: "material", label: "material" };
const SIZE: SpecField = { key: "size", label: "size" };
const RING = [
  size("insideMm", "bore", 0.03),
  size("outsideMm", "outside", 0.05),
  size("widthMm", "width", 0.1),
] as const;

/**
 * Every kind with what tells one part of it from another, in the order in which it is looked at. Tolerances
 * are those of a caliper against a part that is
 * sold by this figure: a bore is felt at three hundredths, a pressed part's outside at five, a face's width
 * hardly matters.
 */
export const SPEC_FIELDS: Readonly<Record<SoldKind, readonly SpecField[]>> = {
  gear: [
    { key: "form", label: "form" },
    { key: "teeth", label: "teeth", tolerance: 0 },
    { key: "moduleMm", label: "module", unit: "mm" },
    { key: "pressureAngleDeg", label: "pressure angle", unit: "°" },
    { key: "helixAngleDeg", label: "helix angle", unit: "°", tolerance: 1 },
    { key: "bevelTeeth", label: "bevel teeth" },
    { key: "hand", label: "hand" },
    { key: "profileShift", label: "profile shift" },
    size("wormDiameterMm", "worm diameter", 0.1),
    { key: "profile", label: "belt profile" },
    size("faceWidthMm", "face width", 0.2),
    size("boreMm", "bore", 0.03),
    { key: "boreForm", label: "bore form" },
    MATERIAL,
  ],
  bearing: [...RING, oneOf("closure", "closure", ["open", "Z", "2Z", "RS", "2RS"])],
  bush: [...RING, size("flangeMm", "flange", 0.2), MATERIAL],
  seal: [...RING, MATERIAL],
  "o-ring": [size("insideMm", "inside", 0.3), size("sectionMm", "section", 0.1), MATERIAL],
  gasket: [size("thicknessMm", "thickness", 0.1), SIZE, MATERIAL],
  pin: [
    oneOf("form", "form", ["dowel", "spring", "cotter", "cross"]),
    size("diameterMm", "diameter", 0.05),
    size("lengthMm", "length", 0.3),
  ],
  circlip: [
    oneOf("seat", "sits on", ["shaft", "bore"]),
    size("diameterMm", "for diameter", 0.3),
    size("thicknessMm", "thickness", 0.06),
  ],
  belt: [
    { key: "profile", label: "profile" },
    size("lengthMm", "length", 2),
    size("widthMm", "width", 0.5),
    { key: "teeth", label: "teeth", tolerance: 0 },
  ],
  brush: [
    size("lengthMm", "length", 0.5),
    size("widthMm", "width", 0.1),
    size("thicknessMm", "thickness", 0.1),
    { key: "lead", label: "lead" },
  ],
  switch: [
    { key: "volts", label: "voltage", unit: "V", rating: true },
    { key: "amps", label: "current", unit: "A", rating: true },
    { key: "poles", label: "poles", tolerance: 0 },
    { key: "form", label: "form" },
  ],
  spline: [
    oneOf("form", "teeth are", SPLINE_FORMS),
    oneOf("on", "on the", ["shaft", "hub"]),
    counted("teeth"),
    size("outsideMm", "outside", 0.1),
    size("insideMm", "inside", 0.1),
    size("lengthMm", "length", 0.5),
    MATERIAL,
  ],
  ratchet: [
    counted("teeth"),
    oneOf("toothed", "toothed", ["outside", "inside", "face"]),
    size("outsideMm", "outside", 0.15),
    size("widthMm", "width", 0.2),
    size("boreMm", "bore", 0.05),
    oneOf("boreForm", "bore form", BORE_FORMS),
    oneOf("holds", "holds", ["clockwise", "anticlockwise", "both"]),
    MATERIAL,
  ],
  "dog-clutch": [
    counted("dogs"),
    oneOf("flanks", "flanks", ["square", "undercut", "sloped", "one side sloped"]),
    size("outsideMm", "outside", 0.2),
    size("insideMm", "inside of the dogs", 0.2),
    size("heightMm", "height of a dog", 0.15),
    size("boreMm", "bore", 0.05),
    oneOf("boreForm", "bore form", BORE_FORMS),
    MATERIAL,
  ],
  "one-way-clutch": [
    ...RING,
    oneOf("runsOn", "runs on", ["the shaft", "its own inner ring"]),
    oneOf("holds", "holds", ["clockwise", "anticlockwise", "either way round"]),
  ],
  housing: [SIZE, MATERIAL],
  kit: [SIZE, MATERIAL],
  hardware: [SIZE, MATERIAL],
  consumable: [{ key: "amount", label: "amount" }, { key: "unit", label: "unit" }, SIZE],
  other: [SIZE, MATERIAL],
};

export const SOLD_KINDS = Object.keys(SPEC_FIELDS) as SoldKind[];

/** What a specification says of one field; undefined where it says nothing. */
export const specValue = (spec: PartSpec, key: string): string | number | undefined =>
  (spec as Record<string, string | number | undefined>)[key];

/**
 * A gear that is sold, by its numbers; a shift that is not told is taken as none, for drawing and reckoning.
 */
export const soldGear = (g: GearSpec): Gear => ({ ...g, profileShift: g.profileShift ?? 0 });

/** The form of a gear: as told, or spur and helical by the helix angle. */
export const gearForm = (g: GearSpec): (typeof GEAR_KINDS)[number] =>
  g.form ?? (g.helixAngleDeg ? "helical" : "spur");

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
        `${spec.teeth} teeth`,
        `module ${spec.moduleMm}`,
        `${spec.pressureAngleDeg}°`,
        spec.helixAngleDeg ? `helix ${spec.helixAngleDeg}°${spec.hand ? ` ${spec.hand}` : ""}` : undefined,
        bored(spec),
        spec.material,
      );
    case "bearing":
      return list(`${spec.insideMm} × ${spec.outsideMm} × ${spec.widthMm} mm`, spec.closure);
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
      return list(`${spec.lengthMm} × ${spec.widthMm} × ${spec.thicknessMm} mm`, spec.lead);
    case "switch":
      return list(
        `${spec.volts} V`,
        `${spec.amps} A`,
        spec.poles !== undefined && `${spec.poles}-pole`,
        spec.form,
      );
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
