"use client";

import { NAMED_HAZARDS } from "@/core/safety/cautions";
import type { FactPanelProps } from "./fact-panel";
import { Choices, Panel, toggled } from "./panel";

/** Hazards named at the step; the sentence stands there from then on. */
export function CautionsPanel({ facts: { cautions = [] }, say, onClose }: FactPanelProps) {
  const chosen = NAMED_HAZARDS.filter((h) => cautions.includes(h.hazard));
  return (
    <Panel title="Cautions at this step" onClose={onClose}>
      <Choices
        label="Whoever picks this up next should know"
        of={NAMED_HAZARDS.map((h) => h.hazard)}
        columns={3}
        keys
        says={(h) => NAMED_HAZARDS.find((x) => x.hazard === h)?.name}
        holds={(h) => cautions.includes(h)}
        onPick={(h) => say({ cautions: toggled(cautions, h) })}
      />
      {chosen.map((h) => (
        <p key={h.hazard} className="says danger">
          {h.says}
        </p>
      ))}
    </Panel>
  );
}
