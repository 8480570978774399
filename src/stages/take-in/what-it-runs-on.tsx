"use client";

import { useState } from "react";
import { HAZARD_WORDS, type Hazard, hazardSays, USUAL_HAZARD_COUNT } from "@/core/job/hazard";
import { PROTECTION_CLASSES, SUPPLY_WORDS } from "@/core/job/supply";
import { KeyButton } from "@/ui/key-button";
import type { SetTakeIn } from "./set-take-in";
import type { TakeInView } from "./take-in-view";

const CHIP = "small justify-center !px-0.5 !text-[16px] !leading-none";

/**
 * What drives it, several at once and none assumed; its protection class by its mark, where it hangs on the
 * mains.
 */
export function WhatItRunsOn({ job, set }: Pick<TakeInView, "job"> & Pick<SetTakeIn, "set">) {
  const mains = job.supplies.includes("mains");
  return (
    <>
      <fieldset className="grid grid-cols-4 gap-1.5">
        <legend className="words">Runs on: all that drive it</legend>
        {SUPPLY_WORDS.map(({ supply, says }) => {
          const on = job.supplies.includes(supply);
          return (
            <KeyButton
              key={supply}
              className={CHIP}
              pressed={on}
              onPress={() =>
                void set({
                  supplies: on ? job.supplies.filter((s) => s !== supply) : [...job.supplies, supply],
                })
              }
            >
              {says}
            </KeyButton>
          );
        })}
      </fieldset>
      <div className="flex flex-wrap items-end gap-1.5">
        {mains && (
          <fieldset className="flex gap-1.5">
            <legend className="words">Protection class, by its mark</legend>
            {PROTECTION_CLASSES.map((c) => (
              <KeyButton
                key={c.class}
                className={CHIP}
                label={`Class ${c.class}, ${c.says}`}
                pressed={job.protectionClass === c.class}
                onPress={() => void set({ protectionClass: c.class })}
              >
                <span className="flex items-center gap-1.5">
                  <ClassMark of={c.class} /> {c.class}
                </span>
              </KeyButton>
            ))}
          </fieldset>
        )}
        <KeyButton
          keyName="F"
          className="small"
          onPress={() => void set({ foodContact: !job.foodContact })}
          pressed={job.foodContact}
        >
          {job.foodContact ? "✓ Touches food" : "Touches food"}
        </KeyButton>
      </div>
    </>
  );
}

/** The marks as they stand on a rating plate: earth in a circle, a square in a square, III in a diamond. */
function ClassMark({ of }: { of: (typeof PROTECTION_CLASSES)[number]["class"] }) {
  return (
    <svg
      width="30"
      height="30"
      viewBox="0 0 30 30"
      aria-hidden="true"
      fill="none"
      stroke="currentColor"
      strokeWidth="2"
    >
      {of === "I" && (
        <>
          <circle cx="15" cy="15" r="13" />
          <path d="M15 5v10M7 15h16M10 19h10M13 23h4" />
        </>
      )}
      {of === "II" && (
        <>
          <rect x="3" y="3" width="24" height="24" />
          <rect x="9" y="9" width="12" height="12" />
        </>
      )}
      {of === "III" && (
        <>
          <path d="M15 1l14 14-14 14L1 15z" />
          <path d="M10 11v8M15 11v8M20 11v8" />
        </>
      )}
    </svg>
  );
}

/**
 * What can hurt at it: chips to tick or take off. What is usual for its kind is proposed, and counts once
 * somebody says so.
 */
export function WhatCanHurt({
  job,
  proposed,
  set,
}: Pick<TakeInView, "job" | "proposed"> & Pick<SetTakeIn, "set">) {
  const [all, setAll] = useState(false);
  const said = job.hazards;
  const shown: readonly Hazard[] = said ?? proposed ?? [];
  const say = (hazards: readonly Hazard[]): void => void set({ hazards: [...hazards] });
  return (
    <fieldset className="relative grid grid-cols-5 gap-1.5">
      <legend className="words">What can hurt at it{said ? "" : proposed ? ": is it so?" : "?"}</legend>
      {!all && (
        <button
          type="button"
          className="absolute -top-[30px] right-0 min-h-[34px] px-2 text-[18px] font-semibold underline"
          aria-label="More that can hurt"
          onClick={() => setAll(true)}
        >
          more …
        </button>
      )}
      {HAZARD_WORDS.filter((h, i) => all || i < USUAL_HAZARD_COUNT || shown.includes(h.hazard)).map(
        ({ hazard, says }) => {
          const on = shown.includes(hazard);
          return (
            <KeyButton
              key={hazard}
              className={`${CHIP} ${on && !said ? "border-dashed" : ""}`}
              pressed={said ? on : undefined}
              onPress={() =>
                say(
                  on && said
                    ? shown.filter((h) => h !== hazard)
                    : [...shown.filter((h) => h !== hazard), hazard],
                )
              }
            >
              {on && !said ? `${says}?` : says}
            </KeyButton>
          );
        },
      )}
      <KeyButton
        keyName="Z"
        className={CHIP}
        pressed={said?.length === 0}
        label={
          said || !shown.length
            ? "Nothing of these can hurt"
            : `So it is: ${shown.map(hazardSays).join(", ")}`
        }
        onPress={() => say(said ? [] : shown)}
      >
        {said || !shown.length ? "none" : "yes"}
      </KeyButton>
    </fieldset>
  );
}
