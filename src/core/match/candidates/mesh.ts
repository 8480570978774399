import { pairOf } from "../../gear/pair";
import type { PairGear } from "../../gear/pair-gear";
import { CALIPER_U_MM } from "../../quantity/caliper";
import { type MeasuredInput, measured } from "../../quantity/measured";
import { gearForm, soldGear, type ToothedSpec } from "../catalogue/part-spec";
import { type Criterion, criterion } from "./verdict";
import type { WantedGear, WantedMate } from "./wanted-gear";

/** A gear that is bought with another. */
export interface CompanionGear {
  readonly number: string;
  readonly spec: ToothedSpec;
}

/** A reading may be off by so many of its spreads and still be meant. */
const SPREADS = 2;
/** Closer than this, in modules, a pair binds; further apart than the second it knocks. */
const CLOSER = 0.02;
const WIDER = 0.12;

const value = (x: MeasuredInput): number => measured(x, 0).value;
const round = (x: number, n = 2): string => String(Number(x.toFixed(n)));

const asGear = (w: WantedGear): PairGear => ({
  teeth: Math.round(value(w.teeth)),
  moduleMm: value(w.moduleMm),
  pressureAngleDeg: w.pressureAngleDeg,
  helixAngleDeg: value(w.helixAngleDeg),
  profileShift: value(w.profileShift),
  hand: w.hand,
});

/** The gear on the other shaft, as far as the distance asks for it. */
interface Other {
  readonly teeth: number;
  readonly profileShift?: number | undefined;
  /** of a worm */
  readonly wormDiameterMm?: number | undefined;
}

/**
 * Centre distance without backlash, mm: tight for spur and helical pairs (ISO 21771, 5.3), the difference of
 * the reference radii for an internal ring. Of a worm wheel its own part, d/2, and the worm's where that is
 * known.
 *
 * @param shifts false: the shift of one is not known, so neither is counted
 */
function centreOf(form: string, gear: PairGear, mate: Other, shifts: boolean): number {
  const without = shifts ? gear : { ...gear, profileShift: 0 };
  const other = {
    ...gear,
    hand: undefined,
    teeth: mate.teeth,
    profileShift: shifts ? (mate.profileShift ?? 0) : 0,
  };
  const radius = (g: PairGear): number =>
    (g.moduleMm * g.teeth) / (2 * Math.cos((g.helixAngleDeg * Math.PI) / 180));
  if (form === "worm-wheel") return (gear.moduleMm * gear.teeth + (mate.wormDiameterMm ?? 0)) / 2;
  if (form === "internal") return Math.abs(radius(gear) - radius(other));
  return (
    pairOf({ ...without, hand: undefined }, other).figures?.tightCentreMm ?? radius(gear) + radius(other)
  );
}

/**
 * Forms whose shafts are held apart by their tooth counts. A bevel's cones, a belt's or a chain's length, a
 * worm and a rack follow other laws.
 */
const ON_CENTRES = ["spur", "helical", "internal", "worm-wheel"];

/**
 * Module, pressure angle, helix and hand of a new pair; empty: they mesh. In a ring the pinion leans the same
 * way as the ring, outside the other; a worm and its wheel lean the same way, and the wheel is cut for one
 * diameter of worm.
 */
function whyNotMeshing(a: ToothedSpec, b: ToothedSpec): string[] {
  const forms = [gearForm(a), gearForm(b)];
  if (forms.includes("worm-wheel") || forms.includes("worm")) return whyNoWormPair(a, b);
  const inside = gearForm(a) === "internal" || gearForm(b) === "internal";
  const turned =
    inside && b.hand ? { ...b, hand: b.hand === "left" ? ("right" as const) : ("left" as const) } : b;
  if (inside && a.hand && b.hand && a.hand !== b.hand)
    return [
      `the ring is ${gearForm(a) === "internal" ? a.hand : b.hand}-hand and its pinion is not: inside they lean the same way`,
    ];
  return pairOf(soldGear(a), soldGear(turned))
    .verdicts.filter(
      (v) => !v.ok && ["module", "pressure angle", "helix angle", "hand"].includes(v.criterion),
    )
    .map((v) => v.says);
}

function whyNoWormPair(a: ToothedSpec, b: ToothedSpec): string[] {
  const [worm, wheel] = gearForm(a) === "worm" ? [a, b] : [b, a];
  if (gearForm(worm) !== "worm" || gearForm(wheel) !== "worm-wheel")
    return [`a ${gearForm(worm)} gear does not run with a ${gearForm(wheel)}`];
  const out: string[] = [];
  if (Math.abs(worm.moduleMm - wheel.moduleMm) > 0.004 * wheel.moduleMm)
    out.push(
      `a worm of module ${round(worm.moduleMm, 3)} does not run with a wheel of module ${round(wheel.moduleMm, 3)}`,
    );
  if (worm.hand && wheel.hand && worm.hand !== wheel.hand)
    out.push(`a ${worm.hand}-hand worm does not run with a ${wheel.hand}-hand wheel`);
  if (
    worm.wormDiameterMm &&
    wheel.wormDiameterMm &&
    Math.abs(worm.wormDiameterMm - wheel.wormDiameterMm) > 0.1
  )
    out.push(
      `the wheel is cut for a worm of ${round(wheel.wormDiameterMm)} mm, not ${round(worm.wormDiameterMm)}`,
    );
  return out;
}

/**
 * The law of meshing for an offered gear: on centres that are fixed by the case it must mesh with what stays,
 * or with a gear that is bought with it. Tooth count, centre distance, output speed.
 *
 * Two gears share m_n and α_n, on parallel shafts β and opposite hands; (z1 + z2) m/(2 cos β) with their
 * shifts is the distance of their shafts (ISO 21771). A gear of another tooth count is refused as long as its
 * mate stays; with a companion that keeps the centre distance it is possible, and the ratio, so the output
 * speed, changes.
 *
 * @example meshCriteria({ …41 teeth, mate: { teeth: 9 } }, { …43 teeth }, [{ …7 teeth }]) // teeth:
 *   companion; output speed: 25.9 % slower
 */
export function meshCriteria(
  wanted: WantedGear,
  offered: ToothedSpec,
  companions: readonly CompanionGear[],
): Criterion[] {
  const { mate } = wanted;
  const own = asGear(wanted);
  const form = wanted.form ?? (own.helixAngleDeg ? "helical" : "spur");
  const sameTeeth = offered.teeth === own.teeth;
  const spread = typeof wanted.teeth === "object" ? 2 * (wanted.teeth.u ?? 0) : 0;
  const withinCount = !sameTeeth && Math.abs(offered.teeth - value(wanted.teeth)) <= spread;
  const shown = spread ? `${round(value(wanted.teeth))} ± ${round(spread)}` : `${own.teeth}`;
  const teeth = (verdict: Criterion["verdict"], says: string): Criterion =>
    criterion("teeth", shown, `${offered.teeth}`, "exact", verdict, says);
  if (withinCount)
    return [teeth("settle", "within what the count may be off: count the teeth again to settle it")];
  if (!ON_CENTRES.includes(form)) {
    if (sameTeeth) return [teeth("same", "the ratio stays")];
    const [sold] = companions;
    return [
      sold
        ? teeth(
            "settle",
            `${offered.teeth} teeth instead of ${own.teeth} go only with ${sold.number}: ask the seller whether the pair has the old mounting distances`,
          )
        : teeth(
            "no",
            `${offered.teeth} teeth instead of ${own.teeth}: a ${form} runs only with what it was made for`,
          ),
    ];
  }
  if (!mate) {
    const [sold] = companions;
    if (sameTeeth) return [teeth("same", "the ratio stays")];
    if (sold)
      return [
        teeth(
          "settle",
          `${offered.teeth} teeth instead of ${own.teeth} go only with ${sold.number}: name the gear it runs with on the gear bench to settle whether the pair sits on the old shafts`,
        ),
      ];
    return [
      teeth(
        "no",
        `${offered.teeth} teeth instead of ${own.teeth} changes the ratio and the centre distance; it does not mesh with what stays`,
      ),
    ];
  }
  if (form === "worm-wheel" && mate.willBe !== undefined && mate.willBe !== mate.teeth)
    return [
      teeth(
        "no",
        `it was cut for a ${mate.teeth}-start worm; one of ${mate.willBe} starts, which was chosen, has another lead`,
      ),
    ];
  // a measured distance says something about shifted teeth only where both shifts are known
  const known = mate.profileShift !== undefined;
  const wormDiameterMm = wanted.wormDiameterMm === undefined ? undefined : value(wanted.wormDiameterMm);
  const oldMate: Other = { ...mate, wormDiameterMm };
  const reckoned = centreOf(form, own, oldMate, known);
  const seen = known && wanted.centreMm !== undefined ? measured(wanted.centreMm, CALIPER_U_MM) : undefined;
  const was = seen?.value ?? reckoned;
  const stays: Other = { ...oldMate, teeth: mate.willBe ?? mate.teeth };
  // a shift that is not told is looked at by itself; here it is taken to be as it was
  const asSold = (g: ToothedSpec): PairGear => ({
    ...g,
    profileShift: g.profileShift ?? (g.teeth === own.teeth ? own.profileShift : 0),
  });
  const off = (gear: ToothedSpec, other: Other): number => {
    const would = centreOf(form, asSold(gear), other, known);
    // the same numbers sit as the old ones did, whatever the caliper made of the distance
    return Math.abs(would - reckoned) < 1e-6 ? 0 : would - was;
  };
  const slack = seen ? SPREADS * seen.u : 0;
  const meets = (d: number): boolean =>
    d <= CLOSER * own.moduleMm + slack && d >= -WIDER * own.moduleMm - slack;
  /** only because the distance is not measured better */
  const open = (d: number): boolean => d > CLOSER * own.moduleMm || d < -WIDER * own.moduleMm;

  const alone = off(offered, stays);
  const partner = companions
    .filter((c) => whyNotMeshing(offered, c.spec).length === 0)
    .map((c) => ({
      c,
      off: off(offered, { ...c.spec, wormDiameterMm: c.spec.wormDiameterMm ?? wormDiameterMm }),
    }))
    .filter((x) => meets(x.off))
    .sort((a, b) => Math.abs(a.off) - Math.abs(b.off))[0];

  const speed = (mateTeeth: number): Criterion[] =>
    outputSpeed(own.teeth, mate, offered.teeth, mateTeeth, wanted.outputRpm);
  if (meets(alone) && (sameTeeth || mate.willBe !== undefined))
    return [
      sameTeeth
        ? teeth("same", "the ratio stays")
        : teeth(
            "fits",
            `${offered.teeth} teeth instead of ${own.teeth}: goes with the ${stays.teeth}-tooth gear that was chosen`,
          ),
      ...(open(alone)
        ? [openCentre(form, was, was + alone, own.moduleMm, slack)]
        : [centre(form, was, was + alone, own.moduleMm, "same", stays.teeth)]),
      ...speed(stays.teeth),
    ];
  if (partner) {
    const z = partner.c.spec.teeth;
    return [
      teeth(
        sameTeeth ? "same" : "companion",
        sameTeeth
          ? "the ratio stays"
          : `${offered.teeth} teeth instead of ${own.teeth}: only together with ${partner.c.number} (${z} teeth); the old ${mate.teeth}-tooth gear must go`,
      ),
      ...(open(partner.off)
        ? [openCentre(form, was, was + partner.off, own.moduleMm, slack)]
        : [centre(form, was, was + partner.off, own.moduleMm, "companion", z, partner.c.number)]),
      ...speed(z),
    ];
  }
  const sum =
    form === "worm-wheel" || form === "internal"
      ? ""
      : `tooth sum ${offered.teeth + stays.teeth} instead of ${own.teeth + mate.teeth}: `;
  const refused = `${sum}would need the shafts ${round(Math.abs(alone))} mm ${alone > 0 ? "further apart" : "closer together"} than they are`;
  const failing = companions.map(
    (c) =>
      whyNotMeshing(offered, c.spec)[0] ??
      `with ${c.number} the shafts would have to be ${round(Math.abs(off(offered, c.spec)))} mm elsewhere`,
  );
  return [
    sameTeeth
      ? teeth(
          mate.willBe === undefined ? "same" : "no",
          mate.willBe === undefined
            ? "the ratio stays"
            : `it went with ${mate.teeth} teeth, and ${mate.willBe} were chosen`,
        )
      : teeth(
          "no",
          `${offered.teeth} teeth instead of ${own.teeth} does not mesh with the ${stays.teeth}-tooth gear ${mate.willBe === undefined ? "that stays" : "that was chosen"}`,
        ),
    criterion(
      distanceName(form),
      `${round(was)} mm`,
      `${round(was + alone)} mm`,
      tolerance(own.moduleMm),
      "no",
      [refused, ...failing].join("; "),
    ),
  ];
}

const tolerance = (m: number): string => `−${round(WIDER * m)} to +${round(CLOSER * m)} mm`;

/** Of a worm wheel only its own part of the distance is known. */
const distanceName = (form: string): string =>
  form === "worm-wheel" ? "reference radius" : "centre distance";
const mateName = (form: string, teeth: number): string =>
  form === "worm-wheel" ? `the ${teeth}-start worm` : `the ${teeth}-tooth mate`;

function centre(
  form: string,
  was: number,
  would: number,
  m: number,
  verdict: "same" | "companion",
  teeth: number,
  number?: string,
): Criterion {
  const d = would - was;
  const how = d < -CLOSER * m ? `, with ${round(-d)} mm more room between the teeth` : "";
  return criterion(
    distanceName(form),
    `${round(was)} mm`,
    `${round(would)} mm`,
    tolerance(m),
    verdict === "companion" ? "companion" : how ? "fits" : "same",
    `sits on the old shafts with ${number ? `${number}, ${teeth} teeth` : mateName(form, teeth)}${how}`,
  );
}

/** The distance is not measured well enough to tell. */
const openCentre = (form: string, was: number, would: number, m: number, slack: number): Criterion =>
  criterion(
    distanceName(form),
    `${round(was)} mm ± ${round(slack)}`,
    `${round(would)} mm`,
    tolerance(m),
    "settle",
    `${round(Math.abs(would - was))} mm apart, within the spread of the reading: measure the centre distance again to settle it`,
  );

/** How fast the output turns then. */
function outputSpeed(
  oldTeeth: number,
  mate: WantedMate,
  teeth: number,
  mateTeeth: number,
  outputRpm: number | undefined,
): Criterion[] {
  const mateDrives = mate.drives ?? mate.teeth < oldTeeth;
  const ratio = (own: number, other: number): number => (mateDrives ? own / other : other / own);
  const [was, will] = [ratio(oldTeeth, mate.teeth), ratio(teeth, mateTeeth)];
  const share = was / will - 1;
  if (Math.abs(share) < 1e-9) return [];
  const rpm =
    outputRpm === undefined
      ? ""
      : `, ${round((outputRpm * was) / will, 1)} rpm instead of ${round(outputRpm, 1)}`;
  return [
    criterion(
      "output speed",
      `${round(was, 3)} : 1`,
      `${round(will, 3)} : 1`,
      "–",
      "fits",
      `the output turns ${round(Math.abs(share) * 100, 1)} % ${share < 0 ? "slower" : "faster"}${rpm}: tell the customer`,
    ),
  ];
}
