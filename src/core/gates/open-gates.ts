import { finalKey, safetyKey } from "../job/keys";
import type { Stage } from "../job/stages";

/** What the gates are decided from: a few facts of a job (job-facts.ts). */
export interface JobFacts {
  readonly kind: string;
  readonly model: string;
  readonly complaint: string;
  readonly consent: boolean;
  readonly safetyOpen: readonly string[];
  readonly stepsLaidDown: number;
  readonly stripFinished: boolean;
  readonly failedParts: readonly { readonly id: string; readonly name: string; readonly isGear: boolean; readonly named: boolean; readonly chosen: boolean }[];
  /** ordered and not here yet, by number */
  readonly partsAwaited: readonly string[];
  /** here and not compared yet, by number */
  readonly partsToCompare: readonly string[];
  readonly greaseChosen: boolean;
  readonly pointsUnweighed: readonly string[];
  readonly washed: boolean;
  readonly linesOpen: number;
  readonly piecesOpen: number;
  readonly finalOpen: readonly string[];
}

export interface Gate {
  readonly gate: string;
  readonly says: string;
}

/** The gates still open at a stage, each with the sentence that says what is missing. None: the job may go on. */
export function openGates(stage: Stage, f: JobFacts): Gate[] {
  const out: Gate[] = [];
  const unless = (ok: boolean, gate: string, says: string): void => {
    if (!ok) out.push({ gate, says });
  };
  switch (stage) {
    case "take-in":
      unless(f.kind.trim() !== "", "kind", "Say what kind of unit it is.");
      unless(f.model.trim() !== "", "model", "Say which model it is, or “unknown”.");
      unless(f.complaint.trim() !== "", "complaint", "Write down the complaint in the customer’s words.");
      unless(f.consent, "consent", "Ask the customer’s consent to open it and to the price limit.");
      break;
    case "strip":
      for (const q of f.safetyOpen) out.push({ gate: safetyKey(q), says: "Answer the safety gate." });
      unless(f.stepsLaidDown > 0, "steps", "Lay down the first step.");
      unless(f.stripFinished, "finished", "Say that the strip is complete.");
      break;
    case "judge":
      unless(f.failedParts.length > 0, "finding", "Judge at least one part as failed, or go back to the strip.");
      for (const p of f.failedParts) unless(!p.isGear || p.named, `identity:${p.id}`, `Name the ${p.name} from its measures.`);
      break;
    case "match":
      for (const p of f.failedParts) unless(p.chosen, `part:${p.id}`, `Choose what replaces the ${p.name}.`);
      unless(f.partsToCompare.length === 0, "compare", `Compare with the old one before it is fitted: ${f.partsToCompare.join(", ")}.`);
      unless(f.partsAwaited.length === 0, "awaited", `Still on its way: ${f.partsAwaited.join(", ")}.`);
      break;
    case "lube":
      unless(f.washed, "washed", "Say that the parts are clean and dry.");
      unless(f.greaseChosen, "grease", "Choose the grease.");
      for (const p of f.pointsUnweighed) out.push({ gate: `weigh:${p}`, says: `Weigh in the grease for: ${p}.` });
      break;
    case "rebuild":
      unless(f.linesOpen === 0, "lines", f.linesOpen === 1 ? "One line of the plan is open." : `${f.linesOpen} lines of the plan are open.`);
      unless(f.piecesOpen === 0, "ledger", `${f.piecesOpen} pieces still lie on the Mat.`);
      break;
    case "hand-back":
      for (const q of f.finalOpen) out.push({ gate: finalKey(q), says: "Answer the final checks." });
      break;
  }
  return out;
}
