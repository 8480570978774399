"use client";

import { useState } from "react";
import { type Hardware, hardwareInWords, isDrawn } from "@/core/hardware/piece";
import type { Tighten } from "@/core/hardware/tightening";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { useClose } from "@/ui/keys";
import { SmallChoice } from "@/ui/small-choice";
import { type StepNamed, TightFields } from "../job-view/tight-fields";
import { useJob } from "../saving/job-context";
import { useFieldFault } from "../saving/use-field-fault";
import { sayHowTight } from "./actions";

/**
 * How tight the pieces of the line go, said where they are drawn; of pieces that differ, each for itself. It
 * stands in the record from now on.
 */
export function TightenPieces({
  step,
  hardware,
  steps,
  onClose,
}: {
  step: string;
  hardware: readonly Hardware[];
  steps: readonly StepNamed[];
  onClose: () => void;
}) {
  const { run } = useJob();
  const fault = useFieldFault();
  const pieces = hardware.filter(isDrawn);
  const [first] = pieces;
  const areAlike = pieces.every((h) => JSON.stringify(h.tighten) === JSON.stringify(first?.tighten));
  const [one, setOne] = useState<string | null>(areAlike ? null : (first?.id ?? null));
  const asked = one === null ? pieces : pieces.filter((h) => h.id === one);
  const [tight, setTight] = useState<Tighten | undefined>(asked[0]?.tighten);
  const pick = (id: string | null): void => {
    setOne(id);
    setTight((id === null ? first : pieces.find((h) => h.id === id))?.tighten);
  };
  const keep = async (): Promise<void> => {
    if (fault.took(await run(sayHowTight, { step, pieces: asked.map((h) => h.id), tighten: tight ?? null })))
      onClose();
  };
  useClose(onClose);
  return (
    <section
      aria-label="How tight"
      className="flex flex-col gap-1.5 border-l-[6px] border-base-content bg-base-200 p-2"
    >
      {pieces.length > 1 && (
        <div className="flex flex-wrap gap-1.5">
          <SmallChoice pressed={one === null} onPress={() => pick(null)}>
            All of them
          </SmallChoice>
          {pieces.map((h) => (
            <SmallChoice key={h.id} pressed={one === h.id} onPress={() => pick(h.id)}>
              {hardwareInWords(h)}
            </SmallChoice>
          ))}
        </div>
      )}
      <TightFields key={one ?? "all"} tight={tight} steps={steps} onSay={setTight} />
      <FaultLine says={fault.elsewhere()} />
      <div className="grid grid-cols-2 gap-1.5">
        <KeyButton keyName=" " look="main" className="justify-center" onPress={() => void keep()}>
          So it is
        </KeyButton>
        <KeyButton keyName="X" className="small" onPress={onClose}>
          Leave it as it was
        </KeyButton>
      </div>
    </section>
  );
}
