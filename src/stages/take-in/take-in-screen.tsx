"use client";

import { useCallback, useState } from "react";
import { KeyButton } from "@/ui/key-button";
import { framed, PictureFrame } from "@/ui/picture-frame";
import { GoOn } from "../frame/go-on";
import type { PicturePlace } from "../frame/picture-queue";
import { TakePicture } from "../frame/take-picture";
import { useJob } from "../saving/job-context";
import { SavedField } from "../saving/saved-field";
import { saveCustomer, saveTakeIn } from "./actions";
import { LooseItems } from "./loose-items";
import type { SetTakeIn } from "./set-take-in";
import type { TakeInView } from "./take-in-view";
import { TheComplaint } from "./the-complaint";
import { TheUnit } from "./the-unit";

/**
 * Take in: which unit it is and by which mark, the complaint in the customer's words, what came with it,
 * limit and consent.
 */
export function TakeInScreen({
  job,
  gates,
  currency,
  counter,
  thisYear,
  proposed,
  earlier,
  looseKnown,
}: Omit<TakeInView, "frame">) {
  const { run } = useJob();
  const set = useCallback((fields: object) => run(saveTakeIn, { fields }), [run]);
  const [camera, setCamera] = useState<(PicturePlace & { item?: string }) | null>(null);
  const save = (name: string) => (text: string) => set({ [name]: text });
  const picture = job.pictures.find((p) => p.role === "intake");
  const tick: SetTakeIn["tick"] = (list, item, on) =>
    run(saveTakeIn, { fields: {}, tick: { list, item, on } });
  const saving: SetTakeIn = { set, save, tick };
  return (
    <div className="grid h-full grid-cols-[1.05fr_1.15fr_1fr] gap-5">
      <TheUnit
        job={job}
        counter={counter}
        thisYear={thisYear}
        proposed={proposed}
        earlier={earlier}
        {...saving}
      />
      <TheComplaint job={job} {...saving} onPicture={() => setCamera({ role: "condition" })} />
      <section aria-label="The customer" className="flex min-h-0 flex-col gap-2">
        {camera ? (
          <TakePicture
            where={{ role: camera.role }}
            hint={`${job.kind} unit`}
            onTaken={() => setCamera(null)}
            {...(camera.item
              ? { onArrived: (kept) => void set({ loosePictures: { [camera.item as string]: kept.name } }) }
              : {})}
            onClose={() => setCamera(null)}
          />
        ) : (
          <div className="relative flex max-h-[220px] min-h-[104px] flex-1">
            <PictureFrame
              picture={framed(picture)}
              words={picture ? "as it came in" : "take one, so nobody is blamed later"}
              className="w-full"
            />
            <KeyButton
              keyName="P"
              onPress={() => setCamera({ role: "intake" })}
              className="small !absolute top-1.5 right-1.5 bg-base-100"
            >
              Picture
            </KeyButton>
          </div>
        )}
        <div className="grid grid-cols-[1.4fr_1fr] gap-2">
          <SavedField
            label="Customer"
            name="customerName"
            value={job.customerName}
            save={(name) => run(saveCustomer, { name })}
            known="/api/known/customer"
            keyName="N"
          />
          <SavedField
            label="Contact"
            name="customerContact"
            value={job.customerContact}
            save={(contact) => run(saveCustomer, { contact })}
            keyName="A"
          />
        </div>
        <LooseItems
          job={job}
          known={looseKnown}
          tick={(item, on) => tick("looseItems", item, on)}
          onPicture={(item) => setCamera({ role: "loose", item })}
        />
        <div className="grid grid-cols-2 gap-2">
          <SavedField
            label={`Price limit, ${currency}`}
            name="priceLimit"
            value={job.priceLimit === undefined ? "" : String(job.priceLimit)}
            save={(t) => set({ priceLimit: t.trim() === "" ? null : Number(t.replace(",", ".")) })}
            figure
            keyName="X"
          />
          <SavedField
            label="Promised for"
            name="promised"
            value={job.promised ?? ""}
            type="date"
            save={save("promised")}
            keyName="R"
          />
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
          <KeyButton
            keyName="O"
            className="small !leading-none"
            onPress={() => void set({ disposeConsent: !job.disposeConsent })}
            pressed={job.disposeConsent}
          >
            {job.disposeConsent ? "✓ " : ""}Old parts may go
          </KeyButton>
        </div>
        <GoOn from="take-in" stage={job.stage} gates={gates} />
      </section>
    </div>
  );
}
