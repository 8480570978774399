import { type Hardware, isLoose } from "../hardware/piece";
import type { Job } from "../job/job";
import { missingKey } from "../job/keys";
import type { IsBack } from "./hardware-ledger";

/** Pieces that were not in their pocket when their step went back. */
export interface Missing {
  readonly step: string;
  readonly piece: Hardware;
  /** how many of them */
  readonly qty: number;
}

/** What was not there when its step went back, and has neither been found nor renewed since. */
export function missingOf({ steps, answers }: Pick<Job, "steps" | "answers">): Missing[] {
  const said = new Map(
    answers.flatMap((a) => (a.answer === "missing" && a.value ? [[a.question, a.value] as const] : [])),
  );
  if (!said.size) return [];
  return steps.flatMap((s) =>
    (s.hardware ?? []).filter(isLoose).flatMap((piece) => {
      const qty = Math.min(piece.qty, said.get(missingKey(s.id, piece.id)) ?? 0);
      return qty > 0 ? [{ step: s.id, piece, qty }] : [];
    }),
  );
}

/** What went in in the place of what was missing, and where it came from. */
export function insteadOf({
  steps,
  answers,
}: Pick<Job, "steps" | "answers">): (Missing & { readonly from: string })[] {
  const said = new Map(
    answers.flatMap((a) => (a.answer === "renewed" && a.value ? [[a.question, a] as const] : [])),
  );
  if (!said.size) return [];
  return steps.flatMap((s) =>
    (s.hardware ?? []).flatMap((piece) => {
      const a = said.get(missingKey(s.id, piece.id));
      return a?.value ? [{ step: s.id, piece, qty: Math.min(piece.qty, a.value), from: a.note ?? "" }] : [];
    }),
  );
}

/** The count without what is missing: of a piece that is back, so many less. */
export function lessMissing(isBack: IsBack, missing: readonly Missing[]): IsBack {
  if (!missing.length) return isBack;
  return (step, piece) => {
    const where = isBack(step, piece);
    const lost =
      "hardware" in piece
        ? missing.find((m) => m.step === step.id && m.piece.id === piece.hardware)
        : undefined;
    return where === true && lost ? lost.piece.qty - lost.qty : where;
  };
}
