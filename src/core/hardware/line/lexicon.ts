import type { Freeing } from "../freed";
import type { HardwareKind } from "../kinds";
import type { HardwareForm, PieceState } from "../piece";

/**
 * The words of the trade, and what each is taken for. A phrase is written with blanks; the reader takes blank
 * and hyphen for one, and an `s` or `es` at its end for many. Longer phrases win over shorter ones, so
 * "flat head" is a head although "flat" is a washer.
 */

/** What it is. The first phrase of a kind is the one it is written with. */
export const KIND_PHRASES: Readonly<Record<HardwareKind, readonly string[]>> = {
  screw: [
    "screw",
    "bolt",
    "wood screw",
    "self tapper",
    "self tapping screw",
    "tapping screw",
    "tapper",
    "self tapping",
    "self driller",
    "self drilling screw",
    "carriage bolt",
  ],
  nut: ["nut", "t nut", "jam nut", "square nut", "speed nut"],
  washer: ["flat", "washer", "flat washer", "plain washer", "penny washer", "fender washer"],
  "wavy-washer": ["wavy", "wave", "wavy washer", "wave washer", "wave spring"],
  "lock-washer": [
    "lock washer",
    "spring washer",
    "split washer",
    "split lock washer",
    "star washer",
    "toothed washer",
    "tooth washer",
    "serrated washer",
    "tab washer",
    "shakeproof washer",
    "shakeproof",
    "star lock washer",
  ],
  "disc-spring": [
    "disc spring",
    "disk spring",
    "belleville",
    "belleville washer",
    "belleville spring",
    "cup spring",
    "conical washer",
    "conical spring washer",
  ],
  "thrust-washer": ["thrust washer", "thrust ring"],
  pin: [
    "pin",
    "spring pin",
    "roll pin",
    "dowel",
    "dowel pin",
    "taper pin",
    "clevis pin",
    "shear pin",
    "hinge pin",
    "tension pin",
    "coiled pin",
    "grooved pin",
    "cross pin",
    "drive pin",
    "locating pin",
  ],
  "split-pin": ["split pin", "cotter pin", "cotter", "hairpin cotter"],
  key: ["key", "woodruff key", "woodruff", "half moon key", "feather key", "parallel key"],
  rivet: ["rivet", "pop rivet", "blind rivet"],
  circlip: ["circlip", "snap ring", "snapring", "c clip", "retaining ring"],
  "e-clip": ["e clip", "eclip", "e ring"],
  clip: ["clip", "retaining clip", "spring clip", "wire clip", "hairpin", "hairpin clip"],
  spring: [
    "spring",
    "coil spring",
    "compression spring",
    "torsion spring",
    "extension spring",
    "tension spring",
    "leaf spring",
    "return spring",
  ],
  ball: ["ball", "detent ball"],
  bearing: ["bearing", "ball bearing", "needle bearing", "roller bearing", "thrust bearing"],
  "o-ring": ["o ring", "oring"],
  seal: ["seal", "oil seal", "shaft seal", "lip seal"],
  gasket: ["gasket"],
  plug: ["plug", "connector", "spade connector", "spade terminal", "spade"],
  clamp: ["clamp", "cord clamp", "cable clamp", "hose clamp", "hose clip", "jubilee clip"],
  "cable-tie": ["cable tie", "zip tie", "tie wrap"],
  spacer: [
    "spacer",
    "stand off",
    "standoff",
    "distance sleeve",
    "distance piece",
    "spacer washer",
    "spacing washer",
    "distance washer",
    "spacer ring",
  ],
  insert: ["insert", "threaded insert", "heat set insert", "rivet nut"],
  brush: ["brush", "carbon brush", "carbon", "motor brush"],
  belt: ["belt", "drive belt", "flat belt", "toothed belt", "timing belt", "v belt", "ribbed belt"],
  pawl: ["pawl", "ratchet pawl", "ratchet spring pawl"],
  debris: [
    "debris",
    "swarf",
    "metal chip",
    "metal shaving",
    "shaving",
    "filings",
    "metal filings",
    "broken tooth",
    "broken teeth",
    "fragment",
    "metal glitter",
  ],
  other: ["piece"],
};

/** Phrases that say kind and head, or kind and thread, in one. */
export const NAMED_PIECES: readonly {
  readonly phrases: readonly string[];
  readonly kind: HardwareKind;
  readonly form?: HardwareForm;
  readonly threadIs?: "coarse" | "machine";
  /** what it was called, where its kind alone would say another thing */
  readonly finish?: string;
}[] = [
  { phrases: ["shim", "shim washer", "shim ring"], kind: "washer", finish: "shim" },
  { phrases: ["thumbscrew", "thumb screw"], kind: "screw", finish: "thumb" },
  { phrases: ["spring link", "master link", "split link"], kind: "clip", finish: "chain" },
  { phrases: ["r clip"], kind: "clip", finish: "R" },
  // a nut that locks another, or one that holds by itself: the word says neither
  { phrases: ["lock nut", "locknut", "locking nut"], kind: "nut", finish: "lock" },
  { phrases: ["cap nut", "dome nut", "domed nut", "acorn nut"], kind: "nut", form: "dome" },
  {
    phrases: ["nyloc", "nylock", "nyloc nut", "nylock nut", "stop nut", "self locking nut"],
    kind: "nut",
    form: "self-locking",
  },
  { phrases: ["castle nut", "castellated nut", "crown nut", "slotted nut"], kind: "nut", form: "castle" },
  { phrases: ["wing nut", "butterfly nut"], kind: "nut", form: "wing" },
  { phrases: ["flange nut", "flanged nut"], kind: "nut", form: "flange" },
  { phrases: ["hex nut", "hexagon nut"], kind: "nut" },
  { phrases: ["flange bolt", "flange screw"], kind: "screw", form: "flange" },
  { phrases: ["cap screw", "socket screw", "allen screw", "allen bolt"], kind: "screw", form: "socket" },
  { phrases: ["set screw", "grub screw"], kind: "screw", form: "grub" },
  { phrases: ["hex bolt", "hex screw", "hex head screw", "hex head bolt"], kind: "screw", form: "hex-head" },
  { phrases: ["machine screw"], kind: "screw", threadIs: "machine" },
  { phrases: ["coarse screw"], kind: "screw", threadIs: "coarse" },
];

/** The head, or the shape of a nut. The first is the one it is written with. */
export const FORM_PHRASES: Readonly<Record<HardwareForm, readonly string[]>> = {
  pan: ["pan", "pan head"],
  countersunk: ["csk", "countersunk", "flat head", "flathead", "countersunk head"],
  socket: ["socket", "socket head", "cap head", "cylinder head"],
  "hex-head": ["hexhead", "hex head", "hexagon head"],
  button: ["button", "button head"],
  grub: ["grub"],
  dome: ["dome", "domed", "acorn"],
  "self-locking": ["self-locking", "self locking", "selflocking"],
  wing: ["wing"],
  flange: ["flange", "flanged", "flange head", "washer head"],
  round: ["round head", "roundhead", "cheese head"],
  castle: ["castle", "castellated"],
};

/** A head that no nut has: with nothing else named, it is a screw's. */
export const SCREW_FORMS: readonly HardwareForm[] = [
  "pan",
  "countersunk",
  "socket",
  "hex-head",
  "button",
  "grub",
  "round",
];
export const NUT_FORMS: readonly HardwareForm[] = ["dome", "self-locking", "wing", "castle"];

/** Drives that are said as words; a size may follow. */
export const DRIVE_PHRASES: Readonly<Record<string, readonly string[]>> = {
  TX: ["torx", "tx", "six lobe", "star drive"],
  PH: ["phillips", "ph", "philips", "cross head", "crosshead", "cross slot"],
  PZ: ["pozidriv", "pz", "pozidrive", "pozi", "posidrive"],
  SL: ["slotted", "flat blade", "straight slot", "slot head"],
  SQ: ["square drive", "robertson"],
  hex: ["allen", "hex key", "hex socket", "internal hex", "allen key", "hexagon socket"],
};

export const LOOKS: readonly string[] = [
  "black", "zinc", "brass", "blued", "yellow", "stainless", "bronze", "copper", "steel", "plastic", "nylon",
  "fibre", "felt", "silver", "rubber", "paper", "aluminium",
  "big", "bigger", "large", "larger", "small", "smaller", "thick", "thicker", "thin", "thinner", "internal",
  "external", "captive", "tiny", "little", "thumb", "fixing", "mounting", "long", "longer", "short", "shorter",
]; // biome-ignore format: a short list reads better in rows

export const LOCKER_COLOURS = ["blue", "red", "green", "purple", "white"] as const;
export const LOCKER_WORDS: readonly string[] = [
  "locker", "threadlocker", "thread locker", "threadlock", "thread lock", "thread locking",
  "thread locking fluid", "locking fluid", "locking compound", "locking paint", "locking varnish",
  "screw lock", "screwlock", "thread glue",
]; // biome-ignore format: a short list reads better in rows

export const STATE_WORDS: Readonly<Record<string, PieceState>> = {
  lost: "lost", torn: "broken", ripped: "broken", broken: "broken", broke: "broken", snapped: "broken",
  sheared: "broken", missing: "missing",
}; // biome-ignore format: a short list reads better in rows

export const LEFT_HAND: readonly string[] = [
  "lh", "lh thread", "left hand", "left hand thread", "left handed", "left handed thread", "left thread",
  "left threaded", "reverse thread", "reverse threaded", "reversed thread",
]; // biome-ignore format: a short list reads better in rows

export const ONCE_WORDS: readonly string[] = [
  "once",
  "use once",
  "used once",
  "single use",
  "new",
  "renew",
  "goes back new",
  "replace",
  "to be replaced",
];

export const COUNT_WORDS: Readonly<Record<string, number>> = {
  a: 1, an: 1, one: 1, single: 1, two: 2, three: 3, four: 4, five: 5, six: 6, seven: 7, eight: 8, nine: 9,
  ten: 10, eleven: 11, twelve: 12,
  thirteen: 13, fourteen: 14, fifteen: 15, sixteen: 16, seventeen: 17, eighteen: 18, nineteen: 19, twenty: 20,
}; // biome-ignore format: a short list reads better in rows
/** Counts that are said in several words, and are no article. */
export const COUNT_PHRASES: Readonly<Record<string, number>> = {
  "half a dozen": 6, "a half dozen": 6, "half dozen": 6, "a dozen": 12, dozen: 12, "a pair of": 2,
  "pair of": 2, "a couple of": 2, "couple of": 2, "a pair": 2, both: 2,
}; // biome-ignore format: a short list reads better in rows

/** Counts that are none: how many is asked. */
export const VAGUE_COUNTS: readonly string[] = [
  "handful of",
  "a handful of",
  "a few",
  "few",
  "several",
  "some",
  "a bunch of",
  "bunch of",
  "lots of",
  "many",
  "various",
];

/** Places that are said with two letters. */
export const PLACES: Readonly<Record<string, string>> = {
  fl: "front left", fr: "front right", rl: "rear left", rr: "rear right", tl: "top left", tr: "top right",
  bl: "bottom left", br: "bottom right",
}; // biome-ignore format: a short list reads better in rows

/** Words of a direction: two of them with "and" between are one place. */
export const DIRECTIONS: readonly string[] = [
  "front", "rear", "back", "left", "right", "top", "bottom", "upper", "lower", "inner", "outer", "inside",
  "outside", "middle", "centre", "center", "side", "corner", "corners", "edge",
]; // biome-ignore format: a short list reads better in rows

/**
 * Words after which the rest says where: a number, or another piece's name, behind them is part of the place.
 */
export const PREPOSITIONS: readonly string[] = [
  "above", "below", "under", "underneath", "over", "behind", "at", "on", "onto", "in", "inside", "into",
  "near", "of", "to", "beside", "between", "from", "through", "around", "along", "next", "by", "for",
]; // biome-ignore format: a short list reads better in rows

/** How it was got free. What is also a noun or a command counts only where it can be nothing else. */
export const FREED_WORDS: Readonly<Record<string, Freeing>> = {
  pulled: "pull", pried: "pry", prised: "pry", levered: "pry", pressed: "press", driven: "drive",
  drove: "drive", heated: "heat", tapped: "tap", jacked: "jack", slid: "slide", twisted: "twist",
}; // biome-ignore format: a short list reads better in rows
export const FREED_COMMANDS: Readonly<Record<string, Freeing>> = {
  pull: "pull", pry: "pry", press: "press", drive: "drive", heat: "heat", tap: "tap", jack: "jack",
  twist: "twist", cut: "cut",
}; // biome-ignore format: a short list reads better in rows

/** Colours of wires: the letters of IEC 60757, and the words. */
export const WIRE_COLOURS: Readonly<Record<string, string>> = {
  bk: "black", bn: "brown", rd: "red", og: "orange", ye: "yellow", gn: "green", bu: "blue", vt: "violet",
  gy: "grey", wh: "white", pk: "pink", tq: "turquoise",
  gnye: "green-yellow", gray: "grey", purple: "violet", "green/yellow": "green-yellow",
  "gn/ye": "green-yellow",
}; // biome-ignore format: a short list reads better in rows

/** By feel or by angle. */
export const TIGHT_PHRASES: readonly string[] = [
  "finger tight",
  "hand tight",
  "snug",
  "good and tight",
  "just nipped up",
  "nipped up",
];
/** What a thread is cut into. */
export const INTO_WORDS: readonly string[] = [
  "plastic", "abs", "nylon", "wood", "metal", "steel", "sheet metal", "brass", "aluminium", "aluminum",
  "alloy", "zinc", "magnesium", "die cast", "die casting", "casting", "cast iron", "insert", "a brass insert", "brass inserts", "inserts", "threaded inserts",
]; // biome-ignore format: a short list reads better in rows

/** Words that turn a line round: what stands beside them did not come off, or is not there. */
export const NOT_PHRASES: readonly string[] = [
  "no", "not", "none", "never", "without", "left in", "left on", "left in place", "still in", "still on",
  "stays", "stays in", "stay", "stay put", "stayed", "stay in", "not removed", "leave", "kept in", "remains", "only a look",
  "just a look", "only looked at", "just looked at", "looked at only", "isn't", "isn’t", "wasn't", "wasn’t",
  "doesn't", "doesn’t", "didn't", "didn’t",
]; // biome-ignore format: a short list reads better in rows

/** How a piece was found: words for a note, and no place. */
export const CONDITIONS: readonly string[] = [
  "rusty", "rusted", "bent", "stripped", "seized", "stuck", "loose", "corroded", "worn", "dirty", "rounded",
  "chewed", "cracked", "dry", "greasy", "wet", "burnt", "hot", "cold", "very", "really", "quite", "too",
  "tight",
]; // biome-ignore format: a short list reads better in rows

/** Names of parts that the line counts nowhere: beside a piece, they make it doubtful. */
export const PART_WORDS: readonly string[] = [
  "pulley", "gear", "wheel", "pinion", "bush", "bushing", "sleeve", "collar", "grommet", "foot", "feet", "bracket",
  "cover", "lever", "knob", "stud", "switch", "board", "housing", "shaft", "rotor", "magnet", "cap", "boot", "ring",
  "holder", "guard", "plate", "carrier", "tensioner", "cup", "cage", "retainer", "seat", "arm", "case", "frame",
  "mount", "tube", "pad", "tray", "panel", "door", "handle", "hub", "drum", "disc", "disk", "roller", "barrel", "lid",
  "unit", "assembly", "spindle", "axle", "worm", "sprocket", "motor", "armature", "coupling", "clutch", "fan",
  "impeller", "blade", "knife", "nozzle", "hose", "filter", "lamp", "heater", "element", "thermostat", "capacitor",
  "label", "badge", "trigger", "button", "slider", "joint", "half", "halves", "case half", "race", "strap", "hood",
  "shell", "deck", "base", "bezel", "window", "chain", "cord", "lead", "cable", "body", "head", "tab", "locking tab",
  "tongue", "float", "valve", "piston", "conrod", "connecting rod", "crank", "cam", "rocker", "yoke", "fork", "rack",
  "needle roller", "cone", "ferrule", "spider", "buffer", "damper", "pillow block", "link", "leaf", "leaves",
]; // biome-ignore format: a short list reads better in rows // biome-ignore format: a short list reads better in rows

/** Pitches of metric threads, mm: coarse (ISO 261), then the fine ones met on small machines. */
export const METRIC_PITCHES: Readonly<Record<string, readonly number[]>> = {
  "1.4": [0.3], "1.6": [0.35], "2": [0.4], "2.5": [0.45], "2.6": [0.45], "3": [0.5, 0.35], "3.5": [0.6],
  "4": [0.7, 0.5], "5": [0.8, 0.5], "6": [1, 0.75, 0.5], "8": [1.25, 1, 0.75],
  "10": [1.5, 1.25, 1, 0.75], "12": [1.75, 1.5, 1.25, 1], "14": [2, 1.5], "16": [2, 1.5],
}; // biome-ignore format: a short list reads better in rows
/** Turns to the inch of the numbered unified threads (ASME B1.1), coarse and fine: what `6-32` can be. */
export const NUMBERED_TPI: Readonly<Record<string, readonly number[]>> = {
  "0": [80], "1": [64, 72], "2": [56, 64], "3": [48, 56], "4": [40, 48], "5": [40, 44], "6": [32, 40],
  "8": [32, 36], "10": [24, 32], "12": [24, 28],
}; // biome-ignore format: a short list reads better in rows
