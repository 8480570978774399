"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { sizeOf } from "@/core/job/gear-notes";
import { GREASE_STATES, modesFor } from "@/core/judge/failure-modes";
import { KeyButton } from "@/ui/key-button";
import { type Packed, usePacked } from "@/ui/packed";
import { PartGlyph } from "@/ui/part-glyph";
import { PictureFrame } from "@/ui/picture-frame";
import { useRestLater } from "@/ui/use-rest-later";
import { GoOn } from "../frame/go-on";
import { TakePicture } from "../frame/take-picture";
import { useJob } from "../saving/job-context";
import { SavedField } from "../saving/saved-field";
import { saveFinding, saveGreaseState } from "./actions";
import { BushMeasures } from "./bush-measures";
import type { JudgeView } from "./judge-view";
import { PartFate } from "./part-fate";

/** Judge: each part of interest, how it failed, what the old grease says. */
export function JudgeScreen({
  job,
  parts: packed,
  fates,
  gates,
  cause,
}: Omit<JudgeView, "frame" | "pockets" | "parts"> & { parts: Packed<JudgeView["parts"]> }) {
  const parts = usePacked(packed);
  const shown = useRestLater(parts.length, 12);
  const [camera, setCamera] = useState(false);
  const [beside, setBeside] = useState<"grease" | "fate">("grease");
  const { run, number } = useJob();
  const router = useRouter();
  const first = parts.find((p) => p.renew) ?? parts.find((p) => p.kind === "gear") ?? parts[0];
  const [picked, setPicked] = useState(first?.id);
  const part = parts.find((p) => p.id === picked) ?? first;
  if (!part) return <p className="text-[26px]">Nothing has come off yet. Lay down the first part at the strip, then judge it here.</p>;
  const { finding } = part;
  const state = GREASE_STATES.find((g) => g.state === job.greaseState);
  const isGear = part.kind === "gear";
  return (
    <div className="grid h-full grid-cols-[minmax(0,0.85fr)_repeat(3,minmax(0,1fr))] gap-4">
      <section aria-label="Parts" className="flex min-h-0 flex-col">
        <h2 className="pb-2 text-[24px]">Parts that came off</h2>
        <ul className="min-h-0 flex-1 overflow-y-auto pr-1">
          {parts.slice(0, shown).map((p) => (
            <li key={p.id}>
              <button type="button" className="part-row" onClick={() => setPicked(p.id)} aria-pressed={p.id === part.id}>
                <PartGlyph kind={p.kind} size={34} />
                <span className="name">
                  {p.name}
                  {p.finding?.mode && <small className="mode">{modesFor(p.kind).find((m) => m.mode === p.finding?.mode)?.says}</small>}
                </span>
                {p.renew && <b className="new">new</b>}
              </button>
            </li>
          ))}
        </ul>
      </section>
      <section aria-label={part.name} className="flex min-h-0 flex-col gap-2">
        <div>
          <h2 className="text-[28px] first-letter:uppercase">{part.name}</h2>
          <p className="hush text-[18px]">{[part.material, part.step && `step ${part.step}`].filter(Boolean).join(" · ")}</p>
        </div>
        {camera ? (
          <TakePicture where={{ role: "finding", part: part.id }} hint={part.name} onTaken={() => setCamera(false)} onClose={() => setCamera(false)} />
        ) : (
          <div className="relative flex min-h-0 flex-1">
            <PictureFrame picture={part.picture} words={part.pictureWords} className="w-full flex-1" />
            <KeyButton keyName="I" onPress={() => setCamera(true)} className="small !absolute top-1.5 right-1.5 bg-base-100">
              Picture
            </KeyButton>
          </div>
        )}
        <SavedField
          key={part.id}
          label="Extent and cause, in words"
          name={`extent-${part.id}`}
          value={finding?.extent ?? ""}
          save={(extent) => run(saveFinding, { part: part.id, extent })}
          rows={2}
        />
      </section>
      <section aria-label="Finding" className="flex min-h-0 flex-col gap-2 overflow-y-auto">
        <h2 className="text-[24px]">How did it fail?</h2>
        <div className="grid grid-cols-2 gap-2">
          {modesFor(part.kind).map((m, i) => (
            <KeyButton
              key={m.mode}
              keyName={String(i + 1)}
              pressed={finding?.mode === m.mode}
              onPress={() => void run(saveFinding, { part: part.id, mode: m.mode })}
            >
              {m.says}
            </KeyButton>
          ))}
        </div>
        <KeyButton keyName="R" pressed={part.renew === true} look="warn" onPress={() => void run(saveFinding, { part: part.id, renew: !part.renew })}>
          {part.renew ? "✓ Goes back new" : "Goes back new"}
        </KeyButton>
        {part.kind === "bush" && <BushMeasures part={part.id} readings={part.readings} />}
        {isGear && (
          <KeyButton keyName="G" look="main" onPress={() => router.push(`/jobs/${number}/judge/gear/${part.id}`)} className="mt-auto justify-center">
            {finding?.identity ? `Gear bench: ${finding.identity.teeth} teeth, ${sizeOf(finding.identity)}` : "Measure and name it"}
          </KeyButton>
        )}
      </section>
      <section aria-label="Grease, cause and what to do" className="flex min-h-0 flex-col gap-2">
        <div className="grid grid-cols-2 gap-1.5">
          <KeyButton keyName="L" className="small justify-center" pressed={beside === "grease"} onPress={() => setBeside("grease")}>
            Old grease
          </KeyButton>
          <KeyButton keyName="B" className="small justify-center" pressed={beside === "fate"} onPress={() => setBeside("fate")}>
            What to do
          </KeyButton>
        </div>
        <div className="min-h-0 flex-1 overflow-y-auto">
          {beside === "fate" ? (
            <PartFate key={part.id} part={part.id} options={fates[part.id] ?? []} finding={finding} />
          ) : (
            <>
              <div className="grid grid-cols-3 gap-1.5">
                {GREASE_STATES.map((g) => (
                  <KeyButton
                    key={g.state}
                    className="!min-h-[48px] justify-center !px-1 !py-0.5 text-center !text-[17px]"
                    pressed={job.greaseState === g.state}
                    onPress={() => void run(saveGreaseState, { state: g.state })}
                  >
                    {g.says}
                  </KeyButton>
                ))}
              </div>
              {state && <p className="says danger mt-1.5 !py-0.5 !text-[17px]">{state.implies}</p>}
            </>
          )}
        </div>
        {cause && beside === "grease" && gates.length === 0 && (
          <p className="says measured !py-1 !text-[18px]">
            <b>{job.causes.chosen?.includes(cause.cause) ? "Cause:" : `${cause.how}:`}</b> {cause.says.toLowerCase()}{" "}
            <span className="hush">(Y tells why)</span>
          </p>
        )}
        <div>
          <GoOn from="judge" stage={job.stage} gates={gates} />
        </div>
      </section>
    </div>
  );
}
