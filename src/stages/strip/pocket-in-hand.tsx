"use client";

import type { Pocket } from "@/ui/pocket";
import { useJob } from "../saving/job-context";
import { cameOutAsOne, setNeeds, slideTo } from "./actions";
import type { LaidStep } from "./laid-step";
import { PocketPanel } from "./panels/pocket-panel";

/** The pocket of the Mat that is in hand: what is pressed on its sheet is done in the shop. */
export function PocketInHand({
  pockets,
  at,
  laid,
  onMove,
  onEdit,
  onClose,
}: {
  pockets: readonly Pocket[];
  at: number;
  /** the whole step; undefined while it is on its way from the shop */
  laid: LaidStep | undefined;
  onMove: (step: string | undefined) => void;
  onEdit: (laid: LaidStep) => void;
  onClose: () => void;
}) {
  const { run } = useJob();
  const step = pockets[at]?.step;
  if (step === undefined) return null;
  return (
    <PocketPanel
      pockets={pockets}
      at={at}
      onMove={(to) => onMove(pockets[to]?.step)}
      onTakeUp={laid && (() => onEdit(laid))}
      onSlide={(to) => void run(slideTo, { step, to })}
      onNeeds={(needs) => void run(setNeeds, { step, needs: [...needs] })}
      onBundle={(other) => void run(cameOutAsOne, { step, other })}
      onClose={onClose}
    />
  );
}
