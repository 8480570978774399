"use client";

import { useState } from "react";
import { BACK_MOMENTS, type BackMoment } from "@/core/job/step";
import { BACK_SAYS } from "@/core/order/step-words";
import { capital } from "@/core/sentence";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { SmallChoice } from "@/ui/small-choice";
import { NotBefore } from "../job-view/not-before";
import type { StepNamed } from "../job-view/tight-fields";
import { useJob } from "../saving/job-context";
import { useFieldFault } from "../saving/use-field-fault";
import { sayForReturn } from "./actions";

/**
 * What was found out while a step goes back, said for the next time: it stands in the plan from now on, and
 * in the strip that the next unit is compared with.
 */
export function ForReturn({ step, later }: { step: string; later: readonly StepNamed[] }) {
  const { run } = useJob();
  const fault = useFieldFault();
  const [when, setWhen] = useState<BackMoment>("before");
  const [until, setUntil] = useState("");
  const [typed, setTyped] = useState("");
  const [open, setOpen] = useState(false);
  const add = async (): Promise<void> => {
    const after = when === "after" && until ? { after: until } : {};
    if (fault.took(await run(sayForReturn, { step, when, says: typed, ...after }))) setTyped("");
  };
  if (!open)
    return (
      <KeyButton className="small self-start" onPress={() => setOpen(true)}>
        Say more for its return, the next time too …
      </KeyButton>
    );
  return (
    <form
      aria-label="For the next time"
      className="flex flex-col gap-1.5 border-l-[6px] border-base-content bg-base-200 p-2"
      onSubmit={(e) => {
        e.preventDefault();
        void add();
      }}
    >
      <div className="grid grid-cols-4 gap-1.5">
        {BACK_MOMENTS.map((m) => (
          <SmallChoice key={m} pressed={when === m} onPress={() => setWhen(m)}>
            {capital(BACK_SAYS[m])}
          </SmallChoice>
        ))}
      </div>
      {when === "after" && <NotBefore steps={later} until={until} onChoose={setUntil} />}
      <div className="grid grid-cols-[1fr_auto] items-end gap-2">
        <label className="words">
          What must happen then, the next time too
          <input
            className="field"
            value={typed}
            maxLength={200}
            onChange={(e) => setTyped(e.target.value)}
            placeholder="feel for the notch with a punch"
          />
        </label>
        <KeyButton disabled={typed.trim().length < 2} onPress={() => void add()}>
          Add it
        </KeyButton>
      </div>
      <FaultLine says={fault.elsewhere()} />
    </form>
  );
}
