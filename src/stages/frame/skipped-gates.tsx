import { TriangleAlert } from "lucide-react";

/** A safety question that was skipped stays in sight, with its reason, as long as the job lives. */
export function SkippedGates({ reasons }: { reasons: readonly string[] }) {
  if (!reasons.length) return null;
  return (
    <span
      className="flex shrink-0 items-center gap-2 border-2 border-error px-2 py-1 text-[18px] font-semibold text-error"
      title={reasons.join("; ")}
    >
      <TriangleAlert size={20} aria-hidden="true" /> safety skipped: {reasons.join("; ")}
    </span>
  );
}
