"use client";

import { useState } from "react";
import { nlgiName } from "@/core/grease/lubricant";
import { KeyButton } from "@/ui/key-button";
import { KeyLink } from "@/ui/key-link";
import { Reason } from "@/ui/reasons";
import { useJob } from "../saving/job-context";
import { takeGrease } from "./actions";
import type { LubeView } from "./lube-view";

/** The greases of the shelf with what speaks for and against each; the one that is used. */
export function WhichGrease({ job, plan }: Pick<LubeView, "job" | "plan">) {
  const { run } = useJob();
  const [looked, setLooked] = useState<string>();
  const shown = plan.verdicts.find((v) => v.lubricant.id === (looked ?? job.lubricant)) ?? plan.verdicts[0];
  if (!shown)
    return (
      <div className="says flex flex-col gap-2">
        There is no grease on the shop’s shelf yet.
        <KeyLink href="/shelf" keyName="H">
          To the shelf
        </KeyLink>
      </div>
    );
  const { lubricant } = shown;
  const toWeigh = job.lubePoints.filter((g) => g.grams !== undefined);
  // what would be refused is not offered, and says why
  const why = shown.forbidden ?? (plan.charge ? null : "Measure the inside of the case first: the amount follows from it.");
  return (
    <>
      <ul className="grid grid-cols-3 gap-2">
        {plan.verdicts.map((v) => (
          <li key={v.lubricant.id}>
            <KeyButton pressed={shown === v} onPress={() => setLooked(v.lubricant.id)} className="w-full">
              {v.ok ? "✓" : "✕"} {v.lubricant.name}
            </KeyButton>
          </li>
        ))}
      </ul>
      <div className="flex items-baseline justify-between pt-1">
        <h3 className="text-[30px]">{lubricant.name}</h3>
        <span className="hush text-[19px]">
          NLGI {nlgiName(lubricant.nlgi)} · {lubricant.baseOil}
          {lubricant.lot && ` · lot ${lubricant.lot}`}
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
      {job.lubricant === lubricant.id && toWeigh.length ? (
        <p className="says good text-[22px] font-semibold">✓ Used on this job</p>
      ) : (
        <>
          {why && <p className="says danger">{why}</p>}
          <KeyButton
            keyName={toWeigh.some((g) => g.weighedGrams === undefined) ? undefined : " "}
            look={shown.ok ? "main" : "warn"}
            disabled={why !== null}
            onPress={() => void run(takeGrease, { lubricant: lubricant.id })}
            className="justify-center"
          >
            Use this grease
          </KeyButton>
        </>
      )}
    </>
  );
}
