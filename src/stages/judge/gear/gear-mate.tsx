"use client";

import { useRouter } from "next/navigation";
import type { ReactNode } from "react";
import { gearBenchOf } from "@/core/job/address";
import type { GearNotes } from "@/core/job/gear-notes";
import { KeyButton } from "@/ui/key-button";
import { Readout } from "@/ui/readout";
import { Reason } from "@/ui/reasons";
import type { ActionResult } from "../../saving/act";
import { useJob } from "../../saving/job-context";
import { SavedField } from "../../saving/saved-field";
import type { GearView } from "./gear-view";

/** The pair: which gear it meets, whether and how the two mesh, and what renewing only one would mean. */
export function GearMate({
  view,
  noted,
  children,
}: {
  view: GearView;
  noted: (n: { [K in keyof GearNotes]?: GearNotes[K] | null }) => Promise<ActionResult>;
  /** where the centre distance is typed */
  children: ReactNode;
}) {
  const { number } = useJob();
  const router = useRouter();
  const { notes, others, mate, part } = view;
  const figures = mate.answer?.figures;
  const verdicts = (mate.answer ?? mate.crossed)?.verdicts;
  return (
    <div className="flex flex-col gap-2">
      <div className="grid grid-cols-[minmax(0,1.4fr)_100px_auto_auto] items-end gap-2">
        <div>
          <label className="words" htmlFor="mate">
            It meshes with
          </label>
          <select
            id="mate"
            className="field"
            value={notes.mate ?? ""}
            onChange={(e) => void noted({ mate: e.target.value })}
          >
            <option value="">not noted</option>
            {others.map((o) => (
              <option key={o.id} value={o.id}>
                {o.name}
              </option>
            ))}
          </select>
        </div>
        <SavedField
          key={part}
          label="Its teeth"
          name={`mate-teeth-${part}`}
          value={notes.mateTeeth === undefined ? "" : String(notes.mateTeeth)}
          figure
          save={(t) => noted({ mateTeeth: t.trim() ? Number(t) : null })}
        />
        <KeyButton
          keyName="B"
          pressed={notes.drives !== undefined}
          onPress={() => void noted({ drives: !notes.drives })}
        >
          {notes.drives === undefined
            ? "drives or driven?"
            : notes.drives
              ? "this one drives"
              : "this one is driven"}
        </KeyButton>
        <KeyButton
          keyName="V"
          pressed={notes.turning !== undefined}
          onPress={() =>
            void noted({ turning: notes.turning === "clockwise" ? "counter-clockwise" : "clockwise" })
          }
        >
          {notes.turning === undefined
            ? "turns which way?"
            : notes.turning === "clockwise"
              ? "clockwise ↻"
              : "counter ↺"}
        </KeyButton>
      </div>
      {view.kind === "helical" && (
        <div className="grid grid-cols-[auto_150px_minmax(0,1fr)] items-end gap-2">
          <KeyButton
            pressed={notes.shaftAngleDeg !== undefined}
            onPress={() => void noted({ shaftAngleDeg: notes.shaftAngleDeg === undefined ? 90 : null })}
          >
            {notes.shaftAngleDeg === undefined ? "shafts parallel" : "shafts cross"}
          </KeyButton>
          {notes.shaftAngleDeg !== undefined && (
            <SavedField
              label="They cross at, °"
              name={`shaft-angle-${part}`}
              value={String(notes.shaftAngleDeg)}
              figure
              save={(t) => noted({ shaftAngleDeg: t.trim() ? Number(t.replace(",", ".")) : null })}
            />
          )}
        </div>
      )}
      {notes.mate && (
        <KeyButton keyName="G" onPress={() => router.push(gearBenchOf(number, notes.mate ?? ""))}>
          To the {mate.name} on the gear bench
        </KeyButton>
      )}
      <p
        className={`says text-[20px] ${mate.rule.renewBoth ? "danger" : "good"}`}
        role="status"
        aria-label="The pair"
      >
        {mate.rule.says}
      </p>
      {mate.loss && (
        <p className="hush text-[18px]">
          {mate.name}: {mate.loss.says}, ± {mate.loss.u.toFixed(2)} mm
          {mate.loss.profileShift ? `; by its tips it is shifted by ${mate.loss.profileShift}` : ""}.
        </p>
      )}
      <div className="grid grid-cols-3 gap-2.5">
        {children}
        {figures && (
          <>
            <Readout
              label="Contact ratio"
              value={figures.contactRatio.toFixed(2)}
              from={`at ${figures.workingPressureAngleDeg.toFixed(1)}° in mesh, tight at ${figures.tightCentreMm.toFixed(2)} mm`}
              measured
            />
            <Readout
              label="Backlash"
              value={figures.backlashMm.toFixed(2)}
              unit="mm"
              from={`± ${(2 * figures.backlashU).toFixed(2)}, a new one ${mate.loss ? "on this mate as it is worn" : "on a mate taken as new: it is not measured"}`}
              measured
            />
          </>
        )}
        {mate.crossed && (
          <>
            <Readout
              label="They run at"
              value={mate.crossed.figures.centreMm.toFixed(2)}
              unit="mm"
              from="half of both reference circles, with their shifts"
              measured
            />
            <Readout
              label="Sliding"
              value={mate.crossed.figures.slides.toFixed(2)}
              from="of its rim speed, along the teeth. They touch in a point: for motion, not for load; greased always"
              measured
            />
          </>
        )}
      </div>
      {verdicts && (
        <ul aria-label="How they mesh" className="grid grid-cols-2 gap-x-4">
          {verdicts.map((v, i) => (
            <Reason
              key={i}
              speaks={!v.ok ? "against" : v.caution ? "look" : "for"}
              about={v.criterion}
              className="border-b-2 border-base-300 py-0.5 text-[18px] leading-tight"
            >
              {v.says}
            </Reason>
          ))}
        </ul>
      )}
      {!verdicts && (
        <p className="says">
          {notes.shaftAngleDeg === undefined
            ? "Say which gear it meets, and measure that one too: count, tip diameter and a span. Then backlash and wear are worked out here."
            : "Say which gear it meets, and name that one too: where shafts cross its slant is its own."}
        </p>
      )}
    </div>
  );
}
