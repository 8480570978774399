import { closes, type GoesBack, isShaft, isTurning, onlyRetains } from "../assemblies/goes-back";
import { assembliesAt, type LookHere, looksOf } from "../assemblies/match";
import { lockerCure, lockerRefused } from "../hardware/bench/locker";
import { hardwareInWords, wasLocked } from "../hardware/piece";
import { ASSEMBLY_MOMENTS, type Assembly } from "../job/assembly";
import { undoKey } from "../job/keys";
import type { Part } from "../job/part";
import { samePiece } from "../job/piece-ref";
import type { LubePoint, Service } from "../job/service";
import { minutesOf, type StripStep } from "../job/step";
import type { Strip } from "../job/strip";
import { type CheckedStrip, checkStrip, isOutside, stepAt } from "./checked-strip";
import { backOnce, hardwareLedger, type IsBack, type Ledger } from "./hardware-ledger";
import { leftLoose } from "./left-loose";
import { type Pick, picksOf } from "./picks";
import { type Draft, lineKey, type RebuildLine } from "./rebuild-line";
import { saidWaits } from "./said-waits";
import { companionsIn, goesBackOf, lookLine, minds, mindsAfter, reasons, returnOf } from "./step-return";
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

/** What a shop knows of how things go together. */
export interface Knowledge {
  /** assemblies that were struck out, at a step or everywhere (`struckKey`) */
  readonly struck?: readonly string[];
  /** the shop's own, besides the usual ones */
  readonly own?: readonly Assembly[];
}

/** Minutes for lines that no strip has timed. A step takes as long to put back as it took to take off. */
const MINUTES = {
  set: 0,
  grease: 2,
  service: 3,
  with: 1,
  "take-out": 2,
  check: 0.5,
  mind: 0.5,
  tighten: 0.5,
} as const;

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
export function rebuildPlan(strip: Strip, { struck, own }: Knowledge = {}): RebuildPlan {
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
  const after = new Map(mindsAfter(checked, order));
  const on = new Set<number>();
  const out = new Set(struck);
  const seen = new Map<number, { readonly back: GoesBack; readonly assemblies: readonly Assembly[] }>();
  const known = (i: number): { readonly back: GoesBack; readonly assemblies: readonly Assembly[] } => {
    const found = seen.get(i);
    if (found) return found;
    const back = goesBackOf(checked, neededBy[i] ?? [], i, going, wired);
    const here = assembliesAt(back, own, out);
    const step = stepAt(checked, i);
    const later = looksOf(here, ...ASSEMBLY_MOMENTS).flatMap((look) => {
      const until = look.waitsFor && lastBackOf(checked, order, i, look.waitsFor);
      return until === undefined ? [] : [{ look, until }];
    });
    for (const { look, until } of later)
      after.set(until, [lookLine(look, step), ...(after.get(until) ?? [])]);
    const waits = new Set(later.map(({ look }) => look.key));
    const now = {
      back,
      assemblies: here.map((a) => ({
        ...a,
        adds: a.adds.filter((x) => x.act !== "look" || !waits.has(x.key)),
      })),
    };
    seen.set(i, now);
    return now;
  };
  let waiting: { readonly check: string; readonly draft: Draft }[] = [];
  order.forEach((i, k) => {
    const step = stepAt(checked, i);
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
    for (const m of closing.get(i) ?? []) drafts.push(m);
    const { back, assemblies } = known(i);
    const fitted = companionsIn(checked, going, i, out);
    drafts.push(
      ...fitted.before,
      ...returnOf({
        back,
        assemblies,
        going,
        because: reasons(checked, neededBy, i),
        loose: loose.at(i),
      }),
    );
    for (const g of points) if (g.part && g.when === "after-fit") drafts.push(grease(checked, g, i));
    drafts.push(...fitted.after);
    drafts.push(...(after.get(i) ?? []));
    drafts.push(...looksOf(assemblies, "on").map((look) => lookLine(look, step)));
    // what turns is felt once, after the last of several, and after what holds it
    const anew = looksOf(assemblies, "held");
    waiting = [
      ...waiting.filter((w) => !anew.some((c) => c.key === w.check)),
      ...anew.map((c) => ({ check: c.key, draft: lookLine(c, step) })),
    ];
    const next = order[k + 1];
    if (
      next === undefined ||
      !(
        goesOn(checked, next, waiting, (n) => looksOf(known(n).assemblies, "held")) ||
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
  drafts.push(
    ...atTheEnd(
      strip,
      order.map((i) => stepAt(checked, i)),
    ),
  );

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
      ...saidWaits(checked.steps, lines),
      ...lockerCures(checked, lines),
    ],
    minutes: Math.round(planMinutes(checked, order, drafts)),
  };
}

/**
 * The last step to go back, after step `i`, that brings back a part whose name holds one of these words.
 * Undefined: none does.
 */
function lastBackOf(
  strip: CheckedStrip,
  order: readonly number[],
  i: number,
  words: readonly string[],
): number | undefined {
  const said = (strip.steps[i]?.said ?? "").toLowerCase();
  // "cam on the crank" is back with the crank
  const namesOne = (part: string): boolean => {
    const name = nameOf(strip, part).toLowerCase();
    return words.some((w) => ` ${name} `.includes(` ${w} `) || said.includes(`${w} on the ${name}`));
  };
  return order.slice(order.indexOf(i) + 1).findLast((k) => (strip.steps[k]?.parts ?? []).some(namesOne));
}

/**
 * What comes last of all, when everything is on: what was said for the end, what is lubricated from outside,
 * and what is set and measured, because whatever is drawn or greased after it would move it again. In
 * somebody's own order, where there is one: by the keys of these lines among the steps of `ownOrder`.
 */
function atTheEnd(strip: Strip, back: readonly StripStep[]): Draft[] {
  const outside = strip.lubePoints.filter(isOutside).map(
    (g): Draft => ({
      kind: "grease",
      lubePoint: g.id,
      because: ["it is reached from outside, when everything is on"],
    }),
  );
  const all = [
    ...back.flatMap((s) => minds(s, "end")),
    ...outside,
    ...back.flatMap((s) => minds(s, "calibrate")),
  ];
  const own = new Map((strip.ownOrder ?? []).map((key, k) => [key, k]));
  const rank = (d: Draft): number => own.get(lineKey({ ...d, n: 0 })) ?? -1;
  const ordered = all.filter((d) => rank(d) >= 0).sort((a, b) => rank(a) - rank(b));
  // those that somebody ordered change places among themselves
  return all.map((d) => (rank(d) >= 0 ? (ordered.shift() ?? d) : d));
}

/** Whether a line is one of the last, which can be ordered among each other. */
export const isAtTheEnd = (
  line: RebuildLine,
  { lubePoints }: { readonly lubePoints: Strip["lubePoints"] },
): boolean =>
  (line.kind === "mind" && (line.when === "end" || line.when === "calibrate")) ||
  (line.kind === "grease" && lubePoints.some((g) => g.id === line.lubePoint && isOutside(g)));

/**
 * Thread locker that goes back on holds before the unit runs idle: so long after the line that puts it on. Its
 * full strength is waited for before it is loaded, and its owner is told.
 */
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
        minutes: cure.handleMinutes,
        why:
          `thread locker on ${locked.map(hardwareInWords).join("; ")}: ${cure.says}. ` +
          "It may run idle once it holds, under load once it has cured",
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

function grease(strip: CheckedStrip, g: LubePoint, i: number): Draft {
  const closers = (strip.needs[i] ?? [])
    .filter((n) => strip.steps[n]?.action !== "note")
    .map((n) => stepName(strip, n));
  const why = g.reachedBy
    ? `before ${reachedName(strip, g)} goes back`
    : closers.length
      ? `before what goes on over it or after it: ${closers.join(", ")}`
      : `${g.when === "before-fit" ? "before" : "after"} ${nameOf(strip, g.part as string)} goes in`;
  return { kind: "grease", lubePoint: g.id, because: [why] };
}

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
    const own = minds(stepAt(strip, i), "closing");
    if (!own.length) continue;
    const first = [...(needs[i] ?? [])].sort((a, b) => (place.get(a) ?? 0) - (place.get(b) ?? 0))[0];
    out.set(first, [...(out.get(first) ?? []), ...own]);
  }
  return out;
}

/**
 * Whether a step only holds what a waiting check asks of, or is itself asked the same: the check then comes
 * after it.
 */
function goesOn(
  strip: CheckedStrip,
  next: number,
  waiting: readonly { readonly check: string; readonly draft: Draft }[],
  heldAt: (step: number) => readonly LookHere[],
): boolean {
  if (!waiting.length) return true;
  const step = stepAt(strip, next);
  if (onlyRetains(step))
    return waiting.some(
      (w) => w.draft.kind === "check" && hadToBeOff(strip, next, strip.indexOf.get(w.draft.after) ?? -1),
    );
  const same = heldAt(next);
  return waiting.every((w) => same.some((c) => c.key === w.check));
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
  return hadToBeOff(strip, next, i);
}

/** Whether one step had to be off before another could come off, however many lie between. */
function hadToBeOff(strip: CheckedStrip, first: number, before: number): boolean {
  const seen = new Set<number>();
  for (const open = [...(strip.needs[before] ?? [])]; open.length; ) {
    const n = open.pop();
    if (n === first) return true;
    if (n === undefined || seen.has(n)) continue;
    seen.add(n);
    open.push(...(strip.needs[n] ?? []));
  }
  return false;
}

function planMinutes(strip: CheckedStrip, order: readonly number[], drafts: readonly Draft[]): number {
  const steps = order.reduce((sum, i) => sum + minutesOf(strip.steps[i]), 0);
  return drafts.reduce(
    (sum, d) => sum + (d.kind === "fit" || d.kind === "unblock" ? 0 : MINUTES[d.kind]),
    steps,
  );
}
