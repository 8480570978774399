"use client";

import type { Chamber } from "@/core/job/chamber";
import { useJob } from "../saving/job-context";
import { saveChamber } from "./actions";
import { CameOutFigure, FilledFigure, MakersFigure } from "./charge-figures";

/**
 * Stands in the place of a figure that nobody can give yet: how much a chamber takes, by whichever of three
 * is quickest to find.
 */
export function HowMuch({ chamber }: { chamber: Chamber }) {
  const { run } = useJob();
  type Facts = Parameters<typeof saveChamber>[0]["facts"];
  const save = (facts: Facts) => run(saveChamber, { chamber: chamber.id, facts });
  const bath = chamber.filling === "oil";
  return (
    <section aria-label="How much goes in" className="border-l-[6px] border-error p-2">
      <h3 className="text-[20px] leading-tight">
        How much goes into the {chamber.name}? One of these tells it.
      </h3>
      <div className="mt-1 grid grid-cols-3 items-end gap-2">
        <MakersFigure chamber={chamber} at="how" save={save} />
        {!bath && <FilledFigure chamber={chamber} at="how" save={save} />}
        <CameOutFigure chamber={chamber} at="how" save={save} />
      </div>
      <p className="hush mt-1 text-[17px] leading-tight">
        {bath
          ? "A bath with a level plug needs none of these: say at “What it is” that it has one."
          : "Filled: with water or rice, the gears in it. Its inside in mm can be said at “What it is”."}
      </p>
    </section>
  );
}
