"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { setLearned } from "./actions";

/** A kind of unit whose verdicts move the odds of the next. */
export interface KindToForget {
  readonly kind: string;
  readonly verdicts: number;
  /** the day before which nothing counts */
  readonly since?: string;
}

/** Kind by kind: how many verdicts count, and a key that starts it afresh or lets them count again. */
export function LearnedKinds({ kinds }: { kinds: readonly KindToForget[] }) {
  const router = useRouter();
  const [fault, setFault] = useState<string | null>(null);
  const set = async (kind: string, afresh: boolean): Promise<void> => {
    setFault(await setLearned({ kind, afresh }));
    router.refresh();
  };
  return (
    <div className="flex flex-col gap-1.5">
      <p className="says">
        Before anything is found, a cause is taken to be as likely as the verdicts on its kind tell: what
        ships weighs as much as twenty of them. A job that came back counts for no cause.
      </p>
      <ul aria-label="Kinds of unit" className="flex flex-wrap gap-x-6 gap-y-1.5">
        {kinds.map(({ kind, verdicts, since }) => (
          <li key={kind} className="flex items-center gap-3 text-[19px]">
            <span>
              <b>{kind}</b>: {verdicts} {verdicts === 1 ? "verdict" : "verdicts"}
              {since && ` since ${since}`}
            </span>
            {since ? (
              <KeyButton
                className="small"
                label={`Let all verdicts on ${kind} count again`}
                onPress={() => void set(kind, false)}
              >
                Count all again
              </KeyButton>
            ) : (
              <KeyButton
                className="small"
                look="warn"
                label={`Start afresh: no verdict on ${kind} so far counts`}
                onPress={() => void set(kind, true)}
              >
                Start afresh
              </KeyButton>
            )}
          </li>
        ))}
      </ul>
      <FaultLine says={fault} />
    </div>
  );
}
