"use client";

import { useState } from "react";
import { practiceScale } from "@/bench/scale";
import type { WeighedPoint } from "@/core/job/service";
import { greaseStatesIn } from "@/core/judge/failure-modes";
import { GRAMS_PER_OUNCE } from "@/core/quantity/units";
import { KeyButton } from "@/ui/key-button";
import { type Packed, usePacked } from "@/ui/packed";
import { Readout } from "@/ui/readout";
import { useRestLater } from "@/ui/use-rest-later";
import { GoOn } from "../frame/go-on";
import { useJob } from "../saving/job-context";
import { SavedField } from "../saving/saved-field";
import { typedFields, useDraft } from "../saving/use-draft";
import { saveCase, saveSchool, saveWashed, weigh } from "./actions";
import { CaseMadeOf } from "./case-made-of";
import type { LubeView } from "./lube-view";
import { NoGrease } from "./no-grease";
import { WhichGrease } from "./which-grease";

const scale = practiceScale(Math.random);

/** Lube: clean, then which grease and why, how much, and weighed in at each point. */
export function LubeScreen({ job, plan: packed, gates, draft, parts, oilDraft }: Omit<LubeView, "frame" | "plan"> & { plan: Packed<LubeView["plan"]> }) {
  const plan = usePacked(packed);
  const { run } = useJob();
  const [without, setWithout] = useState(job.noGrease !== undefined);
  const [inside, setInside] = useDraft("lube.case", draft, typedFields, {});
  const sides = [
    ["lengthMm", "Length"],
    ["widthMm", "Width"],
    ["depthMm", "Depth"],
  ] as const;
  const sideText = (k: (typeof sides)[number][0]): string => inside[k] ?? (job.caseInside ? String(job.caseInside[k]) : "");
  const measure = async (): Promise<void> => {
    const [lengthMm, widthMm, depthMm] = sides.map(([k]) => Number(sideText(k).replace(",", ".")));
    const result = await run(saveCase, { inside: { lengthMm, widthMm, depthMm } });
    if (result.ok) setInside({});
  };
  const toWeigh = job.lubePoints.filter((g) => g.grams !== undefined);
  const next = toWeigh.find((g) => g.weighedGrams === undefined);
  const drawn = useRestLater(toWeigh.length);
  return (
    <div className="grid h-full grid-cols-[minmax(0,3.5fr)_minmax(0,4.7fr)_minmax(0,3.8fr)] gap-5">
      <section aria-label="Clean and measure" className="flex min-h-0 flex-col gap-2 overflow-y-auto">
        <h2 className="text-[22px]">Clean</h2>
        {greaseStatesIn(job.greaseStates).map((g) => (
          <p key={g.state} className="says danger">
            <b>Old grease: {g.says}.</b> {g.implies}
          </p>
        ))}
        <p className="says">Solvents: ventilate, no flame or hot air near. Acetone ruins ABS. Motor, brushes and belts stay dry.</p>
        <KeyButton keyName="K" pressed={job.washed} onPress={() => void run(saveWashed, { washed: !job.washed })}>
          {job.washed ? "✓ Clean and dry" : "All clean and dry"}
        </KeyButton>
        <CaseMadeOf job={job} />
        <h2 className="text-[22px]">Inside of the case</h2>
        <div className="grid grid-cols-3 gap-2">
          {sides.map(([k, says]) => (
            <label key={k} className="words">
              {says}, mm
              <input
                className="field figure"
                inputMode="decimal"
                value={sideText(k)}
                onChange={(e) => setInside((now) => ({ ...now, [k]: e.target.value }))}
                onBlur={() => sides.every(([s]) => sideText(s).trim()) && Object.keys(inside).length > 0 && void measure()}
                onKeyDown={(e) => e.key === "Enter" && void measure()}
              />
            </label>
          ))}
        </div>
        <div className="grid grid-cols-2 gap-2">
          <KeyButton keyName="M" pressed={job.fillSchool === "measured"} onPress={() => void run(saveSchool, { school: "measured" })}>
            Measured
          </KeyButton>
          <KeyButton keyName="G" pressed={job.fillSchool === "packed"} onPress={() => void run(saveSchool, { school: "packed" })}>
            Packed
          </KeyButton>
        </div>
        <p className="says">Keep grease off the cover’s mating face, belts and brushes. A seal’s lip gets a film.</p>
      </section>
      <section aria-label="Which grease" className="flex min-h-0 flex-col gap-2">
        <div className="flex items-center justify-between gap-2">
          <h2 className="text-[24px]">{without ? "No grease, or oil" : "Which grease, and why"}</h2>
          <KeyButton keyName="N" className="small" pressed={without} onPress={() => setWithout(!without)}>
            No grease, oil
          </KeyButton>
        </div>
        {without ? <NoGrease job={job} parts={parts} draft={oilDraft} /> : <WhichGrease job={job} plan={plan} />}
      </section>
      <section aria-label="How much" className="flex min-h-0 flex-col gap-2">
        <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto">
          <Readout
            label="Total"
            value={plan.charge ? plan.charge.grams.toFixed(1) : "–"}
            unit="g"
            measured={plan.charge !== null}
            from={
              plan.charge
                ? `${(plan.charge.grams / GRAMS_PER_OUNCE).toFixed(2)} oz · from ${plan.charge.minGrams.toFixed(1)} to ${plan.charge.maxGrams.toFixed(1)} g`
                : "measure the case first"
            }
          />
          {plan.charge?.reasons.map((r) => (
            <p key={r.rule} className="text-[18px] leading-tight">
              <b>{r.rule}:</b> {r.says}
            </p>
          ))}
          {toWeigh.slice(0, drawn).map((g) => (
            <WeighPoint key={g.id} point={g} main={g === next} />
          ))}
        </div>
        <GoOn from="lube" stage={job.stage} gates={gates} keyName={next || (!toWeigh.length && !without) ? "Enter" : " "} />
      </section>
    </div>
  );
}

function WeighPoint({ point, main }: { point: WeighedPoint; main: boolean }) {
  const { run } = useJob();
  const aim = point.grams ?? 0;
  const weighed = point.weighedGrams;
  const put = (grams: number | null) => run(weigh, { point: point.id, grams });
  return (
    <div className={`grid grid-cols-[1fr_auto] gap-x-2 border-t-4 bg-base-200 px-2 py-1.5 ${weighed === undefined ? "border-base-content" : "border-success"}`}>
      <span className="col-span-2 flex items-baseline justify-between text-[19px] leading-tight font-semibold">
        <span>
          {weighed === undefined ? "" : "✓ "}
          {point.where}
        </span>
        <b className="figures text-[24px]">{aim.toFixed(1)} g</b>
      </span>
      <SavedField
        label="Weighed in, g"
        name={`weigh-${point.id}`}
        value={weighed === undefined ? "" : String(weighed)}
        figure
        save={(t) => put(t.trim() === "" ? null : Number(t.replace(",", ".")))}
      />
      <KeyButton
        keyName={main ? "W" : undefined}
        onPress={() => void put(scale.read(aim))}
        label={`Practice scale for ${point.where}`}
        className="mt-[22px] !px-3 self-start"
      >
        Scale
      </KeyButton>
    </div>
  );
}
