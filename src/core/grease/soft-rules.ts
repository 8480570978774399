import { isPlastic, isSteel } from "../hardware/material";
import { viscosityAt } from "./base-oils";
import { EP_WARM_C, type Ground, type LubeReason } from "./ground";
import { type LubeAsk, type LubePlace, type LubeRoom, speedOf } from "./lube-ask";
import { isOil, type Lubricant, nlgiName, thickenerName } from "./lubricant";
import { meetsOld } from "./meets-old";
import { isMeshing, pointKind } from "./point-kinds";
import { bearingKappa, bearingSpeed, speedLimit, toothViscosity } from "./viscosity";

/** Weights of the ranking: the more, the worse. A class off is as bad as a viscosity of a third. */
const W = {
  class: 3,
  viscosity: 2,
  ep: 1,
  sliding: 2,
  blows: 3,
  stains: 1,
  leak: 2,
  water: 3.5,
  oil: 1,
  borderline: 3,
  stock: 5,
  open: 0.4,
  speed: 4,
  noViscosity: 1,
  makers: 1000,
} as const;
/** Soaps that stand water. */
const STANDS_WATER = new Set(["CaS", "CaX", "AlX", "Ca12", "Ca", "PUs", "silica", "PTFE"]);

/** What ranks those that are allowed. */
export function softReasons(
  { ask, room, points, yellow, plasticTeeth, steelOnSteel }: Ground,
  l: Lubricant,
): LubeReason[] {
  const out: LubeReason[] = [];
  const soft = (rule: string, says: string, weight: number): void =>
    void out.push({ rule, says, against: weight > 0, hard: false, weight });
  if (room.makersLubricant === l.id) soft("maker’s word", "the maker names it for this model", -W.makers);
  consistency(ask.school, l, points, soft);
  viscosity(room, l, points, soft);
  dropOfOil(room, l, points, soft);
  underLoad(points, steelOnSteel, l, soft);
  if (yellow.length && l.ep && l.activeSulphur !== false && !steelOnSteel && room.hottestC < EP_WARM_C)
    soft("EP on copper", `EP buys nothing on ${yellow.join(", ")}, and stains it once it is warm`, W.stains);
  if (plasticTeeth) {
    const spares = l.baseOil === "PAO" || l.baseOil === "silicone";
    soft(
      "plastic teeth",
      spares
        ? `${l.baseOil} oil leaves plastic teeth as they are for years`
        : `${l.baseOil} oil is stood by plastic teeth; PAO ages them less`,
      spares ? -0.5 : 0,
    );
    if (l.solids?.includes("PTFE"))
      soft("plastic teeth", "its PTFE lets plastic slide where the oil is pressed out", -0.5);
    if (l.ep) soft("plastic teeth", "EP additives do nothing between plastic and steel", W.stains);
  }
  if (room.leaks)
    soft(
      "leak",
      (l.nlgi ?? -3) >= 1
        ? "stiff enough to stay in a housing that leaks"
        : "so soft it runs out of a housing that leaks",
      (l.nlgi ?? -3) >= 1 ? 0 : W.leak,
    );
  if (room.water && !isOil(l)) {
    const stands = l.thickener !== undefined && STANDS_WATER.has(l.thickener);
    soft(
      "water",
      stands
        ? `${thickenerName(l.thickener as "CaS")} stands water`
        : `${l.thickener ? thickenerName(l.thickener) : "it"} is washed out by water sooner than calcium sulfonate`,
      stands ? 0 : W.water,
    );
  }
  const meets = meetsOld(room, l);
  if (meets?.how === "borderline") soft("old grease", meets.says, W.borderline);
  if (l.openedOn) soft("open tube", "a tube of it is open", -W.open);
  return out;
}

/**
 * What carries where the oil is pressed out. Between steel teeth EP or solids count even where nobody said
 * that it takes blows; where they slide along each other, more.
 */
function underLoad(points: readonly LubePlace[], steelOnSteel: boolean, l: Lubricant, soft: Soft): void {
  const steel = points.filter((p) => isMeshing(p.kind) && p.materials?.length && p.materials.every(isSteel));
  const shock = points.some((p) => p.load === "shock" || p.kind === "striker");
  if (!shock && (!steelOnSteel || steel.every((p) => p.load === "light"))) return;
  const slides = steel.some((p) => p.kind === "worm");
  const carries = l.ep === true || (l.solids ?? []).some((s) => s !== "PTFE");
  const [under, weight] = shock
    ? (["the blows", W.blows] as const)
    : slides
      ? (["the sliding of steel on steel", W.sliding] as const)
      : (["the load of steel on steel", W.ep] as const);
  soft(
    "load",
    carries
      ? `EP or solids carry it through ${under}`
      : `neither EP nor solids: ${under} presses the oil out`,
    carries ? 0 : weight,
  );
  if (points.some((p) => p.kind === "striker") && l.ep && l.solids?.some((s) => s !== "PTFE"))
    soft("load", "made for blows: EP, and solids for where the piston wipes it off", -0.5);
}

/**
 * How far a lubricant lies from the middle of what is asked for, in classes and in doublings of the
 * viscosity: of two that are as good, the one nearer to the middle has more to spare both ways.
 */
export function fitOf({ ask, points }: Ground, l: Lubricant): number {
  const teeth = points.filter((p) => isMeshing(p.kind));
  const [first] = teeth.length ? teeth : points;
  if (!first) return 0;
  const [low, high] = pointKind(first.kind).classes[ask.school];
  const ofClass = l.nlgi === undefined ? 0 : Math.abs(l.nlgi - (low + high) / 2);
  const { oilMm2s } = pointKind(first.kind);
  if (isOil(l) && oilMm2s)
    return l.viscosityMm2s === undefined ? 0 : Math.abs(Math.log2(l.viscosityMm2s / middle(oilMm2s)));
  const speed = speedOf(first);
  if (l.viscosityMm2s === undefined || !speed || !isMeshing(first.kind)) return ofClass;
  const plastic = first.materials?.some(isPlastic) ?? false;
  const [least, most] = toothViscosity(middle(speed), first.kind === "worm" && !plastic);
  return ofClass + Math.abs(Math.log2(l.viscosityMm2s / Math.sqrt(least * most)));
}
/** The geometric middle of a spread of speeds. */
const middle = ([low, high]: readonly [number, number]): number => Math.sqrt(low * high);

type Soft = (rule: string, says: string, weight: number) => void;

/** NLGI class by place and school. Teeth have the say where they mesh in one case with bearings. */
function consistency(
  school: LubeAsk["school"],
  l: Lubricant,
  points: readonly LubePlace[],
  soft: Soft,
): void {
  const { nlgi } = l;
  if (isOil(l) || nlgi === undefined) return;
  const wanted = points.map((p): { p: LubePlace; low: number; high: number; say: number } => {
    const [low, high] = pointKind(p.kind).classes[school];
    const plastic = isMeshing(p.kind) && p.materials?.some(isPlastic);
    return {
      p,
      low: plastic ? Math.max(low, Math.min(1, high)) : low,
      high,
      say: isMeshing(p.kind) ? 1 : 0.1,
    };
  });
  const off = (low: number, high: number): number => Math.max(0, low - nlgi, nlgi - high);
  const all = wanted.reduce((s, w) => s + w.say, 0) || 1;
  const by = wanted.reduce((s, w) => s + w.say * off(w.low, w.high), 0) / all;
  // beside teeth nothing else is spoken of: a bearing in a gear case runs in what the teeth run in
  const spoken = wanted.some((w) => w.say === 1) ? wanted.filter((w) => w.say === 1) : wanted;
  const worst = [...spoken].sort((a, b) => b.say * off(b.low, b.high) - a.say * off(a.low, a.high))[0];
  if (!worst) return;
  const where = pointKind(worst.p.kind).says.toLowerCase();
  const name = `NLGI ${nlgiName(nlgi)}`;
  const asked =
    worst.low === worst.high ? nlgiName(worst.low) : `${nlgiName(worst.low)} to ${nlgiName(worst.high)}`;
  const d = off(worst.low, worst.high);
  soft(
    "consistency",
    d === 0
      ? `${name}: ${isMeshing(worst.p.kind) && school === "measured" ? "soft enough to run back to the teeth" : `right for ${where}`}`
      : nlgi > worst.high
        ? `${name} is stiffer than the ${asked} that ${where} ask${/s$/.test(where) || where === "teeth" ? "" : "s"} for: it is thrown off once and stays on the wall`
        : `${name} is softer than the ${asked} that ${where} ask${/s$/.test(where) || where === "teeth" ? "" : "s"} for: it runs away from there`,
    d === 0 ? 0 : by * W.class,
  );
}

/** An oil by the drop against what its places like; a grease where oil is what is usual. */
function dropOfOil(room: LubeRoom, l: Lubricant, points: readonly LubePlace[], soft: Soft): void {
  if (room.filling === "oil") return;
  if (!isOil(l)) {
    const oiled = points.find((p) => pointKind(p.kind).ratherOil);
    if (oiled)
      soft(
        "oil or grease",
        `${pointKind(oiled.kind).says.toLowerCase()}: oil is usual, grease for a strong one`,
        W.oil,
      );
    return;
  }
  const v40 = l.viscosityMm2s;
  if (l.activeSulphur && points.some((p) => pointKind(p.kind).oilMm2s))
    soft("oil or grease", "an axle oil: it smells, and stains brass", W.stains * 3);
  for (const p of points) {
    const { oilMm2s, says } = pointKind(p.kind);
    if (!oilMm2s) continue;
    if (v40 === undefined) {
      soft("viscosity", "how thick it is stands nowhere: look at its tin", W.noViscosity);
      return;
    }
    const [least, most] = oilMm2s;
    const off = v40 < least ? Math.log2(least / v40) : v40 > most ? Math.log2(v40 / most) : 0;
    if (off > 0)
      soft(
        "viscosity",
        `${v40} mm²/s is ${v40 > most ? "thicker" : "thinner"} than the ${least} to ${most} that ${says.toLowerCase()} asks for`,
        (off + 1) * W.viscosity,
      );
  }
}

/** Rounded to two figures: 151.3 is 150, 1207 is 1200. */
const twoFigures = (n: number): number => Number(n.toPrecision(2));

/** The base oil against the speed of teeth and bearings. */
function viscosity(room: LubeRoom, l: Lubricant, points: readonly LubePlace[], soft: Soft): void {
  const meshing = points.filter((p) => isMeshing(p.kind) && speedOf(p));
  const asking = [...meshing, ...points.filter((p) => p.kind === "rolling-bearing" && p.bearing && p.rpm)];
  if (!asking.length) return;
  const v40 = l.viscosityMm2s;
  if (v40 === undefined) {
    soft("viscosity", "the viscosity of its oil is not on the shelf: look at its sheet", W.noViscosity);
    return;
  }
  const speeds = meshing.flatMap((p) => speedOf(p) ?? []);
  if (speeds.length) {
    const fast: readonly [number, number] = [
      Math.max(...meshing.map((p) => speedOf(p)?.[0] ?? 0)),
      Math.max(...speeds),
    ];
    // plastic carries less, and lives with a thinner oil than bronze on a worm
    const plastic = meshing.some((p) => p.materials?.some(isPlastic));
    const [low, most] = toothViscosity(middle(fast), !plastic && points.some((p) => p.kind === "worm"));
    const least = plastic ? low / 2 : low;
    const by = v40 < least ? Math.log2(least / v40) : v40 > most ? Math.log2(v40 / most) : 0;
    // an oil is known to a tenth, and so is what teeth ask for
    const off = by < 0.15 ? 0 : by;
    const between = `${twoFigures(least)} to ${twoFigures(most)}`;
    const at = fast[0] === fast[1] ? fast[0].toFixed(1) : `${fast[0]} to ${fast[1]}`;
    soft(
      "speed",
      `${v40} mm²/s at ${at} m/s: ${off === 0 ? `within the ${between} that teeth of this speed like` : v40 < least ? `thinner than the ${between} that keep teeth apart` : `thicker than the ${between}: it drags and warms`}`,
      off * W.viscosity,
    );
  }
  for (const p of points) {
    if (p.kind !== "rolling-bearing" || !p.bearing || !p.rpm) continue;
    const speed = bearingSpeed(p.bearing, p.rpm);
    const limit = speedLimit(v40);
    const kappa = bearingKappa(viscosityAt(l.baseOil, v40, room.hottestC), p.bearing, p.rpm);
    if (speed > limit)
      soft(
        "bearing speed",
        `n·dm of ${Math.round(speed / 1000)} thousand is above the ${Math.round(limit / 1000)} thousand that such an oil stands: it is thrown out and warms`,
        W.speed,
      );
    else
      soft(
        "bearing speed",
        `n·dm of ${Math.round(speed / 1000)} thousand, of ${Math.round(limit / 1000)} thousand; κ ${kappa.toFixed(1)}${kappa < 1 ? ": too thin when warm to part the balls from the track" : ""}`,
        kappa < 1 ? W.viscosity * Math.min(3, -Math.log2(kappa)) : 0,
      );
  }
}
