import { z } from "zod";
import { Fault } from "../fault";
import type { Frozen } from "../frozen";
import { placeFault } from "../hardware/look-alikes";
import { saidKind } from "../hardware/part-kind";
import { type HardwareFacts, PIECE_STATES, type PieceState, pieceFacts } from "../hardware/piece";
import { LONGEST_MM, MOST_PIECES } from "../hardware/quick-line";
import { type Part, partSchema } from "./part";
import { type Action, action, type StepFacts, type StripStep, stepFacts } from "./step";
import { ref } from "./written";

/** A step as the recorder sends it: what came off as one line of names, and all that was said of it. */
export const recordedStep = z.strictObject({
  /** the recorder's own name for it: sent twice by a retry, it is laid down once */
  key: z.string().max(60),
  action,
  /** names with commas between them are several parts */
  what: z.string().max(4000, "what came off is longer than 4000 characters"),
  hardware: z
    .array(
      pieceFacts.extend({
        qty: z
          .int("must be a whole number")
          .min(1, "a count is 1 or more")
          .max(MOST_PIECES, `maximum ${MOST_PIECES} pieces`),
        lengthMm: z
          .number()
          .positive("a length is above 0 mm")
          .max(LONGEST_MM, `${LONGEST_MM} mm is the longest that is believed`)
          .optional(),
      }),
    )
    .max(60, "maximum 60 kinds of hardware in one step"),
  /** null: needs the step before it */
  needs: z.array(ref).max(500).nullable(),
  /** came out as one with the step before it */
  asOne: z.boolean(),
  /**
   * the pieces as they lay on each other, from the top: `h0` is the first piece of hardware, `p0` the first
   * part
   */
  stack: z.array(z.string().regex(/^[hp]\d{1,3}$/, "is no piece of this step")).max(80, "are more than 80"),
  /** part names that were lost, broken or missing */
  partStates: z.record(z.string(), z.enum(PIECE_STATES)),
  /** what parts are known to be, by name: from an earlier unit of the model */
  partFacts: z
    .record(z.string(), z.strictObject({ kind: partSchema.shape.kind, material: partSchema.shape.material }))
    .optional(),
  facts: stepFacts,
});
export type RecordedStep = Frozen<z.infer<typeof recordedStep>>;

/** What is laid down: a step without its ids. */
export interface NewStep extends StepFacts {
  readonly action: Action;
  readonly title?: string;
  readonly parts: readonly (Pick<Part, "kind" | "kindSaid" | "material" | "state"> & {
    readonly name: string;
  })[];
  readonly hardware: readonly HardwareFacts[];
  /** what it needs; left out: the step that lies last */
  readonly needs?: readonly string[];
  readonly bundle?: string;
  readonly stack?: readonly string[];
  readonly key?: string;
  readonly asOne?: boolean;
}

/** What a step says of itself, without its pieces, its order and its pictures. */
export const factsOfStep = (step: StripStep): StepFacts =>
  Object.fromEntries(Object.entries(step).filter(([k]) => k in stepFacts.shape));

/**
 * A step's pieces as they lay on each other, named as the recorder names them: `h0` its first hardware, `p0`
 * its first part.
 */
export const stackOfStep = ({
  stack = [],
  hardware = [],
  parts = [],
}: Pick<StripStep, "stack" | "hardware" | "parts">): string[] =>
  stack.map((id) => {
    const h = hardware.findIndex((p) => p.id === id);
    return h >= 0 ? `h${h}` : `p${parts.indexOf(id)}`;
  });

/** Names with commas between them. @example namesIn("wheel, shim") // ["wheel", "shim"] */
export const namesIn = (what: string): string[] =>
  what
    .split(",")
    .map((n) => n.trim())
    .filter(Boolean);

/** What is said of a part behind its name, and is no part: "fan, broken". */
const STATE_SAID: readonly (readonly [PieceState, RegExp])[] = [
  [
    "broken",
    /^(?:is |was |it(?:'s|’s| is) )?(?:broken|broke|cracked|snapped|split|smashed|torn|sheared(?: off)?|in (?:two|pieces))$/i,
  ],
  ["lost", /^(?:is |was )?(?:lost|flew off|gone)$/i],
  ["missing", /^(?:is |was )?(?:missing|not there|was missing)$/i],
];
const HAND_SAID = /^(?:(?:has )?an? )?(?:left[- ]?hand(?:ed)?(?:[- ]thread(?:ed)?)?|reverse(?:d)? thread)$/i;

/** What came off, as it is typed in one line. */
export interface CameOff {
  readonly names: readonly string[];
  /** parts that were said behind their names to be broken, lost or missing */
  readonly states: Readonly<Record<string, PieceState>>;
  readonly leftHand: boolean;
}

/**
 * Names with commas between them; a state or a hand that is said behind a name is the part's, and no part.
 *
 * @example cameOff("fan, broken, shroud") // names ["fan", "shroud"], states { fan: "broken" }
 */
export function cameOff(what: string): CameOff {
  const names: string[] = [];
  const states: Record<string, PieceState> = {};
  let leftHand = false;
  for (const said of namesIn(what)) {
    const state = STATE_SAID.find(([, word]) => word.test(said))?.[0];
    const last = names.at(-1);
    if (state && last !== undefined) states[last] = state;
    else if (HAND_SAID.test(said) && last !== undefined) leftHand = true;
    else names.push(said);
  }
  return { names, states, leftHand };
}

/** Facts of a step with some of them said anew; what is emptied goes. */
export const factsWith = (facts: StepFacts, said: StepFacts): StepFacts =>
  Object.fromEntries(Object.entries({ ...facts, ...said }).filter(([, fact]) => isSaid(fact)));

const isSaid = (fact: unknown): boolean =>
  typeof fact === "string" || Array.isArray(fact) ? fact.length > 0 : fact !== undefined && fact !== null;

/** Whether a kind was said by somebody, and not by the name alone. */
const isConfirmed = (name: string, kind: string | undefined): boolean =>
  kind !== undefined && kind !== saidKind(name);

/**
 * What is laid down of a recorded step. Empty facts are left out.
 *
 * Throws a Fault where nothing came off, or where pieces that look alike have no place.
 */
export function newStepFrom(step: RecordedStep): NewStep {
  const laid = stepAsSaid(step);
  const noPlace = placeFault(step.hardware);
  if (noPlace) throw new Fault("hardware", noPlace);
  return laid;
}

/** The same where pieces that look alike may lie without a place. */
export function stepAsSaid({
  what,
  needs,
  partStates,
  partFacts,
  facts,
  stack,
  ...step
}: RecordedStep): NewStep {
  const names = namesIn(what);
  const said = factsWith(facts, {});
  if (!names.length && !step.hardware.length && !said.note && !said.wires && !said.said)
    throw new Fault("what", "say what came off: a part, some hardware, or a note");
  const none = stack.findIndex(
    (s) => Number(s.slice(1)) >= (s.startsWith("h") ? step.hardware : names).length,
  );
  if (none >= 0) throw new Fault(`stack[${none}]`, "is no piece of this step");
  const onlyNote = step.action === "note" || step.action === "block";
  return {
    ...step,
    ...said,
    ...(names.length ? { title: names.join(", ") } : {}),
    parts: onlyNote
      ? []
      : names.map((name) => ({
          name,
          kind: saidKind(name),
          ...(isConfirmed(name, partFacts?.[name]?.kind) && { kindSaid: true }),
          ...partFacts?.[name],
          state: partStates[name],
        })),
    needs: needs ?? undefined,
    ...(stack.length ? { stack } : {}),
  };
}
