import type { LubePlace } from "../../grease/lube-ask";
import type { Chamber } from "../../job/chamber";

/** A unit as it was stripped, and what somebody said of its lubrication. */
export interface LubedUnit {
  readonly unit: string;
  /** what came off, a bar, its line */
  readonly steps: readonly string[];
  readonly food?: boolean;
  /** what was said of a part besides its name: its material, its kind */
  readonly parts?: Readonly<Record<string, { readonly material?: string; readonly kind?: string }>>;
  /** said of the first chamber, or of the one of that kind */
  readonly chamber?: Partial<Chamber>;
  /** said of every place where teeth meet */
  readonly teeth?: Partial<Pick<LubePlace, "speed" | "load" | "materials" | "pitchLineMPerS">>;
  /** what the old lubricant was found to be */
  readonly states?: readonly string[];
}

/** Twenty units of kinds that the demo lacks, typed as one talks. */
export const LUBED_UNITS: readonly LubedUnit[] = [
  {
    unit: "edge sander",
    steps: ["head cover | 4 TX20", "crown gear | 1 circlip", "pinion | nut 10 left hand"],
    parts: { "crown gear": { material: "steel" }, pinion: { material: "steel" } },
    chamber: { makersGrams: 15, hottestC: 90, old: { left: "none" } },
    teeth: { speed: "fast" },
  },
  {
    unit: "drum winch",
    steps: [
      "gear cover | 6 M6",
      "big gear | 1 circlip",
      "pinion shaft gear",
      "bush",
      "ratchet wheel | pawl and spring",
    ],
    parts: {
      "big gear": { material: "steel" },
      "pinion shaft gear": { material: "steel" },
      bush: { material: "bronze" },
    },
    chamber: { water: true, old: { left: "none" } },
    teeth: { speed: "slow", load: "shock" },
  },
  {
    unit: "log splitter",
    steps: ["gearbox cover | 8 M8, gasket", "worm wheel | lifts out", "worm | pulls out with its bearing"],
    parts: {
      "worm wheel": { material: "bronze" },
      worm: { material: "steel" },
      "gearbox cover": { material: "aluminium" },
    },
    chamber: { filling: "oil", levelPlug: true, hottestC: 85, old: { left: "none" }, seals: ["NBR"] },
    teeth: { speed: "medium" },
  },
  {
    unit: "ice-cream maker",
    steps: ["bottom cover | 5 PZ2", "worm wheel | lifts out", "worm | slides out", "shaft seal | pried out"],
    parts: {
      "worm wheel": { material: "POM" },
      worm: { material: "steel" },
      "bottom cover": { material: "ABS" },
    },
    chamber: { volume: { by: "filling", ml: 90 }, materials: ["ABS"], old: { left: "none" } },
    teeth: { speed: "slow" },
  },
  {
    unit: "musical box",
    steps: [
      "lid | 4 screws",
      "top plate | 3 screws",
      "governor",
      "first wheel | lifts out",
      "mainspring | in its barrel",
    ],
    parts: {
      "first wheel": { material: "brass", kind: "gear" },
      "top plate": { material: "brass", kind: "cover" },
    },
  },
  {
    unit: "regulator clock",
    steps: ["dial | 3 feet", "back plate | 4 nuts", "escape wheel | lifts out", "centre gear | lifts out"],
    parts: {
      "escape wheel": { kind: "gear", material: "brass" },
      "centre gear": { material: "brass" },
      "back plate": { kind: "cover" },
    },
  },
  {
    unit: "demolition hammer",
    steps: [
      "gear case cover | 6 TX25",
      "bevel gear | 1 circlip",
      "impact mechanism | slides out",
      "bearing 6202-2RS | stays on the shaft no longer, pulled",
    ],
    parts: { "bevel gear": { material: "steel" } },
    chamber: { makersGrams: 90, hottestC: 95, old: { left: "none" } },
    teeth: { speed: "medium", load: "shock" },
    states: ["metal"],
  },
  {
    unit: "label printer",
    steps: ["side cover | 2 PH1", "feed gear | 1 e-clip", "idler gear", "roller bush"],
    parts: {
      "feed gear": { material: "POM" },
      "idler gear": { material: "POM" },
      "roller bush": { material: "PA" },
      "side cover": { material: "ABS" },
    },
    chamber: { outside: false, materials: ["ABS", "PC"], old: { left: "none" } },
    teeth: { speed: "slow", load: "light" },
  },
  {
    unit: "awning motor",
    steps: [
      "tube head | 3 rivets drilled",
      "gear case cover | 4 screws",
      "planet gears",
      "sun gear",
      "bearing 608 ZZ",
    ],
    parts: { "planet gears": { kind: "gear", material: "POM" }, "sun gear": { material: "steel" } },
    chamber: { oldGrams: 22, old: { left: "none" } },
    teeth: { speed: "medium" },
  },
  {
    unit: "desk lift",
    steps: ["gear cover | 4 TX15", "worm wheel", "worm", "lead screw | turns out"],
    parts: { "worm wheel": { material: "PA66" }, worm: { material: "steel" } },
    chamber: {
      volume: { by: "inside", lengthMm: 60, widthMm: 50, depthMm: 25 },
      old: { left: "traces", thickener: "Li12", baseOil: "mineral" },
    },
    teeth: { speed: "slow" },
  },
  {
    unit: "hub motor of a bicycle",
    steps: ["side cover | 8 M4", "planet gears", "ring gear", "open bearing 6803 | pressed out"],
    parts: { "planet gears": { kind: "gear", material: "PA66" }, "ring gear": { material: "steel" } },
    chamber: { lastUnit: { number: "J-0031", grams: 24 }, hottestC: 80, old: { left: "none" } },
    teeth: { speed: "fast" },
  },
  {
    unit: "model engine",
    steps: ["keeper plate | 4 screws", "worm", "drive gear | drops out"],
    parts: {
      worm: { material: "brass" },
      "drive gear": { material: "POM" },
      "keeper plate": { kind: "cover" },
    },
    chamber: { old: { left: "none" } },
    teeth: { speed: "slow", load: "light" },
  },
  {
    unit: "knitting machine",
    steps: ["bed cover | 4 screws", "carriage slide | slides off", "oil wick"],
    parts: { "bed cover": { kind: "cover" } },
  },
  {
    unit: "bag closer",
    steps: ["hook cover | 2 screws", "hook race | lifts out", "crank bush"],
    parts: { "crank bush": { material: "sintered bronze" }, "hook cover": { kind: "cover" } },
  },
  {
    unit: "paper shredder",
    steps: ["side cover | 3 PH2", "motor gear", "cutter gear | 1 e-clip", "intermediate gear"],
    parts: {
      "motor gear": { material: "steel" },
      "cutter gear": { material: "sintered" },
      "intermediate gear": { material: "steel" },
    },
    chamber: { old: { left: "none" } },
    teeth: { speed: "medium" },
  },
  {
    unit: "pool cleaner",
    steps: ["gear cover | 6 screws, o-ring", "drive gear", "wheel gear", "shaft seal"],
    parts: {
      "drive gear": { material: "POM" },
      "wheel gear": { material: "POM" },
      "shaft seal": { material: "EPDM" },
    },
    chamber: { volume: { by: "filling", ml: 40 }, seals: ["EPDM"], water: true, old: { left: "none" } },
    teeth: { speed: "slow" },
  },
  {
    unit: "stair climber",
    steps: ["gearbox cover | 8 M6", "worm wheel", "worm"],
    parts: { "worm wheel": { material: "bronze" }, worm: { material: "steel" } },
    chamber: {
      makersGrams: 240,
      makersSpread: [220, 260],
      hottestC: 85,
      old: { left: "all", thickener: "unknown", baseOil: "unknown" },
    },
    teeth: { speed: "medium", load: "shock" },
    states: ["good"],
  },
  {
    unit: "table fan",
    steps: ["rear cover | 1 screw", "oscillator worm wheel", "front bush"],
    parts: {
      "oscillator worm wheel": { material: "POM" },
      "front bush": { material: "sintered bronze" },
      "rear cover": { material: "ABS" },
    },
    chamber: { materials: ["ABS"], old: { left: "none" } },
    teeth: { speed: "slow", load: "light" },
  },
  {
    unit: "laundry spinner",
    steps: [
      "rear cover | 4 screws",
      "drive belt | walked off",
      "bearing | pressed out",
      "shaft seal | pried out",
    ],
  },
  {
    unit: "dough sheeter",
    food: true,
    steps: ["gear cover | 6 M5", "chain gear", "reduction gear", "spindle bush"],
    parts: {
      "chain gear": { material: "steel" },
      "reduction gear": { material: "steel" },
      "spindle bush": { material: "bronze" },
    },
    chamber: {
      old: { left: "all", thickener: "AlX", baseOil: "PAO" },
      volume: { by: "filling", ml: 200 },
      staysGrams: 30,
    },
    teeth: { speed: "slow" },
    states: ["good"],
  },
];
