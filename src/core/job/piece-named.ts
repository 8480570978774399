import { hardwareInWords } from "../hardware/piece";
import type { Job } from "./job";
import { partNamed } from "./part";
import type { PieceRef } from "./piece-ref";

/** A piece that came out, by name. @param placed with where it sat: of two that are alike otherwise */
export function pieceNamed(job: Pick<Job, "parts" | "steps">, piece: PieceRef, placed = false): string {
  if ("part" in piece) return partNamed(job, piece.part);
  const hardware = job.steps.flatMap((s) => s.hardware ?? []).find((h) => h.id === piece.hardware);
  if (!hardware) return "a piece";
  const { at, ...bare } = hardware;
  return [hardwareInWords(bare), placed && at].filter(Boolean).join(", ");
}
