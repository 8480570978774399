"use client";

import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { useClose } from "@/ui/keys";
import { useJob } from "../saving/job-context";
import { useFieldFault } from "../saving/use-field-fault";
import { causeFound, ruleOut } from "./actions";
import { takeOffAgain } from "./way-in/actions";

/** Something that can be behind the "no" at a check, and what came of looking. */
export interface SuspectNow {
  readonly id: string;
  readonly says: string;
  readonly tell: string;
  /** the step that comes off again, while it is back, and what that is called */
  readonly off?: { readonly step: string; readonly says: string };
  /** looked at, and not that */
  readonly out: boolean;
  /** it was that */
  readonly found: boolean;
}

/**
 * What can be behind the "no", what is tried soonest first: each is ruled out, or it was that, and what has
 * to come off for it comes off again.
 */
export function FindCause({
  line,
  suspects,
  onClose,
}: {
  line: string;
  suspects: readonly SuspectNow[];
  onClose: () => void;
}) {
  const { run } = useJob();
  const fault = useFieldFault();
  useClose(onClose);
  const off = async (step: string): Promise<void> => {
    if (fault.took(await run(takeOffAgain, { step }))) onClose();
  };
  return (
    <section aria-label="Find the cause" className="flex flex-col gap-1">
      <h3 className="text-[21px] leading-none">What it can be, the soonest tried first</h3>
      <ol className="flex flex-col">
        {suspects.map((s) => (
          <li
            key={s.id}
            className="grid grid-cols-[minmax(0,1fr)_auto] items-start gap-x-2 border-b-2 border-base-300 py-1.5"
          >
            <span className="leading-tight">
              <span className={`block text-[20px] font-semibold ${s.out ? "line-through" : ""}`}>
                {s.says}
              </span>
              {!s.out && <span className="block text-[19px]">{s.tell}</span>}
              {s.found && (
                <b className="block text-[19px] text-success">
                  It was that: written down. Put it right, and ask again.
                </b>
              )}
            </span>
            <span className="flex w-[150px] flex-col gap-1">
              {s.found && s.off && (
                <KeyButton
                  className="small justify-center"
                  look="warn"
                  label={`Take off again: ${s.off.says}`}
                  onPress={() => void off(s.off?.step ?? "")}
                >
                  Take it off
                </KeyButton>
              )}
              {!s.found && (
                <>
                  <KeyButton
                    className="small justify-center"
                    pressed={s.out}
                    label={`Not that: ${s.says}`}
                    onPress={() => void run(ruleOut, { line, suspect: s.id, out: !s.out }).then(fault.took)}
                  >
                    Not that
                  </KeyButton>
                  {!s.out && (
                    <KeyButton
                      className="small justify-center"
                      label={`It was that: ${s.says}`}
                      onPress={() => void run(causeFound, { line, suspect: s.id }).then(fault.took)}
                    >
                      It was that
                    </KeyButton>
                  )}
                </>
              )}
            </span>
          </li>
        ))}
      </ol>
      <FaultLine says={fault.elsewhere()} />
    </section>
  );
}
