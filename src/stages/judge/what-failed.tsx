"use client";

import { useRouter } from "next/navigation";
import { gearBenchOf } from "@/core/job/address";
import { sizeOf } from "@/core/job/gear-notes";
import { modesFor } from "@/core/judge/failure-modes";
import { KeyButton } from "@/ui/key-button";
import { useJob } from "../saving/job-context";
import { saveFinding } from "./actions";
import { BushMeasures } from "./bush-measures";
import type { JudgedPart } from "./judge-view";

/** How a part failed, by its kind, and whether it goes back new. */
export function WhatFailed({ part }: { part: JudgedPart }) {
  const { run, number } = useJob();
  const router = useRouter();
  const { finding } = part;
  const modes = modesFor(part.kind);
  return (
    <section aria-label="Finding" className="flex min-h-0 flex-col gap-2 overflow-y-auto">
      <h2 className="text-[24px]">How did it fail?</h2>
      <div className="grid grid-cols-2 gap-1.5">
        {/* the usual ones first; long lists stand closer */}
        {modes.map((m, i) => (
          <KeyButton
            key={m.mode}
            keyName={i < 9 ? String(i + 1) : i === 9 ? "0" : undefined}
            className={modes.length > 8 ? "small !py-0" : ""}
            pressed={finding?.mode === m.mode}
            onPress={() => void run(saveFinding, { part: part.id, mode: m.mode })}
          >
            {m.says}
          </KeyButton>
        ))}
      </div>
      {part.kind === "bush" && <BushMeasures part={part.id} readings={part.readings} />}
      <div className={`grid gap-1.5 ${part.kind === "gear" ? "mt-auto grid-cols-2" : ""}`}>
        <KeyButton
          keyName="R"
          pressed={part.renew === true}
          look="warn"
          onPress={() => void run(saveFinding, { part: part.id, renew: !part.renew })}
        >
          {part.renew ? "✓ Goes back new" : "Goes back new"}
        </KeyButton>
        {part.kind === "gear" && (
          <KeyButton
            keyName="G"
            look="main"
            className="!px-2 !text-[19px]"
            onPress={() => router.push(gearBenchOf(number, part.id))}
          >
            {finding?.identity
              ? `Gear bench: ${finding.identity.teeth} teeth, ${sizeOf(finding.identity)}`
              : "Measure and name it"}
          </KeyButton>
        )}
      </div>
    </section>
  );
}
