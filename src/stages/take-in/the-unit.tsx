"use client";

import { SavedField } from "../saving/saved-field";
import { CameBack } from "./came-back";
import type { SetTakeIn } from "./set-take-in";
import type { TakeInView } from "./take-in-view";
import { SerialDate, VariantPick } from "./unit-identity";
import { WhatCanHurt, WhatItRunsOn } from "./what-it-runs-on";

/** Which unit it is and by which mark; what it runs on, and what can hurt at it. */
export function TheUnit({
  job,
  counter,
  thisYear,
  proposed,
  earlier,
  set,
  save,
}: Pick<TakeInView, "job" | "counter" | "thisYear" | "proposed" | "earlier"> & SetTakeIn) {
  return (
    <section aria-label="The unit" className="flex min-h-0 flex-col gap-1 overflow-y-auto">
      <div className="grid grid-cols-2 gap-2.5">
        <SavedField
          label="Kind of unit"
          name="kind"
          value={job.kind}
          save={save("kind")}
          known="/api/known/kind"
          keyName="K"
        />
        <SavedField
          label="Maker"
          name="maker"
          value={job.maker}
          save={save("maker")}
          known="/api/known/maker"
          keyName="M"
        />
        <SavedField
          label="Model"
          name="model"
          value={job.model}
          save={save("model")}
          known={`/api/known/model?maker=${encodeURIComponent(job.maker)}`}
          keyName="L"
        />
        <SavedField
          label="Serial number"
          name="serial"
          value={job.serial}
          save={save("serial")}
          figure
          keyName="S"
        />
      </div>
      <CameBack of={job.warrantyOf} earlier={earlier} />
      <SerialDate job={job} taught={counter.dateCode} thisYear={thisYear} />
      <VariantPick job={job} variants={counter.variants} />
      <WhatItRunsOn job={job} set={set} />
      <WhatCanHurt job={job} proposed={proposed} set={set} />
    </section>
  );
}
