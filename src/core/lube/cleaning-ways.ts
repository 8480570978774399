import { isRubber, materialCalled } from "../grease/base-oils";
import { patternOf } from "../hardware/line/pattern";
import type { Service } from "../job/service";

/** A way to clean. */
interface Method {
  readonly method: string;
  readonly says: string;
  /** as it stands in the plan */
  readonly line: string;
  /** must be over before the part is fitted */
  readonly waitMinutes?: number;
  readonly wet: boolean;
  readonly cautions: readonly string[];
  /** materials that it attacks, and how */
  readonly attacks: readonly (readonly [materials: readonly string[], says: string])[];
}

const AIR = "Ventilate; no flame, spark or hot air near; gloves; rags into a closed tin.";

/** Source: the shop's lubrication reference; cautions are the usual ones. */
export const CLEANING = [
  {
    method: "brush",
    says: "Brush and rag, dry",
    line: "brushed and wiped out dry",
    wet: false,
    cautions: [],
    attacks: [],
  },
  {
    method: "degreaser",
    says: "Degreaser and warm water",
    line: "washed with degreaser and warm water, rinsed, dried",
    waitMinutes: 60,
    wet: true,
    cautions: ["Gloves and eye protection."],
    attacks: [],
  },
  {
    method: "spirit",
    says: "White spirit",
    line: "washed with white spirit and a brush, wiped dry",
    waitMinutes: 15,
    wet: false,
    cautions: [AIR],
    attacks: [
      [["PS", "ABS"], "white spirit cracks it under stress"],
      [["EPDM", "NR"], "it swells in white spirit"],
    ],
  },
  {
    method: "alcohol",
    says: "Isopropyl alcohol",
    line: "wiped with isopropyl alcohol",
    waitMinutes: 10,
    wet: false,
    cautions: [AIR],
    attacks: [
      [["phenolic", "shellac"], "alcohol softens it"],
      [["PMMA"], "alcohol crazes it where it is under stress"],
    ],
  },
  {
    method: "acetone",
    says: "Acetone",
    line: "wiped with acetone, dried",
    waitMinutes: 10,
    wet: false,
    cautions: [AIR, "Eye protection. Off painted faces and labels."],
    attacks: [
      [["ABS", "PC", "PS", "PMMA", "PVC", "PPO", "paint"], "acetone softens it"],
      [["NBR", "FKM"], "it swells in acetone"],
    ],
  },
  {
    method: "ultrasonic",
    says: "Ultrasonic bath",
    line: "in the ultrasonic bath, rinsed, dried",
    waitMinutes: 90,
    wet: true,
    cautions: ["No hand in the bath while it runs; no solvent that burns in it."],
    attacks: [[["felt", "paper", "leather", "wood"], "the bath takes it apart"]],
  },
  {
    method: "rust",
    says: "Rust remover, soaked",
    line: "soaked in rust remover, rinsed, dried, oiled at once",
    waitMinutes: 480,
    wet: true,
    cautions: ["Gloves and eye protection; never together with bleach."],
    attacks: [
      [["zinc", "aluminium", "magnesium"], "acid eats castings of it"],
      [["PA", "POM"], "acid eats into it"],
      [["brass"], "acid takes the zinc out of it"],
    ],
  },
  { method: "oil", says: "Oil alone", line: "wiped with oil alone", wet: false, cautions: [], attacks: [] },
] as const satisfies readonly Method[];
export type CleaningName = (typeof CLEANING)[number]["method"];
export const CLEANING_NAMES = CLEANING.map((c) => c.method) as [CleaningName, ...CleaningName[]];

/** Kinds of parts that must stay dry. */
const DRY_KINDS: Readonly<Record<string, string>> = {
  motor: "windings",
  brush: "brushes",
  switch: "a switch",
  wire: "wires",
  board: "a board",
  capacitor: "a capacitor",
  heater: "a heater",
};
/** Names of what holds electronics, a switch or a motor, where nobody said another kind. */
const HOLDS_ELECTRICS = patternOf(String.raw`
  \b(?:gear ?motor|motor|armature|stator|switch|board|sensor|solenoid|coil|display|battery|
  electronics|timer|thermostat|transformer)s?(?: (?:unit|block|assembly|module|pack))?$`);
/** What is soaked with oil or soaks water up. */
const ONLY_OIL = new Set(["phenolic", "fibre", "felt"]);
/** Other names of the metals that cleaning asks about. */
const METALS: readonly (readonly [RegExp, string])[] = [
  [/\b(?:die[- ]?cast(?:ing)?|zamak|pot metal)\b/i, "zinc"],
  [/\balumini?um\b|\balu\b/i, "aluminium"],
  [/\bmagnesium\b/i, "magnesium"],
  [/\bzinc\b/i, "zinc"],
  [/\bbrass\b/i, "brass"],
  [/\bsinter/i, "sintered"],
  [/\bfib(?:re|er)\b/i, "fibre"],
];
/** A material as the table of what is attacked calls it. */
const inTable = (said: string): string =>
  METALS.find(([word]) => word.test(said))?.[1] ?? materialCalled(said);

export interface CleaningVerdict {
  readonly method: CleaningName;
  readonly says: string;
  readonly ok: boolean;
  /** why not, or why it is the first choice; empty: nothing is to be said */
  readonly because: string;
  readonly cautions: readonly string[];
  readonly waitMinutes?: number;
}

/**
 * Why a part is not cleaned in a way; empty: it may be. What attacks anything is refused as long as nobody
 * has said what the part is made of.
 */
function whyNot(part: CleanedPart, m: Method): string {
  const { kind } = part;
  const material = part.material && inTable(part.material);
  const dryWay = m.method === "brush" || m.method === "oil";
  const dry = staysDry(part);
  if (dry && m.method !== "brush") return `nothing wet near ${dry}`;
  if (kind === "assembly" && !dryWay)
    return "what is in it nobody has said: nothing is washed that may hold a switch, a board or a motor";
  if (kind === "bearing" && m.wet) return "water stays between the balls; what is sealed is only wiped";
  if (material && ONLY_OIL.has(material) && !dryWay)
    return `${material}: only oil, it soaks up anything else`;
  if (kind === "bush" && material === "sintered" && !dryWay) return "a sintered bush soaks it up: oil alone";
  if (kind === "bush" && material === undefined && m.wet)
    return "a bush may be sintered, and holds water: say what it is made of";
  if (m.method === "rust" && (kind === "spring" || /\bspring\b/i.test(part.material ?? "")))
    return "acid makes springs brittle";
  if (material && isRubber(material) && m.method === "rust") return "no acid on rubber";
  if (material === undefined)
    return m.attacks.length
      ? `say first what it is made of: it attacks ${m.attacks.flatMap(([of]) => of).join(", ")}`
      : "";
  const attacked = m.attacks.find(([of]) => of.some((name) => name === material));
  return attacked ? `${part.material}: ${attacked[1]}` : "";
}

/** A part as it is asked about. */
export interface CleanedPart {
  readonly material?: string | undefined;
  readonly kind?: string | undefined;
  readonly name?: string | undefined;
}

/**
 * What in a part must stay dry; undefined: nothing that is known.
 *
 * @example staysDry({ kind: "motor" }) // "windings"
 */
export const staysDry = ({ kind, name = "" }: CleanedPart): string | undefined =>
  kind !== undefined && kind !== "assembly"
    ? DRY_KINDS[kind]
    : HOLDS_ELECTRICS.test(name)
      ? "a motor, a switch or a board"
      : undefined;

/**
 * Every way to clean a part, those that may be used first; rust remover comes first where water got in.
 * Material and kind are what somebody said.
 */
export function cleaningFor(part: CleanedPart, states: readonly string[] = []): CleaningVerdict[] {
  const first = (v: CleaningVerdict): number => Number(v.ok && v.method === "rust" && states.includes("wet"));
  return CLEANING.map(({ method, says, cautions, ...m }): CleaningVerdict => {
    const because = whyNot(part, { method, says, cautions, ...m });
    return {
      method,
      says,
      ok: because === "",
      because,
      cautions,
      ...("waitMinutes" in m && { waitMinutes: m.waitMinutes }),
    };
  }).sort((a, b) => Number(b.ok) - Number(a.ok) || first(b) - first(a));
}

/** What to mind when a part is cleaned in this way. */
export const cleaningCautions = (method: string | undefined): readonly string[] =>
  CLEANING.find((c) => c.method === method)?.cautions ?? [];

/** A cleaning of a part as a line of the plan. */
export function cleaningLine(part: string, name: string, method: CleaningName): Omit<Service, "id" | "do"> {
  const m: Method | undefined = CLEANING.find((c) => c.method === method);
  return {
    part,
    method,
    note: `${name}: ${m?.line ?? method}`,
    ...(m?.waitMinutes !== undefined && { waitMinutes: m.waitMinutes }),
  };
}
