import { isOf, namesDrivenPin, namesLocatingPin } from "../assemblies/goes-back";
import { jointsOf, saidAt } from "../assemblies/joints";
import type { Freeing, Hold } from "../hardware/freed";
import type { HardwareKind } from "../hardware/kinds";
import { type Hardware, hardwareInWords, LOOSENED } from "../hardware/piece";
import { kindOf, type Part } from "../job/part";
import type { StripStep } from "../job/step";
import { INVERSE_ACTION, wasDriven } from "../order/inverse-action";
import { ACTION_SAYS } from "../order/likely-action";
import { capital } from "../sentence";

/** Kinds of parts that have a word of their own, however they came off. */
const OF_KIND: Readonly<Record<string, string>> = {
  belt: "lay on",
  brush: "let in",
  gasket: "lay on",
  "o-ring": "lay in",
  wire: "lay in",
  plug: "plug in",
};

/** What is done with a piece of hardware. */
const PIECES: Readonly<Record<HardwareKind, string>> = {
  screw: "screw in",
  nut: "screw on",
  washer: "lay on",
  "wavy-washer": "lay on",
  "lock-washer": "lay on",
  "disc-spring": "lay on",
  "thrust-washer": "lay on",
  pin: "drive in",
  "split-pin": "put through and spread",
  key: "set into its slot",
  rivet: "rivet",
  circlip: "clip in",
  "e-clip": "clip in",
  clip: "clip on",
  spring: "put in",
  ball: "put in",
  bearing: "put in",
  "o-ring": "lay in",
  seal: "put in",
  gasket: "lay on",
  plug: "plug in",
  clamp: "clamp",
  "cable-tie": "tie up",
  spacer: "put on",
  insert: "put in",
  brush: "let in",
  belt: "lay on",
  pawl: "put in",
  debris: "",
  other: "put back",
};

/** What is pressed into something; the rest is pressed onto it. */
const PRESSED_IN: readonly string[] = ["bearing", "bush", "seal", "shaft", "pin"];
/** What is set on from outside and closes or covers. */
const SET_ON: readonly string[] = ["cover", "housing", "guard", "cap", "label"];

/**
 * What brings a step's parts back: the inverse of how they came off where that is known to be its inverse,
 * else the plainest that is true.
 *
 * @param isHeld pieces of the same step hold them, by a line of their own: the part itself is neither screwed
 *   nor clipped
 * @example partVerb({ action: "pull", held: ["press fit"] }, [bearing], false) // "press in"
 */
export function partVerb(step: StripStep, parts: readonly Part[], isHeld: boolean): string {
  const [kind, ...others] = [...new Set(parts.map((p) => kindOf(p)))];
  const own = others.length || kind === undefined ? undefined : OF_KIND[kind];
  if (own) return own;
  const joints = jointsOf({ step, parts, hardware: step.hardware ?? [], behind: [], wired: false });
  const { action } = step;
  const said = saidAt(step);
  if (action === "block") return INVERSE_ACTION.block.part;
  if (others.length) return "put back";
  if (kind === "spring" && /\b(?:un)?hook/.test(said)) return "hook in";
  // what was pressed off goes on, what was pressed out goes in; where neither was said, its kind tells
  if (joints.has("press-fit") && !/\bpress(?:ed)? (?:in|into|on|onto)\b/.test(said)) {
    const isOff = /\b(?:pressed|pulled|drawn) off\b/.test(said);
    const isIn = step.action === "press-out" || (kind !== undefined && PRESSED_IN.includes(kind));
    return isIn && !isOff ? "press in" : "press on";
  }
  if (joints.has("glue")) return "bond in place";
  if (HINGED.test(said)) return "swing shut";
  if (joints.has("hooks")) return "hook in";
  if (joints.has("turned-on")) return "turn home";
  if (joints.has("threaded"))
    return /\b(?:unscrews|unscrewed|winds|wound|screws) out\b/.test(said) ? "screw in" : "screw on";
  if (step.freed?.how === "slide" || action === "slide") return "slide back";
  if (action === "unclip" && !isHeld) return joints.has("circlip") ? "put back" : "clip in";
  if (kind === "seal" || kind === "bearing") return "put in";
  // its terminals, or its catch, are a line of their own
  if (isHeld && (action === "unplug" || action === "open")) return "put back";
  if (
    action === "unplug" ||
    action === "unsolder" ||
    action === "drain" ||
    action === "peel" ||
    action === "open" ||
    action === "loosen"
  )
    return INVERSE_ACTION[action].part;
  return parts.length > 0 && parts.every((p) => isOf(SET_ON, p)) ? "set on" : "put back";
}

/** It stayed on its hinges. */
const HINGED = /\b(?:hinges?|hinged|folds?|folded|swings?|swung) (?:down|up|open|aside)\b/;

function pieceVerb(
  { kind, stays, state, once, ...h }: Hardware,
  step: Pick<StripStep, "action" | "freed" | "said">,
): string {
  if (stays === LOOSENED) return "tighten again";
  // what came out by hand, or with pliers, is not beaten in; of what nobody said nothing is claimed
  const isDriven = wasDriven(step) || namesDrivenPin(step);
  // a plug that has a size is screwed into a hole
  // dowels are only put in; a rivet that was drilled out is none any more
  if (kind === "pin" && namesLocatingPin(step)) return "put in";
  if (kind === "rivet") return "rivet, new";
  const isScrewed = kind === "plug" && (h.thread ?? h.lengthMm ?? h.drive) !== undefined;
  const usual = isScrewed ? "screw in" : PIECES[kind];
  const verb = kind === "pin" && !isDriven ? (step.freed ? "push in" : "put in") : usual;
  return state !== undefined || once ? `${verb}, new` : verb;
}

/** What a screw, a nut or a clip is put on over. */
const LIES_UNDER: ReadonlySet<HardwareKind> = new Set([
  "washer",
  "wavy-washer",
  "lock-washer",
  "disc-spring",
  "thrust-washer",
  "key",
  "spacer",
  "o-ring",
  "gasket",
]);

/**
 * What goes on first of what holds: what lies under, then pins, then what is screwed, then what secures it.
 */
const turnOf = ({ kind, at }: Hardware): number =>
  /^(?:off )?first$/.test(at ?? "")
    ? 5
    : LIES_UNDER.has(kind)
      ? 0
      : kind === "spring" || kind === "ball"
        ? 1
        : kind === "pin"
          ? 2
          : SECURES.has(kind)
            ? 4
            : 3;
const SECURES: ReadonlySet<HardwareKind> = new Set(["circlip", "e-clip", "clip", "split-pin", "cable-tie"]);

const bare = (h: Hardware): string =>
  hardwareInWords({
    ...h,
    at: undefined,
    state: undefined,
    stays: h.stays === LOOSENED ? undefined : h.stays,
  }) + (h.state ? ` (the old one ${INSTEAD_OF[h.state]})` : "");
/** What became of a piece that a new one goes in for. */
const INSTEAD_OF = { missing: "was missing already", lost: "was lost", broken: "was broken" } as const;

/**
 * Hardware with what is done with it, what is alike together.
 *
 * @example piecesBack([pin, circlip], step) // "Drive in: 1 pin 3 × 18; clip in: 1 circlip 12"
 */
export function piecesBack(
  hardware: readonly Hardware[],
  step: Pick<StripStep, "action" | "freed" | "stack" | "said" | "title">,
): string {
  const groups = new Map<string, Hardware[]>();
  // what lies under another comes first: as they were found to lie, or by what they are
  const stack = [...(step.stack ?? [])].reverse();
  const deep = (h: Hardware): number => (stack.includes(h.id) ? stack.indexOf(h.id) : -1);
  // a ball goes on its seat before its spring, where it is a valve's
  const isValve = /\bvalves?\b/i.test(`${step.title ?? ""} ${step.said ?? ""}`);
  const turn = (h: Hardware): number => (isValve && h.kind === "ball" ? 0.5 : turnOf(h));
  const isStacked = hardware.every((h) => stack.includes(h.id));
  const inOrder = [...hardware].sort((a, b) =>
    isStacked ? deep(a) - deep(b) : turn(a) - turn(b) || deep(a) - deep(b),
  );
  for (const h of inOrder) {
    const verb = pieceVerb(h, step);
    groups.set(verb, [...(groups.get(verb) ?? []), h]);
  }
  return capital([...groups].map(([verb, own]) => `${verb}: ${own.map(bare).join(", ")}`).join("; "));
}

/** Parts with what brings them back, and what goes with them as one. */
export function partsBack(
  step: StripStep,
  parts: readonly Part[],
  names: readonly string[],
  beside: readonly Hardware[],
  isHeld: boolean,
): string {
  if (step.action === "loosen" && beside.length)
    return `Tighten again: ${beside.map(bare).join(", ")}, at ${names.join(", ")}`;
  return capital(
    `${partVerb(step, parts, isHeld)}: ${names.join(", ")}${beside.length ? `, with ${beside.map(bare).join(", ")}` : ""}`,
  );
}

const REMOVAL = /\b(?:off|out|away|apart|undone|removed|unplugged|taken|pulled|lifted)\b/i;

/**
 * A step of which neither a part nor a piece goes back: by its own words, or by what was done.
 *
 * @param n its number on the Mat
 */
export function nothingBack(step: Pick<StripStep, "action" | "title" | "note">, n: number): string {
  if (step.action === "note") return step.title ?? step.note ?? `step ${n}`;
  const said = step.title ?? step.note;
  const { again } = INVERSE_ACTION[step.action];
  // what ran out may have been water that does not belong there
  if (step.action === "drain" && said) return `Fill again, if it runs with it: ${said}`;
  if (step.action === "block")
    return said ? `Take out: ${said}` : `Take out what step ${n} put in for protection`;
  // "battery cover off and cells out" tells how it came off
  const isRemoval = said !== undefined && REMOVAL.test(said);
  return capital(
    said && !isRemoval ? `${again}: ${said}` : `${again} what step ${n} ${ACTION_SAYS[step.action]}`,
  );
}

/** What to mind of what held it besides its screws, where no assembly says it. */
const HELD_BACK: Readonly<Partial<Record<Hold, string>>> = {
  rust: "It had rusted in: seat bright, and a film of grease so that it comes off next time.",
  vacuum: "It sat by the air under it: press it out from one side.",
};
/** What assemblies know of. */
const KNOWN: readonly string[] = ["dowels", "hook", "snap tabs", "press fit", "glue", "taper"];

/** What to mind of how it came free, where no assembly says it. */
const FREED_BACK: Readonly<Partial<Record<Freeing, string>>> = {
  pry: "Look first at the edge where it was pried: a dent there lifts it.",
  twist: "Turn it as it goes on: it came off with a twist.",
  cut: "It was cut free: what was cut goes in new.",
};

/** What was parted from it besides, and has no piece of its own: it goes back as well. */
function partedFrom(step: StripStep): string[] {
  const said = saidAt(step);
  const pulled =
    /\b(ribbon|cable|lead|wire|connector|hose|flex)s? (?:was |were )?(?:pulled|slid|drawn|came) (?:out|off)\b/.exec(
      said,
    );
  return [
    ...(/\bunplugged\b/.test(said) &&
    step.action !== "unplug" &&
    !step.hardware?.some((h) => h.kind === "plug")
      ? ["Plug it in again: it was unplugged."]
      : []),
    ...(/\b(?:un|de)soldered\b/.test(said) && step.action !== "unsolder"
      ? ["Solder it again where it was unsoldered."]
      : []),
    ...(pulled ? [`The ${pulled[1]} back in its place as well, before anything closes over it.`] : []),
  ];
}

/** What to mind when parts go back that were held and freed like this. */
export function mindByHold(step: StripStep): string[] {
  if (step.action === "note" || step.action === "block") return [];
  const held = (step.held ?? [])
    .filter((h) => !KNOWN.includes(h))
    .map((h) => HELD_BACK[h as Hold] ?? `It was held by ${h} besides: see that it holds again.`);
  const isTurned = /\b(?:bayonet|turn)\b/.test(saidAt(step));
  const freed =
    step.freed && !(step.freed.how === "twist" && isTurned) ? FREED_BACK[step.freed.how] : undefined;
  return [...held, ...(freed ? [freed] : []), ...partedFrom(step)];
}
