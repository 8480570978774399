import type { Freeing } from "./freed";
import type { HardwareKind } from "./kinds";
import type { HardwareForm, PieceState } from "./piece";

/** The words of the bench's shorthand. The first word of a kind is the one it is written with; plurals are read as well. */
export const KIND_WORDS: Readonly<Record<HardwareKind, readonly string[]>> = {
  screw: ["screw", "bolt"],
  nut: ["nut"],
  washer: ["flat", "washer", "shim", "flat-washer"],
  "wavy-washer": ["wavy", "wave", "wavy-washer", "wave-washer", "spring-washer"],
  "lock-washer": ["lock-washer", "split-washer", "toothed-washer", "star-washer"],
  pin: ["pin", "spring-pin", "roll-pin", "dowel", "key"],
  circlip: ["circlip", "snap-ring", "snapring", "c-clip"],
  "e-clip": ["e-clip", "eclip"],
  spring: ["spring"],
  ball: ["ball"],
  bearing: ["bearing"],
  "o-ring": ["o-ring", "oring"],
  seal: ["seal", "oil-seal", "shaft-seal", "lip-seal"],
  gasket: ["gasket"],
  plug: ["plug", "connector"],
  clamp: ["clamp", "cord-clamp"],
  other: ["piece"],
};

/** Two words that are one: "lock washer" is no lock and no washer. */
export const TWO_WORDS =
  /\b(flat|wavy|wave|spring|lock|split|toothed|star)[ -](washers?)\b|\b(spring|roll)[ -](pins?)\b|\b(snap)[ -](rings?)\b|\b(oil|shaft|lip)[ -](seals?)\b|\b(cord)[ -](clamps?)\b|\b(left)[ -](hand)\b|\b(o|e)[ -](rings?|clips?)\b|\b(self)[ -](locking)\b|\b(blue|red|green|purple|white)[ -](locker)\b/gi;

/** Words after which the rest says where: a number behind them is part of the place. */
export const PREPOSITIONS: readonly string[] = ["above", "below", "under", "over", "behind", "at", "on", "in", "near", "of", "to", "beside", "between"];

export const FORM_WORDS: Readonly<Record<HardwareForm, readonly string[]>> = {
  pan: ["pan"],
  countersunk: ["csk", "countersunk"],
  socket: ["socket", "cap"],
  "hex-head": ["hexhead", "hex-head"],
  button: ["button"],
  grub: ["grub"],
  dome: ["dome", "domed", "acorn"],
  "self-locking": ["self-locking", "selflocking", "locking"],
  wing: ["wing"],
  flange: ["flange", "flanged"],
};

export const FINISHES = ["black", "zinc", "brass", "blued", "yellow", "stainless", "bronze", "copper", "steel", "plastic", "nylon", "fibre", "felt"] as const;
export const LOCKER_COLOURS = ["blue", "red", "green", "purple", "white"] as const;
export const STATES: Readonly<Record<string, PieceState>> = { lost: "lost", broken: "broken", broke: "broken", snapped: "broken", missing: "missing" };

export const COUNT_WORDS: Readonly<Record<string, number>> = {
  a: 1, an: 1, one: 1, two: 2, three: 3, four: 4, five: 5, six: 6, seven: 7, eight: 8, nine: 9, ten: 10, eleven: 11, twelve: 12,
}; // biome-ignore format: a short list reads better in rows

/** Places that are said with two letters. */
export const PLACES: Readonly<Record<string, string>> = {
  fl: "front left", fr: "front right", rl: "rear left", rr: "rear right", tl: "top left", tr: "top right", bl: "bottom left", br: "bottom right",
}; // biome-ignore format: a short list reads better in rows

/** Colours of wires: the letters of IEC 60757, and the words. */
export const WIRE_COLOURS: Readonly<Record<string, string>> = {
  bk: "black", bn: "brown", rd: "red", og: "orange", ye: "yellow", gn: "green", bu: "blue", vt: "violet", gy: "grey", wh: "white", pk: "pink", tq: "turquoise",
  gnye: "green-yellow", gray: "grey", purple: "violet", "green/yellow": "green-yellow", "gn/ye": "green-yellow",
}; // biome-ignore format: a short list reads better in rows

export const FREED_WORDS: Readonly<Record<string, Freeing>> = {
  pull: "pull", pulled: "pull", pry: "pry", pried: "pry", press: "press", pressed: "press", drive: "drive", driven: "drive", drove: "drive",
  heat: "heat", heated: "heat", tap: "tap", tapped: "tap", jack: "jack", jacked: "jack", slid: "slide", twist: "twist", twisted: "twist", cut: "cut",
}; // biome-ignore format: a short list reads better in rows

/** Pitches of metric threads, mm: coarse (ISO 261), then the fine ones met on small machines. */
export const METRIC_PITCHES: Readonly<Record<string, readonly number[]>> = {
  "1.6": [0.35], "2": [0.4], "2.5": [0.45], "3": [0.5, 0.35], "3.5": [0.6], "4": [0.7, 0.5], "5": [0.8, 0.5], "6": [1, 0.75, 0.5], "8": [1.25, 1, 0.75],
  "10": [1.5, 1.25, 1, 0.75], "12": [1.75, 1.5, 1.25, 1], "14": [2, 1.5], "16": [2, 1.5],
}; // biome-ignore format: a short list reads better in rows
