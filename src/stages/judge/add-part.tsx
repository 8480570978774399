"use client";

import { useEffect, useState } from "react";
import { askShop, whatFailed } from "@/ui/ask-shop";
import { FaultLine } from "@/ui/fault-line";
import { focusNow } from "@/ui/focus-now";
import { KeyButton } from "@/ui/key-button";
import { useClose } from "@/ui/keys";
import { useJob } from "../saving/job-context";
import { useFieldFault } from "../saving/use-field-fault";
import { savePartAdded } from "./actions";
import { type StepsToAddTo, stepsToAddTo } from "./steps-to-add-to";

/**
 * A part that did not come off as one: a piece of hardware that was found bad, or something that is not
 * there. It goes back with a step.
 */
export function AddPart({ onClose }: { onClose: () => void }) {
  const { run, say, number } = useJob();
  const [steps, setSteps] = useState<StepsToAddTo>([]);
  useClose(onClose);
  const [picked, setStep] = useState<string>();
  useEffect(() => {
    const asked = new AbortController();
    askShop(`/api/jobs/${number}/steps-to-add-to`, stepsToAddTo, asked.signal)
      .then((found) => setSteps(found ?? []))
      .catch(
        (e) =>
          asked.signal.aborted ||
          say(whatFailed(e, "The steps could not be fetched", "Press “Add one” again.")),
      );
    return () => asked.abort();
  }, [number, say]);
  const step = picked ?? steps[0]?.step ?? "";
  const [hardware, setHardware] = useState("");
  const [name, setName] = useState("");
  const fault = useFieldFault();
  const pieces = steps.find((s) => s.step === step)?.hardware ?? [];
  const add = async (): Promise<void> => {
    const result = await run(savePartAdded, {
      step,
      ...(name.trim() ? { name } : {}),
      ...(hardware ? { hardware } : {}),
    });
    if (fault.took(result)) onClose();
  };
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto">
      <label className="words">
        Goes back with
        <select
          className="field !text-[18px]"
          value={step}
          onChange={(e) => {
            setStep(e.target.value);
            setHardware("");
          }}
        >
          {steps.map((s) => (
            <option key={s.step} value={s.step}>
              {s.says}
            </option>
          ))}
        </select>
      </label>
      {pieces.length > 0 && (
        <label className="words">
          Which piece
          <select
            className="field !text-[18px]"
            value={hardware}
            onChange={(e) => setHardware(e.target.value)}
          >
            <option value="">none of its hardware</option>
            {pieces.map((h) => (
              <option key={h.id} value={h.id}>
                {h.says}
              </option>
            ))}
          </select>
        </label>
      )}
      <label className="words">
        What it is called
        <input
          className="field"
          value={name}
          placeholder={hardware ? "as it lies there" : "key of the fan"}
          onChange={(e) => setName(e.target.value)}
          onKeyDown={(e) => e.key === "Enter" && void add()}
          ref={focusNow}
        />
      </label>
      <FaultLine says={fault.elsewhere()} />
      <KeyButton
        look="main"
        className="justify-center"
        onPress={() => void add()}
        disabled={!step || (!name.trim() && !hardware)}
      >
        Add it to the parts
      </KeyButton>
      <KeyButton keyName="Escape" onPress={onClose}>
        Back to the parts
      </KeyButton>
    </div>
  );
}
