import type { Job } from "../../job/job";
import type { Part } from "../../job/part";
import type { StripStep } from "../../job/step";

/** A unit as it comes to Hand back: what was said of it from the counter on. */
export interface CheckedUnit
  extends Partial<Omit<Job, "parts" | "steps" | "causes" | "chambers" | "lubePoints" | "supplies">> {
  readonly kind: string;
  readonly supplies: Job["supplies"];
  /** parts, with how they failed: those go back new, and were bought at the counter */
  readonly parts: readonly Known[];
  readonly steps?: readonly Partial<StripStep>[];
  readonly causes?: readonly string[];
  /** chamber → what it was lubricated with */
  readonly greased?: Readonly<Record<string, string>>;
}
interface Known {
  readonly name: string;
  readonly kind?: Part["kind"];
  /** how it failed */
  readonly mode?: string;
}

const part = (name: string, kind?: Part["kind"], mode?: string): Known => ({
  name,
  ...(kind ? { kind } : {}),
  ...(mode ? { mode } : {}),
});
const gears = [part("crown wheel", "gear", "missing-teeth"), part("pinion", "gear")];
const greased = { "gear case": "Olmen G-2" };
/** So many steps, each with four screws that were counted. */
const steps = (n: number, ...special: readonly Partial<StripStep>[]): Partial<StripStep>[] => [
  ...special,
  ...Array.from({ length: n - special.length }, () => ({
    hardware: [{ id: "h", kind: "screw" as const, qty: 4, thread: "M4" }],
  })),
];

/** Units of kinds that the demo does not have, as they come to Hand back; the last three are small jobs. */
export const CHECKED_UNITS: readonly CheckedUnit[] = [
  {
    kind: "glue pot",
    supplies: ["mains"],
    protectionClass: "I",
    complaint: "stays cold",
    parts: [part("ring element", "heater", "broken"), part("thermostat", "switch")],
    steps: steps(4),
    hazards: ["heat"],
    causes: ["electrical"],
  },
  {
    kind: "earth auger",
    supplies: ["petrol"],
    complaint: "turns, bites nothing",
    parts: [...gears, part("output seal", "seal", "hardened")],
    steps: steps(8),
    greased,
    hazards: ["fuel", "blade"],
    causes: ["jam"],
  },
  {
    kind: "air shear",
    supplies: ["air"],
    complaint: "no force",
    parts: [part("rotor", "shaft"), part("end plate o-ring", "o-ring", "torn")],
    steps: steps(5),
    hazards: ["blade"],
    causes: ["dry"],
  },
  {
    kind: "pruning shears",
    supplies: ["battery"],
    complaint: "stops half way",
    parts: gears,
    steps: steps(7),
    greased,
    hazards: ["blade", "lithium"],
    looseItems: ["charger", "repair kit"],
    home: { ends: { charger: "back", "repair kit": "used" } },
    causes: ["overload"],
  },
  {
    kind: "carriage clock",
    supplies: ["spring"],
    complaint: "stops at night",
    parts: [part("centre wheel", "gear")],
    steps: steps(9),
    greased: { pivots: "Tarn clock oil" },
    hazards: ["spring"],
    looseItems: ["key"],
    nothingFailed: "service",
    causes: ["dry"],
  },
  {
    kind: "lawn sprinkler drive",
    supplies: ["water"],
    complaint: "does not sweep",
    parts: [...gears, part("inlet seal", "seal")],
    steps: steps(6),
    causes: ["dirt"],
  },
  {
    kind: "hand mangle",
    supplies: ["hand"],
    complaint: "slips",
    parts: [
      part("top roller", "roller", "worn"),
      part("drive wheel", "gear", "worn"),
      part("pinion", "gear"),
    ],
    steps: steps(7),
    greased: { "open gears": "Olmen G-2" },
    causes: ["worn-mate"],
  },
  {
    kind: "chain hoist",
    supplies: ["mains"],
    protectionClass: "I",
    complaint: "lets the load creep",
    parts: [...gears, part("brake disc", undefined, "worn")],
    steps: steps(11),
    greased: { "gear case": "Brack gear oil 220" },
    hazards: ["hanging", "heavy"],
    causes: ["worn-out"],
  },
  {
    kind: "oil heater",
    supplies: ["mains"],
    protectionClass: "I",
    complaint: "trips the breaker",
    parts: [part("element", "heater", "broken")],
    steps: steps(4),
    hazards: ["heat"],
    causes: ["water"],
    home: { cordM: 20, heaterKw: 6 },
  },
  {
    kind: "fan heater",
    supplies: ["mains"],
    protectionClass: "II",
    complaint: "smells",
    parts: [part("fan wheel", "fan"), part("element", "heater"), part("motor", "motor")],
    steps: steps(6),
    nothingFailed: "service",
    services: [{ id: "v1", do: "clean", method: "brush" }],
    causes: ["dirt"],
  },
  {
    kind: "paper drill",
    supplies: ["mains"],
    protectionClass: "I",
    complaint: "belt squeals",
    parts: [part("drive belt", "belt", "hardened"), part("motor pulley", "pulley")],
    steps: steps(5),
    hazards: ["blade"],
    causes: ["age"],
  },
  {
    kind: "model railway turntable",
    supplies: ["mains"],
    protectionClass: "III",
    complaint: "jerks",
    parts: gears,
    steps: steps(7),
    causes: ["crumbs"],
  },
  {
    kind: "awning motor",
    supplies: ["mains"],
    protectionClass: "I",
    complaint: "hums",
    parts: gears,
    steps: steps(8, { wires: [{ colour: "black", to: "up" }] }),
    greased,
    hazards: ["hanging", "restart"],
    causes: ["fatigue"],
  },
  {
    kind: "dough mixer",
    supplies: ["mains"],
    protectionClass: "I",
    complaint: "grinds",
    parts: gears,
    steps: steps(10),
    greased,
    foodContact: true,
    looseItems: ["hook"],
    causes: ["fatigue"],
    greaseStates: ["crumbs"],
  },
  {
    kind: "waffle iron",
    supplies: ["mains"],
    protectionClass: "I",
    complaint: "lid drops",
    parts: [part("hinge pin", "pin", "sheared")],
    steps: steps(3),
    foodContact: true,
    hazards: ["heat"],
    causes: ["pin"],
  },
  {
    kind: "paint pump",
    supplies: ["mains"],
    protectionClass: "I",
    complaint: "no pressure",
    parts: [part("eccentric gear", "gear"), part("piston packing", "seal", "torn")],
    steps: steps(9, { back: [{ when: "calibrate", says: "200 bar on the gauge" }] }),
    greased,
    hazards: ["pressure"],
    causes: ["wrong-part"],
  },
  {
    kind: "cordless drill",
    supplies: ["battery"],
    complaint: "slips in second gear",
    parts: [part("planet carrier", "gear", "worn")],
    steps: steps(8, { said: "speed selector slides off" }),
    greased,
    hazards: ["lithium"],
    causes: ["hub"],
  },
  {
    kind: "chain saw",
    supplies: ["petrol"],
    complaint: "chain brake does not hold",
    parts: [part("brake band", undefined, "worn"), part("clutch drum", undefined)],
    steps: steps(5),
    hazards: ["blade", "fuel"],
    causes: ["worn-out"],
  },
  {
    kind: "bench grinder",
    supplies: ["mains"],
    protectionClass: "I",
    complaint: "rumbles",
    parts: [part("front bearing", "bearing", "slack"), part("rear bearing", "bearing", "slack")],
    steps: steps(7),
    hazards: ["abrasive"],
    causes: ["bearing"],
    home: { plateRpm: 2950 },
  },
  {
    kind: "drinks cooler",
    supplies: ["mains"],
    protectionClass: "I",
    complaint: "fan stands still",
    parts: [part("fan motor", "motor", "burnt")],
    steps: steps(5),
    hazards: ["pressure"],
    foodContact: true,
    causes: ["motor"],
  },
  // small jobs
  {
    kind: "desk lamp",
    supplies: ["mains"],
    protectionClass: "II",
    complaint: "flickers",
    parts: [part("cord switch", "switch", "contacts")],
    steps: steps(2),
    causes: ["electrical"],
  },
  {
    kind: "nail clipper motor",
    supplies: ["battery"],
    complaint: "dead",
    parts: [part("trigger switch", "switch", "dead")],
    steps: steps(3),
    hazards: ["lithium"],
    causes: ["electrical"],
  },
  {
    kind: "tower fan",
    supplies: ["mains"],
    protectionClass: "II",
    complaint: "cord is cut",
    parts: [part("cord", "wire", "chafed")],
    steps: steps(3),
    causes: ["forced"],
  },
];
