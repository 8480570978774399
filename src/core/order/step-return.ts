import { fittedLook } from "../assemblies/fitted";
import { type GoesBack, isLoosened } from "../assemblies/goes-back";
import { type LookHere, looksOf, type MindHere, mindsOf, notAskedKey } from "../assemblies/match";
import { type HardwareKind, NO_PIECE } from "../hardware/kinds";
import { type Hardware, isLoose } from "../hardware/piece";
import type { Assembly } from "../job/assembly";
import { type Companion, companionKey, takesThePlaceOf } from "../job/goes-in";
import type { GoingIn } from "../job/going-in";
import { kindOf, type Part } from "../job/part";
import type { PieceRef } from "../job/piece-ref";
import type { BackMoment, StripStep } from "../job/step";
import { cautionsFor } from "../safety/cautions";
import { type CheckedStrip, stepAt } from "./checked-strip";
import { staysOut } from "./hardware-ledger";
import { INVERSE_ACTION } from "./inverse-action";
import { HOLDS, lineGroups } from "./line-groups";
import { namesPiece, piecesNamed } from "./names-piece";
import type { Draft, Minded, SetLine } from "./rebuild-line";
import { BACK_SAYS } from "./step-words";
import { nameOf, stepName } from "./strip-names";

/**
 * What goes back of a step: without what stays out, and without a part that is one of the step's own pieces.
 *
 * @param openedBy steps (by their index) that needed it: what it laid open
 * @param wired wires or plugs were recorded in this unit
 */
export function goesBackOf(
  strip: CheckedStrip,
  openedBy: readonly number[],
  i: number,
  going: readonly GoingIn[],
  wired: boolean,
): GoesBack {
  const step = stepAt(strip, i);
  const hardware = (step.hardware ?? []).filter(
    (h) => !NO_PIECE.includes(h.kind) && staysOut(going, { hardware: h.id }) === undefined,
  );
  const partsOf = (own: readonly string[] | undefined): Part[] =>
    (own ?? [])
      .filter((part) => staysOut(going, { part }) === undefined)
      .map((p) => strip.partById.get(p) as Part);
  return {
    step,
    parts: partsOf(step.parts).filter((p) => !hardware.some((h) => p.piece === h.id || namesPiece(p, h))),
    hardware,
    behind: openedBy.flatMap((k) => partsOf(strip.steps[k]?.parts)),
    wired,
  };
}

/** What was said at a step for one moment. */
export const minds = (step: StripStep, when: BackMoment): Draft[] =>
  (step.back ?? [])
    .filter((b) => b.when === when && b.step === undefined)
    .map(({ says }) => ({
      kind: "mind",
      of: step.id,
      when,
      says,
      because: [`it was said at the strip: ${BACK_SAYS[when]}`],
    }));

/**
 * What waits for another step: by the step (index) with whose return it comes, its own or the later of the
 * two. A step that is not there any more is waited for by nothing.
 */
export function mindsAfter(strip: CheckedStrip, order: readonly number[]): ReadonlyMap<number, Draft[]> {
  const place = new Map(order.map((i, k) => [i, k]));
  const out = new Map<number, Draft[]>();
  for (const own of order) {
    const step = stepAt(strip, own);
    for (const b of step.back ?? []) {
      if (b.step === undefined) continue;
      const other = strip.indexOf.get(b.step);
      const at = other !== undefined && (place.get(other) ?? -1) > (place.get(own) ?? 0) ? other : own;
      out.set(at, [
        ...(out.get(at) ?? []),
        {
          kind: "mind",
          of: step.id,
          when: b.when,
          says: b.says,
          because: [
            `it was said at the strip: ${other === undefined ? BACK_SAYS[b.when] : `once ${stepName(strip, other)} is back`}`,
          ],
        },
      ]);
    }
  }
  return out;
}

export const lookLine = (look: LookHere, step: Pick<StripStep, "id">): Draft => ({
  kind: "check",
  check: look.key,
  after: step.id,
  ...(look.assembly && { assembly: look.assembly }),
  because: [look.because],
});

/** What is to be known of a step before its return is written down. */
interface Returning {
  readonly back: GoesBack;
  readonly assemblies: readonly Assembly[];
  readonly going: readonly GoingIn[];
  readonly because: readonly string[];
  /** pieces that are started here and drawn later */
  readonly loose: readonly string[];
}

/** Kinds of pieces that go in before the part: themselves before it, or before one that is. */
function beforePart(assemblies: readonly Assembly[]): HardwareKind[] {
  const orders = assemblies.flatMap((a) => a.orders ?? []);
  const found = new Set<HardwareKind | "part">(["part"]);
  for (let size = 0; size < found.size; ) {
    size = found.size;
    for (const [x, , y] of orders) if (found.has(y)) found.add(x);
  }
  return [...found].filter((k) => k !== "part");
}

const minded = (all: readonly MindHere[]): { minds?: readonly Minded[] } =>
  all.length ? { minds: all.map(({ assembly, says }) => ({ assembly, says })) } : {};

/**
 * The return of a step, act by act as a hand does it: what is looked at before it goes on; what lies under
 * its parts; the parts; what is looked at before it is made final; what holds them. One line where it is one
 * movement.
 */
export function returnOf({ back, assemblies, going, because, loose }: Returning): Draft[] {
  const { step, parts, hardware } = back;
  const pieces: PieceRef[] = [
    ...(step.parts ?? []).map((part) => ({ part })),
    ...(step.hardware ?? []).map((h) => ({ hardware: h.id })),
  ];
  const aside = pieces.filter((piece) => staysOut(going, piece) !== undefined);
  const first = beforePart(assemblies);
  // what stays in its part, or in the case, was never out
  const loosePieces = hardware.filter((h) => isLoose(h) || isLoosened(h));
  const { under, holds: holding, beside, parts: own, last } = lineGroups(step, parts, loosePieces, first);
  // what lies on each other is looked at before it is drawn
  const laid = looksOf(assemblies, "laid");
  const lies = laid.length ? holding.filter((h) => !HOLDS.includes(h.kind)) : [];
  const isDrawnOver = lies.length < holding.length;
  const over = isDrawnOver ? lies : [];
  const holds = holding.filter((h) => !over.includes(h));
  const cautions = (pieces: readonly Hardware[], named: readonly Part[]): string[] =>
    cautionsFor({ ...step, hardware: pieces }, named, "back");
  const ids = (all: readonly Hardware[]): string[] => all.map((h) => h.id);
  const lead = (what: SetLine["what"], laidDown: readonly Hardware[]) => ({
    kind: "set" as const,
    of: step.id,
    what,
    parts: [] as readonly string[],
    hardware: ids(laidDown),
    because,
    cautions: cautions(laidDown, what === "parts" ? parts : []),
  });
  const set = (what: SetLine["what"], laidDown: readonly Hardware[]): Draft[] =>
    laidDown.length ? [lead(what, laidDown)] : [];
  const look = (all: readonly LookHere[], isAhead = true): Draft[] =>
    all.map((l) => ({ ...lookLine(l, step), ...(isAhead && { ahead: true as const }) }));
  // what stayed in its place lies there as well, counted or not
  const staysThere = (kind: string): boolean =>
    !loosePieces.some((h) => h.kind === kind) && !parts.some((p) => kindOf(p) === kind);
  // a ring in its groove, a key in its way is looked at before the part lies over it
  const isOfUnder = ({ assembly }: LookHere): boolean => {
    const orders = assemblies.find((a) => a.id === assembly)?.orders ?? [];
    return orders.some(
      ([x, , y]) => y === "part" && parts.length > 0 && (under.some((h) => h.kind === x) || staysThere(x)),
    );
  };
  const placing = looksOf(assemblies, "while");
  // what is only drawn, or driven, has nothing that is placed before it
  const isDrawn =
    holds.length === 0 &&
    (step.action === "loosen" || (!parts.length && hardware.some((h) => HOLDS.includes(h.kind))));
  const isAhead = holds.length > 0 || isDrawn;
  const final = [
    ...look(
      placing.filter((l) => !isOfUnder(l)),
      isAhead,
    ),
    ...minds(step, "while"),
    ...set("over", over),
    ...(isDrawnOver ? look(laid, isAhead) : []),
    ...look(looksOf(assemblies, "final"), isAhead),
    ...minds(step, "final"),
  ];
  const atPlace = mindsOf(assemblies, "before", "while");
  const atJoin = mindsOf(assemblies, "final", "on", "held");
  return [
    ...look(looksOf(assemblies, "before")),
    ...minds(step, "before"),
    ...set("under", under),
    ...look(placing.filter(isOfUnder)),
    ...(holds.length ? [{ ...lead("parts", beside), parts: own, ...minded(atPlace) }, ...final] : []),
    ...(isDrawn ? final : []),
    {
      kind: step.action === "block" ? "unblock" : "fit",
      undoes: step.id,
      action: INVERSE_ACTION[step.action as keyof typeof INVERSE_ACTION].name,
      parts: (step.parts ?? []).filter((part) => staysOut(going, { part }) === undefined),
      hardware: ids(hardware),
      ...(holds.length
        ? { left: { parts: [], hardware: ids(holds) } }
        : under.length ||
            loosePieces.length < hardware.length ||
            (loosePieces.length > 0 && parts.length < (step.parts ?? []).length)
          ? { left: { parts: own, hardware: ids(beside) } }
          : {}),
      ...(loose.length ? { loose } : {}),
      ...(aside.length ? { aside } : {}),
      ...minded(holds.length ? atJoin : [...atPlace, ...atJoin]),
      because,
      cautions: holds.length ? cautions(holds, []) : cautions(hardware, parts),
    },
    ...(holds.length || isDrawn ? [] : final),
    ...(last.length ? [{ ...lead("last", []), parts: last }] : []),
    ...(isDrawnOver ? [] : look(laid, false)),
    ...minds(step, "after"),
  ];
}

/**
 * What goes in with new parts at a step: what it takes the place of comes out first, where no step took that
 * off. It stands at the step of the part whose place it takes, else at that of the part that brought it. What
 * is left out with a reason has no line.
 */
export function companionsAt(strip: CheckedStrip, going: readonly GoingIn[], i: number): Draft[] {
  const own = strip.steps[i]?.parts ?? [];
  return going.flatMap((g) =>
    g.with
      .filter((c) => !c.without)
      .flatMap((c): Draft[] => {
        const old = strip.parts.find((p) => strip.cameOffIn.has(p.id) && takesThePlaceOf(c, p));
        // a piece of hardware that it replaces is renewed where that goes in
        if (!old && renewsPiece(strip.steps, g.part, c)) return [];
        if (!own.includes(old?.id ?? g.part)) return [];
        const companion = companionKey(c);
        const because = [c.why || `it goes in with the new ${nameOf(strip, g.part)}`];
        const at = { part: g.part, companion, because } as const;
        // in place of nothing: it comes besides
        const isInside = Boolean(c.replaces?.trim()) && !old && mayRenew(strip.steps, g.part, c).length === 0;
        return [...(isInside ? [{ kind: "take-out", ...at } as const] : []), { kind: "with", ...at }];
      }),
  );
}

/**
 * The companions of a step, and what is asked of those that take the place of a part: whether they are
 * fastened and connected. Of what came out by a line of its own it is asked at once, of what a step took off
 * after that step's pieces.
 *
 * @param struck looks that are not asked (`notAskedKey`)
 */
export function companionsIn(
  strip: CheckedStrip,
  going: readonly GoingIn[],
  i: number,
  struck: ReadonlySet<string>,
): { readonly before: Draft[]; readonly after: Draft[] } {
  const lines = companionsAt(strip, going, i);
  const isInside = (key: string): boolean => lines.some((l) => l.kind === "take-out" && l.companion === key);
  const asked = (part: string, key: string): Draft[] => {
    const c = going.find((g) => g.part === part)?.with.find((x) => companionKey(x) === key);
    if (!c?.replaces?.trim() || mayRenew(strip.steps, part, c).length) return [];
    const look = fittedLook(c.name);
    const step = stepAt(strip, i);
    return struck.has(notAskedKey(look.key)) ? [] : [lookLine({ ...look, assembly: "" }, step)];
  };
  const all = lines.map((line) => ({
    line,
    asks: line.kind === "with" ? asked(line.part, line.companion) : [],
    isInside: line.kind === "with" && isInside(line.companion),
  }));
  return {
    before: all.flatMap(({ line, asks, isInside: now }) => (now ? [line, ...asks] : [line])),
    after: all.flatMap(({ asks, isInside: now }) => (now ? [] : asks)),
  };
}

/**
 * The pieces of hardware that a companion may take the place of: those at its part's own step, or all of its
 * kind.
 */
function mayRenew(
  steps: readonly Pick<StripStep, "parts" | "hardware">[],
  part: string,
  { replaces = "", name }: Companion,
): Hardware[] {
  if (!replaces.trim()) return [];
  const at = (of: typeof steps): Hardware[] => {
    const all = of.flatMap((s) => s.hardware ?? []);
    const old = piecesNamed(replaces, all);
    // "o-ring big" in place of "o-ring": which one its own name tells
    const told = old.length > 1 ? piecesNamed(name, old) : [];
    return told.length ? told : old;
  };
  const own = at(steps.filter((s) => s.parts?.includes(part)));
  return own.length ? own : at(steps);
}

/** The piece of hardware that a companion takes the place of. Undefined: none, or which one is not known. */
export function renewsPiece(
  steps: readonly Pick<StripStep, "parts" | "hardware">[],
  part: string,
  companion: Companion,
): string | undefined {
  const all = mayRenew(steps, part, companion);
  return all.length === 1 ? all[0]?.id : undefined;
}

/**
 * What was there before a step by a need that somebody set: the one before it is no more than the strip's
 * order.
 */
const isSet = (strip: CheckedStrip, i: number): boolean => {
  const own = strip.steps[i]?.needs;
  const before = strip.steps.findLastIndex((s, k) => k < i && s.action !== "note");
  return own !== undefined && !(own.length === 1 && strip.indexOf.get(own[0] as string) === before);
};

/** Why a step goes back where it does. What nobody set is no more than the reverse of the strip. */
export function reasons(strip: CheckedStrip, neededBy: readonly (readonly number[])[], i: number): string[] {
  const out: string[] = [];
  const needs = (strip.needs[i] ?? []).filter((n) => strip.steps[n]?.action !== "note");
  if (isSet(strip, i))
    for (const n of needs.slice(0, 2))
      out.push(`${stepName(strip, n)} had to be off before this could come out, so this goes back first`);
  for (const n of (neededBy[i] ?? []).filter((n) => isSet(strip, n)).slice(0, 1))
    out.push(`${stepName(strip, n)} lay under it and is back already`);
  const bundle = strip.steps[i]?.bundle;
  const others = bundle ? strip.steps.flatMap((s, k) => (s.bundle === bundle && k !== i ? [k] : [])) : [];
  if (others.length)
    out.push(
      `it came out as one with ${others.map((k) => stepName(strip, k)).join(", ")} and goes back with ${others.length === 1 ? "it" : "them"}`,
    );
  if (!out.length)
    out.push(
      needs.length ? "reverse of the strip" : "nothing forces its place: it is the reverse of the strip",
    );
  return out;
}
