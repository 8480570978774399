"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { gearBenchOf } from "@/core/job/address";
import { sizeOf } from "@/core/job/gear-notes";
import { isFailure, modesFor } from "@/core/judge/failure-modes";
import { KeyButton } from "@/ui/key-button";
import { useJob } from "../saving/job-context";
import { saveFinding } from "./actions";
import { BushMeasures } from "./bush-measures";
import type { JudgedPart } from "./judge-view";

/** How a part failed, by its kind, and whether it goes back new. */
export function WhatFailed({ part }: { part: JudgedPart }) {
  const { run, number } = useJob();
  const router = useRouter();
  const [besides, setBesides] = useState<string>();
  const { finding } = part;
  const modes = modesFor(part.kind);
  const failures = modes.filter((m) => !m.sound);
  const also = finding?.also ?? [];
  const adding = besides === part.id;
  const press = (mode: string): void => {
    setBesides(undefined);
    if (also.includes(mode)) void run(saveFinding, { part: part.id, also: also.filter((m) => m !== mode) });
    else if (adding && mode !== finding?.mode && isFailure(mode))
      void run(saveFinding, { part: part.id, also: [...also, mode] });
    else void run(saveFinding, { part: part.id, mode });
  };
  return (
    <section aria-label="Finding" className="flex min-h-0 flex-col gap-2">
      <h2 className="text-[24px]">How did it fail?</h2>
      <div className="grid min-h-0 flex-1 auto-rows-max grid-cols-2 gap-1.5 overflow-y-auto">
        {/* the usual ones first; long lists stand closer */}
        {failures.map((m, i) => (
          <KeyButton
            key={m.mode}
            keyName={i < 9 ? String(i + 1) : i === 9 ? "0" : undefined}
            className={modes.length > 8 ? "small !py-0" : ""}
            pressed={finding?.mode === m.mode || also.includes(m.mode)}
            onPress={() => press(m.mode)}
          >
            {also.includes(m.mode) ? `and ${m.says}` : m.says}
          </KeyButton>
        ))}
      </div>
      <div className="grid grid-cols-2 gap-1.5">
        {modes
          .filter((m) => m.sound)
          .map((m) => (
            <KeyButton
              key={m.mode}
              className="small"
              pressed={finding?.mode === m.mode}
              onPress={() => press(m.mode)}
            >
              {m.says}
            </KeyButton>
          ))}
        {isFailure(finding?.mode) && (
          <KeyButton
            keyName="+"
            className="small"
            pressed={adding}
            label="Something else was found at it as well"
            onPress={() => setBesides(adding ? undefined : part.id)}
          >
            {adding ? "What else was found at it?" : "And something else"}
          </KeyButton>
        )}
      </div>
      {part.kind === "bush" && <BushMeasures part={part.id} readings={part.readings} />}
      <div className={`grid gap-1.5 ${part.kind === "gear" ? "grid-cols-2" : ""}`}>
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
