"use client";

import { useState } from "react";
import type { StepFacts } from "@/core/job/step";
import { FaultLine } from "@/ui/fault-line";
import type { FactPanelProps } from "./fact-panel";
import { FigureWithin } from "./figure-within";
import { Choices, Panel } from "./panel";

type Timing = NonNullable<StepFacts["timing"]>;

/** Which way round it stood where that matters for timing, and how something adjustable was set. */
export function TimingPanel({ facts: { timing = {}, setting = "" }, say, onClose }: FactPanelProps) {
  const [fault, setFault] = useState<string | null>(null);
  const change = (said: Timing): void => {
    const known: Timing = Object.fromEntries(
      Object.entries({ ...timing, ...said }).filter(([, v]) => v !== undefined && v !== ""),
    );
    say({ timing: Object.keys(known).length ? known : undefined });
  };
  return (
    <Panel title="Timing and setting" onClose={onClose}>
      <p className="says">
        With a cross pin and an odd number of teeth the two ways round differ by half a tooth. Say which one
        it was.
      </p>
      <Choices
        label="At the pin"
        of={["tooth", "gap"] as const}
        columns={2}
        keys
        says={(p) => (p === "tooth" ? "a tooth" : "a gap")}
        holds={(p) => timing.pin === p}
        onPick={(p) => change({ pin: timing.pin === p ? undefined : p })}
      />
      <div className="grid grid-cols-[150px_minmax(0,1fr)] items-end gap-3">
        <FigureWithin
          label="Turns to dead centre"
          name="Turns"
          placeholder="1.5"
          value={timing.turns}
          max={100}
          onFigure={(turns) => change({ turns })}
          onFault={setFault}
        />
        <label className="words">
          Timing mark, in words
          <input
            className="field"
            placeholder="dot of the wheel at the rib of the case"
            defaultValue={timing.says ?? ""}
            onChange={(e) => change({ says: e.target.value })}
          />
        </label>
      </div>
      <FaultLine says={fault} />
      <label className="words">
        How it was set, before it was touched
        <input
          className="field"
          placeholder="2½ turns in from flush"
          defaultValue={setting}
          onChange={(e) => say({ setting: e.target.value })}
        />
      </label>
    </Panel>
  );
}
