import type { HardwareKind } from "../hardware/kinds";
import { patternOf } from "../hardware/line/pattern";
import { isPlastic } from "../hardware/material";
import { isDrawn } from "../hardware/piece";
import type { Joint } from "../job/assembly";
import { kindOf } from "../job/part";
import type { StripStep } from "../job/step";
import {
  closes,
  type GoesBack,
  isLoosened,
  isOf,
  isOneNut,
  isTurning,
  moves,
  namesDrivenPin,
  namesHingePin,
  onlyRetains,
} from "./goes-back";

/**
 * What was said at a step besides its pieces, in small letters: how it came off, what it sits on, where its
 * pieces sat. Words of a name are left out: a part is what it was said to be.
 */
export const saidAt = (step: StripStep): string =>
  [
    step.note,
    step.facing,
    step.setting,
    step.freed?.says,
    step.timing?.says,
    ...(step.marks ?? []),
    ...(step.held ?? []),
    ...(step.remarks ?? [])
      .filter((r) => r.about !== "variant" && r.about !== "meanwhile")
      .map((r) => r.says),
    ...(step.hardware ?? []).map((h) => h.at),
  ]
    .filter(Boolean)
    .join("; ")
    .toLowerCase();

/** What drives one way only. */
const ONE_WAY = ["ratchet", "one-way-clutch", "dog-clutch"];
const GEARED = ["gear", "spline"];
const WASHERS: readonly HardwareKind[] = [
  "washer", "wavy-washer", "lock-washer", "disc-spring", "thrust-washer", "spacer",
]; // biome-ignore format: a list
/** Parts that a pin hinges, or locates, and does not drive. */
const NO_HUB = [
  "cover",
  "housing",
  "lever",
  "handle",
  "guard",
  "bracket",
  "foot",
  "board",
  "label",
  "switch",
  "cap",
];
const PUSHED = /\b(?:puller|press|arbor)\b/;
const UNSCREWS = patternOf(
  String.raw`\b(?:unscrews|unscrewed|(?:screws|winds|wound|spins|spun) (?:off|out|up)|
  screwed (?:on|off)|(?:threads|threaded|screws|screwed) into)\b`,
);
/**
 * What a step says unscrews: the part itself, or another thing ("gland screws out" at a ram). Undefined:
 * nothing.
 */
function unscrewing(said: string, title: string): "itself" | "another" | undefined {
  const found = UNSCREWS.exec(said);
  if (!found) return undefined;
  const subject = /([\p{L}-]{3,}) $/u.exec(said.slice(0, found.index))?.[1];
  return !subject || /^(?:then|that|and|it|all)$/.test(subject) || title.includes(subject)
    ? "itself"
    : "another";
}
/** A washer's tab that was bent against its nut. */
const BENT_TAB =
  /\b(?:tab|lock) ?(?:washer|plate)?s?\b.{0,20}\b(?:bent|bend|folded|knocked)\b|\bbent (?:over|up|back|flat)\b/;
const HINGE = /\b(?:hinge[sd]?|pivots?|swivels?|lever|pedal)\b/;

/** One pin that came off with a wheel goes through it, mostly: it is asked about. */
const isOnePinOfAWheel = (b: GoesBack): boolean =>
  is(b, "gear", "pulley", "toothed-pulley", "fan", "roller", "spline") &&
  b.hardware.filter((h) => h.kind === "pin").reduce((n, h) => n + h.qty, 0) === 1;
/** "Lower half", "half shells", and not "half collars". */
const HALVES = /\b(?:half|halves|shells?)(?=$|[,;]| (?:housing|case|cover|shell))/;
/** What closes: a cover, a housing, or a half with the screws that draw it. */
const isShut = (b: GoesBack, title: string): boolean =>
  closes(b.parts) || (HALVES.test(title) && has(b, "screw"));
/** A pin that it swings on. */
const isHinged = (b: GoesBack, said: string, title: string): boolean =>
  HINGE.test(said) || HINGE.test(title) || namesHingePin(b.step);
const TAPER_LOCK = /\btaper[- ]?lock\b/;
type Evidence = (b: GoesBack, said: string, title: string) => boolean;

const has = ({ hardware }: GoesBack, ...kinds: HardwareKind[]): boolean =>
  hardware.some((h) => kinds.includes(h.kind));
const is = ({ parts }: GoesBack, ...kinds: string[]): boolean => parts.some((p) => isOf(kinds, p));
const held = ({ step }: GoesBack, by: string): boolean => (step.held ?? []).includes(by);
const isThroughHub: Evidence = (b, said, title) =>
  has(b, "pin") &&
  !is(b, ...NO_HUB) &&
  !HINGE.test(said) &&
  !HINGE.test(title) &&
  (isOnePinOfAWheel(b) ||
    b.step.action === "drive-out" ||
    b.step.freed?.how === "drive" ||
    namesDrivenPin(b.step));

const TABS = patternOf(
  String.raw`\b(?:tabs?(?! washer)|snaps?)\b|
  \b(?:\d+|two|three|four|both|side|plastic|by) (?:catch(?:es)?|latch(?:es)?)\b`,
);
function hasTabs(b: GoesBack, said: string): boolean {
  return (
    moves(b.step) &&
    (held(b, "snap tabs") ||
      TABS.test(said) ||
      (b.step.action === "unclip" &&
        b.parts.length > 0 &&
        !is(b, "spring") &&
        !/\bunhook/.test(said) &&
        !has(b, "circlip", "e-clip", "clip")))
  );
}

/** What tells each joint: the pieces that came off, what parts were said to be, and what was said of them. */
const EVIDENCE: Readonly<Record<Joint, Evidence>> = {
  belt: (b) => is(b, "belt") || has(b, "belt"),
  "toothed-belt": (b, said, title) =>
    (is(b, "belt") || has(b, "belt")) && /\b(?:tooth(?:ed)?|timing|cogged)\b/.test(`${said} ${title}`),
  blocked: ({ step }) => step.action === "block",
  brush: (b) => moves(b.step) && (is(b, "brush") || has(b, "brush")),
  // a bush that clamps on a taper, or gives way, is no bearing
  bush: (b, said, title) => is(b, "bush") && !/\b(?:taper|clamp\w*|rubber|lock)\b/.test(`${said} ${title}`),
  bearing: (b) => is(b, "bearing") || has(b, "bearing"),
  balls: (b) => has(b, "ball"),
  circlip: (b) => has(b, "circlip", "e-clip"),
  "cross-pin": isThroughHub,
  "hinge-pin": (b, said, title) =>
    has(b, "pin") && !isThroughHub(b, said, title) && (is(b, "lever", "handle") || isHinged(b, said, title)),
  dowels: (b, said, title) =>
    held(b, "dowels") ||
    /\b(?:dowels?|locating pins?)\b/.test(said) ||
    (has(b, "pin") && closes(b.parts) && !isHinged(b, said, title)),
  hooks: (b, said) =>
    held(b, "hook") ||
    (/\bhooks?\b(?! (?:on|onto|over|into) (?:the |its )?(?:drive|shaft|spindle|axle|dog))/.test(said) &&
      !has(b, "spring") &&
      !is(b, "spring")),
  tabs: hasTabs,
  "turned-on": (_, said) => /\b(?:bayonet|(?:quarter|half|eighth)[- ]turn)\b/.test(said),
  flats: (_, said) =>
    /\b(?:flats (?:on|of|at|line|in|face|to)|(?:two|2|both) flats|d[- ]?(?:shaped|shaft|hole)|square (?:shaft|end|hole))\b/.test(
      said,
    ),
  key: (b, said) => has(b, "key") || /\bkeyways?\b/.test(said),
  spline: (b, said) => is(b, "spline") || /\bsplined?s?\b/.test(said),
  "press-fit": (b, said) =>
    held(b, "press fit") ||
    /\bpress(?:ed)? fit\b/.test(said) ||
    b.step.action === "press-out" ||
    b.step.freed?.how === "press" ||
    (b.step.action === "pull" && PUSHED.test([b.step.freed?.tool, ...(b.step.tools ?? [])].join(" "))),
  shrunk: (b) => b.step.freed?.how === "heat",
  jacked: (b) => b.step.freed?.how === "jack",
  taper: (b, said) => held(b, "taper") || /\b(?:on|has) (?:a|its) taper\b|^taper$|; taper(?:;|$)/.test(said),
  glue: (b, said) => held(b, "glue") || /\b(?:glued|bonded)\b/.test(said),
  soldered: ({ step }) => step.action === "unsolder",
  drain: ({ step }) => step.action === "drain",
  screws: ({ hardware }) => hardware.some((h) => h.kind === "screw" && !isLoosened(h)),
  caught: (b, said) => hasTabs(b, said) && !b.hardware.some((h) => isDrawn(h) && !isLoosened(h)),
  valve: (_, said, title) => /\bvalves?\b/.test(`${said} ${title}`),
  "plastic-screws": ({ hardware }) =>
    hardware.some(
      (h) => h.kind === "screw" && (/^(?:ST|plastic)/i.test(h.thread ?? "") || isPlastic(h.into)),
    ),
  inserts: ({ hardware }, said) =>
    hardware.some((h) => /insert/i.test(h.into ?? "")) || /\b(?:brass|threaded) inserts?\b/.test(said),
  // the screws of a taper lock draw it tight, and stand over no flat
  "grub-screw": ({ hardware }, said, title) =>
    hardware.some((h) => h.form === "grub") && !TAPER_LOCK.test(`${said} ${title}`),
  loosened: ({ step, hardware }) => step.action === "loosen" || hardware.some(isLoosened),
  // a nut that clamps a pulley or a flange asks for no play
  "one-nut": (b) =>
    isOneNut(b.hardware) && (onlyRetains(b.step) || is(b, "gear", "shaft", "bearing", "roller", "spline")),
  "left-hand": ({ step, hardware }) => step.leftHand === true || hardware.some((h) => h.leftHand === true),
  threaded: (b, said, title) =>
    b.parts.length > 0 &&
    (unscrewing(said, title) === "itself" ||
      ((b.step.action === "unscrew" || b.step.leftHand === true) && !has(b, "screw", "nut"))),
  "screws-out": (b, said, title) =>
    moves(b.step) && !has(b, "screw", "nut") && unscrewing(said, title) === "another",
  "bent-tab": (b, said) => has(b, "lock-washer") && BENT_TAB.test(said),
  "o-ring": (b) => has(b, "o-ring") || is(b, "o-ring"),
  gasket: (b) => has(b, "gasket") || is(b, "gasket"),
  // a seal that lies under a foot has no lip
  seal: (b, said, title) =>
    (has(b, "seal") || is(b, "seal")) &&
    /\b(?:lip|garter)\b|\b(?:lip|shaft|oil|spindle|dust|rotary) seals?\b/.test(
      `${said} ${title} ${b.step.said ?? ""}`.toLowerCase(),
    ),
  // one washer under its nut can lie in one order only
  stack: ({ step, hardware }) =>
    (step.stack?.length ?? 0) > 2 &&
    hardware
      .filter((h) => WASHERS.includes(h.kind) && step.stack?.includes(h.id))
      .reduce((n, h) => n + h.qty, 0) > 1,
  washers: ({ hardware }) =>
    hardware.filter((h) => WASHERS.includes(h.kind)).reduce((n, h) => n + h.qty, 0) > 1,
  meets: (b, said, title) =>
    /\b(?:gears?|bevels?|teeth|pinions?)\b.{0,20}\b(?:meets?|mesh(?:es)?|inside)\b/.test(said) ||
    (isShut(b, title) &&
      b.behind.some((p) => isOf(GEARED, p)) &&
      (is(b, "housing", ...GEARED) || /\b(?:gear|half|halves)/.test(title))),
  stood: ({ step }) => step.setting !== undefined,
  locked: (b, said) => b.hardware.some((h) => h.form === "grub" || h.kind === "nut") || /\block/.test(said),
  // one alone lies one way or the other, and not on another
  "disc-springs": ({ hardware }) =>
    hardware.filter((h) => h.kind === "disc-spring").reduce((n, h) => n + h.qty, 0) > 1,
  spring: (b) => moves(b.step) && (is(b, "spring") || has(b, "spring")),
  "one-way": (b) => moves(b.step) && (is(b, ...ONE_WAY) || has(b, "pawl")),
  marks: ({ step }, said) =>
    moves(step) &&
    (step.timing !== undefined ||
      /\b(?:marks?|dots?|pips?|arrows?|notch(?:es)?)\b.{0,50}\b(?:lines? up|lined up|in line|align\w*|match\w*|meets?|facing|faces|opposite|together|to the (?:mark|dot|notch|arrow))\b|\b(?:dot to dot|mark to mark|line to line)\b|\b(?:lines? up|lined up|aligned?|in line) with (?:the |a |its )?(?:marks?|dots?|pips?|arrows?|notch)\b|\btiming (?:marks?|dots?)\b/.test(
        said,
      )),
  setting: ({ step }, said, title) =>
    step.setting !== undefined || /\badjust(?:er|ers|ing|ment|able)?\b/.test(`${said} ${title}`),
  "switch-cam": (b, said, title) =>
    (is(b, "switch") || /\bswitch(?:es)?\b/.test(title)) &&
    /\b(?:limit|mode|cam|follower|end stop)\b/.test(`${said} ${title}`),
  wires: ({ step }) => moves(step) && (step.wires?.length ?? 0) > 0,
  wired: ({ wired }) => wired,
  earth: ({ step }, said) =>
    (step.wires ?? []).some(
      (w) => /green|earth|ground|^pe$|^e$/i.test(`${w.colour} ${w.to}`.trim()) || /^(?:pe|e)$/i.test(w.to),
    ) || /\bearth(?:ing)? (?:wire|lead|tag|strap|screw)\b/.test(said),
  "cord-grip": (_, said, title) =>
    /\b(?:cord|cable) (?:grip|clamp)s?\b|\bstrain relief\b/.test(`${said} ${title}`),
  halves: (b, _, title) => isShut(b, title) && HALVES.test(title),
  closes: (b, _, title) => isShut(b, title),
  teeth: (b) => is(b, ...GEARED),
  turns: ({ step, parts }) => moves(step) && parts.some(isTurning) && !closes(parts),
  hose: (b) => is(b, "hose"),
};
const ALL = Object.entries(EVIDENCE) as unknown as readonly (readonly [Joint, Evidence])[];

/** How a step's parts are joined, by what came off with them and what was said. */
export function jointsOf(back: GoesBack): ReadonlySet<Joint> {
  const said = saidAt(back.step);
  const title = (back.step.title ?? "").toLowerCase();
  return new Set(ALL.flatMap(([joint, tells]) => (tells(back, said, title) ? [joint] : [])));
}

/** What parts of a step were said to be. */
export const kindsOf = ({ parts }: Pick<GoesBack, "parts">): ReadonlySet<string> =>
  new Set(parts.flatMap((p) => kindOf(p) ?? []));
