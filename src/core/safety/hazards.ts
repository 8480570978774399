import type { Hazard } from "../job/hazard";
import type { Supply } from "../job/supply";
import { kindNamed, usualFor } from "../kind-named";
import type { SafetyQuestion } from "./question";

/** What the gate asks for each hazard that was ticked at a unit. */
export const HAZARD_QUESTIONS: Readonly<Record<Hazard, Omit<SafetyQuestion, "gate">>> = {
  blade: {
    asks: "Blade or tool off, or covered?",
    why: "Most cuts at the bench are from a blade that was still in.",
  },
  spring: {
    asks: "Spring let down, or held so that it cannot fly?",
    why: "A wound or pressed spring gives all it holds at once. Glasses on.",
  },
  "stored-charge": {
    asks: "Stored charge left to drain, and measured?",
    why: "A capacitor of a motor, a flash or a microwave holds its charge after the plug is out. Discharging it is for a competent person.",
  },
  pressure: {
    asks: "Without pressure? And, if it holds refrigerant, is that circuit left closed?",
    why: "Pressure vessels and refrigerant circuits belong to a licensed technician.",
  },
  heat: {
    asks: "Cooled down?",
    why: "Heaters, gear cases and dies hold their heat for half an hour.",
  },
  fuel: {
    asks: "Fuel shut off or out, nothing dripping, no flame near?",
    why: "Its vapour runs along the floor and finds the next flame. Ventilate.",
  },
  lithium: {
    asks: "Cells cool, not swollen, and off the bench?",
    why: "A swollen or bridged cell burns, and water does not put it out. A damaged one goes outside, on stone.",
  },
  heavy: {
    asks: "A second pair of hands, or a place where it can lie?",
    why: "It is dropped on fingers or feet while the other hand looks for the screwdriver.",
  },
  glass: {
    asks: "Glass out, or wrapped?",
    why: "It breaks when the unit is turned over.",
  },
  hanging: {
    asks: "Load down or propped, door or arm held so that it cannot fall or fly up?",
    why: "A spring or a rope holds it until the first screw is out.",
  },
  abrasive: {
    asks: "Wheel or disc off, or in date, whole, and its guard on?",
    why: "A wheel past its date or with a crack bursts. A resin wheel has its date on its ring.",
  },
  dust: {
    asks: "Mask on, extraction or wet cloth ready, and no air jet?",
    why: "Old linings, mould and fine wood or stone dust stay in the lung. What may be asbestos is for licensed hands.",
  },
  soiled: {
    asks: "Gloves on, wiped with disinfectant, sharp things looked for?",
    why: "Blood, droppings and bin water carry disease. Refuse it until it has been cleaned, if you have to.",
  },
  static: {
    asks: "Wrist strap on, mat under it, boards into a bag?",
    why: "A spark that nobody feels kills a board weeks later.",
  },
  mercury: {
    asks: "Mercury switch, lamp or column found, and kept upright and whole?",
    why: "What breaks gives off poison for months: nobody sweeps it up dry, air the room, and hand it in.",
  },
  "picture-tube": {
    asks: "Anode discharged by a competent person, and the neck of the tube covered?",
    why: "A tube holds tens of kilovolts for days, and implodes when its neck is knocked.",
  },
  laser: {
    asks: "Supply off, beam path closed, and nobody looks into it?",
    why: "An open laser blinds before the lid closes, and an infrared one is not seen.",
  },
  restart: {
    asks: "Timer, thermostat, float or app shut off too, so that it cannot start by itself?",
    why: "It stands still because it waits, not because it is off.",
  },
};

/**
 * Questions about what sits inside: where nobody can come to it yet, they are asked again at every step, and
 * answered before the strip is complete.
 */
export const SITS_INSIDE: readonly string[] = [
  "spring",
  "spring-down",
  "stored-charge",
  "lithium",
  "glass",
  "static",
  "mercury",
  "picture-tube",
];

/** What must be shut off before the first screw, by what drives the unit. */
export const SHUT_OFF: Readonly<Record<Supply, SafetyQuestion | null>> = {
  mains: {
    gate: "unplugged",
    asks: "Unplugged, with the plug in sight?",
    why: "Somebody else will plug it in for you. The plug stays where you can see it.",
  },
  battery: {
    gate: "battery-out",
    asks: "Battery out, and off the bench?",
    why: "A pack can start the drive, and burns when its cells are bridged by a tool.",
  },
  petrol: {
    gate: "spark-off",
    asks: "Plug lead off, fuel tap shut, engine cold?",
    why: "An engine that is turned by hand can start.",
  },
  spring: {
    gate: "spring-down",
    asks: "Spring let down all the way, slowly, with its own key or click?",
    why: "A wound spring that is let go strips the train and opens hands.",
  },
  air: {
    gate: "air-off",
    asks: "Air line off, and vented at the trigger?",
    why: "What is left in it makes one more stroke.",
  },
  water: {
    gate: "water-off",
    asks: "Water shut off and let out?",
    why: "Fixed water and gas lines are for a licensed technician.",
  },
  hand: null,
  other: {
    gate: "shut-off",
    asks: "Whatever drives it shut off, so that it cannot start?",
    why: "Nobody else in the shop knows what it runs on.",
  },
};

/**
 * Kinds of units and what can hurt at them, as a shop finds the table when it starts. It is a proposal: each
 * job says for itself, and what was said last of a kind is proposed next.
 */
export const USUAL_HAZARDS: Readonly<Record<string, readonly Hazard[]>> = {
  "microwave oven": ["stored-charge", "heat"],
  microwave: ["stored-charge", "heat"],
  oven: ["heat"],
  "robot mower": ["blade", "lithium", "restart"],
  "roller door": ["hanging", "spring", "heavy"],
  "stair lift": ["hanging", "heavy"],
  "patient lift": ["hanging", "heavy"],
  winch: ["hanging"],
  dishwasher: ["heavy"],
  washer: ["heavy", "stored-charge"],
  "bench grinder": ["abrasive"],
  "disc cutter": ["abrasive"],
  "cut-off saw": ["abrasive"],
  "laser printer": ["laser", "heat"],
  "sump pump": ["restart", "soiled"],
  "cat litter box": ["soiled", "restart"],
  "pressure washer": ["pressure"],
  "ice maker": ["pressure"],
  freezer: ["pressure", "heavy"],
  fridge: ["pressure", "heavy"],
  nailer: ["pressure"],
  grinder: ["blade"],
  cutter: ["blade"],
  trimmer: ["blade"],
  planer: ["blade"],
  "food processor": ["blade"],
  "flash unit": ["stored-charge"],
  compressor: ["pressure", "heavy", "stored-charge"],
  refrigerator: ["pressure", "heavy"],
  dehumidifier: ["pressure"],
  "espresso machine": ["pressure", "heat"],
  slicer: ["blade"],
  shredder: ["blade"],
  shears: ["blade"],
  blender: ["blade", "glass"],
  "chain saw": ["blade", "fuel"],
  "circular saw": ["blade"],
  mower: ["blade", "fuel", "heavy"],
  toaster: ["heat"],
  heater: ["heat"],
  cooker: ["heat"],
  "pressure cooker": ["heat", "pressure"],
  sterilizer: ["heat", "pressure"],
  "laser cutter": ["laser"],
  "laser engraver": ["laser"],
  "heat gun": ["heat"],
  iron: ["heat"],
  fryer: ["heat"],
  kettle: ["heat"],
  steamer: ["heat", "pressure"],
  "hair dryer": ["heat"],
  "glue pot": ["heat"],
  generator: ["fuel", "heavy"],
  "power bank": ["lithium"],
  scooter: ["lithium", "heavy"],
  treadmill: ["heavy"],
  hoist: ["hanging", "heavy"],
  clock: ["spring"],
  "musical box": ["spring"],
};

/**
 * What is proposed for a kind of unit: what the shop said of this kind last, else what is usual for it, else
 * nothing is proposed and the technician is asked.
 *
 * @param said kind in small letters → what was said of it
 */
export function proposedHazards(
  kind: string,
  said: Readonly<Record<string, readonly Hazard[]>>,
): readonly Hazard[] | undefined {
  const own = kindNamed(kind);
  if (!own) return undefined;
  if (said[own]) return said[own];
  return usualFor(USUAL_HAZARDS, own);
}

/** The shop's table with what was said of a kind; null: that is forgotten. */
export function hazardsSaid(
  said: Readonly<Record<string, readonly Hazard[]>>,
  kind: string,
  hazards: readonly Hazard[] | null,
): Record<string, readonly Hazard[]> {
  const { [kindNamed(kind)]: _before, ...others } = said;
  return hazards === null || !kindNamed(kind) ? others : { ...others, [kindNamed(kind)]: hazards };
}

/** Every kind that something is proposed for, by name: as the shop has said, else as is usual. */
export function kindsWithHazards(
  said: Readonly<Record<string, readonly Hazard[]>>,
): { readonly kind: string; readonly hazards: readonly Hazard[]; readonly own: boolean }[] {
  const kinds = [...new Set([...Object.keys(said), ...Object.keys(USUAL_HAZARDS)])].sort((a, b) =>
    a.localeCompare(b, "en"),
  );
  return kinds.map((kind) => ({
    kind,
    hazards: said[kind] ?? USUAL_HAZARDS[kind] ?? [],
    own: said[kind] !== undefined,
  }));
}
