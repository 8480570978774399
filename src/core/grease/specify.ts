import { ownGrams, roomAmounts } from "./amounts";
import { BASE_OILS, isYellowMetal } from "./base-oils";
import { DEFAULT_DENSITY } from "./charge";
import type { LubeReason } from "./ground";
import { type LubeAsk, type LubePlace, type LubeRoom, oldIsKnown } from "./lube-ask";
import { isOil, type Lubricant, nlgiName } from "./lubricant";
import { oilClass } from "./oil-class";
import { howAt, isMeshing, pointKind } from "./point-kinds";
import { mixingOfAny, oldThickenerName } from "./thickeners";
import { judging } from "./verdict";

/** How much of the old lubricant has to come out: all of it, what can be reached, nothing. */
export type TakeOut = "all" | "reach" | "nothing";

export interface LubeVerdict {
  readonly lubricant: string;
  /** how near it lies to the middle of what is asked for, where nothing else tells two apart: the less, the nearer */
  readonly fit: number;
  /** no hard rule forbids it at the chamber's greased points */
  readonly ok: boolean;
  readonly reasons: readonly LubeReason[];
  /** the less, the better */
  readonly weight: number;
}

export interface PointAnswer {
  readonly id: string;
  /** null: nothing on the shelf may go there */
  readonly lubricant: string | null;
  /** null: nothing tells it */
  readonly grams: number | null;
  readonly ml: number | null;
  /** what is still to be put there, where some stays; null: nothing tells it */
  readonly addGrams: number | null;
  readonly how: string;
}

export interface RoomAnswer {
  readonly id: string;
  readonly choice: string | null;
  /** what the chamber is to hold; null: nothing tells it */
  readonly grams: number | null;
  readonly leastGrams: number | null;
  readonly mostGrams: number | null;
  /** what is still to be added; null: nobody has said how much stays in it */
  readonly addGrams: number | null;
  readonly takeOut: TakeOut;
  /** why so much */
  readonly by: { readonly rule: string; readonly says: string } | null;
  /** best first */
  readonly verdicts: readonly LubeVerdict[];
  readonly points: readonly PointAnswer[];
}

export interface LubeAnswer {
  readonly chambers: readonly RoomAnswer[];
  readonly missing: readonly string[];
}

/**
 * The points that decide a chamber's lubricant: those that take grease; where there are none, those of the first
 * kind. Of oils by the drop each kind of place gets its own.
 */
export function mainPoints(room: LubeRoom): readonly LubePlace[] {
  const greased = room.points.filter((p) => pointKind(p.kind).oil !== "only");
  if (greased.length || room.filling === "oil") return greased.length ? greased : room.points;
  return room.points.filter((p) => p.kind === room.points[0]?.kind);
}

const codePoints = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** Marks that differ by less are equal: no technician would choose by them. */
const EQUAL = 20;
const marks = (v: LubeVerdict): number => Math.round(v.weight * EQUAL);
const fits = (v: LubeVerdict): number => Math.round(v.fit * EQUAL);

/**
 * Every lubricant of the shelf at some points of a chamber, those that are allowed first, the best of them
 * first; of equal marks the one that lies nearer to what is asked for, then the cheaper. The shelf's order has
 * no say.
 */
function ranked(ask: LubeAsk, room: LubeRoom, points: readonly LubePlace[]): LubeVerdict[] {
  const about = grams(room, points);
  const judged = judging(ask, room, points);
  const all = ask.shelf
    .map((l): LubeVerdict & Pick<Lubricant, "name" | "pricePer100G"> => {
      const reasons = [...judged.reasons(l), ...enoughOf(l, about)];
      return {
        lubricant: l.id,
        name: l.name,
        ...(l.pricePer100G !== undefined && { pricePer100G: l.pricePer100G }),
        ok: reasons.every((r) => !(r.hard && r.against)),
        reasons,
        weight: reasons.reduce((s, r) => s + r.weight, 0),
        fit: judged.fit(l),
      };
    })
    .sort(
      (a, b) =>
        Number(b.ok) - Number(a.ok) ||
        broken(a) - broken(b) ||
        marks(a) - marks(b) ||
        fits(a) - fits(b) ||
        (a.pricePer100G ?? Number.MAX_VALUE) - (b.pricePer100G ?? Number.MAX_VALUE) ||
        codePoints(a.name, b.name) ||
        codePoints(a.lubricant, b.lubricant),
    );
  return all.map(({ name: _, pricePer100G, ...v }) => {
    const dearer =
      pricePer100G !== undefined && v.ok
        ? all.find(
            (o) =>
              o.ok &&
              marks(o) === marks(v) &&
              fits(o) === fits(v) &&
              (o.pricePer100G ?? pricePer100G) > pricePer100G,
          )
        : undefined;
    if (!dearer) return v;
    const says = `cheaper than ${dearer.name}, which would do as well`;
    return { ...v, reasons: [...v.reasons, { rule: "price", says, against: false, hard: false, weight: 0 }] };
  });
}
const broken = (v: LubeVerdict): number => v.reasons.filter((r) => r.hard && r.against).length;

/**
 * About what is needed, to see whether a tube holds it; of what nothing tells, nothing is held against a
 * tube.
 */
const grams = (room: LubeRoom, points: readonly LubePlace[]): number =>
  room.makersGrams ??
  room.oldGrams ??
  (room.freeVolumeMl === null ? 0 : room.freeVolumeMl * 0.3 * DEFAULT_DENSITY) +
    points.reduce((s, p) => s + ownGrams(p, DEFAULT_DENSITY) * 0.1, 0);

function enoughOf(l: Lubricant, about: number): LubeReason[] {
  if (l.stockG === undefined) return [];
  const short = l.stockG < about;
  return [
    {
      rule: "stock",
      says: short ? `${l.stockG} g left, about ${about.toFixed(0)} g are needed` : `${l.stockG} g left`,
      against: short,
      hard: false,
      weight: short ? 5 : 0,
    },
  ];
}

/**
 * Which lubricant goes into each chamber of a unit, how much of it at each point, what has to come out first,
 * and what is missing on the shelf.
 *
 * Hard rules are hard; the others rank and say why. Sources: the shop's lubrication reference (mixing,
 * materials, fill, classes), AGMA 9005 for
 * teeth and ISO 281 for bearings (see viscosity.ts). Throws a Fault where a maker's figure cannot be.
 */
export function specifyLube({ shelf, ...asked }: LubeAsk): LubeAnswer {
  const ask: LubeAsk = { ...asked, shelf: shelf.map(withItsClass) };
  const missing: string[] = [];
  const byId = new Map(ask.shelf.map((l) => [l.id, l]));
  const chambers = ask.chambers.map((room): RoomAnswer => {
    const main = mainPoints(room);
    const verdicts = ranked(ask, room, main);
    const taken = verdicts.find((v) => v.lubricant === room.taken && v.ok);
    const first = taken ?? verdicts[0];
    const choice = first?.ok ? (byId.get(first.lubricant) as Lubricant) : null;
    const takeOut = takeOutOf(room, choice);
    if (!choice) missing.push(...whatIsMissing(ask, room, main));
    const density = choice?.densityGPerMl ?? DEFAULT_DENSITY;
    const byDrop = room.filling !== "oil" && main.every((p) => pointKind(p.kind).oil === "only");
    const suits = (p: LubePlace): boolean =>
      choice !== null &&
      judging(ask, room, [p]).allowed(choice) &&
      (!byDrop || main.includes(p) || ranked(ask, room, [p])[0]?.lubricant === choice.id);
    const own = room.points.filter(suits);
    const amounts = choice ? roomAmounts(ask, room, own, density) : null;
    const staying = stays(room, takeOut);
    const whole = amounts?.grams ?? null;
    const add = whole === null || staying === null ? null : Math.max(0, hundredths(whole - staying));
    const others = new Map(choice ? [["", choice]] : []);
    const points = room.points.map((p): PointAnswer => {
      const how = howAt(p.kind, room);
      if (choice && amounts && suits(p)) {
        const g = amounts.at.get(p.id) ?? null;
        const volume = g === null ? null : hundredths(g / density);
        const share = g === null || add === null || !whole ? null : hundredths((g * add) / whole);
        const addGrams = whole === null && staying === 0 ? g : share;
        return { id: p.id, lubricant: choice.id, grams: g, ml: volume, addGrams, how };
      }
      // of greases that meet in one room each must go together with the others
      const here = judging(ask, room, [p]);
      const may = ask.shelf.filter(
        (l) => [...others.values()].every((o) => together(o, l)) && here.allowed(l),
      );
      const [other] = ranked({ ...ask, shelf: may }, room, [p]);
      const l = other && (byId.get(other.lubricant) as Lubricant);
      if (!l) {
        if (choice || pointKind(p.kind).oil === "only")
          missing.push(
            `For ${pointKind(p.kind).says.toLowerCase()} in ${room.name}: ${askedFor(ask, room, [p])}.`,
          );
        return { id: p.id, lubricant: null, grams: 0, ml: 0, addGrams: 0, how };
      }
      others.set(l.id, l);
      const g = hundredths(ownGrams(p, l.densityGPerMl ?? DEFAULT_DENSITY));
      return {
        id: p.id,
        lubricant: l.id,
        grams: g,
        ml: hundredths(g / (l.densityGPerMl ?? DEFAULT_DENSITY)),
        addGrams: g,
        how,
      };
    });
    if (choice?.stockG !== undefined && add && choice.stockG < add)
      missing.push(`${choice.name}: ${add.toFixed(1)} g are needed, ${choice.stockG} g are left.`);
    return {
      id: room.id,
      choice: choice?.id ?? null,
      grams: amounts ? amounts.grams : 0,
      leastGrams: amounts ? amounts.leastGrams : 0,
      mostGrams: amounts ? amounts.mostGrams : 0,
      addGrams: amounts ? add : 0,
      takeOut,
      by: amounts?.by ?? null,
      verdicts,
      points,
    };
  });
  return { chambers, missing: [...new Set(missing)] };
}

/** An oil with what the class in its name tells, where its sheet was not typed in. */
function withItsClass(l: Lubricant): Lubricant {
  if (!isOil(l)) return l;
  const told = oilClass(l.name);
  return {
    ...l,
    ...(l.viscosityMm2s === undefined &&
      told.viscosityMm2s !== undefined && { viscosityMm2s: told.viscosityMm2s }),
    ...(l.ep === undefined && told.ep !== undefined && { ep: told.ep }),
    ...(l.activeSulphur === undefined && told.activeSulphur && { activeSulphur: true }),
  };
}

const hundredths = (n: number): number => Math.round(n * 100) / 100;

/** What of the old lubricant stays in a room, g; null: some does, and nobody has said how much. */
const stays = ({ old, staysGrams }: LubeRoom, takeOut: TakeOut): number | null =>
  takeOut === "all" || !old || old.left === "traces" ? 0 : (staysGrams ?? null);

/** Whether two lubricants may meet. An oil by the drop does little to a grease. */
const together = (a: Lubricant, b: Lubricant): boolean =>
  isOil(a) || isOil(b) || mixingOfAny(a.thickener ?? "", b.thickener ?? "") !== "incompatible";

function takeOutOf({ old }: LubeRoom, choice: Lubricant | null): TakeOut {
  if (!old) return "nothing";
  if (!oldIsKnown(old) || !choice || isOil(choice)) return "all";
  return mixingOfAny(old.thickener, choice.thickener ?? "") === "borderline" ? "reach" : "nothing";
}

/** What would have to be bought, done or said, so that something suits. */
function whatIsMissing(ask: LubeAsk, room: LubeRoom, points: readonly LubePlace[]): string[] {
  const judged = judging(ask, room, points);
  const unsaid = ask.shelf.filter(
    (l) =>
      (l.ep === undefined && judged.allowed({ ...l, ep: false })) ||
      (l.ep === true && l.activeSulphur === undefined && judged.allowed({ ...l, activeSulphur: false })),
  );
  // the best of them: that a hard rule lets others pass does not make them good
  const [likeliest] = ranked(
    { ...ask, shelf: unsaid.map((l) => ({ ...l, ep: l.ep ?? false, activeSulphur: false })) },
    room,
    points,
  );
  if (likeliest)
    return [
      `${room.name}: ${unsaid.find((l) => l.id === likeliest.lubricant)?.name} would do if the sheet says that it holds no EP additives, or none with active sulphur: say so on the shelf. Otherwise buy ${askedFor(ask, room, points)}.`,
    ];
  const washed = oldIsKnown(room.old) ? { ...room, old: null } : null;
  const then = washed && ask.shelf.filter(judging(ask, washed, points).allowed);
  if (oldIsKnown(room.old) && then?.length) {
    const best = ranked({ ...ask, shelf: then }, washed as LubeRoom, points)[0];
    const name = ask.shelf.find((l) => l.id === best?.lubricant)?.name;
    return [
      `${room.name}: with all of the old ${oldThickenerName(room.old.thickener)} grease washed out, ${name} would do. Otherwise buy ${askedFor(ask, room, points)}.`,
    ];
  }
  return [`For ${room.name}: ${askedFor(ask, room, points)}.`];
}

/** What is asked of a lubricant, as one would ask for it over a counter. */
function askedFor(ask: LubeAsk, room: LubeRoom, points: readonly LubePlace[]): string {
  const oil = room.filling === "oil" || points.every((p) => pointKind(p.kind).oil === "only");
  const teeth = points.find((p) => isMeshing(p.kind)) ?? points[0];
  const [low, high] = pointKind((teeth as LubePlace).kind).classes[ask.school];
  const materials = [...new Set([...room.materials, ...points.flatMap((p) => p.materials ?? [])])];
  // an oil is named by what it meets, not by what is left of the old one
  const without = judging(ask, { ...room, old: null, taken: undefined }, points);
  const oils = BASE_OILS.filter((baseOil) => {
    const probe: Lubricant = {
      id: "probe",
      name: "probe",
      sort: oil ? "oil" : "grease",
      baseOil,
      ep: false,
      h1: true,
      leastC: -100,
      mostC: 400,
    };
    return without.allowed(probe);
  });
  const facts = [
    oil
      ? "an oil"
      : `a grease, NLGI ${low === high ? nlgiName(low) : `${nlgiName(low)} to ${nlgiName(high)}`}`,
    ask.foodContact ? "registered H1" : "",
    // where every oil will do none is named
    oils.length && oils.length < BASE_OILS.length ? `${oils.join(" or ")} oil` : "",
    `good from ${room.coldestC} to ${room.hottestC + 20} °C`,
    materials.some(isYellowMetal) ? "without active sulphur" : "",
    points.some((p) => p.kind === "rolling-bearing") ? "without graphite" : "",
    oldIsKnown(room.old) && !oil ? `that goes together with ${oldThickenerName(room.old.thickener)}` : "",
  ];
  return facts.filter(Boolean).join(", ");
}
