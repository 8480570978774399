"use client";

import { useState } from "react";
import type { Finding } from "@/core/job/finding";
import type { FateOption } from "@/core/judge/fate";
import { KeyButton } from "@/ui/key-button";
import { Reasons } from "@/ui/reasons";
import { useJob } from "../saving/job-context";
import { SavedField } from "../saving/saved-field";
import { saveFinding } from "./actions";

/** Repair, replace or make: the schools with this job's facts; the decision and its reason are kept. */
export function PartFate({ part, options, finding }: { part: string; options: readonly FateOption[]; finding: Pick<Finding, "fate" | "fateWhy"> | undefined }) {
  const { run } = useJob();
  const [looked, setLooked] = useState<string>();
  const shown = options.find((o) => o.fate === (looked ?? finding?.fate)) ?? options[0];
  if (!shown) return <p className="hush text-[18px]">Say how it failed first. The options are weighed here.</p>;
  return (
    <div className="flex flex-col gap-1.5">
      <div className="grid grid-cols-3 gap-1.5">
        {options.map((o) => (
          <KeyButton
            key={o.fate}
            className="!min-h-[48px] justify-center !px-1 !py-0.5 text-center !text-[17px]"
            pressed={shown.fate === o.fate}
            onPress={() => setLooked(o.fate)}
          >
            {finding?.fate === o.fate ? "✓ " : o.barred ? "✕ " : o.advised ? "▸ " : ""}
            {o.says}
          </KeyButton>
        ))}
      </div>
      <ul aria-label="Reasons" className="text-[18px] leading-tight">
        <Reasons reasons={shown.reasons} />
        {shown.reasons.length === 0 && <li className="hush">no reason for or against yet</li>}
      </ul>
      {finding?.fate === shown.fate ? (
        <SavedField key={part} label="Why" name={`fate-${part}`} value={finding.fateWhy ?? ""} save={(fateWhy) => run(saveFinding, { part, fateWhy })} />
      ) : (
        <KeyButton
          keyName="D"
          look={shown.barred ? "warn" : "plain"}
          onPress={() =>
            void run(saveFinding, {
              part,
              fate: shown.fate,
              fateWhy: shown.reasons
                .filter((r) => !r.against)
                .map((r) => r.says)
                .join("; "),
              renew: ["renew", "renew-pair", "make"].includes(shown.fate),
            })
          }
        >
          Decide: {shown.says.toLowerCase()}
        </KeyButton>
      )}
    </div>
  );
}
