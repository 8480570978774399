"use client";

import { type ReactNode, useEffect, useRef, useState } from "react";
import { listenToTypedCaliper } from "@/bench/typed-caliper";
import { type FinalCheck, limitInWords, shownFigure } from "@/core/hand-back/final-check";
import { mayNotApply } from "@/core/hand-back/final-checks";
import type { RunningWait } from "@/core/order/running-waits";
import { KeyButton } from "@/ui/key-button";
import { useLatest } from "@/ui/use-latest";
import { useJob } from "../saving/job-context";
import { answerCheck, finalDoesNotApply } from "./actions";
import { CheckFailed } from "./check-failed";
import type { LooseItem } from "./hand-back-view";
import { LooseItems } from "./loose-items";
import { NotYet } from "./not-yet";
import { PlateCurrent } from "./plate-current";
import type { TypedAnswers } from "./use-typed-answers";

const LOOSE = "loose-items";

/** What is chosen of several answers: the first, which was agreed, until another is pressed. */
const choiceOf = ({ choices }: FinalCheck, chosen: string | null): string | undefined =>
  (choices?.find((c) => c.answer === chosen) ?? choices?.[0])?.answer;

/**
 * The check that is asked now: why, its limit, what can hurt, its figure and its instrument; yes, or no and
 * where that leads.
 */
export function CheckNow({
  check,
  place,
  proposed,
  looseItems,
  cures,
  typed,
  failing,
  onFailing,
}: {
  check: FinalCheck;
  /** "3 of 19" */
  place: string;
  /** the instrument that is proposed */
  proposed: string;
  looseItems: readonly LooseItem[];
  cures: readonly RunningWait[];
  typed: TypedAnswers;
  /** it is answered with no */
  failing: boolean;
  onFailing: (failing: boolean) => void;
}) {
  const { run, say } = useJob();
  const { note, instrument, ticked } = typed;
  const [chosen, setChosen] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  // what was typed for one check, answered or left out, does not stand at the next
  const { forget } = typed;
  const asked = useRef(check.check);
  useEffect(() => {
    if (asked.current === check.check) return;
    asked.current = check.check;
    setChosen(null);
    setFault(null);
    forget();
  }, [check.check, forget]);
  const missing = looseItems.map((i) => i.name).filter((n) => !ticked.includes(n));
  const waits = check.runs && cures[0];
  const yes = async (figure = typed.figure): Promise<void> => {
    if (check.check === LOOSE && missing.length) return setFault(`Not ticked yet: ${missing.join(", ")}.`);
    const shown = check.unit ? shownFigure(figure, check) : undefined;
    if (typeof shown === "string") return setFault(shown);
    const value = shown?.value;
    const result = await run(answerCheck, {
      check: check.check,
      ...(value === undefined ? {} : { value }),
      ...(check.instrument && instrument !== null ? { instrument } : {}),
      ...(check.choices ? { choice: choiceOf(check, chosen) } : {}),
      ...(shown?.above
        ? { note: `read as > ${shown.value} ${check.unit}, the end of its range` }
        : check.may && note.trim()
          ? { note }
          : check.check === LOOSE && ticked.length
            ? { note: `ticked: ${ticked.join(", ")}`.slice(0, 200) }
            : {}),
    });
    setFault(result.ok ? null : result.says);
    if (!result.ok) say(null);
  };
  // an instrument that types need not be aimed at the field
  const arrived = useLatest((reading: string): void => {
    if (failing || waits) return;
    if (check.unit) {
      typed.setFigure(reading);
      void yes(reading);
    } else if (check.may) typed.setNote([note, reading].filter(Boolean).join(", "));
  });
  useEffect(() => listenToTypedCaliper(window, (reading) => arrived.current(reading)), [arrived]);
  return (
    <>
      <div className="flex min-h-0 shrink flex-col gap-3 overflow-y-auto p-1">
        <p className="hush text-[20px] leading-none">final check {place}</p>
        <h2 className="text-[36px] leading-[1.1]">{check.asks}</h2>
        <p className={`says text-[22px] ${failing ? "hidden" : ""}`}>
          {check.why}
          {check.source &&
            (check.min !== undefined || check.max !== undefined) &&
            ` Limit: ${limitInWords(check)}.`}
        </p>
        {check.caution && <p className="says danger text-[22px] font-semibold">{check.caution}</p>}
        {check.listenFor && <p className="says measured text-[22px]">{check.listenFor}</p>}
        {waits && <NotYet cure={waits} />}
        <div className="flex max-w-[720px] gap-4 empty:hidden">
          {check.unit && (
            <Field label={`Figure, ${check.unit}`}>
              <input
                className="field figure mt-1"
                inputMode="decimal"
                value={typed.figure}
                aria-invalid={fault ? true : undefined}
                onChange={(e) => typed.setFigure(e.target.value)}
                onKeyDown={(e) => e.key === "Enter" && void yes()}
              />
            </Field>
          )}
          {check.may && (
            <Field label={check.may}>
              <input
                className="field mt-1"
                value={note}
                maxLength={200}
                onChange={(e) => typed.setNote(e.target.value)}
              />
            </Field>
          )}
          {check.instrument && (
            <Field label={`${check.instrument}: which one`}>
              <input
                className="field mt-1"
                value={instrument ?? proposed}
                maxLength={120}
                onChange={(e) => typed.setInstrument(e.target.value)}
              />
            </Field>
          )}
        </div>
        {check.choices && (
          <fieldset className="flex flex-wrap gap-2">
            <legend className="sr-only">{check.asks}</legend>
            {check.choices.map((c) => (
              <KeyButton
                key={c.answer}
                pressed={c.answer === choiceOf(check, chosen)}
                onPress={() => setChosen(c.answer)}
              >
                {c.answer === choiceOf(check, chosen) ? "✓ " : ""}
                {c.says}
              </KeyButton>
            ))}
          </fieldset>
        )}
        {check.check === LOOSE && looseItems.length > 0 && (
          <LooseItems items={looseItems} ticked={ticked} onTick={typed.setTicked} />
        )}
        {check.check === "current" && !check.unit && <PlateCurrent typed={typed} />}
        {fault && (
          <p role="alert" className="text-[22px] font-semibold text-error">
            {fault}
          </p>
        )}
        {failing && (
          <CheckFailed
            key={check.check}
            check={check.check}
            mayBeLeft={!check.never}
            onClose={() => onFailing(false)}
          />
        )}
      </div>
      {!failing && (
        <div className="grid max-w-[760px] shrink-0 grid-cols-[minmax(0,1.6fr)_minmax(0,1fr)_minmax(0,1fr)] gap-2">
          <KeyButton
            keyName=" "
            look="main"
            onPress={() => void yes()}
            disabled={Boolean(waits)}
            className="justify-center"
          >
            {check.unit ? "Enter the figure" : "Yes, checked"}
          </KeyButton>
          <KeyButton keyName="R" look="warn" className="justify-center" onPress={() => onFailing(true)}>
            No
          </KeyButton>
          {mayNotApply(check) && (
            <KeyButton
              keyName="A"
              className="justify-center"
              onPress={() =>
                void run(finalDoesNotApply, { check: check.check }).then((r) =>
                  setFault(r.ok ? null : r.says),
                )
              }
            >
              Does not apply
            </KeyButton>
          )}
        </div>
      )}
    </>
  );
}

const Field = ({ label, children }: { label: string; children: ReactNode }) => (
  // biome-ignore lint/a11y/noLabelWithoutControl: its field is its child
  <label className="words min-w-0 flex-1">
    {label}
    {children}
  </label>
);
