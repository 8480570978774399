/** What must be true before the first screw, each with its reason. */
export interface SafetyQuestion {
  readonly gate: string;
  readonly asks: string;
  readonly why: string;
}

const blades = /\b(slicer|shears|trimmer|shredder|cutter|juicer|extruder|churn)\b/i;
const hot = /\b(hammer|sander|motor|extruder)\b/i;
const charged = /\b(motor|hammer|slicer|shredder|sander|blind)\b/i;

/**
 * The safety gate for a unit, worded for its supply and kind.
 *
 * Always at the end: fixed wiring, gas, pressure and refrigerant are for a licensed technician; the local code decides.
 */
export function safetyGate(unit: { readonly supply?: string; readonly kind: string; readonly foodContact?: boolean }): SafetyQuestion[] {
  const out: SafetyQuestion[] = [];
  const ask = (gate: string, asks: string, why: string): void => void out.push({ gate, asks, why });
  if (unit.supply === "mains" || unit.supply === undefined || unit.supply === "other")
    ask("unplugged", "Unplugged, with the plug in sight?", "Somebody else will plug it in for you. The plug stays where you can see it.");
  if (unit.supply === "battery")
    ask("battery-out", "Battery out, and off the bench?", "A lithium pack can start the drive, and burns when its cells are bridged by a tool.");
  if (unit.supply === "water") ask("water-off", "Water shut off and let out?", "Fixed water and gas lines are for a licensed technician.");
  if (unit.supply !== "hand" && charged.test(unit.kind))
    ask(
      "stored-charge",
      "Stored charge left to drain, and measured?",
      "A capacitor holds its charge after the plug is out. Discharging it is for a competent person.",
    );
  if (blades.test(unit.kind)) ask("blade", "Blade or tool off, or covered?", "Most cuts at the bench are from a blade that was still in.");
  if (hot.test(unit.kind)) ask("cool", "Cooled down?", "Gear cases and dies hold their heat for half an hour.");
  ask("code", "Is all of this work for the bench?", "Fixed wiring, gas, pressure and refrigerant are for a licensed technician. Follow your local code.");
  return out;
}
