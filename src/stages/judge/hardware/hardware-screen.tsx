"use client";

import { useMemo, useState } from "react";
import type { HardwareFind } from "@/core/job/reading";
import { meanOf } from "@/core/quantity/measured";
import { KeyButton } from "@/ui/key-button";
import { SmallChoice } from "@/ui/small-choice";
import { useJob } from "../../saving/job-context";
import { useDraft } from "../../saving/use-draft";
import { saveHardwareFind } from "../actions";
import { CaliperPanel } from "../gear/caliper-panel";
import { HowTight } from "./how-tight";
import { NotedFinds } from "./noted-finds";
import {
  type AskedLook,
  answerOf,
  EMPTY,
  isAsked,
  KINDS,
  type OnTheBench,
  onTheBench,
  SMALL_THING_U,
} from "./on-the-bench";
import { useBenchReadings } from "./use-bench-readings";
import { WhatItMayBe } from "./what-it-may-be";

/**
 * The hardware bench: what a bearing, thread, pin, clip, O-ring, belt, brush or capacitor is, by caliper and
 * by what is printed on it; how tight a screw goes; with what to press.
 */
export function HardwareScreen({ finds, draft }: { finds: readonly HardwareFind[]; draft: unknown }) {
  const { run } = useJob();
  const [bench, setBench] = useDraft<OnTheBench>("hardware.bench", draft, onTheBench, EMPTY);
  const { kind, sizes: asked, readings, goesTo, take, tile } = useBenchReadings(bench, setBench);
  const [caliper, setCaliper] = useState(false);
  const answer = useMemo(() => answerOf(bench), [bench]);
  const first = answer.says === "odds" ? answer.hypotheses[0] : answer.says === "named" ? answer : undefined;
  const typed = kind.typed && isAsked(bench, kind.typed.of) ? kind.typed : undefined;
  const printed = typed ? (bench.typed[`${kind.kind}.${typed.what}`] ?? "").trim() : "";
  const look = (l: AskedLook) => {
    const at = `${kind.kind}.${l.what}`;
    const seen = bench.looks?.[at];
    const set = (value: string | undefined): void =>
      setBench(({ looks, ...now }) => ({
        ...now,
        looks: Object.fromEntries([
          ...Object.entries(looks ?? {}).filter(([k]) => k !== at),
          ...(value ? [[at, value]] : []),
        ]),
      }));
    return (
      <fieldset key={at} className="flex flex-wrap items-center gap-2">
        <legend className="words float-left mr-1">{l.label}</legend>
        {l.options.map(([value, says]) => (
          <SmallChoice
            key={value}
            pressed={seen === value}
            onPress={() => set(seen === value ? undefined : value)}
          >
            {says}
          </SmallChoice>
        ))}
      </fieldset>
    );
  };
  const note = (): void => {
    if (!first) return;
    const sizes = asked.filter(([w]) => readings(w).length).map(([w, label]) => `${label.toLowerCase()} ${meanOf(readings(w).map((r) => r.value), SMALL_THING_U).value.toFixed(2)}`); // biome-ignore format: one line of words
    const from = [
      sizes.length ? `${sizes.join(", ")} mm` : "",
      printed && typed ? `${typed.label.toLowerCase()}: ${printed}` : "",
    ]
      .filter(Boolean)
      .join("; ");
    const sources = new Set(asked.flatMap(([w]) => readings(w).map((r) => r.source)));
    if (printed) sources.add("typed");
    void run(saveHardwareFind, {
      find: {
        name: [first.name, "more" in first && first.more].filter(Boolean).join(", ").slice(0, 80),
        from: from.slice(0, 200),
        ...("probability" in first ? { sure: first.probability } : {}),
        source: [...sources].join(", ").slice(0, 80),
      },
    });
  };
  return (
    <div className="grid h-full grid-cols-[minmax(0,7.4fr)_minmax(0,4.6fr)] gap-5">
      <section aria-label="What is it?" className="flex min-h-0 flex-col gap-2">
        <div className="flex flex-wrap gap-2">
          {KINDS.map((k) => (
            <KeyButton
              key={k.kind}
              keyName={k.keyName}
              className="small"
              pressed={k.kind === kind.kind}
              onPress={() => setBench((now) => ({ ...now, kind: k.kind }))}
            >
              {k.says}
            </KeyButton>
          ))}
        </div>
        <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto pr-1">
          {caliper && goesTo && (
            <CaliperPanel
              goesTo={goesTo[1]}
              send={(text) => void take(goesTo[0], text, "practice caliper")}
            />
          )}
          {kind.looks?.filter((l) => isAsked(bench, l.of)).map(look)}
          <div className="grid grid-cols-3 gap-2.5">{asked.map(tile)}</div>
          {typed && (
            <div>
              <label className="words mb-1" htmlFor="bench-typed">
                {typed.label}
              </label>
              <input
                id="bench-typed"
                className="field"
                placeholder={typed.hint}
                autoComplete="off"
                maxLength={80}
                value={bench.typed[`${kind.kind}.${typed.what}`] ?? ""}
                onChange={(e) => {
                  const [at, text] = [`${kind.kind}.${typed.what}`, e.target.value];
                  setBench((now) => ({ ...now, typed: { ...now.typed, [at]: text } }));
                }}
              />
            </div>
          )}
          <WhatItMayBe answer={answer} />
        </div>
        <div className="flex gap-3">
          <KeyButton keyName="C" pressed={caliper} onPress={() => setCaliper(!caliper)} disabled={!goesTo}>
            Practice caliper
          </KeyButton>
          <KeyButton
            keyName=" "
            look="main"
            disabled={!first}
            onPress={note}
            className="flex-1 justify-center"
          >
            {first ? `Note it: ${first.name}` : "Note it"}
          </KeyButton>
        </div>
      </section>
      <section aria-label="How tight?" className="flex min-h-0 flex-col gap-2 overflow-y-auto">
        <h2 className="text-[24px]">How tight?</h2>
        <HowTight
          input={bench.torque}
          maker={bench.maker ?? ""}
          change={(torque) => setBench((now) => ({ ...now, torque }))}
          changeMaker={(maker) => setBench(({ maker: _, ...now }) => (maker ? { ...now, maker } : now))}
        />
        <NotedFinds finds={finds} />
      </section>
    </div>
  );
}
