"use client";

import type { Gate } from "@/core/gates/open-gates";
import type { Stage } from "@/core/job/stages";
import { KeyButton } from "@/ui/key-button";
import { GoOn } from "../frame/go-on";
import { useJob } from "../saving/job-context";
import { setStripFinished } from "./actions";

/** The pedal's action, and while no step is open the two that concern the whole strip. */
export function LayKeys({
  empty,
  last,
  editing,
  any,
  finished,
  undo,
  stage,
  gates,
  lay,
  takeBack,
}: {
  empty: boolean;
  /** what comes next if it is as it was in the last unit of the model, and what lays it down so */
  last?: { readonly title: string; readonly lay: () => void } | undefined;
  editing: boolean;
  /** something lies on the Mat */
  any: boolean;
  finished: boolean;
  /** what would be taken back; null: nothing */
  undo: string | null;
  stage: Stage;
  gates: readonly Gate[];
  lay: () => void;
  takeBack: () => void;
}) {
  const { run } = useJob();
  return (
    <div className="flex gap-2 [&>:first-child]:flex-1">
      {empty && finished ? (
        <GoOn from="strip" stage={stage} gates={gates} />
      ) : last && empty ? (
        <KeyButton
          keyName=" "
          look="main"
          onPress={last.lay}
          className="justify-center"
          label={`As last time: ${last.title}`}
        >
          As last time
        </KeyButton>
      ) : (
        <KeyButton keyName=" " look="main" onPress={lay} disabled={empty} className="justify-center">
          {editing ? "Lay it back down" : "Lay it down"}
        </KeyButton>
      )}
      {empty && any && (
        <div className="flex gap-2">
          <KeyButton
            keyName="E"
            onPress={() => void run(setStripFinished, { finished: !finished })}
            pressed={finished}
          >
            {finished ? "Strip complete ✓" : "Strip complete"}
          </KeyButton>
          <KeyButton
            keyName="Z"
            onPress={takeBack}
            disabled={undo === null}
            label={undo === null ? "Nothing to take back" : `Take back: ${undo}`}
          >
            Take back
          </KeyButton>
        </div>
      )}
    </div>
  );
}
