"use client";

import { useState } from "react";
import { HAZARD_WORDS, type Hazard } from "@/core/job/hazard";
import { whatFailed } from "@/ui/ask-shop";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { ShopHead } from "../shop-head";
import { setKindHazards } from "./actions";

export interface KindHazards {
  readonly kind: string;
  readonly hazards: readonly Hazard[];
  /** the shop has said so; else it is what is usual */
  readonly own: boolean;
}

/**
 * What is proposed for each kind of unit when it is taken in. It counts at a job once somebody says so there.
 */
export function HazardsScreen({ kinds }: { kinds: readonly KindHazards[] }) {
  const [kind, setKind] = useState("");
  const [fault, setFault] = useState<string | null>(null);
  const set = async (of: string, hazards: readonly Hazard[] | null): Promise<void> => {
    const says = await setKindHazards({ kind: of, hazards: hazards && [...hazards] }).catch((e) =>
      whatFailed(e, "Not saved", "Press it again."),
    );
    setFault(says);
    if (says === null && of === kind) setKind("");
  };
  return (
    <div className="min-h-dvh min-w-[1000px]">
      <ShopHead title="What can hurt, by kind of unit" back={{ href: "/settings", says: "The shop" }} />
      <main className="flex flex-col gap-3 p-5">
        <p className="max-w-[80ch] text-[20px]">
          Proposed when a unit of the kind is taken in, also where its name only ends so. What is said at a
          unit is kept for the next of its kind.
        </p>
        <div className="flex items-end gap-3">
          <label className="words w-[340px]">
            Another kind
            <input
              className="field"
              value={kind}
              placeholder="microwave oven"
              onChange={(e) => setKind(e.target.value)}
              onKeyDown={(e) => e.key === "Enter" && void set(kind, [])}
            />
          </label>
          <KeyButton disabled={kind.trim().length < 2} onPress={() => void set(kind, [])}>
            Put it in the list
          </KeyButton>
        </div>
        <FaultLine says={fault} className="text-[20px]" />
        <ul aria-label="Kinds of units">
          {kinds.map((k) => (
            <li
              key={k.kind}
              className="grid grid-cols-[170px_minmax(0,1fr)_124px] items-center gap-3 border-b-2 border-base-300 py-1.5"
            >
              <span className="text-[20px] font-semibold first-letter:uppercase">{k.kind}</span>
              <fieldset className="grid grid-cols-9 gap-1.5" aria-label={k.kind}>
                {HAZARD_WORDS.map(({ hazard, says }) => {
                  const on = k.hazards.includes(hazard);
                  return (
                    <KeyButton
                      key={hazard}
                      className="small justify-center !px-0.5 text-center !text-[17px] !leading-none"
                      pressed={on}
                      onPress={() =>
                        void set(k.kind, on ? k.hazards.filter((h) => h !== hazard) : [...k.hazards, hazard])
                      }
                    >
                      {says}
                    </KeyButton>
                  );
                })}
              </fieldset>
              {k.own ? (
                <KeyButton
                  className="small justify-center"
                  onPress={() => void set(k.kind, null)}
                  label={`Forget what was said of: ${k.kind}`}
                >
                  Forget it
                </KeyButton>
              ) : (
                <span className="hush text-center text-[18px]">usual</span>
              )}
            </li>
          ))}
        </ul>
      </main>
    </div>
  );
}
