import { Fault } from "../fault";
import { bearingRefillGrams, DEFAULT_DENSITY, fillShare } from "./charge";
import { type LubeAsk, type LubePlace, type LubeRoom, speedOf } from "./lube-ask";
import { isMeshing, pointKind } from "./point-kinds";

export interface RoomAmounts {
  /** what the chamber is to hold; null: nothing tells it */
  readonly grams: number | null;
  readonly leastGrams: number | null;
  readonly mostGrams: number | null;
  /** by point, summing up to `grams`; null: nothing tells it */
  readonly at: ReadonlyMap<string, number | null>;
  /** where the figure comes from */
  readonly by: { readonly rule: string; readonly says: string };
}

/** Amounts are reckoned in hundredths of a gram, so that sums are exact. */
const HUNDRED = 100;
const grams = (hundredths: number): number => hundredths / HUNDRED;

/** What a place takes by itself, g: a bearing by its size, teeth by their spaces, others as is usual. */
export function ownGrams(p: LubePlace, density: number): number {
  if (p.kind === "rolling-bearing" && p.bearing)
    return (bearingRefillGrams(p.bearing.outside, p.bearing.width) * density) / DEFAULT_DENSITY;
  if (isMeshing(p.kind) && p.toothVolumeMl !== undefined) return p.toothVolumeMl * density;
  return pointKind(p.kind).ml * density;
}

/**
 * Places that take what their room holds, or what their size tells: without either there is no figure for
 * them.
 */
const isUntold = (p: LubePlace): boolean => isMeshing(p.kind) || (p.kind === "rolling-bearing" && !p.bearing);

/**
 * How much of a chamber's lubricant goes in, and where. The maker's figure stands above any rule; where
 * the room's free volume is known and teeth mesh in it, a share of it by the school; what came out of it,
 * weighed; what the last unit of the model took; otherwise what its places take by themselves. What is
 * more than the places hold lies round the teeth. Where teeth mesh, oil stands or a bearing of unknown
 * size runs and none of these is known, there is no figure: a case of 20 ml and one of 400 look alike in a
 * list of teeth.
 *
 * Throws a Fault where the maker's figure is more than the room holds.
 */
export function roomAmounts(
  ask: Pick<LubeAsk, "school">,
  room: LubeRoom,
  points: readonly LubePlace[],
  density: number,
): RoomAmounts {
  const full =
    room.freeVolumeMl === null ? Number.POSITIVE_INFINITY : Math.floor(room.freeVolumeMl * density * HUNDRED);
  if (isUnknown(room, points)) return unknownAmounts(room, points, density);
  const own = points.map((p) => ownGrams(p, density) * HUNDRED);
  const sum = own.reduce((a, b) => a + b, 0);
  const meshing = points.filter((p) => isMeshing(p.kind));
  const { makersGrams } = room;
  const [least, total, most, by] = ((): [number, number, number, RoomAmounts["by"]] => {
    if (makersGrams !== null) {
      const said = Math.round(makersGrams * HUNDRED);
      if (said > full)
        throw new Fault(
          "makersGrams",
          `${makersGrams} g is more than the ${grams(full).toFixed(0)} g that the free volume holds: look at the maker’s unit`,
        );
      const [low, high] = room.makersSpread ?? [0.9 * makersGrams, 1.1 * makersGrams];
      const named = room.makersSpread ? `${low} to ${high} g` : `${makersGrams} g`;
      return [
        low * HUNDRED,
        said,
        Math.min(high * HUNDRED, full),
        { rule: "maker’s figure", says: `the maker names ${named}; that stands above any rule` },
      ];
    }
    if (room.freeVolumeMl !== null && meshing.length) {
      const [low, high] = shareOf(ask.school, meshing);
      const at = (share: number): number => (room.freeVolumeMl as number) * share * density * HUNDRED;
      const says = `${room.freeVolumeMl.toFixed(0)} ml free × ${Math.round(low * 100)} to ${Math.round(high * 100)} % × ${density} g/ml, ${ask.school} school${besidesOld(room, at(low) / HUNDRED, at(high) / HUNDRED)}`;
      return [at(low), at((low + high) / 2), at(high), { rule: "free volume × fill × density", says }];
    }
    if (room.oldGrams !== undefined) {
      const said = Math.min(Math.round(room.oldGrams * HUNDRED), full);
      const says = `${room.oldGrams} g came out of it, weighed`;
      return [0.9 * said, said, Math.min(1.1 * said, full), { rule: "weighed old charge", says }];
    }
    if (room.lastUnit) {
      const said = Math.min(Math.round(room.lastUnit.grams * HUNDRED), full);
      const says = `${room.lastUnit.grams} g went into ${room.lastUnit.number}, the same model`;
      return [0.9 * said, said, Math.min(1.1 * said, full), { rule: "the last unit of the model", says }];
    }
    const total = Math.min(sum, 0.8 * full);
    const ends = points.map((p, i) => spreadOf(p, own[i] as number));
    const why =
      room.freeVolumeMl === null
        ? "nothing fills it: what its places take by themselves"
        : "nothing meshes in it: what its places take by themselves";
    const end = (at: 0 | 1): number => ends.reduce((n, e) => n + e[at], 0);
    return [Math.min(end(0), total), total, Math.min(end(1), full), bySize(points, density, why)];
  })();
  const whole = Math.max(0, Math.round(total));
  // what is more than the places take lies round the teeth; what is less, all of them share
  const rest = whole - sum;
  const round = rest > 0 && meshing.length ? meshing.reduce((s, p) => s + ownGrams(p, density), 0) : 0;
  const ideal = points.map((p, i) => {
    const mine = own[i] as number;
    if (round > 0) return mine + (isMeshing(p.kind) ? (rest * ownGrams(p, density)) / round : 0);
    return sum > 0 ? (mine * whole) / sum : 0;
  });
  const given = largestRemainders(ideal, whole);
  return {
    grams: grams(whole),
    leastGrams: grams(Math.min(whole, Math.floor(least))),
    mostGrams: grams(Math.max(whole, Math.floor(most))),
    at: new Map(points.map((p, i) => [p.id, grams(given[i] as number)])),
    by,
  };
}

/** What came out, or went into the last unit, where the rule gives much less, or far more. */
function besidesOld(
  { oldGrams, lastUnit }: Pick<LubeRoom, "oldGrams" | "lastUnit">,
  low: number,
  high: number,
): string {
  const before = oldGrams ?? lastUnit?.grams;
  if (before === undefined || (before <= 1.25 * high && before >= low / 3)) return "";
  const was = oldGrams === undefined ? `went into ${lastUnit?.number}` : "came out of it";
  return before > high
    ? `; yet ${before} g ${was}: it was packed full, or a size is too small`
    : `; yet only ${before} g ${was}: it was half empty, or a size is too large`;
}

/** The ground of a figure that is put together of its places: what is usual for a kind, or their sizes. */
function bySize(points: readonly LubePlace[], density: number, why: string): RoomAmounts["by"] {
  const usual = [...new Set(points.map((p) => p.kind))].flatMap((kind) => {
    const { says, spreadMl } = pointKind(kind);
    const grams = spreadMl?.map((ml) => (ml * density).toFixed(0)).join(" to ");
    return grams ? [`a ${says.toLowerCase()} takes ${grams} g`] : [];
  });
  return usual.length
    ? { rule: "usual for its kind", says: `${usual.join(", ")}, where no maker names another` }
    : { rule: "place by place", says: why };
}

/** What a place may take less or more than `usual`: what its kind names, else as films differ. */
function spreadOf(p: LubePlace, usual: number): readonly [number, number] {
  const { ml, spreadMl } = pointKind(p.kind);
  return spreadMl
    ? [(usual * spreadMl[0]) / ml, (usual * spreadMl[1]) / ml]
    : [FILM_SPREAD[0] * usual, FILM_SPREAD[1] * usual];
}
const FILM_SPREAD = [0.7, 1.5] as const;

/** The share that is filled, by the fastest of the teeth; where nobody has said how fast, of both. */
function shareOf(school: LubeAsk["school"], meshing: readonly LubePlace[]): readonly [number, number] {
  const speeds = meshing.flatMap((p) => speedOf(p)?.[1] ?? []);
  if (speeds.length) return fillShare(school, Math.max(...speeds));
  const [slow, fast] = [fillShare(school, 0), fillShare(school, Number.POSITIVE_INFINITY)];
  return [Math.min(slow[0], fast[0]), Math.max(slow[1], fast[1])];
}

/** Whether nothing tells how much a room is to hold. */
const isUnknown = (room: LubeRoom, points: readonly LubePlace[]): boolean =>
  room.makersGrams === null &&
  room.oldGrams === undefined &&
  room.lastUnit === undefined &&
  (room.filling === "oil" || (room.freeVolumeMl === null && points.some(isUntold)));

/** Films keep their figure where the rest has none. */
function unknownAmounts(room: LubeRoom, points: readonly LubePlace[], density: number): RoomAmounts {
  const film = (p: LubePlace): number => Math.round(ownGrams(p, density) * HUNDRED) / HUNDRED;
  const bath = room.filling === "oil";
  return {
    grams: null,
    leastGrams: null,
    mostGrams: null,
    at: new Map(points.map((p) => [p.id, bath || isUntold(p) ? null : film(p)])),
    by: {
      rule: "not known",
      says: bath
        ? "an oil bath is filled to its level, or with what the maker names: say which"
        : "say the maker’s figure, how much it holds free, or what came out of it, weighed",
    },
  };
}

/**
 * Whole numbers near the given ones that sum up to `total`: those that lost most by rounding down get one
 * more.
 */
function largestRemainders(ideal: readonly number[], total: number): number[] {
  const out = ideal.map(Math.floor);
  let left = total - out.reduce((a, b) => a + b, 0);
  const order = ideal
    .map((v, i) => ({ i, lost: v - Math.floor(v) }))
    .sort((a, b) => b.lost - a.lost || a.i - b.i);
  for (const { i } of order) {
    if (left <= 0) break;
    out[i] = (out[i] as number) + 1;
    left--;
  }
  return out;
}
