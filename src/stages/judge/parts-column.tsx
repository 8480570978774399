"use client";

import { useState } from "react";
import { partLook } from "@/core/hardware/part-look";
import type { Job } from "@/core/job/job";
import { foundSays } from "@/core/judge/failure-modes";
import { KeyButton } from "@/ui/key-button";
import { PartGlyph } from "@/ui/part-glyph";
import { useRestLater } from "@/ui/use-rest-later";
import { useJob } from "../saving/job-context";
import { saveNothingFailed } from "./actions";
import { AddPart } from "./add-part";
import type { JudgedPart, JudgeView } from "./judge-view";

/** The part that is shown is seen in a long list, too. */
const intoSight = (row: HTMLElement | null): void => row?.scrollIntoView({ block: "nearest" });

/** The parts to judge; what else was found bad is added to them, and that nothing failed is an answer too. */
export function PartsColumn({
  parts,
  anyStep,
  picked,
  nothingFailed,
  onPick,
}: {
  parts: readonly JudgedPart[];
  anyStep: JudgeView["anyStep"];
  picked: string | undefined;
  nothingFailed: Job["nothingFailed"];
  onPick: (id: string) => void;
}) {
  const { run } = useJob();
  const shown = useRestLater(parts.length, 12);
  const [adding, setAdding] = useState(false);
  const say = (nothing: NonNullable<Job["nothingFailed"]>) => () =>
    void run(saveNothingFailed, { nothing: nothingFailed === nothing ? null : nothing });
  return (
    <section aria-label="Parts" className="flex min-h-0 flex-col gap-2">
      <div className="flex items-center justify-between gap-2">
        <h2 className="text-[24px]">Parts</h2>
        <KeyButton
          keyName="A"
          className="small"
          pressed={adding}
          onPress={() => setAdding(!adding)}
          disabled={!anyStep}
          label="Add a screw, a pin, what is lost"
        >
          Add one
        </KeyButton>
      </div>
      {adding ? (
        <AddPart onClose={() => setAdding(false)} />
      ) : (
        <>
          {parts.length === 0 && (
            <p className="says text-[18px]">
              Nothing has come off yet. What the strip lays down is judged here.
            </p>
          )}
          <ul className="min-h-0 flex-1 overflow-y-auto pr-1">
            {parts.slice(0, shown).map((p) => (
              <li key={p.id}>
                <button
                  type="button"
                  ref={p.id === picked ? intoSight : undefined}
                  className="part-row"
                  onClick={() => onPick(p.id)}
                  aria-pressed={p.id === picked}
                >
                  <PartGlyph kind={partLook(p.name, p.kind)} size={34} />
                  <span className="name">
                    {p.name}
                    {p.finding?.mode && <small className="mode">{foundSays(p.finding)}</small>}
                  </span>
                  {p.renew && <b className="new">new</b>}
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
      <div className="grid grid-cols-2 gap-1.5">
        <KeyButton
          keyName="S"
          className="small"
          pressed={nothingFailed === "service"}
          onPress={say("service")}
          label="Nothing failed: service only"
        >
          Service only
        </KeyButton>
        <KeyButton
          keyName="F"
          className="small"
          pressed={nothingFailed === "no-fault"}
          onPress={say("no-fault")}
          label="Nothing failed: no fault found"
        >
          No fault
        </KeyButton>
      </div>
    </section>
  );
}
