"use client";

import { useRouter } from "next/navigation";
import type { Gate } from "@/core/gates/open-gates";
import { STAGE_NAMES, type Stage, stageAfter } from "@/core/job/stages";
import { KeyButton } from "@/ui/key-button";
import { useJob } from "../saving/job-context";
import { goOn } from "./go-on-action";

/** The main action at the end of a stage: on to the next, or what still stands in the way. */
export function GoOn({
  from,
  stage,
  gates,
  keyName = " ",
}: {
  from: Stage;
  stage: Stage;
  gates: readonly Gate[];
  keyName?: string;
}) {
  const { number, run } = useJob();
  const router = useRouter();
  const next = stageAfter(from);
  if (!next) return null;
  const passed = stage !== from;
  const go = async (): Promise<void> => {
    if (passed) return router.push(`/jobs/${number}/${stage}`);
    const result = await run(goOn, { from });
    if (result.ok) router.push(`/jobs/${number}/${next}`);
  };
  return (
    <div className="flex flex-col gap-2">
      {gates.length > 0 && (
        <ul className="says danger !py-1" aria-label={passed ? "What is open again" : "What is still open"}>
          {[...new Set(gates.map((g) => g.says))].slice(0, 2).map((says) => (
            <li key={says}>▲ {says}</li>
          ))}
        </ul>
      )}
      <KeyButton
        keyName={keyName}
        look="main"
        onPress={() => void go()}
        disabled={!passed && gates.length > 0}
        className="w-full justify-center"
      >
        {passed ? `Back to ${STAGE_NAMES[stage]}` : `On to ${STAGE_NAMES[next]}`}
      </KeyButton>
    </div>
  );
}
