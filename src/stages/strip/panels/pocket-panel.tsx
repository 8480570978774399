"use client";

import { useState } from "react";
import { KeyButton } from "@/ui/key-button";
import { useKey } from "@/ui/keys";
import { needsOfPocket, type Pocket } from "@/ui/pocket";
import { Panel } from "./panel";

/** So many pockets are offered at first: what had to be off before is mostly near. */
const NEAREST = 12;

/** One pocket of the Mat taken in hand: its order, its bundle, its place; or the whole step once more. */
export function PocketPanel({
  pockets,
  at,
  onMove,
  onTakeUp,
  onSlide,
  onNeeds,
  onBundle,
  onClose,
}: {
  pockets: readonly Pocket[];
  at: number;
  onMove: (to: number) => void;
  /** left out while the step is on its way from the shop */
  onTakeUp: (() => void) | undefined;
  onSlide: (to: number) => void;
  onNeeds: (needs: readonly string[]) => void;
  onBundle: (other: string) => void;
  onClose: () => void;
}) {
  const [all, setAll] = useState(false);
  const pocket = pockets[at];
  useKey("ArrowLeft", () => onMove(Math.max(0, at - 1)));
  useKey("ArrowRight", () => onMove(Math.min(pockets.length - 1, at + 1)));
  if (!pocket) return null;
  const needs = needsOfPocket(pockets, at).flatMap((i) => pockets[i]?.step ?? []);
  const before = pockets[at - 1];
  return (
    <Panel title={`Pocket ${at + 1}: ${pocket.title}`} onClose={onClose}>
      <p className="hush text-[18px]">
        ← → pick up the next pocket. Or drag a pocket on the Mat: to an edge to slide it, on the upper half to
        bundle, on the lower half to tie.
      </p>
      <KeyButton
        keyName="Enter"
        look="main"
        className="!min-h-[52px] justify-center !text-[21px]"
        disabled={!onTakeUp}
        onPress={() => onTakeUp?.()}
      >
        Edit this step
      </KeyButton>
      <div className="grid grid-cols-2 gap-1.5">
        <KeyButton keyName="[" className="small" disabled={at === 0} onPress={() => onSlide(at - 1)}>
          Slide left, it came off earlier
        </KeyButton>
        <KeyButton
          keyName="]"
          className="small"
          disabled={at === pockets.length - 1}
          onPress={() => onSlide(at + 1)}
        >
          Slide right, it came off later
        </KeyButton>
        <KeyButton
          keyName="U"
          className="small"
          disabled={!before}
          pressed={before !== undefined && pocket.bundle !== undefined && before.bundle === pocket.bundle}
          onPress={() => before && onBundle(before.step)}
        >
          As one with pocket {at}
        </KeyButton>
        <KeyButton keyName="0" className="small" pressed={needs.length === 0} onPress={() => onNeeds([])}>
          Needed nothing
        </KeyButton>
      </div>
      <fieldset>
        <legend className="words">What had to be off before it</legend>
        <div className="grid grid-cols-2 gap-1.5">
          {pockets
            .map((p, i) => ({ p, i }))
            .filter(({ i }) => i !== at)
            .sort((a, b) => Math.abs(a.i - at) - Math.abs(b.i - at))
            .filter(({ p }, near) => all || near < NEAREST || needs.includes(p.step))
            .sort((a, b) => a.i - b.i)
            .map(({ p, i }) => {
              const on = needs.includes(p.step);
              return (
                <button
                  type="button"
                  key={p.step}
                  className="key-button small"
                  aria-pressed={on}
                  onClick={() => onNeeds(on ? needs.filter((s) => s !== p.step) : [...needs, p.step])}
                >
                  <span className="figures">{i + 1}</span>
                  <span className="truncate">{p.title}</span>
                </button>
              );
            })}
        </div>
        {!all && pockets.length - 1 > NEAREST && (
          <KeyButton keyName="G" className="small mt-1.5" onPress={() => setAll(true)}>
            All {pockets.length - 1} others, not only the nearest
          </KeyButton>
        )}
      </fieldset>
    </Panel>
  );
}
