"use client";

import { type ReactNode, useState } from "react";
import { gearBenchOf, makingOf } from "@/core/job/address";
import { companionsOpen } from "@/core/job/going-in";
import { takenFrom } from "@/core/match/candidates/rank";
import { KeyButton } from "@/ui/key-button";
import { KeyLink } from "@/ui/key-link";
import { type Packed, usePacked } from "@/ui/packed";
import { useLatest } from "@/ui/use-latest";
import { Way } from "@/ui/way";
import { GoOn } from "../frame/go-on";
import { readNumber } from "../frame/read-number-action";
import { PutInWork } from "../job-view/put-in-work";
import { useJob } from "../saving/job-context";
import { SavedField } from "../saving/saved-field";
import { choose } from "./actions";
import { CandidateList } from "./candidate-list";
import { CandidateVerdict } from "./candidate-verdict";
import { GoesInWith } from "./goes-in-with";
import { GotFrom, GotShown } from "./got-from";
import { KitInHand } from "./kit-in-hand";
import type { MatchPart } from "./match-part";
import type { MatchView } from "./match-view";
import { PartsToReplace } from "./parts-to-replace";

/** Match: for each part that goes back new, the candidates with a verdict on every criterion. */
export function MatchScreen({
  parts: packed,
  stage,
  gates,
  currency,
  drafts,
  ended,
  ordered,
  cameOut,
  work,
  kitParts,
}: Omit<MatchView, "frame" | "places" | "parts"> & { parts: Packed<readonly MatchPart[]> }) {
  const parts = usePacked(packed);
  const { run, number } = useJob();
  const [picked, setPicked] = useState(parts.find((p) => !p.chosen && !p.got)?.id ?? parts[0]?.id);
  const part = parts.find((p) => p.id === picked) ?? parts[0];
  const [looked, setLooked] = useState<string>();
  const [panel, setPanel] = useState<"got" | "with" | "work" | "kit" | null>(null);
  const now = useLatest({ part: part?.id, panel });
  const shown =
    part?.candidates.find((c) => c.part.number === (looked ?? part.chosen)) ?? part?.candidates[0];
  const kit = (onDone: () => void) => (
    <KitInHand parts={kitParts} currency={currency} draft={drafts["match.kit"]} onDone={onDone} />
  );
  if (!part || ended)
    return (
      <NothingToReplace
        stage={stage}
        gates={gates}
        ended={ended}
        kit={!ended && kitParts.length > 0 ? kit(() => undefined) : null}
      />
    );
  const pick = (id: string): void => {
    setPicked(id);
    setLooked(undefined);
    setPanel(null);
  };
  const onToTheNext = (): void => {
    // a hand that went elsewhere while the shop was asked is left where it is
    if (now.current.part !== part.id || now.current.panel !== panel) return;
    setPanel(null);
    const next = parts.find((p) => !p.chosen && !p.got && p.id !== part.id);
    if (next) pick(next.id);
  };
  // where the catalogue has nothing, what can still be said is where it comes from
  const shownPanel = panel ?? (!part.got && !part.missing && part.candidates.length === 0 ? "got" : null);
  const open = part.goesIn ? companionsOpen({ ...part.goesIn, part: part.id }, new Set(ordered)) : [];
  const take = async (): Promise<void> => {
    if (!shown) return;
    const result = await run(choose, { part: part.id, chosen: takenFrom(shown) });
    if (result.ok) onToTheNext();
  };
  return (
    <div className="grid h-full grid-cols-[minmax(0,2.7fr)_minmax(0,3.2fr)_minmax(0,6.1fr)] gap-5">
      <section aria-label="To replace" className="flex min-h-0 flex-col gap-2">
        <h2 className="text-[24px]">To replace</h2>
        <PartsToReplace parts={parts} part={part} onPick={pick} />
        <SavedField
          key={part.id}
          label="Number on the part"
          name={`number-${part.id}`}
          value={part.readNumber ?? ""}
          save={(text) => run(readNumber, { part: part.id, read: text })}
        />
        <KeyLink keyName="N" href={`/jobs/${number}/match/basket`}>
          To the basket
        </KeyLink>
        <GoOn from="match" stage={stage} gates={gates} keyName="Enter" />
      </section>
      <section aria-label="Candidates" className="flex min-h-0 flex-col">
        <h2 className="text-[24px]">Candidates</h2>
        <p className="hush pb-1 text-[18px]">{part.wanted}</p>
        {part.missing ? (
          <div className="says danger">
            {part.missing}
            {part.isGear && (
              <Way href={gearBenchOf(number, part.id)} className="key-button mt-2">
                To the gear bench
              </Way>
            )}
          </div>
        ) : (
          <CandidateList candidates={part.candidates} shown={shown} onLook={setLooked} />
        )}
        <div className="mt-2 grid grid-cols-2 gap-2">
          <KeyButton
            keyName="F"
            pressed={shownPanel === "got"}
            onPress={() => setPanel(panel === "got" ? null : "got")}
          >
            Got it from
          </KeyButton>
          <KeyLink keyName="M" href={makingOf(number, part.id)}>
            Make one
          </KeyLink>
          {part.goesIn && (
            <KeyButton
              keyName="W"
              className="col-span-2"
              pressed={panel === "with"}
              onPress={() => setPanel(panel === "with" ? null : "with")}
            >
              What goes in with it{open.length > 0 && `: ${open.length} open`}
            </KeyButton>
          )}
          <KeyButton
            keyName="K"
            className="small"
            pressed={panel === "kit"}
            onPress={() => setPanel(panel === "kit" ? null : "kit")}
          >
            Kit in hand
          </KeyButton>
          <KeyButton
            keyName="B"
            className="small"
            label="Work on it before it goes in"
            pressed={panel === "work"}
            onPress={() => setPanel(panel === "work" ? null : "work")}
          >
            Work on it first
          </KeyButton>
        </div>
      </section>
      {shownPanel === "kit" ? (
        kit(() => setPanel(null))
      ) : shownPanel === "work" ? (
        <div className="flex min-h-0 flex-col">
          <PutInWork key={part.id} places={work} first={part.id} onClose={() => setPanel(null)} />
        </div>
      ) : shownPanel === "with" && part.goesIn ? (
        <GoesInWith
          key={part.id}
          part={part.id}
          name={part.name}
          goesIn={part.goesIn}
          ordered={ordered}
          cameOut={cameOut}
          currency={currency}
          draft={drafts[`match.with.${part.id}`]}
        />
      ) : shownPanel === "got" ? (
        <GotFrom
          key={part.id}
          part={part}
          currency={currency}
          draft={drafts[`match.got.${part.id}`]}
          onDone={onToTheNext}
        />
      ) : part.got ? (
        <GotShown got={part.got} currency={currency} onChange={() => setPanel("got")} />
      ) : shown && !part.missing ? (
        <CandidateVerdict part={part} shown={shown} currency={currency} onTake={() => void take()} />
      ) : (
        <section aria-label="Verdict" />
      )}
    </div>
  );
}

/** Nothing goes back new: the job goes on, and what it costs can be quoted. */
function NothingToReplace({
  stage,
  gates,
  ended,
  kit,
}: Pick<MatchView, "stage" | "gates" | "ended"> & {
  /** a kit can renew what nobody judged */
  kit: ReactNode;
}) {
  const { number } = useJob();
  const [isKit, setKit] = useState(false);
  return (
    <div className="grid h-full grid-cols-2 gap-6">
      <section aria-label="Nothing to replace" className="flex min-h-0 max-w-[760px] flex-col gap-4">
        <h2 className="text-[34px]">Nothing goes back new.</h2>
        <p className="text-[22px]">
          {ended
            ? "The job ends without its repair: nothing is bought for it."
            : "No part was judged to be renewed. If one is, say so at Judge; it is matched here."}
        </p>
        <div className="mt-auto flex flex-col gap-2">
          {!ended && (
            <KeyLink keyName="Y" href={`/jobs/${number}/match/quote`}>
              Quote the work
            </KeyLink>
          )}
          {kit && (
            <KeyButton keyName="K" pressed={isKit} onPress={() => setKit(!isKit)}>
              Kit in hand
            </KeyButton>
          )}
          <GoOn from="match" stage={stage} gates={gates} />
        </div>
      </section>
      {isKit && kit}
    </div>
  );
}
