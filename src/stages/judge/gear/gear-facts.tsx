"use client";

import { BEVEL_TEETH, type BevelTeeth, GEAR_KINDS, type GearKind } from "@/core/gear/gear-kind";
import { BORE_FORMS } from "@/core/gear/index";
import { BevelTeethDrawing } from "@/ui/bevel-teeth-drawing";
import { KeyButton } from "@/ui/key-button";
import { SavedField } from "../../saving/saved-field";
import type { GearView } from "./gear-view";
import type { NoteGear } from "./note-gear";

const KIND_SAYS: Readonly<Record<GearKind, string>> = {
  spur: "spur",
  helical: "helical",
  bevel: "bevel",
  worm: "worm",
  "worm-wheel": "worm wheel",
  internal: "internal ring",
  rack: "rack",
  pulley: "belt pulley",
  sprocket: "sprocket",
};
const ENTERED: readonly GearKind[] = ["rack", "pulley", "sprocket"];
/** Kinds whose pitch is entered and not worked out from readings. */
export const isEntered = (kind: GearKind): boolean => ENTERED.includes(kind);

const nextOf = (now: BevelTeeth | undefined): BevelTeeth =>
  BEVEL_TEETH[(now ? BEVEL_TEETH.indexOf(now) + 1 : 0) % BEVEL_TEETH.length] as BevelTeeth;

/** What is counted and seen of the gear, before anything is measured. */
export function GearFacts({ view: { part, notes, kind }, noted }: { view: GearView; noted: NoteGear }) {
  return (
    <div className="grid grid-cols-[96px_158px_auto_auto_minmax(0,1fr)] items-end gap-2">
      <SavedField
        key={part}
        label={kind === "worm" ? "Starts" : "Teeth, counted"}
        name={`teeth-${part}`}
        value={notes.teeth === undefined ? "" : String(notes.teeth)}
        figure
        save={(t) => noted({ teeth: t.trim() ? Number(t) : null })}
      />
      <div>
        <label className="words" htmlFor="gear-kind">
          Kind
        </label>
        <select
          id="gear-kind"
          className="field"
          value={kind}
          onChange={(e) => void noted({ kind: GEAR_KINDS.find((k) => k === e.target.value) })}
        >
          {GEAR_KINDS.map((k) => (
            <option key={k} value={k}>
              {KIND_SAYS[k]}
            </option>
          ))}
        </select>
      </div>
      {kind === "bevel" && (
        <KeyButton
          keyName="S"
          label={`Bevel teeth: ${notes.bevelTeeth ?? "not looked at"}`}
          onPress={() => void noted({ bevelTeeth: nextOf(notes.bevelTeeth) })}
        >
          <BevelTeethDrawing teeth={notes.bevelTeeth} /> {notes.bevelTeeth ?? "teeth run?"}
        </KeyButton>
      )}
      {(kind === "helical" ||
        kind === "worm" ||
        kind === "worm-wheel" ||
        (kind === "bevel" && notes.bevelTeeth === "spiral")) && (
        <KeyButton
          keyName="D"
          onPress={() => void noted({ hand: notes.hand === "right" ? "left" : "right" })}
          label={`Hand: ${notes.hand ?? "not noted"}`}
        >
          {notes.hand === "left" ? "◂ left hand" : notes.hand === "right" ? "right hand ▸" : "which hand?"}
        </KeyButton>
      )}
      {(kind === "spur" || kind === "helical") && (
        <KeyButton
          keyName="W"
          pressed={notes.tipsWorn === true}
          onPress={() => void noted({ tipsWorn: !notes.tipsWorn })}
        >
          Tips worn
        </KeyButton>
      )}
      {(isEntered(kind) || kind === "internal") && (
        <SavedField
          label={kind === "pulley" || kind === "sprocket" ? "Pitch, mm" : "Module, mm"}
          name={`size-${part}`}
          value={String((kind === "pulley" || kind === "sprocket" ? notes.pitchMm : notes.moduleMm) ?? "")}
          figure
          save={(t) => {
            const said = t.trim() ? Number(t.replace(",", ".")) : null;
            return noted(kind === "pulley" || kind === "sprocket" ? { pitchMm: said } : { moduleMm: said });
          }}
        />
      )}
      <div className="min-w-0">
        <label className="words" htmlFor="bore-form">
          Bore form
        </label>
        <select
          id="bore-form"
          className="field"
          value={notes.boreForm ?? ""}
          onChange={(e) => void noted({ boreForm: BORE_FORMS.find((f) => f === e.target.value) ?? null })}
        >
          <option value="">not noted</option>
          {BORE_FORMS.map((f) => (
            <option key={f}>{f}</option>
          ))}
        </select>
      </div>
    </div>
  );
}
