"use client";

import { useMemo, useState } from "react";
import { type Hardware, hardwareInWords } from "@/core/hardware/piece";
import { quickLine } from "@/core/hardware/quick-line";
import type { StripStep } from "@/core/job/step";
import { traceLeftover } from "@/core/order/leftover";
import { capital } from "@/core/sentence";
import { FaultLine } from "@/ui/fault-line";
import { focusNow } from "@/ui/focus-now";
import { KeyButton } from "@/ui/key-button";
import { useJob } from "../saving/job-context";
import { useFieldFault } from "../saving/use-field-fault";
import { takeOffAgain } from "./way-in/actions";

/** A step of the strip, as a piece that is left over is held against it. */
export interface LaidStep extends Pick<StripStep, "id" | "action"> {
  readonly n: number;
  readonly title: string;
  readonly hardware: readonly Hardware[];
  readonly thumb?: string;
  /** it is back in the machine */
  readonly back: boolean;
}

/**
 * Something is left over: what it is, where its like sat, with the picture of it, and its line open again.
 */
export function Leftover({ laid, onClose }: { laid: readonly LaidStep[]; onClose: () => void }) {
  const { run } = useJob();
  const fault = useFieldFault();
  const [says, setSays] = useState("");
  const piece = useMemo(() => quickLine(says).hardware[0], [says]);
  const found = useMemo(() => {
    const steps = laid.map(({ id, action, hardware }) => ({ id, action, hardware: [...hardware] }));
    return piece
      ? traceLeftover(steps, piece).flatMap((t) => ({
          ...t,
          at: laid.find((s) => s.id === t.step) as LaidStep,
        }))
      : [];
  }, [piece, laid]);
  const open = async (step: string): Promise<void> => {
    if (fault.took(await run(takeOffAgain, { step }))) onClose();
  };
  return (
    <section aria-label="Left over" className="flex min-h-0 flex-col gap-2">
      <div className="flex items-center justify-between gap-2">
        <h2 className="text-[28px]">Something is left over</h2>
        <KeyButton keyName="X" className="small" onPress={onClose}>
          Close
        </KeyButton>
      </div>
      <label className="words">
        What is in your hand
        <input
          className="field figure"
          value={says}
          maxLength={200}
          onChange={(e) => setSays(e.target.value)}
          placeholder="1 washer 12"
          ref={focusNow}
        />
      </label>
      <p className="hush text-[18px]">
        {piece
          ? found.length
            ? `${capital(hardwareInWords(piece))}: it came out of one of these. Look at its picture, and count there.`
            : `${capital(hardwareInWords(piece))}: nothing like it was recorded at the strip. It may have been in the unit loose, or belong to another.`
          : "Say it as in the recorder: how many, what, how large."}
      </p>
      <ul className="min-h-0 flex-1 overflow-y-auto" aria-label="Where its like sat">
        {found.map((t) => (
          <li
            key={`${t.step} ${t.hardware.id}`}
            className="flex items-center gap-3 border-b-2 border-base-300 py-1"
          >
            <span className="flex h-[84px] w-[112px] shrink-0 items-center justify-center bg-base-200">
              {t.at.thumb && (
                // biome-ignore lint/performance/noImgElement: pictures come from the shop's own folder
                <img
                  src={t.at.thumb}
                  alt={`before step ${t.at.n} came off`}
                  className="h-full w-full object-cover"
                />
              )}
            </span>
            <span className="flex-1 leading-tight">
              <span className="block text-[20px] font-semibold">
                <span className="figures mr-2 bg-accent px-1.5 text-accent-content">{t.at.n}</span>
                {capital(t.at.title)}
              </span>
              <span className="block text-[18px]">{hardwareInWords(t.hardware)}</span>
              <span className={`block text-[17px] ${t.agrees ? "font-semibold" : "hush"}`}>
                {t.agrees ? "all that was said agrees" : "nothing speaks against it"} ·{" "}
                {t.at.back ? "said to be back" : "lies in its pocket still"}
              </span>
            </span>
            {t.at.back && (
              <KeyButton
                className="small"
                label={`Open step ${t.at.n} again`}
                onPress={() => void open(t.step)}
              >
                Open it again
              </KeyButton>
            )}
          </li>
        ))}
      </ul>
      <FaultLine says={fault.elsewhere()} />
    </section>
  );
}
