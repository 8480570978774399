"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import type { Gear, Identification } from "@/core/gear/index";
import { TOOTH_MARKS, type ToothMark } from "@/core/judge/failure-modes";
import type { LengthUnit } from "@/core/quantity/units";
import type { GearIdentity, GearNotes } from "@/store/job";
import { GearFace } from "@/ui/gear-face";
import { KeyButton } from "@/ui/key-button";
import { useJob } from "../job-context";
import { SavedField } from "../saved-field";
import { useDraft } from "../use-draft";
import { acceptName, saveGearNotes, saveMarks, strikeReading, takeReading } from "./actions";
import type { MeanReading } from "./gear-readings";
import { ReadingTile } from "./reading-tile";

export interface GearBenchProps {
  part: string;
  notes: GearNotes;
  means: readonly MeanReading[];
  marks: Readonly<Record<string, string>>;
  identity: GearIdentity | null;
  answer: Identification | null;
  /** the gear as it is drawn: the accepted name, or the likeliest */
  gear: Gear | null;
  spanTeeth: readonly [number, number];
  pair: string;
  draft: unknown;
}

/** The gear bench: readings, what the gear is, and its face with the bad teeth marked. */
export function GearBench({ part, notes, means, marks, identity, answer, gear, spanTeeth, pair, draft }: GearBenchProps) {
  const { run, number } = useJob();
  const router = useRouter();
  const [mark, setMark] = useState<ToothMark>("missing");
  const [unit, setUnit] = useState<LengthUnit>("mm");
  const [typed, setTyped] = useDraft<Record<string, string>>(`gear.${part}`, draft, {});
  const count = (m: string): number => Object.values(marks).filter((x) => x === m).length;
  const notesSet = (n: GearNotes): Promise<unknown> => run(saveGearNotes, { part, notes: n });
  const take = async (what: string, teeth: number | undefined, source: string, text: string): Promise<string | null> => {
    const result = await run(takeReading, { part, what, typed: text, unit, source, ...(teeth === undefined ? {} : { teeth }) });
    return result.ok ? null : result.says;
  };
  const tile = (what: string, label: string, teeth?: number) => {
    const key = `${what}${teeth ?? ""}`;
    return (
      <ReadingTile
        key={key}
        label={label}
        mean={means.find((m) => m.what === what && m.teeth === teeth)}
        unit={what === "helix angle" ? "°" : unit}
        typed={typed[key] ?? ""}
        onTyped={(text) => setTyped((now) => ({ ...now, [key]: text }))}
        take={(text) => take(what, teeth, "typed", text)}
        strike={() => void run(strikeReading, { part, what, ...(teeth === undefined ? {} : { teeth }) })}
      />
    );
  };
  const [k0, k1] = spanTeeth;
  return (
    <div className="grid h-full grid-cols-[minmax(0,5fr)_minmax(0,7.4fr)] gap-5">
      <section aria-label="Gear face" className="flex min-h-0 flex-col items-center border-2 border-base-content bg-base-100 p-3">
        {gear ? (
          <GearFace
            gear={gear}
            boreMm={means.find((m) => m.what === "bore")?.value}
            boreForm={notes.boreForm}
            marks={marks}
            label="Gear face: choose a tooth to mark it"
            size={450}
            onMark={(tooth) => void run(saveMarks, { part, teeth: [tooth], mark: marks[tooth] === mark ? null : mark })}
          />
        ) : (
          <p className="m-auto max-w-[380px] text-center text-[24px]">
            Count the teeth and take the tip diameter and a span: then the gear is drawn here in its true shape.
          </p>
        )}
        <fieldset className="mt-auto grid w-full grid-cols-3 gap-2">
          <legend className="words pb-1">Mark teeth as</legend>
          {TOOTH_MARKS.map((m) => (
            <KeyButton key={m.mark} keyName={m.key} pressed={mark === m.mark} onPress={() => setMark(m.mark)}>
              {m.says}
              {count(m.mark) > 0 && <b> {count(m.mark)}</b>}
            </KeyButton>
          ))}
          <KeyButton
            keyName="U"
            onPress={() => setUnit(unit === "mm" ? "in" : "mm")}
            label={`Readings in ${unit}; press for ${unit === "mm" ? "inches" : "millimetres"}`}
          >
            {unit === "mm" ? "mm → in" : "in → mm"}
          </KeyButton>
        </fieldset>
      </section>
      <section aria-label="Readings and name" className="flex min-h-0 flex-col gap-2">
        <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto pr-1">
          <div className="grid grid-cols-[100px_auto_auto_auto_minmax(0,1fr)] items-end gap-2">
            <SavedField
              label="Teeth, counted"
              name={`teeth-${part}`}
              value={notes.teeth === undefined ? "" : String(notes.teeth)}
              figure
              save={async (t) => (t.trim() ? run(saveGearNotes, { part, notes: { teeth: Number(t) } }) : { ok: true as const, version: 0 })}
            />
            <KeyButton keyName="S" pressed={(notes.kind ?? "spur") === "spur"} onPress={() => void notesSet({ kind: "spur" })}>
              Spur
            </KeyButton>
            <KeyButton keyName="H" pressed={notes.kind === "helical"} onPress={() => void notesSet({ kind: "helical", hand: notes.hand ?? "right" })}>
              Helical
            </KeyButton>
            {notes.kind === "helical" ? (
              <KeyButton keyName="D" onPress={() => void notesSet({ hand: notes.hand === "right" ? "left" : "right" })} label={`Hand: ${notes.hand}`}>
                {notes.hand === "left" ? "◂ left hand" : "right hand ▸"}
              </KeyButton>
            ) : (
              <KeyButton keyName="W" pressed={notes.tipsWorn === true} onPress={() => void notesSet({ tipsWorn: !notes.tipsWorn })}>
                Tips worn
              </KeyButton>
            )}
            <div>
              <label className="words" htmlFor="bore-form">
                Bore form
              </label>
              <select id="bore-form" className="field" value={notes.boreForm ?? ""} onChange={(e) => void notesSet({ boreForm: e.target.value })}>
                <option value="">not noted</option>
                {["round", "keyway", "D", "cross slot", "spline"].map((f) => (
                  <option key={f}>{f}</option>
                ))}
              </select>
            </div>
          </div>
          <div className="grid grid-cols-3 gap-2.5">
            {tile("tip diameter", "Tip diameter")}
            {tile("span", `Span over ${k0}`, k0)}
            {tile("span", `Span over ${k1}`, k1)}
            {tile("bore", "Bore")}
            {tile("face width", "Face width")}
            {notes.kind === "helical" ? tile("helix angle", "Helix angle") : tile("root diameter", "Root diameter")}
          </div>
          <h2 className="text-[22px]">What it is</h2>
          {answer ? (
            <ol aria-label="What it is">
              {answer.hypotheses.slice(0, 3).map((h, i) => (
                <li
                  key={`${h.system}${h.module}${h.pressureAngle}${h.teeth}`}
                  className="grid grid-cols-[1fr_minmax(60px,180px)_90px] items-center gap-3 border-b-2 border-base-300 py-0.5"
                >
                  <span className="text-[21px] font-semibold">
                    {h.diametralPitch ? `${h.diametralPitch} DP` : `module ${h.module}`} · {h.pressureAngle}°
                    {h.helixAngle ? ` · helix ${Number(h.helixAngle.toFixed(1))}°` : ""}
                    {h.profileShift ? ` · shift ${h.profileShift > 0 ? "+" : ""}${h.profileShift}` : ""}
                    {notes.teeth === undefined ? ` · ${h.teeth} teeth` : ""}
                  </span>
                  <span className="h-[15px] bg-base-200" aria-hidden="true">
                    <span className={`block h-full ${i === 0 ? "bg-success" : "bg-base-content"}`} style={{ width: `${Math.max(1, h.probability * 100)}%` }} />
                  </span>
                  <span className="figures text-right text-[24px]">{percent(h.probability)}</span>
                </li>
              ))}
            </ol>
          ) : (
            <p className="says">Too little is measured: the tooth count with a tip diameter or a span, or two readings.</p>
          )}
          {answer?.next && (
            <p className="says measured">
              <b>To be sure, take the {answer.next.take}:</b> {answer.next.why}.
            </p>
          )}
          <p className="says danger">{pair}</p>
        </div>
        <div className=" grid grid-cols-[auto_1fr] gap-2 pt-1">
          <KeyButton keyName="J" onPress={() => router.push(`/jobs/${number}/judge`)}>
            Back to Judge
          </KeyButton>
          {identity ? (
            <p className="says good flex items-center text-[22px]">
              Named: {identity.teeth} teeth, {identity.diametralPitch ? `${identity.diametralPitch} DP` : `module ${identity.moduleMm}`},{" "}
              {identity.pressureAngleDeg}°, {percent(identity.probability)} sure
            </p>
          ) : (
            <KeyButton keyName=" " look="main" disabled={!answer} onPress={() => void run(acceptName, { part, which: 0 })} className="justify-center">
              That is it
            </KeyButton>
          )}
        </div>
      </section>
    </div>
  );
}

const percent = (p: number): string => (p > 0.995 ? "99+ %" : p < 0.01 ? "< 1 %" : `${Math.round(p * 100)} %`);
