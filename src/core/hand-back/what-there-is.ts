import { patternOf } from "../hardware/line/pattern";
import { TOOTHED_KINDS } from "../hardware/part-kind";
import { kindOf, type Part } from "../job/part";
import { FEW_STEPS, type StripStep } from "../job/step";
import type { Supply } from "../job/supply";
import type { TrainInput } from "../train/train";

/** What a unit is known by, where its last checks are chosen. */
export interface CheckedUnit {
  readonly kind: string;
  readonly supplies?: readonly Supply[];
  readonly steps?: readonly (Pick<StripStep, "id" | "back" | "hardware"> &
    Partial<Pick<StripStep, "title" | "said" | "wires">>)[];
  readonly parts?: readonly Partial<Pick<Part, "name" | "kind" | "renew">>[];
  readonly train?: TrainInput | undefined;
  readonly chambers?:
    | readonly {
        readonly name: string;
        readonly lubricant?: string | undefined;
        readonly filling?: "grease" | "oil" | undefined;
      }[]
    | undefined;
}

/** What a unit has that can be tried; what nobody knows of is not there. */
export interface WhatThereIs {
  /** something but a hand or a wound spring drives it */
  readonly isDriven: boolean;
  /** something in it turns or slides */
  readonly moves: boolean;
  readonly hasTeeth: boolean;
  readonly hasHeater: boolean;
  /** water is in it, or runs through it, when it works */
  readonly getsWet: boolean;
  /** a motor or an engine drives it: it can smell, and get warm; where nobody said, it may */
  readonly hasMotor: boolean;
  /** its motor is an electric one */
  readonly isElectric: boolean;
  /** a load hangs on it */
  readonly hangsLoads: boolean;
  /** what turns in it was taken in hand, or nobody knows; a small job, where it was not, is asked less */
  readonly wasOpened: boolean;
  /** a wound spring drives it, and nothing else */
  readonly isSprung: boolean;
  readonly keepsTime: boolean;
  /** it turns freely in the hand, and does not strike to and fro */
  readonly spins: boolean;
  /** it turns a wheel or disc that can burst */
  readonly turnsWheel: boolean;
  readonly chainBrake: "said" | "usual" | undefined;
  readonly isMicrowave: boolean;
  /** it has a refrigerant circuit */
  readonly isCooled: boolean;
  /** several speeds: as somebody said, or as its kind mostly has them */
  readonly hasSpeeds: "said" | "usual" | undefined;
  /** the ways that it can be told to run, as they are asked: "the brake", "reverse, if it has one" */
  readonly ways: readonly string[];
  /** leads were off: two that are swapped run it backwards */
  readonly wasWired: boolean;
  /** the rooms that were lubricated */
  readonly lubricated: readonly string[];
  /** those of them that a motor or an engine works: it settles there, and seeps */
  readonly settles: readonly string[];
  /** screws of it press a seal */
  readonly isSealed: boolean;
}

/** Kinds that stand still where nothing that turns was found in them. */
const STILL =
  patternOf(String.raw`\b(?:kettles?|toasters?|irons?|hot ?plates?|(?:convection |oil |panel )?heaters?|
  glue pots?|wax (?:pots?|melters?)|lamps?|lights?|chargers?|power supply|radios?|amplifiers?|heating pads?|
  blankets?|griddles?|raclettes?|egg boilers?|urns?|boilers?|sealers?|scales?|steamers?|sterili[sz]ers?|
  (?:rice |slow |egg )cookers?|hobs?|(?:bottle |food )warmers?|soldering stations?)\s*$`);
/** Kinds that have a heating element, or they would be something else. */
const HEATS = patternOf(String.raw`\b(?:kettles?|toasters?|(?:waffle |steam |soldering )?irons?|hot ?plates?|
  (?:fan |convection |panel )?heaters?|glue pots?|glue guns?|wax (?:pots?|melters?)|griddles?|raclettes?|
  egg boilers?|urns?|deep fryers?|fryers?|hair ?dryers?|heat guns?|heating pads?|steamers?|
  sterili[sz]ers?|(?:rice |slow |egg )cookers?|hobs?|(?:bottle |food )warmers?|soldering stations?)\s*$`);
/** Kinds that water goes through or stands in. */
const HOLDS_WATER = patternOf(String.raw`\b(?:kettles?|(?:water |bilge |pond |garden |circulation |sump |
  submersible )pumps?|egg boilers?|urns?|humidifiers?|steamers?|steam (?:irons?|cleaners?)|(?:pressure |dish ?)washers?|
  fountains?|espresso machines?|coffee makers?)\s*$`);
/** Kinds that have several speeds, and that run both ways: only asked, and answered by "does not apply". */
const SPEEDS_OF = patternOf(
  String.raw`\b(?:mixers?|blenders?|drills?|fans?|dryers?|drivers?|routers?|sanders?)\s*$`,
);
const MAY_REVERSE = patternOf(
  String.raw`\b(?:drills?|drivers?|screwdrivers?|mincers?|shredders?|lathes?)\s*$`,
);
const BOTH_WAYS = patternOf(
  String.raw`\b(?:winch(?:es)?|hoists?|awnings?|awning motors?|openers?|desk lifts?|actuators?)\s*$`,
);
/** A drill of paper turns one way. */
const PAPER_DRILL = /\bpaper drill\s*$/i;
const HANGS_LOADS = patternOf(
  String.raw`\b(?:hoists?|winch(?:es)?|(?:patient |scissor |stair |desk )?lifts?|jacks?)\s*$`,
);
const KEEPS_TIME = patternOf(String.raw`\b(?:clocks?|watch(?:es)?|chronometers?)\s*$`);
const STRIKES = patternOf(String.raw`\b(?:shears?|nibblers?|nailers?|staplers?|hammers?|chisels?|scalers?|
  rivet(?:er|ter)s?|guns?|pumps?|cylinders?|presses|press)\s*$`);
/** A grinder of food turns no wheel that bursts. */
const TURNS_WHEEL = patternOf(String.raw`(?:^\s*|\b(?:bench|die|disc|pedestal|straight|surface|tool|wet) )
  grinders?\s*$|\b(?:cut-?off|chop|tile|disc|concrete|circular) (?:saws?|machines?)\s*$|
  \b(?:disc|tile) cutters?\s*$`);
const CHAIN_SAWS = patternOf(String.raw`\bchain ?saws?\s*$`);
const CHAIN_BRAKE = /\bchain brake\b/i;
const COOLED = patternOf(String.raw`\b(?:fridges?|freezers?|refrigerators?|dehumidifiers?|ice makers?|
  air conditioners?|(?:wine|drinks?) coolers?|heat pumps?)\s*$`);
const SPEED_WORDS = /\bspeeds?\b|\b(?:gear|range) (?:shift|selector|change)\b|\bpotentiometer\b|\btrimpot\b/i;
const REVERSE_WORDS = /\brevers(?:e|ing|er)\b|\bdirection (?:switch|lever|slide)\b|\bforward\/reverse\b/i;
const BRAKE_WORDS = /\bbrakes?\b/i;
const LOCK_WORDS = /\block[- ]?off\b|\b(?:spindle|shaft|trigger) lock\b/i;

const MOVING: readonly string[] = [
  ...TOOTHED_KINDS, "motor", "shaft", "bearing", "bush", "belt", "chain", "fan", "roller", "brush-roll", "pulley",
  "toothed-pulley", "blade", "one-way-clutch", "brush", "slotted-wheel",
]; // biome-ignore format: a list

/**
 * What a unit has that a last check can fail on: by what drives it, its train, its parts, and what was said
 * at its strip.
 */
export function whatThereIs(unit: CheckedUnit): WhatThereIs {
  const { kind, supplies = [], steps = [], parts = [], train, chambers = [] } = unit;
  const kinds = parts.flatMap(
    (p) => kindOf({ name: p.name ?? "", ...(p.kind && { kind: p.kind }) }) ?? p.kind ?? [],
  );
  const said = [
    ...parts.map((p) => p.name),
    ...steps.flatMap((s) => [s.title, s.said, ...(s.hardware ?? []).map((h) => h.at)]),
  ]
    .filter(Boolean)
    .join("; ");
  const teeth = (train?.meshes.length ?? 0) > 0 || kinds.some((k) => TOOTHED_KINDS.includes(k));
  const isDriven = !supplies.length || supplies.some((s) => s !== "hand" && s !== "spring");
  const lubricated = chambers.flatMap((c) => (c.lubricant ? [c.name] : []));
  const pieces = steps.flatMap((s) => s.hardware ?? []);
  return {
    // what drives it is asked at Take in; where nobody said, it is thought to run
    isDriven,
    moves: teeth || kinds.some((k) => MOVING.includes(k)) || !STILL.test(kind),
    hasTeeth: teeth,
    hasHeater: kinds.includes("heater") || (supplies.includes("mains") && HEATS.test(kind)),
    getsWet: supplies.includes("water") || HOLDS_WATER.test(kind),
    hasSpeeds: SPEED_WORDS.test(said)
      ? "said"
      : SPEEDS_OF.test(kind) && !PAPER_DRILL.test(kind)
        ? "usual"
        : undefined,
    hasMotor: !supplies.length || supplies.some((s) => ["mains", "battery", "petrol", "other"].includes(s)),
    isElectric: supplies.some((s) => s === "mains" || s === "battery"),
    hangsLoads: HANGS_LOADS.test(kind),
    wasOpened:
      teeth ||
      chambers.length > 0 ||
      [...kinds, ...pieces.map((h) => h.kind)].some((k) => MOVING.includes(k)) ||
      unit.steps === undefined ||
      steps.length > FEW_STEPS,
    isSprung: supplies.includes("spring") && supplies.every((s) => s === "spring" || s === "hand"),
    keepsTime: KEEPS_TIME.test(kind),
    spins: !STRIKES.test(kind),
    turnsWheel: TURNS_WHEEL.test(kind),
    chainBrake: CHAIN_BRAKE.test(said) ? "said" : CHAIN_SAWS.test(kind) ? "usual" : undefined,
    isMicrowave: /\bmicrowaves?\b/i.test(kind),
    isCooled: COOLED.test(kind),
    ways: [
      ...(BOTH_WAYS.test(kind)
        ? ["both directions"]
        : REVERSE_WORDS.test(said)
          ? ["reverse"]
          : MAY_REVERSE.test(kind) && !PAPER_DRILL.test(kind)
            ? ["reverse, if it has one"]
            : []),
      ...(BRAKE_WORDS.test(said) ? ["the brake"] : []),
      ...(LOCK_WORDS.test(said) ? ["the lock"] : []),
    ],
    wasWired: steps.some((s) => (s.wires?.length ?? 0) > 0),
    lubricated,
    settles: isDriven ? lubricated : [],
    isSealed:
      pieces.some((h) => ["o-ring", "gasket", "seal"].includes(h.kind)) ||
      kinds.some((k) => ["gasket", "o-ring", "seal"].includes(k)) ||
      chambers.some((c) => c.filling === "oil"),
  };
}
