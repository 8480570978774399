"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { FaultLine } from "@/ui/fault-line";
import { focusNow } from "@/ui/focus-now";
import { KeyButton } from "@/ui/key-button";
import { useClose } from "@/ui/keys";
import { useJob } from "../saving/job-context";
import { useFieldFault } from "../saving/use-field-fault";
import { failCheck, leaveOut } from "./actions";

/** A last check is answered with no: what is wrong, and where it leads back to. */
export function CheckFailed({
  check,
  mayBeLeft,
  onClose,
}: {
  check: string;
  mayBeLeft: boolean;
  onClose: () => void;
}) {
  const { run, number } = useJob();
  const router = useRouter();
  const fault = useFieldFault();
  const [says, setSays] = useState("");
  useClose(onClose);
  const fail = async (to: "rebuild" | "judge" | null): Promise<void> => {
    if (!fault.took(await run(failCheck, { check, says, to }))) return;
    if (to) router.push(`/jobs/${number}/${to}`);
    else onClose();
  };
  const ready = says.trim().length >= 3;
  return (
    <section
      aria-label="It is not so"
      className="flex flex-col gap-2 border-l-[6px] border-error bg-base-200 p-3"
    >
      <label className="words">
        What is wrong, or why it cannot be tried
        <input
          className="field"
          value={says}
          maxLength={200}
          placeholder="clicks once a turn of the output"
          onChange={(e) => setSays(e.target.value)}
          onKeyDown={(e) => {
            if (e.key !== "Escape") return;
            e.preventDefault();
            onClose();
          }}
          ref={focusNow}
        />
      </label>
      <FaultLine says={fault.elsewhere()} />
      <div className="grid grid-cols-3 gap-2">
        <KeyButton className="small" look="warn" disabled={!ready} onPress={() => void fail("rebuild")}>
          Back to Rebuild: it comes open
        </KeyButton>
        <KeyButton className="small" look="warn" disabled={!ready} onPress={() => void fail("judge")}>
          Back to Judge: a second fault
        </KeyButton>
        <KeyButton className="small" disabled={!ready} onPress={() => void fail(null)}>
          Write it down, and try again
        </KeyButton>
        {mayBeLeft && (
          <KeyButton
            className="small"
            disabled={!ready}
            onPress={() => void run(leaveOut, { check, why: says }).then((r) => fault.took(r) && onClose())}
          >
            Leave this test out, for that reason
          </KeyButton>
        )}
        <KeyButton keyName="X" className="small" onPress={onClose}>
          Close
        </KeyButton>
      </div>
      <p className="hush text-[18px]">
        What was tried so far is tried again once it has been open; its figures stay in the history.
      </p>
    </section>
  );
}
