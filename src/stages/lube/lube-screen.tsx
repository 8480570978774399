"use client";

import { useState } from "react";
import { practiceScale } from "@/bench/scale";
import { nlgiName } from "@/core/grease/choose";
import type { WeighedPoint } from "@/core/job/service";
import { GREASE_STATES } from "@/core/judge/failure-modes";
import { GRAMS_PER_OUNCE } from "@/core/quantity/units";
import { KeyButton } from "@/ui/key-button";
import { type Packed, usePacked } from "@/ui/packed";
import { Readout } from "@/ui/readout";
import { Reason } from "@/ui/reasons";
import { useRestLater } from "@/ui/use-rest-later";
import { GoOn } from "../frame/go-on";
import { useJob } from "../saving/job-context";
import { SavedField } from "../saving/saved-field";
import { typedFields, useDraft } from "../saving/use-draft";
import { saveCase, saveSchool, saveWashed, takeGrease, weigh } from "./actions";
import type { LubeView } from "./lube-view";

const scale = practiceScale(Math.random);

/** Lube: clean, then which grease and why, how much, and weighed in at each point. */
export function LubeScreen({ job, plan: packed, gates, draft }: Omit<LubeView, "frame" | "plan"> & { plan: Packed<LubeView["plan"]> }) {
  const plan = usePacked(packed);
  const { run, say } = useJob();
  const [looked, setLooked] = useState<string>();
  const shown = plan.verdicts.find((v) => v.lubricant.id === (looked ?? job.lubricant)) ?? plan.verdicts[0];
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
  const state = GREASE_STATES.find((g) => g.state === job.greaseState);
  const next = job.lubePoints.find((g) => g.weighedGrams === undefined);
  const drawn = useRestLater(job.lubePoints.length);
  return (
    <div className="grid h-full grid-cols-[minmax(0,3.5fr)_minmax(0,4.7fr)_minmax(0,3.8fr)] gap-5">
      <section aria-label="Clean and measure" className="flex min-h-0 flex-col gap-2 overflow-y-auto">
        <h2 className="text-[22px]">Clean</h2>
        {state && (
          <p className="says danger">
            <b>Old grease: {state.says}.</b> {state.implies}
          </p>
        )}
        <p className="says">Solvents: ventilate, no flame or hot air near. Acetone ruins ABS. Motor, brushes and belts stay dry.</p>
        <KeyButton keyName="K" pressed={job.washed} onPress={() => void run(saveWashed, { washed: !job.washed })}>
          {job.washed ? "✓ Clean and dry" : "All clean and dry"}
        </KeyButton>
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
        <h2 className="text-[24px]">Which grease, and why</h2>
        {!plan.verdicts.length && <p className="says">There is no grease on the shop’s shelf yet.</p>}
        <ul className="grid grid-cols-3 gap-2">
          {plan.verdicts.map((v) => (
            <li key={v.lubricant.id}>
              <KeyButton pressed={shown?.lubricant.id === v.lubricant.id} onPress={() => setLooked(v.lubricant.id)} className="w-full">
                {v.ok ? "✓" : "✕"} {v.lubricant.name}
              </KeyButton>
            </li>
          ))}
        </ul>
        {shown && (
          <>
            <div className="flex items-baseline justify-between pt-1">
              <h3 className="text-[30px]">{shown.lubricant.name}</h3>
              <span className="hush text-[19px]">
                NLGI {nlgiName(shown.lubricant.nlgi)} · {shown.lubricant.baseOil} · lot {shown.lubricant.lot}
              </span>
            </div>
            <ul className="min-h-0 flex-1 overflow-y-auto">
              {shown.reasons.map((r) => (
                <Reason key={r.rule} speaks={r.against ? "against" : "for"} about={r.rule} className="border-b-2 border-base-300 py-1 text-[19px]">
                  {r.says}
                </Reason>
              ))}
              <li className="hush pt-1 text-[17px]">Assumed: {plan.assumed.join("; ")}.</li>
            </ul>
            {job.lubricant === shown.lubricant.id && job.lubePoints.length ? (
              <p className="says good text-[22px] font-semibold">✓ Used on this job</p>
            ) : (
              <KeyButton
                keyName={next ? undefined : " "}
                look={shown.ok ? "main" : "warn"}
                onPress={() =>
                  plan.charge
                    ? void run(takeGrease, { lubricant: shown.lubricant.id })
                    : say("Measure the inside of the case first: the amount follows from it.")
                }
                className="justify-center"
              >
                Use this grease
              </KeyButton>
            )}
          </>
        )}
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
          {job.lubePoints.slice(0, drawn).map((g) => (
            <WeighPoint key={g.id} point={g} main={g === next} />
          ))}
        </div>
        <GoOn from="lube" stage={job.stage} gates={gates} keyName={next || !job.lubePoints.length ? "Enter" : " "} />
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
