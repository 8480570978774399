"use client";

import type { UnitPast } from "@/core/job/job";
import { KeyButton } from "@/ui/key-button";
import { SavedField } from "../saving/saved-field";
import type { SetTakeIn } from "./set-take-in";
import type { TakeInView } from "./take-in-view";

type PastKey = "bought" | "openedBefore" | "load";
const PAST: readonly (readonly [PastKey, string, readonly (readonly [string, string])[]])[] = [
  ["bought", "Bought", [["new", "new"], ["used", "used"]]],
  ["openedBefore", "Opened before", [["no", "no"], ["shop", "by a shop"], ["owner", "by the owner"]]],
  ["load", "Worked", [["light", "lightly"], ["daily", "daily"], ["hard", "hard"]]],
]; // biome-ignore format: three questions, a line each

/** What the customer knows of the unit's years before today. */
export function ItsHistory({ job, set }: Pick<TakeInView, "job"> & Pick<SetTakeIn, "set">) {
  const past = (facts: Partial<UnitPast>): void => void set({ past: facts });
  return (
    <fieldset className="flex flex-col gap-1.5">
      <legend className="words">Its history</legend>
      {PAST.map(([key, says, answers]) => (
        <div key={key} className="grid grid-cols-[116px_1fr] items-center">
          <span className="text-[19px]">{says}</span>
          <div className="flex gap-1.5">
            {answers.map(([answer, said]) => (
              <KeyButton
                key={answer}
                className="small justify-center"
                pressed={job.past[key] === answer}
                label={`${says}: ${said}`}
                onPress={() => past({ [key]: job.past[key] === answer ? "" : answer })}
              >
                {said}
              </KeyButton>
            ))}
            {key === "load" && (
              <SavedField
                label="Years old"
                name="years"
                value={job.past.years === undefined ? "" : String(job.past.years)}
                save={(t) => set({ past: { years: t.trim() === "" ? null : Number(t.replace(",", ".")) } })}
                figure
                keyName="Y"
                className="beside"
              />
            )}
            {key === "bought" && (
              <SavedField
                label="Last service"
                name="lastService"
                value={job.past.lastService ?? ""}
                save={(lastService) => set({ past: { lastService } })}
                keyName="E"
                className="beside"
              />
            )}
          </div>
        </div>
      ))}
    </fieldset>
  );
}
