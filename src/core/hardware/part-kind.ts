import { remembered } from "../remembered";

/**
 * What a part can be: the one list of kinds. A gear is measured, a bearing has a size, a seal is renewed.
 * What a catalogue can sell is a part of it (`SOLD_KINDS`).
 */
export const PART_KINDS = [
  "cover", "housing", "gear", "shaft", "bearing", "bush", "seal", "o-ring", "gasket", "motor", "brush", "blade",
  "belt", "chain", "spring", "pin", "switch", "wire", "bracket", "spline",
  "ratchet", "dog-clutch", "one-way-clutch",
  "cap", "plug", "roller", "brush-roll", "slotted-wheel", "pulley", "toothed-pulley", "lever", "fan", "heater",
  "board", "capacitor", "fuse", "thermal-cut-off", "hose", "handle", "guard", "foot", "label", "assembly",
  "other",
] as const; // biome-ignore format: a list
export type PartKindName = (typeof PART_KINDS)[number];
/** Kinds with teeth or corners that engage. */
export const TOOTHED_KINDS: readonly string[] = ["gear", "spline", "ratchet", "dog-clutch"];

/** How a kind is said where its name is no word: "whole assembly". */
const CALLED: Readonly<Partial<Record<PartKindName, string>>> = {
  brush: "carbon brush",
  plug: "plug of a hole",
  "brush-roll": "brush roll",
  "slotted-wheel": "slotted wheel",
  "toothed-pulley": "toothed pulley",
  "dog-clutch": "dog clutch",
  "one-way-clutch": "one-way clutch",
  "o-ring": "O-ring",
  "thermal-cut-off": "thermal cut-off",
  assembly: "whole assembly",
};

/** A kind as it is said on a screen. @example kindCalled("brush") // "carbon brush" */
export const kindCalled = (kind: string): string =>
  PART_KINDS.some((k) => k === kind) ? (CALLED[kind as PartKindName] ?? kind) : kind;

interface Word {
  readonly kind: PartKindName;
  readonly word: RegExp;
  /** the word is that kind's own: a name that ends in it says what the part is. Else it hints. */
  readonly isOwn: boolean;
}
const own = (kind: PartKindName, word: RegExp): Word => ({ kind, word, isOwn: true });
const hint = (kind: PartKindName, word: RegExp): Word => ({ kind, word, isOwn: false });

/** The words of a name that tell a kind. */
const WORDS: readonly Word[] = [
  own("cover", /\b(cover|lid)s?\b/gi),
  hint("cover", /\b(base plate|cowl|shroud|hood|bezel)s?\b/gi),
  own("bush", /\b(bush|bushing)(es|s)?\b/gi),
  hint("bush", /\b(sleeve bearing|sleeve|liner)s?\b/gi),
  own("bearing", /\bbearings?\b/gi),
  own("o-ring", /\bo-?rings?\b/gi),
  own("seal", /\b((shaft|oil|lip) )?seals?\b/gi),
  own("gasket", /\bgaskets?\b/gi),
  own("motor", /\b(gear motor|motor|armature)s?\b/gi),
  own("gear", /\b((worm|gear|spur|bevel|crown|bull|helical|planet) wheel|gear|pinion|worm|sprocket)s?\b/gi),
  hint("gear", /\b(wheel|crown)s?\b/gi),
  own("shaft", /\b(shaft|spindle|axle)s?\b/gi),
  own("housing", /\b(housing|casing)s?\b/gi),
  hint("housing", /\b(case|body|shell|case half)s?\b/gi),
  own("brush", /\b(carbon|motor) brush(es)?\b/gi),
  hint("brush", /\bbrush(es)?\b/gi),
  own("brush-roll", /\b(brush ?(roll|bar)|beater bar)s?\b/gi),
  own("blade", /\b(blades?|knife|knives)\b/gi),
  hint("blade", /\bcutters?\b/gi),
  own("belt", /\bbelts?\b/gi),
  own("chain", /\bchains?\b/gi),
  own("spring", /\bsprings?\b/gi),
  own("pin", /\b(pin|dowel)s?\b/gi),
  hint("pin", /\bkeys?\b/gi),
  own("switch", /\bswitch(es)?\b/gi),
  hint("switch", /\btriggers?\b/gi),
  own("wire", /\b(wire|cord|cable)s?\b/gi),
  hint("wire", /\bleads?\b/gi),
  own("bracket", /\bbrackets?\b/gi),
  hint("bracket", /\b(arm|holder|mount)s?\b/gi),
  own("spline", /\b(splined (shaft|hub|sleeve)|splines?)\b/gi),
  own("ratchet", /\bratchets?( (wheel|ring))?s?\b/gi),
  own("dog-clutch", /\b(dog|claw) (clutch(es)?|coupling|ring)\b/gi),
  own("one-way-clutch", /\b(one-?way|free-?wheel|sprag|overrunning) ?(clutch(es)?|bearing|roller)s?\b/gi),
  own("cap", /\bcaps?\b/gi),
  own("plug", /\b(drain|hole|blanking|filler|oil) plugs?\b/gi),
  hint("plug", /\bplugs?\b/gi),
  own("roller", /\brollers?\b/gi),
  own("slotted-wheel", /\b(optical|slotted|encoder) (wheel|disc|disk)s?\b/gi),
  own("toothed-pulley", /\b(toothed|timing) pulleys?\b/gi),
  own("pulley", /\bpulleys?\b/gi),
  own("lever", /\b(lever|pedal)s?\b/gi),
  hint("lever", /\b(arm|fork|rocker|trigger|pawl)s?\b/gi),
  own("fan", /\b(fan|impeller)( wheel)?s?\b/gi),
  own("heater", /\b(heater|heating element)s?\b/gi),
  hint("heater", /\belements?\b/gi),
  own("board", /\b((circuit|control|switch) )?boards?\b|\bpcbs?\b/gi),
  own("capacitor", /\bcapacitors?\b/gi),
  own("fuse", /\bfuses?\b/gi),
  own(
    "thermal-cut-off",
    /\b(thermal|heat) (cut-?offs?|cut-?outs?|links?|fuses?)\b|\bthermal switch(es)?\b/gi,
  ),
  own("hose", /\bhoses?\b/gi),
  hint("hose", /\b(tube|pipe)s?\b/gi),
  own("handle", /\bhandles?\b/gi),
  hint("handle", /\b(grip|knob)s?\b/gi),
  own("guard", /\bguards?\b/gi),
  hint("guard", /\bshields?\b/gi),
  own("foot", /\b(foot|feet)\b/gi),
  own("label", /\b(label|sticker|badge)s?\b/gi),
  own("assembly", /\b(assembly|assemblies)\b/gi),
  hint("assembly", /\b(unit|module)s?\b/gi),
];

/** What a name is about stands before these: a "washer set of the lay shaft" is no shaft. */
const ABOUT = /\b(of|for|from|with|on|in|under|behind|beside|to)\b/i;

interface Told {
  readonly kind: PartKindName;
  readonly isOwn: boolean;
  readonly from: number;
  readonly to: number;
}

/** The kinds that words of a name tell, the last first; of two that end together the longer. */
function toldBy(name: string): Told[] {
  const all = WORDS.flatMap(({ kind, word, isOwn }) =>
    [...name.matchAll(word)].map((m) => ({ kind, isOwn, from: m.index, to: m.index + m[0].length })),
  );
  return all.sort((a, b) => b.to - a.to || a.from - b.from || Number(b.isOwn) - Number(a.isOwn));
}

/**
 * The kinds that a part may be by its name, the likeliest first: what English puts last, it is. Guesses all,
 * until somebody says so.
 *
 * @example kindsFrom("gear case cover") // ["cover", "housing", "gear"]
 */
export function kindsFrom(name: string): PartKindName[] {
  const [head = ""] = name.split(ABOUT);
  const told = toldBy(head);
  return [...new Set((told.length || head.trim() ? told : toldBy(name)).map((t) => t.kind))];
}

/** The likeliest kind of a part by its name, for a drawing of it: nothing is decided by it. */
export const partKindFrom = (name: string): PartKindName | undefined => kindsFrom(name)[0];

/** A kind whose longer word holds another's: "toothed pulley". */
const HOLDS: Readonly<Partial<Record<PartKindName, readonly PartKindName[]>>> = {
  "toothed-pulley": ["pulley"],
  seal: ["shaft"],
  "one-way-clutch": ["bearing", "roller"],
  spline: ["shaft"],
  "thermal-cut-off": ["fuse", "switch"],
};

/** A name without the number that stands behind it. @example withoutNumber("bearing 6001") // "bearing" */
function withoutNumber(name: string): string {
  const words = name.trim().split(/\s/);
  const last = words.findLastIndex((w) => w !== "" && !/^[a-z]{0,2}\d/i.test(w));
  return words.slice(0, last + 1).join(" ");
}

/**
 * The kind that a name says: it ends in that kind's own word, and no other kind shares it. Anything else is a
 * guess, and wants to be confirmed.
 *
 * @example saidKind("drive belt") // "belt"
 * @example saidKind("brush roll") // undefined: a carbon brush has the word too
 */
export const saidKind: (name: string) => PartKindName | undefined = remembered(told, 2000);

function told(name: string): PartKindName | undefined {
  // a number behind it names which: "bearing 6001"
  const head = withoutNumber(name);
  if (ABOUT.test(head)) return undefined;
  const all = toldBy(head);
  const last = all[0];
  if (!last?.isOwn || last.to < head.length) return undefined;
  const isShared = all.some((t) => t.kind !== last.kind && !HOLDS[last.kind]?.includes(t.kind));
  return isShared ? undefined : last.kind;
}
