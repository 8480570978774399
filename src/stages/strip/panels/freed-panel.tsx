"use client";

import { FREEING_WORDS, FREEINGS, HOLDS } from "@/core/hardware/freed";
import { ACTIONS, type Action } from "@/core/job/step";
import { ACTION_SAYS } from "@/core/order/likely-action";
import type { FactPanelProps, WholeStep } from "./fact-panel";
import { Choices, Panel, toggled } from "./panel";

/** How it came off, what held it, how it was freed and with what. */
export function FreedPanel({
  facts,
  say,
  set,
  onClose,
  action,
}: FactPanelProps & Pick<WholeStep, "set"> & { action: Action }) {
  const { freed, held = [] } = facts;
  const words = freed && FREEING_WORDS[freed.how];
  return (
    <Panel title="How it came off" onClose={onClose}>
      <Choices
        label="What it took"
        of={FREEINGS}
        columns={5}
        keys
        says={(f) => f}
        holds={(f) => freed?.how === f}
        onPick={(f) => say({ freed: freed?.how === f ? undefined : { how: f } })}
      />
      {freed && words && (
        <>
          <p className="says danger">{words.caution}</p>
          <div className="grid grid-cols-2 gap-1.5">
            <button
              type="button"
              className="key-button small"
              aria-pressed={freed.tool === words.tool}
              onClick={() => say({ freed: { how: freed.how, tool: words.tool } })}
            >
              {words.tool}
            </button>
            {words.standIn && (
              <button
                type="button"
                className="key-button small"
                aria-pressed={freed.standIn === true}
                onClick={() => say({ freed: { how: freed.how, standIn: true } })}
              >
                Stand-in: {words.standIn.tool}
              </button>
            )}
          </div>
          {freed.standIn && words.standIn && <p className="says">The stand-in {words.standIn.risk}.</p>}
        </>
      )}
      <Choices
        label="What held it"
        of={HOLDS}
        holds={(h) => held.includes(h)}
        onPick={(h) => say({ held: toggled(held, h) })}
      />
      <Choices
        label="It was"
        of={ACTIONS}
        columns={5}
        says={(a) => ACTION_SAYS[a]}
        holds={(a) => a === action}
        onPick={(a) => set({ action: a })}
      />
    </Panel>
  );
}
