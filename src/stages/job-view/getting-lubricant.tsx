"use client";

import { format } from "date-fns";
import type { Chamber } from "@/core/job/chamber";
import { dayAs } from "@/ui/day";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { KeyLink } from "@/ui/key-link";
import { useJob } from "../saving/job-context";
import { SavedField } from "../saving/saved-field";
import { useFieldFault } from "../saving/use-field-fault";
import { saveGetting } from "./getting-action";

export interface GettingLubricantProps {
  chamber: Pick<Chamber, "id" | "name" | "getting">;
  /** what to ask for over a counter */
  says: readonly string[];
  currency: string;
}

/**
 * What the shelf does not have for a chamber: what to ask for, from whom it comes, what it costs, whether it
 * is on its way. Once it is on the shelf, the chamber takes it.
 */
export function GettingLubricant({ chamber, says, currency }: GettingLubricantProps) {
  const { run } = useJob();
  const fault = useFieldFault();
  const { from, price, ordered } = chamber.getting ?? {};
  const save = (facts: Omit<Parameters<typeof saveGetting>[0], "number" | "version" | "chamber">) =>
    run(saveGetting, { chamber: chamber.id, ...facts });
  return (
    <section aria-label={`To get for the ${chamber.name}`} className="says danger mb-2">
      {says.map((m) => (
        <p key={m} className="leading-tight">
          <b>To get:</b> {m}
        </p>
      ))}
      <div className="mt-1 grid grid-cols-[1.4fr_1fr] gap-2">
        <SavedField
          label="From"
          name={`get-from-${chamber.id}`}
          value={from ?? ""}
          save={(t) => save({ from: t })}
        />
        <SavedField
          label={`Its pack costs, ${currency}`}
          figure
          name={`get-price-${chamber.id}`}
          value={price === undefined ? "" : String(price)}
          save={(t) => save({ price: t })}
        />
      </div>
      <div className="mt-1.5 grid grid-cols-2 gap-1.5">
        <KeyButton
          className="small"
          pressed={ordered !== undefined}
          onPress={() =>
            void save({ ordered: ordered === undefined ? format(new Date(), "yyyy-MM-dd") : null }).then(
              fault.took,
            )
          }
        >
          {ordered === undefined ? "It is ordered" : `✓ Ordered on ${dayAs(ordered, "d MMM")}`}
        </KeyButton>
        <KeyLink href="/shelf">It is here: onto the shelf</KeyLink>
      </div>
      <FaultLine says={fault.elsewhere()} />
    </section>
  );
}
