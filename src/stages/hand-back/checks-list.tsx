"use client";

import type { FinalCheck } from "@/core/hand-back/final-check";
import type { Answer } from "@/core/job/answer";
import { DOES_NOT_APPLY } from "@/core/job/keys";
import { dayAs } from "@/ui/day";
import { useJob } from "../saving/job-context";
import { answerCheck } from "./actions";

const isNotHere = (a: Answer): boolean => a.answer === DOES_NOT_APPLY;
const isLeftOut = (a: Answer): boolean => a.answer === "left out";

/**
 * All the last checks: what was answered, with its figure, its time, its limit and its instrument; what is
 * open.
 */
export function ChecksList({
  checks,
  answerOf,
  now,
  closed,
}: {
  checks: readonly FinalCheck[];
  answerOf: (check: FinalCheck) => Answer | undefined;
  /** the one that is asked */
  now: FinalCheck | undefined;
  /** it went home: nothing is opened again here */
  closed: boolean;
}) {
  const { run } = useJob();
  return (
    <ol aria-label="Final checks" className="overflow-y-auto">
      {checks.map((c) => {
        const a = answerOf(c);
        return (
          <li
            key={c.check}
            className="flex min-h-[54px] items-center gap-3 border-b-2 border-base-300 text-[20px] leading-tight"
          >
            <span
              aria-hidden="true"
              className={`w-6 text-[24px] ${a ? (isLeftOut(a) ? "text-error" : "text-success") : ""}`}
            >
              {a ? (isLeftOut(a) || isNotHere(a) ? "–" : "✓") : c === now ? "▸" : "○"}
            </span>
            <span className="flex-1">
              {c.asks}
              {a?.value !== undefined && (
                <b className="figures block text-[20px]">
                  {a.value} {a.unit}
                </b>
              )}
              {a && (
                <span className="hush block text-[17px]">
                  {isLeftOut(a) && "left out, "}
                  {isNotHere(a) && "does not apply, "}
                  {[
                    a.answer === "each"
                      ? "each as said"
                      : c.choices?.find((x) => x.answer === a.answer)?.says,
                    dayAs(a.at, "HH:mm"),
                    a.note,
                    a.instrument,
                  ]
                    .filter(Boolean)
                    .join(" · ")}
                </span>
              )}
            </span>
            {a && !closed && (
              <button
                type="button"
                className="min-h-[48px] min-w-[48px] text-[24px] font-bold"
                aria-label={`Open again: ${c.asks}`}
                onClick={() => void run(answerCheck, { check: c.check, back: true })}
              >
                ×
              </button>
            )}
          </li>
        );
      })}
    </ol>
  );
}
