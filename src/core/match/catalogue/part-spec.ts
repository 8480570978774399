import { z } from "zod";
import type { Frozen } from "../../frozen";
import { BORE_FORMS } from "../../gear/bore-form";
import type { Gear } from "../../gear/dimensions";
import { BEVEL_TEETH, GEAR_KINDS } from "../../gear/gear-kind";

const mm = z.number().positive().max(10_000);
const text = z.string().trim().min(1).max(80);

/** Where a gear's hub stands: of a bevel or a cluster, at which end. */
export const HUB_SIDES = ["none", "one side", "both sides", "at the small end", "at the large end"] as const;
/** How teeth were made hard. */
export const HEAT_TREATMENTS = [
  "not hardened",
  "hardened",
  "case-hardened",
  "induction-hardened",
  "nitrided",
] as const;
/** Whether a gear is sold alone or with the one that it runs with. */
export const SOLD_AS = ["one", "pair"] as const;

/**
 * What the catalogue knows of a part, by its kind. Lengths in mm, angles in degrees. A gear whose tooth
 * nobody measured is kept without one, and found by its number.
 */
export const gearSpec = z.strictObject({
  kind: z.literal("gear"),
  /** left out: spur, or helical where there is a helix angle */
  form: z.enum(GEAR_KINDS).optional(),
  teeth: z.int().min(1).max(2000).optional(),
  moduleMm: z.number().positive().max(50).optional(),
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
  /** of a bevel: teeth of the gear that it is cut for; of a worm wheel: starts of its worm */
  mateTeeth: z.int().min(1).max(2000).optional(),
  /** of a bevel: from where the pitch cones meet to the face that it sits on */
  mountingMm: mm.optional(),
  soldAs: z.enum(SOLD_AS).optional(),
  faceWidthMm: mm.optional(),
  boreMm: mm.optional(),
  boreForm: z.enum(BORE_FORMS).optional(),
  /** of a bore that drives by its form: round to its flat, or over its keyway */
  acrossMm: mm.optional(),
  keyMm: mm.optional(),
  hub: z.enum(HUB_SIDES).optional(),
  hubMm: mm.optional(),
  /** hub and all, along the shaft */
  overallMm: mm.optional(),
  /** from the end of the longer hub to where the teeth begin */
  offsetMm: mm.optional(),
  /** of a cluster: its other rim */
  secondTeeth: z.int().min(1).max(2000).optional(),
  secondModuleMm: z.number().positive().max(50).optional(),
  heat: z.enum(HEAT_TREATMENTS).optional(),
  material: text.optional(),
});
export type GearSpec = Frozen<z.infer<typeof gearSpec>>;

/** How the teeth of a splined shaft or hub are shaped: parallel sides; involute; a triangle. */
export const SPLINE_FORMS = ["straight-sided", "involute", "serration"] as const;
/** How quickly a miniature fuse opens, by IEC 60127. */
export const FUSE_SPEEDS = ["FF", "F", "M", "T", "TT"] as const;
/** What a thermal cut-off does once it has cooled. */
export const CUT_OFF_RESETS = ["never", "by itself", "by hand"] as const;
const count = z.int("must be a whole number").min(1).max(400);
const ring = { insideMm: mm, outsideMm: mm, widthMm: mm };

/** Play inside a rolling bearing, the smallest first; CN is the usual one and is not printed. */
export const CLEARANCES = ["C2", "CN", "C3", "C4", "C5"] as const;
export const CAGES = ["pressed steel", "brass", "plastic", "none"] as const;

export const bearingSpec = z.strictObject({
  kind: z.literal("bearing"),
  ...ring,
  closure: z.enum(["open", "Z", "2Z", "RS", "2RS"]).optional(),
  /** play between its rings, by ISO 5753-1 */
  clearance: z.enum(CLEARANCES).optional(),
  cage: z.enum(CAGES).optional(),
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
    /** as it is printed on it: what it is pressed of */
    grade: text.optional(),
  }),
  z.strictObject({
    kind: z.literal("switch"),
    volts: z.number().positive(),
    amps: z.number().positive(),
    poles: z.int().min(1).max(12).optional(),
    form: text.optional(),
  }),
  z.strictObject({
    kind: z.literal("capacitor"),
    microfarads: z.number().positive().max(1e6),
    volts: z.number().positive().max(100_000),
    class: text.optional(),
    diameterMm: mm.optional(),
    lengthMm: mm.optional(),
  }),
  z.strictObject({
    kind: z.literal("fuse"),
    amps: z.number().positive().max(10_000),
    volts: z.number().positive().max(100_000),
    speed: z.enum(FUSE_SPEEDS).optional(),
    size: text.optional(),
  }),
  z.strictObject({
    kind: z.literal("thermal-cut-off"),
    celsius: z.number().min(20).max(1000),
    amps: z.number().positive().max(10_000),
    volts: z.number().positive().max(100_000),
    resets: z.enum(CUT_OFF_RESETS).optional(),
  }),
  z.strictObject({
    kind: z.literal("heater"),
    volts: z.number().positive().max(100_000),
    watts: z.number().positive().max(1e6),
    size: text.optional(),
    material: text.optional(),
  }),
  z.strictObject({
    kind: z.literal("board"),
    /** as it is printed on it */
    marking: text.optional(),
    revision: text.optional(),
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

/** A gear of the catalogue whose tooth is known. */
export type ToothedSpec = GearSpec & { readonly teeth: number; readonly moduleMm: number };
export const isToothed = (g: GearSpec): g is ToothedSpec => g.teeth !== undefined && g.moduleMm !== undefined;

/**
 * A gear that is sold, by its numbers; a shift that is not told is taken as none, for drawing and reckoning.
 */
export const soldGear = (g: ToothedSpec): Gear => ({ ...g, profileShift: g.profileShift ?? 0 });

/** The form of a gear: as told, or spur and helical by the helix angle. */
export const gearForm = (g: GearSpec): (typeof GEAR_KINDS)[number] =>
  g.form ?? (g.helixAngleDeg ? "helical" : "spur");
