"use client";

import { useState } from "react";
import { CHAMBER_KINDS, type ChamberKind } from "@/core/job/chamber";
import type { PictureSpot } from "@/core/job/picture-spot";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { SmallChoice } from "@/ui/small-choice";
import { spotsIn } from "../job-view/spots-in";
import { useJob } from "../saving/job-context";
import { useFieldFault } from "../saving/use-field-fault";
import { makeChamber } from "./actions";
import type { LubeView } from "./lube-view";
import { PointAt } from "./point-at";

/**
 * A chamber is made by pointing at it: the picture tells what had come off by then, and so what laid it open.
 */
export function MakeInPicture({ view, onMade }: { view: Omit<LubeView, "frame">; onMade: () => void }) {
  const { run } = useJob();
  const fault = useFieldFault();
  const [kind, setKind] = useState<ChamberKind>("gear-case");
  const [name, setName] = useState("");
  const [shown, setShown] = useState(Math.max(0, view.pictures.length - 1));
  const [spot, setSpot] = useState<PictureSpot>();
  const picture = view.pictures[shown]?.name;
  const make = async (): Promise<void> => {
    if (fault.took(await run(makeChamber, { kind, ...(name.trim() && { name }), ...(spot && { spot }) })))
      onMade();
  };
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2">
      <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto pr-1">
        <h2 className="text-[26px]">A chamber in a picture</h2>
        <fieldset>
          <legend className="words">What it is</legend>
          <div className="grid grid-cols-4 gap-1.5">
            {CHAMBER_KINDS.map((k) => (
              <SmallChoice key={k.kind} pressed={kind === k.kind} onPress={() => setKind(k.kind)}>
                {k.says}
              </SmallChoice>
            ))}
          </div>
        </fieldset>
        <label className="words">
          Its name, if it needs one
          <input
            className="field"
            value={name}
            maxLength={80}
            onChange={(e) => setName(e.target.value)}
            placeholder="front bearing seat"
            onKeyDown={(e) => e.key === "Enter" && void make()}
          />
        </label>
        <PointAt
          pictures={view.pictures}
          shown={shown}
          onShow={setShown}
          spots={[
            ...spotsIn(
              {
                chambers: view.chambers.map((c) => c.chamber),
                points: view.chambers.flatMap((c) => c.points),
              },
              picture,
            ),
            ...(spot && spot.picture === picture
              ? [{ kind: "room" as const, x: spot.x, y: spot.y, says: name || "here" }]
              : []),
          ]}
          onPoint={setSpot}
        />
      </div>
      <FaultLine says={fault.elsewhere()} />
      <KeyButton
        keyName="D"
        look="main"
        className="justify-center"
        disabled={!spot}
        onPress={() => void make()}
      >
        {spot ? "Make it" : "Press the picture where it is"}
      </KeyButton>
    </div>
  );
}
