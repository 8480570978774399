import { TriangleAlert } from "lucide-react";
import type { Answer } from "@/core/job/answer";
import { safetyOf } from "@/core/job/keys";

/** A safety question that was skipped stays in sight, with its reason, as long as the job lives. */
export function SkippedGates({ answers }: { answers: readonly Answer[] }) {
  const skipped = answers.filter((a) => safetyOf(a.question) !== undefined && a.answer === "skipped");
  if (!skipped.length) return null;
  return (
    <span
      className="flex shrink-0 items-center gap-2 border-2 border-error px-2 py-1 text-[18px] font-semibold text-error"
      title={skipped.map((s) => s.note).join("; ")}
    >
      <TriangleAlert size={20} aria-hidden="true" /> safety skipped: {skipped.map((s) => s.note).join("; ")}
    </span>
  );
}
