"use client";

import { isAmountOpen } from "@/core/lube/amount-open";
import { LEAST_WEIGHED_G } from "@/core/lube/slips";
import { TEETH_OF } from "@/core/lube/teeth-of";
import { capital, listed } from "@/core/sentence";
import { KeyButton } from "@/ui/key-button";
import { useJob } from "../saving/job-context";
import { saveNone, takeLube } from "./actions";
import { saySpeed, sayTeeth } from "./asked-actions";
import { HowMuch } from "./how-much";
import type { ChamberView, LubeView } from "./lube-view";

/** What can be looked at of a chamber, besides its answer. */
export type AnswerTab = "which" | "much" | "where";
const TABS: readonly (readonly [tab: AnswerTab, says: string, keyName: string])[] = [
  ["which", "Why this one", "1"],
  ["much", "How much", "2"],
  ["where", "Where and when", "3"],
];
const SPEEDS = [
  ["slow", "under 1 m/s", "by hand, or a slow output"],
  ["medium", "1 to 5 m/s", "behind a first reduction"],
  ["fast", "faster", "straight on the motor"],
] as const;
/** Why a chamber gets none. */
export const NONE = [
  "a new assembly, ready greased",
  "its old lubricant is good and stays",
  "it runs dry by design",
  "sealed, and not opened",
] as const;

/** All of its points were given a lubricant by hand, and none of the shelf. */
const isByHand = (points: ChamberView["points"]): boolean =>
  points.length > 0 && points.every((g) => g.lubricantSaid && g.lubricant);

/** Why a chamber gets none, as long as nobody gave a reason. */
const SAID = "so it was said at the bench";

/** Nothing is to be chosen, asked or weighed in a chamber any more. */
export const isDone = ({ chamber, points }: ChamberView): boolean =>
  chamber.none !== undefined ||
  (points.length > 0 &&
    (chamber.lubricant !== undefined || isByHand(points)) &&
    points.every(
      (g) =>
        g.weighedGrams !== undefined ||
        (g.lubricant !== undefined && !isAmountOpen(chamber, g) && (g.grams ?? 0) < LEAST_WEIGHED_G),
    ));

/**
 * The answer for one chamber: a sentence, what it rests on, and three presses that lead behind it. What is
 * not known stands as one question in the sentence's place.
 */
export function AnswerCard({
  view,
  of,
  isNext,
  tab,
  pick,
}: {
  view: Omit<LubeView, "frame">;
  of: ChamberView;
  /** it is the first that waits for its lubricant: it has the key */
  isNext: boolean;
  /** what is looked at of it; undefined: another chamber is */
  tab: AnswerTab | undefined;
  pick: (tab: AnswerTab) => void;
}) {
  const { run } = useJob();
  const { chamber, plan, points } = of;
  const done = isDone(of);
  const best = plan?.answer?.verdicts[0];
  const bestName = best?.ok ? view.shelf.find((l) => l.id === best.lubricant)?.name : undefined;
  const name = capital(chamber.name);
  const byHand = !chamber.lubricant && isByHand(points);
  const says =
    chamber.none !== undefined
      ? `${name}: none, ${chamber.none}.`
      : !points.length
        ? `${name}: where in it does it go?`
        : byHand
          ? `${name}: ${listed([...new Set(points.map((g) => g.lubricant ?? ""))])}, at ${points.length === 1 ? "one place" : `${points.length} places`}.`
          : !chamber.lubricant
            ? of.areTeethAsked && bestName
              ? `${name}: what are its teeth of?`
              : bestName
                ? `${name}: ${bestName}?`
                : `${name}: nothing on the shelf may go in.`
            : (of.says ??
              (of.isStayAsked ? `${name}: how much of the old stays in it?` : `${name}: how much?`));
  const isAsked = chamber.none === undefined && of.says === undefined && !byHand;
  const rests = plan?.answer?.by && plan.answer.grams !== null ? plan.answer.by : undefined;
  return (
    <section
      aria-label={chamber.name}
      className={`border-l-[8px] bg-base-200 px-3 py-2 ${done ? "border-success" : isAsked ? "border-error" : "border-base-content"}`}
    >
      <h3 className="text-[25px] leading-tight">
        {done ? "✓ " : ""}
        {says}
      </h3>
      {chamber.none === undefined && (
        <>
          {rests && chamber.lubricant && (
            <p className="hush text-[17px] leading-tight">
              {capital(rests.rule)}: {rests.says}.
            </p>
          )}
          {plan?.fault && <p className="says danger !py-1">{plan.fault}</p>}
          {plan && plan.assumed.length > 0 && chamber.lubricant && (
            <p className="hush text-[17px] leading-tight">Taken for granted: {plan.assumed.join("; ")}.</p>
          )}
          {of.areTeethAsked && !done && !byHand && (
            <fieldset className="mt-1 flex flex-wrap items-center gap-1.5 text-[18px]">
              <legend className="sr-only">What the teeth of the {chamber.name} are of</legend>
              <span>Its teeth are</span>
              {TEETH_OF.map(({ teeth, says }) => (
                <button
                  key={teeth}
                  type="button"
                  className="key-button small"
                  onClick={() => void run(sayTeeth, { chamber: chamber.id, teeth })}
                >
                  {says}
                </button>
              ))}
            </fieldset>
          )}
          {!chamber.lubricant && !byHand && bestName && best && (
            <div className="mt-1 flex flex-wrap items-center gap-2">
              <KeyButton
                keyName={isNext ? "U" : undefined}
                look={isNext && !of.areTeethAsked ? "main" : "plain"}
                onPress={() => void run(takeLube, { chamber: chamber.id, lubricant: best.lubricant })}
              >
                Use {bestName}
              </KeyButton>
              <span className="hush text-[17px]">first of {plan?.answer?.verdicts.length} on the shelf</span>
            </div>
          )}
          {chamber.lubricant && isAsked && !plan?.fault && <HowMuch of={of} />}
          {of.isSpeedAsked && chamber.lubricant && !done && (
            <fieldset className="mt-1 flex flex-wrap items-center gap-1.5 text-[18px]">
              <legend className="sr-only">How fast the teeth of the {chamber.name} run</legend>
              <span>Its teeth run</span>
              {SPEEDS.map(([speed, words, where]) => (
                <button
                  key={speed}
                  type="button"
                  title={where}
                  className="key-button small"
                  onClick={() => void run(saySpeed, { chamber: chamber.id, speed })}
                >
                  {words}
                </button>
              ))}
            </fieldset>
          )}
        </>
      )}
      <div className="mt-1.5 flex flex-wrap gap-1.5">
        {chamber.none === undefined &&
          TABS.map(([key, words, keyName]) => (
            <KeyButton
              key={key}
              keyName={tab ? keyName : undefined}
              className="small"
              pressed={tab === key}
              label={`${words}: ${chamber.name}`}
              onPress={() => pick(key)}
            >
              {words}
            </KeyButton>
          ))}
        {chamber.none !== undefined ? (
          <>
            <KeyButton
              className="small"
              label={`It gets one after all: ${chamber.name}`}
              onPress={() => void run(saveNone, { chamber: chamber.id, why: null })}
            >
              It gets one after all
            </KeyButton>
            {NONE.filter((why) => why !== chamber.none).map((why) => (
              <KeyButton
                key={why}
                className="small"
                onPress={() => void run(saveNone, { chamber: chamber.id, why })}
              >
                {capital(why)}
              </KeyButton>
            ))}
          </>
        ) : (
          !done && (
            <>
              <KeyButton
                className="small"
                label={`${capital(NONE[0])}: ${chamber.name}`}
                onPress={() => void run(saveNone, { chamber: chamber.id, why: NONE[0] })}
              >
                New, ready greased
              </KeyButton>
              <KeyButton
                className="small"
                label={`No lubricant here: ${chamber.name}`}
                onPress={() => void run(saveNone, { chamber: chamber.id, why: SAID })}
              >
                None here
              </KeyButton>
            </>
          )
        )}
      </div>
    </section>
  );
}
