"use client";

import { KeyButton } from "@/ui/key-button";
import { useJob } from "../saving/job-context";
import { saveChamber } from "./actions";
import { CameOutFigure, FilledFigure, MakersFigure } from "./charge-figures";
import { Figure } from "./figure";
import type { ChamberView } from "./lube-view";

type Facts = Parameters<typeof saveChamber>[0]["facts"];

/**
 * Stands in the place of a figure that nobody can give yet: how much a chamber takes, by whichever of these
 * is quickest to find; or, where some of the old stays, how much that is.
 */
export function HowMuch({ of }: { of: ChamberView }) {
  const { run } = useJob();
  const { chamber, lastUnit, plan } = of;
  const save = (facts: Facts) => run(saveChamber, { chamber: chamber.id, facts });
  const bath = chamber.filling === "oil";
  if (of.isStayAsked)
    return (
      <section aria-label={`How much stays in the ${chamber.name}`} className="mt-1">
        <div className="grid grid-cols-2 items-end gap-2">
          <Figure
            label="Stays in it"
            of="mass"
            name={`stays-${chamber.id}`}
            value={chamber.staysGrams}
            typed={chamber.typed?.staysGrams}
            keepsWords
            save={(staysGrams, _, words) => save({ staysGrams, typed: { staysGrams: words } })}
          />
          <KeyButton className="small" onPress={() => void save({ old: { left: "none" } })}>
            None: all of it comes out
          </KeyButton>
        </div>
        <p className="hush mt-1 text-[17px] leading-tight">
          It holds {plan?.answer?.grams?.toFixed(0)} g in all. Weigh the case before and after, or what was
          taken out, or wash it and begin anew.
        </p>
      </section>
    );
  return (
    <section aria-label={`How much goes into the ${chamber.name}`} className="mt-1">
      <p className="text-[18px] leading-tight">One of these tells it:</p>
      {lastUnit && (
        <KeyButton keyName="J" className="small my-1" onPress={() => void save({ lastUnit })}>
          {lastUnit.grams} g went into {lastUnit.number}, the same model: as much here
        </KeyButton>
      )}
      <div className="grid grid-cols-3 items-end gap-2">
        <MakersFigure chamber={chamber} at="how" save={save} />
        {!bath && <FilledFigure chamber={chamber} at="how" save={save} />}
        <CameOutFigure chamber={chamber} at="how" save={save} />
      </div>
      {bath && (
        <KeyButton className="small mt-1" onPress={() => void save({ levelPlug: true })}>
          It has a level plug
        </KeyButton>
      )}
      <p className="hush mt-1 text-[17px] leading-tight">
        {bath
          ? "Up to the height at which the old one stood: fill it with a measure, and write down how much went in."
          : "Filled: water or rice out of a measure, with the gears in it. Its inside in mm, less its gears, is under How much. As high as the old one stood does too, if it was never short: weigh what came out."}
      </p>
    </section>
  );
}
