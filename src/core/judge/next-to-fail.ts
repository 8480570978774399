import { type Case, caseOf } from "./case";
import type { Evidence } from "./evidence";
import { isFailure, modeNamed, modesOf } from "./failure-modes";
import { infer } from "./network/infer";
import { MECHANISMS } from "./network/mechanisms";
import { networkFor, type Path, pathsFor } from "./network/network";
import { SIGNS } from "./network/signs";
import { ROOTS } from "./roots";

/** A part that was not found bad, and that what went on in the unit goes for. */
export interface NextToFail {
  /** parts of the kind, by their names */
  readonly parts: readonly string[];
  /** how it would fail, in words */
  readonly says: string;
  /**
   * Noisy-or of what goes on in the unit and brings it, each P(it goes on | what is known) times its strength;
   * of what was found sound the largest of them alone
   */
  readonly probability: number;
  /** what leads to it, and how */
  readonly because: string;
  /** it was looked at, and is sound so far */
  readonly sound: boolean;
}

/**
 * Roots that work on all of a unit. Of the others a sign tells that it began there: a contact that gave up in
 * one place makes none worse in another.
 */
const ALL_OVER: ReadonlySet<string> = new Set([
  "age",
  "worn-out",
  "water",
  "dirt",
  "overload",
  "wrong-lubricant",
]);
const MECHANISM_IDS: ReadonlySet<string> = new Set(MECHANISMS.map((m) => m.id));

const didOf = (id: string): string =>
  MECHANISMS.find((m) => m.id === id)?.did ?? ROOTS.find((r) => r.cause === id)?.began ?? id;

/** Less likely than this it is not spoken of. */
const SHOWN = 0.3;
const MOST = 4;

/**
 * What is likely bad as well and was not looked at, and what was found sound and is next if what went on goes
 * on. Of each kind of part the likeliest failure; the likeliest first.
 *
 * @param chosen roots that the technician said it was
 * @returns nothing as long as nothing is found
 */
export function nextToFail(evidence: Evidence, chosen: readonly string[] = []): NextToFail[] {
  const c = caseOf(evidence);
  if (!c.facts.some((f) => f.found === true)) return [];
  const known = new Map([...c.known, ...chosen.map((r) => [r, true as const] as const)]);
  const { of } = infer(networkFor(c.past, c.own), known, [
    ...ROOTS.map((r) => r.cause),
    ...MECHANISMS.map((m) => m.id),
  ]);
  const kinds = [...new Set(evidence.parts.flatMap((p) => p.kind ?? []))];
  return kinds
    .flatMap((kind) => ofKind(kind, evidence, c, of) ?? [])
    .sort((a, b) => b.probability - a.probability)
    .slice(0, MOST);
}

/** The likeliest failure of the parts of a kind; undefined: one was found bad, or none is likely. */
function ofKind(
  kind: string,
  { parts }: Evidence,
  { past, known }: Case,
  of: ReadonlyMap<string, number>,
): NextToFail | undefined {
  const own = parts.filter((p) => p.kind === kind);
  const open = own.filter((p) => modesOf(p).length === 0);
  const good = own.filter((p) => p.mode !== undefined && !isFailure(p.mode));
  // how gears share a blow, or a mate, is told by the pair and by how far the work must go
  if (kind === "gear" && own.some((p) => isFailure(p.mode))) return undefined;
  const [about, sound] = open.length ? [open, false] : [good, true];
  if (!about.length) return undefined;
  const paths = pathsFor(past);
  // a torn seal is how this seal no longer held: another one is not worn for it
  const told = new Set(
    paths.filter((p) => p.to.startsWith(`${kind}:`) && known.get(p.to) === true).map((p) => p.from),
  );
  const all = SIGNS.flatMap((s): NextToFail[] => {
    const [about_, mode] = s.id.split(":");
    const says = modeNamed(mode)?.says;
    if (about_ !== kind || says === undefined || known.get(s.id) === true) return [];
    const brings = (p: Path): number => p.strength * (of.get(p.from) ?? 0);
    const ways = paths
      .filter((p) => p.to === s.id && (MECHANISM_IDS.has(p.from) || ALL_OVER.has(p.from)))
      .sort((a, b) => brings(b) - brings(a));
    const [path] = ways;
    if (!path || told.has(path.from)) return [];
    const probability = sound ? brings(path) : 1 - ways.reduce((none, p) => none * (1 - brings(p)), 1);
    if (probability < SHOWN) return [];
    // what led to it, and what led to that
    const before = paths.filter((p) => p.to === path.from).sort((a, b) => brings(b) - brings(a))[0];
    const because =
      before && brings(before) >= 0.1
        ? `${didOf(before.from)} → ${didOf(path.from)}`
        : `${didOf(path.from)}: ${path.why}`;
    return [
      {
        parts: about.map((p) => p.name),
        says,
        probability,
        because,
        sound,
      },
    ];
  });
  return all.sort((a, b) => b.probability - a.probability)[0];
}
