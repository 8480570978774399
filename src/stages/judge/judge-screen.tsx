"use client";

import { useState } from "react";
import { KeyButton } from "@/ui/key-button";
import { type Packed, usePacked } from "@/ui/packed";
import { PictureFrame } from "@/ui/picture-frame";
import { GoOn } from "../frame/go-on";
import { readNumber } from "../frame/read-number-action";
import { TakePicture } from "../frame/take-picture";
import { useJob } from "../saving/job-context";
import { SavedField } from "../saving/saved-field";
import { saveFinding } from "./actions";
import type { JudgedPart, JudgeView } from "./judge-view";
import { OldGrease } from "./old-grease";
import { PartFate } from "./part-fate";
import { PartSizes } from "./part-sizes";
import { PartsColumn } from "./parts-column";
import { WhatFailed } from "./what-failed";
import { WhatItIs } from "./what-it-is";

/** Judge: each part of interest, how it failed, what the old grease says, and what is done about it. */
export function JudgeScreen({
  job,
  parts: packed,
  fates,
  gates,
  cause,
  anyStep,
}: Omit<JudgeView, "frame" | "pockets" | "parts"> & { parts: Packed<JudgeView["parts"]> }) {
  const parts = usePacked(packed);
  const [beside, setBeside] = useState<"grease" | "fate" | "sizes">("grease");
  const first = parts.find((p) => p.renew) ?? parts.find((p) => p.kind === "gear") ?? parts[0];
  const [picked, setPicked] = useState(first?.id);
  const part = parts.find((p) => p.id === picked) ?? first;
  return (
    <div className="grid h-full grid-cols-[minmax(0,0.85fr)_repeat(3,minmax(0,1fr))] gap-4">
      <PartsColumn
        parts={parts}
        anyStep={anyStep}
        picked={part?.id}
        nothingFailed={job.nothingFailed}
        onPick={setPicked}
      />
      {part ? <ThePart key={part.id} part={part} /> : <section aria-label="No part" />}
      {part ? <WhatFailed part={part} /> : <section aria-label="No finding" />}
      <section aria-label="Grease, cause and what to do" className="flex min-h-0 flex-col gap-2">
        <div className="grid grid-cols-[1.25fr_1.35fr_1fr] gap-1.5">
          <KeyButton
            keyName="L"
            className="small justify-center"
            pressed={beside === "grease"}
            onPress={() => setBeside("grease")}
          >
            Old grease
          </KeyButton>
          <KeyButton
            keyName="B"
            className="small justify-center"
            pressed={beside === "fate"}
            onPress={() => setBeside("fate")}
          >
            What to do
          </KeyButton>
          <KeyButton
            keyName="M"
            className="small justify-center"
            pressed={beside === "sizes"}
            onPress={() => setBeside("sizes")}
          >
            Sizes
          </KeyButton>
        </div>
        <div className="min-h-0 flex-1 overflow-y-auto">
          {beside === "grease" ? (
            <OldGrease states={job.greaseStates} />
          ) : beside === "sizes" && part ? (
            part.kind === "gear" ? (
              <p className="says">A gear is measured on the gear bench: G.</p>
            ) : (
              <PartSizes key={part.id} part={part} />
            )
          ) : part ? (
            <PartFate key={part.id} part={part} options={fates[part.id] ?? []} />
          ) : (
            <p className="hush text-[18px]">There is no part to decide about.</p>
          )}
        </div>
        {job.trouble && <p className="says danger !py-1 !text-[19px]">Found at the rebuild: {job.trouble}</p>}
        {cause && beside === "grease" && gates.length === 0 && (
          <p className="says measured !py-1 !text-[18px]">
            <b>{job.causes.chosen?.includes(cause.cause) ? "Cause:" : `${cause.how}:`}</b>{" "}
            {cause.says.toLowerCase()} <span className="hush">(Y tells why)</span>
          </p>
        )}
        <div>
          <GoOn from="judge" stage={job.stage} gates={gates} />
        </div>
      </section>
    </div>
  );
}

/** What it is, what it looks like, and what is said of it. */
function ThePart({ part }: { part: JudgedPart }) {
  const { run } = useJob();
  const [camera, setCamera] = useState(false);
  return (
    <section aria-label={part.name} className="flex min-h-0 flex-col gap-2">
      <div className="flex items-baseline justify-between gap-2">
        <h2 className="truncate text-[28px] first-letter:uppercase">{part.name}</h2>
        {part.step && <span className="hush shrink-0 text-[18px]">step {part.step}</span>}
      </div>
      <WhatItIs part={part} />
      {camera ? (
        <TakePicture
          where={{ role: "finding", part: part.id }}
          hint={part.name}
          onTaken={() => setCamera(false)}
          onClose={() => setCamera(false)}
        />
      ) : (
        <div className="relative flex min-h-0 flex-1">
          <PictureFrame picture={part.picture} words={part.pictureWords} className="w-full flex-1" />
          <KeyButton
            keyName="I"
            onPress={() => setCamera(true)}
            className="small !absolute top-1.5 right-1.5 bg-base-100"
          >
            Picture
          </KeyButton>
        </div>
      )}
      <div className={part.renew ? "grid grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)] gap-1.5" : ""}>
        <SavedField
          label="Extent and cause, in words"
          name={`extent-${part.id}`}
          value={part.finding?.extent ?? ""}
          save={(extent) => run(saveFinding, { part: part.id, extent })}
          rows={2}
        />
        {part.renew && (
          <SavedField
            label="Number on it"
            name={`number-${part.id}`}
            value={part.finding?.readNumber ?? ""}
            save={(read) => run(readNumber, { part: part.id, read })}
          />
        )}
      </div>
    </section>
  );
}
