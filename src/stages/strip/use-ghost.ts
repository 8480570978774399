"use client";

import { useEffect, useMemo, useState } from "react";
import type { LaidHardware } from "@/core/hardware/look-alikes";
import { differences, follow, type Ghost, type GhostStep, ghostSchema } from "@/core/memory/ghost";
import type { OpenStep } from "@/core/recorder/open-step";
import { askShop } from "@/ui/ask-shop";
import type { Pocket } from "@/ui/pocket";
import { useJob } from "../saving/job-context";
import { asLastTime } from "./as-recorded-last";

/** What the last unit of the model says to the step that is recorded now. */
export interface AsLastTime {
  readonly from: string;
  readonly next: GhostStep;
  readonly n: number;
  readonly count: number;
  /** what was there the last time and was passed over */
  readonly passed: readonly string[];
  /** what differs in the step that was laid down last */
  readonly differs: readonly string[];
  /** as the recorder takes it up */
  readonly open: () => OpenStep;
}

/**
 * The last unit of this model beside this one, step by step; undefined: there is none, or all of it has been
 * followed.
 *
 * @param from the job that it is of
 */
export function useGhost(
  from: string | undefined,
  pockets: readonly Pocket[],
  laid: readonly LaidHardware[],
): AsLastTime | undefined {
  const { number } = useJob();
  const [ghost, setGhost] = useState<Ghost>();
  useEffect(() => {
    if (from === undefined) return;
    const asked = new AbortController();
    // without it the strip is recorded as any other
    askShop(`/api/jobs/${number}/ghost`, ghostSchema, asked.signal)
      .then((g) => g && setGhost(g))
      .catch(() => undefined);
    return () => asked.abort();
  }, [number, from]);
  return useMemo(() => {
    if (!ghost) return undefined;
    const { found, next, passed } = follow(ghost.steps, pockets);
    const g = next === undefined ? undefined : ghost.steps[next];
    if (!g || next === undefined) return undefined;
    const last = [...found].find(([, at]) => at === pockets.length - 1);
    const was = last && ghost.steps[last[0]];
    return {
      from: ghost.from,
      next: g,
      n: next + 1,
      count: ghost.steps.length,
      passed: passed.flatMap((i) => ghost.steps[i]?.title ?? []),
      differs: was
        ? differences(was.hardware, laid.find((l) => l.step === pockets.length)?.hardware ?? [])
        : [],
      open: () => asLastTime(g, ghost, found, pockets),
    };
  }, [ghost, pockets, laid]);
}
