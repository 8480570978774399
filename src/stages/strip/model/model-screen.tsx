"use client";

import { useState } from "react";
import type { Guide, GuideStep, Spread } from "@/core/memory/guide";
import type { WrittenGuide } from "@/core/memory/written-guide";
import { capital } from "@/core/sentence";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { KeyLink } from "@/ui/key-link";
import { Readout } from "@/ui/readout";
import { GuideFiles } from "./guide-files";
import type { ModelView } from "./model-view";
import { StepOfGuide, useWriteGuide, type WriteGuide } from "./write-in-guide";

const minutes = (m: number): string => String(Number(m.toFixed(1)));
const within = ({ least, most, count }: Spread): string =>
  count > 1 ? `${minutes(least)} to ${minutes(most)} min, ${count} units` : "one unit";

/** One unit tells how it was done once; several, what was always so. */
function placeSays({ after, isHabit, seen }: GuideStep, units: number): string {
  if (units === 1 || seen === 1)
    return after.length ? `came off after ${after.join(", ")}` : "needed nothing off before it";
  if (after.length) return `only after ${after.join(", ")}, in every unit`;
  return isHabit ? "here by habit: nothing forces it" : "nothing has to be off before it";
}

/**
 * What the shop knows of the model before it begins: how long, with what, what fails, and which order is
 * forced.
 */
export function ModelScreen({
  number,
  guide,
  written,
  version,
  alone,
  began,
}: Omit<ModelView, "frame" | "unit"> & { number: string }) {
  const [open, setOpen] = useState<string>();
  const { write, fault } = useWriteGuide(version);
  const shown = guide.steps.find((s) => s.title === open);
  const back = (
    <KeyLink href={`/jobs/${number}/strip`} keyName="Escape">
      Back to the strip
    </KeyLink>
  );
  if (!guide.from.length)
    return (
      <main className="work grid place-items-center">
        <div className="flex max-w-[640px] flex-col gap-4 text-center text-[24px]">
          <p>
            No other unit of this model was taken apart here. What this one teaches stands here for the next.
          </p>
          <GuideFiles number={number} hasGuide={false} />
          <div className="mx-auto">{back}</div>
        </div>
      </main>
    );
  return (
    <main className="work grid h-full grid-cols-[minmax(0,7fr)_minmax(0,5fr)] gap-5">
      <ol aria-label="Steps of this model" className="min-h-0 overflow-y-auto">
        {guide.steps.map((s, i) => (
          <li
            key={`${s.title}${i}`}
            className="grid grid-cols-[3ch_1fr_auto_auto] gap-3 border-b-2 border-base-300 py-2"
          >
            <span className="figures text-[20px]">{i + 1}</span>
            <span className="leading-tight">
              <b className="text-[21px]">{capital(s.title)}</b>
              <span className="hush block text-[17px]">
                {placeSays(s, guide.from.length)}
                {s.seen < guide.from.length && ` · in ${s.seen} of ${guide.from.length} units`}
              </span>
              {s.said.map((x) => (
                <span key={x.says} className="says measured mt-1 block text-[18px]">
                  {capital(x.says)} <span className="hush">({x.from})</span>
                </span>
              ))}
            </span>
            {s.minutes ? (
              <span className="text-right">
                <span className="figures text-[22px]">{minutes(s.minutes.usual)}</span> min
                {s.minutes.count > 1 && (
                  <span className="hush block text-[16px]">
                    {minutes(s.minutes.least)} to {minutes(s.minutes.most)}
                  </span>
                )}
              </span>
            ) : (
              <span />
            )}
            <KeyButton
              className="small self-start"
              pressed={s.title === open}
              label={`Write at ${s.title}`}
              onPress={() => setOpen(s.title === open ? undefined : s.title)}
            >
              ✎
            </KeyButton>
          </li>
        ))}
      </ol>
      {shown ? (
        <StepOfGuide
          key={shown.title}
          step={shown}
          written={written}
          write={write}
          fault={fault}
          onClose={() => setOpen(undefined)}
        />
      ) : (
        <section aria-label="Before you begin" className="flex min-h-0 flex-col gap-2">
          <div className="flex min-h-0 flex-1 flex-col gap-3 overflow-y-auto">
            <h2 className="text-[26px]">Before you begin</h2>
            {guide.minutes && (
              <Readout
                label="To take it apart, usually"
                value={minutes(guide.minutes.usual)}
                unit="min"
                from={within(guide.minutes)}
              />
            )}
            <ToolsOfGuide guide={guide} written={written} write={write} />
            <p className="text-[20px]">
              <b>It holds:</b> {guide.hardware || "no hardware was noted"}.
            </p>
            <h2 className="text-[22px]">What failed</h2>
            {guide.fails.length ? (
              <ul aria-label="What failed" className="text-[20px]">
                {guide.fails.map((f) => (
                  <li key={`${f.part} ${f.how}`}>
                    {capital(f.part)}: {f.how}
                    {f.times > 1 && `, ${f.times} times`}
                  </li>
                ))}
              </ul>
            ) : (
              <p className="hush text-[19px]">Nothing was found bad in the units that were here.</p>
            )}
            {began.length > 0 && <Began began={began} />}
            <p className="hush text-[18px]">
              {alone
                ? "Learnt from this unit alone: the next one is held against it."
                : `Learnt from ${guide.from.join(", ")}.`}
            </p>
            <FaultLine says={fault} />
          </div>
          <div className="flex flex-col gap-1.5">
            <GuideFiles number={number} hasGuide />
            {back}
          </div>
        </section>
      )}
    </main>
  );
}

const percent = (p: number): string => `${Number((100 * p).toFixed(1))} %`;

/** What verdicts on units of this kind were, and what they make of the odds of the next. */
function Began({ began }: Pick<ModelView, "began">) {
  return (
    <section aria-label="What began it">
      <h2 className="text-[22px]">What began it</h2>
      <ul className="text-[20px]">
        {began.map((b) => (
          <li key={b.says}>
            {b.says}: {b.n} of {b.m} of its kind here
            <span className="hush block text-[17px]">
              taken as {percent(b.prior)} before anything is found; {percent(b.shipped)} without these
            </span>
          </li>
        ))}
      </ul>
      <a className="text-[18px] underline" href="/record?table=causes">
        All kinds, and to start afresh
      </a>
    </section>
  );
}

/** What is laid out before: what was used, what was written in besides, without what is not needed. */
function ToolsOfGuide({ guide, written, write }: { guide: Guide; written: WrittenGuide; write: WriteGuide }) {
  const [typed, setTyped] = useState("");
  const strike = (tool: string): void => {
    const own = written.tools.filter((t) => t !== tool);
    void write(
      own.length < written.tools.length
        ? { ...written, tools: own }
        : { ...written, notTools: [...written.notTools, tool] },
      `without ${tool}`,
    );
  };
  const add = async (): Promise<void> => {
    const tool = typed.trim();
    if (
      await write(
        { ...written, tools: [...written.tools, tool], notTools: written.notTools.filter((t) => t !== tool) },
        `lay out ${tool}`,
      )
    )
      setTyped("");
  };
  return (
    <div className="flex flex-col gap-1.5">
      <h2 className="text-[22px]">Lay out</h2>
      <ul aria-label="Lay out" className="flex flex-wrap gap-1.5">
        {guide.tools.map((t) => (
          <li key={t.tool} className="chip small !pr-0">
            {t.tool}
            {t.times < guide.from.length && ` (in ${t.times} of ${guide.from.length} units)`}
            <button
              type="button"
              className="min-h-[44px] min-w-[44px] font-bold"
              aria-label={`Not needed: ${t.tool}`}
              onClick={() => strike(t.tool)}
            >
              ×
            </button>
          </li>
        ))}
        {!guide.tools.length && <li className="hush text-[19px]">no tool was noted</li>}
      </ul>
      <form
        className="grid grid-cols-[1fr_auto] gap-1.5"
        onSubmit={(e) => {
          e.preventDefault();
          if (typed.trim()) void add();
        }}
      >
        <input
          className="field"
          aria-label="Lay out besides"
          placeholder="bearing puller, small"
          maxLength={80}
          value={typed}
          onChange={(e) => setTyped(e.target.value)}
        />
        <KeyButton className="small" disabled={!typed.trim()} onPress={() => void add()}>
          Add it
        </KeyButton>
      </form>
    </div>
  );
}
