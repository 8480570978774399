import { type Asked, EP_WARM_C, type Ground, groundOf, type LubeReason } from "./ground";
import type { LubePlace, LubeRoom } from "./lube-ask";
import { isOil, type Lubricant } from "./lubricant";
import { meetsOld } from "./meets-old";
import { pointKind } from "./point-kinds";
import { fitOf, softReasons } from "./soft-rules";

/** So much more than the hottest part a lubricant must stand, K. */
const SPARE_K = 20;

/**
 * How lubricants are judged at some points of a chamber: all that speaks for or against one, and whether a
 * hard rule forbids it.
 */
export function judging(ask: Asked, room: LubeRoom, points: readonly LubePlace[]) {
  const ground = groundOf(ask, room, points);
  return {
    reasons: (l: Lubricant): LubeReason[] => [...hardReasons(ground, l), ...softReasons(ground, l)],
    allowed: (l: Lubricant): boolean => hardReasons(ground, l).every((r) => !(r.hard && r.against)),
    fit: (l: Lubricant): number => fitOf(ground, l),
  };
}

/** The rules that hold whoever decides. Each is said also where it is kept, if it was in question at all. */
function hardReasons(
  { ask, room, points, plastics, yellow, steelOnSteel, harm }: Ground,
  l: Lubricant,
): LubeReason[] {
  const out: LubeReason[] = [];
  const rule = (rule: string, broken: string | null, kept?: string): void => {
    if (broken) out.push({ rule, says: broken, against: true, hard: true, weight: 0 });
    else if (kept) out.push({ rule, says: kept, against: false, hard: true, weight: 0 });
  };
  const overridden = room.override === true && room.taken === l.id && !l.h1;
  if (ask.foodContact && overridden)
    out.push({
      rule: "food",
      says: "not registered H1, and goes in all the same: the reason stands on the sheet",
      against: true,
      hard: false,
      weight: 0,
    });
  else if (ask.foodContact)
    rule(
      "food",
      l.h1 ? null : "not registered H1: it must not go into a machine that touches food",
      "registered for incidental food contact (H1)",
    );
  rule("sort", wrongSort(room, l, points));
  const { eaten, swollen } = harm(l.baseOil);
  rule(
    "plastics",
    eaten.length ? eaten.join("; ") : null,
    plastics.length ? `${l.baseOil} oil leaves ${plastics.join(", ")} alone` : undefined,
  );
  rule(
    "seals",
    swollen.length ? swollen.join("; ") : null,
    room.seals.length ? `${l.baseOil} oil suits ${room.seals.join(", ")}` : undefined,
  );
  rule(
    "cold",
    l.leastC > room.coldestC
      ? `good down to ${l.leastC} °C only: it must still move at ${room.coldestC} °C`
      : null,
  );
  const spare = l.mostC - room.hottestC;
  rule(
    "temperature",
    spare < SPARE_K
      ? `good to ${l.mostC} °C only: there must be ${SPARE_K} K above ${room.hottestC} °C`
      : null,
    `from ${l.leastC} to ${l.mostC} °C: ${spare} K above the hottest part`,
  );
  if (yellow.length && l.ep && l.activeSulphur)
    rule("EP on copper", `its EP additives hold active sulphur, which eats ${yellow.join(", ")} even cold`);
  else if (yellow.length && room.hottestC >= EP_WARM_C)
    rule(
      "EP on copper",
      l.ep === undefined
        ? `whether it holds EP additives is not said: from ${EP_WARM_C} °C on they eat ${yellow.join(", ")}. Look at its sheet and say so on the shelf`
        : l.ep && l.activeSulphur === undefined
          ? `whether the sulphur of its EP additives is active is not said: from ${EP_WARM_C} °C on that eats ${yellow.join(", ")}. Look at its sheet and say so on the shelf`
          : null,
      l.ep
        ? `its EP additives hold no active sulphur that would eat ${yellow.join(", ")}`
        : `no EP additives that would eat ${yellow.join(", ")}`,
    );
  if (points.some((p) => p.kind === "rolling-bearing"))
    rule(
      "bearing",
      l.solids?.includes("graphite") ? "graphite in a rolling bearing is rolled into its tracks" : null,
    );
  if (steelOnSteel)
    rule(
      "steel on steel",
      l.baseOil === "silicone" ? "silicone oil carries next to nothing between steel teeth" : null,
    );
  const meets = meetsOld(room, l);
  if (meets)
    rule(
      "old grease",
      meets.how === "incompatible" ? meets.says : null,
      meets.how === "borderline" ? undefined : meets.says,
    );
  return out;
}

/** Oil where grease belongs, or grease where oil does. */
function wrongSort(room: LubeRoom, l: Lubricant, points: readonly LubePlace[]): string | null {
  const named = (p: LubePlace): string => pointKind(p.kind).says.toLowerCase();
  if (!isOil(l)) {
    const oily = points.find((p) => pointKind(p.kind).oil === "only");
    if (oily) return `${named(oily)}: oil alone; grease closes it up`;
    return room.filling === "oil" ? "this chamber is an oil bath" : null;
  }
  if (room.filling === "oil") return null;
  const greased = points.find((p) => pointKind(p.kind).oil === "never");
  return greased ? `${named(greased)}: oil would run off; grease stays` : null;
}
