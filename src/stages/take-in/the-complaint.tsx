"use client";

import { SYMPTOMS } from "@/core/judge/failure-modes";
import { symptomsIn } from "@/core/take-in/symptoms-in-words";
import { KeyButton } from "@/ui/key-button";
import { pictureUrl } from "@/ui/picture-frame";
import { SavedField } from "../saving/saved-field";
import { ItsHistory } from "./its-history";
import type { SetTakeIn } from "./set-take-in";
import type { TakeInView } from "./take-in-view";

/**
 * What the customer says is wrong, what the counter sees and hears, its history, and the state it came in.
 */
export function TheComplaint({
  job,
  set,
  save,
  tick,
  onPicture,
}: Pick<TakeInView, "job"> & SetTakeIn & { onPicture: () => void }) {
  const heard = new Set<string>(symptomsIn(job.complaint ?? ""));
  const condition = job.pictures.filter((p) => p.role === "condition");
  return (
    <section aria-label="The complaint" className="flex min-h-0 flex-col gap-2 overflow-y-auto">
      <SavedField
        label="In the customer’s words"
        name="complaint"
        value={job.complaint}
        save={save("complaint")}
        rows={2}
        keyName="W"
      />
      <fieldset>
        <legend className="words">Symptoms</legend>
        <div className="grid grid-cols-4 gap-1">
          {SYMPTOMS.map((s) => {
            const on = job.symptoms.includes(s.symptom);
            const asked = !on && heard.has(s.symptom);
            return (
              <KeyButton
                key={s.symptom}
                className={`small justify-center !px-1 !text-[16px] !leading-none ${asked ? "border-dashed! bg-base-200" : ""}`}
                pressed={on}
                onPress={() => tick("symptoms", s.symptom, !on)}
              >
                {on ? "✓ " : ""}
                {s.says}
                {asked ? "?" : ""}
              </KeyButton>
            );
          })}
        </div>
      </fieldset>
      <ItsHistory job={job} set={set} />
      <div className="grid grid-cols-[1fr_auto] items-end gap-2">
        <SavedField
          label="Condition on arrival: cracks, missing screws"
          name="condition"
          value={job.condition}
          save={save("condition")}
          rows={1}
          keyName="H"
        />
        <KeyButton keyName="D" className="small" onPress={onPicture} label="Picture of the condition">
          Picture {condition.length > 0 && <b>{condition.length}</b>}
        </KeyButton>
      </div>
      {condition.length > 0 && (
        <ul aria-label="Pictures of the condition" className="flex gap-1.5">
          {condition.map((p) => (
            <li key={p.name} className="size-[52px] overflow-hidden border-2 border-base-content">
              {/* biome-ignore lint/performance/noImgElement: the thumbnail is made once, at the size it
                  is shown */}
              <img
                src={pictureUrl(p.sha256, true)}
                alt={`condition, ${p.name}`}
                className="h-full w-full object-cover"
              />
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
