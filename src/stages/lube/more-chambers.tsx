"use client";

import { useState } from "react";
import { CHAMBER_KINDS } from "@/core/job/chamber";
import { Choose } from "@/ui/choose";
import { KeyButton } from "@/ui/key-button";
import { useJob } from "../saving/job-context";
import { makeChamber, saveNoGrease, saveProposed, saveSchool } from "./actions";
import type { LubeView } from "./lube-view";

const WITHOUT = [
  "it runs dry by design",
  "sealed for life, and not opened",
  "its old lubricant is good and stays",
] as const;

/** Chambers that follow from train and strip, by one press; another by hand, or none at all. */
export function MoreChambers({
  view,
  inPicture,
  toPicture,
}: {
  view: Omit<LubeView, "frame">;
  inPicture: boolean;
  toPicture: () => void;
}) {
  const { run } = useJob();
  const [said, setAdding] = useState<boolean>();
  const { noGrease, fillSchool } = view.job;
  const adding =
    said ?? (!view.nothingOpened && !view.chambers.length && !view.proposed.length && noGrease === undefined);
  return (
    <>
      {view.nothingOpened && noGrease === undefined && (
        <p className="says inferred">
          Nothing that was opened holds a lubricant, so none is asked for. If something does, say where.
        </p>
      )}
      {noGrease !== undefined && (
        <p className="says">
          <b>Nothing is lubricated:</b> {noGrease}
        </p>
      )}
      {view.proposed.length > 0 && noGrease === undefined && (
        <KeyButton
          keyName="P"
          look={view.chambers.length ? "plain" : "main"}
          onPress={() => void run(saveProposed, {})}
        >
          Take over from train and strip: {view.proposed.join("; ")}
        </KeyButton>
      )}
      <div className="flex flex-wrap items-end gap-1.5">
        <KeyButton keyName="A" className="small" pressed={adding} onPress={() => setAdding(!adding)}>
          Another chamber, or no lubricant here
        </KeyButton>
        <span className="hush ml-auto self-center text-[17px]">Cases are filled</span>
        <KeyButton
          keyName="M"
          className="small"
          pressed={fillSchool === "measured"}
          onPress={() => void run(saveSchool, { school: "measured" })}
        >
          Measured
        </KeyButton>
        <KeyButton
          keyName="G"
          className="small"
          pressed={fillSchool === "packed"}
          onPress={() => void run(saveSchool, { school: "packed" })}
        >
          Packed
        </KeyButton>
      </div>
      {adding && (
        <div className="grid grid-cols-3 gap-1.5">
          {CHAMBER_KINDS.map((k) => (
            <KeyButton
              key={k.kind}
              label={`Add a chamber: ${k.says}`}
              className="small justify-center"
              onPress={() => void run(makeChamber, { kind: k.kind })}
            >
              {k.says}
            </KeyButton>
          ))}
          {view.pictures.length > 0 && (
            <KeyButton className="small justify-center" pressed={inPicture} onPress={toPicture}>
              In a picture …
            </KeyButton>
          )}
          {view.parts.length > 0 && (
            <Choose
              label="Around a part that came off"
              className="col-span-3"
              options={view.parts.map((p) => [p.id, p.name] as const)}
              value={undefined}
              none="which …"
              onChoose={(part) => part && void run(makeChamber, { part })}
            />
          )}
          {WITHOUT.map((why) => (
            <KeyButton
              key={why}
              className="small col-span-3"
              pressed={noGrease === why}
              onPress={() => void run(saveNoGrease, { why: noGrease === why ? null : why })}
            >
              No lubricant here: {why}
            </KeyButton>
          ))}
        </div>
      )}
    </>
  );
}
