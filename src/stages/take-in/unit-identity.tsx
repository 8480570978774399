"use client";

import { useState } from "react";
import { dateCodeFrom, madeFrom, madeInWords } from "@/core/take-in/date-code";
import type { Variant } from "@/core/take-in/variant";
import { KeyButton } from "@/ui/key-button";
import { useJob } from "../saving/job-context";
import { learnDateCode, learnVariant, saveTakeIn } from "./actions";
import type { TakeInJob } from "./take-in-view";
import { TeachForm } from "./teach-form";

/** Which variant it is, and by which mark that is told. A model's variants are learnt once, here. */
export function VariantPick({ job, variants }: { job: TakeInJob; variants: readonly Variant[] }) {
  const { run } = useJob();
  const [teaching, setTeaching] = useState(false);
  return (
    <fieldset>
      <legend className="words">
        {variants.length
          ? "Look at the unit: which mark does it have?"
          : "Variant, and the mark it is told by"}
      </legend>
      {teaching ? (
        <TeachForm
          fields={[
            { name: "variant", label: "Name of the variant", example: "B" },
            { name: "mark", label: "Told by the mark", example: "letter B cast into the case" },
          ]}
          teach={(said) => run(learnVariant, said)}
          onLearnt={() => setTeaching(false)}
        />
      ) : (
        <div className="flex flex-wrap gap-1.5">
          {variants.map((v) => {
            const on = job.variant === v.variant;
            return (
              <KeyButton
                key={v.variant}
                className="small"
                pressed={on}
                onPress={() => void run(saveTakeIn, { fields: { variant: on ? "" : v.variant } })}
              >
                {on ? "✓ " : ""}
                {v.mark} <b>· {v.variant}</b>
              </KeyButton>
            );
          })}
          {job.variant && !variants.some((v) => v.variant === job.variant) && (
            <span className="chip small">{job.variant}</span>
          )}
          <KeyButton keyName="V" className="small" onPress={() => setTeaching(true)}>
            {variants.length ? "Another mark" : "Learn a variant"}
          </KeyButton>
        </div>
      )}
    </fieldset>
  );
}

/** The age that the serial number tells, by the maker's date code; or the place to teach that code. */
export function SerialDate({
  job,
  taught,
  thisYear,
}: {
  job: TakeInJob;
  taught: string | undefined;
  thisYear: number;
}) {
  const { run } = useJob();
  const [teaching, setTeaching] = useState(false);
  if (teaching)
    return (
      <TeachForm
        fields={[
          {
            name: "text",
            label: `Date code of ${job.maker}`,
            example: "characters 2–3 year, 4–5 week",
            value: taught ?? "",
          },
        ]}
        teach={(said) => run(learnDateCode, said)}
        onLearnt={() => setTeaching(false)}
      />
    );
  const made = taught && job.serial ? madeFrom(dateCodeFrom(taught), job.serial, thisYear) : null;
  return (
    <p className="hush -my-1.5 flex min-h-[30px] items-center gap-2 text-[18px]">
      {made ? (
        <b className="text-base-content">{madeInWords(made, thisYear)}</b>
      ) : taught && job.serial ? (
        `carries no date by “${taught}”`
      ) : (
        ""
      )}
      {job.maker && (
        <button type="button" className="min-h-[48px] underline" onClick={() => setTeaching(true)}>
          {taught ? "other date code" : `teach ${job.maker}’s date code`}
        </button>
      )}
    </p>
  );
}
