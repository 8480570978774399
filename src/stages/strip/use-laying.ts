"use client";

import { startTransition, useCallback, useEffect, useOptimistic, useRef, useState } from "react";
import type { OpenStep } from "@/core/recorder/open-step";
import { forgetInBrowser, jsonFrom, keepInBrowser, keptInBrowser } from "@/ui/browser-store";
import { useLatest } from "@/ui/use-latest";
import type { ActionResult } from "../saving/act";
import { useJob } from "../saving/job-context";
import { layStepDown, takeBack } from "./actions";
import { recordedOnItsWay, type StepOnItsWay, stepsOnTheirWay } from "./laying";

/** A step that the shop did not take, and why. */
export interface RefusedStep extends StepOnItsWay {
  readonly says: string;
  /** another is open in the recorder: it waits to be picked up */
  readonly waits: boolean;
}

export interface Laying {
  readonly onTheWay: readonly StepOnItsWay[];
  readonly lay: (open: OpenStep) => void;
  /** what came back while another step was open */
  readonly refused: readonly RefusedStep[];
  /** takes a refused one out of the list, into the recorder */
  readonly pickUp: (step: RefusedStep) => void;
  /**
   * takes back what was done last: also a step that is on its way, which the shop is let have first. One that
   * it refuses has come back by itself, and nothing else is taken back for it
   */
  readonly takeBackLast: () => void;
}

/** Steps on their way, by job, as long as the shop has not said that it has them. */
function atHome(number: string) {
  const key = `${number}:laying`;
  const all = (): readonly StepOnItsWay[] =>
    stepsOnTheirWay.safeParse(jsonFrom(keptInBrowser(key))).data ?? [];
  const keep = (steps: readonly StepOnItsWay[]): void => {
    if (steps.length) keepInBrowser(key, JSON.stringify(steps));
    else forgetInBrowser(key);
  };
  const without = (step: StepOnItsWay): readonly StepOnItsWay[] =>
    all().filter((s) => s.open.key !== step.open.key);
  return {
    all,
    add: (step: StepOnItsWay) => keep([...without(step), step]),
    forget: (step: StepOnItsWay) => keep(without(step)),
  };
}

/**
 * Lays steps down without waiting for the shop: a hand that has the next screw in it should not. A step lies
 * on the Mat at once, and in the browser until the shop has it;
 * what was left behind by a screen that was closed too early is sent again, under its own key, which lays it
 * down once. One that is refused comes back: also one that
 * the shop has under its key already, but otherwise than it is sent again; it was changed meanwhile, or
 * another screen laid another down, and only a person can tell which.
 *
 * @param back gives a refused step back to the recorder; false: another is open there
 */
export function useLaying(back: (open: OpenStep) => boolean): Laying {
  const { number, run } = useJob();
  const [onTheWay, showOnTheWay] = useOptimistic<readonly StepOnItsWay[], StepOnItsWay>([], (now, step) => [
    ...now,
    step,
  ]);
  // what came back lies on the Mat no more, whatever else the shop is still being asked
  const [cameBack, setCameBack] = useState<readonly RefusedStep[]>([]);
  const giveBack = useLatest(back);
  const sentLast = useRef<ActionResult>(undefined);
  const send = useCallback(
    (step: StepOnItsWay, again: boolean): void =>
      startTransition(async () => {
        showOnTheWay(step);
        const result = await run(layStepDown, { editing: null, again, step: recordedOnItsWay(step) });
        sentLast.current = result;
        const taken = result.ok || giveBack.current(step.open);
        if (taken) atHome(number).forget(step);
        if (!result.ok) setCameBack((now) => [...now, { ...step, says: result.says, waits: !taken }]);
      }),
    [number, run, giveBack, showOnTheWay],
  );
  useEffect(() => {
    for (const step of atHome(number).all()) send(step, true);
  }, [number, send]);
  const underWay = onTheWay.length > 0;
  const isOf = (step: StepOnItsWay) => (r: RefusedStep) => r.open.key === step.open.key && r.at === step.at;
  return {
    onTheWay: onTheWay.filter((step) => !cameBack.some(isOf(step))),
    lay: (open) => {
      const step = { open, at: Date.now() };
      atHome(number).add(step);
      send(step, false);
    },
    refused: cameBack.filter((r) => r.waits),
    pickUp: (step) => {
      if (!back(step.open)) return;
      atHome(number).forget(step);
      setCameBack((now) => now.map((r) => (r === step ? { ...r, waits: false } : r)));
    },
    takeBackLast: () =>
      void run(async (job: { number: string; version: number }) => {
        const refused = underWay && sentLast.current && !sentLast.current.ok;
        return refused ? { ok: true, version: job.version } : takeBack(job);
      }),
  };
}
