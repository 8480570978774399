"use client";

import { type ReactNode, useEffect, useRef, useState } from "react";
import { listenToTypedCaliper } from "@/bench/typed-caliper";
import { type FinalCheck, limitInWords, shownFigure } from "@/core/hand-back/final-check";
import { mayNotApply } from "@/core/hand-back/final-checks";
import type { GoingHome } from "@/core/job/going-home";
import type { RunningWait } from "@/core/order/running-waits";
import { KeyButton } from "@/ui/key-button";
import { useLatest } from "@/ui/use-latest";
import { useJob } from "../saving/job-context";
import { answerCheck, finalDoesNotApply } from "./actions";
import { CheckFailed } from "./check-failed";
import { EndOfEach } from "./end-of-each";
import type { LooseItem } from "./hand-back-view";
import { NotYet } from "./not-yet";
import { ReadAtUnitField } from "./read-at-unit";
import type { TypedAnswers } from "./use-typed-answers";

/**
 * The check that is asked now: why, its limit, what can hurt, its figure and its instrument; yes, or no and
 * where that leads.
 */
export function CheckNow({
  check,
  place,
  proposed,
  looseItems,
  home,
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
  home: GoingHome | undefined;
  cures: readonly RunningWait[];
  typed: TypedAnswers;
  /** it is answered with no */
  failing: boolean;
  onFailing: (failing: boolean) => void;
}) {
  const { run, say } = useJob();
  const { note, instrument, ends, ran } = typed;
  const [fault, setFault] = useState<string | null>(null);
  // what was typed for one check, answered or left out, does not stand at the next
  const { forget } = typed;
  const asked = useRef(check.check);
  useEffect(() => {
    if (asked.current === check.check) return;
    asked.current = check.check;
    setFault(null);
    forget();
  }, [check.check, forget]);
  const waits = check.runs && cures[0];
  const yes = async (figure = typed.figure): Promise<void> => {
    const shown = check.unit ? shownFigure(figure, check) : undefined;
    if (typeof shown === "string") return setFault(shown);
    const value = shown?.value;
    const minutes = Number(ran.trim().replace(",", "."));
    if (check.minutes !== undefined && ran.trim() && !Number.isFinite(minutes))
      return setFault("Say how long it ran as a figure, in minutes.");
    const result = await run(answerCheck, {
      check: check.check,
      ...(value === undefined ? {} : { value }),
      ...(check.instrument && instrument !== null ? { instrument } : {}),
      ...(check.each ? { ends } : {}),
      ...(check.minutes !== undefined && ran.trim() ? { ran: minutes } : {}),
      ...(shown?.above
        ? { note: `read as > ${shown.value} ${check.unit}, the end of its range` }
        : check.may && note.trim()
          ? { note }
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
      <div className="flex min-h-0 shrink flex-col gap-2 overflow-y-auto p-1 [&>*]:shrink-0">
        <p className="hush text-[20px] leading-none">final check {place}</p>
        <h2 className="shrink-0 text-[32px] leading-[1.1]">{check.asks}</h2>
        {check.usual && (
          <p className="says inferred text-[20px]">
            Asked because it is {check.usual}: nobody said so of this one.
          </p>
        )}
        <p className={`says text-[22px] ${failing ? "hidden" : ""}`}>
          {check.why}
          {check.source &&
            (check.min !== undefined || check.max !== undefined) &&
            ` Limit: ${limitInWords(check)}.`}
        </p>
        {check.caution && <p className="says danger text-[22px] font-semibold">{check.caution}</p>}
        {waits && <NotYet cure={waits} />}
        <div className="flex max-w-[720px] shrink-0 gap-4 empty:hidden">
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
          {check.reads && <ReadAtUnitField fact={check.reads} home={home} typed={typed} />}
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
          {check.minutes !== undefined && (
            <Field label="If it ran before: how long, min" narrow>
              <input
                className="field figure mt-1"
                inputMode="decimal"
                value={ran}
                maxLength={8}
                onChange={(e) => typed.setRan(e.target.value)}
                onKeyDown={(e) => e.key === "Enter" && void yes()}
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
        {check.listenFor && <p className="says measured text-[22px]">{check.listenFor}</p>}
        {check.each && <EndOfEach check={check} pictures={looseItems} ends={ends} onEnd={typed.setEnds} />}
        {failing && (
          <CheckFailed
            key={check.check}
            check={check.check}
            mayBeLeft={!check.never}
            onClose={() => onFailing(false)}
          />
        )}
      </div>
      {/* above its buttons, where it is seen: the fields may have to be scrolled to */}
      {fault && (
        <p role="alert" className="shrink-0 text-[21px] leading-tight font-semibold text-error">
          {fault}
        </p>
      )}
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

const Field = ({ label, narrow, children }: { label: string; narrow?: boolean; children: ReactNode }) => (
  // biome-ignore lint/a11y/noLabelWithoutControl: its field is its child
  <label className={`words min-w-0 flex-1 ${narrow ? "max-w-[240px]" : ""}`}>
    {label}
    {children}
  </label>
);
