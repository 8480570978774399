"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { capital } from "@/core/sentence";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { Mat } from "@/ui/mat";
import { Readout } from "@/ui/readout";
import { useJob } from "../../saving/job-context";
import { takeOffAgain } from "./actions";
import type { WayInView } from "./way-in-view";

const minutesSay = (m: number): string => (m >= 10 ? String(Math.round(m)) : String(Number(m.toFixed(1))));

/**
 * The way in: a part is picked on the Mat or in the list, and what must come off for it is seen before
 * anything is touched.
 */
export function WayInScreen({ sources, from, parts, shown, pockets }: Omit<WayInView, "frame">) {
  const { run, number } = useJob();
  const router = useRouter();
  const [fault, setFault] = useState<string | null>(null);
  const show = (to: { from?: string; part?: string | undefined }): void => {
    const at = new URLSearchParams({
      from: to.from ?? from,
      ...(to.part !== undefined && { part: to.part }),
    });
    router.replace(`/jobs/${number}/rebuild/way-in?${at}`, { scroll: false });
  };
  const again = async (part: string): Promise<void> => {
    const result = await run(takeOffAgain, { part });
    setFault(result.ok ? null : result.says);
    if (result.ok) router.push(`/jobs/${number}/rebuild`);
  };
  if (!sources.length)
    return (
      <main className="work">
        <p className="m-auto max-w-[620px] text-center text-[24px]">
          Nothing has come off this unit yet, and no other of its model was taken apart here. Once one is, the
          way to each of its parts is told here.
        </p>
      </main>
    );
  return (
    <>
      <main className="work grid h-full grid-cols-[minmax(0,3.4fr)_minmax(0,5.4fr)_minmax(0,3.2fr)] gap-5">
        <section aria-label="Parts" className="flex min-h-0 flex-col gap-1.5">
          {sources.map((s, i) => (
            <KeyButton
              key={s.from}
              keyName={String(i + 1)}
              className="small w-full"
              pressed={s.from === from}
              onPress={() => show({ from: s.from })}
            >
              {s.says}
            </KeyButton>
          ))}
          <h2 className="text-[22px]">The way to the …</h2>
          <ul className="min-h-0 flex-1 overflow-y-auto">
            {parts.map((p) => (
              <li key={p.id} className="mb-1.5">
                <KeyButton
                  className="small w-full [&>span]:w-full"
                  pressed={p.id === shown?.part}
                  label={`The way to the ${p.name}`}
                  onPress={() => show({ part: p.id })}
                >
                  <span className="flex items-baseline justify-between gap-2 text-left">
                    <span>{capital(p.name)}</span>
                    <span className="figures text-[17px] font-normal whitespace-nowrap">
                      {p.count ? `${minutesSay(p.minutes)} min` : "lies open"}
                    </span>
                  </span>
                </KeyButton>
              </li>
            ))}
          </ul>
        </section>
        <section aria-label="What must come off" className="flex min-h-0 flex-col">
          {shown ? (
            <>
              <h2 className="text-[28px] leading-tight">
                {shown.steps.length
                  ? `To reach the ${shown.name}`
                  : `The ${shown.name} lies open: nothing has to come off for it`}
              </h2>
              <ol className="min-h-0 flex-1 overflow-y-auto">
                {shown.steps.map((s) => (
                  <li key={s.id} className="flex items-center gap-3 border-b-2 border-base-300 py-1">
                    <span className="flex h-[66px] w-[88px] shrink-0 items-center justify-center bg-base-200">
                      {s.thumb && (
                        // biome-ignore lint/performance/noImgElement: pictures come from the shop's own folder
                        <img src={s.thumb} alt="" className="h-full w-full object-cover" />
                      )}
                    </span>
                    <span className="flex-1 leading-tight">
                      <span className="block text-[20px] font-semibold">
                        <span className="figures mr-2 bg-accent px-1.5 text-accent-content">{s.n}</span>
                        {capital(s.title)}
                      </span>
                      <span className="block text-[17px]">
                        {s.hardware}
                        {s.bundle && <b>{s.hardware && ", "}comes out as one</b>}
                      </span>
                    </span>
                    <span className="figures text-[19px] whitespace-nowrap">
                      {s.untimed && "~"}
                      {minutesSay(s.minutes)} min
                    </span>
                  </li>
                ))}
              </ol>
            </>
          ) : (
            <p className="hush m-auto text-[22px]">Pick a part, here or on the Mat.</p>
          )}
        </section>
        <section aria-label="What it takes" className="flex min-h-0 flex-col gap-2">
          {shown && shown.steps.length > 0 && (
            <>
              <Readout
                label="Until it is off"
                value={minutesSay(shown.minutes)}
                unit="min"
                from={
                  shown.steps.some((s) => s.untimed)
                    ? "as recorded; ~ two minutes where nobody looked at the clock"
                    : "as it took when it was recorded"
                }
              />
              <Readout
                label="Pieces that come loose"
                value={String(shown.hardware)}
                from={
                  shown.bundles
                    ? shown.bundles === 1
                      ? "something comes out as one"
                      : `${shown.bundles} things come out as one`
                    : ""
                }
              />
              {shown.tools.length > 0 && (
                <div className="says">
                  <b>Lay out:</b> {shown.tools.join(", ")}
                </div>
              )}
            </>
          )}
          <FaultLine says={fault} />
          {shown && shown.reopens > 0 && (
            <KeyButton
              keyName="Enter"
              look="main"
              className="mt-auto justify-center"
              onPress={() => void again(shown.part)}
            >
              Take it off again: {shown.reopens === 1 ? "one line is" : `${shown.reopens} lines are`} open
              again
            </KeyButton>
          )}
        </section>
      </main>
      <Mat
        pockets={pockets}
        hand={pockets.findLastIndex((p) => !p.emptied) + 1}
        foot="Press a pocket: the way to what lies, or lay, in it"
        picked={parts.find((p) => p.id === shown?.part)?.step}
        onPick={(step) => show({ part: parts.find((p) => p.step === step)?.id })}
      />
    </>
  );
}
