import type { PointKindName } from "../grease/point-kinds";
import { type Chamber, type ChamberKind, newChamber, nextChamberId } from "../job/chamber";
import type { Job } from "../job/job";
import { kindOf, type Part, partName, partNamed } from "../job/part";
import type { LubePoint } from "../job/service";
import { bearingClosure, isClockwork, isWormByName, mayClose, placeKindOf } from "./places";
import { lubricatedWheels } from "./wheels";

export interface Proposal {
  readonly chamber: Chamber;
  /** the chamber is there already: only points are added to it */
  readonly isThere?: boolean;
  readonly points: readonly Omit<LubePoint, "id">[];
}

type JobFacts = Pick<Job, "train" | "parts" | "steps" | "chambers" | "lubePoints" | "findings"> &
  Partial<Pick<Job, "kind">>;

/**
 * The step that laid a part's room open: the last one before it came off that is no note and no block, and
 * took off a cover or a housing if any did.
 */
export function openerOf(job: Pick<Job, "steps" | "parts">, part: string | undefined): string | undefined {
  const at = job.steps.findIndex((s) => part !== undefined && s.parts?.includes(part));
  return openerBefore(job, at < 0 ? job.steps.length : at);
}

/** The step that laid open what is seen when so many steps are done. */
export function openerBefore(job: Pick<Job, "steps" | "parts">, done: number): string | undefined {
  const before = job.steps.slice(0, done).filter((s) => s.action !== "note" && s.action !== "block");
  const covers = new Set(job.parts.filter(mayClose).map((p) => p.id));
  return (before.findLast((s) => s.parts?.some((p) => covers.has(p))) ?? before.at(-1))?.id;
}

/** What a room around a part is, as it begins. */
export function chamberKindAround(part: Pick<Part, "kind" | "name" | "material">): ChamberKind {
  const place = placeKindOf(part);
  if (place === "gear-teeth") return "gear-case";
  if (place === "rolling-bearing" || place === "plain-bush") return "bearing-seat";
  if (place === "striker") return "striker";
  return place === "ratchet" ? "ratchet-head" : "other";
}

/**
 * Has this part come off? Then its point is a line at its fitting; otherwise it is reached while its room is
 * open.
 */
const cameOff = (job: Pick<Job, "steps">, part: string | undefined): boolean =>
  part !== undefined && job.steps.some((s) => s.parts?.includes(part));

/** Places that are out of reach, or half shut, once their part is on. */
const BEFORE_FIT: ReadonlySet<PointKindName> = new Set([
  "seal-lip", "o-ring", "spline", "rolling-bearing", "plain-bush", "sintered-bush", "mainspring", "felt-wick",
]); // biome-ignore format: a list

/**
 * A point on a part, as it begins: after it is fitted where it came off, while the room is open where it did
 * not. Null: nothing leads to it.
 */
export function pointOn(
  job: Pick<Job, "steps" | "parts">,
  chamber: Pick<Chamber, "id" | "openedBy" | "outside">,
  kind: PointKindName,
  part: string | undefined,
  where: string,
): Omit<LubePoint, "id"> | null {
  const facts = { chamber: chamber.id, kind, where };
  if (cameOff(job, part))
    return {
      part,
      when: BEFORE_FIT.has(kind) ? "before-fit" : "after-fit",
      ...facts,
    };
  if (chamber.outside) return { outside: true, ...(part && { onPart: part }), ...facts };
  // what a chamber says opened it may have been taken back since
  const open = job.steps.some((s) => s.id === chamber.openedBy && s.action !== "note");
  return open ? { reachedBy: chamber.openedBy, ...(part && { onPart: part }), ...facts } : null;
}

/**
 * Chambers that the train and the strip speak of and that nobody has made yet: a planetary set, a worm box, a
 * case for the other meshes, a clockwork; and a seat for what else came off and takes a lubricant. Each with
 * its points. It is a proposal: everything in it can be changed or struck. A bearing of which nobody has said
 * whether it is sealed is asked about and not proposed.
 */
export function proposedChambers(job: JobFacts): Proposal[] {
  const out: Proposal[] = [];
  const taken = new Set(
    job.lubePoints.flatMap((g) =>
      [g.part, g.onPart, g.wheel && `${g.wheel.mesh}:${g.wheel.role}`].filter((x) => x !== undefined),
    ),
  );
  const chambers = [...(job.chambers ?? [])];
  const propose = (
    kind: ChamberKind,
    first: string | undefined,
    points: (c: Chamber) => (Omit<LubePoint, "id"> | null)[],
  ): void => {
    const own = job.chambers?.find((c) => c.kind === kind);
    if (own) {
      // what is said to get none, or is filled already, is not begun anew
      const isShut =
        own.none !== undefined ||
        job.lubePoints.some((g) => g.chamber === own.id && g.weighedGrams !== undefined);
      const more = isShut ? [] : points(own).filter((p) => p !== null);
      if (more.length) out.push({ chamber: own, isThere: true, points: more });
      return;
    }
    const openedBy = openerOf(job, first);
    const chamber = { ...newChamber(nextChamberId(chambers), kind), ...(openedBy && { openedBy }) };
    const found = points(chamber).filter((p) => p !== null);
    if (!found.length) return;
    chambers.push(chamber);
    out.push({ chamber, points: found });
  };
  const cameLoose = (p: Part): boolean => cameOff(job, p.id) && !taken.has(p.id);
  const others = (): Part[] =>
    job.parts.filter((p) => kindOf(p) !== "gear" && cameLoose(p) && takesSome(job, p));
  const onPart = (c: Chamber, p: Part) => pointOn(job, c, placeKindOf(p) as PointKindName, p.id, partName(p));
  if (isClockwork(job)) {
    const gears = job.parts.filter((p) => kindOf(p) === "gear" && cameLoose(p));
    propose("clockwork", [...others(), ...gears][0]?.id, (c) => [
      ...others().map((p) => onPart(c, p)),
      ...gears.map((p) => pivotsOf(p, c)),
    ]);
    const dry = gears.length ? [{ id: "d1", says: "teeth of the train" }] : [];
    return out.map((made) => (made.isThere ? made : { ...made, chamber: { ...made.chamber, dry } }));
  }
  const inTrain = new Set(lubricatedWheels(job.train).flatMap((w) => w.part ?? []));
  // gears that came off and that the train does not know
  const strange = job.parts.filter((p) => kindOf(p) === "gear" && cameOff(job, p.id) && !inTrain.has(p.id));
  const loose = strange.filter(cameLoose);
  // a gear that meshes twice is one place; a wheel that names no part may be one of the loose ones
  const wheels = lubricatedWheels(job.train).filter(
    (w, i, all) =>
      !taken.has(`${w.mesh}:${w.role}`) &&
      (w.part ? !taken.has(w.part) && all.findIndex((o) => o.part === w.part) === i : strange.length === 0),
  );
  const meshOf = (id: string) => job.train?.meshes.find((m) => m.id === id);
  const groups: readonly (readonly [ChamberKind, (kind: string | undefined) => boolean])[] = [
    ["planetary", (k) => k === "planetary"],
    ["worm-box", (k) => k === "worm"],
    ["gear-case", (k) => k !== "planetary" && k !== "worm"],
  ];
  for (const [kind, is] of groups) {
    const place = kind === "worm-box" ? "worm" : "gear-teeth";
    const own = wheels.filter((w) => is(meshOf(w.mesh)?.kind));
    const here = loose.filter((p) => isLooseIn(job, kind, p, loose));
    if (!own.length && !here.length) continue;
    propose(kind, own.find((w) => w.part)?.part ?? here[0]?.id, (c) => [
      ...own.map((w) => {
        const where = w.part ? `teeth of the ${partNamed(job, w.part)}` : w.says;
        const at = pointOn(job, c, place, w.part, where);
        return at && { ...at, wheel: { mesh: w.mesh, role: w.role } };
      }),
      ...here.map((p) => pointOn(job, c, place, p.id, `teeth of the ${partName(p)}`)),
      ...(out.length === 0 ? others().filter(liesInACase) : []).map((p) => onPart(c, p)),
    ]);
  }
  const geared = out.length > 0 || job.chambers?.some((c) => GEARED.has(c.kind));
  // what lies in a chamber of gears goes into it; a striker, a screw, a slide are places of their own
  const rest = others().filter((p) => !geared || !liesInACase(p));
  const strikers = rest.filter((p) => placeKindOf(p) === "striker");
  for (const group of [strikers, rest.filter((p) => !strikers.includes(p))]) {
    const [first] = group;
    if (first) propose(roomOf(group), first.id, (c) => group.map((p) => onPart(c, p)));
  }
  return out;
}

const GEARED: ReadonlySet<ChamberKind> = new Set(["gear-case", "worm-box", "planetary"]);

/** Places that lie in the same case as the gears beside them. */
const IN_A_CASE: ReadonlySet<PointKindName | undefined> = new Set([
  "rolling-bearing", "plain-bush", "sintered-bush", "seal-lip", "o-ring", "ratchet", "spline",
]); // biome-ignore format: a list
const liesInACase = (p: Part): boolean => IN_A_CASE.has(placeKindOf(p));

/** What a room is around parts none of which is a gear. */
const roomOf = (parts: readonly Part[]): ChamberKind => {
  const kinds = parts.map(chamberKindAround);
  return (
    kinds.find((k) => k === "striker" || k === "ratchet-head") ?? kinds.find((k) => k !== "other") ?? "other"
  );
};

/** The pivots of a wheel of a clock train: oiled from outside once its plates are on; its teeth stay dry. */
const pivotsOf = (p: Part, c: Chamber): Omit<LubePoint, "id"> => ({
  chamber: c.id,
  kind: "clock-pivot",
  where: `pivots of the ${partName(p)}`,
  onPart: p.id,
  outside: true,
});

/** Whether a part takes a lubricant of its own: a sealed bearing, or one that nobody knows, does not. */
const takesSome = (job: JobFacts, p: Part): boolean => {
  const place = placeKindOf(p);
  return place !== undefined && (place !== "rolling-bearing" || bearingClosure(job, p.id) === "open");
};

/** Bearings that came off, of which nobody has said whether they are sealed, and that have no point yet. */
export const bearingsAsked = (job: JobFacts): Part[] =>
  job.parts.filter(
    (p) =>
      placeKindOf(p) === "rolling-bearing" &&
      cameOff(job, p.id) &&
      bearingClosure(job, p.id) === "unknown" &&
      !job.lubePoints.some((g) => g.part === p.id || g.onPart === p.id) &&
      !job.chambers?.some((c) => c.dry?.some((d) => d.part === p.id)),
  );

/**
 * Whether a gear that no train names belongs into a chamber of this kind: a worm and its wheel by what was
 * said of them at Judge, or by their names; a plain "wheel" beside a lone worm is the one that runs on it.
 */
function isLooseIn(
  job: Pick<Job, "findings">,
  kind: ChamberKind,
  part: Part,
  loose: readonly Part[],
): boolean {
  const isWorm = (p: Part): boolean => {
    const said = job.findings.find((f) => f.part === p.id)?.gear.kind;
    return said ? said === "worm" || said === "worm-wheel" : isWormByName(p);
  };
  const worm = isWorm(part) || (loose.length === 2 && loose.some(isWorm));
  return kind === "worm-box" ? worm : kind === "gear-case" && !worm;
}
