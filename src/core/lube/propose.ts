import type { PointKindName } from "../grease/point-kinds";
import { type Chamber, type ChamberKind, newChamber, nextChamberId } from "../job/chamber";
import type { Job } from "../job/job";
import { askedKinds, kindOf, type Part, partName, partNamed } from "../job/part";
import type { LubePoint } from "../job/service";
import { lubricatedWheels } from "./wheels";

export interface Proposal {
  readonly chamber: Chamber;
  readonly points: readonly Omit<LubePoint, "id">[];
}

/**
 * Kinds of parts that take a lubricant, and what kind of place they are. Said kinds of parts, not words of
 * their names.
 */
const PLACES: Readonly<Record<string, PointKindName>> = {
  gear: "gear-teeth",
  bearing: "rolling-bearing",
  bush: "plain-bush",
  seal: "seal-lip",
  "o-ring": "o-ring",
  ratchet: "ratchet",
  spline: "spline",
  "dog-clutch": "spline",
};
/** What kind of place a part would be: by its kind, and a bush by what it is made of. */
export const placeKindOf = (partKind: string | undefined, material?: string): PointKindName | undefined =>
  partKind === "bush" && material !== undefined && /^sinter/i.test(material)
    ? "sintered-bush"
    : partKind === undefined
      ? undefined
      : PLACES[partKind];

/** Parts that would take a lubricant by one of the kinds that their names hint at, and nobody said which. */
export const askedBeforeLube = (parts: readonly Part[]): Part[] =>
  parts.filter((p) => askedKinds(p).some((kind) => PLACES[kind] !== undefined));

type JobFacts = Pick<Job, "train" | "parts" | "steps" | "chambers" | "lubePoints" | "findings">;

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
  const covers = new Set(
    job.parts.filter((p) => ["cover", "housing"].includes(kindOf(p) ?? "")).map((p) => p.id),
  );
  return (before.findLast((s) => s.parts?.some((p) => covers.has(p))) ?? before.at(-1))?.id;
}

/** What a room around a part is, as it begins. */
export function chamberKindAround(partKind: string | undefined): ChamberKind {
  const place = placeKindOf(partKind);
  if (place === "gear-teeth") return "gear-case";
  if (place === "rolling-bearing" || place === "plain-bush") return "bearing-seat";
  return place === "ratchet" ? "ratchet-head" : "other";
}

/**
 * Has this part come off? Then its point is a line at its fitting; otherwise it is reached while its room is
 * open.
 */
const cameOff = (job: Pick<Job, "steps">, part: string | undefined): boolean =>
  part !== undefined && job.steps.some((s) => s.parts?.includes(part));

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
      when: kind === "seal-lip" || kind === "o-ring" || kind === "spline" ? "before-fit" : "after-fit",
      ...facts,
    };
  if (chamber.outside) return { outside: true, ...(part && { onPart: part }), ...facts };
  // what a chamber says opened it may have been taken back since
  const open = job.steps.some((s) => s.id === chamber.openedBy && s.action !== "note");
  return open ? { reachedBy: chamber.openedBy, ...(part && { onPart: part }), ...facts } : null;
}

/**
 * Chambers that the train and the strip speak of and that nobody has made yet: a planetary set, a worm box, a
 * case for the other meshes; and a seat for
 * bearings and bushes that came off without any gear. Each with its points. It is a proposal: everything in
 * it can be changed or struck.
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
    const openedBy = openerOf(job, first);
    const chamber = { ...newChamber(nextChamberId(chambers), kind), ...(openedBy && { openedBy }) };
    const found = points(chamber).filter((p) => p !== null);
    if (!found.length) return;
    chambers.push(chamber);
    out.push({ chamber, points: found });
  };
  // a gear that meshes twice is one place
  const wheels = lubricatedWheels(job.train).filter(
    (w, i, all) =>
      !taken.has(`${w.mesh}:${w.role}`) &&
      !(w.part && (taken.has(w.part) || all.findIndex((o) => o.part === w.part) < i)),
  );
  const meshOf = (id: string) => job.train?.meshes.find((m) => m.id === id);
  const groups: readonly (readonly [ChamberKind, (kind: string | undefined) => boolean])[] = [
    ["planetary", (k) => k === "planetary"],
    ["worm-box", (k) => k === "worm"],
    ["gear-case", (k) => k !== "planetary" && k !== "worm"],
  ];
  const inTrain = new Set(lubricatedWheels(job.train).flatMap((w) => w.part ?? []));
  for (const [kind, is] of groups) {
    const own = wheels.filter((w) => is(meshOf(w.mesh)?.kind));
    // gears that came off and that the train does not know: worms and their wheels by what was said of them
    // at Judge, the others in the common case
    const loose = job.parts.filter(
      (p) =>
        p.kind === "gear" &&
        cameOff(job, p.id) &&
        !inTrain.has(p.id) &&
        !taken.has(p.id) &&
        isLooseIn(job, kind, p.id),
    );
    if (!own.length && !loose.length) continue;
    propose(kind, own.find((w) => w.part)?.part ?? loose[0]?.id, (c) => [
      ...own.map((w) => {
        const at = pointOn(
          job,
          c,
          kind === "worm-box" ? "worm" : "gear-teeth",
          w.part,
          w.part ? `teeth of the ${partNamed(job, w.part)}` : w.says,
        );
        return at && { ...at, wheel: { mesh: w.mesh, role: w.role } };
      }),
      ...loose.map((p) =>
        pointOn(job, c, kind === "worm-box" ? "worm" : "gear-teeth", p.id, `teeth of the ${partName(p)}`),
      ),
      ...seats(job, taken, out.length === 0).map((p) =>
        pointOn(job, c, placeKindOf(p.kind, p.material) as PointKindName, p.id, partName(p)),
      ),
    ]);
  }
  if (!out.length) {
    const others = seats(job, taken, true);
    const kind = others.some((p) => p.kind === "ratchet") ? "ratchet-head" : "bearing-seat";
    propose(kind, others[0]?.id, (c) =>
      others.map((p) => pointOn(job, c, placeKindOf(p.kind, p.material) as PointKindName, p.id, partName(p))),
    );
  }
  return out;
}

/** Whether a gear that no train names belongs into a chamber of this kind. */
function isLooseIn(job: Pick<Job, "findings">, kind: ChamberKind, part: string): boolean {
  const said = job.findings.find((f) => f.part === part)?.gear.kind;
  const worm = said === "worm" || said === "worm-wheel";
  return kind === "worm-box" ? worm : kind === "gear-case" && !worm;
}

/**
 * Bearings, bushes, seals, ratchets and splines that came off: they go into the first chamber that is
 * proposed.
 */
const seats = (job: JobFacts, taken: ReadonlySet<string | undefined>, first: boolean) =>
  first
    ? job.parts.filter(
        (p) => p.kind !== "gear" && placeKindOf(p.kind) && cameOff(job, p.id) && !taken.has(p.id),
      )
    : [];
