"use client";

import { useEffect, useRef, useState } from "react";
import { practiceScale } from "@/bench/scale";
import type { FigureGround } from "@/core/quantity/typed-figure";
import { KeyButton } from "@/ui/key-button";
import type { ActionResult } from "../saving/act";
import { GramsField } from "./grams-field";

const scale = practiceScale(Math.random);
/** A scale shows a new figure so often, ms. */
const READ_MS = 130;
/** So much of the amount, or so many grams, is as good as the amount itself: what clings to a spatula. */
const CLOSE = { share: 0.05, grams: 0.2 } as const;

export interface WeighInProps {
  point: string;
  where: string;
  /** what is asked, g */
  aim: number;
  weighed: number | undefined;
  /** it is the point that is next: it has the keys */
  main: boolean;
  /** what the field is called */
  label: string;
  ground: FigureGround;
  put: (grams: number | null, sure?: true) => Promise<ActionResult>;
}

/**
 * Weighs in up to what is asked: the scale is followed while it counts, and what it stands at when it rests,
 * or when it is stopped, is taken. A scale that types writes into
 * the field.
 */
export function WeighIn({ point, where, aim, weighed, main, label, ground, put }: WeighInProps) {
  const [live, setLive] = useState<number>();
  const timer = useRef<ReturnType<typeof setInterval>>(undefined);
  useEffect(() => () => clearInterval(timer.current), []);
  const take = (grams: number): void => {
    clearInterval(timer.current);
    timer.current = undefined;
    // it stands there until the shop has it
    void put(grams).finally(() => setLive(undefined));
  };
  const fill = (): void => {
    if (timer.current !== undefined) {
      take(live ?? 0);
      return;
    }
    const readings = scale.filling(aim);
    let i = 0;
    timer.current = setInterval(() => {
      const now = readings[i++] ?? aim;
      setLive(now);
      if (i >= readings.length) take(now);
    }, READ_MS);
  };
  return (
    <>
      <CountUp aim={aim} stands={live ?? weighed ?? 0} where={where} />
      <div className="flex">
        <div className="min-w-0 flex-1">
          <GramsField
            label={label}
            ground={ground}
            keyName={main ? "I" : undefined}
            name={`weigh-${point}`}
            value={weighed}
            save={put}
          />
        </div>
        <KeyButton
          keyName={main ? "W" : undefined}
          onPress={fill}
          label={
            live === undefined ? `Practice scale for ${where}` : `Take what the scale shows for ${where}`
          }
          pressed={live !== undefined}
          className="mt-[22px] ml-2 !px-3 self-start"
        >
          {live === undefined ? "Scale" : "Stop"}
        </KeyButton>
      </div>
    </>
  );
}

/**
 * How far it is: a bar that fills up to a mark, and what is still to go, in words. It keeps its place where
 * nothing is on the scale: a key under a finger must not move.
 */
function CountUp({ aim, stands, where }: { aim: number; stands: number; where: string }) {
  const off = stands - aim;
  const close = Math.abs(off) <= Math.max(CLOSE.grams, CLOSE.share * aim);
  // the mark stands at four fifths, so that too much is seen too
  const share = aim > 0 ? Math.min(1, (0.8 * stands) / aim) : 0;
  const says = close
    ? "that is it"
    : off < 0
      ? `${(-off).toFixed(1)} g to go`
      : `${off.toFixed(1)} g too much`;
  return (
    <div className="mt-1 flex items-center gap-2 text-[17px]">
      <div aria-hidden="true" className="relative h-[18px] flex-1 border-2 border-base-content bg-base-100">
        <div
          className={`h-full ${close ? "bg-success" : off > 0 ? "bg-error" : "bg-info"}`}
          style={{ width: `${100 * share}%` }}
        />
        <div className="absolute inset-y-[-6px] left-[80%] w-[3px] bg-base-content" />
      </div>
      <span
        role="status"
        aria-label={`On the scale for ${where}`}
        className={`figures text-right whitespace-nowrap ${off > 0 && !close ? "font-semibold text-error" : ""}`}
      >
        {stands.toFixed(1)} g, {says}
      </span>
    </div>
  );
}
