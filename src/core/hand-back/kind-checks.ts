import type { GoingHome } from "../job/going-home";
import type { Hazard } from "../job/hazard";
import type { Supply } from "../job/supply";
import type { FinalCheck } from "./final-check";
import type { WhatThereIs } from "./what-there-is";

/** What is tried because of what drives the unit, and of what kind it is. */
interface KindUnit {
  readonly supplies?: readonly Supply[];
  readonly hazards?: readonly Hazard[] | undefined;
  readonly looseItems?: readonly string[];
  readonly home?: Pick<GoingHome, "plateRpm"> | undefined;
}

/** Checks by supply and by kind, in the order they are tried: what holds still first, then what runs. */
export function kindChecks(unit: KindUnit, has: WhatThereIs): FinalCheck[] {
  const { supplies = [] } = unit;
  return [
    ...(has.turnsWheel ? [WHEEL] : []),
    ...supplies.flatMap((s) => BY_SUPPLY[s]?.(unit, has) ?? []),
    ...(has.turnsWheel || (supplies.includes("air") && has.spins) ? [freeSpeed(unit)] : []),
    ...(has.isMicrowave ? MICROWAVE : []),
    ...(has.isCooled ? COOLED : []),
    ...(has.hangsLoads ? [HOLDS_ITS_LOAD] : []),
  ];
}

const BATTERY_WHOLE = "Battery whole, not swollen, contacts clean, and it sits firmly";

const BY_SUPPLY: Readonly<
  Partial<Record<Supply, (unit: KindUnit, has: WhatThereIs) => readonly FinalCheck[]>>
> = {
  petrol: ({ hazards }, has) => [
    hazards?.includes("blade")
      ? {
          check: "petrol-idle",
          asks:
            "At idle its tool stands still, its throttle moves only with the lock-off pressed " +
            "(if it has one), and the stop switch stops it at once?",
          why: "A tool that creeps at idle takes hold of what is beside it.",
          runs: true,
          caution: "Outdoors, nobody before the tool; the exhaust burns a hand.",
        }
      : {
          check: "petrol-idle",
          asks: "Idles evenly, and the stop switch stops it at once?",
          why: "What does not stop at the switch is stopped by a hand.",
          runs: true,
          caution: "Outdoors: its exhaust is poison, and burns a hand.",
        },
    ...(has.chainBrake
      ? [
          {
            check: "chain-brake",
            asks:
              `Chain brake${has.chainBrake === "usual" ? ", if it has one" : ""}: ` +
              "set by hand at full speed, and the chain stands at once?",
            why: "It is there for the kick that nobody sees coming.",
            runs: true as const,
            caution: "Saw held down with both hands, bar clear of everything.",
          },
        ]
      : []),
    {
      check: "petrol-leaks",
      asks: "Dry at tank, cap, line and carburettor, after the run and laid on its side?",
      why: "What seeps catches fire at the next hot exhaust.",
      caution: "No flame, no spark, doors open; the exhaust has cooled.",
    },
  ],
  air: () => [
    {
      check: "air-trigger",
      asks: "Trigger let go: it stops by itself, and no air is heard at trigger, joints and hose?",
      why: "A valve that hangs lets it run on in somebody’s hand.",
      runs: true,
      caution: "At the pressure on its plate, no more; ears and eyes protected.",
    },
  ],
  water: () => [
    {
      check: "water-tight",
      asks: "Dry all round at full pressure, and while it drains?",
      why: "A seal that holds still water may leak when it moves.",
    },
  ],
  battery: ({ looseItems = [] }) => [
    {
      check: "battery",
      asks: looseItems.some((i) => /\bcharger\b/i.test(i))
        ? `${BATTERY_WHOLE}; its charger charges it, and says when it is full?`
        : `${BATTERY_WHOLE}?`,
      why: "A loose contact looks like a motor that is worn out.",
      caution: "A swollen or dented pack is not charged: outside, on stone, and to the collecting point.",
    },
  ],
};

const WHEEL: FinalCheck = {
  check: "wheel",
  asks: "Wheel or disc: the speed printed on it not below the unit’s, in date, not chipped or cracked?",
  why: "A wheel that is run above its own speed bursts. Where it goes home without one, this does not apply.",
};

/** Free speed: a figure against the plate where somebody read it, a yes where nobody can. */
function freeSpeed({ home }: KindUnit): FinalCheck {
  const base = {
    check: "free-speed",
    why: "A governor that was left out, or a wrong wheel in its train, lets it run too fast.",
    instrument: "Tachometer",
    reads: "plateRpm",
    runs: true,
    caution: "Guard on, nobody in line with what turns, a minute before it is measured.",
  } as const;
  return home?.plateRpm === undefined
    ? {
        ...base,
        asks: "Free speed not above the plate’s?",
        may: "Speed measured, and on the plate, rpm",
      }
    : {
        ...base,
        asks: "Free speed, by a tachometer",
        unit: "rpm",
        max: home.plateRpm,
        source: "its plate",
      };
}

/** EN 60335-2-25: 50 W/m² at 5 cm from any part, which is 5 mW/cm². */
const LEAKAGE_MW_CM2 = 5;

const MICROWAVE: readonly FinalCheck[] = [
  {
    check: "door-interlocks",
    asks: "Door straight, seals clean; opened while it runs it stops at once, each time of five?",
    why: "The door switches are all that stands between it and a face.",
    runs: true,
    caution: "Case on. It never runs with its case off or its door bent.",
  },
  {
    check: "microwave-leakage",
    asks: "Leakage round door and case, with its water load in",
    why: "After any work inside. By somebody who may measure it, with a meter that is in date.",
    instrument: "Leakage meter",
    unit: "mW/cm²",
    max: LEAKAGE_MW_CM2,
    source: "EN 60335-2-25, 5 cm from the surface; the local code decides",
    runs: true,
    caution: "A licensed or trained hand only; 275 ml of water in it, never empty.",
  },
];

const COOLED: readonly FinalCheck[] = [
  {
    check: "refrigerant",
    asks: "Refrigerant circuit not opened here; or, if it was, by licensed hands, with their paper?",
    why: "Opening and filling it is licensed work nearly everywhere.",
  },
];

const HOLDS_ITS_LOAD: FinalCheck = {
  check: "holds-load",
  asks: "Holds its rated load without creeping, and lowers it as slowly as it should?",
  why: "A brake that holds nothing in the air is no brake.",
  caution:
    "Nobody under or beside the load. " +
    "Where the local code wants a licensed test for lifting gear, it is theirs to do.",
};
