"use client";

import { useEffect, useState } from "react";
import { listenToTypedCaliper } from "@/bench/typed-caliper";
import { GEAR_KINDS, type GearKind } from "@/core/gear/gear-kind";
import { BORE_FORMS } from "@/core/gear/index";
import type { GearNotes } from "@/core/job/gear-notes";
import { TOOTH_MARKS, type ToothMark } from "@/core/judge/tooth-marks";
import type { LengthUnit } from "@/core/quantity/units";
import { GearFace } from "@/ui/gear-face";
import { KeyButton } from "@/ui/key-button";
import { KeyLink } from "@/ui/key-link";
import { percent } from "@/ui/odds";
import { useLatest } from "@/ui/use-latest";
import { useJob } from "../../saving/job-context";
import { SavedField } from "../../saving/saved-field";
import { typedFields, useDraft } from "../../saving/use-draft";
import { acceptName, saveGearNotes, saveMarks, strikeReading, takeReading } from "../actions";
import { CaliperPanel } from "./caliper-panel";
import { GearMate } from "./gear-mate";
import { GearNames } from "./gear-names";
import { GearSizes } from "./gear-sizes";
import { type AskedReading, CENTRE, type GearView } from "./gear-view";
import { ReadingTile } from "./reading-tile";

const KIND_SAYS: Readonly<Record<GearKind, string>> = {
  spur: "spur",
  helical: "helical",
  bevel: "bevel, straight",
  worm: "worm",
  "worm-wheel": "worm wheel",
  internal: "internal ring",
  rack: "rack",
  pulley: "belt pulley",
  sprocket: "sprocket",
};
const ENTERED: readonly GearKind[] = ["internal", "rack", "pulley", "sprocket"];
const PLACES = [
  { place: "readings", keyName: "R", says: "Readings" },
  { place: "sizes", keyName: "Z", says: "Sizes" },
  { place: "mate", keyName: "M", says: "Mate" },
] as const;
type Place = (typeof PLACES)[number]["place"];

const keyOf = (a: Pick<AskedReading, "what" | "teeth">): string => `${a.what}${a.teeth ?? ""}`;

/** The gear bench: readings, what the gear is, its sizes, its mate, and its face with the bad teeth marked. */
export function GearBench({ view, draft }: { view: GearView; draft: unknown }) {
  const { run, number } = useJob();
  const { part, notes, kind, gear, asked, means } = view;
  const [place, setPlace] = useState<Place>("readings");
  const [unit, setUnit] = useState<LengthUnit>("mm");
  const [caliper, setCaliper] = useState(false);
  const [armed, setArmed] = useState<string | null>(null);
  const [fault, setFault] = useState<{ key: string; says: string } | null>(null);
  const [typed, setTyped] = useDraft(`gear.${part}`, draft, typedFields, {});
  const noted = (n: { [K in keyof GearNotes]?: GearNotes[K] | null }) => run(saveGearNotes, { part, notes: n });

  // a reading that comes by itself goes where it was last asked for, or to the first that is missing
  const open = place === "mate" ? [CENTRE] : asked;
  const goesTo = open.find((a) => keyOf(a) === armed) ?? open.find((a) => !means.some((m) => keyOf(m) === keyOf(a))) ?? open[0];
  const take = async (a: AskedReading, text: string, source: string): Promise<string | null> => {
    const result = await run(takeReading, { part, what: a.what, typed: text, unit, source, ...(a.teeth === undefined ? {} : { teeth: a.teeth }) });
    setFault(result.ok ? null : { key: keyOf(a), says: result.says });
    return result.ok ? null : result.says;
  };
  const tile = (a: AskedReading) => {
    const key = keyOf(a);
    return (
      <ReadingTile
        key={key}
        label={a.label}
        mean={means.find((m) => keyOf(m) === key)}
        unit={a.unit === "°" ? "°" : unit}
        armed={goesTo !== undefined && keyOf(goesTo) === key}
        onArm={() => setArmed(key)}
        typed={typed[key] ?? ""}
        onTyped={(text) => setTyped((now) => ({ ...now, [key]: text }))}
        take={(text) => take(a, text, "typed")}
        fault={fault?.key === key ? fault.says : null}
        strike={() => void run(strikeReading, { part, what: a.what, ...(a.teeth === undefined ? {} : { teeth: a.teeth }) })}
      />
    );
  };
  const arrived = useLatest((text: string) => goesTo && void take(goesTo, text, "caliper"));
  useEffect(() => listenToTypedCaliper(window, (text) => void arrived.current(text)), [arrived]);

  return (
    <div className="grid h-full grid-cols-[minmax(0,5fr)_minmax(0,7.4fr)] gap-5">
      <FacePanel view={view} unit={unit} flipUnit={() => setUnit(unit === "mm" ? "in" : "mm")} />
      <section aria-label="Readings and name" className="flex min-h-0 flex-col gap-2">
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
            <select id="gear-kind" className="field" value={kind} onChange={(e) => void noted({ kind: e.target.value as GearKind })}>
              {GEAR_KINDS.map((k) => (
                <option key={k} value={k}>
                  {KIND_SAYS[k]}
                </option>
              ))}
            </select>
          </div>
          {(kind === "helical" || kind === "worm" || kind === "worm-wheel") && (
            <KeyButton keyName="D" onPress={() => void noted({ hand: notes.hand === "right" ? "left" : "right" })} label={`Hand: ${notes.hand ?? "not noted"}`}>
              {notes.hand === "left" ? "◂ left hand" : notes.hand === "right" ? "right hand ▸" : "which hand?"}
            </KeyButton>
          )}
          {(kind === "spur" || kind === "helical") && (
            <KeyButton keyName="W" pressed={notes.tipsWorn === true} onPress={() => void noted({ tipsWorn: !notes.tipsWorn })}>
              Tips worn
            </KeyButton>
          )}
          {ENTERED.includes(kind) && (
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
        <div className="flex gap-2">
          {PLACES.map((p) => (
            <KeyButton key={p.place} keyName={p.keyName} className="small" pressed={place === p.place} onPress={() => setPlace(p.place)}>
              {p.says}
            </KeyButton>
          ))}
          <KeyLink keyName="P" href={`/jobs/${number}/judge/gear/${part}/picture`} className="small ml-auto">
            Count in a picture
          </KeyLink>
          <KeyButton keyName="C" className="small" pressed={caliper} onPress={() => setCaliper(!caliper)}>
            Practice caliper
          </KeyButton>
        </div>
        <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto pr-1">
          {caliper && goesTo && <CaliperPanel goesTo={goesTo.label} send={(text) => void take(goesTo, text, "practice caliper")} />}
          {place === "readings" && (
            <>
              <div className="grid grid-cols-3 gap-2.5">
                {asked.map(tile)}
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
              <GearNames view={view} entered={ENTERED.includes(kind)} />
            </>
          )}
          {place === "sizes" && <GearSizes view={view} unit={unit} />}
          {place === "mate" && (
            <GearMate view={view} noted={noted}>
              {tile(CENTRE)}
            </GearMate>
          )}
        </div>
        {view.identity ? (
          <p className="says good flex min-h-[52px] items-center text-[22px]">
            Named: {view.identity.teeth} {kind === "worm" ? "starts" : "teeth"},{" "}
            {view.identity.diametralPitch ? `${view.identity.diametralPitch} DP` : `module ${view.identity.moduleMm}`}, {view.identity.pressureAngleDeg}°
            {view.identity.helixAngleDeg
              ? `, ${kind === "worm" || kind === "worm-wheel" ? "lead" : "helix"} ${Number(view.identity.helixAngleDeg.toFixed(1))}°`
              : ""}
            , {percent(view.identity.probability)} sure
          </p>
        ) : ENTERED.includes(kind) ? (
          <p className={`says flex min-h-[52px] items-center text-[22px] ${gear ? "good" : ""}`}>
            {gear ? "Entered: enough for the drawing and the train." : "Enter its teeth and its pitch: then it is drawn, and the train can use it."}
          </p>
        ) : (
          <KeyButton keyName=" " look="main" disabled={!view.names.length} onPress={() => void run(acceptName, { part, which: 0 })} className="justify-center">
            Accept
          </KeyButton>
        )}
      </section>
    </div>
  );
}

/** The face on the left: marked by press or drag, closer at a key, another gear laid over it. */
function FacePanel({ view, unit, flipUnit }: { view: GearView; unit: LengthUnit; flipUnit: () => void }) {
  const { run } = useJob();
  const { gear, marks, notes, over, part, kind, means } = view;
  const [mark, setMark] = useState<ToothMark>("missing");
  const [zoom, setZoom] = useState(1);
  const [laid, setLaid] = useState("");
  // a mark is seen at once; the shop's answer then takes its place
  const [pending, setPending] = useState<Readonly<Record<string, string | null>>>({});
  const [seen, setSeen] = useState(marks);
  if (seen !== marks) {
    setSeen(marks);
    setPending({});
  }
  const shown: Record<string, string> = { ...marks };
  for (const [t, m] of Object.entries(pending)) {
    if (m === null) delete shown[t];
    else shown[t] = m;
  }
  const markTeeth = async (teeth: readonly number[]): Promise<void> => {
    const to = teeth.every((t) => shown[t] === mark) ? null : mark;
    setPending((now) => ({ ...now, ...Object.fromEntries(teeth.map((t) => [t, to])) }));
    const result = await run(saveMarks, { part, teeth, mark: to });
    if (!result.ok) setPending({});
  };
  const count = (m: string): number => Object.values(shown).filter((x) => x === m).length;
  return (
    <section aria-label="Gear face" className="flex min-h-0 flex-col items-center border-2 border-base-content bg-base-100 p-2.5">
      {gear ? (
        <>
          <div className="relative flex min-h-0 w-full flex-1 items-center justify-center">
            <div className="absolute top-0 left-0 flex gap-1.5">
              <KeyButton keyName="-" className="small" label="Zoom out" disabled={zoom === 1} onPress={() => setZoom(Math.max(1, zoom / 2))}>
                −
              </KeyButton>
              <KeyButton keyName="+" className="small" label="Zoom in" disabled={zoom === 8} onPress={() => setZoom(Math.min(8, zoom * 2))}>
                {zoom}×
              </KeyButton>
            </div>
            <div className="absolute top-0 right-0">
              <KeyButton keyName="U" className="small" onPress={flipUnit} label={`Readings in ${unit}; press for ${unit === "mm" ? "inches" : "millimetres"}`}>
                {unit === "mm" ? "→ in" : "→ mm"}
              </KeyButton>
            </div>
            <GearFace
              gear={gear}
              kind={kind}
              coneAngleDeg={view.identity?.coneAngleDeg ?? view.names[0]?.coneAngleDeg}
              boreMm={means.find((m) => m.what === "bore")?.value}
              boreForm={notes.boreForm}
              marks={shown}
              over={over.find((o) => o.key === laid)?.gear}
              zoom={zoom}
              label="Gear face: choose a tooth to mark it, drag over several"
              size={460}
              onMark={(teeth) => void markTeeth(teeth)}
            />
          </div>
          <p className="min-h-[24px] w-full text-center text-[18px] leading-tight" role="status" aria-label="Extent">
            {view.extent ? (
              <>
                {view.extent.says}
                {view.extent.flank && view.extent.flank !== "unknown"
                  ? `; ${view.extent.flank === "both" ? "both flanks" : `the ${view.extent.flank} flank`}`
                  : ""}
              </>
            ) : (
              <span className="hush">press a tooth, or drag over a run</span>
            )}
          </p>
          <div className="flex w-full items-center gap-1.5 py-1">
            <select aria-label="Overlay another gear" className="field min-w-0 flex-1 !text-[18px]" value={laid} onChange={(e) => setLaid(e.target.value)}>
              <option value="">overlay another …</option>
              {over.map((o) => (
                <option key={o.key} value={o.key}>
                  {o.says}
                </option>
              ))}
            </select>
          </div>
        </>
      ) : (
        <p className="m-auto max-w-[380px] text-center text-[24px]">
          Count the teeth and measure the tip diameter and a span. The gear is drawn here in its true shape.
        </p>
      )}
      <fieldset className="grid w-full grid-cols-3 gap-1.5">
        <legend className="sr-only">Mark teeth as</legend>
        {TOOTH_MARKS.map((m) => (
          <KeyButton key={m.mark} keyName={m.key} className="small !min-h-[50px] !px-1.5" pressed={mark === m.mark} onPress={() => setMark(m.mark)}>
            {m.says}
            {count(m.mark) > 0 && <b> {count(m.mark)}</b>}
          </KeyButton>
        ))}
      </fieldset>
    </section>
  );
}
