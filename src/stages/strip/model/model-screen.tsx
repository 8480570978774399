"use client";

import type { Guide, GuideStep, Spread } from "@/core/memory/guide";
import { capital } from "@/core/sentence";
import { KeyLink } from "@/ui/key-link";
import { Readout } from "@/ui/readout";

const minutes = (m: number): string => String(Number(m.toFixed(1)));
const within = ({ least, most, count }: Spread): string => (count > 1 ? `${minutes(least)} to ${minutes(most)} min, ${count} units` : "one unit");

/** One unit tells how it was done once; several, what was always so. */
function placeSays({ after, isHabit, seen }: GuideStep, units: number): string {
  if (units === 1 || seen === 1) return after.length ? `came off after ${after.join(", ")}` : "needed nothing off before it";
  if (after.length) return `only after ${after.join(", ")}, in every unit`;
  return isHabit ? "here by habit: nothing forces it" : "nothing has to be off before it";
}

/** What the shop knows of the model before it begins: how long, with what, what fails, and which order is forced. */
export function ModelScreen({ number, guide }: { number: string; guide: Guide }) {
  const back = (
    <KeyLink href={`/jobs/${number}/strip`} keyName="Escape">
      Back to the strip
    </KeyLink>
  );
  if (!guide.from.length)
    return (
      <main className="work grid place-items-center">
        <div className="flex max-w-[640px] flex-col gap-4 text-center text-[24px]">
          <p>No other unit of this model was taken apart here. What this one teaches stands here for the next.</p>
          <div className="mx-auto">{back}</div>
        </div>
      </main>
    );
  return (
    <main className="work grid h-full grid-cols-[minmax(0,7fr)_minmax(0,5fr)] gap-5">
      <ol aria-label="Steps of this model" className="min-h-0 overflow-y-auto">
        {guide.steps.map((s, i) => (
          <li key={`${s.title}${i}`} className="grid grid-cols-[3ch_1fr_auto] gap-3 border-b-2 border-base-300 py-2">
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
            {s.minutes && (
              <span className="text-right">
                <span className="figures text-[22px]">{minutes(s.minutes.usual)}</span> min
                {s.minutes.count > 1 && (
                  <span className="hush block text-[16px]">
                    {minutes(s.minutes.least)} to {minutes(s.minutes.most)}
                  </span>
                )}
              </span>
            )}
          </li>
        ))}
      </ol>
      <section aria-label="Before you begin" className="flex min-h-0 flex-col gap-3 overflow-y-auto">
        <h2 className="text-[26px]">Before you begin</h2>
        {guide.minutes && <Readout label="To take it apart, usually" value={minutes(guide.minutes.usual)} unit="min" from={within(guide.minutes)} />}
        <p className="text-[20px]">
          <b>Lay out:</b>{" "}
          {guide.tools.map((t) => (t.times < guide.from.length ? `${t.tool} (in ${t.times} of ${guide.from.length} units)` : t.tool)).join(", ") ||
            "no tool was noted"}
          .
        </p>
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
        <p className="hush text-[18px]">Learnt from {guide.from.join(", ")}.</p>
        <div className="mt-auto">{back}</div>
      </section>
    </main>
  );
}
