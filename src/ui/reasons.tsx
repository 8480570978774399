import { Check, X } from "lucide-react";

/** What speaks for and against something, each with its mark. */
export function Reasons({ reasons }: { reasons: readonly { readonly against: boolean; readonly says: string }[] }) {
  return (
    <>
      {reasons.map((r) => (
        <li key={r.says} className="flex gap-1.5 py-0.5">
          {r.against ? (
            <X size={20} className="shrink-0 text-error" aria-label="against" />
          ) : (
            <Check size={20} className="shrink-0 text-success" aria-label="for" />
          )}
          {r.says}
        </li>
      ))}
    </>
  );
}
