"use client";

import { useState } from "react";
import { capital } from "@/core/sentence";
import { KeyButton } from "@/ui/key-button";
import { type Packed, usePacked } from "@/ui/packed";
import { GoOn } from "../frame/go-on";
import { AddPoint } from "./add-point";
import { AnswerCard, type AnswerTab } from "./answer-card";
import { ChamberFacts } from "./chamber-facts";
import { Cleaning } from "./cleaning";
import type { LubeView } from "./lube-view";
import { MakeInPicture } from "./make-in-picture";
import { MoreChambers } from "./more-chambers";
import { Points } from "./points";
import { Questions } from "./questions";
import { WhichLubricant } from "./which-lubricant";

/** What is looked at beside the answers: the cleaning, a chamber in a picture, or what is behind an answer. */
type Beside =
  | { readonly at: "clean" | "picture" }
  | { readonly at: AnswerTab | "add"; readonly chamber: string };

/**
 * Lube answers first: a sentence for each chamber, what is not known as a question in its place; beside it
 * the cleaning, or what is behind an answer.
 */
export function LubeScreen({ packed }: { packed: Packed<Omit<LubeView, "frame">> }) {
  const view = usePacked(packed);
  const [picked, setPicked] = useState<Beside>();
  const [first] = view.chambers;
  // cleaning comes first: it is shown until it is done, or something is picked
  const beside: Beside =
    picked ??
    (view.job.washed && first && first.chamber.none === undefined
      ? { at: first.chamber.lubricant ? "where" : "which", chamber: first.chamber.id }
      : { at: "clean" });
  const shown = "chamber" in beside ? view.chambers.find((c) => c.chamber.id === beside.chamber) : undefined;
  const at = "chamber" in beside && !shown ? "clean" : beside.at;
  const open = view.chambers.find(
    (c) => c.chamber.none === undefined && c.points.length > 0 && !c.chamber.lubricant,
  );
  const next = view.chambers
    .flatMap((c) => c.points)
    .find((g) => g.weighedGrams === undefined && (g.grams ?? 0) >= 0.5);
  return (
    <div className="grid h-full grid-cols-[minmax(0,6.4fr)_minmax(0,5.6fr)] gap-5">
      <section aria-label="Answers" className="flex min-h-0 flex-col gap-2">
        <div className="flex items-center gap-2">
          <h2 className="min-w-0 flex-1 truncate text-[26px]">What goes where</h2>
          <KeyButton
            keyName="C"
            className="small"
            pressed={at === "clean"}
            onPress={() => setPicked({ at: "clean" })}
          >
            {view.job.washed ? "✓ Clean and dry" : view.nothingOpened ? "Cleaning" : "Clean first"}
          </KeyButton>
        </div>
        <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto pr-1">
          <Questions view={view} />
          {view.chambers.map((c) => (
            <AnswerCard
              key={c.chamber.id}
              view={view}
              of={c}
              isNext={c === open}
              tab={
                c === shown && at !== "clean" && at !== "picture" ? (at === "add" ? "where" : at) : undefined
              }
              pick={(tab) => setPicked({ at: tab, chamber: c.chamber.id })}
            />
          ))}
          <MoreChambers
            view={view}
            inPicture={at === "picture"}
            toPicture={() => setPicked({ at: "picture" })}
          />
        </div>
        {/* its height stays when something is open again: a key under a finger must not move away */}
        <div className="flex min-h-[152px] flex-col justify-end">
          <GoOn from="lube" stage={view.job.stage} gates={view.gates} keyName={next ? "Enter" : " "} />
        </div>
      </section>
      <section
        aria-label={
          at === "clean"
            ? "Clean"
            : at === "picture"
              ? "A chamber in a picture"
              : `Behind it: ${shown?.chamber.name}`
        }
        className="flex min-h-0 flex-col gap-2"
      >
        {at === "clean" ? (
          <Cleaning view={view} />
        ) : at === "picture" ? (
          <MakeInPicture view={view} onMade={() => setPicked(undefined)} />
        ) : (
          shown && (
            <>
              <h2 className="truncate text-[26px]">{capital(shown.chamber.name)}</h2>
              {at === "which" ? (
                <WhichLubricant
                  key={shown.chamber.id}
                  view={view}
                  shown={shown}
                  toFacts={() => setPicked({ at: "much", chamber: shown.chamber.id })}
                  toPoints={() => setPicked({ at: "add", chamber: shown.chamber.id })}
                />
              ) : at === "much" ? (
                <ChamberFacts
                  key={shown.chamber.id}
                  view={view}
                  shown={shown}
                  onGone={() => setPicked({ at: "clean" })}
                />
              ) : at === "add" ? (
                <AddPoint
                  key={shown.chamber.id}
                  view={view}
                  chamber={shown.chamber}
                  onAdded={() => setPicked({ at: "where", chamber: shown.chamber.id })}
                />
              ) : (
                <Points
                  view={view}
                  shown={shown}
                  main={next?.id}
                  toAdd={() => setPicked({ at: "add", chamber: shown.chamber.id })}
                />
              )}
            </>
          )
        )}
      </section>
    </div>
  );
}
