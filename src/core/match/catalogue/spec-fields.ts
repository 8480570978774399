import { BORE_FORMS } from "../../gear/bore-form";
import {
  CAGES,
  CLEARANCES,
  CUT_OFF_RESETS,
  FUSE_SPEEDS,
  HEAT_TREATMENTS,
  HUB_SIDES,
  type PartSpec,
  SOLD_AS,
  type SoldKind,
  SPLINE_FORMS,
} from "./part-spec";

/**
 * How a printed rating may differ. `at least`: what is made for more carries less. A number: by so large a
 * share either way.
 */
export type RatingRule = "at least" | "exactly" | number;

/**
 * One thing that is known of a kind of part: how it is called, in which unit, and how far it may be off and
 * still be the same.
 */
export interface SpecField {
  readonly key: string;
  readonly label: string;
  readonly unit?: "mm" | "°" | "V" | "A" | "µF" | "W" | "°C";
  /** numbers with a tolerance are measured on arrival, the rest is looked at */
  readonly tolerance?: number;
  /** what it can be, where it is one of a few */
  readonly of?: readonly string[];
  /** printed on it */
  readonly rating?: RatingRule;
  /** another one is not refused: what it says has to be settled first */
  readonly settles?: string;
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
    { key: "mateTeeth", label: "cut for a mate of", tolerance: 0 },
    size("mountingMm", "mounting distance", 0.05),
    oneOf("soldAs", "sold as", SOLD_AS),
    size("faceWidthMm", "face width", 0.2),
    size("boreMm", "bore", 0.03),
    { key: "boreForm", label: "bore form" },
    size("acrossMm", "across flat or keyway", 0.05),
    size("keyMm", "width of the keyway", 0.05),
    oneOf("hub", "hub", HUB_SIDES),
    size("hubMm", "hub diameter", 0.2),
    size("overallMm", "length over all", 0.2),
    size("offsetMm", "hub's end to the teeth", 0.3),
    { key: "secondTeeth", label: "teeth of the second rim", tolerance: 0 },
    { key: "secondModuleMm", label: "module of the second rim", unit: "mm" },
    oneOf("heat", "heat treatment", HEAT_TREATMENTS),
    MATERIAL,
  ],
  bearing: [
    ...RING,
    oneOf("closure", "closure", ["open", "Z", "2Z", "RS", "2RS"]),
    oneOf("clearance", "clearance", CLEARANCES),
    oneOf("cage", "cage", CAGES),
  ],
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
    {
      key: "grade",
      label: "grade",
      settles: "another grade sparks or wears the commutator: ask which is meant for this motor",
    },
  ],
  capacitor: [
    { key: "microfarads", label: "capacitance", unit: "µF", rating: 0.1 },
    { key: "volts", label: "voltage", unit: "V", rating: "at least" },
    {
      key: "class",
      label: "class",
      settles: "a class is what it may be wired across: read it off the old one and keep to it",
    },
    size("diameterMm", "diameter", 1),
    size("lengthMm", "length", 2),
  ],
  fuse: [
    { key: "amps", label: "current", unit: "A", rating: "exactly" },
    { key: "volts", label: "voltage", unit: "V", rating: "at least" },
    oneOf("speed", "speed, as printed", FUSE_SPEEDS),
    SIZE,
  ],
  "thermal-cut-off": [
    { key: "celsius", label: "opens at", unit: "°C", rating: "exactly" },
    { key: "amps", label: "current", unit: "A", rating: "at least" },
    { key: "volts", label: "voltage", unit: "V", rating: "at least" },
    oneOf("resets", "closes again", CUT_OFF_RESETS),
  ],
  heater: [
    { key: "volts", label: "voltage", unit: "V", rating: 0.05 },
    { key: "watts", label: "power", unit: "W", rating: 0.1 },
    SIZE,
    MATERIAL,
  ],
  board: [
    {
      key: "marking",
      label: "marking",
      settles: "another marking is often another board: compare every plug",
    },
    {
      key: "revision",
      label: "revision",
      settles: "ask whether this revision takes the place of the old one",
    },
  ],
  switch: [
    { key: "volts", label: "voltage", unit: "V", rating: "at least" },
    { key: "amps", label: "current", unit: "A", rating: "at least" },
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
