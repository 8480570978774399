import { isPlastic } from "../hardware/material";
import type { Measured } from "../quantity/measured";
import { degrees, radians } from "../quantity/units";
import { type Making, thinnedBy } from "./as-made";
import { overPinsWhenNew, spanWhenNew } from "./as-new";
import { betweenPins, type Ring, ringPinMm, ringTipMm } from "./between-pins";
import { bestSpanTeeth, gearDimensions, measuringPin, overPins, spanOver } from "./index";
import { drawnTipMm } from "./outline";
import { type RingToMake, ringRadii } from "./ring-outline";
import { type GearToMake, isRing, type ToMake, twistOf } from "./solid";

/** A figure that whoever makes the gear needs, or checks it by. */
export interface MakingNote {
  readonly what: string;
  readonly figure: string;
  readonly says?: string;
}

const mm = (x: number, n = 2): string => `${x.toFixed(n)} mm`;

const between = ({ value, u }: Measured): string => `${(value - u).toFixed(2)} to ${mm(value + u)}`;

/**
 * Everything for making a gear, by printing, by cutting or on a hob: its numbers, the sizes to check it by,
 * and what whoever makes it should know.
 *
 * @param material of the old one
 * @param how it will be made: by how much its teeth are thinned, as in {@link spanWhenNew}
 */
export function makingNotes(g: ToMake, material?: string, how: Making = "unknown"): MakingNote[] {
  return isRing(g) ? ringNotes(g, material, how) : gearNotes(g, material, how);
}

function gearNotes(g: GearToMake, material: string | undefined, how: Making): MakingNote[] {
  const d = gearDimensions(g);
  const span = bestSpanTeeth(g);
  const pin = measuringPin(g);
  const helical = g.helixAngleDeg !== 0;
  const thinned = g.thinnedMm ?? 0;
  const tip = drawnTipMm(g, thinned);
  return [
    { what: "teeth", figure: `${g.teeth}` },
    { what: "normal module", figure: mm(g.moduleMm, 3) },
    { what: "pressure angle", figure: `${g.pressureAngleDeg}°` },
    ...(helical
      ? [
          {
            what: "helix",
            figure: `${g.helixAngleDeg}° ${g.hand ?? "hand not noted"}`,
            says: `turns by ${Math.abs(degrees(twistOf(g))).toFixed(2)}° over its face, ${g.hand === "left" ? "clockwise" : "anticlockwise"} going up`,
          },
        ]
      : []),
    { what: "profile shift", figure: g.profileShift.toFixed(2), says: "in modules, as measured" },
    {
      what: "tip diameter",
      figure: mm(tip),
      ...(tip < d.tipDiameterMm - 0.005
        ? { says: `as drawn: a full tip of ${mm(d.tipDiameterMm)} would come to a point` }
        : {}),
    },
    { what: "root diameter", figure: mm(d.rootDiameterMm) },
    {
      what: `span over ${span}`,
      figure: mm(spanOver(g, span) - thinned, 3),
      says: `${thinned ? `as drawn, thinned by ${mm(thinned)}; ` : "as drawn, without backlash; "}as gears are made it reads ${between(spanWhenNew(g, span, how))}: check it by this`,
    },
    ...(pin
      ? [
          {
            what: `over ${pin} mm pins`,
            figure: mm(overPins(shiftedBy(g, -thinned), pin), 3),
            says: `as gears are made ${between(overPinsWhenNew(g, pin, how))}`,
          },
        ]
      : []),
    { what: "face width", figure: mm(g.faceWidthMm) },
    {
      what: "bore",
      figure: `${mm(g.boreMm)} ${g.boreForm ?? "round"}`,
      says:
        g.boreForm === "cross slot"
          ? "the slot is drawn through; cut it only as deep as the old one's"
          : g.boreForm === "cross hole"
            ? "the cross hole is not in the drawing: drill it from the old one, and mind which way a tooth faces it"
            : "the file has it at its figure: leave a tenth to ream",
    },
    oldMaterial(material, "; ream the bore after"),
  ];
}

const oldMaterial = (material: string | undefined, after = ""): MakingNote => ({
  what: "old material",
  figure: material ?? "not noted",
  says: isPlastic(material)
    ? `keep it plastic: it is the fuse of the train. Printed: solid, of nylon or POM, its axis upright${after}`
    : "steel runs against steel only if it is hardened and greased for it",
});

/** Between its pins a ring reads wider, the thinner its teeth are: as one whose gaps are shifted out. */
function ringNotes(g: RingToMake, material: string | undefined, how: Making): MakingNote[] {
  const thinned = g.thinnedMm ?? 0;
  const { tipMm, rootMm } = ringRadii(g, true);
  const nominal = ringTipMm(g);
  const pin = ringPinMm(g.moduleMm);
  const wider = (spanMm: number): Ring => ({
    ...g,
    profileShift: g.profileShift + spanMm / (2 * g.moduleMm * Math.sin(radians(g.pressureAngleDeg))),
  });
  const usual = thinnedBy(g.moduleMm, how);
  const pins = betweenPins(wider(thinned), pin);
  return [
    { what: "teeth", figure: `${g.teeth}, inside` },
    { what: "module", figure: mm(g.moduleMm, 3) },
    { what: "pressure angle", figure: `${g.pressureAngleDeg}°` },
    {
      what: "profile shift",
      figure: g.profileShift.toFixed(2),
      says: "in modules, as measured; positive: gaps further out",
    },
    {
      what: "tips, inside",
      figure: mm(2 * tipMm),
      ...(2 * tipMm > nominal + 0.005
        ? {
            says: `as drawn: at ${mm(nominal)} they would reach inside the base circle, where there is no involute`,
          }
        : {}),
    },
    { what: "bottom of the gaps", figure: mm(2 * rootMm), says: "corners rounded by a fifth of the module" },
    ...(Number.isFinite(pins)
      ? [
          {
            what: `between ${pin} mm pins`,
            figure: mm(pins, 3),
            says: `as rings are made ${between({ value: betweenPins(wider(usual.value), pin), u: Math.abs(betweenPins(wider(usual.value + usual.u), pin) - betweenPins(wider(usual.value), pin)) })}: check it by this`,
          },
        ]
      : []),
    {
      what: "outside",
      figure: mm(g.outsideMm),
      says: "a plain circle: lugs, keys and flats are added from the old one",
    },
    { what: "face width", figure: mm(g.faceWidthMm) },
    oldMaterial(material),
  ];
}

/** A tooth that is thicker by a span is a tooth that is shifted outwards. */
const shiftedBy = (g: GearToMake, spanMm: number): GearToMake => ({
  ...g,
  profileShift: g.profileShift + spanMm / (2 * g.moduleMm * Math.sin(radians(g.pressureAngleDeg))),
});

/**
 * By how much the teeth of a gear that is made here may be thinned, mm on the span: not at all, as cut gears
 * are, or as a printer needs that lays its lines too wide.
 */
export function backlashChoices(
  moduleMm: number,
): readonly { readonly says: string; readonly thinnedMm: number }[] {
  const usual = Math.round(thinnedBy(moduleMm, "cut").value * 100) / 100;
  return [
    { says: "as cut gears are", thinnedMm: usual },
    { says: "for a printer", thinnedMm: Math.round((usual + 0.1) * 100) / 100 },
    { says: "for a coarse printer", thinnedMm: Math.round((usual + 0.2) * 100) / 100 },
    { says: "without backlash", thinnedMm: 0 },
  ];
}

/** What can be done where no part is available. */
export interface Way {
  readonly way: "bond" | "donor" | "make";
  readonly says: string;
  readonly barred: boolean;
  readonly reasons: readonly { readonly against: boolean; readonly says: string }[];
}

export interface WayFacts {
  readonly mode?: string;
  readonly plastic: boolean;
  readonly load: "light" | "daily" | "hard" | "unknown";
  readonly safety: boolean;
  readonly hot: boolean;
  /** other units of this model in the shop that could give theirs */
  readonly donors: number;
  /** what is still missing before a file can be made */
  readonly missing: readonly string[];
}

/** Failures that a bond could hold at all. */
const BONDABLE = ["cracked-hub", "cracked", "slack"];

/**
 * Bond, donor, make: the three ways where no part is available, with this job's reasons. A bond is a stopgap
 * for a hub or a crack, in a light, slow and cool drive that nobody is hurt by; teeth are not bonded.
 */
export function waysWithoutPart(f: WayFacts): Way[] {
  const tooth = f.mode !== undefined && !BONDABLE.some((m) => f.mode?.includes(m));
  const bond: Way = {
    way: "bond",
    says: "Bond it",
    barred: f.safety || tooth,
    reasons: [
      ...(tooth
        ? [
            {
              against: true,
              says: "teeth carry their load on a line: a bonded tooth shears off, and its pieces go through the train",
            },
          ]
        : [
            {
              against: false,
              says: "a cracked hub can hold: roughen, degrease, fill with a toughened epoxy, press, and let it cure a day",
            },
          ]),
      ...(f.safety ? [{ against: true, says: "somebody can be hurt if it lets go" }] : []),
      ...(f.load === "hard" || f.load === "daily"
        ? [{ against: true, says: "it is worked daily: a bond is a stopgap" }]
        : []),
      ...(f.hot ? [{ against: true, says: "it ran hot: most bonds let go from 80 °C" }] : []),
      ...(f.plastic
        ? [{ against: true, says: "nylon and POM hardly take a bond: pin or sleeve it as well" }]
        : []),
    ],
  };
  const donor: Way = {
    way: "donor",
    says: "Take it from another unit",
    barred: f.donors === 0,
    reasons: [
      f.donors
        ? {
            against: false,
            says: `${f.donors} of this model ${f.donors === 1 ? "was" : "were"} not repaired here: ask whether the part may be taken`,
          }
        : { against: true, says: "no unit of this model that was given up stands in the shop" },
      {
        against: true,
        says: "it has run as long as the old one: measure it like the old one before it goes in",
      },
    ],
  };
  const make: Way = {
    way: "make",
    says: "Make it",
    barred: f.missing.length > 0,
    reasons: [
      ...(f.missing.length
        ? [{ against: true, says: `measure first: ${f.missing.join(", ")}` }]
        : [{ against: false, says: "its numbers are complete: the files are in true size" }]),
      ...(f.load === "hard"
        ? [{ against: true, says: "a printed gear carries perhaps half of a moulded one" }]
        : []),
      ...(f.safety
        ? [
            {
              against: true,
              says: "somebody can be hurt if it lets go: have it cut by a gear shop, not printed",
            },
          ]
        : []),
    ],
  };
  return [bond, donor, make];
}
