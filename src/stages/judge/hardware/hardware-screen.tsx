"use client";

import { useMemo, useState } from "react";
import type { HardwareFind } from "@/core/job/reading";
import { meanOf } from "@/core/quantity/measured";
import { KeyButton } from "@/ui/key-button";
import { useJob } from "../../saving/job-context";
import { useDraft } from "../../saving/use-draft";
import { saveHardwareFind } from "../actions";
import { CaliperPanel } from "../gear/caliper-panel";
import { HowTight } from "./how-tight";
import { NotedFinds } from "./noted-finds";
import { answerOf, EMPTY, KINDS, type OnTheBench, onTheBench, SMALL_THING_U } from "./on-the-bench";
import { useBenchReadings } from "./use-bench-readings";
import { WhatItMayBe } from "./what-it-may-be";

/** The hardware bench: what a bearing, thread, pin, circlip or O-ring is, by caliper; how tight a screw goes; with what to press. */
export function HardwareScreen({ finds, draft }: { finds: readonly HardwareFind[]; draft: unknown }) {
  const { run } = useJob();
  const [bench, setBench] = useDraft<OnTheBench>("hardware.bench", draft, onTheBench, EMPTY);
  const { kind, readings, goesTo, take, tile } = useBenchReadings(bench, setBench);
  const [caliper, setCaliper] = useState(false);
  const answer = useMemo(() => answerOf(bench, kind.kind), [bench, kind.kind]);
  const first = typeof answer === "object" ? answer?.hypotheses[0] : undefined;
  const from = kind.asks.filter(([w]) => readings(w).length).map(([w, label]) => `${label.toLowerCase()} ${meanOf(readings(w).map((r) => r.value), SMALL_THING_U).value.toFixed(2)}`).join(", "); // biome-ignore format: one line of words
  return (
    <div className="grid h-full grid-cols-[minmax(0,7.4fr)_minmax(0,4.6fr)] gap-5">
      <section aria-label="What is it?" className="flex min-h-0 flex-col gap-2">
        <div className="flex flex-wrap gap-2">
          {KINDS.map((k) => (
            <KeyButton key={k.kind} keyName={k.keyName} className="small" pressed={k === kind} onPress={() => setBench((now) => ({ ...now, kind: k.kind }))}>
              {k.says}
            </KeyButton>
          ))}
          <KeyButton keyName="C" className="small ml-auto" pressed={caliper} onPress={() => setCaliper(!caliper)}>
            Practice caliper
          </KeyButton>
        </div>
        <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto pr-1">
          {caliper && goesTo && <CaliperPanel goesTo={goesTo[1]} send={(text) => void take(goesTo[0], text, "practice caliper")} />}
          <div className="grid grid-cols-3 gap-2.5">{kind.asks.map(tile)}</div>
          <WhatItMayBe answer={answer} />
        </div>
        <KeyButton
          keyName=" "
          look="main"
          disabled={!first}
          onPress={() =>
            first &&
            void run(saveHardwareFind, {
              find: {
                name: first.name,
                from: `${from} mm`,
                sure: first.probability,
                source: [...new Set(kind.asks.flatMap(([w]) => readings(w).map((r) => r.source)))].join(", "),
              },
            })
          }
          className="justify-center"
        >
          {first ? `Note it: ${first.name}` : "Note it"}
        </KeyButton>
      </section>
      <section aria-label="How tight?" className="flex min-h-0 flex-col gap-2 overflow-y-auto">
        <h2 className="text-[24px]">How tight?</h2>
        <HowTight input={bench.torque} change={(torque) => setBench((now) => ({ ...now, torque }))} />
        <NotedFinds finds={finds} />
      </section>
    </div>
  );
}
