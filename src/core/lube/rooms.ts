import type { LubePlace, LubeRoom } from "../grease/lube-ask";
import { isMeshing } from "../grease/point-kinds";
import { patternOf } from "../hardware/line/pattern";
import type { Chamber } from "../job/chamber";
import type { Job } from "../job/job";
import { partNamed } from "../job/part";
import type { WeighedPoint } from "../job/service";
import { shaftsMl } from "../quantity/typed-shafts";
import type { MakersGround } from "./slips";
import { toothVolumeMl, wheelFacts, wheelVolumeMl } from "./wheels";

/** What is reckoned with where nobody has said: a heated room, and a case too hot to hold for long. */
export const USUAL = { coldestC: 5, hottestC: 70 } as const;
/** Kinds of unit that stand in a garden, a garage or a car, and are started there in winter. */
const OUTSIDE = patternOf(String.raw`
  \b(?:garden|hedges?|lawn|mowers?|chain ?saws?|leaf|chippers?|snow|log splitters?|tillers?|
  augers?|gate|garage|barrier|awnings?|parasol|winch(?:es)?|trailer|tractor|scooters?|bicycles?|
  e-?bikes?|wheelchairs?|pond|pool|post drivers?|strimmers?|brush ?cutters?|pressure washers?|
  stump|sprayers?)\b`);
const OUTSIDE_C = -20;

/** The coldest that a kind of unit is reckoned with, °C, and why. @example coldestOf("log splitter").celsius // -20 */
export const coldestOf = (kind: string | undefined): { readonly celsius: number; readonly where: string } =>
  OUTSIDE.test(kind ?? "")
    ? { celsius: OUTSIDE_C, where: "a garden or a garage in winter" }
    : { celsius: USUAL.coldestC, where: "a heated room" };

/** A chamber as it is asked about, and what was taken for granted in it. */
export interface RoomOfJob {
  readonly chamber: Chamber;
  readonly room: LubeRoom;
  readonly assumed: readonly string[];
}

type JobFacts = Pick<Job, "chambers" | "lubePoints" | "train" | "parts" | "findings" | "readings"> &
  Partial<Pick<Job, "kind">>;

/**
 * The points of a chamber that its lubricant goes to: they say what they are, and nobody has named another
 * for them.
 */
export const pointsIn = (job: Pick<Job, "lubePoints">, chamber: string): WeighedPoint[] =>
  job.lubePoints.filter((g) => g.chamber === chamber && g.kind && !g.lubricantSaid);

/**
 * A point with all that decides which and how much: what was said of it, else what its wheel or its part
 * tells.
 */
export function placeOf(job: JobFacts, g: WeighedPoint): LubePlace {
  const part = g.part ?? g.onPart;
  const kind = g.kind ?? "gear-teeth";
  const facts = isMeshing(kind) ? wheelFacts(job, { wheel: g.wheel, part }) : undefined;
  const own = job.parts.find((p) => p.id === part)?.material;
  const materials = g.materials ?? (facts?.materials.length ? [...facts.materials] : own ? [own] : undefined);
  const speed = g.pitchLineMPerS ?? facts?.pitchLineMPerS;
  const volume = g.toothVolumeMl ?? (facts && toothVolumeMl(facts));
  const bearing = g.bearing ?? (kind === "rolling-bearing" ? bearingOf(job, part) : undefined);
  return {
    id: g.id,
    kind,
    ...(materials && { materials }),
    ...(speed !== undefined ? { pitchLineMPerS: speed } : g.speed && { speed: g.speed }),
    ...(volume !== undefined && { toothVolumeMl: volume }),
    ...(bearing && { bearing }),
    ...(g.rpm !== undefined && { rpm: g.rpm }),
    ...(g.load && { load: g.load }),
  };
}

/**
 * A wheel of which only its own material is known runs on those beside it: what mates with what nobody has
 * said, so each of them is reckoned with.
 */
function withMates(places: LubePlace[]): LubePlace[] {
  const alone = places.filter((p) => isMeshing(p.kind) && p.materials?.length === 1);
  const all = [...new Set(alone.flatMap((p) => p.materials ?? []))];
  return places.map((p) =>
    alone.includes(p) && alone.length > 1 ? { ...p, materials: all.length > 1 ? all : [...all, ...all] } : p,
  );
}

/** A bearing's size as it was measured at Judge; undefined where one of the three is lacking. */
function bearingOf(job: Pick<Job, "readings">, part: string | undefined): LubePlace["bearing"] {
  const of = (what: string): number | undefined =>
    job.readings.findLast((r) => r.part === part && r.what === what)?.value;
  const [bore, outside, width] = [of("bore"), of("outside diameter"), of("width")];
  return bore !== undefined && outside !== undefined && width !== undefined && bore < outside
    ? { bore, outside, width }
    : undefined;
}

/**
 * The free volume of a chamber, ml: as it was filled, or its inside less the wheels and shafts that lie in
 * it; null where it is not known.
 */
export function freeVolumeOf(job: JobFacts, chamber: Chamber): number | null {
  const v = chamber.volume;
  if (!v) return null;
  if (v.by === "filling") return v.ml;
  const shafts = v.shafts === undefined ? 0 : shaftsMl(v.shafts);
  const wheels = pointsIn(job, chamber.id).reduce((sum, g) => {
    const facts =
      g.kind && isMeshing(g.kind) ? wheelFacts(job, { wheel: g.wheel, part: g.part ?? g.onPart }) : undefined;
    return sum + ((facts && wheelVolumeMl(facts)) ?? 0);
  }, 0);
  const solid = wheels + (typeof shafts === "string" ? 0 : shafts);
  const inside = (v.lengthMm * v.widthMm * v.depthMm) / 1000;
  // wheels that would fill the whole case: one of the sizes is wrong, and that is asked
  return inside > solid ? inside - solid : null;
}

/** What a maker's figure for a chamber is held against. */
export const makersGroundOf = (job: JobFacts, chamber: Chamber): MakersGround => ({
  freeVolumeMl: freeVolumeOf(job, chamber),
  teethMl: pointsIn(job, chamber.id).reduce((sum, g) => sum + (placeOf(job, g).toothVolumeMl ?? 0), 0),
  before: chamber.oldGrams ?? chamber.lastUnit?.grams,
});

/** The chambers of a job that hold a point, as they are asked about. */
export function roomsOf(job: JobFacts): RoomOfJob[] {
  const usual = coldestOf(job.kind);
  return (job.chambers ?? []).flatMap((chamber): RoomOfJob[] => {
    const points = pointsIn(job, chamber.id);
    if (!points.length || chamber.none !== undefined) return [];
    const free = freeVolumeOf(job, chamber);
    const { old } = chamber;
    const assumed = [
      ...(chamber.coldestC === undefined ? [`coldest ${usual.celsius} °C, ${usual.where}`] : []),
      ...(chamber.hottestC === undefined ? [`hottest part ${USUAL.hottestC} °C`] : []),
      ...(old === undefined ? ["the old lubricant is not known: all of it comes out"] : []),
      ...(chamber.volume && free === null
        ? ["wheels and shafts would fill the whole case: its inside is not reckoned with, measure it again"]
        : []),
    ];
    const bushes = points.filter((g) => g.kind === "plain-bush" && !placeOf(job, g).materials?.length);
    if (bushes.length)
      assumed.push(
        `${bushes.map((g) => pointSays(job, g)).join(", ")}: taken for plain; a sintered bush takes oil alone`,
      );
    const coldestC = chamber.coldestC ?? usual.celsius;
    const room: LubeRoom = {
      id: chamber.id,
      name: chamber.name,
      filling: chamber.filling ?? "grease",
      freeVolumeMl: free,
      makersGrams: chamber.makersGrams ?? null,
      ...(chamber.makersSpread && { makersSpread: chamber.makersSpread }),
      ...(chamber.oldGrams !== undefined && { oldGrams: chamber.oldGrams }),
      ...(chamber.lastUnit && { lastUnit: chamber.lastUnit }),
      ...(chamber.staysGrams !== undefined && { staysGrams: chamber.staysGrams }),
      ...(chamber.lubricant && { taken: chamber.lubricant }),
      ...(chamber.override && { override: true }),
      ...(chamber.makersLubricant && { makersLubricant: chamber.makersLubricant }),
      coldestC,
      hottestC: Math.max(chamber.hottestC ?? USUAL.hottestC, coldestC + 1),
      seals: chamber.seals,
      materials: chamber.materials,
      old:
        old === undefined
          ? { left: "all", thickener: "unknown", baseOil: "unknown" }
          : old.left === "none"
            ? null
            : old,
      ...(chamber.leaks !== undefined && { leaks: chamber.leaks }),
      ...(chamber.water !== undefined && { water: chamber.water }),
      points: withMates(points.map((g) => placeOf(job, g))),
    };
    return [{ chamber, room, assumed }];
  });
}

/** What a point is called: where it is, else the part it is on. */
export function pointSays(
  job: Pick<Job, "parts">,
  g: Pick<WeighedPoint, "where" | "part" | "onPart">,
): string {
  const part = g.part ?? g.onPart;
  return g.where || (part ? partNamed(job, part) : "a point");
}
