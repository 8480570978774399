"use client";

import { useState } from "react";
import { DEFAULT_DENSITY } from "@/core/grease/charge";
import { POINT_KIND_NAMES, pointKind } from "@/core/grease/point-kinds";
import type { Chamber } from "@/core/job/chamber";
import { isAmountOpen } from "@/core/lube/amount-open";
import { amountSays } from "@/core/lube/amount-says";
import { LEAST_WEIGHED_G } from "@/core/lube/slips";
import { capital } from "@/core/sentence";
import { Choose } from "@/ui/choose";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { useRestLater } from "@/ui/use-rest-later";
import { useJob } from "../saving/job-context";
import { SavedField } from "../saving/saved-field";
import { useFieldFault } from "../saving/use-field-fault";
import { movePoint, savePoint, takePointOff, weigh } from "./actions";
import { GramsField } from "./grams-field";
import type { ChamberView, LubeView, PointView } from "./lube-view";
import { WeighIn } from "./weigh-in";

const FITTING: readonly (readonly [string, string])[] = [
  ["before-fit", "before its part is fitted"],
  ["after-fit", "after its part is fitted"],
];

/** Each point of a chamber: how much, how, when at the latest, and what went in. */
export function Points({
  view,
  shown,
  main,
  toAdd,
}: {
  view: Omit<LubeView, "frame">;
  shown: ChamberView;
  main: string | undefined;
  toAdd: () => void;
}) {
  const points = [...shown.points, ...view.loose];
  const drawn = useRestLater(points.length);
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
  return (
    <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto pr-1">
      {points.slice(0, drawn).map((g) => (
        <Point
          key={g.id}
          point={g}
          chamber={shown.points.includes(g) ? shown.chamber : undefined}
          lubricant={view.shelf.find((x) => x.id === g.lubricantId)}
          gunGramsPerStroke={view.gunGramsPerStroke}
          main={g.id === main}
          says={amountOf(g)}
        />
      ))}
      <KeyButton keyName="D" className="small self-start" onPress={toAdd}>
        Add a point, or what stays dry
      </KeyButton>
    </div>
  );
}

function Point({
  point: g,
  chamber,
  lubricant,
  gunGramsPerStroke,
  main,
  says,
}: {
  point: PointView;
  chamber: Chamber | undefined;
  lubricant: LubeView["shelf"][number] | undefined;
  gunGramsPerStroke: number;
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
  // an oil is measured in, a grease weighed
  const label = lubricant?.sort === "oil" ? "Filled in" : "Weighed in";
  const ground = { densityGPerMl: lubricant?.densityGPerMl ?? DEFAULT_DENSITY, gunGramsPerStroke };
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
              ? says || "not said"
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
              <GramsField label={label} ground={ground} name={`weigh-${g.id}`} value={weighed} save={put} />
            ) : (
              <WeighIn
                point={g.id}
                where={g.where ?? "a point"}
                aim={aim}
                weighed={weighed}
                main={main}
                label={label}
                ground={ground}
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
              ground={ground}
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
