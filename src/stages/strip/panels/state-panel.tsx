"use client";

import { useState } from "react";
import { PIECE_STATES, type PieceState } from "@/core/hardware/piece";
import { TRAY_PLACES } from "@/core/job/tray";
import { FaultLine } from "@/ui/fault-line";
import type { FactPanelProps, WholeStep } from "./fact-panel";
import { FigureWithin } from "./figure-within";
import { Choices, Panel } from "./panel";

const STATE_SAYS: Readonly<Record<PieceState, string>> = {
  lost: "lost",
  broken: "broke",
  missing: "was missing",
};

/** What must not be undone, what was lost or broke, where it lies in the tray, how long it took. */
export function StatePanel({
  facts,
  say,
  open,
  set,
  onClose,
  names,
  minutes,
}: FactPanelProps & WholeStep & { names: readonly string[]; minutes: number }) {
  const { tray = "", doNotUndo = "" } = facts;
  const [fault, setFault] = useState<string | null>(null);
  return (
    <Panel title="Lost, broken, leave alone; tray and minutes" onClose={onClose}>
      <label className="words">
        Do not undo this
        <input
          className="field"
          placeholder="the lock nut of the worm"
          value={doNotUndo}
          onChange={(e) => say({ doNotUndo: e.target.value })}
        />
      </label>
      {names.map((name) => (
        <Choices
          key={name}
          label={name}
          of={PIECE_STATES}
          columns={3}
          says={(s) => STATE_SAYS[s]}
          holds={(s) => open.partStates[name] === s}
          onPick={(s) =>
            set({
              partStates:
                open.partStates[name] === s
                  ? Object.fromEntries(Object.entries(open.partStates).filter(([k]) => k !== name))
                  : { ...open.partStates, [name]: s },
            })
          }
        />
      ))}
      <fieldset>
        <legend className="words">It lies in the tray at</legend>
        <div className="grid grid-cols-8 gap-1">
          {TRAY_PLACES.map((place) => (
            <button
              type="button"
              key={place}
              className="key-button small !min-h-[48px] justify-center"
              aria-pressed={tray === place}
              onClick={() => say({ tray: tray === place ? "" : place })}
            >
              {place}
            </button>
          ))}
        </div>
        <div className="mt-1.5 grid grid-cols-[1fr_1fr] gap-1.5">
          <button
            type="button"
            className="key-button small justify-center"
            aria-pressed={tray === "magnet strip"}
            onClick={() => say({ tray: tray === "magnet strip" ? "" : "magnet strip" })}
          >
            magnet strip
          </button>
          <input
            aria-label="Bag with number"
            className="field !min-h-[48px]"
            placeholder="bag, number"
            value={/^bag /.test(tray) ? tray.slice(4) : ""}
            onChange={(e) => say({ tray: e.target.value.trim() ? `bag ${e.target.value.trim()}` : "" })}
          />
        </div>
      </fieldset>
      <FigureWithin
        label={`Minutes, by the clock ${minutes.toFixed(1)}`}
        name="Minutes"
        placeholder={minutes.toFixed(1)}
        value={facts.minutes}
        max={600}
        onFigure={(said) => say({ minutes: said })}
        onFault={setFault}
      />
      <FaultLine says={fault} />
    </Panel>
  );
}
