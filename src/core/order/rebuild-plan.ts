import { lockerCure, lockerRefused } from "../hardware/bench/locker";
import { NO_PIECE } from "../hardware/kinds";
import { type Hardware, hardwareInWords, wasLocked } from "../hardware/piece";
import { companionKey } from "../job/goes-in";
import type { GoingIn } from "../job/going-in";
import { undoKey } from "../job/keys";
import { type Part, partName } from "../job/part";
import { type PieceRef, samePiece } from "../job/piece-ref";
import type { LubePoint, Service } from "../job/service";
import { type BackMoment, type StripStep, UNTIMED_MINUTES } from "../job/step";
import type { Strip } from "../job/strip";
import { cautionsFor } from "../safety/cautions";
import { type CheckedStrip, checkStrip, isOutside } from "./checked-strip";
import { backOnce, hardwareLedger, type IsBack, type Ledger, staysOut } from "./hardware-ledger";
import { INVERSE_ACTION } from "./inverse-action";
import { leftLoose } from "./left-loose";
import { lineGroups } from "./line-groups";
import { type Pick, picksOf } from "./picks";
import {
  closes,
  type GoesBack,
  isShaft,
  isTurning,
  onlyRetains,
  REBUILD_CHECKS,
  type RebuildCheck,
} from "./rebuild-checks";
import type { RebuildLine } from "./rebuild-line";
import { BACK_SAYS } from "./step-words";
import { nameOf, reachedName, stepName } from "./strip-names";
import { needsOf, undoOrder } from "./undo-order";

/** So many minutes must pass after a line before something else is done. */
export interface Wait {
  readonly after: number;
  readonly minutes: number;
  readonly why: string;
  /** the step that cannot go back before they are over; left out: they must be over before the unit runs */
  readonly holds?: string;
}

export interface RebuildPlan {
  readonly steps: readonly RebuildLine[];
  /** what must be new: fetch it before beginning */
  readonly pick: readonly Pick[];
  readonly ledger: Ledger;
  /** after line `after`, so many minutes must pass before what depends on it */
  readonly waits: readonly Wait[];
  readonly minutes: number;
}

/**
 * Minutes for lines that no strip has timed. A step takes as long to put back as it took to take off;
 * untimed, two minutes.
 */
const MINUTES = {
  step: UNTIMED_MINUTES,
  set: 0,
  grease: 2,
  service: 3,
  with: 1,
  check: 0.5,
  mind: 0.5,
  tighten: 0.5,
} as const;

type Draft = RebuildLine extends infer L ? (L extends RebuildLine ? Omit<L, "n"> : never) : never;

/**
 * The order in which a unit goes back together, with grease, services, checks and unblocking where they
 * belong.
 *
 * The laws it keeps for every input are listed in docs/formats.md (`rebuild plan`); in short: every step is
 * undone once and after all
 * that needed it; bundles stay together; grease and services come while their place can be reached; the
 * ledger closes; and where
 * these leave a choice, the plan is the reverse of the strip. Placing grease and services right next to the
 * line they
 * belong to keeps their laws without a search: whatever closes over a part was undone from a step that the
 * part's own step
 * needed, so it stands after it.
 *
 * Throws a Fault for references to nothing, a circle of needs, and bundles that stand inside each other.
 */
export function rebuildPlan(strip: Strip): RebuildPlan {
  const checked = checkStrip(strip);
  const order = undoOrder(checked, needsOf(checked));
  const going = strip.goingIn ?? [];
  const neededBy: number[][] = checked.steps.map(() => []);
  checked.needs.forEach((own, k) => {
    if (checked.steps[k]?.action !== "note") for (const n of own) neededBy[n]?.push(k);
  });
  const drafts: Draft[] = [];
  const waitsAfter: { at: number; service: Service }[] = [];

  const service = (v: Service, why: string): void => {
    if (v.waitMinutes) waitsAfter.push({ at: drafts.length + 1, service: v });
    drafts.push({ kind: "service", service: v.id, because: [why] });
  };
  // what has to cure or soak is done first, so that it waits while the rest is done
  for (const v of strip.services)
    if (v.waitMinutes)
      service(v, `it needs ${v.waitMinutes} minutes before it can be fitted, so it is done first`);

  const servicesAt = byStep(checked, strip.services);
  const pointsAt = byStep(checked, strip.lubePoints);
  const wired = checked.steps.some((s) => s.wires?.length || s.hardware?.some((h) => h.kind === "plug"));
  const closing = beforeClosing(checked, order);
  const loose = leftLoose(checked, going, order);
  const on = new Set<number>();
  let waiting: { readonly check: string; readonly draft: Draft }[] = [];
  order.forEach((i, k) => {
    const step = checked.steps[i] as StripStep;
    const own = step.parts ?? [];
    const points = pointsAt.get(i) ?? [];
    for (const v of servicesAt.get(i) ?? [])
      if (!v.waitMinutes)
        service(
          v,
          v.part
            ? `before ${nameOf(checked, v.part)} goes in`
            : `while ${reachedName(checked, v)} still leaves the place open`,
        );
    for (const g of points) if (g.reachedBy || g.when === "before-fit") drafts.push(grease(checked, g, i));
    for (const g of going) if (own.includes(g.part)) drafts.push(...companions(checked, g));
    for (const m of closing.get(i) ?? []) drafts.push(m);
    drafts.push(...minds(step, "before"));
    const back = goesBack(checked, i, own, going, wired);
    const asked = REBUILD_CHECKS.filter((c) => c.applies(back));
    const ask = (when: RebuildCheck["when"]): Draft[] =>
      asked.filter((c) => c.when === when).map((c) => checkLine(c, step));
    drafts.push(...undoing(checked, neededBy, i, back, going, ask("set"), loose.at(i)));
    drafts.push(...minds(step, "after"));
    for (const g of points) if (g.part && g.when === "after-fit") drafts.push(grease(checked, g, i));
    drafts.push(...ask("done"));
    // what turns is felt once, after the last of several, and after what holds it
    const anew = asked.filter((c) => c.when === "held");
    waiting = [
      ...waiting.filter((w) => !anew.some((c) => c.check === w.check)),
      ...anew.map((c) => ({ check: c.check, draft: checkLine(c, step) })),
    ];
    const next = order[k + 1];
    if (
      next === undefined ||
      !(
        goesOn(checked, next, waiting, wired) ||
        waiting.every((w) => shaftComes(checked, order, k + 1, w.draft))
      )
    ) {
      drafts.push(...waiting.map((w) => w.draft));
      waiting = [];
    }
    on.add(i);
    if (!sameBundle(checked, i, next)) drafts.push(...loose.drawnWith(on));
  });

  drafts.push(...loose.rest());
  for (const m of closing.get(undefined) ?? []) drafts.push(m);
  for (const i of order) drafts.push(...minds(checked.steps[i] as StripStep, "end"));
  for (const g of strip.lubePoints)
    if (isOutside(g))
      drafts.push({
        kind: "grease",
        lubePoint: g.id,
        because: ["it is reached from outside, when everything is on"],
      });
  // what is set is set on the finished unit: whatever is drawn or greased after it would move it again
  for (const i of order) drafts.push(...minds(checked.steps[i] as StripStep, "calibrate"));

  const lines = drafts.map((d, i): RebuildLine => ({ n: i + 1, ...d }));
  return {
    steps: lines,
    pick: picksOf(checked, going),
    ledger: hardwareLedger(checked, carriedBy(lines)),
    waits: [
      ...waitsAfter.map(({ at, service: v }) => ({
        after: at,
        minutes: v.waitMinutes as number,
        why: `${v.note ?? v.do}: must be over before ${v.part ? `${nameOf(checked, v.part)} goes in` : `${reachedName(checked, v)} is closed`}`,
        holds:
          checked.steps[
            (v.part === undefined ? checked.indexOf.get(v.reachedBy ?? "") : checked.cameOffIn.get(v.part)) ??
              -1
          ]?.id ?? "",
      })),
      ...lockerCures(checked, lines),
    ],
    minutes: Math.round(minutesOf(checked, order, drafts)),
  };
}

/** Thread locker that goes back on cures before the unit runs: so long after the line that puts it on. */
function lockerCures(strip: CheckedStrip, lines: readonly RebuildLine[]): RebuildPlan["waits"] {
  return lines.flatMap((l) => {
    if (l.kind !== "fit") return [];
    const step = strip.steps.find((s) => s.id === l.undoes);
    const locked = (step?.hardware ?? []).filter(
      (h) => l.hardware.includes(h.id) && wasLocked(h) && !lockerRefused(h.into),
    );
    if (!locked.length) return [];
    const cure = lockerCure({ metals: locked.flatMap((h) => h.into ?? []) });
    return [
      {
        after: l.n,
        minutes: cure.fullMinutes,
        why: `thread locker on ${locked.map(hardwareInWords).join("; ")}: ${cure.says}; before the unit runs`,
      },
    ];
  });
}

/**
 * A piece is back once some line of the plan names it as put back: counted from the lines themselves, so that
 * a line that forgets a piece leaves the ledger open.
 */
function carriedBy(lines: readonly RebuildLine[]): IsBack {
  const hardware = new Set(
    lines.flatMap((l) => (l.kind === "fit" || l.kind === "unblock" ? l.hardware : [])),
  );
  const parts = new Set(lines.flatMap((l) => (l.kind === "fit" || l.kind === "unblock" ? l.parts : [])));
  const aside = lines.flatMap((l) => (l.kind === "fit" || l.kind === "unblock" ? (l.aside ?? []) : []));
  return (_, piece) => {
    const isAside = aside.some((p) => samePiece(p, piece));
    return isAside ? "aside" : "hardware" in piece ? hardware.has(piece.hardware) : parts.has(piece.part);
  };
}

/** The ledger while the work goes on: what is back once the lines with these keys are done. */
export function ledgerAfter(strip: Strip, done: ReadonlySet<string>): Ledger {
  return hardwareLedger(
    checkStrip(strip),
    backOnce(strip.goingIn, (s) => done.has(undoKey(s.id))),
  );
}

/** What goes in with a new part, laid ready before it. What is left out with a reason has no line. */
const companions = (strip: CheckedStrip, g: GoingIn): Draft[] =>
  g.with
    .filter((c) => !c.without)
    .map((c) => ({
      kind: "with",
      part: g.part,
      companion: companionKey(c),
      because: [c.why || `it goes in with the new ${nameOf(strip, g.part)}`],
    }));

/**
 * Services or points by the step with which they come: the one that took their part off, or that reached
 * their place.
 */
function byStep<T extends { readonly part?: string; readonly reachedBy?: string }>(
  strip: CheckedStrip,
  things: readonly T[],
): Map<number, T[]> {
  const out = new Map<number, T[]>();
  for (const t of things) {
    const i = t.part === undefined ? strip.indexOf.get(t.reachedBy ?? "") : strip.cameOffIn.get(t.part);
    if (i !== undefined) out.set(i, [...(out.get(i) ?? []), t]);
  }
  return out;
}

/** What goes back of a step: without what stays out. */
function goesBack(
  strip: CheckedStrip,
  i: number,
  own: readonly string[],
  going: readonly GoingIn[],
  wired: boolean,
): GoesBack {
  const step = strip.steps[i] as StripStep;
  return {
    step,
    parts: own
      .filter((part) => staysOut(going, { part }) === undefined)
      .map((p) => strip.partById.get(p) as Part),
    hardware: (step.hardware ?? []).filter(
      (h) => !NO_PIECE.includes(h.kind) && staysOut(going, { hardware: h.id }) === undefined,
    ),
    wired,
  };
}

/**
 * The lines that undo a step: what lies under its parts, the parts, what holds them; one, where it is one
 * movement.
 *
 * @param set what is asked once the parts lie in their place
 */
function undoing(
  strip: CheckedStrip,
  neededBy: readonly (readonly number[])[],
  i: number,
  { step, parts, hardware }: GoesBack,
  going: readonly GoingIn[],
  set: readonly Draft[],
  loose: readonly string[],
): Draft[] {
  const pieces: PieceRef[] = [
    ...(step.parts ?? []).map((part) => ({ part })),
    ...(step.hardware ?? []).map((h) => ({ hardware: h.id })),
  ];
  const aside = pieces.filter((piece) => staysOut(going, piece) !== undefined);
  const because = reasons(strip, neededBy, i);
  const { under, holds, beside, parts: own } = lineGroups(step, parts, hardware);
  const cautions = (pieces: readonly Hardware[], named: readonly Part[]): string[] =>
    cautionsFor({ ...step, hardware: pieces }, named, "back");
  // a ring in its groove is looked at before the cover lies on it
  const ring = under.some((h) => h.kind === "o-ring")
    ? set.filter((d) => d.kind === "check" && d.check === "ring-even")
    : [];
  const flat = set.filter((d) => !ring.includes(d));
  const ids = (all: readonly Hardware[]): string[] => all.map((h) => h.id);
  const line = { of: step.id, because } as const;
  return [
    ...(under.length
      ? [
          { ...line, kind: "set", what: "under", parts: [], hardware: ids(under), cautions: [] } as const,
          ...ring,
        ]
      : []),
    ...(holds.length
      ? [
          {
            ...line,
            kind: "set",
            what: "parts",
            parts: own,
            hardware: ids(beside),
            cautions: cautions(beside, parts),
          } as const,
          ...flat,
        ]
      : []),
    {
      kind: step.action === "block" ? "unblock" : "fit",
      undoes: step.id,
      action: INVERSE_ACTION[step.action as keyof typeof INVERSE_ACTION].name,
      parts: parts.map((p) => p.id),
      hardware: ids(hardware),
      ...(holds.length
        ? { left: { parts: [], hardware: ids(holds) } }
        : under.length
          ? { left: { parts: own, hardware: ids(beside) } }
          : {}),
      ...(loose.length ? { loose } : {}),
      ...(aside.length ? { aside } : {}),
      because,
      cautions: holds.length ? cautions(holds, []) : cautions(hardware, parts),
    },
    ...(holds.length ? [] : flat),
  ];
}

function reasons(strip: CheckedStrip, neededBy: readonly (readonly number[])[], i: number): string[] {
  const out: string[] = [];
  const needs = (strip.needs[i] ?? []).filter((n) => strip.steps[n]?.action !== "note");
  for (const n of needs.slice(0, 2))
    out.push(`${stepName(strip, n)} had to be off before this could come out, so this goes back first`);
  for (const n of neededBy[i]?.slice(0, 1) ?? [])
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

function grease(strip: CheckedStrip, g: LubePoint, i: number): Draft {
  const closers = (strip.needs[i] ?? [])
    .filter((n) => strip.steps[n]?.action !== "note")
    .map((n) => stepName(strip, n));
  const why = g.reachedBy
    ? `last chance: ${reachedName(strip, g)} closes over it`
    : closers.length
      ? `closes over it: ${closers.join(", ")}`
      : `${g.when === "before-fit" ? "before" : "after"} ${nameOf(strip, g.part as string)} goes in`;
  return { kind: "grease", lubePoint: g.id, because: [why] };
}

/** What was said at a step for one moment. */
const minds = (step: StripStep, when: BackMoment): Draft[] =>
  (step.back ?? [])
    .filter((b) => b.when === when)
    .map(({ says }) => ({
      kind: "mind",
      of: step.id,
      when,
      says,
      because: [`it was said at the strip: ${BACK_SAYS[when]}`],
    }));

const sameBundle = (strip: CheckedStrip, i: number, next: number | undefined): boolean => {
  const bundle = strip.steps[i]?.bundle;
  return bundle !== undefined && next !== undefined && strip.steps[next]?.bundle === bundle;
};

/**
 * What must happen before something closes over a step: by the step whose return comes first of those that
 * had to be off for it. Undefined: nothing closes over it.
 */
function beforeClosing(strip: CheckedStrip, order: readonly number[]): Map<number | undefined, Draft[]> {
  const place = new Map(order.map((i, k) => [i, k]));
  const needs = needsOf(strip);
  const out = new Map<number | undefined, Draft[]>();
  for (const i of order) {
    const own = minds(strip.steps[i] as StripStep, "closing");
    if (!own.length) continue;
    const first = [...(needs[i] ?? [])].sort((a, b) => (place.get(a) ?? 0) - (place.get(b) ?? 0))[0];
    out.set(first, [...(out.get(first) ?? []), ...own]);
  }
  return out;
}

const checkLine = (c: RebuildCheck, step: StripStep): Draft => ({
  kind: "check",
  check: c.check,
  after: step.id,
  because: [c.why],
});

/**
 * Whether a step only holds what a waiting check asks of, or is itself asked the same: the check then comes
 * after it.
 */
function goesOn(
  strip: CheckedStrip,
  next: number,
  waiting: readonly { readonly check: string; readonly draft: Draft }[],
  wired: boolean,
): boolean {
  if (!waiting.length) return true;
  const step = strip.steps[next] as StripStep;
  if (onlyRetains(step))
    return waiting.some(
      (w) =>
        w.draft.kind === "check" &&
        (strip.needs[strip.indexOf.get(w.draft.after) ?? -1] ?? []).includes(next),
    );
  const back = goesBack(strip, next, step.parts ?? [], [], wired);
  return waiting.every((w) => REBUILD_CHECKS.find((c) => c.check === w.check)?.applies(back));
}

/**
 * Whether the next thing that turns or closes is the shaft that had to be out before this step: what runs on
 * it cannot be turned yet.
 */
function shaftComes(strip: CheckedStrip, order: readonly number[], from: number, asked: Draft): boolean {
  const partsAt = (k: number): Part[] =>
    (strip.steps[k]?.parts ?? []).flatMap((p) => strip.partById.get(p) ?? []);
  const isQuiet = (k: number): boolean =>
    !partsAt(k).some((p) => isTurning(p) || isShaft(p)) && !closes(partsAt(k));
  const i = asked.kind === "check" ? strip.indexOf.get(asked.after) : undefined;
  const next = order.find((s, k) => k >= from && !isQuiet(s));
  if (i === undefined || next === undefined || !partsAt(next).some(isShaft)) return false;
  const seen = new Set<number>();
  for (const open = [...(strip.needs[i] ?? [])]; open.length; ) {
    const n = open.pop() as number;
    if (n === next) return true;
    if (seen.has(n)) continue;
    seen.add(n);
    open.push(...(strip.needs[n] ?? []));
  }
  return false;
}

function minutesOf(strip: CheckedStrip, order: readonly number[], drafts: readonly Draft[]): number {
  const steps = order.reduce((sum, i) => sum + (strip.steps[i]?.minutes ?? MINUTES.step), 0);
  return drafts.reduce(
    (sum, d) => sum + (d.kind === "fit" || d.kind === "unblock" ? 0 : MINUTES[d.kind]),
    steps,
  );
}
