"use client";

import { useState } from "react";
import { SERVICE_WORDS, type ServiceName } from "@/core/job/service";
import { Choose } from "@/ui/choose";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { useClose } from "@/ui/keys";
import { SmallChoice } from "@/ui/small-choice";
import { useJob } from "../saving/job-context";
import { useFieldFault } from "../saving/use-field-fault";
import { putInWork } from "./put-in-work-action";

/** What something can be done to now: a part that is off, or a place that is still open. */
export interface WorkPlace {
  readonly key: string;
  readonly at: { readonly part: string } | { readonly reachedBy: string };
  readonly says: string;
}

const WAITS = [
  [0, "no wait"],
  [30, "30 min"],
  [60, "1 h"],
  [240, "4 h"],
  [1440, "a day"],
] as const;

/**
 * Work that turns out to be needed while the unit goes together: put into the plan before what closes over
 * it, with the time that it needs.
 */
export function PutInWork({
  places,
  first,
  onClose,
}: {
  places: readonly WorkPlace[];
  first: string | undefined;
  onClose: () => void;
}) {
  const { run } = useJob();
  const fault = useFieldFault();
  const [place, setPlace] = useState(places.find((p) => p.key === first)?.key);
  const [what, setWhat] = useState<ServiceName>();
  const [note, setNote] = useState("");
  const [wait, setWait] = useState<number>();
  useClose(onClose);
  const chosen = SERVICE_WORDS.find((s) => s.do === what);
  const usual = chosen && "waitMinutes" in chosen ? chosen.waitMinutes : 0;
  const minutes = wait ?? usual;
  const keep = async (): Promise<void> => {
    const at = places.find((p) => p.key === place)?.at;
    if (!at || !what) return;
    const said = note.trim();
    if (
      fault.took(
        await run(putInWork, {
          ...at,
          do: what,
          ...(said && { note: said }),
          ...(minutes && { waitMinutes: minutes }),
        }),
      )
    )
      onClose();
  };
  return (
    <section
      aria-label="Put in work"
      className="flex min-h-0 flex-1 flex-col gap-1.5 border-l-[6px] border-base-content bg-base-200 p-2"
    >
      <h2 className="text-[24px] leading-none">Something is to be done first</h2>
      {places.length ? (
        <div className="flex min-h-0 flex-1 flex-col gap-1.5 overflow-y-auto">
          <Choose
            label="Done to"
            options={places.map((p) => [p.key, p.says] as const)}
            value={place}
            none="choose a part, or a place"
            onChoose={setPlace}
          />
          <div className="grid grid-cols-5 gap-1.5">
            {SERVICE_WORDS.filter((s) => s.do !== "replace").map((s) => (
              <SmallChoice key={s.do} pressed={what === s.do} onPress={() => setWhat(s.do)}>
                {s.says.replace(/ (of|in)$/, "")}
              </SmallChoice>
            ))}
          </div>
          <label className="words">
            With what, and how
            <input
              className="field"
              value={note}
              maxLength={300}
              onChange={(e) => setNote(e.target.value)}
              placeholder="two-part epoxy, both faces roughened and degreased"
            />
          </label>
          <div className="grid grid-cols-5 gap-1.5">
            {WAITS.map(([m, says]) => (
              <SmallChoice
                key={m}
                label={m ? `Then it rests ${says}` : "It needs no rest"}
                pressed={minutes === m}
                onPress={() => setWait(m)}
              >
                {says}
              </SmallChoice>
            ))}
          </div>
        </div>
      ) : (
        <p className="text-[20px]">Everything is on. Take off again what it has to be done to: at Way in.</p>
      )}
      <FaultLine says={fault.elsewhere()} />
      <div className="mt-auto grid grid-cols-2 gap-1.5">
        <KeyButton
          keyName=" "
          look="main"
          className="justify-center"
          disabled={!place || !what}
          onPress={() => void keep()}
        >
          Put it into the plan
        </KeyButton>
        <KeyButton keyName="X" className="small" onPress={onClose}>
          Leave it
        </KeyButton>
      </div>
    </section>
  );
}
