import type { Freeing, Hold } from "../hardware/freed";
import type { HardwareKind } from "../hardware/kinds";
import { type Hardware, hardwareInWords, LOOSENED } from "../hardware/piece";
import type { Part } from "../job/part";
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
  bearing: "press in",
  "o-ring": "lay in",
  seal: "press in",
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

const hasBeenPressed = (s: Pick<StripStep, "action" | "held" | "freed">): boolean =>
  s.action === "press-out" || (s.held ?? []).includes("press fit") || s.freed?.how === "press";

/**
 * What brings a step's parts back.
 *
 * @param isHeld pieces of the same step hold them, by a line of their own: the part itself is neither screwed
 *   nor clipped
 * @example partVerb({ action: "pull", held: ["press fit"] }, [wheel], false) // "press on"
 */
export function partVerb(
  step: Pick<StripStep, "action" | "held" | "freed">,
  parts: readonly Pick<Part, "kind">[],
  isHeld: boolean,
): string {
  const [kind, ...others] = [...new Set(parts.map((p) => p.kind))];
  const own = others.length || kind === undefined ? undefined : OF_KIND[kind];
  if (own) return own;
  if (step.action === "pull" && hasBeenPressed(step)) return "press on";
  if (isHeld && step.action === "unscrew") return "set on";
  if (isHeld && step.action === "unclip") return "push on";
  return step.action === "note" ? "put back" : INVERSE_ACTION[step.action].part;
}

function pieceVerb(
  { kind, stays }: Pick<Hardware, "kind" | "stays">,
  step: Pick<StripStep, "action" | "freed">,
): string {
  if (stays === LOOSENED) return "tighten again";
  // what came out by hand, or with pliers, is not beaten in; of what nobody said nothing is claimed
  if (kind === "pin" && !wasDriven(step)) return step.freed ? "push in" : "put in";
  return PIECES[kind];
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

const bare = (h: Hardware): string =>
  hardwareInWords({ ...h, at: undefined, stays: h.stays === LOOSENED ? undefined : h.stays });

/**
 * Hardware with what is done with it, what is alike together.
 *
 * @example piecesBack([pin, circlip], step) // "Drive in: 1 pin 3 × 18; clip in: 1 circlip 12"
 */
export function piecesBack(
  hardware: readonly Hardware[],
  step: Pick<StripStep, "action" | "freed" | "stack">,
): string {
  const groups = new Map<string, Hardware[]>();
  // what lies under another comes first: as they were found to lie, or by what they are
  const stack = [...(step.stack ?? [])].reverse();
  const deep = (h: Hardware): number => (stack.includes(h.id) ? stack.indexOf(h.id) : -1);
  const inOrder = [...hardware].sort(
    (a, b) => Number(LIES_UNDER.has(b.kind)) - Number(LIES_UNDER.has(a.kind)) || deep(a) - deep(b),
  );
  for (const h of inOrder) {
    const verb = pieceVerb(h, step);
    groups.set(verb, [...(groups.get(verb) ?? []), h]);
  }
  return capital([...groups].map(([verb, own]) => `${verb}: ${own.map(bare).join(", ")}`).join("; "));
}

/** Parts with what brings them back, and what goes with them as one. */
export function partsBack(
  step: Pick<StripStep, "action" | "held" | "freed">,
  parts: readonly Part[],
  names: readonly string[],
  beside: readonly Hardware[],
  isHeld: boolean,
): string {
  return capital(
    `${partVerb(step, parts, isHeld)}: ${names.join(", ")}${beside.length ? `, with ${beside.map(bare).join(", ")}` : ""}`,
  );
}

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
  return capital(said ? `${again}: ${said}` : `${again} what step ${n} ${ACTION_SAYS[step.action]}`);
}

/** What to mind of what held it besides its screws. */
const HELD_BACK: Readonly<Record<Hold, string>> = {
  dowels: "Over its dowels: by hand until it lies down, then a tap with a soft mallet all round.",
  hook: "Hook first, then swing it down.",
  "snap tabs": "Tabs in: press until each one clicks, and look at every one of them.",
  "press fit": "A press fit: clean seat, a film of oil, straight, and stop at the shoulder.",
  glue: "It was glued: the old glue off, both faces degreased, bonded anew, and given its time.",
  rust: "It had rusted in: seat bright, and a film of grease so that it comes off next time.",
  taper: "Both tapers clean and dry: on by hand, then drawn up. No oil on a taper.",
  vacuum: "It sat by the air under it: press it out from one side.",
};

/** What to mind of how it came free. */
const FREED_BACK: Readonly<Partial<Record<Freeing, string>>> = {
  pull: "Straight, on its hub: never on the teeth or the rim.",
  pry: "Look first at the edge where it was pried: a dent there lifts it.",
  press: "On the ring or hub that is tight, straight, with a sleeve that bears on that alone.",
  drive: "Supported from below; a soft drift, or a punch of its own size.",
  tap: "A soft face only, a little all round.",
  heat: "It came off warm and goes on warm: heat what is outside, not the shaft, and it drops on. Gloves, and nothing near that burns.",
  jack: "Take the jacking screws out again before it is set on.",
  twist: "Turn it as it goes on: it came off with a twist.",
  cut: "It was cut free: what was cut goes in new.",
};

/** What part kinds ask for, however they came off. */
const KIND_BACK: Readonly<Record<string, string>> = {
  seal: "With a sleeve that bears on its outer edge; a film of grease on the lip, the lip over a key or a thread with a bit of tape.",
  bush: "On an arbor of its own bore, so that it does not close up; then the shaft through it, by hand.",
  brush: "Lift its spring, let it slide in, let the spring down: never let it snap.",
  bearing: "By hand until it stands straight, then on the ring that is tight: never through what rolls.",
};

/** What to mind when parts go back that were held and freed like this. */
export function mindByHold(
  step: Pick<StripStep, "held" | "freed" | "action">,
  parts: readonly Pick<Part, "kind">[],
): string[] {
  if (step.action === "note" || step.action === "block") return [];
  const held = (step.held ?? []).map(
    (h) => HELD_BACK[h as Hold] ?? `It was held by ${h} besides: see that it holds again.`,
  );
  // what was only laid in, or screwed, is not pressed in
  const isLaid = step.action === "peel" || step.action === "unscrew";
  const kinds = isLaid ? [] : [...new Set(parts.flatMap((p) => (p.kind && KIND_BACK[p.kind]) || []))];
  // how it is pressed, its kind says better
  const freed =
    step.freed && !(step.freed.how === "press" && kinds.length) ? FREED_BACK[step.freed.how] : undefined;
  return [...held, ...kinds, ...(freed ? [freed] : [])];
}
