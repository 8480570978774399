import { hardwareInWords } from "@/core/hardware/piece";
import type { Job } from "@/core/job/job";
import { partNamed } from "@/core/job/part";
import type { PieceRef } from "@/core/job/piece-ref";

/** A piece that came out, by name. */
export function pieceNamed(job: Pick<Job, "parts" | "steps">, piece: PieceRef): string {
  if ("part" in piece) return partNamed(job, piece.part);
  const hardware = job.steps.flatMap((s) => s.hardware ?? []).find((h) => h.id === piece.hardware);
  return hardware ? hardwareInWords({ ...hardware, at: undefined }) : "a piece";
}
