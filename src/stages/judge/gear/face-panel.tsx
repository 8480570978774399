"use client";

import { useState } from "react";
import { TOOTH_MARKS, type ToothMark } from "@/core/judge/tooth-marks";
import type { LengthUnit } from "@/core/quantity/units";
import { GearFace } from "@/ui/gear-face";
import { KeyButton } from "@/ui/key-button";
import { useJob } from "../../saving/job-context";
import { saveMarks } from "../actions";
import type { GearView } from "./gear-view";

/** What is measured first, where it is not tips and a span. */
const FIRST: Partial<Record<GearView["kind"], string>> = {
  internal: "Count the teeth and measure across the tips inside, or between two pins.",
  bevel: "Count the teeth of both and measure the tips and the depth at the large end.",
  worm: "Count the starts and measure along several threads.",
  "worm-wheel": "Count the teeth and measure the throat diameter.",
  rack: "Count the teeth and enter the module.",
  pulley: "Count the teeth and enter the pitch of the belt.",
  sprocket: "Count the teeth and enter the pitch of the chain.",
};

/** The face on the left: marked by press or drag, closer at a key, another gear laid over it. */
export function FacePanel({
  view,
  unit,
  flipUnit,
}: {
  view: GearView;
  unit: LengthUnit;
  flipUnit: () => void;
}) {
  const { gear, marks, notes, over, part, kind, means } = view;
  const [mark, setMark] = useState<ToothMark>("missing");
  const [zoom, setZoom] = useState(1);
  const [laid, setLaid] = useState("");
  const { shown, markTeeth } = useToothMarks(part, marks, mark);
  const count = (m: string): number => Object.values(shown).filter((x) => x === m).length;
  return (
    <section
      aria-label="Gear face"
      className="flex min-h-0 flex-col items-center border-2 border-base-content bg-base-100 p-2.5"
    >
      {gear ? (
        <>
          <div className="relative flex min-h-0 w-full flex-1 items-center justify-center">
            <div className="absolute top-0 left-0 flex gap-1.5">
              <KeyButton
                keyName="-"
                className="small"
                label="Zoom out"
                disabled={zoom === 1}
                onPress={() => setZoom(Math.max(1, zoom / 2))}
              >
                −
              </KeyButton>
              <KeyButton
                keyName="+"
                className="small"
                label="Zoom in"
                disabled={zoom === 8}
                onPress={() => setZoom(Math.min(8, zoom * 2))}
              >
                {zoom}×
              </KeyButton>
            </div>
            <div className="absolute top-0 right-0">
              <KeyButton
                keyName="U"
                className="small"
                onPress={flipUnit}
                label={`Readings in ${unit}; press for ${unit === "mm" ? "inches" : "millimetres"}`}
              >
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
          <p
            className="min-h-[24px] w-full text-center text-[18px] leading-tight"
            role="status"
            aria-label="Extent"
          >
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
            <select
              aria-label="Overlay another gear"
              className="field min-w-0 flex-1 !text-[18px]"
              value={laid}
              onChange={(e) => setLaid(e.target.value)}
            >
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
          {FIRST[kind] ?? "Count the teeth and measure the tip diameter and a span."} It is drawn here in its
          true shape.
        </p>
      )}
      <fieldset className="grid w-full grid-cols-3 gap-1.5">
        <legend className="sr-only">Mark teeth as</legend>
        {TOOTH_MARKS.map((m) => (
          <KeyButton
            key={m.mark}
            keyName={m.key}
            className="small !min-h-[50px] !px-1.5"
            pressed={mark === m.mark}
            onPress={() => setMark(m.mark)}
          >
            {m.says}
            {count(m.mark) > 0 && <b> {count(m.mark)}</b>}
          </KeyButton>
        ))}
      </fieldset>
    </section>
  );
}

/** The marks of the teeth. One is seen at once; the shop's answer then takes its place. */
function useToothMarks(part: string, marks: Readonly<Record<string, string>>, mark: ToothMark) {
  const { run } = useJob();
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
  return { shown, markTeeth };
}
