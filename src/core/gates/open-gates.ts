import { finalKey, safetyKey } from "../job/keys";
import type { Stage } from "../job/stages";

/** What the gates are decided from: a few facts of a job (job-facts.ts). */
export interface JobFacts {
  readonly kind: string;
  readonly model: string;
  readonly complaint: string;
  readonly consent: boolean;
  /** what drives it was said */
  readonly supplySaid: boolean;
  /** it hangs on the mains, and nobody has named its class */
  readonly classOpen: boolean;
  /** what can hurt at it was said; nothing is an answer */
  readonly hazardsSaid: boolean;
  readonly safetyOpen: readonly string[];
  /** questions of the safety gate that sat inside, and are not answered yet */
  readonly safetyLater: readonly string[];
  readonly stepsLaidDown: number;
  readonly stripFinished: boolean;
  /** it ends without its repair: it goes back together, or it does not */
  readonly ending: { readonly together: boolean } | undefined;
  /** nothing failed, and that was said */
  readonly nothingFailed: boolean;
  /** parts that go back new: is it known what they are, and where they come from */
  readonly failedParts: readonly {
    readonly id: string;
    readonly name: string;
    readonly isGear: boolean;
    readonly named: boolean;
    readonly chosen: boolean;
    /** chosen out of the catalogue, and neither ordered nor taken out of the drawer */
    readonly toOrder: boolean;
    /** what goes in with it, and nobody has said where it comes from */
    readonly companionsOpen: readonly string[];
  }[];
  /**
   * parts that were found bad and do not go back new; settled: it is said what mends them, or why they may
   * stay
   */
  readonly keptParts: readonly { readonly id: string; readonly name: string; readonly settled: boolean }[];
  /** ordered and not here yet, by number */
  readonly partsAwaited: readonly string[];
  /** here and not compared yet, by number */
  readonly partsToCompare: readonly string[];
  /** there are chambers, or it is said why nothing is lubricated */
  readonly lubeSaid: boolean;
  /**
   * chambers that get a lubricant: how many points, whether one was taken, and whether some of the points
   * have none
   */
  readonly chambersOpen: readonly {
    readonly name: string;
    readonly points: number;
    readonly taken: boolean;
    readonly lacks: boolean;
  }[];
  readonly pointsUnweighed: readonly string[];
  /** the same of oil, which is measured in */
  readonly pointsUnfilled: readonly string[];
  /** its kind mostly touches food, a lubricant goes in, and nobody has said whether it does */
  readonly foodAsked: boolean;
  readonly washed: boolean;
  readonly linesOpen: number;
  readonly piecesOpen: number;
  /** kinds of pieces of which nobody said how many there were */
  readonly uncounted: number;
  /** what was not there when it should have gone back, in words */
  readonly missing: readonly string[];
  readonly finalOpen: readonly string[];
  /** it leaves the shop, and nobody has signed for it or said why not */
  readonly unsigned: boolean;
}

export interface Gate {
  readonly gate: string;
  readonly says: string;
}

/**
 * The gates still open at a stage, each with the sentence that says what is missing. None: the job may go on.
 */
export function openGates(stage: Stage, f: JobFacts): Gate[] {
  const out: Gate[] = [];
  const unless = (ok: boolean, gate: string, says: string): void => {
    if (!ok) out.push({ gate, says });
  };
  // what is not repaired is not judged, matched or lubricated, and only what goes back together is rebuilt
  if (
    f.ending &&
    (stage === "judge" ||
      stage === "match" ||
      stage === "lube" ||
      (stage === "rebuild" && !f.ending.together))
  )
    return out;
  switch (stage) {
    case "take-in":
      unless(f.kind.trim() !== "", "kind", "Say what kind of unit it is.");
      unless(f.model.trim() !== "", "model", "Say which model it is, or “unknown”.");
      unless(f.complaint.trim() !== "", "complaint", "Write down the complaint in the customer’s words.");
      unless(f.supplySaid, "supply", "Say what drives it.");
      unless(!f.classOpen, "class", "Look for its mark, and say which protection class it has.");
      unless(f.hazardsSaid, "hazards", "Say what can hurt at it, or that nothing does.");
      unless(f.consent, "consent", "Ask the customer’s consent to open it and to the price limit.");
      break;
    case "strip":
      for (const q of f.safetyOpen) out.push({ gate: safetyKey(q), says: "Answer the safety gate." });
      unless(f.stepsLaidDown > 0, "steps", "Lay down the first step.");
      for (const asks of f.safetyLater)
        out.push({ gate: `safety-later:${asks}`, says: `Not answered at the safety gate yet: ${asks}` });
      unless(f.stripFinished, "finished", "Say that the strip is complete.");
      break;
    case "judge":
      unless(
        f.failedParts.length + f.keptParts.length > 0 || f.nothingFailed,
        "finding",
        "Say what was found: judge a part, or say that nothing failed.",
      );
      for (const p of f.keptParts)
        unless(
          p.settled,
          `settle:${p.id}`,
          `Say what is done about the ${p.name}: it was found bad, and it does not go back new.`,
        );
      for (const p of f.failedParts)
        unless(
          !p.isGear || p.named,
          `identity:${p.id}`,
          `Name the ${p.name} or its number, or say at Match where it comes from.`,
        );
      break;
    case "match":
      for (const p of f.failedParts)
        unless(p.chosen, `part:${p.id}`, `Say what replaces the ${p.name}, or where it comes from.`);
      for (const p of f.failedParts)
        unless(
          !p.toOrder,
          `order:${p.id}`,
          `The ${p.name} is chosen and not in hand: order it in the basket, or say where it comes from.`,
        );
      for (const p of f.failedParts)
        for (const c of p.companionsOpen)
          out.push({
            gate: `with:${p.id}`,
            says: `Say where this comes from: ${c}. It goes in with the new ${p.name}.`,
          });
      unless(
        f.partsToCompare.length === 0,
        "compare",
        `Compare with the old one before it is fitted: ${f.partsToCompare.join(", ")}.`,
      );
      unless(f.partsAwaited.length === 0, "awaited", `Still on its way: ${f.partsAwaited.join(", ")}.`);
      break;
    case "lube":
      unless(f.washed, "washed", "Say that the parts are clean and dry.");
      unless(!f.foodAsked, "food", "Say whether it touches food: then only H1 goes in.");
      unless(f.lubeSaid, "grease", "Say which places take a lubricant, or why none does.");
      for (const c of f.chambersOpen) {
        if (c.points === 0)
          out.push({
            gate: `points:${c.name}`,
            says: `Say where in the ${c.name} it goes, or that it gets none.`,
          });
        else if (!c.taken)
          out.push({
            gate: `lubricant:${c.name}`,
            says: `Choose the lubricant for the ${c.name}, or say that it gets none.`,
          });
        else
          unless(
            !c.lacks,
            `lacks:${c.name}`,
            `A point of the ${c.name} has no lubricant yet: nothing on the shelf may go there.`,
          );
      }
      for (const p of f.pointsUnweighed)
        out.push({ gate: `weigh:${p}`, says: `Weigh in what goes to: ${p}.` });
      for (const p of f.pointsUnfilled)
        out.push({ gate: `weigh:${p}`, says: `Fill in and write down what goes to: ${p}.` });
      break;
    case "rebuild":
      unless(
        f.linesOpen === 0,
        "lines",
        f.linesOpen === 1 ? "One line of the plan is open." : `${f.linesOpen} lines of the plan are open.`,
      );
      if (f.missing.length)
        out.push({
          gate: "missing",
          says: `Find what is missing, or say what went in instead: ${f.missing.join("; ")}.`,
        });
      else unless(f.piecesOpen === 0, "ledger", `${f.piecesOpen} pieces still lie on the Mat.`);
      unless(f.uncounted === 0, "uncounted", "Say how many there were of what nobody counted at the strip.");
      break;
    case "hand-back":
      for (const q of f.finalOpen) out.push({ gate: finalKey(q), says: "Answer the final checks." });
      unless(!f.unsigned, "signed", "Sign for it, or say why it is not signed.");
      break;
  }
  return out;
}
