"use client";

import { kindCalled } from "@/core/hardware/part-kind";
import { askedKinds, type Part } from "@/core/job/part";
import { useJob } from "../saving/job-context";
import { sayKind } from "./say-kind-action";

/** Asks once what a part is whose name only hints at it; nothing where that was said. */
export function KindAsked({
  part,
  className = "",
}: {
  part: Pick<Part, "id" | "name" | "kind">;
  className?: string;
}) {
  const { run } = useJob();
  const likely = askedKinds(part);
  if (!likely.length) return null;
  return (
    <fieldset className={`flex flex-wrap items-center gap-1.5 text-[18px] ${className}`}>
      <legend className="sr-only">What is the {part.name}?</legend>
      <span>
        <b>{part.name}</b> is:
      </span>
      {likely.map((kind) => (
        <button
          key={kind}
          type="button"
          className="key-button small inferred"
          onClick={() => void run(sayKind, { part: part.id, kind })}
        >
          {kindCalled(kind)}
        </button>
      ))}
      <button
        type="button"
        className="min-h-[44px] px-2 underline"
        aria-label={`None of these: ${part.name}`}
        onClick={() => void run(sayKind, { part: part.id, kind: "other" })}
      >
        none
      </button>
    </fieldset>
  );
}
