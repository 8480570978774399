"use client";

import { useCallback, useState } from "react";
import type { UnitPast } from "@/core/job/job";
import { SYMPTOMS } from "@/core/judge/failure-modes";
import { KeyButton } from "@/ui/key-button";
import { framed, PictureFrame, pictureUrl } from "@/ui/picture-frame";
import { GoOn } from "../frame/go-on";
import type { PicturePlace } from "../frame/picture-queue";
import { TakePicture } from "../frame/take-picture";
import type { ActionResult } from "../saving/act";
import { useJob } from "../saving/job-context";
import { SavedField } from "../saving/saved-field";
import { saveCustomer, saveTakeIn } from "./actions";
import { LooseItems } from "./loose-items";
import type { TakeInView } from "./take-in-view";
import { SerialDate, VariantPick } from "./unit-identity";

const SUPPLIES = [
  ["mains", "Mains"],
  ["battery", "Battery"],
  ["hand", "By hand"],
  ["water", "Water"],
  ["other", "Other"],
] as const;

type PastKey = "bought" | "openedBefore" | "load";
const PAST: readonly (readonly [PastKey, string, readonly (readonly [string, string])[]])[] = [
  ["bought", "Bought", [["new", "new"], ["used", "used"]]],
  ["openedBefore", "Opened before", [["no", "no"], ["shop", "by a shop"], ["owner", "by the owner"]]],
  ["load", "Worked", [["light", "lightly"], ["daily", "daily"], ["hard", "hard"]]],
]; // biome-ignore format: three questions, a line each

/** Take in: which unit it is and by which mark, the complaint in the customer's words, what came with it, limit and consent. */
export function TakeInScreen({ job, gates, currency, counter, thisYear }: Omit<TakeInView, "frame">) {
  const { run } = useJob();
  const set = useCallback((fields: object) => run(saveTakeIn, { fields }), [run]);
  const [camera, setCamera] = useState<(PicturePlace & { item?: string }) | null>(null);
  const save = (name: string) => (text: string) => set({ [name]: text });
  const picture = job.pictures.find((p) => p.role === "intake");
  const condition = job.pictures.filter((p) => p.role === "condition");
  const past = (facts: Partial<UnitPast>): void => void set({ past: facts });
  const tick = (list: "symptoms" | "looseItems", item: string, on: boolean): Promise<ActionResult> => run(saveTakeIn, { fields: {}, tick: { list, item, on } });
  return (
    <div className="grid h-full grid-cols-[1.05fr_1.15fr_1fr] gap-5">
      <section aria-label="The unit" className="flex min-h-0 flex-col gap-2 overflow-y-auto">
        <SavedField label="Kind of unit" name="kind" value={job.kind} save={save("kind")} known="/api/known/kind" />
        <div className="grid grid-cols-2 gap-2.5">
          <SavedField label="Maker" name="maker" value={job.maker} save={save("maker")} known="/api/known/maker" />
          <SavedField label="Model" name="model" value={job.model} save={save("model")} known={`/api/known/model?maker=${encodeURIComponent(job.maker)}`} />
        </div>
        <VariantPick job={job} variants={counter.variants} />
        <div>
          <SavedField label="Serial number" name="serial" value={job.serial} save={save("serial")} figure />
          <SerialDate job={job} taught={counter.dateCode} thisYear={thisYear} />
        </div>
        <fieldset className="flex flex-wrap items-center gap-1.5">
          <legend className="words">Runs on</legend>
          {SUPPLIES.map(([supply, says]) => (
            <KeyButton key={supply} className="small" onPress={() => void set({ supply })} pressed={job.supply === supply}>
              {says}
            </KeyButton>
          ))}
        </fieldset>
        <fieldset className="flex flex-wrap items-center gap-1.5">
          <legend className="words">Protection class on its plate</legend>
          {(["I", "II", "III"] as const).map((c) => (
            <KeyButton
              key={c}
              className="small justify-center"
              onPress={() => void set({ protectionClass: c })}
              pressed={job.protectionClass === c}
              label={`Class ${c}`}
            >
              {c}
            </KeyButton>
          ))}
          <KeyButton keyName="F" className="small" onPress={() => void set({ foodContact: !job.foodContact })} pressed={job.foodContact}>
            {job.foodContact ? "✓ Touches food" : "Touches food"}
          </KeyButton>
        </fieldset>
      </section>
      <section aria-label="The complaint" className="flex min-h-0 flex-col gap-2 overflow-y-auto">
        <SavedField label="In the customer’s words" name="complaint" value={job.complaint} save={save("complaint")} rows={2} />
        <fieldset>
          <legend className="words">Symptoms</legend>
          <div className="grid grid-cols-3 gap-1.5">
            {SYMPTOMS.map((s) => {
              const on = job.symptoms.includes(s.symptom);
              return (
                <KeyButton key={s.symptom} className="small !leading-none" pressed={on} onPress={() => tick("symptoms", s.symptom, !on)}>
                  {on ? "✓ " : ""}
                  {s.says}
                </KeyButton>
              );
            })}
          </div>
        </fieldset>
        <fieldset className="flex flex-col gap-1.5">
          <legend className="words">Its history</legend>
          {PAST.map(([key, says, answers]) => (
            <div key={key} className="grid grid-cols-[120px_1fr] items-center">
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
              </div>
            </div>
          ))}
          <div className="grid grid-cols-[120px_1fr] gap-2">
            <SavedField
              label="Years old"
              name="years"
              value={job.past.years === undefined ? "" : String(job.past.years)}
              save={(t) => set({ past: { years: t.trim() === "" ? null : Number(t.replace(",", ".")) } })}
              figure
            />
            <SavedField label="Last service" name="lastService" value={job.past.lastService ?? ""} save={(lastService) => set({ past: { lastService } })} />
          </div>
        </fieldset>
        <div className="grid grid-cols-[1fr_auto] items-end gap-2">
          <SavedField label="Condition on arrival: cracks, missing screws" name="condition" value={job.condition} save={save("condition")} rows={2} />
          <KeyButton keyName="D" className="small" onPress={() => setCamera({ role: "condition" })} label="Picture of the condition">
            Picture {condition.length > 0 && <b>{condition.length}</b>}
          </KeyButton>
        </div>
        {condition.length > 0 && (
          <ul aria-label="Pictures of the condition" className="flex gap-1.5">
            {condition.map((p) => (
              <li key={p.name} className="size-[52px] overflow-hidden border-2 border-base-content">
                {/* biome-ignore lint/performance/noImgElement: the thumbnail is made once, at the size it is shown */}
                <img src={pictureUrl(p.sha256, true)} alt={`condition, ${p.name}`} className="h-full w-full object-cover" />
              </li>
            ))}
          </ul>
        )}
      </section>
      <section aria-label="The customer" className="flex min-h-0 flex-col gap-2">
        {camera ? (
          <TakePicture
            where={{ role: camera.role }}
            hint={`${job.kind} unit`}
            onTaken={() => setCamera(null)}
            {...(camera.item ? { onArrived: (kept) => void set({ loosePictures: { [camera.item as string]: kept.name } }) } : {})}
            onClose={() => setCamera(null)}
          />
        ) : (
          <div className="relative flex max-h-[220px] min-h-[104px] flex-1">
            <PictureFrame picture={framed(picture)} words={picture ? "as it came in" : "take one, so nobody is blamed later"} className="w-full" />
            <KeyButton keyName="P" onPress={() => setCamera({ role: "intake" })} className="small !absolute top-1.5 right-1.5 bg-base-100">
              Picture
            </KeyButton>
          </div>
        )}
        <div className="grid grid-cols-[1.4fr_1fr] gap-2">
          <SavedField label="Customer" name="customerName" value={job.customerName} save={(name) => run(saveCustomer, { name })} known="/api/known/customer" />
          <SavedField label="Contact" name="customerContact" value={job.customerContact} save={(contact) => run(saveCustomer, { contact })} />
        </div>
        <LooseItems job={job} tick={(item, on) => tick("looseItems", item, on)} onPicture={(item) => setCamera({ role: "loose", item })} />
        <div className="grid grid-cols-2 gap-2">
          <SavedField
            label={`Price limit, ${currency}`}
            name="priceLimit"
            value={job.priceLimit === undefined ? "" : String(job.priceLimit)}
            save={(t) => set({ priceLimit: t.trim() === "" ? null : Number(t.replace(",", ".")) })}
            figure
          />
          <SavedField label="Promised for" name="promised" value={job.promised ?? ""} type="date" save={save("promised")} />
        </div>
        <div className="grid grid-cols-2 gap-1.5">
          <KeyButton
            keyName="C"
            className="small !leading-none"
            onPress={() => void set({ consent: !job.consent })}
            pressed={job.consent}
            label={`${job.consent ? "✓ " : ""}Consents to opening and limit`}
          >
            {job.consent ? "✓ " : ""}Consents to opening and limit
          </KeyButton>
          <KeyButton keyName="O" className="small !leading-none" onPress={() => void set({ disposeConsent: !job.disposeConsent })} pressed={job.disposeConsent}>
            {job.disposeConsent ? "✓ " : ""}Old parts may go
          </KeyButton>
        </div>
        <GoOn from="take-in" stage={job.stage} gates={gates} />
      </section>
    </div>
  );
}
