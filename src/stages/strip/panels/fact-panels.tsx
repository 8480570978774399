"use client";

import { useState } from "react";
import { FREEING_WORDS, FREEINGS, HOLDS } from "@/core/hardware/freed";
import { PIECE_STATES, type PieceState } from "@/core/hardware/piece";
import { WIRE_COLOURS } from "@/core/hardware/shorthand-words";
import { ACTIONS, type Action, type StepFacts } from "@/core/job/step";
import { TRAY_PLACES } from "@/core/job/tray";
import { ACTION_SAYS } from "@/core/order/likely-action";
import { NAMED_HAZARDS } from "@/core/safety/cautions";
import { FaultLine } from "@/ui/fault-line";
import type { OpenStep } from "../open-step";
import { Choices, Panel, toggled } from "./panel";

export interface FactPanelProps {
  facts: StepFacts;
  /** says some facts anew; an empty one goes */
  say: (facts: StepFacts) => void;
  onClose: () => void;
}
/** What these panels change besides facts. */
interface WholeStep {
  open: OpenStep;
  set: (fields: Partial<OpenStep>) => void;
}

/** How it came off, what held it, how it was freed and with what. */
export function FreedPanel({ facts, say, set, onClose, action }: FactPanelProps & Pick<WholeStep, "set"> & { action: Action }) {
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
            <button type="button" className="key-button small" aria-pressed={!freed.standIn} onClick={() => say({ freed: { how: freed.how } })}>
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
      <Choices label="What held it" of={HOLDS} holds={(h) => held.includes(h)} onPick={(h) => say({ held: toggled(held, h) })} />
      <Choices label="It was" of={ACTIONS} columns={5} says={(a) => ACTION_SAYS[a]} holds={(a) => a === action} onPick={(a) => set({ action: a })} />
    </Panel>
  );
}

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

/** A figure from 0 to a limit, as it is typed; one beyond it is said and not taken. */
function FigureWithin({
  label,
  name,
  placeholder,
  value,
  max,
  onFigure,
  onFault,
}: {
  label: string;
  /** as the refusal calls it */
  name: string;
  placeholder: string;
  value: number | undefined;
  max: number;
  onFigure: (said: number | undefined) => void;
  onFault: (says: string | null) => void;
}) {
  const [wrong, setWrong] = useState(false);
  return (
    <label className="words">
      {label}
      <input
        className="field figure"
        inputMode="decimal"
        placeholder={placeholder}
        defaultValue={value ?? ""}
        aria-invalid={wrong ? true : undefined}
        onChange={(e) => {
          const said = e.target.value.trim().replace(",", ".");
          const figure = Number(said);
          const beyond = said !== "" && !(figure >= 0 && figure <= max);
          setWrong(beyond);
          onFault(beyond ? `${name} lie between 0 and ${max}.` : null);
          if (!beyond) onFigure(said === "" ? undefined : figure);
        }}
      />
    </label>
  );
}

type Timing = NonNullable<StepFacts["timing"]>;

/** Which way round it stood where that matters for timing, and how something adjustable was set. */
export function TimingPanel({ facts: { timing = {}, setting = "" }, say, onClose }: FactPanelProps) {
  const [fault, setFault] = useState<string | null>(null);
  const change = (said: Timing): void => {
    const known: Timing = Object.fromEntries(Object.entries({ ...timing, ...said }).filter(([, v]) => v !== undefined && v !== ""));
    say({ timing: Object.keys(known).length ? known : undefined });
  };
  return (
    <Panel title="Timing and setting" onClose={onClose}>
      <p className="says">With a cross pin and an odd number of teeth the two ways round differ by half a tooth. Say which one it was.</p>
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
        <input className="field" placeholder="2½ turns in from flush" defaultValue={setting} onChange={(e) => say({ setting: e.target.value })} />
      </label>
    </Panel>
  );
}

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
          <button type="button" key={c} className="key-button small" aria-pressed={c === colour} onClick={() => setColour(c)}>
            <span className="size-[22px] shrink-0 rounded-full border-2 border-base-content" style={{ background: SWATCHES[c] ?? c }} aria-hidden="true" />
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
            <button type="button" className="min-h-[44px] px-2 text-[22px] font-bold" aria-label={`Strike ${w.colour} to ${w.to}`} onClick={() => strike(w)}>
              ×
            </button>
          </li>
        ))}
      </ul>
    </Panel>
  );
}

const STATE_SAYS: Readonly<Record<PieceState, string>> = { lost: "lost", broken: "broke", missing: "was missing" };

/** What must not be undone, what was lost or broke, where it lies in the tray, how long it took. */
export function StatePanel({ facts, say, open, set, onClose, names, minutes }: FactPanelProps & WholeStep & { names: readonly string[]; minutes: number }) {
  const { tray = "", doNotUndo = "" } = facts;
  const [fault, setFault] = useState<string | null>(null);
  return (
    <Panel title="Lost, broken, leave alone; tray and minutes" onClose={onClose}>
      <label className="words">
        Do not undo this
        <input className="field" placeholder="the lock nut of the worm" value={doNotUndo} onChange={(e) => say({ doNotUndo: e.target.value })} />
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
