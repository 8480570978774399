"use client";

import { useState } from "react";
import { POINT_KIND_NAMES, pointKind } from "@/core/grease/point-kinds";
import type { Chamber } from "@/core/job/chamber";
import { isAmountOpen } from "@/core/lube/amount-open";
import { amountSays } from "@/core/lube/amount-says";
import { LEAST_WEIGHED_G } from "@/core/lube/slips";
import { GRAMS_PER_OUNCE } from "@/core/quantity/units";
import { capital } from "@/core/sentence";
import { Choose } from "@/ui/choose";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { Readout } from "@/ui/readout";
import { useRestLater } from "@/ui/use-rest-later";
import { useJob } from "../saving/job-context";
import { SavedField } from "../saving/saved-field";
import { useFieldFault } from "../saving/use-field-fault";
import { movePoint, savePoint, takePointOff, weigh } from "./actions";
import { GramsField } from "./grams-field";
import { HowMuch } from "./how-much";
import type { ChamberView, LubeView, PointView } from "./lube-view";
import { WeighIn } from "./weigh-in";

const FITTING: readonly (readonly [string, string])[] = [
  ["before-fit", "before its part is fitted"],
  ["after-fit", "after its part is fitted"],
];

/**
 * How much in all, and each point: how much, how, when at the latest, and what went in. Without a chamber the
 * points of all.
 */
export function Points({
  view,
  shown,
  main,
}: {
  view: Omit<LubeView, "frame">;
  shown: ChamberView | undefined;
  main: string | undefined;
}) {
  const points = shown ? shown.points : [...view.chambers.flatMap((c) => c.points), ...view.loose];
  const drawn = useRestLater(points.length);
  const answer = shown?.chamber.lubricant ? shown.plan?.answer : undefined;
  const amountOf = (g: PointView): string => {
    const l = view.shelf.find((x) => x.id === g.lubricantId);
    return g.lubricant === undefined || g.grams === undefined
      ? ""
      : amountSays(g.grams, {
          oil: l?.sort === "oil",
          densityGPerMl: l?.densityGPerMl,
          gunGramsPerStroke: view.gunGramsPerStroke,
        });
  };
  const chamberOf = (g: PointView): Chamber | undefined =>
    (shown ?? view.chambers.find((c) => c.points.includes(g)))?.chamber;
  const total = points.reduce((s, g) => s + (g.grams ?? 0), 0);
  const weighed = points.filter((g) => g.weighedGrams !== undefined);
  // once it is in, what went in is the figure, beside what is asked for
  const isIn =
    weighed.length > 0 &&
    points.every((g) => g.weighedGrams !== undefined || (g.grams ?? 0) < LEAST_WEIGHED_G);
  const amount = isIn ? weighed.reduce((s, g) => s + (g.weighedGrams ?? 0), 0) : total;
  const isOpen = shown !== undefined && points.some((g) => isAmountOpen(shown.chamber, g));
  const [least, most] = [answer?.leastGrams ?? null, answer?.mostGrams ?? null];
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto pr-1">
      <Readout
        label={shown ? `In the ${shown.chamber.name}` : "In all"}
        value={isOpen && !isIn ? "?" : amount > 0 ? amount.toFixed(1) : "–"}
        unit="g"
        measured={amount > 0 && !(isOpen && !isIn)}
        from={
          answer
            ? least === null || most === null
              ? shown?.chamber.levelPlug
                ? "up to the level plug"
                : "how much it takes is not known"
              : `${(amount / GRAMS_PER_OUNCE).toFixed(2)} oz${isIn ? " went in" : ""} · ${isIn ? "it takes " : "from "}${least.toFixed(1)} to ${most.toFixed(1)} g`
            : shown
              ? "choose the lubricant first"
              : `${points.length} points`
        }
      />
      {isOpen && !isIn && shown && <HowMuch chamber={shown.chamber} />}
      {answer?.by && !isOpen && answer.grams !== null && (
        <p className="text-[17px] leading-tight">
          <b>{answer.by.rule}:</b> {answer.by.says}
        </p>
      )}
      {points.slice(0, drawn).map((g) => (
        <Point key={g.id} point={g} chamber={chamberOf(g)} main={g.id === main} says={amountOf(g)} />
      ))}
    </div>
  );
}

function Point({
  point: g,
  chamber,
  main,
  says,
}: {
  point: PointView;
  chamber: Chamber | undefined;
  main: boolean;
  says: string;
}) {
  const { run } = useJob();
  const [open, setOpen] = useState(false);
  const fault = useFieldFault();
  const aim = g.grams ?? 0;
  const weighed = g.weighedGrams;
  // weighed in without a figure before it, it has none still
  const isUnknown = isAmountOpen(chamber, { ...g, weighedGrams: undefined });
  const drop = g.lubricant !== undefined && !isUnknown && aim < LEAST_WEIGHED_G;
  const put = (grams: number | null, sure?: true) =>
    run(weigh, { point: g.id, grams, ...(sure && { sure }) });
  const done = weighed !== undefined || drop;
  return (
    <div
      className={`border-t-4 bg-base-200 px-2 py-1.5 ${g.reach.closed ? "border-error" : done ? "border-success" : "border-base-content"}`}
    >
      <div className="flex items-baseline justify-between gap-2 text-[19px] leading-tight font-semibold">
        <span>
          {weighed === undefined ? "" : "✓ "}
          {capital(g.where || g.part || "a point")}
        </span>
        <b className="figures text-[23px] whitespace-nowrap">
          {g.lubricant === undefined
            ? "–"
            : drop
              ? says || "by the drop"
              : isUnknown
                ? weighed === undefined
                  ? "how much?"
                  : `${weighed} g`
                : `${weighed === undefined ? "" : `${weighed} of `}${aim.toFixed(1)} g`}
        </b>
      </div>
      <p className="text-[17px] leading-tight">
        {g.kindSays}
        {g.lubricant && `, ${g.lubricant}`}
        {!drop && says && `, ${says}`}
        {g.how && `: ${g.how}`}
      </p>
      <p className={`text-[17px] leading-tight ${g.reach.closed ? "font-semibold text-error" : "hush"}`}>
        {g.reach.closed
          ? `Closed: ${g.reach.closed}`
          : `${g.reach.line === undefined ? "in no plan" : `Line ${g.reach.line}`}${g.reach.last ? `, at the latest before line ${g.reach.last.line}: ${g.reach.last.says}` : ", open to the end"}`}
      </p>
      {!drop && g.lubricant && (
        <div className="grid grid-cols-[1fr_auto] gap-x-2">
          <div className="min-w-0">
            {isUnknown ? (
              <GramsField label="Weighed in" name={`weigh-${g.id}`} value={weighed} save={put} />
            ) : (
              <WeighIn
                point={g.id}
                where={g.where ?? "a point"}
                aim={aim}
                weighed={weighed}
                main={main}
                put={put}
              />
            )}
          </div>
          <KeyButton
            onPress={() => setOpen(!open)}
            pressed={open}
            label={`When and how much: ${g.where ?? "a point"}`}
            className="!px-3 self-end"
          >
            …
          </KeyButton>
        </div>
      )}
      {(drop || !g.lubricant) && (
        <KeyButton
          className="small mt-1"
          onPress={() => setOpen(!open)}
          pressed={open}
          label={`When and how much: ${g.where ?? "a point"}`}
        >
          When, how much …
        </KeyButton>
      )}
      {open && (
        <div className="mt-1 flex flex-col gap-1.5">
          {g.moments.length > 0 && (
            <Choose
              label="When"
              options={[...(g.onPartOff ? FITTING : []), ...g.moments.map((m) => [m.step, m.says] as const)]}
              value={g.before ?? g.when}
              onChoose={(before) => before && void run(movePoint, { point: g.id, before }).then(fault.took)}
            />
          )}
          <Choose
            label="What kind of place"
            options={POINT_KIND_NAMES.map((k) => [k, pointKind(k).says] as const)}
            value={g.kind}
            onChoose={(kind) =>
              kind && void run(savePoint, { point: g.id, facts: { kind } }).then(fault.took)
            }
          />
          <FaultLine says={fault.elsewhere("grams")} />
          <div className="grid grid-cols-2 gap-2">
            <GramsField
              label="Own amount"
              hint={g.gramsSaid ? "said; empty: worked out" : "empty: worked out"}
              name={`grams-${g.id}`}
              value={g.gramsSaid ? g.grams : undefined}
              save={(grams, sure) => run(savePoint, { point: g.id, facts: { grams, ...(sure && { sure }) } })}
            />
            <SavedField
              label="Not from the shelf"
              hint={g.lubricantSaid ? "named by hand" : "empty: the chamber’s"}
              name={`lubricant-${g.id}`}
              value={g.lubricantSaid ? (g.lubricant ?? "") : ""}
              save={(t) => run(savePoint, { point: g.id, facts: { lubricant: t.trim() || null } })}
            />
            <SavedField
              label="How"
              className="col-span-2"
              name={`how-${g.id}`}
              value={g.how ?? ""}
              save={(how) => run(savePoint, { point: g.id, facts: { how } })}
            />
          </div>
          <div className="flex gap-1.5">
            <KeyButton
              className="small"
              pressed={g.load === "shock"}
              onPress={() =>
                void run(savePoint, { point: g.id, facts: { load: g.load === "shock" ? "usual" : "shock" } })
              }
            >
              Blows
            </KeyButton>
            <KeyButton className="small" onPress={() => void run(takePointOff, { point: g.id })}>
              Take off
            </KeyButton>
          </div>
        </div>
      )}
    </div>
  );
}
