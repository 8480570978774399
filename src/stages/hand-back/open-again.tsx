"use client";

import { useState } from "react";
import { FaultLine } from "@/ui/fault-line";
import { focusNow } from "@/ui/focus-now";
import { KeyButton } from "@/ui/key-button";
import { useClose } from "@/ui/keys";
import { useJob } from "../saving/job-context";
import { useFieldFault } from "../saving/use-field-fault";
import { openAgain } from "./actions";

/**
 * A unit that went home is opened again, with the reason. One that comes back with a new complaint is a job
 * of its own.
 */
export function OpenAgainPanel({ onClose }: { onClose: () => void }) {
  const { run } = useJob();
  const fault = useFieldFault();
  const [why, setWhy] = useState("");
  useClose(onClose);
  return (
    <section
      aria-label="Open it again"
      className="flex flex-col gap-2 border-l-[6px] border-error bg-base-200 p-3"
    >
      <label className="words">
        Why it is opened again
        <input
          className="field"
          value={why}
          maxLength={200}
          placeholder="the guard was left on the bench"
          onChange={(e) => setWhy(e.target.value)}
          ref={focusNow}
        />
      </label>
      <p className="text-[18px]">
        The last checks are asked anew. What comes back after days, with a complaint, is taken in as a new job
        and tied to this one there.
      </p>
      <FaultLine says={fault.elsewhere()} />
      <div className="flex gap-2">
        <KeyButton
          look="warn"
          disabled={why.trim().length < 3}
          onPress={() => void run(openAgain, { why }).then((r) => fault.took(r) && onClose())}
        >
          Open it again
        </KeyButton>
        <KeyButton onPress={onClose}>Leave it</KeyButton>
      </div>
    </section>
  );
}
