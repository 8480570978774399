import { z } from "zod";
import type { Frozen } from "../frozen";
import { making } from "../gear/as-made";
import { BORE_FORMS } from "../gear/bore-form";
import { BEVEL_TEETH, GEAR_KINDS } from "../gear/gear-kind";
import { ref, text } from "./written";

const count = z.int("the tooth count must be a whole number").max(400, "more than 400 teeth cannot be drawn");

/** What is said about a gear, or of another part that is sold by its sizes, besides its readings. */
export const gearNotes = z.strictObject({
  /** of a worm: its starts */
  teeth: count.min(1, "a gear has 4 teeth or more, a worm 1 start or more").optional(),
  kind: z.enum(GEAR_KINDS).optional(),
  /** of a bevel: how its teeth run */
  bevelTeeth: z.enum(BEVEL_TEETH).optional(),
  hand: z.enum(["left", "right"]).optional(),
  boreForm: z.enum(["", ...BORE_FORMS]).optional(),
  tipsWorn: z.boolean().optional(),
  /** how it was made: by how much new teeth are thinned */
  making: making.optional(),
  mateTeeth: count.min(1, "a gear has 4 teeth or more, a worm 1 start or more").optional(),
  /** the part it meshes with */
  mate: ref.optional(),
  /** sound teeth with so many pitches between them, where the count is broken off */
  arcPitches: z
    .int("the number of pitches must be whole")
    .min(1, "an arc is over 1 pitch or more")
    .max(200)
    .optional(),
  /** as the gear face is drawn */
  turning: z.enum(["clockwise", "counter-clockwise"]).optional(),
  drives: z.boolean().optional(),
  /**
   * of a helical gear whose shaft crosses its mate's: the angle between the two, degrees; left out: they are
   * parallel
   */
  shaftAngleDeg: z
    .number("that is no number")
    .min(1, "shafts that cross stand at 1° or more")
    .max(90, "an angle between shafts is 90° or less")
    .optional(),
  /** the picture its teeth were counted in, by its name in the job, and how sure that was, 0 to 1 */
  countedFrom: z.strictObject({ picture: text, certainty: z.number().min(0).max(1) }).optional(),
  /** for gears that are entered and not named: module, belt or chain pitch, mm */
  moduleMm: z.number("that is no number").positive("a module is above 0 mm").max(50).optional(),
  pitchMm: z.number("that is no number").positive("a pitch is above 0 mm").max(100).optional(),
  /** what was seen on it besides, by the keys of its specification */
  looks: z.record(z.string().max(40), z.string().trim().min(1).max(80)).optional(),
});
export type GearNotes = Frozen<z.infer<typeof gearNotes>>;

const NOTE_LABELS: Readonly<Record<Exclude<keyof GearNotes, "countedFrom" | "looks">, string>> = {
  teeth: "teeth",
  kind: "kind",
  bevelTeeth: "bevel teeth",
  hand: "hand",
  boreForm: "bore form",
  tipsWorn: "worn tips",
  making: "made",
  mateTeeth: "teeth of its mate",
  mate: "mate",
  arcPitches: "pitches in the arc",
  turning: "turns",
  drives: "drives",
  shaftAngleDeg: "angle between the shafts",
  moduleMm: "module in mm",
  pitchMm: "pitch in mm",
};

/**
 * A note as the history tells it.
 *
 * @example noteSays("arcPitches", null) // "pitches in the arc: taken back"
 */
export const noteSays = (note: string, value: unknown): string => {
  const label = Object.hasOwn(NOTE_LABELS, note) ? NOTE_LABELS[note as keyof typeof NOTE_LABELS] : note;
  return `${label}: ${value === true ? "yes" : value === false ? "no" : value === null || value === "" ? "taken back" : value}`;
};

/** Notes that do not bear on the gear's name: one of the others takes an accepted name back. */
const BESIDE_THE_NAME: ReadonlySet<string> = new Set<keyof GearNotes>([
  "boreForm",
  "mateTeeth",
  "mate",
  "turning",
  "drives",
  "shaftAngleDeg",
  "looks",
]);

/** Whether a change of these notes asks for the gear to be named anew. */
export const asksForNewName = (changed: Partial<Record<keyof GearNotes, unknown>>): boolean =>
  Object.keys(changed).some((k) => !BESIDE_THE_NAME.has(k));

/** The name that was accepted for a gear: millimetres, degrees. */
export const gearIdentity = z.strictObject({
  teeth: z.int().min(1).max(2000),
  moduleMm: z.number().positive().max(100),
  diametralPitch: z.number().positive().nullable(),
  pressureAngleDeg: z.number().min(0).max(45),
  helixAngleDeg: z.number().min(-90).max(90),
  profileShift: z.number().min(-5).max(5),
  probability: z.number().min(0).max(1),
  /** bevel: pitch cone angle, degrees */
  coneAngleDeg: z.number().min(0).max(90).optional(),
  /** how far the readings left helix angle (degrees) and shift (modules) open, one standard deviation each */
  helixU: z.number().min(0).max(45).optional(),
  shiftU: z.number().min(0).max(5).optional(),
  /** the tooth's height over the reference circle, in modules, where it is not 1 */
  addendum: z.number().min(0.4).max(2).optional(),
  /** no standard tooth fits: the module is as measured */
  free: z.boolean().optional(),
  bevelTeeth: z.enum(BEVEL_TEETH).optional(),
  /** worm: reference diameter, mm */
  wormDiameterMm: z.number().positive().optional(),
});
export type GearIdentity = Frozen<z.infer<typeof gearIdentity>>;

/** @example sizeOf({ moduleMm: 1.0583, diametralPitch: 24 }) // "24 DP" */
export const sizeOf = (g: Pick<GearIdentity, "moduleMm" | "diametralPitch" | "free">): string =>
  g.diametralPitch ? `${g.diametralPitch} DP` : `module ${g.free ? "about " : ""}${g.moduleMm}`;

/** How many teeth or marks of a gear are told at once. */
const toothIndex = z.int().min(0).max(2000);
/** Teeth on the gear face, numbered from 0. */
export const toothIndexes = z.array(toothIndex).max(2000);

/** A count from a photograph, and the sizes read from it, mm. */
export const photoCount = z.strictObject({
  teeth: count.min(4, "a gear has 4 teeth or more"),
  missing: z.array(toothIndex).max(400),
  broken: z.array(toothIndex).max(400),
  picture: z.string().max(40),
  certainty: z.number().min(0).max(1),
  sizes: z
    .array(
      z.strictObject({
        what: z.enum(["tip circle", "root diameter", "bore"]),
        value: z.number().min(0.5).max(600),
        u: z.number().positive().max(60),
      }),
    )
    .max(3),
  /** flanks that look worn, and the technician said so too */
  worn: z
    .array(z.strictObject({ tooth: toothIndex, mark: z.enum(["worn-left", "worn-right", "knife"]) }))
    .max(400)
    .optional(),
  /** as it looks in the picture, and the technician let it stand */
  boreForm: z.enum(BORE_FORMS).optional(),
});
export type PhotoCount = Frozen<z.infer<typeof photoCount>>;
