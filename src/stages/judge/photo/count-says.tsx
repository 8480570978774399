"use client";

import { toothExtent } from "@/core/judge/tooth-marks";
import { axesOf, type RingReading } from "@/core/photo/index";
import { KeyButton } from "@/ui/key-button";
import { percent } from "@/ui/odds";
import type { Photo } from "./use-photo";
import type { ToothCount } from "./use-tooth-count";

const SIDE = { "worn-left": "left", "worn-right": "right", knife: "both" } as const;

/**
 * How many teeth there are, how sure that is, and which are missing; where it is not sure, the counts to
 * choose from.
 */
export function CountSays({
  ring,
  reading,
  count,
}: {
  ring: RingReading;
  reading: Photo["reading"];
  count: ToothCount;
}) {
  const { handCount, missing, hidden, broken, worn, takeWorn, setTakeWorn, sure, isIt } = count;
  const runs = missing.length
    ? toothExtent(Object.fromEntries(missing.map((i) => [i, "missing"])), ring.teeth).says
    : null;
  const others = (reading?.rings ?? [])
    .filter(
      (r, i, all) =>
        r.certainty > 0.02 && r.teeth !== ring?.teeth && all.findIndex((o) => o.teeth === r.teeth) === i,
    )
    .slice(0, 2);
  return (
    <>
      <div className="flex items-end gap-3">
        <output aria-label="Teeth counted" className="figures text-[76px] leading-[0.82]">
          {sure ? ring.teeth : "?"}
        </output>
        <div className="flex-1 leading-tight">
          <p className="text-[24px]">teeth</p>
          <p className="text-[18px]">
            {handCount
              ? "as you laid them"
              : sure
                ? `${percent(ring.certainty)} sure`
                : `perhaps ${ring.teeth}`}
          </p>
        </div>
      </div>
      <p
        role="status"
        aria-label="Missing teeth"
        className={`text-[21px] leading-tight font-semibold ${missing.length ? "text-error" : ""}`}
      >
        {missing.length ? `× ${runs}` : hidden ? "None seen missing" : "None missing"}
        {broken.length > 0 && `; ${broken.length} short`}
        {hidden > 0 && (
          <span className="block text-base-content">
            ? {hidden === 1 ? "1 place is hidden" : `${hidden} places are hidden`}: look there yourself
          </span>
        )}
        <span className="hush block text-[17px] font-normal">
          tilted {Math.round(axesOf(ring.plane).tiltDeg)}° · numbers run clockwise from the top
        </span>
      </p>
      {sure && worn.length > 0 && (
        <div className="flex items-center gap-2 text-[18px]">
          <p className="flex-1 leading-tight">
            {worn.length === 1 ? "A flank looks worn" : `${worn.length} flanks look worn`}:{" "}
            {worn.map((w) => `tooth ${w.tooth + 1}, ${SIDE[w.mark]}`).join("; ")}. Look there yourself.
          </p>
          <KeyButton className="small" pressed={takeWorn} onPress={() => setTakeWorn(!takeWorn)}>
            {takeWorn ? "✓ So it is" : "So it is"}
          </KeyButton>
        </div>
      )}
      {!sure && reading?.answer.says && <p className="says text-[18px]">{reading.answer.says}</p>}
      {!sure && (
        <div className="flex flex-wrap gap-1.5">
          {[ring, ...others].map((r, i) => (
            <KeyButton key={r.teeth} keyName={String(i + 1)} className="small" onPress={() => isIt(r)}>
              It is {r.teeth}
            </KeyButton>
          ))}
        </div>
      )}
    </>
  );
}
