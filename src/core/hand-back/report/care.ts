import type { Hazard } from "../../job/hazard";
import type { Job } from "../../job/job";
import type { Supply } from "../../job/supply";
import { capital } from "../../sentence";
import { type WhatThereIs, whatThereIs } from "../what-there-is";

/**
 * What the customer can do so that it does not fail of the same again, by cause; and after how long, or at
 * what sign, it should be looked at.
 */
export interface Care {
  readonly says: string;
  readonly look: { readonly months: number; readonly why: string };
}

const YEAR = 12;
/** Where nothing new went in that meshes with something old. */
const HOLDS = { months: YEAR, why: "by then it shows whether it holds" };
const WEAR = { months: YEAR, why: "the new part has run in by then, and its mate shows whether it wears" };

/**
 * Keyed by the causes of core/judge/roots. Intervals are the bench's rules of thumb for a household
 * unit in daily use; hard use halves them.
 */
export const CARE: Readonly<Record<string, Care>> = {
  jam: {
    says:
      "When it strains or sticks, stop at once and look for what holds it: " +
      "what is stalled and driven on breaks teeth.",
    look: WEAR,
  },
  fatigue: {
    says: "Load it less, and give it a rest in between: teeth tire by load, and sooner when they are warm.",
    look: { months: 6, why: "other teeth of the same age may be tired too" },
  },
  dry: {
    says: "A lubricant does not last for ever: have it renewed before it is heard, or before it turns stiff.",
    look: { months: 18, why: "a lubricant is used up or thrown off by then" },
  },
  "worn-mate": {
    says: "Listen for it growing louder: two gears that wear each other can be heard for weeks before one lets go.",
    look: { months: 6, why: "the pair has run in by then, and shows how it wears" },
  },
  water: {
    says: "Wipe it, never rinse the case, and let it dry before it is put away.",
    look: { months: YEAR, why: "what rust water left inside shows by then" },
  },
  "seal-between": {
    says: "A wet or greasy ring under it means that its seal leaks: stop using it then, above all with food.",
    look: { months: 6, why: "a new seal has settled by then, and its shaft shows whether it marks the lip" },
  },
  hair: {
    says:
      "After each use {off}, and clean string, hair and fibre off its shafts " +
      "before they wind themselves in.",
    look: { months: 6, why: "fibre winds itself in unseen" },
  },
  bearing: {
    says:
      "A rumble that grows, or a shaft that can be moved sideways, is a bearing: " +
      "bring it in before it wears what runs beside it.",
    look: { months: YEAR, why: "new bearings have run in by then" },
  },
  motor: {
    says:
      "Let it cool when its case is hot to the hand, and never hold it still while it runs. " +
      "If it has air slots, keep them clear.",
    look: { months: YEAR, why: "its motor is looked at while that is cheap" },
  },
  "wrong-part": {
    says: "Keep this sheet: it says which part belongs in it, for whoever opens it next.",
    look: WEAR,
  },
  hub: {
    says: "Start it without load: jerks shake a wheel loose on its shaft.",
    look: { months: 6, why: "a hub that begins to slip shows a bright line" },
  },
  crumbs: {
    says: "A new grinding noise in the first weeks means that a crumb was still in hiding: bring it back, do not wait.",
    look: { months: 3, why: "what was washed out is known then to have been all" },
  },
  electrical: {
    says: "Keep its switch dry. If it smells or sparks, {off} and leave it so.",
    look: { months: YEAR, why: "what carries its current is tested again" },
  },
  overload: {
    says: "Less at a time, and a pause when it warms: it was worked harder than it was made for.",
    look: { months: 6, why: "what the load did to the other parts shows by then" },
  },
  pin: {
    says: "If it goes again, find out why before a new one goes in: a stronger one only moves the break.",
    look: { months: YEAR, why: "holes wear wide around a pin" },
  },
  assembly: {
    says: "Keep this sheet: it says how it was put together and with what.",
    look: { months: 6, why: "what sat wrong may have worn its neighbours" },
  },
  age: {
    says: "Plastics and rubber grow old lying still, too: use it now and then, and keep it out of sun and heat.",
    look: { months: YEAR, why: "parts of the same age follow one another" },
  },
  forced: { says: "When it does not turn, do not force it: {off}, then look for what holds it.", look: WEAR },
  dirt: {
    says: "Clean it after use, and keep sand and dust away from it.",
    look: { months: 6, why: "sand and dust grind unseen" },
  },
  spring: {
    says: "Do not let it snap back empty: springs tire by blows.",
    look: { months: YEAR, why: "a tired spring shows by its length" },
  },
  misaligned: {
    says: "A whine that comes back means that something has moved again: bring it in before it wears.",
    look: { months: 3, why: "its wear shows by then whether it stands in line" },
  },
  overfilled: {
    says: "Do not add grease to it: what is too much comes out where it does harm.",
    look: { months: YEAR, why: "it shows by then whether anything still comes out" },
  },
  "wrong-lubricant": {
    says: "Put nothing into it but what this sheet names: two lubricants that do not agree spoil each other.",
    look: { months: 6, why: "what the old lubricant did to rubber and plastic may show later" },
  },
  loosened: {
    says: "A rattle or a part that can be moved by hand: stop using it then, and bring it in.",
    look: { months: 6, why: "what was fastened shows by then whether it holds" },
  },
  "worn-out": {
    says: "It has had long use: parts of it that were not renewed are as old as the one that failed.",
    look: { months: 6, why: "what is worn next is found before it breaks" },
  },
};

/** What careOf needs to know of a unit. */
type Cared = Pick<Job, "causes" | "past" | "foodContact"> &
  Partial<Pick<Job, "kind" | "supplies" | "lubePoints" | "parts" | "steps">>;

/** A look that has nothing to do with how it failed, by what the unit has. */
function usualCare(job: Cared, has: WhatThereIs): Partial<Care> {
  if (!has.moves)
    return job.supplies?.includes("mains")
      ? { look: { months: YEAR, why: "cord, plug and switch are looked over once a year" } }
      : {};
  const wears = job.lubePoints?.length ? "lubricant and wear are" : "wear is";
  return {
    // nobody lets a clock rest because it gets warm
    says: `${has.hasMotor ? "Let it rest when it gets warm. " : ""}A new noise is worth a telephone call.`,
    look: { months: YEAR, why: `${wears} looked at once a year of the same use` },
  };
}

/** Hard daily use: everything comes twice as soon. */
const HARD = 0.5;

/** What a customer is told so that it lasts. */
export interface CareTold {
  readonly says: readonly string[];
  /** left out: nothing in it wears that anybody would look at */
  readonly look?: { readonly months: number; readonly why: string };
  /** at what sign it comes back before */
  readonly sooner: string;
}

/** Care by the causes that somebody confirmed, the next look the soonest of theirs. */
export function careOf(job: Cared): CareTold {
  const has = whatThereIs({ ...job, kind: job.kind ?? "" });
  const isRenewed = job.parts === undefined || job.parts.some((p) => p.renew);
  // where nothing was lubricated, and no air carries oil in, no lubricant is spoken of
  const isDry = job.lubePoints?.length === 0 && !job.supplies?.includes("air");
  const chosen = (job.causes.chosen ?? []).flatMap((c) => (c === "dry" && isDry ? [] : (CARE[c] ?? [])));
  const care: readonly Partial<Care>[] = chosen.length ? chosen : [usualCare(job, has)];
  const looks = care.flatMap(({ look }) =>
    look ? [look === WEAR && !(isRenewed && has.hasTeeth) ? HOLDS : look] : [],
  );
  const soonest = looks.length ? looks.reduce((a, b) => (b.months < a.months ? b : a)) : undefined;
  const hard = job.past?.load === "hard";
  return {
    says: [
      ...new Set(care.flatMap((c) => (c.says ? [forOwner(c.says, job.supplies)] : []))),
      ...(job.foodContact ? ["Wash what touches food at once after use, and let it dry."] : []),
    ],
    ...(soonest
      ? {
          look: {
            months: Math.max(1, Math.round(soonest.months * (hard ? HARD : 1))),
            why: hard ? `${soonest.why}; in hard use twice as soon` : soonest.why,
          },
        }
      : {}),
    sooner: has.keepsTime
      ? "Sooner if it stops or loses time."
      : has.moves
        ? "Sooner at the first click or new noise."
        : "Sooner if it does it again.",
  };
}

/** @example nextLookSays({ months: 6, why: "dust grinds" }) // "in 6 months of the same use: dust grinds" */
export const nextLookSays = ({ months, why }: { readonly months: number; readonly why: string }): string =>
  `in ${months === 1 ? "a month" : `${months} months`} of the same use: ${why}`;

/** How what drives a unit is taken from it, as its owner is told. */
const OFF: Readonly<Partial<Record<Supply, string>>> = {
  mains: "pull the plug",
  battery: "take the battery out",
  petrol: "stop it and pull the cap off the spark plug",
  air: "take it off the air line",
  water: "shut the water",
};
/** Words to the owner, as they fit what drives the unit: nobody pulls the plug of a clock. */
export function forOwner(says: string, supplies: readonly Supply[] = []): string {
  const offs = supplies.flatMap((s) => OFF[s] ?? []);
  const off = offs.length === 1 ? offs.join("") : "stop it";
  return capital(says.replace("{off}", off));
}

/** What can hurt at a unit, as its owner is told; undefined: it hurts only who opens it. */
export function customerCaution(hazard: Hazard, supplies?: readonly Supply[], kind = ""): string | undefined {
  const says = CUSTOMER_CAUTIONS[hazard];
  if (says === undefined) return undefined;
  const cooled = hazard === "pressure" && whatThereIs({ kind }).isCooled;
  return forOwner(says, supplies) + (cooled ? " Its refrigerant is for licensed hands only." : "");
}

/** What a customer must know of what can hurt at the unit, however well it was repaired. */
export const CUSTOMER_CAUTIONS: Readonly<Record<Hazard, string | undefined>> = {
  blade: "Before a hand comes near the blade, {off}; and do not run it without its guard.",
  spring: "A spring inside it is under force: leave its covers on.",
  "stored-charge":
    "It can hold a charge when it is switched off and disconnected: leave its inside to a workshop.",
  pressure: "It can be under pressure: let that off before anything is undone.",
  heat: "It gets hot where it works: let it cool before it is cleaned or put away.",
  fuel: "Fuel it cold and outdoors, and never run it in a closed room.",
  lithium:
    "Charge it with its own charger, not below freezing, and bring it in if a cell swells, smells or gets hot.",
  heavy: "It is heavy: lift it with two people, and stand it where it cannot tip.",
  hanging: "Never stand under what hangs on it or is held up by its spring.",
  abrasive: "Use no wheel that is out of date, chipped, or marked for less speed than it has.",
  dust: "Its dust harms the lung: clean it outdoors or wet, with a mask.",
  soiled: "Rinse it before it is brought in again, and wear gloves when it is cleaned.",
  mercury: "There is mercury in it: if it breaks, air the room, and take it to the collecting point.",
  "picture-tube": "Its tube holds high voltage and breaks inwards: leave its back on.",
  laser: "Never look into its beam, and leave its case closed.",
  restart: "It starts by itself: {off} before a hand goes in.",
  // of no use to its owner
  static: undefined,
  glass: "Glass breaks without warning once it is chipped: do not use it with a chip.",
};
