"use client";

import { useState } from "react";
import { CHAMBER_KINDS } from "@/core/job/chamber";
import { isAmountOpen } from "@/core/lube/amount-open";
import { LEAST_WEIGHED_G } from "@/core/lube/slips";
import { capital } from "@/core/sentence";
import { Choose } from "@/ui/choose";
import { KeyButton } from "@/ui/key-button";
import { KindAsked } from "../job-view/kind-asked";
import { useJob } from "../saving/job-context";
import { makeChamber, saveNoGrease, saveProposed } from "./actions";
import type { ChamberView, LubeView } from "./lube-view";

const WITHOUT = [
  "it runs dry by design",
  "sealed for life, and not opened",
  "its old lubricant is good and stays",
] as const;

/** What a chamber gets, in a line. */
function state({ chamber, points }: ChamberView, shelf: LubeView["shelf"]): string {
  if (chamber.none !== undefined) return `none: ${chamber.none}`;
  if (points.length === 0) return "no point yet";
  const name = shelf.find((l) => l.id === chamber.lubricant)?.name;
  if (!name) return "lubricant open";
  if (points.some((g) => isAmountOpen(chamber, g))) return `${name}, how much is open`;
  return `${name}, ${points.reduce((s, g) => s + (g.weighedGrams ?? g.grams ?? 0), 0).toFixed(1)} g`;
}

const done = ({ chamber, points }: ChamberView): boolean =>
  chamber.none !== undefined ||
  (points.length > 0 &&
    chamber.lubricant !== undefined &&
    points.every(
      (g) =>
        g.weighedGrams !== undefined ||
        (g.lubricant !== undefined && !isAmountOpen(chamber, g) && (g.grams ?? 0) < LEAST_WEIGHED_G),
    ));

/** The unit's chambers, cleaning first; more of them by one press. */
export function ChamberList({
  view,
  shown,
  pick,
}: {
  view: Omit<LubeView, "frame">;
  shown: string;
  pick: (id: string) => void;
}) {
  const { run } = useJob();
  const [said, setAdding] = useState<boolean>();
  const adding = said ?? (view.chambers.length === 0 && view.job.noGrease === undefined);
  const { noGrease } = view.job;
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto">
      <h2 className="text-[24px]">What is lubricated</h2>
      <KeyButton keyName="C" pressed={shown === "clean"} className="w-full" onPress={() => pick("clean")}>
        {view.job.washed ? "✓ Clean and dry" : "Clean first"}
      </KeyButton>
      {view.chambers.map((c) => (
        <KeyButton
          key={c.chamber.id}
          pressed={shown === c.chamber.id}
          className="w-full [&>span]:w-full"
          label={c.chamber.name}
          onPress={() => pick(c.chamber.id)}
        >
          <span className="block text-left">
            <span className="block">
              {done(c) ? "✓ " : ""}
              {capital(c.chamber.name)}
            </span>
            <span className="block text-[17px] font-normal">{state(c, view.shelf)}</span>
          </span>
        </KeyButton>
      ))}
      {noGrease !== undefined && (
        <p className="says">
          <b>Nothing is lubricated:</b> {noGrease}
        </p>
      )}
      {noGrease === undefined && view.asked[0] && <KindAsked key={view.asked[0].id} part={view.asked[0]} />}
      {view.proposed.length > 0 && noGrease === undefined && (
        <KeyButton keyName="P" className="w-full" onPress={() => void run(saveProposed, {})}>
          Take over from train and strip: {view.proposed.join("; ")}
        </KeyButton>
      )}
      <KeyButton keyName="A" className="small" pressed={adding} onPress={() => setAdding(!adding)}>
        Add a chamber, or say there is none
      </KeyButton>
      {adding && (
        <div className="grid grid-cols-2 gap-1.5">
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
            <KeyButton
              className="small justify-center"
              pressed={shown === "picture"}
              onPress={() => pick("picture")}
            >
              In a picture …
            </KeyButton>
          )}
          {view.parts.length > 0 && (
            <Choose
              label="Around a part that came off"
              className="col-span-2"
              options={view.parts.map((p) => [p.id, p.name] as const)}
              value={undefined}
              none="which …"
              onChoose={(part) => part && void run(makeChamber, { part })}
            />
          )}
          {WITHOUT.map((why) => (
            <KeyButton
              key={why}
              className="small col-span-2"
              pressed={noGrease === why}
              onPress={() => void run(saveNoGrease, { why: noGrease === why ? null : why })}
            >
              Nothing: {why}
            </KeyButton>
          ))}
        </div>
      )}
    </div>
  );
}
