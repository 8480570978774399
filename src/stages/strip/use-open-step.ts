"use client";

import { useMemo } from "react";
import { factsWith } from "@/core/job/recorded-step";
import type { StepFacts } from "@/core/job/step";
import {
  EMPTY,
  isEmpty,
  lineTaken,
  type OpenStep,
  openStep,
  type Understood,
  understood,
} from "@/core/recorder/open-step";
import { newKey } from "../saving/new-key";
import { useDraft } from "../saving/use-draft";

/**
 * The step that is open in the recorder, what was understood of it, and the ways in which a hand changes it.
 */
export interface Recording {
  readonly open: OpenStep;
  readonly read: Understood;
  /** nothing is said of it yet, and it is none that lies on the Mat */
  readonly empty: boolean;
  readonly set: (fields: Partial<OpenStep>) => void;
  /** says some facts anew; an empty one goes */
  readonly say: (facts: StepFacts) => void;
  /** what the line says becomes facts that can be changed by touch */
  readonly takeLine: () => void;
  /** opens another step, or none, in its place */
  readonly replace: (step: OpenStep) => void;
}

/**
 * Whatever is said or taken of it first begins a step: its clock runs, and it has a name, by which its
 * pictures go.
 */
const begun = (now: OpenStep): OpenStep => ({
  ...now,
  key: now.key || newKey(),
  since: now.since ?? Date.now(),
});

export function useOpenStep(draft: unknown): Recording {
  const [open, setOpen] = useDraft<OpenStep>("strip.step", draft, openStep, EMPTY);
  const read = useMemo(() => understood(open), [open]);
  return {
    open,
    read,
    empty: isEmpty(open, read) && open.editing === null,
    set: (fields) => setOpen((now) => ({ ...begun(now), ...fields })),
    say: (facts) => setOpen((now) => ({ ...begun(now), facts: factsWith(now.facts, facts) })),
    takeLine: () => setOpen((now) => lineTaken(begun(now), understood(now))),
    replace: setOpen,
  };
}
