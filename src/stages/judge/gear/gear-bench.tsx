"use client";

import { useState } from "react";
import { AS_MADE, MAKINGS, type Making } from "@/core/gear/as-made";
import { gearBenchOf } from "@/core/job/address";
import type { LengthUnit } from "@/core/quantity/units";
import { KeyButton } from "@/ui/key-button";
import { KeyLink } from "@/ui/key-link";
import { useJob } from "../../saving/job-context";
import { SavedField } from "../../saving/saved-field";
import { saveGearNotes } from "../actions";
import { CaliperPanel } from "./caliper-panel";
import { FacePanel } from "./face-panel";
import { GearBody } from "./gear-body";
import { GearFacts, isEntered } from "./gear-facts";
import { GearMate } from "./gear-mate";
import { GearNamed } from "./gear-named";
import { GearNames } from "./gear-names";
import { GearSizes } from "./gear-sizes";
import { CENTRE, type GearView } from "./gear-view";
import type { NoteGear } from "./note-gear";
import { useGearReadings } from "./use-gear-readings";

const PLACES = [
  { place: "readings", keyName: "R", says: "Readings" },
  { place: "sizes", keyName: "Z", says: "Sizes" },
  { place: "body", keyName: "B", says: "Hub" },
  { place: "mate", keyName: "M", says: "Mate" },
] as const;
type Place = (typeof PLACES)[number]["place"];

const nextMaking = (m: Making): Making => MAKINGS[(MAKINGS.indexOf(m) + 1) % MAKINGS.length] as Making;

/**
 * The gear bench: readings, what the gear is, its sizes, its mate, and its face with the bad teeth marked.
 */
export function GearBench({
  view,
  draft,
  unitFirst,
}: {
  view: GearView;
  draft: unknown;
  unitFirst: LengthUnit;
}) {
  const { run, number } = useJob();
  const { part, notes, kind } = view;
  const [place, setPlace] = useState<Place>("readings");
  const [unit, setUnit] = useState<LengthUnit>(unitFirst);
  const [caliper, setCaliper] = useState(false);
  const made = view.making.making;
  const noted: NoteGear = (notes) => run(saveGearNotes, { part, notes });
  const { tile, goesTo, arrive } = useGearReadings(
    view,
    draft,
    place === "mate" ? [CENTRE] : view.asked,
    unit,
  );
  return (
    <div className="grid h-full grid-cols-[minmax(0,5fr)_minmax(0,7.4fr)] gap-5">
      <FacePanel view={view} unit={unit} flipUnit={() => setUnit(unit === "mm" ? "in" : "mm")} />
      <section aria-label="Readings and name" className="flex min-h-0 flex-col gap-2">
        <GearFacts view={view} noted={noted} />
        <div className="flex gap-2">
          {PLACES.map((p) => (
            <KeyButton
              key={p.place}
              keyName={p.keyName}
              className="small"
              pressed={place === p.place}
              onPress={() => setPlace(p.place)}
            >
              {p.says}
            </KeyButton>
          ))}
          {(kind === "spur" || kind === "helical") && (
            <KeyButton
              keyName="H"
              className="small ml-auto"
              label={`Made: ${AS_MADE[made].says}`}
              onPress={() => void noted({ making: nextMaking(made) })}
            >
              {AS_MADE[made].says}
            </KeyButton>
          )}
          <KeyLink
            keyName="P"
            label="Count in a picture"
            href={`${gearBenchOf(number, part)}/picture`}
            className={`small ${kind === "spur" || kind === "helical" ? "" : "ml-auto"}`}
          >
            Picture
          </KeyLink>
          <KeyButton keyName="C" className="small" pressed={caliper} onPress={() => setCaliper(!caliper)}>
            Practice caliper
          </KeyButton>
        </div>
        <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto pr-1">
          {caliper && goesTo && (
            <CaliperPanel goesTo={goesTo.label} send={(text) => arrive(text, "practice caliper")} />
          )}
          {place === "readings" && (
            <>
              <div className="grid grid-cols-3 gap-2.5">
                {view.asked.map(tile)}
                {notes.teeth === undefined && (kind === "spur" || kind === "helical") && (
                  <div className="border-t-4 border-base-content bg-base-200 px-2.5 pb-1.5">
                    <SavedField
                      label="No full count? Sound pitches"
                      name={`arc-${part}`}
                      value={notes.arcPitches === undefined ? "" : String(notes.arcPitches)}
                      figure
                      save={(t) => noted({ arcPitches: t.trim() ? Number(t) : null })}
                    />
                  </div>
                )}
              </div>
              <GearNames view={view} entered={isEntered(kind)} />
            </>
          )}
          {place === "sizes" && <GearSizes view={view} unit={unit} />}
          {place === "body" && <GearBody view={view} />}
          {place === "mate" && (
            <GearMate view={view} noted={noted}>
              {tile(CENTRE)}
            </GearMate>
          )}
        </div>
        <GearNamed view={view} />
      </section>
    </div>
  );
}
