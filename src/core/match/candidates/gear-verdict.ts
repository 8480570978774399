import { type MeasuredInput, measured } from "../../quantity/measured";
import { degrees, radians } from "../../quantity/units";
import { type GearSpec, gearForm, isToothed, type ToothedSpec } from "../catalogue/part-spec";
import { bevelCriteria } from "./bevel-criteria";
import { compared, comparedLength, toldAlike } from "./compared";
import { bodyCriteria } from "./gear-body";
import { handCriterion } from "./hand";
import { type CompanionGear, meshCriteria } from "./mesh";
import { soldAsPair } from "./sold-as-pair";
import { type Criterion, criterion, unknownCriterion } from "./verdict";
import type { WantedGear } from "./wanted-gear";

/**
 * A catalogue gear against the gear that is wanted, criterion by criterion.
 *
 * Form, teeth, module, pressure angle, helix, hand and shift decide whether it meshes at all (ISO 21771); of
 * a worm its diameter, of a pulley its profile; see {@link meshCriteria} for tooth counts and centre
 * distance, {@link bodyCriteria} for what it sits and is driven by.
 *
 * @param companions the gears that are sold with it
 */
export function gearVerdict(
  wanted: WantedGear,
  offered: GearSpec,
  companions: readonly CompanionGear[],
): Criterion[] {
  return [
    ...toothCriteria(wanted, offered, companions),
    ...(offered.soldAs === "pair" ? [soldAsPair(wanted.mate?.teeth)] : []),
    ...bodyCriteria(wanted, offered),
  ];
}

function toothCriteria(
  wanted: WantedGear,
  offered: GearSpec,
  companions: readonly CompanionGear[],
): Criterion[] {
  const out: Criterion[] = [];
  const form = wanted.form ?? (value(wanted.helixAngleDeg) ? "helical" : "spur");
  if (wanted.form && wanted.form !== gearForm(offered))
    out.push(
      criterion(
        "form",
        wanted.form,
        gearForm(offered),
        "exact",
        "no",
        `a ${gearForm(offered)} gear does not run where a ${wanted.form} one did`,
      ),
    );
  if (!isToothed(offered)) return [...out, untoldTooth(wanted, offered)];
  out.push(...meshCriteria(wanted, offered, companions));
  const belted = form === "pulley" || form === "sprocket";
  out.push(sizeCriterion(wanted, offered, belted));
  if (!belted) out.push(pressureCriterion(wanted, offered));
  if (form === "worm" || form === "worm-wheel") out.push(...wormCriteria(form, wanted, offered));
  else {
    if (!belted && form !== "bevel") out.push(helixCriterion(wanted, offered));
    if (form === "bevel") out.push(...bevelCriteria(wanted, offered));
    else if (value(wanted.helixAngleDeg) !== 0 || offered.helixAngleDeg !== 0)
      out.push(handCriterion(wanted.hand, offered.hand));
    if (form === "spur" || form === "helical") out.push(shiftCriterion(wanted, offered));
  }
  if (belted && (wanted.profile || offered.profile))
    out.push(profileCriterion(wanted.profile, offered.profile));
  return out;
}

/** Nobody measured the tooth that is sold: its number alone says what it is, unless its count is another. */
function untoldTooth(wanted: WantedGear, { teeth }: GearSpec): Criterion {
  const must = Math.round(value(wanted.teeth));
  const was = `${must} teeth, module ${round(value(wanted.moduleMm))}`;
  if (teeth !== undefined && teeth !== must)
    return criterion("tooth", was, `${teeth} teeth`, "exact", "no", `${teeth} teeth instead of ${must}`);
  return unknownCriterion(
    "tooth",
    was,
    teeth === undefined ? "not told" : `${teeth} teeth, module not told`,
    "exact",
    "settle",
    "the catalogue has its number and no tooth: ask the seller for teeth and module",
  );
}

const value = (x: MeasuredInput): number => measured(x, 0).value;
const round = (x: number): string => String(Number(x.toFixed(3)));

function sizeCriterion(wanted: WantedGear, offered: ToothedSpec, belted: boolean): Criterion {
  const moduleMm = value(wanted.moduleMm);
  return compared(wanted.moduleMm, offered.moduleMm, {
    name: "module",
    unit: "mm",
    tolerance: 0.002 * moduleMm,
    instrumentU: 0,
    ask: belted ? "measure the pitch over ten teeth" : "measure another span",
    sameSays: belted ? "the belt's teeth fall into its gaps" : "the teeth have the same size",
    otherwise: () => [
      "no",
      belted ? "another pitch climbs out of the belt" : "teeth of another size ride up on each other",
    ],
  });
}

function pressureCriterion(wanted: WantedGear, offered: GearSpec): Criterion {
  const same = Math.abs(offered.pressureAngleDeg - wanted.pressureAngleDeg) < 0.3;
  return criterion(
    "pressure angle",
    `${wanted.pressureAngleDeg}°`,
    `${offered.pressureAngleDeg}°`,
    "0.3°",
    same ? "same" : "no",
    same ? "the flanks have the same slope" : "flanks of another slope bind and wear through",
  );
}

/**
 * At the end of the face two helices may be apart by this much, mm: what crowning and give of the shafts take
 * up.
 */
const END_GAP_MM = 0.04;

/**
 * How far two helix angles may differ, degrees: b tan Δβ is what the flanks stand apart at the end of the
 * face. A wide face allows less than a narrow one.
 */
const helixTolerance = (faceMm: number): number => Math.min(1, degrees(Math.atan(END_GAP_MM / faceMm)));
const USUAL_FACE_MM = 8;

function helixCriterion(wanted: WantedGear, offered: GearSpec): Criterion {
  const face =
    offered.faceWidthMm ?? (wanted.faceWidthMm === undefined ? USUAL_FACE_MM : value(wanted.faceWidthMm));
  return compared(wanted.helixAngleDeg, offered.helixAngleDeg, {
    name: "helix angle",
    unit: "°",
    tolerance: Number(helixTolerance(face).toFixed(2)),
    instrumentU: 0.5,
    ask: "measure the helix",
    sameSays: "lies along the same line as its mate",
    otherwise: (o, w) => [
      "no",
      `touches its mate only at a corner: ${round(face * Math.tan(radians(Math.abs(o - w))))} mm off at the end of its face`,
    ],
  });
}

/**
 * A tenth of a module of shift is two hundredths of a module in backlash's worth of tooth: less than that is
 * the same gear.
 */
const SHIFT_TOLERANCE = 0.05;

function shiftCriterion(wanted: WantedGear, offered: GearSpec): Criterion {
  return compared(wanted.profileShift, offered.profileShift, {
    name: "profile shift",
    tolerance: SHIFT_TOLERANCE,
    instrumentU: SHIFT_TOLERANCE,
    ask: "measure its tip diameter and a span",
    unknownSays:
      "ask the seller for its profile shift or its tip diameter: with another, the pair binds or knocks",
    sameSays: "as tall and as thick as it was",
    otherwise: (o, w) => [
      "no",
      o > w
        ? "its teeth are thicker: the pair binds on the old shafts"
        : "its teeth are thinner: the pair knocks on the old shafts",
    ],
  });
}

/**
 * A worm and its wheel are one pair: the lead follows from starts, module and diameter, so the diameter must
 * be the same; both lean the same way.
 */
function wormCriteria(form: "worm" | "worm-wheel", wanted: WantedGear, offered: GearSpec): Criterion[] {
  const diameter = comparedLength(wanted.wormDiameterMm, offered.wormDiameterMm, {
    name: "worm reference diameter",
    tolerance: 0.1,
    ask: "measure the worm over its threads",
    unknownSays:
      form === "worm"
        ? "ask the seller for its outside diameter: less two modules it is its reference diameter"
        : "ask the seller for which worm it is cut: its outside diameter, less two modules",
    sameSays: "the threads lie at the same lead",
    otherwise: () => [
      "no",
      form === "worm"
        ? "another diameter is another lead: it runs on the wheel's edges"
        : "cut for a worm of another diameter: it bears at its edges",
    ],
  });
  const hand = handCriterion(wanted.hand, offered.hand);
  return form === "worm-wheel" ? [diameter, leadCriterion(wanted, offered), hand] : [diameter, hand];
}

/**
 * The lead angle that a worm wheel is cut for: tan γ = m z₁ / d₁ (ISO 21771 gives it as the worm's). A wheel
 * for a worm of twice the starts has the same teeth, module and diameter, and runs on its edges.
 */
function leadCriterion(wanted: WantedGear, offered: GearSpec): Criterion {
  const starts = wanted.mate?.willBe ?? wanted.mate?.teeth;
  const worm = wanted.wormDiameterMm === undefined ? undefined : value(wanted.wormDiameterMm);
  const lead =
    value(wanted.helixAngleDeg) ||
    (starts && worm ? degrees(Math.atan((value(wanted.moduleMm) * starts) / worm)) : undefined);
  const made = offered.mateTeeth && offered.wormDiameterMm && offered.moduleMm;
  const offeredLead =
    offered.helixAngleDeg ||
    (made ? degrees(Math.atan((offered.moduleMm * offered.mateTeeth) / offered.wormDiameterMm)) : undefined);
  return compared(lead, offeredLead, {
    name: "lead angle",
    unit: "°",
    tolerance: 0.5,
    instrumentU: 0.3,
    ask: "count the starts of its worm",
    unknownSays: "ask the seller for how many starts its worm has",
    sameSays: "cut for a worm of this lead",
    otherwise: () => ["no", "cut for a worm of another lead: it runs on its edges"],
  });
}

function profileCriterion(wanted: string | undefined, offered: string | undefined): Criterion {
  const bare = (s: string | undefined): string | undefined => s?.toUpperCase().replace(/[\s-]/g, "");
  const says = {
    same: "made for the same belt",
    other: "another profile of one pitch still wears the belt's flanks away",
    look: "lay the belt into it to settle it",
  };
  return toldAlike("belt profile", wanted, offered, says, bare(wanted) === bare(offered));
}
