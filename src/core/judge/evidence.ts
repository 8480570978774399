import { isPlastic } from "../hardware/material";
import { TOOTHED_KINDS } from "../hardware/part-kind";
import { greaseStatesIn, isFailure, modeNamed, modesOf, symptomSays } from "./failure-modes";
import { KIND_PAST, kindPast } from "./kind-past";
import { LOOKS } from "./network/looks";
import { SIGNS } from "./network/signs";
import type { Turning } from "./tooth-marks";
import { patternOf, TOOTH_PATTERNS } from "./tooth-pattern";

/** What the causes are reasoned from: all that Take in, Strip and the findings wrote down. */
export interface Evidence {
  readonly symptoms: readonly string[];
  /** what sort of unit it is: where such units work changes what is likely */
  readonly unitKind?: string | undefined;
  /** of the old grease */
  readonly greaseStates?: readonly string[] | undefined;
  /** something drives it that is no hand and no spring; undefined: not known, and thought possible */
  readonly motor?: boolean | undefined;
  /** false: nothing in it turns or slides; undefined: something does */
  readonly moves?: boolean | undefined;
  readonly past: {
    readonly bought?: string | undefined;
    readonly openedBefore?: string | undefined;
    readonly load?: string | undefined;
    readonly years?: number | undefined;
  };
  readonly parts: readonly EvidentPart[];
  /** a sign that was looked for, and whether it was there */
  readonly looked?: Readonly<Record<string, boolean>> | undefined;
  /** what this shop has seen: priors of roots that stand in place of those that ship */
  readonly priors?: Readonly<Record<string, number>>;
}
export interface EvidentPart {
  readonly name: string;
  readonly kind?: string | undefined;
  readonly material?: string | undefined;
  readonly mode?: string | undefined;
  /** what else was found at it */
  readonly also?: readonly string[] | undefined;
  readonly marks?: Readonly<Record<string, string>> | undefined;
  readonly teeth?: number | undefined;
  readonly turning?: Turning | undefined;
  readonly drives?: boolean | undefined;
  /** what the mate's span has lost, mm, and what counts as sound */
  readonly mateLossMm?: number | undefined;
  readonly mateLimitMm?: number | undefined;
}

/** Something that is known, as the network names it, and in words. */
export interface Fact {
  readonly fact: string;
  readonly says: string;
  /**
   * true: the sign is there; a number: it was looked for in this share of its places, and is not; none: it
   * changes priors, and is no sign
   */
  readonly found?: true | number;
}

const IDS = new Set(SIGNS.map((s) => s.id));

/**
 * The facts of a job, each once: what is seen, what was looked at and is not so, what Take in knows. Nothing
 * is said of what nobody looked at.
 */
export function factsOf(e: Evidence): Fact[] {
  const seen: Fact[] = [
    ...e.symptoms.map((s) => ({ fact: `symptom:${s}`, says: symptomSays(s), found: true as const })),
    ...e.parts.flatMap(seenOf),
    ...severalBrittle(e.parts),
    ...greaseSeen(e),
    ...Object.entries(e.looked ?? {}).flatMap(([fact, so]) =>
      so ? [{ fact, says: lookSays(fact, true), found: true as const }] : [],
    ),
  ];
  const known = new Set(seen.map((f) => f.fact));
  const not = [
    ...Object.entries(e.looked ?? {}).flatMap(([fact, so]) =>
      so ? [] : [{ fact, says: lookSays(fact, false), found: 1 }],
    ),
    ...notSoOf(e, known),
  ];
  return joined([...hasOf(e), ...pastOf(e), ...seen, ...not.filter((f) => !known.has(f.fact))]);
}

/** What was looked for, as it was found: as a finding where it is there, else as it was asked. */
function lookSays(fact: string, so: boolean): string {
  const asks = LOOKS.find((l) => l.sign === fact)?.asks ?? fact;
  if (!so) return `${asks} no`;
  const [kind = "", mode = ""] = fact.split(":");
  if (kind === "grease") {
    const [state] = greaseStatesIn([mode]);
    return state ? `old grease: ${state.says}` : `${asks} yes`;
  }
  const says = modeNamed(mode)?.says;
  return says && kind !== "mate" && kind !== "teeth" ? `${kind}: ${says}` : `${asks} yes`;
}

/** The same sign at two parts is one sign, with both in its words. */
function joined(facts: readonly Fact[]): Fact[] {
  const out = new Map<string, Fact>();
  for (const f of facts) {
    const before = out.get(f.fact);
    if (!before) out.set(f.fact, f);
    else if (!before.says.includes(f.says)) out.set(f.fact, { ...before, says: `${before.says}; ${f.says}` });
  }
  return [...out.values()].filter((f) => f.found === undefined || IDS.has(f.fact));
}

function pastOf({ past, parts, motor, moves, unitKind }: Evidence): Fact[] {
  const out: Fact[] = kindPast(unitKind).map((fact) => ({ fact, says: KIND_PAST[fact] }));
  const { openedBefore, years } = past;
  if (openedBefore === "shop") out.push({ fact: "past:opened", says: "another shop had it open" });
  if (openedBefore === "owner") out.push({ fact: "past:opened", says: "its owner had it open" });
  if (openedBefore === "no") out.push({ fact: "past:never-opened", says: "never open before" });
  if (past.bought === "used") out.push({ fact: "past:used", says: "bought used" });
  if (past.load === "hard") out.push({ fact: "past:hard", says: "worked hard" });
  if (past.load === "daily") out.push({ fact: "past:daily", says: "works every day" });
  if (past.load === "light") out.push({ fact: "past:light", says: "worked lightly" });
  if (years !== undefined && years <= 3) out.push({ fact: "past:young", says: yearsOld(years) });
  if (years !== undefined && years >= 8) out.push({ fact: "past:old", says: yearsOld(years) });
  if (years !== undefined && years >= 20) out.push({ fact: "past:very-old", says: yearsOld(years) });
  const plastic = parts.filter((p) => p.kind === "gear" && isFailure(p.mode) && isPlastic(p.material));
  if (plastic.length)
    out.push({ fact: "past:plastic", says: plastic.map((p) => `${p.name} is plastic`).join("; ") });
  if (motor === false) out.push({ fact: "past:no-motor", says: "no motor drives it" });
  if (moves === false) out.push({ fact: "past:still", says: "nothing in it turns" });
  return out;
}

/** What the unit has that mechanisms need. It is so whatever else is thought away, and is no reason itself. */
function hasOf({ parts }: Evidence): Fact[] {
  const has: readonly (readonly [string, boolean])[] = [
    ["belt", parts.some((p) => p.kind === "belt")],
    ["spring", parts.some((p) => p.kind === "spring")],
    ["plastic", parts.some((p) => p.kind === "gear" && isPlastic(p.material))],
    // of a unit whose parts nobody said what they are, gears are thought of
    ["teeth", parts.every((p) => !p.kind) || parts.some((p) => TOOTHED_KINDS.includes(p.kind ?? ""))],
  ];
  return has.flatMap(([what, so]) => (so ? [{ fact: `has:${what}`, says: "" }] : []));
}
const yearsOld = (n: number): string => `${n} ${n === 1 ? "year" : "years"} old`;

/** Damage that the marks on the teeth tell better than the word for it. */
const TOLD_BY_TEETH = ["missing-teeth", "knife-edged", "chipped", "worn", "melted", "corroded"];

function seenOf(p: EvidentPart): Fact[] {
  const out: Fact[] = [];
  const pattern = p.marks && p.teeth ? patternOf(p.name, p.marks, p.teeth, p.turning, p.drives) : [];
  for (const said of modesOf(p)) {
    const mode = modeNamed(said);
    if (!mode || !isFailure(said) || (pattern.length && TOLD_BY_TEETH.includes(said))) continue;
    const own = `${p.kind ?? "part"}:${mode.mode}`;
    out.push({
      fact: IDS.has(own) ? own : `any:${mode.mode}`,
      says: `${p.name}: ${mode.says}`,
      found: true as const,
    });
  }
  for (const f of pattern) out.push({ ...f, found: true as const });
  if (p.mateLossMm !== undefined && p.mateLimitMm !== undefined)
    out.push(
      p.mateLossMm > p.mateLimitMm
        ? {
            fact: "mate:worn",
            says: `the mate of ${p.name} has lost ${p.mateLossMm.toFixed(2)} mm of tooth`,
            found: true as const,
          }
        : { fact: "mate:worn", says: `the mate of ${p.name} measures sound`, found: 0.9 },
    );
  return out;
}

const BRITTLE = ["split", "cracked-hub", "crazed", "missing-teeth", "broken", "cracked"];
/** More than one part of plastic went, and not all of them by teeth alone. */
function severalBrittle(parts: readonly EvidentPart[]): Fact[] {
  const gone = parts.filter((p) => isPlastic(p.material) && modesOf(p).some((m) => BRITTLE.includes(m)));
  return gone.length > 1 &&
    gone.some((p) => modesOf(p).some((m) => BRITTLE.includes(m) && m !== "missing-teeth"))
    ? [
        {
          fact: "brittle:several",
          says: `${gone.map((p) => p.name).join(" and ")} went, all of plastic`,
          found: true as const,
        },
      ]
    : [];
}

function greaseSeen({ greaseStates = [], parts }: Evidence): Fact[] {
  const gears = parts.filter((p) => p.kind === "gear" && p.mode && p.material);
  const allMetal = gears.length > 0 && gears.every((p) => !isPlastic(p.material));
  return greaseStatesIn(greaseStates)
    .filter((g) => g.state !== "good")
    .map(({ state, says }) => ({
      fact: state === "plastic" && allMetal ? "grease:other-plastic" : `grease:${state}`,
      says: `old grease: ${says}`,
      found: true as const,
    }));
}

/** What was looked at and is not so. */
function notSoOf(e: Evidence, known: ReadonlySet<string>): Fact[] {
  const out: Fact[] = [];
  const kinds = new Set(e.parts.flatMap((p) => p.kind ?? []));
  for (const kind of kinds) {
    const all = e.parts.filter((p) => p.kind === kind);
    const sound = all.filter((p) => p.mode === "sound");
    if (!sound.length) continue;
    const share = (0.9 * sound.length) / all.length;
    const says = `${sound.map((p) => p.name).join(" and ")} looked at, and sound`;
    for (const s of SIGNS)
      if (
        s.id.startsWith(`${kind}:`) ||
        (kind === "gear" && s.id.startsWith("teeth:") && !all.some((p) => isFailure(p.mode)))
      )
        out.push({ fact: s.id, says, found: share });
  }
  // one damage has one pattern: what is thin all round is no run of broken teeth
  const pattern = TOOTH_PATTERNS.find((t) => known.has(t));
  const marked = e.parts.find((p) => p.marks && Object.keys(p.marks).length)?.name ?? "gear";
  if (pattern)
    for (const other of TOOTH_PATTERNS)
      if (other !== pattern)
        out.push({ fact: other, says: `${marked}: no other damage to its teeth`, found: 0.9 });
  if (known.has("symptom:output-still"))
    out.push({ fact: "symptom:dead", says: "its motor runs", found: 0.9 });
  const grease = greaseStatesIn(e.greaseStates ?? []);
  if (grease.length) {
    const good = grease.some((g) => g.state === "good");
    const says = `old grease: ${grease.map((g) => g.says).join(", ")}`;
    for (const s of SIGNS)
      if (s.id.startsWith("grease:") && s.id !== "grease:too-much" && s.id !== "grease:spoilt")
        out.push({ fact: s.id, says, found: good ? 0.9 : 0.5 });
    if (good) out.push({ fact: "grease:spoilt", says, found: 0.9 });
  }
  return out;
}
