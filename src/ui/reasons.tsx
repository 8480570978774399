import { Check, TriangleAlert, X } from "lucide-react";
import type { ReactNode } from "react";

const MARKS = {
  for: [Check, "text-success"],
  against: [X, "text-error"],
  look: [TriangleAlert, "text-error"],
} as const;

/** A reason with its mark: for it, against it, or to be looked at. `about` stands before it, in bold. */
export function Reason({
  speaks,
  about,
  children,
  className = "",
}: {
  speaks: keyof typeof MARKS;
  about?: string;
  children: ReactNode;
  className?: string;
}) {
  const [Mark, tone] = MARKS[speaks];
  return (
    <li className={`flex gap-2 ${className}`}>
      <Mark size={22} className={`mt-0.5 shrink-0 ${tone}`} aria-label={speaks} />
      <span>
        {about !== undefined && <b>{about}:</b>} {children}
      </span>
    </li>
  );
}

/** What speaks for and against something. */
export function Reasons({
  reasons,
  className = "py-0.5",
}: {
  reasons: readonly { readonly against: boolean; readonly says: string }[];
  className?: string;
}) {
  return (
    <>
      {reasons.map((r, i) => (
        <Reason key={i} speaks={r.against ? "against" : "for"} className={className}>
          {r.says}
        </Reason>
      ))}
    </>
  );
}
