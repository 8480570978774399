import { lockerCure, lockerRefused } from "../hardware/bench/locker";
import { NO_PIECE } from "../hardware/kinds";
import { hardwareInWords, wasLocked } from "../hardware/piece";
import { companionKey, companionSays } from "../job/goes-in";
import type { GoingIn } from "../job/going-in";
import { checkKey, greaseKey, serviceKey, undoKey, withKey } from "../job/keys";
import { type Part, partName } from "../job/part";
import { type PieceRef, samePiece } from "../job/piece-ref";
import type { LubePoint, Service } from "../job/service";
import type { StripStep } from "../job/step";
import type { Strip } from "../job/strip";
import { cautionsFor } from "../safety/cautions";
import { type CheckedStrip, checkStrip, isOutside } from "./checked-strip";
import { backOnce, hardwareLedger, type IsBack, type Ledger, staysOut } from "./hardware-ledger";
import { INVERSE_ACTION } from "./inverse-action";
import { REBUILD_CHECKS } from "./rebuild-checks";
import { stepCalled } from "./step-words";
import { needsOf, undoOrder } from "./undo-order";

interface Line {
  readonly n: number;
  readonly because: readonly string[];
}
export interface FitLine extends Line {
  readonly kind: "fit" | "unblock";
  readonly undoes: string;
  readonly action: string;
  readonly parts: readonly string[];
  readonly hardware: readonly string[];
  /** pieces of the step that stay out, because what goes in does without them */
  readonly aside?: readonly PieceRef[];
  readonly cautions: readonly string[];
}
export interface GreaseLine extends Line {
  readonly kind: "grease";
  readonly lubePoint: string;
}
export interface ServiceLine extends Line {
  readonly kind: "service";
  readonly service: string;
}
/** Something goes in with a new part that did not come out with the old one. */
export interface WithLine extends Line {
  readonly kind: "with";
  readonly part: string;
  readonly companion: string;
}
export interface CheckLine extends Line {
  readonly kind: "check";
  readonly check: string;
  readonly after: string;
}
export type RebuildLine = FitLine | WithLine | GreaseLine | ServiceLine | CheckLine;

export type Pick = { readonly hardware: string; readonly qty: number; readonly why: string } | { readonly part: string; readonly why: string };

export interface RebuildPlan {
  readonly steps: readonly RebuildLine[];
  /** what must be new: fetch it before beginning */
  readonly pick: readonly Pick[];
  readonly ledger: Ledger;
  /** after line `after`, so many minutes must pass before what depends on it */
  readonly waits: readonly { readonly after: number; readonly minutes: number; readonly why: string }[];
  readonly minutes: number;
}

/** Minutes for lines that no strip has timed. A step takes as long to put back as it took to take off; untimed, two minutes. */
const MINUTES = { step: 2, grease: 2, service: 3, with: 1, check: 0.5 } as const;

/** Lets a finished line be remembered although the plan's numbers may change. */
export function lineKey(line: RebuildLine): string {
  switch (line.kind) {
    case "grease":
      return greaseKey(line.lubePoint);
    case "service":
      return serviceKey(line.service);
    case "with":
      return withKey(line.part, line.companion);
    case "check":
      return checkKey(line.check, line.after);
    default:
      return undoKey(line.undoes);
  }
}

type Draft = RebuildLine extends infer L ? (L extends RebuildLine ? Omit<L, "n"> : never) : never;

/**
 * The order in which a unit goes back together, with grease, services, checks and unblocking where they belong.
 *
 * The laws it keeps for every input are listed in docs/formats.md (`rebuild plan`); in short: every step is undone once and after all
 * that needed it; bundles stay together; grease and services come while their place can be reached; the ledger closes; and where
 * these leave a choice, the plan is the reverse of the strip. Placing grease and services right next to the line they
 * belong to keeps their laws without a search: whatever closes over a part was undone from a step that the part's own step
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
  for (const v of strip.services) if (v.waitMinutes) service(v, `it needs ${v.waitMinutes} minutes before it can be fitted, so it is done first`);

  order.forEach((i, k) => {
    const step = checked.steps[i] as StripStep;
    const own = step.parts ?? [];
    const here = (t: { part?: string; reachedBy?: string }): boolean => t.reachedBy === step.id || (t.part !== undefined && own.includes(t.part));
    for (const v of strip.services)
      if (!v.waitMinutes && here(v))
        service(v, v.part ? `before ${nameOf(checked, v.part)} goes in` : `while ${reachedName(checked, v)} still leaves the place open`);
    for (const g of strip.lubePoints) if (here(g) && (g.reachedBy || g.when === "before-fit")) drafts.push(grease(checked, g, i));
    for (const g of going) if (own.includes(g.part)) drafts.push(...companions(checked, g));
    drafts.push(undoing(checked, neededBy, i, own, going));
    for (const g of strip.lubePoints) if (here(g) && g.part && g.when === "after-fit") drafts.push(grease(checked, g, i));
    drafts.push(...checksAfter(checked, i, order[k + 1]));
  });

  for (const g of strip.lubePoints)
    if (isOutside(g)) drafts.push({ kind: "grease", lubePoint: g.id, because: ["it is reached from outside, when everything is on"] });

  const lines = drafts.map((d, i): RebuildLine => ({ n: i + 1, ...d }));
  return {
    steps: lines,
    pick: picks(checked, going),
    ledger: hardwareLedger(checked, carriedBy(lines)),
    waits: [
      ...waitsAfter.map(({ at, service: v }) => ({
        after: at,
        minutes: v.waitMinutes as number,
        why: `${v.note ?? v.do}: must be over before ${v.part ? `${nameOf(checked, v.part)} goes in` : `${reachedName(checked, v)} is closed`}`,
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
    const locked = (step?.hardware ?? []).filter((h) => l.hardware.includes(h.id) && wasLocked(h) && !lockerRefused(h.into));
    if (!locked.length) return [];
    const cure = lockerCure({ metals: locked.flatMap((h) => h.into ?? []) });
    return [{ after: l.n, minutes: cure.fullMinutes, why: `thread locker on ${locked.map(hardwareInWords).join("; ")}: ${cure.says}; before the unit runs` }];
  });
}

/** A piece is back once some line of the plan names it as put back: counted from the lines themselves, so that a line that forgets a piece leaves the ledger open. */
function carriedBy(lines: readonly RebuildLine[]): IsBack {
  const hardware = new Set(lines.flatMap((l) => (l.kind === "fit" || l.kind === "unblock" ? l.hardware : [])));
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
    .map((c) => ({ kind: "with", part: g.part, companion: companionKey(c), because: [c.why || `it goes in with the new ${nameOf(strip, g.part)}`] }));

function undoing(strip: CheckedStrip, neededBy: readonly (readonly number[])[], i: number, own: readonly string[], going: readonly GoingIn[]): Draft {
  const step = strip.steps[i] as StripStep;
  const isOut = (piece: PieceRef): boolean => staysOut(going, piece) !== undefined;
  const pieces = [...own.map((part) => ({ part })), ...(step.hardware ?? []).map((h) => ({ hardware: h.id }))];
  const aside = pieces.filter(isOut);
  const parts = own.filter((part) => !isOut({ part }));
  const names = parts.map((p) => nameOf(strip, p));
  return {
    kind: step.action === "block" ? "unblock" : "fit",
    undoes: step.id,
    action: INVERSE_ACTION[step.action as keyof typeof INVERSE_ACTION].name,
    parts,
    hardware: (step.hardware ?? [])
      .filter((h) => !NO_PIECE.includes(h.kind))
      .map((h) => h.id)
      .filter((hardware) => !isOut({ hardware })),
    ...(aside.length ? { aside } : {}),
    because: reasons(strip, neededBy, i),
    cautions: cautionsFor(step, names, "back"),
  };
}

function reasons(strip: CheckedStrip, neededBy: readonly (readonly number[])[], i: number): string[] {
  const out: string[] = [];
  const needs = (strip.needs[i] ?? []).filter((n) => strip.steps[n]?.action !== "note");
  for (const n of needs.slice(0, 2)) out.push(`${stepName(strip, n)} had to be off before this could come out, so this goes back first`);
  for (const n of neededBy[i]?.slice(0, 1) ?? []) out.push(`${stepName(strip, n)} lay under it and is back already`);
  const bundle = strip.steps[i]?.bundle;
  const others = bundle ? strip.steps.flatMap((s, k) => (s.bundle === bundle && k !== i ? [k] : [])) : [];
  if (others.length)
    out.push(`it came out as one with ${others.map((k) => stepName(strip, k)).join(", ")} and goes back with ${others.length === 1 ? "it" : "them"}`);
  if (!out.length) out.push(needs.length ? "reverse of the strip" : "nothing forces its place: it is the reverse of the strip");
  return out;
}

function grease(strip: CheckedStrip, g: LubePoint, i: number): Draft {
  const closers = (strip.needs[i] ?? []).filter((n) => strip.steps[n]?.action !== "note").map((n) => stepName(strip, n));
  const why = g.reachedBy
    ? `last chance: ${reachedName(strip, g)} closes over it`
    : closers.length
      ? `closes over it: ${closers.join(", ")}`
      : `${g.when === "before-fit" ? "before" : "after"} ${nameOf(strip, g.part as string)} goes in`;
  return { kind: "grease", lubePoint: g.id, because: [why] };
}

function checksAfter(strip: CheckedStrip, i: number, nextIndex: number | undefined): Draft[] {
  const step = strip.steps[i] as StripStep;
  const next = nextIndex === undefined ? undefined : strip.steps[nextIndex];
  const partsOf = (s: StripStep): Part[] => (s.parts ?? []).map((p) => strip.partById.get(p) as Part);
  return REBUILD_CHECKS.filter((c) => {
    if (!c.applies(step, partsOf(step))) return false;
    // several turning parts one after the other are turned once, after the last of them
    return !(c.check === "turns-freely" && next && c.applies(next, partsOf(next)));
  }).map((c) => ({ kind: "check", check: c.check, after: step.id, because: [c.why] }) as const);
}

/** What must be new: used once, lost, broken or missing; parts that are renewed or did not come off whole. */
function picks(strip: CheckedStrip, going: readonly GoingIn[]): Pick[] {
  const whyNew = (once: boolean | undefined, state: string | undefined, first: string): string | undefined => (once ? first : state);
  const hardware = strip.steps.flatMap((s) =>
    (s.hardware ?? []).flatMap((h) => {
      const why = whyNew(h.once, h.state, "used once");
      return why && staysOut(going, { hardware: h.id }) === undefined
        ? [{ hardware: h.id, qty: h.qty, why: `${why}: ${hardwareInWords({ ...h, state: undefined })}` }]
        : [];
    }),
  );
  const parts = strip.parts.flatMap((p) => {
    const why = whyNew(p.renew, strip.cameOffIn.has(p.id) ? p.state : undefined, "renewed");
    return why && staysOut(going, { part: p.id }) === undefined ? [{ part: p.id, why: `${why}: ${partName(p)}` }] : [];
  });
  const beside = going.flatMap((g) =>
    g.with.filter((c) => !c.without).map((c) => ({ part: g.part, why: `with ${nameOf(strip, g.part)}: ${companionSays(c)}` })),
  );
  return [...hardware, ...parts, ...beside];
}

function minutesOf(strip: CheckedStrip, order: readonly number[], drafts: readonly Draft[]): number {
  const steps = order.reduce((sum, i) => sum + (strip.steps[i]?.minutes ?? MINUTES.step), 0);
  return drafts.reduce((sum, d) => sum + (d.kind === "fit" || d.kind === "unblock" ? 0 : MINUTES[d.kind]), steps);
}

/** What laid a place open, by name. */
const reachedName = (strip: CheckedStrip, t: { readonly reachedBy?: string }): string => {
  const i = strip.indexOf.get(t.reachedBy ?? "");
  return i === undefined ? "the step before" : stepName(strip, i);
};

const nameOf = (strip: CheckedStrip, part: string): string => partName(strip.partById.get(part));

function stepName(strip: CheckedStrip, i: number): string {
  const s = strip.steps[i] as StripStep;
  const what = s.title ?? (s.parts?.length ? s.parts.map((p) => nameOf(strip, p)).join(", ") : undefined);
  return stepCalled(i, what);
}
