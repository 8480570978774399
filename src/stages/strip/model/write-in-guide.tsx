"use client";

import { useState } from "react";
import { BACK_MOMENTS, type BackMoment } from "@/core/job/step";
import type { GuideStep } from "@/core/memory/guide";
import { WRITTEN_HERE, type WrittenGuide } from "@/core/memory/written-guide";
import { BACK_SAYS } from "@/core/order/step-words";
import { capital } from "@/core/sentence";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { useClose } from "@/ui/keys";
import { SmallChoice } from "@/ui/small-choice";
import { useJob } from "../../saving/job-context";
import { useFieldFault } from "../../saving/use-field-fault";
import { sayInGuide } from "./actions";

/** Changes what was written into the guide, and says what it was. Answers whether it was taken. */
export type WriteGuide = (written: WrittenGuide, says: string) => Promise<boolean>;

export function useWriteGuide(guide: number): { readonly write: WriteGuide; readonly fault: string | null } {
  const { run } = useJob();
  const fault = useFieldFault();
  return {
    write: async (written, says) => fault.took(await run(sayInGuide, { guide, written, says })),
    fault: fault.elsewhere(),
  };
}

const NOTE = "note";

/**
 * One step of the guide: what the next unit is told at it, what does not hold any more, and whether its place
 * is forced.
 */
export function StepOfGuide({
  step,
  written,
  write,
  fault,
  onClose,
}: {
  step: GuideStep;
  written: WrittenGuide;
  write: WriteGuide;
  fault: string | null;
  onClose: () => void;
}) {
  const [when, setWhen] = useState<BackMoment | typeof NOTE>(NOTE);
  const [typed, setTyped] = useState("");
  useClose(onClose);
  const isFree = written.free.includes(step.title);
  const add = async (): Promise<void> => {
    const says = typed.trim();
    const said = [...written.said, { step: step.title, says, ...(when === NOTE ? {} : { when }) }];
    if (await write({ ...written, said }, `at ${step.title}: ${says}`)) setTyped("");
  };
  const strike = (x: GuideStep["said"][number]): void => {
    const own = written.said.filter((s) => !(s.step === step.title && s.says === x.says));
    const next =
      x.from === WRITTEN_HERE
        ? { ...written, said: own }
        : { ...written, dropped: [...written.dropped, { step: step.title, says: x.says }] };
    void write(next, `struck at ${step.title}: ${x.says}`.slice(0, 300));
  };
  return (
    <section
      aria-label="This step of the guide"
      className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto"
    >
      <div className="flex items-start justify-between gap-2">
        <h2 className="text-[25px] leading-tight">{capital(step.title)}</h2>
        <KeyButton keyName="X" className="small" onPress={onClose}>
          Close
        </KeyButton>
      </div>
      {step.said.length > 0 && (
        <ul aria-label="Said of it">
          {step.said.map((x) => (
            <li
              key={`${x.from} ${x.says}`}
              className="flex items-center gap-2 border-b-2 border-base-300 text-[19px] leading-tight"
            >
              <span className="flex-1">
                {capital(x.says)}
                <span className="hush block text-[17px]">
                  {x.from}
                  {x.when && `, ${BACK_SAYS[x.when]}`}
                </span>
              </span>
              <button
                type="button"
                className="min-h-[48px] min-w-[48px] text-[24px] font-bold"
                aria-label={`Strike: ${x.says}`}
                onClick={() => strike(x)}
              >
                ×
              </button>
            </li>
          ))}
        </ul>
      )}
      <form
        className="flex flex-col gap-1.5"
        onSubmit={(e) => {
          e.preventDefault();
          void add();
        }}
      >
        <div className="grid grid-cols-3 gap-1.5">
          <SmallChoice pressed={when === NOTE} onPress={() => setWhen(NOTE)}>
            When it comes off
          </SmallChoice>
          {BACK_MOMENTS.map((m) => (
            <SmallChoice key={m} pressed={when === m} onPress={() => setWhen(m)}>
              {capital(BACK_SAYS[m])}
            </SmallChoice>
          ))}
        </div>
        <label className="words">
          What the next unit is told
          <input
            className="field"
            value={typed}
            maxLength={200}
            onChange={(e) => setTyped(e.target.value)}
            placeholder="turn it until it meshes"
          />
        </label>
        <KeyButton
          className="small justify-center"
          disabled={typed.trim().length < 2}
          onPress={() => void add()}
        >
          Write it in
        </KeyButton>
      </form>
      {(step.after.length > 0 || isFree) && (
        <KeyButton
          className="small"
          pressed={isFree}
          onPress={() =>
            void write(
              {
                ...written,
                free: isFree ? written.free.filter((f) => f !== step.title) : [...written.free, step.title],
              },
              isFree
                ? `the place of ${step.title} is forced, as the strips say`
                : `the place of ${step.title} is habit`,
            )
          }
        >
          {isFree ? "Its place is habit: nothing forces it" : "Nothing forces it to its place"}
        </KeyButton>
      )}
      <FaultLine says={fault} />
    </section>
  );
}
