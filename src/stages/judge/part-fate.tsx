"use client";

import { useState } from "react";
import { MENDING, type ServiceName } from "@/core/job/service";
import type { Fate, FateOption } from "@/core/judge/fate";
import { KeyButton } from "@/ui/key-button";
import { Reasons } from "@/ui/reasons";
import { SmallChoice } from "@/ui/small-choice";
import { useJob } from "../saving/job-context";
import { SavedField } from "../saving/saved-field";
import { saveFinding, saveMending, saveService } from "./actions";
import type { JudgedPart } from "./judge-view";

const GOES_BACK_NEW: readonly Fate[] = ["renew", "renew-pair", "make"];

/** Repair, replace, make or keep: the schools with this job's facts; the decision and its reason are kept. */
export function PartFate({ part, options }: { part: JudgedPart; options: readonly FateOption[] }) {
  const { run } = useJob();
  const { finding } = part;
  const [looked, setLooked] = useState<string>();
  const shown = options.find((o) => o.fate === (looked ?? finding?.fate)) ?? options[0];
  if (!shown)
    return <p className="hush text-[18px]">Say how it failed first. The options are weighed here.</p>;
  const decide = (): void => {
    // a reason of one's own that stands there already is not written over
    const speaking = shown.reasons.filter((r) => !r.against).map((r) => r.says);
    const fateWhy = finding?.fateWhy?.trim() || speaking.join("; ");
    void run(saveFinding, {
      part: part.id,
      fate: shown.fate,
      fateWhy,
      renew: GOES_BACK_NEW.includes(shown.fate),
    });
  };
  return (
    <div className="flex flex-col gap-1.5">
      <div className="grid grid-cols-3 gap-1.5">
        {options.map((o) => (
          <SmallChoice key={o.fate} pressed={shown.fate === o.fate} onPress={() => setLooked(o.fate)}>
            {finding?.fate === o.fate ? "✓ " : o.barred ? "✕ " : o.advised ? "▸ " : ""}
            {o.says}
          </SmallChoice>
        ))}
      </div>
      <ul aria-label="Reasons" className="text-[18px] leading-tight">
        <Reasons reasons={shown.reasons} />
        {shown.reasons.length === 0 && <li className="hush">no reason for or against yet</li>}
      </ul>
      {finding?.fate === shown.fate ? (
        <>
          {shown.fate === "repair" && <Mending part={part} />}
          <SavedField
            key={part.id}
            label={shown.fate === "keep" ? "Why it may stay as it is" : "Why"}
            name={`fate-${part.id}`}
            value={finding.fateWhy ?? ""}
            save={(fateWhy) => run(saveFinding, { part: part.id, fateWhy })}
          />
        </>
      ) : (
        <KeyButton keyName="D" look={shown.barred ? "warn" : "plain"} onPress={decide}>
          Decide: {shown.says.toLowerCase()}
        </KeyButton>
      )}
    </div>
  );
}

/** What mends it: each becomes a line of the rebuild plan before the part goes back, with its wait. */
function Mending({ part }: { part: JudgedPart }) {
  const { run } = useJob();
  const done = part.services.map((v) => v.do);
  const press = (what: ServiceName): void => {
    const mends = MENDING.map((m) => m.do).filter((m) => (m === what ? !done.includes(m) : done.includes(m)));
    void run(saveMending, { part: part.id, services: mends });
  };
  return (
    <fieldset className="flex flex-col gap-1">
      <legend className="text-[18px] font-semibold">What mends it</legend>
      <div className="grid grid-cols-3 gap-1.5">
        {MENDING.map((m) => (
          <SmallChoice key={m.do} pressed={done.includes(m.do)} onPress={() => press(m.do)}>
            {m.says.replace(/ in$/, "").replace(/^Cut or insert a /, "New ")}
          </SmallChoice>
        ))}
      </div>
      {part.services
        .filter((v) => MENDING.some((m) => m.do === v.do))
        .map((v) => (
          <SavedField
            key={v.id}
            label={`${MENDING.find((m) => m.do === v.do)?.says ?? v.do}: how${v.waitMinutes ? `, and let it rest ${v.waitMinutes / 60} h` : ""}`}
            name={`service-${v.id}`}
            value={v.note ?? ""}
            save={(note) => run(saveService, { service: v.id, note })}
          />
        ))}
    </fieldset>
  );
}
