/** A kind of place that is lubricated, and what is usual there. */
interface PointKind {
  readonly says: string;
  /** oil: nothing else, as well as grease, or never outside an oil bath */
  readonly oil: "only" | "may" | "never";
  /** NLGI classes: of the measured school and of the packed one */
  readonly classes: {
    readonly measured: readonly [number, number];
    readonly packed: readonly [number, number];
  };
  /** what such a place takes where nothing else tells it, ml; a drop of oil is 0.03 ml */
  readonly ml: number;
  /** where it takes more or less than the usual, ml: [least, most] */
  readonly spreadMl?: readonly [number, number];
  /** of an oil that goes there by the drop, mm²/s at 40 °C: [least, most] */
  readonly oilMm2s?: readonly [number, number];
  /** where both do, oil is what is usual */
  readonly ratherOil?: boolean;
  /** how it is put there */
  readonly how: string;
}

const both = (low: number, high: number): PointKind["classes"] => ({
  measured: [low, high],
  packed: [low, high],
});

/** Sources: the shop's lubrication reference; amounts of small places are habit. */
export const POINT_KINDS = {
  "gear-teeth": {
    says: "Teeth",
    oil: "never",
    classes: { measured: [-1, 1], packed: [1, 2] },
    ml: 1,
    how: "half the teeth, then turn, then the other half; built up round the gears, not in the cover",
  },
  worm: {
    says: "Worm",
    oil: "never",
    classes: { measured: [-1, 1], packed: [0, 2] },
    ml: 1,
    how: "packed into the worm's thread and the wheel's gaps while it is turned",
  },
  "rolling-bearing": {
    says: "Bearing",
    oil: "never",
    classes: both(2, 2),
    ml: 0.5,
    how: "pressed in between the balls from one side until it shows at the other",
  },
  "plain-bush": {
    says: "Bush",
    oil: "may",
    classes: both(1, 2),
    ml: 0.2,
    oilMm2s: [32, 220],
    how: "a film on the shaft, turned in",
  },
  "sintered-bush": {
    says: "Sintered bush",
    oil: "only",
    classes: both(1, 2),
    ml: 0.1,
    oilMm2s: [32, 150],
    how: "oil until the bush takes no more, then wiped: grease closes its pores",
  },
  ratchet: {
    says: "Ratchet, pawl",
    oil: "never",
    classes: both(0, 1),
    ml: 0.3,
    how: "a thin film on teeth and pawl: a pawl that swims does not fall in",
  },
  spline: { says: "Spline", oil: "never", classes: both(1, 2), ml: 0.3, how: "a film on the flanks" },
  striker: {
    says: "Striker",
    oil: "never",
    classes: both(0, 1),
    // 10 to 20 g at the density of most greases
    ml: 16.7,
    spreadMl: [11.2, 22.2],
    how: "into the bore around the piston, not on its face: it must not be driven before it",
  },
  "seal-lip": {
    says: "Seal lip",
    oil: "never",
    classes: both(1, 2),
    ml: 0.1,
    how: "a ring between the lips",
  },
  slide: { says: "Slide", oil: "never", classes: both(1, 2), ml: 0.3, how: "a film, pushed to and fro" },
  "o-ring": {
    says: "O-ring",
    oil: "never",
    classes: both(1, 2),
    ml: 0.05,
    how: "so much that it shines, and no more",
  },
  "clock-pivot": {
    says: "Small pivot",
    oil: "only",
    classes: both(1, 2),
    ml: 0.03,
    oilMm2s: [15, 100],
    how: "one drop, that fills the hole and does not run",
  },
  "clock-teeth": {
    says: "Teeth of a clock train",
    oil: "only",
    classes: both(1, 2),
    ml: 0.03,
    oilMm2s: [15, 100],
    how: "dry where brass runs on steel; where one is of fibre, a trace of oil, wiped off again",
  },
  mainspring: {
    says: "Mainspring",
    oil: "may",
    classes: both(1, 2),
    ml: 0.5,
    oilMm2s: [32, 150],
    ratherOil: true,
    how: "a film over its whole length while it is wound in: oil for a clock, grease with graphite or a soft one for a strong motor",
  },
  "governor-pad": {
    says: "Governor pad",
    oil: "only",
    ml: 0.03,
    classes: both(1, 2),
    oilMm2s: [15, 68],
    how: "one drop on the felt or leather, so that it is damp and nothing is flung off",
  },
  "felt-wick": {
    says: "Felt or wick",
    oil: "only",
    classes: both(1, 2),
    ml: 1,
    oilMm2s: [22, 100],
    how: "oil until it takes no more by itself; what stands on it is wiped off",
  },
  "hook-race": {
    says: "Hook race",
    oil: "only",
    classes: both(1, 2),
    ml: 0.06,
    oilMm2s: [7, 32],
    how: "a drop or two in the track, turned in by hand, and the thread wiped",
  },
  "lead-screw": {
    says: "Lead screw",
    oil: "may",
    classes: both(1, 2),
    ml: 1,
    oilMm2s: [32, 220],
    how: "a film in the whole thread, run from end to end, the roll at its ends wiped off",
  },
} as const satisfies Readonly<Record<string, PointKind>>;

export type PointKindName = keyof typeof POINT_KINDS;
export const POINT_KIND_NAMES = Object.keys(POINT_KINDS) as [PointKindName, ...PointKindName[]];
export const pointKind = (kind: PointKindName): PointKind => POINT_KINDS[kind];

/**
 * How a lubricant is put at a place: poured into an oil bath, whatever lies in it; otherwise as is usual for
 * its kind.
 */
export const howAt = (
  kind: PointKindName,
  room: { readonly filling?: "grease" | "oil"; readonly levelPlug?: boolean } | undefined,
): string =>
  room?.filling !== "oil"
    ? pointKind(kind).how
    : room.levelPlug
      ? "oil up to the level plug, the unit standing as it works; turned through, and looked at again"
      : "poured in by the millilitre, turned through, and looked at again";

/** Teeth that mesh: they fill a case, and what else lies in it takes what they take. */
export const isMeshing = (kind: PointKindName): kind is "gear-teeth" | "worm" =>
  kind === "gear-teeth" || kind === "worm";

/** Whether oil goes to a place: a bath, or a kind that takes nothing else. */
export const isOiled = (kind: PointKindName | undefined, filling: "grease" | "oil" | undefined): boolean =>
  filling === "oil" || (kind !== undefined && pointKind(kind).oil === "only");
