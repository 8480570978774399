"use client";

import { useState } from "react";
import { capital } from "@/core/sentence";
import { KeyButton } from "@/ui/key-button";
import { type Packed, usePacked } from "@/ui/packed";
import { GoOn } from "../frame/go-on";
import { useJob } from "../saving/job-context";
import { saveSchool } from "./actions";
import { AddPoint } from "./add-point";
import { ChamberFacts } from "./chamber-facts";
import { ChamberList } from "./chamber-list";
import { Cleaning } from "./cleaning";
import type { LubeView } from "./lube-view";
import { MakeInPicture } from "./make-in-picture";
import { Points } from "./points";
import { WhichLubricant } from "./which-lubricant";

const TABS = [
  ["which", "Which", "1"],
  ["facts", "What it is", "2"],
  ["add", "Add a point", "3"],
] as const;

/**
 * Lube: clean, then chamber by chamber which lubricant and why, where it goes and until when, how much,
 * weighed in.
 */
export function LubeScreen({ packed }: { packed: Packed<Omit<LubeView, "frame">> }) {
  const view = usePacked(packed);
  const { run } = useJob();
  const [picked, setPicked] = useState<string>();
  const [tab, setTab] = useState<(typeof TABS)[number][0]>("which");
  // cleaning comes first: it is shown until it is done, or a chamber is picked
  const shown =
    picked === "clean" || picked === "picture"
      ? undefined
      : (view.chambers.find((c) => c.chamber.id === picked) ??
        (picked === undefined && view.job.washed ? view.chambers[0] : undefined));
  const next = view.chambers
    .flatMap((c) => c.points)
    .find((g) => g.weighedGrams === undefined && (g.grams ?? 0) >= 0.5);
  return (
    <div className="grid h-full grid-cols-[minmax(0,3.1fr)_minmax(0,4.8fr)_minmax(0,4.1fr)] gap-5">
      <section aria-label="Chambers" className="flex min-h-0 flex-col gap-2">
        <ChamberList
          view={view}
          shown={shown?.chamber.id ?? (picked === "picture" ? "picture" : "clean")}
          pick={setPicked}
        />
        <div className="grid grid-cols-2 gap-x-2">
          <span className="words col-span-2">A case is filled</span>
          <KeyButton
            keyName="M"
            className="small"
            pressed={view.job.fillSchool === "measured"}
            onPress={() => void run(saveSchool, { school: "measured" })}
          >
            Measured
          </KeyButton>
          <KeyButton
            keyName="G"
            className="small"
            pressed={view.job.fillSchool === "packed"}
            onPress={() => void run(saveSchool, { school: "packed" })}
          >
            Packed
          </KeyButton>
        </div>
      </section>
      <section
        aria-label={shown ? shown.chamber.name : picked === "picture" ? "A chamber in a picture" : "Clean"}
        className="flex min-h-0 flex-col gap-2"
      >
        {shown ? (
          <>
            <div className="flex items-center gap-2">
              <h2 className="min-w-0 flex-1 truncate text-[26px] max-xl:sr-only">
                {capital(shown.chamber.name)}
              </h2>
              {TABS.map(([key, says, keyName]) => (
                <KeyButton
                  key={key}
                  keyName={keyName}
                  className="small"
                  pressed={tab === key}
                  onPress={() => setTab(key)}
                >
                  {says}
                </KeyButton>
              ))}
            </div>
            {tab === "which" ? (
              <WhichLubricant
                key={shown.chamber.id}
                view={view}
                shown={shown}
                toFacts={() => setTab("facts")}
                toPoints={() => setTab("add")}
              />
            ) : tab === "facts" ? (
              <ChamberFacts
                key={shown.chamber.id}
                view={view}
                shown={shown}
                onGone={() => setPicked(undefined)}
              />
            ) : (
              <AddPoint
                key={shown.chamber.id}
                view={view}
                chamber={shown.chamber}
                onAdded={() => setTab("which")}
              />
            )}
          </>
        ) : picked === "picture" ? (
          <MakeInPicture view={view} onMade={() => setPicked(undefined)} />
        ) : (
          <Cleaning view={view} />
        )}
      </section>
      <section aria-label="How much, and where" className="flex min-h-0 flex-col gap-2">
        <Points view={view} shown={shown} main={next?.id} />
        {/* its height stays when something is open again: a key under a finger must not move away */}
        <div className="flex min-h-[152px] flex-col justify-end">
          <GoOn from="lube" stage={view.job.stage} gates={view.gates} keyName={next ? "Enter" : " "} />
        </div>
      </section>
    </div>
  );
}
