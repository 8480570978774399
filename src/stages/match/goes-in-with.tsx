"use client";

import { companionKey, type GoesIn } from "@/core/job/goes-in";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { useJob } from "../saving/job-context";
import { SavedField } from "../saving/saved-field";
import { typedFields, useDraft } from "../saving/use-draft";
import { useFieldFault } from "../saving/use-field-fault";
import { sayGoesIn } from "./actions";
import type { CameOut } from "./match-view";
import { OneCompanion } from "./one-companion";
import { StaysOutList } from "./stays-out-list";

/**
 * What goes in beside a new part, where it is made up otherwise than the old one: its companions and where
 * each comes from, how it faces and lies, and what stays out because of it.
 */
export function GoesInWith({
  part,
  name,
  goesIn,
  ordered,
  cameOut,
  currency,
  draft,
}: {
  part: string;
  name: string;
  goesIn: GoesIn;
  ordered: readonly string[];
  cameOut: readonly CameOut[];
  currency: string;
  draft: unknown;
}) {
  const { run } = useJob();
  const fault = useFieldFault();
  const [typed, setTyped] = useDraft(`match.with.${part}`, draft, typedFields, {});
  const put = (field: string, text: string): void => setTyped((now) => ({ ...now, [field]: text }));
  const also = async (): Promise<void> => {
    if (fault.took(await run(sayGoesIn, { part, said: { what: "also", says: typed.says ?? "" } })))
      put("says", "");
  };
  return (
    <section aria-label="What goes in with it" className="flex min-h-0 flex-col gap-3 overflow-y-auto pr-1">
      <h2 className="text-[28px]">With the new {name}</h2>
      {goesIn.with.length > 0 && (
        <ul className="flex flex-col gap-1">
          {goesIn.with.map((c) => (
            <OneCompanion
              key={companionKey(c)}
              part={part}
              companion={c}
              ordered={c.number !== "" && ordered.includes(c.number)}
              currency={currency}
              typed={typed}
              put={put}
              clear={() => setTyped({})}
            />
          ))}
        </ul>
      )}
      <div>
        <label className="words">
          Something more goes in with it
          <input
            className="field"
            value={typed.says ?? ""}
            placeholder="2 x washer 8 mm"
            aria-invalid={fault.at("says") ? true : undefined}
            onChange={(e) => put("says", e.target.value)}
            onKeyDown={(e) => e.key === "Enter" && void also()}
          />
        </label>
        <FaultLine says={fault.at("says")} />
        {typed.says && (
          <KeyButton className="small mt-1" onPress={() => void also()}>
            Add it
          </KeyButton>
        )}
      </div>
      <div className="grid grid-cols-2 gap-3">
        <SavedField
          label="It faces"
          name={`goes-in.facing.${part}`}
          value={goesIn.facing ?? ""}
          hint="empty: as the old one"
          save={(says) => run(sayGoesIn, { part, said: { what: "facing", says } })}
        />
        <SavedField
          label="It lies so, the lowest first"
          name={`goes-in.stack.${part}`}
          value={goesIn.stack.join("; ")}
          hint="shim; wheel; washer. Empty: as the old one"
          save={(says) => run(sayGoesIn, { part, said: { what: "stack", says } })}
        />
      </div>
      <StaysOutList
        part={part}
        name={name}
        goesIn={goesIn}
        cameOut={cameOut}
        typed={typed}
        put={put}
        clear={() => setTyped({})}
      />
    </section>
  );
}
