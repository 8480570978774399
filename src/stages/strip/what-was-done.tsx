"use client";

import { DONE_WITH_IT, type Understood } from "@/core/recorder/open-step";
import { KeyButton } from "@/ui/key-button";
import { doneSays } from "./understood-chips";

/** What was done, each with a figure: the first is always the way back to "lifted off". */
export function WhatWasDone({
  now,
  pick,
}: {
  now: Understood["action"];
  pick: (action: Understood["action"]) => void;
}) {
  return (
    <fieldset className="grid shrink-0 grid-cols-5 gap-1 [&>*]:!px-1.5 [&>*]:!text-[17px]">
      <legend className="sr-only">What was done</legend>
      {DONE_WITH_IT.map((action, i) => (
        <KeyButton
          key={action}
          keyName={String((i + 1) % 10)}
          className="small !min-h-[48px]"
          pressed={action === now}
          onPress={() => pick(action)}
        >
          {doneSays(action)}
        </KeyButton>
      ))}
    </fieldset>
  );
}
