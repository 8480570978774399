"use client";

import { useMemo, useState } from "react";
import { cleaningFor } from "@/core/lube/cleaning-ways";
import { Choose } from "@/ui/choose";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { useJob } from "../saving/job-context";
import { useFieldFault } from "../saving/use-field-fault";
import {
  moveCleaning,
  planCleaning,
  saveBlock,
  saveCleaning,
  saveWashed,
  takeCleaningOut,
} from "./cleaning-actions";
import type { LubeView } from "./lube-view";

/**
 * How far the cleaning goes, how each part may be cleaned, and what of it stands in the plan, with the line
 * by which it must be done.
 */
export function Cleaning({ view }: { view: Omit<LubeView, "frame"> }) {
  const { run } = useJob();
  const fault = useFieldFault();
  const [part, setPart] = useState(view.parts[0]?.id ?? "");
  const [opening, setOpening] = useState("");
  const chambers = view.chambers.map((c) => [c.chamber.id, c.chamber.name] as const);
  const [asked, setAsked] = useState<string>();
  // of one chamber nobody is asked
  const within = asked ?? (chambers.length === 1 ? chambers[0]?.[0] : undefined);
  const block = async (): Promise<void> => {
    if (fault.took(await run(saveBlock, { says: opening, chamber: within ?? null }))) setOpening("");
  };
  const shown = view.parts.find((p) => p.id === part);
  const ways = useMemo(
    () =>
      shown
        ? cleaningFor(
            shown,
            view.states.map((s) => s.state),
          )
        : [],
    [shown, view.states],
  );
  const allowed = ways.filter((c) => c.ok);
  const cautions = [...new Set(allowed.flatMap((c) => c.cautions))].map((says) => ({
    says,
    by: allowed.filter((c) => c.cautions.includes(says)).map((c) => c.says),
  }));
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto pr-1">
      <h2 className="text-[26px]">Clean</h2>
      {view.states.map((s) => (
        <p key={s.says} className="says danger !py-1">
          <b>Old lubricant: {s.says}.</b> {s.implies}
        </p>
      ))}
      <p className="says !py-1">{view.far.says}</p>
      <KeyButton keyName="L" onPress={() => void run(planCleaning, {}).then(fault.took)}>
        Put the cleaning that follows from it into the plan
      </KeyButton>
      <FaultLine says={fault.at("cleaning")} />
      {view.unclean.length > 0 && (
        <p className="says danger !py-1">
          <b>In no line of the plan yet:</b> {view.unclean.join(", ")}. Say what a part is made of and choose
          its way below, or which step laid a chamber open.
        </p>
      )}
      {view.cleanings.length > 0 && (
        <ul aria-label="Cleaning in the plan">
          {view.cleanings.map((c) => (
            <li
              key={c.id}
              className="flex items-center gap-2 border-b-2 border-base-300 text-[18px] leading-tight"
            >
              <span className="flex-1">
                {c.says}
                <span className="hush block text-[17px]">
                  {c.line === undefined ? "in no plan" : `line ${c.line} of the rebuild`}
                  {c.last && `, at the latest before ${c.last}`}
                </span>
                {c.moments.length > 1 && (
                  <Choose
                    label={`When: ${c.says}`}
                    quiet
                    options={c.moments.map((m) => [m.step, m.says] as const)}
                    value={c.moments.find((m) => m.step === c.before)?.step}
                    onChoose={(before) =>
                      before && void run(moveCleaning, { service: c.id, before }).then(fault.took)
                    }
                  />
                )}
              </span>
              <button
                type="button"
                className="min-h-[48px] min-w-[48px] text-[24px] font-bold"
                aria-label={`Take out: ${c.says}`}
                onClick={() => void run(takeCleaningOut, { service: c.id })}
              >
                ×
              </button>
            </li>
          ))}
        </ul>
      )}
      <form
        className="grid grid-cols-[1fr_auto] items-end gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          void block();
        }}
      >
        <label className="words">
          Block an opening before the washing
          <input
            className="field"
            value={opening}
            onChange={(e) => setOpening(e.target.value)}
            placeholder="rag in the motor opening"
          />
        </label>
        <KeyButton disabled={!opening.trim()} onPress={() => void block()}>
          It is in
        </KeyButton>
      </form>
      {chambers.length > 1 && (
        <Choose
          label="In which chamber"
          options={chambers}
          value={within}
          none="outside of all"
          onChoose={setAsked}
        />
      )}
      <FaultLine says={fault.at("says")} />
      {view.parts.length > 0 && (
        <fieldset>
          <Choose
            label="How a part is cleaned"
            options={view.parts.map(
              (p) => [p.id, `${p.name}, ${p.material ?? "nobody has said of what"}`] as const,
            )}
            value={part}
            onChoose={(id) => id && setPart(id)}
          />
          <div className="mt-1.5 grid grid-cols-2 gap-1.5">
            {ways.map((c) => (
              <KeyButton
                key={c.method}
                className="small"
                disabled={!c.ok}
                onPress={() => void run(saveCleaning, { part, method: c.method }).then(fault.took)}
              >
                <span className="block text-left leading-tight">
                  {c.says}
                  {c.because && <span className="block text-[16px] font-normal">{c.because}</span>}
                </span>
              </KeyButton>
            ))}
          </div>
          <FaultLine says={fault.elsewhere("cleaning", "says")} />
          {cautions.map((c) => (
            <p key={c.says} className="says mt-1.5 !py-1 !text-[17px]">
              <b>{c.by.join(", ")}:</b> {c.says}
            </p>
          ))}
        </fieldset>
      )}
      {view.dry.length > 0 && (
        <p className="says !py-1">
          <b>Stays dry:</b> {view.dry.join("; ")}.
        </p>
      )}
      <KeyButton
        keyName="K"
        look={view.job.washed ? "plain" : "main"}
        pressed={view.job.washed}
        className="justify-center"
        onPress={() => void run(saveWashed, { washed: !view.job.washed })}
      >
        {view.job.washed ? "✓ All is clean and dry" : "All is clean and dry"}
      </KeyButton>
    </div>
  );
}
