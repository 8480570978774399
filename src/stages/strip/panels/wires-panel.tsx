"use client";

import { useState } from "react";
import { WIRE_COLOURS } from "@/core/hardware/line/lexicon";
import type { FactPanelProps } from "./fact-panel";
import { Panel } from "./panel";

const COLOURS = [...new Set(Object.values(WIRE_COLOURS))];
const SWATCHES: Readonly<Record<string, string>> = {
  "green-yellow": "linear-gradient(135deg, #4b9b3a 50%, #e8d13a 50%)",
  brown: "#7a4a22",
  grey: "#8b8d8f",
  turquoise: "#4fb5ac",
  violet: "#6d4a9c",
};

/** Wires: colour → terminal. */
export function WiresPanel({ facts: { wires = [] }, say, onClose }: FactPanelProps) {
  const [colour, setColour] = useState(COLOURS[0] ?? "black");
  const [to, setTo] = useState("");
  const add = (): void => {
    if (!to.trim()) return;
    say({ wires: [...wires, { colour, to: to.trim() }] });
    setTo("");
  };
  const strike = (w: (typeof wires)[number]): void => say({ wires: wires.filter((x) => x !== w) });
  return (
    <Panel title="Wires: colour, and the terminal it goes to" onClose={onClose}>
      <div className="grid grid-cols-4 gap-1.5">
        {COLOURS.map((c) => (
          <button
            type="button"
            key={c}
            className="key-button small"
            aria-pressed={c === colour}
            onClick={() => setColour(c)}
          >
            <span
              className="size-[22px] shrink-0 rounded-full border-2 border-base-content"
              style={{ background: SWATCHES[c] ?? c }}
              aria-hidden="true"
            />
            {c}
          </button>
        ))}
      </div>
      <div className="grid grid-cols-[1fr_auto] items-end gap-2">
        <label className="words">
          {colour} goes to
          <input
            className="field figure"
            autoComplete="off"
            placeholder="L1"
            value={to}
            onChange={(e) => setTo(e.target.value)}
            onKeyDown={(e) => {
              if (e.key !== "Enter") return;
              if (to.trim()) add();
              else e.currentTarget.blur();
            }}
          />
        </label>
        <button type="button" className="key-button" onClick={add} disabled={!to.trim()}>
          Add the wire
        </button>
      </div>
      <ul aria-label="Wires" className="flex flex-wrap gap-2">
        {wires.map((w) => (
          <li key={`${w.colour}${w.to}`} className="chip">
            {w.colour} → {w.to}
            <button
              type="button"
              className="min-h-[44px] px-2 text-[22px] font-bold"
              aria-label={`Strike ${w.colour} to ${w.to}`}
              onClick={() => strike(w)}
            >
              ×
            </button>
          </li>
        ))}
      </ul>
    </Panel>
  );
}
