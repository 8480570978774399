"use client";

import { useState } from "react";
import { BACK_MOMENTS, type BackMoment } from "@/core/job/step";
import { OFTEN_SAID } from "@/core/order/often-said";
import { BACK_SAYS } from "@/core/order/step-words";
import { capital } from "@/core/sentence";
import { KeyButton } from "@/ui/key-button";
import { NotBefore } from "../../job-view/not-before";
import type { StepNamed } from "../../job-view/tight-fields";
import type { FactPanelProps } from "./fact-panel";
import { Choices, Panel } from "./panel";

/**
 * What must happen around the return of this step: lines of the rebuild plan of one's own, each at its
 * moment.
 */
export function GoesBackPanel({
  facts: { back = [] },
  say,
  onClose,
  steps,
}: FactPanelProps & {
  /** what goes back later than this step, and may be waited for */
  steps: readonly StepNamed[];
}) {
  const [until, setUntil] = useState("");
  const [when, setWhen] = useState<BackMoment>("before");
  const [typed, setTyped] = useState("");
  const add = (says: string, at: BackMoment): void => {
    if (says.trim().length < 2 || back.some((b) => b.when === at && b.says === says.trim())) return;
    const step = at === "after" && until ? { step: until } : {};
    say({ back: [...back, { when: at, says: says.trim(), ...step }] });
    setTyped("");
  };
  const drop = (i: number): void => {
    const left = back.filter((_, k) => k !== i);
    say({ back: left.length ? left : undefined });
  };
  /** The one before it of the same moment: what is said for one moment comes in the order of the list. */
  const before = (i: number): number => back.findLastIndex((b, k) => k < i && b.when === back[i]?.when);
  const earlier = (i: number): void => {
    const at = before(i);
    const [own, other] = [back[i], back[at]];
    if (own && other) say({ back: back.map((b, k) => (k === at ? own : k === i ? other : b)) });
  };
  return (
    <Panel title="Goes back with …" onClose={onClose}>
      <Choices
        label="When"
        of={BACK_MOMENTS}
        columns={4}
        keys
        says={(w) => capital(BACK_SAYS[w])}
        holds={(w) => when === w}
        onPick={setWhen}
      />
      {when === "after" && <NotBefore steps={steps} until={until} onChoose={setUntil} />}
      <form
        className="grid grid-cols-[1fr_auto] items-end gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          add(typed, when);
        }}
      >
        <label className="words">
          What is to be done, or looked at
          <input
            className="field"
            value={typed}
            maxLength={200}
            onChange={(e) => setTyped(e.target.value)}
            placeholder="feel for the notch with a punch"
          />
        </label>
        <KeyButton disabled={typed.trim().length < 2} onPress={() => add(typed, when)}>
          Add it
        </KeyButton>
      </form>
      {back.length > 0 && (
        <ul aria-label="Said for its return">
          {back.map((b, i) => (
            <li
              key={`${b.when} ${b.says}`}
              className="flex items-center gap-2 border-b-2 border-base-300 text-[19px] leading-tight"
            >
              <span className="flex-1">
                {capital(b.says)}
                <span className="hush block text-[17px]">{BACK_SAYS[b.when]}</span>
              </span>
              {before(i) >= 0 && (
                <button
                  type="button"
                  className="min-h-[48px] min-w-[48px] text-[24px] font-bold"
                  aria-label={`Earlier: ${b.says}`}
                  onClick={() => earlier(i)}
                >
                  ↑
                </button>
              )}
              <button
                type="button"
                className="min-h-[48px] min-w-[48px] text-[24px] font-bold"
                aria-label={`Take away: ${b.says}`}
                onClick={() => drop(i)}
              >
                ×
              </button>
            </li>
          ))}
        </ul>
      )}
      <Choices
        label="Often said"
        of={OFTEN_SAID.map(([says]) => says)}
        columns={2}
        holds={(says) => back.some((b) => b.says === says)}
        onPick={(says) => {
          const at = back.findIndex((b) => b.says === says);
          if (at >= 0) return drop(at);
          add(says, OFTEN_SAID.find((p) => p[0] === says)?.[1] ?? when);
        }}
      />
    </Panel>
  );
}
