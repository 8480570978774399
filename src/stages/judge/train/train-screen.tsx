"use client";

import { useEffect, useMemo, useState } from "react";
import { solveTrain } from "@/core/train/solve";
import { countedTrain, type TrainInput } from "@/core/train/train";
import { KeyButton } from "@/ui/key-button";
import { TrainDiagram } from "@/ui/train-diagram";
import { BuiltOn } from "../../saving/built-on";
import { useJob } from "../../saving/job-context";
import { saveTrain } from "../actions";
import { figure } from "./in-figures";
import { TrainClick } from "./train-click";
import { TrainFuse } from "./train-fuse";
import { TrainMeshes } from "./train-meshes";
import type { ChangeTrain, TrainPart } from "./train-part";
import { TrainTiming } from "./train-timing";

const PLACES = [
  { place: "meshes", keyName: "M", says: "Meshes" },
  { place: "click", keyName: "C", says: "Find the click" },
  { place: "fuse", keyName: "F", says: "Fuse" },
  { place: "timing", keyName: "O", says: "One tooth off" },
] as const;
type Place = (typeof PLACES)[number]["place"];

/**
 * The train from motor to output: its diagram, speeds and rates; where a click comes from; which gear is the
 * fuse; what one tooth off makes.
 */
export function TrainScreen({
  train: kept,
  parts,
  clicks,
}: {
  train: TrainInput;
  parts: readonly TrainPart[];
  clicks: unknown;
}) {
  const { run } = useJob();
  const [place, setPlace] = useState<Place>("meshes");
  const [lit, setLit] = useState<string>();
  // what was changed here is built on at once, before the shop's answer comes back
  const [built] = useState(() => new BuiltOn(kept));
  const [shown, setShown] = useState(kept);
  useEffect(() => {
    if (built.arrived(kept)) setShown(kept);
  }, [built, kept]);
  const change: ChangeTrain = (how) =>
    built.change(how, async (next) => {
      const result = await run(saveTrain, { train: next });
      if (result.ok) setShown(next);
      return result;
    });
  const answer = useMemo(() => solveTrain(shown), [shown]);
  // without the motor's speed there are ratios, and no rates
  const told = shown.input.rpm > 0;
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_minmax(0,1fr)] gap-5">
      <section aria-label="Train" className="flex min-h-0 flex-col gap-2">
        <div className="flex min-h-[200px] flex-1 items-center border-2 border-base-content bg-base-100 p-2">
          {shown.meshes.length ? (
            <TrainDiagram train={shown} answer={answer} lit={lit} />
          ) : (
            <p className="m-auto max-w-[420px] text-center text-[24px]">
              Add the meshes from the motor on: then speeds and rates are worked out here.
            </p>
          )}
        </div>
        {answer.problems.length > 0 && (
          <ul aria-label="What is wrong with the train" className="says danger">
            {answer.problems.map((p) => (
              <li key={p.at + p.says}>▲ {p.says}</li>
            ))}
          </ul>
        )}
        <div className="max-h-[46%] overflow-y-auto">
          <table className="w-full text-[19px]">
            <thead>
              <tr className="border-b-4 border-base-content text-[17px]">
                <th className="text-left">Shaft, mesh</th>
                <th className="pl-3 text-right">speed</th>
                <th className="pl-3 text-right">for one turn of {shown.input.shaft}</th>
                <th className="text-right">rate</th>
              </tr>
            </thead>
            <tbody>
              {answer.shafts.map((s) => (
                <tr key={s.shaft} className="border-b-2 border-base-300">
                  <th scope="row" className="py-0.5 text-left font-semibold">
                    {s.shaft}
                    {s.turning && (
                      <small className="block text-[16px] leading-tight font-normal">
                        {s.turning.clockwise ? "↻ clockwise" : "↺ anticlockwise"}, {s.turning.seen}
                      </small>
                    )}
                  </th>
                  <td className="figures pl-3 text-right whitespace-nowrap">
                    {s.rpm === null || !told ? "?" : `${figure(s.rpm)} rpm`}
                  </td>
                  <td className="figures pl-3 text-right whitespace-nowrap">
                    {s.turnsPerInputTurn === null ? "?" : figure(s.turnsPerInputTurn)}
                  </td>
                  <td className="figures pl-3 text-right whitespace-nowrap">
                    {s.onceHz === null || !told ? "?" : `${figure(s.onceHz)} Hz`}
                  </td>
                </tr>
              ))}
              {answer.meshes.map((m, i) => (
                <tr key={`mesh-${m.id}`} className="border-b-2 border-base-300">
                  <th scope="row" className="hush py-0.5 text-left font-semibold">
                    mesh {i + 1}
                  </th>
                  <td className="figures pl-3 text-right whitespace-nowrap">
                    {m.ratio === null ? "" : `${figure(m.ratio)} : 1`}
                  </td>
                  <td className="text-right text-[17px]">
                    {m.sameTeethEvery ? `same teeth each ${m.sameTeethEvery.driverTurns} turns` : ""}
                  </td>
                  <td className="figures pl-3 text-right whitespace-nowrap">
                    {m.meshHz === null || !told ? (m.sameTeethEvery ? "?" : "") : `${figure(m.meshHz)} Hz`}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </section>
      <section
        aria-label={PLACES.find((p) => p.place === place)?.says}
        className="flex min-h-0 flex-col gap-2"
      >
        <div className="flex gap-2">
          {PLACES.map((p) => (
            <KeyButton
              key={p.place}
              keyName={p.keyName}
              className="small"
              pressed={place === p.place}
              onPress={() => setPlace(p.place)}
            >
              {p.says}
            </KeyButton>
          ))}
        </div>
        <div key={place} className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto pr-1">
          {place === "meshes" && (
            <TrainMeshes train={shown} answer={answer} change={change} parts={parts} light={setLit} />
          )}
          {place === "click" && <TrainClick train={countedTrain(shown)} light={setLit} kept={clicks} />}
          {place === "fuse" && <TrainFuse train={shown} change={change} light={setLit} />}
          {place === "timing" && <TrainTiming train={shown} answer={answer} light={setLit} />}
        </div>
      </section>
    </div>
  );
}
