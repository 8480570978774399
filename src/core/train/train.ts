import { z } from "zod";
import type { Frozen } from "../frozen";
import { measuredInput } from "../quantity/measured";

/** The shaft that stands still: the case. A ring or a carrier held by it does not turn. */
export const FRAME = "frame";

const shaft = z.string("must be the name of a shaft").min(1, "a shaft needs a name").max(60);
const teeth = (min: number, what: string) =>
  z
    .int("must be a whole number of teeth")
    .min(min, `${what} has ${min} or more`)
    .max(2000, "more than 2000 teeth");

/** What the fuse needs to know of a gear besides its teeth. */
const strength = {
  /** normal module, mm */
  moduleMm: z.number("a module is a number").positive("a module is above 0 mm").max(50).optional(),
  faceWidthMm: z.number("a width is a number").positive("a face width is above 0 mm").max(500).optional(),
  /** a key of MATERIALS */
  material: z.string().max(40).optional(),
  helixAngleDeg: z.number().min(0).max(60).optional(),
  /** profile shift coefficient */
  profileShift: z.number().min(-1).max(1.5).optional(),
  /** what a new one costs, in the shop's money */
  price: z.number("a price is a number").min(0, "a price is not negative").optional(),
  /** the part of the job that it is */
  part: z.string().max(40).optional(),
};

const wheel = z.strictObject({ shaft, teeth: teeth(4, "a gear"), ...strength });
const mm = (what: string, most: number) =>
  z
    .number(`${what} is a number of millimetres`)
    .positive(`${what} is above 0 mm`)
    .max(most, `${what} is at most ${most} mm`);
/** A wheel without teeth: a roller, or the pulley of a smooth belt. */
const smoothWheel = z.strictObject({
  shaft,
  diameterMm: mm("a diameter", 5000),
  part: z.string().max(40).optional(),
});
const hand = z.enum(["right", "left"]);
const meshId = z.string("must be a name").min(1, "a mesh needs a name").max(40);
/** Its counts or diameters are a beginning that nobody has looked at: nothing is worked out by them. */
const assumed = z.literal(true).optional();

const pair = <K extends string>(kind: K) =>
  z.strictObject({ id: meshId, assumed, kind: z.literal(kind), driver: wheel, driven: wheel });

export const meshInput = z.discriminatedUnion(
  "kind",
  [
    pair("spur"),
    pair("helical"),
    pair("internal"),
    pair("bevel").extend({
      /** what is looked at of the driver, from where its turning is told: its back or its teeth */
      seenFrom: z.enum(["back", "teeth"]).optional(),
    }),
    z.strictObject({
      id: meshId,
      assumed,
      kind: z.literal("worm"),
      driver: z.strictObject({ shaft, teeth: teeth(1, "a worm"), ...strength }),
      driven: z.strictObject({ shaft, teeth: teeth(1, "a worm"), ...strength }),
      hand: hand.optional(),
      /** with the worm lying below its wheel: where the end lies from which the worm's turning is told */
      endAt: hand.optional(),
    }),
    // helical gears on shafts that cross without meeting, and the way the driven one turns told as of a worm
    pair("crossed").extend({ hand: hand.optional(), endAt: hand.optional() }),
    z.strictObject({
      id: meshId,
      assumed,
      kind: z.literal("belt"),
      driver: wheel,
      driven: wheel,
      /** teeth of the belt itself, where they were counted */
      beltTeeth: z.int().min(10).max(5000).optional(),
      pitchMm: mm("a pitch", 50).optional(),
      centreMm: mm("a centre distance", 10_000).optional(),
    }),
    z.strictObject({
      id: meshId,
      assumed,
      kind: z.literal("smooth-belt"),
      driver: smoothWheel,
      driven: smoothWheel,
      /**
       * of a flat or round belt, whose middle runs that much further out than its pulleys; of a V or ribbed
       * belt none, and the diameters are those at its cord
       */
      thicknessMm: mm("a thickness", 100).optional(),
      /** crossed over between its pulleys: the driven one turns the other way */
      crossed: z.boolean().optional(),
      centreMm: mm("a centre distance", 10_000).optional(),
      /** round the middle of its thickness, or its cord */
      lengthMm: mm("a length", 50_000).optional(),
    }),
    z.strictObject({
      id: meshId,
      assumed,
      kind: z.literal("rollers"),
      driver: smoothWheel,
      driven: smoothWheel,
    }),
    z.strictObject({
      id: meshId,
      assumed,
      kind: z.literal("chain"),
      driver: wheel,
      driven: wheel,
      links: z.int().min(10).max(5000).optional(),
    }),
    z.strictObject({
      id: meshId,
      assumed,
      kind: z.literal("planetary"),
      sun: wheel,
      ring: wheel,
      carrier: z.strictObject({ shaft }),
      planets: z.int().min(1).max(12).optional(),
      planetTeeth: teeth(4, "a planet").optional(),
      /** of the planets, for the fuse */
      planet: z.strictObject(strength).optional(),
    }),
  ],
  {
    error:
      'is none of "spur", "helical", "internal", "bevel", "worm", "crossed", "belt", "smooth-belt", "rollers", "chain", "planetary"',
  },
);

export const trainInput = z.strictObject({
  input: z.strictObject({
    shaft,
    rpm: z
      .number("a speed is a number")
      .min(0, "a speed is not negative")
      .max(200_000, "no motor of a workshop turns faster than 200 000 rpm"),
    /** torque of the motor held still, N m: for the fuse */
    stallTorqueNm: measuredInput.optional(),
    /** which way it turns, looked at from its free end along the shaft */
    turns: z.enum(["clockwise", "anticlockwise"]).optional(),
  }),
  meshes: z.array(meshInput).max(60, "more than 60 meshes"),
  /** slipping clutches, shear pins, friction rings: no more torque than this passes their shaft, N m */
  clutches: z
    .array(
      z.strictObject({
        shaft,
        slipsNm: z.number("a torque is a number").positive("a torque is above 0 N m").max(1e5),
      }),
    )
    .max(10, "more than 10 clutches")
    .optional(),
});

export type TrainInput = Frozen<z.infer<typeof trainInput>>;
export type Mesh = Frozen<z.infer<typeof meshInput>>;
export type PlanetaryMesh = Extract<Mesh, { kind: "planetary" }>;
/** Two wheels that turn each other by friction: what counts is diameters, and nothing can be a tooth out. */
export type SmoothMesh = Extract<Mesh, { kind: "smooth-belt" | "rollers" }>;
export type PairMesh = Exclude<Mesh, PlanetaryMesh>;
export type ToothedMesh = Exclude<PairMesh, SmoothMesh>;

/** Its two shafts are not parallel: which way the second turns is a matter of where one stands. */
export const turnsTheAxis = (m: Mesh): boolean =>
  m.kind === "bevel" || m.kind === "worm" || m.kind === "crossed";

/** The train as far as somebody counted it. */
export const countedTrain = (train: TrainInput): TrainInput =>
  train.meshes.some((m) => m.assumed) ? { ...train, meshes: train.meshes.filter((m) => !m.assumed) } : train;

export const isSmooth = (m: Mesh): m is SmoothMesh => m.kind === "smooth-belt" || m.kind === "rollers";

/**
 * What a mesh is called where people read: by the shafts that it joins.
 *
 * @example meshName(m) // "the mesh of motor and lay shaft"
 */
export const meshName = (m: Mesh): string =>
  m.kind === "planetary"
    ? `the planetary set on ${m.sun.shaft}`
    : `the ${CALLED[m.kind] ?? "mesh"} of ${m.driver.shaft} and ${m.driven.shaft}`;
const CALLED: Partial<Record<Mesh["kind"], string>> = {
  belt: "belt",
  "smooth-belt": "belt",
  chain: "chain",
  rollers: "rollers",
};

/** Shafts of a mesh in the order power usually takes. */
export const shaftsOf = (m: Mesh): readonly string[] =>
  m.kind === "planetary" ? [m.sun.shaft, m.ring.shaft, m.carrier.shaft] : [m.driver.shaft, m.driven.shaft];

/**
 * How large the two wheels of a pair are, in a measure that both share: teeth, or millimetres where there are
 * none. Of a flat or round belt what counts is the middle of its
 * thickness.
 */
export function pairSizes(m: PairMesh): readonly [driver: number, driven: number] {
  if (!isSmooth(m)) return [m.driver.teeth, m.driven.teeth];
  const more = m.kind === "smooth-belt" ? (m.thicknessMm ?? 0) : 0;
  return [m.driver.diameterMm + more, m.driven.diameterMm + more];
}

/** A wheel of a train, and where it sits. */
export interface TrainWheel {
  readonly mesh: string;
  readonly role: "driver" | "driven" | "sun" | "ring" | "planet";
  readonly shaft: string;
  /** null: it has none, and turns by friction */
  readonly teeth: number | null;
  readonly says: string;
  readonly part?: string;
}

const NAMES: Readonly<Record<ToothedMesh["kind"], readonly [driver: string, driven: string]>> = {
  spur: ["gear", "gear"],
  helical: ["gear", "gear"],
  internal: ["gear", "ring"],
  bevel: ["bevel gear", "bevel gear"],
  worm: ["worm", "worm wheel"],
  crossed: ["gear", "gear"],
  belt: ["pulley", "pulley"],
  chain: ["sprocket", "sprocket"],
};

const wheelSays = (name: string, teeth: number): string =>
  name === "worm" ? (teeth === 1 ? "worm" : `${teeth}-start worm`) : `${teeth}-tooth ${name}`;

/** Every wheel of a mesh, with its name at the bench: "47-tooth gear", "2-start worm", "32 mm roller". */
export function wheelsOf(m: Mesh): TrainWheel[] {
  if (m.kind === "planetary")
    return [
      {
        mesh: m.id,
        role: "sun",
        shaft: m.sun.shaft,
        teeth: m.sun.teeth,
        says: wheelSays("sun", m.sun.teeth),
        part: m.sun.part,
      },
      ...(m.planetTeeth
        ? [
            {
              mesh: m.id,
              role: "planet" as const,
              shaft: m.carrier.shaft,
              teeth: m.planetTeeth,
              says: wheelSays("planet", m.planetTeeth),
              part: m.planet?.part,
            },
          ]
        : []),
      {
        mesh: m.id,
        role: "ring",
        shaft: m.ring.shaft,
        teeth: m.ring.teeth,
        says: wheelSays("ring", m.ring.teeth),
        part: m.ring.part,
      },
    ];
  if (isSmooth(m)) {
    const name = m.kind === "rollers" ? "roller" : "pulley";
    return (["driver", "driven"] as const).map((role) => ({
      mesh: m.id,
      role,
      shaft: m[role].shaft,
      teeth: null,
      says: `${m[role].diameterMm} mm ${name}`,
      part: m[role].part,
    }));
  }
  // of two gears one inside the other the larger is the ring, whichever drives
  const [driver, driven] =
    m.kind === "internal" && m.driver.teeth > m.driven.teeth ? (["ring", "gear"] as const) : NAMES[m.kind];
  return [
    {
      mesh: m.id,
      role: "driver",
      shaft: m.driver.shaft,
      teeth: m.driver.teeth,
      says: wheelSays(driver, m.driver.teeth),
      part: m.driver.part,
    },
    {
      mesh: m.id,
      role: "driven",
      shaft: m.driven.shaft,
      teeth: m.driven.teeth,
      says: wheelSays(driven, m.driven.teeth),
      part: m.driven.part,
    },
  ];
}
