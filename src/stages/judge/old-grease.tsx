"use client";

import type { Job } from "@/core/job/job";
import { GREASE_STATES, greaseStatesIn } from "@/core/judge/failure-modes";
import { SmallChoice } from "@/ui/small-choice";
import { useJob } from "../saving/job-context";
import { saveGreaseState } from "./actions";

/** The state of the old grease, several where several hold, and what each implies. */
export function OldGrease({ states }: { states: Job["greaseStates"] }) {
  const { run } = useJob();
  return (
    <>
      <div className="grid grid-cols-3 gap-1.5">
        {GREASE_STATES.map((g) => (
          <SmallChoice
            key={g.state}
            pressed={states.includes(g.state)}
            onPress={() => void run(saveGreaseState, { state: g.state })}
          >
            {g.says}
          </SmallChoice>
        ))}
      </div>
      {greaseStatesIn(states).map((g) => (
        <p key={g.state} className={`says mt-1.5 !py-0.5 !text-[17px] ${g.state === "good" ? "" : "danger"}`}>
          {g.implies}
        </p>
      ))}
    </>
  );
}
