import { measured } from "../../quantity/measured";
import type { GearSpec } from "../catalogue/part-spec";
import { askedLength, compared, comparedLength, toldAlike } from "./compared";
import { toothMaterial } from "./tooth-material";
import { type Criterion, unknownCriterion } from "./verdict";
import type { WantedGear } from "./wanted-gear";

const round = (x: number): string => String(Number(x.toFixed(3)));

/**
 * What a gear sits on and is driven by: face, bore and its form, hub, second rim, heat treatment, material.
 * A wider face is faced off, a smaller round bore reamed; a bore that drives by its form is broached, and a
 * reamer only spoils it. What nobody measured and nobody tells is not asked.
 */
export function bodyCriteria(wanted: WantedGear, offered: GearSpec): Criterion[] {
  return [
    faceCriterion(wanted, offered),
    ...boreCriteria(wanted, offered),
    ...hubCriteria(wanted, offered),
    ...secondRim(wanted, offered),
    ...asked(wanted.heat ?? offered.heat, () =>
      toldAlike(
        "heat treatment",
        wanted.heat,
        offered.heat,
        {
          same: "as hard as it was",
          other: `${offered.heat} instead of ${wanted.heat}: ask whether it carries the load and spares its mate`,
          look: wanted.heat
            ? "ask the seller how its teeth are hardened"
            : "try the old one with a file to settle it: it bites where it is not hardened",
        },
        wanted.heat === offered.heat,
        "settle",
      ),
    ),
    ...[toothMaterial(wanted.material, offered.material) ?? []].flat(),
  ];
}

const asked = (known: unknown, say: () => Criterion): Criterion[] => (known === undefined ? [] : [say()]);

function faceCriterion(wanted: WantedGear, offered: GearSpec): Criterion {
  return comparedLength(wanted.faceWidthMm, offered.faceWidthMm, {
    name: "face width",
    tolerance: 0.2,
    ask: "measure the face width",
    otherwise: (o, w) => {
      if (o > w) return ["rework", `face ${round(o - w)} mm off, or check that there is room`];
      const less = Math.round((1 - o / w) * 100);
      return less <= 10
        ? ["fits", `a little narrower: its teeth carry ${less} % less`]
        : [
            "settle",
            `narrower by ${round(w - o)} mm: its teeth carry ${less} % less. Did the old one fail by overload? Then it is too weak`,
          ];
    },
  });
}

/** Bores that a reamer can open: the rest are broached. */
const REAMED: ReadonlySet<string | undefined> = new Set([
  undefined,
  "round",
  "keyway",
  "cross hole",
  "cross slot",
]);

function boreCriteria(wanted: WantedGear, offered: GearSpec): Criterion[] {
  const form = wanted.boreForm || offered.boreForm;
  const out = [boreCriterion(wanted, offered, form)];
  if (form)
    out.push(
      toldAlike("bore form", wanted.boreForm || undefined, offered.boreForm, {
        same: "it drives as before",
        other: "it cannot be driven by this shaft",
        look: "look at the bore to settle it",
      }),
    );
  if (wanted.pressed)
    out.push(
      unknownCriterion(
        "fit on the shaft",
        "pressed",
        "not told",
        "–",
        "settle",
        "it was pressed on, and a caliper tells no hundredths: ask the seller for the bore's fit, or measure bore and shaft with a micrometer",
      ),
    );
  out.push(
    ...askedLength(wanted.acrossMm, offered.acrossMm, {
      name: "across flat or keyway",
      tolerance: 0.05,
      ask: "measure the bore across its flat, or over its keyway",
      otherwise: (o, w) => [
        "no",
        o > w ? "turns on its shaft before it drives" : "does not go over its shaft",
      ],
    }),
    ...askedLength(wanted.keyMm, offered.keyMm, {
      name: "width of the keyway",
      tolerance: 0.05,
      ask: "measure the keyway's width",
      otherwise: (o, w) => [
        "rework",
        `its keyway is ${round(o)} mm wide where the shaft's is ${round(w)}: make a stepped key`,
      ],
    }),
  );
  return out;
}

function boreCriterion(wanted: WantedGear, offered: GearSpec, form: string | undefined): Criterion {
  return comparedLength(wanted.boreMm, offered.boreMm, {
    name: "bore",
    tolerance: 0.03,
    ask: "measure the bore",
    otherwise: (o, w) => {
      if (o > w) return ["no", "the bore is too wide for the shaft"];
      if (!REAMED.has(form))
        return ["no", `a ${form} bore of ${round(o)} mm cannot be reamed to ${round(w)}`];
      const key = form === "keyway" ? ", then the keyway deeper by as much" : "";
      const hole = form === "cross hole" ? ", then the cross hole through both" : "";
      return wanted.pressed
        ? [
            "rework",
            `bore it from ${round(o)} to a press fit on the shaft, measured with a micrometer${key}: no reamer to ${round(w)}, or it slips`,
          ]
        : ["rework", `ream the bore from ${round(o)} to ${round(w)} mm${key}${hole}`];
    },
  });
}

function hubCriteria(wanted: WantedGear, offered: GearSpec): Criterion[] {
  return [
    ...asked(wanted.hub ?? offered.hub, () =>
      toldAlike(
        "hub",
        wanted.hub,
        offered.hub,
        {
          same: "where it was",
          other:
            wanted.hub === "none"
              ? "a hub where there was none: ask whether there is room, or whether it may be turned off"
              : offered.hub === "none"
                ? "no hub: ask what holds it and keeps its place then"
                : `hub ${offered.hub} instead of ${wanted.hub}: lay the old one beside it before it is ordered`,
          look: wanted.hub
            ? "ask the seller on which side its hub stands"
            : "look where the hub of the old one stands",
        },
        wanted.hub === offered.hub,
        "settle",
      ),
    ),
    ...askedLength(wanted.hubMm, offered.hubMm, {
      name: "hub diameter",
      tolerance: 0.2,
      ask: "measure the hub's diameter",
      otherwise: (o, w) =>
        o > w
          ? ["rework", `turn the hub from ${round(o)} to ${round(w)} mm, or check that there is room`]
          : ["settle", `a hub thinner by ${round(w - o)} mm: ask whether it still holds its pin or screw`],
    }),
    ...askedLength(wanted.overallMm, offered.overallMm, {
      name: "length over all",
      tolerance: 0.2,
      ask: "measure it along the shaft, hub and all",
      otherwise: (o, w) =>
        o > w
          ? ["rework", `take ${round(o - w)} mm off the hub's end, or check that there is room`]
          : ["rework", `a spacer of ${round(w - o)} mm makes up for what it is shorter`],
    }),
    ...offsetCriterion(wanted, offered),
  ];
}

/** Teeth that stand elsewhere along the shaft meet less of their mate's face. */
function offsetCriterion(wanted: WantedGear, offered: GearSpec): Criterion[] {
  const face = wanted.faceWidthMm === undefined ? offered.faceWidthMm : measured(wanted.faceWidthMm, 0).value;
  return askedLength(wanted.offsetMm, offered.offsetMm, {
    name: "hub's end to the teeth",
    tolerance: 0.3,
    ask: "measure from the hub's end to where the teeth begin",
    otherwise: (o, w) => {
      const off = Math.abs(o - w);
      const where = `its teeth stand ${round(off)} mm ${o > w ? "further from" : "nearer to"} the hub's end`;
      if (face !== undefined && off >= face) return ["no", `${where}: they pass their mate by`];
      return ["settle", `${where}: ask whether they still meet enough of the mate's face, or shim it`];
    },
  });
}

/** Of a cluster both rims must mesh. */
function secondRim(wanted: WantedGear, offered: GearSpec): Criterion[] {
  if (wanted.secondTeeth === undefined && offered.secondTeeth === undefined) return [];
  const teeth = compared(wanted.secondTeeth, offered.secondTeeth, {
    name: "teeth of the second rim",
    tolerance: 0,
    instrumentU: 0,
    ask: "count the teeth of the second rim, or say that there is none",
    unknownSays: "ask the seller for the teeth of its second rim: the old one has two",
    otherwise: (o, w) => ["no", `${o} teeth on the second rim instead of ${w}`],
  });
  const modules = wanted.secondModuleMm ?? offered.secondModuleMm;
  if (modules === undefined) return [teeth];
  return [
    teeth,
    compared(wanted.secondModuleMm, offered.secondModuleMm, {
      name: "module of the second rim",
      unit: "mm",
      tolerance: 0.002 * measured(modules, 0).value,
      instrumentU: 0,
      ask: "measure the second rim",
      otherwise: () => ["no", "the second rim has teeth of another size"],
    }),
  ];
}
