"use client";

import { useId } from "react";
import { MM_PER_INCH } from "@/core/quantity/units";
import { FaultLine } from "@/ui/fault-line";
import { TypedReading } from "@/ui/typed-reading";
import type { MeanReading } from "./gear-readings";

/**
 * One dimension: the mean as on a caliper, and a place to type the next reading (a caliper that types ends
 * with Enter).
 */
export function ReadingTile({
  label,
  mean,
  unit,
  typed,
  onTyped,
  take,
  strike,
  fault,
  doubted = false,
  armed,
  onArm,
  recount,
}: {
  label: string;
  mean: MeanReading | undefined;
  unit: "mm" | "in" | "°";
  typed: string;
  onTyped: (text: string) => void;
  take: (text: string) => Promise<string | null>;
  strike: () => void;
  fault: string | null;
  /** it does not go with the others */
  doubted?: boolean;
  /** a reading that comes by itself goes here */
  armed: boolean;
  onArm: () => void;
  /** over one tooth more or fewer, as long as nothing was read */
  recount?: (by: 1 | -1) => void;
}) {
  const id = useId();
  const enter = async (): Promise<void> => {
    if (!typed.trim()) return;
    if ((await take(typed)) === null) onTyped("");
  };
  const shown = (v: number): string =>
    unit === "in" ? (v / MM_PER_INCH).toFixed(4) : v.toFixed(unit === "°" ? 1 : 2);
  return (
    <div
      className={`border-t-4 bg-base-200 px-2.5 pt-0.5 pb-1.5 ${doubted ? "border-error" : mean ? "border-info" : "border-base-content"}`}
    >
      <div className="flex h-[28px] items-start justify-between">
        {armed && (
          <b role="img" aria-label="the caliper’s reading goes here" className="pr-1 text-[18px]">
            ▸
          </b>
        )}
        <label htmlFor={id} className="mr-auto text-[18px] font-semibold">
          {label}, {unit}
        </label>
        {recount &&
          ([-1, 1] as const).map((by) => (
            <button
              key={by}
              type="button"
              onClick={() => recount(by)}
              aria-label={`${label}: over one tooth ${by > 0 ? "more" : "fewer"}`}
              className="-mt-1 min-h-[48px] min-w-[44px] text-[24px] leading-none font-bold last:-mr-2"
            >
              {by > 0 ? "+" : "−"}
            </button>
          ))}
        {mean && (
          <button
            type="button"
            onClick={strike}
            aria-label={`Strike ${label}`}
            className="-mt-2 -mr-2 min-h-[48px] min-w-[48px] text-[22px] leading-none font-bold"
          >
            ×
          </button>
        )}
      </div>
      <div className="grid grid-cols-[minmax(0,1fr)_96px] items-center gap-2 max-[1100px]:grid-cols-[minmax(0,1fr)_58px] max-[1100px]:gap-1">
        <output
          className="figures text-[28px] leading-none whitespace-nowrap max-[1100px]:text-[24px]"
          htmlFor={id}
          aria-label={`${label}, reading`}
        >
          {mean ? shown(mean.value) : "–"}
        </output>
        <TypedReading
          id={id}
          className="!bg-base-100"
          typed={typed}
          onTyped={onTyped}
          enter={() => void enter()}
          wrong={fault !== null}
          onFocus={onArm}
        />
      </div>
      <div className={`h-[20px] truncate text-[16px] ${doubted ? "font-bold text-error" : "hush"}`}>
        {doubted
          ? "does not go with the others"
          : mean
            ? `± ${shown(mean.u)} · ${mean.count > 1 ? `mean of ${mean.count} · ` : ""}${mean.source} · ${mean.at.slice(11, 16)}`
            : "not taken"}
      </div>
      <FaultLine says={fault} className="text-[17px]" />
    </div>
  );
}
