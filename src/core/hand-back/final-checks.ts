/** A last check before the unit goes home. With a unit it takes a figure, judged against `min` or `max`. */
export interface FinalCheck {
  readonly check: string;
  readonly asks: string;
  readonly why: string;
  readonly unit?: string;
  readonly min?: number;
  readonly max?: number;
  /** where the limit comes from; a shop edits it to its local code */
  readonly source?: string;
}

/** The last checks for a unit, in the order they are done. Electrical limits are defaults; the local code decides. */
export function finalChecks(unit: {
  readonly supply?: string;
  readonly kind: string;
  readonly foodContact?: boolean;
  readonly protectionClass?: "I" | "II" | "III";
}): FinalCheck[] {
  const out: FinalCheck[] = [
    { check: "by-hand", asks: "Turned by hand through two full turns of the output: even, no tight spot?", why: "The motor hides what the hand feels." },
  ];
  if (unit.supply === "mains") {
    if (unit.protectionClass === "I")
      out.push({
        check: "earth-bond",
        asks: "Earth bond, with its cord",
        unit: "Ω",
        max: 0.3,
        source: "default of the shop; the local code decides",
        why: "Always after work on a mains unit.",
      });
    const min = unit.protectionClass === "I" ? 1 : 2;
    out.push({
      check: "insulation",
      asks: "Insulation at 500 V DC",
      unit: "MΩ",
      min,
      source: `default of the shop for class ${unit.protectionClass ?? "II"}; the local code decides`,
      why: "Always after work on a mains unit.",
    });
  }
  out.push(
    {
      check: "run-slow",
      asks: "Run in slowly for two minutes: no smell, no spark, no new noise?",
      why: "Grease finds its place and the first crumb shows itself.",
    },
    { check: "run-speeds", asks: "Each speed in turn: even, nothing hunting?", why: "A fault of one speed is found by the customer otherwise." },
    { check: "listen", asks: "Listened at the case: no click once a turn?", why: "A click once a turn is a tooth, and comes back on the customer’s bench." },
    { check: "seepage", asks: "Seepage looked for after the run, and wiped?", why: "What seeps now drips at home." },
  );
  if (unit.foodContact)
    out.push({ check: "food-clean", asks: "Every surface that touches food washed and dry?", why: "Bench dirt and solvent must not reach food." });
  out.push({ check: "loose-items", asks: "All the customer’s loose items with the unit?", why: "A bowl left on the shelf means a second visit." });
  return out;
}

/** Whether a measured figure passes, as a sentence; null if it does. */
export function figureFault(check: FinalCheck, value: number): string | null {
  if (!Number.isFinite(value) || value < 0) return "must be a figure of 0 or more";
  if (check.max !== undefined && value > check.max) return `${value} ${check.unit} is above the limit of ${check.max} ${check.unit}: it must not go out`;
  if (check.min !== undefined && value < check.min) return `${value} ${check.unit} is below the limit of ${check.min} ${check.unit}: it must not go out`;
  return null;
}
