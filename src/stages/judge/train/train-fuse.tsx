"use client";

import { useState } from "react";
import { Fault } from "@/core/fault";
import { measured } from "@/core/quantity/measured";
import { findFuse, mayBreak } from "@/core/train/fuse";
import { MATERIALS } from "@/core/train/materials";
import {
  countedTrain,
  isSmooth,
  type Mesh,
  type TrainInput,
  type TrainWheel,
  wheelsOf,
} from "@/core/train/train";
import { SavedField } from "../../saving/saved-field";
import { TrainClutches } from "./train-clutches";
import type { ChangeTrain } from "./train-part";

type Role = TrainWheel["role"];
interface GearSpec {
  readonly moduleMm?: number;
  readonly faceWidthMm?: number;
  readonly price?: number;
  readonly material?: string;
}
const keyOf = (w: Pick<TrainWheel, "mesh" | "role">): string => `${w.mesh}|${w.role}`;
const specOf = (m: Mesh, role: Role): GearSpec =>
  m.kind === "planetary"
    ? role === "sun"
      ? m.sun
      : role === "ring"
        ? m.ring
        : (m.planet ?? {})
    : isSmooth(m)
      ? {}
      : role === "driver"
        ? m.driver
        : m.driven;

/**
 * Which gear breaks first at motor stall, by design, and what breaks next if it is swapped for another
 * material.
 */
export function TrainFuse({
  train,
  change,
  light,
}: {
  train: TrainInput;
  change: ChangeTrain;
  light: (at: string | undefined) => void;
}) {
  const [swapped, setSwapped] = useState("");
  const [material, setMaterial] = useState("steel");
  const stall = train.input.stallTorqueNm;
  const wheels = train.meshes
    .filter((m) => m.kind !== "belt" && m.kind !== "chain" && !isSmooth(m))
    .flatMap((m) => wheelsOf(m).map((w) => ({ mesh: m, wheel: w })));
  const [mesh, role] = swapped.split("|") as [string, Role | undefined];
  const answer = ((): ReturnType<typeof findFuse> | string => {
    try {
      return findFuse({ train: countedTrain(train), ...(role ? { swap: { mesh, role, material } } : {}) });
    } catch (e) {
      if (e instanceof Fault) return e.says;
      throw e;
    }
  })();
  const put = (m: Mesh, r: Role, fields: object) =>
    change((t) => ({
      ...t,
      meshes: t.meshes.map((x) =>
        x.id === m.id ? ({ ...x, [r]: { ...specOf(x, r), ...fields } } as Mesh) : x,
      ),
    }));
  const number = (text: string): number | undefined =>
    text.trim() ? Number(text.replace(",", ".")) : undefined;
  return (
    <>
      <div className="grid grid-cols-[190px_minmax(0,1fr)] items-end gap-3">
        <SavedField
          label="Stall torque, N m"
          name="train-stall"
          value={stall === undefined ? "" : String(measured(stall, 0).value)}
          figure
          save={(t) => change((now) => ({ ...now, input: { ...now.input, stallTorqueNm: number(t) } }))}
        />
        <p className="hush text-[17px] leading-tight">
          Off the plate or the data sheet; where there is none, five to eight times the rated torque, P/(2π
          n).
        </p>
      </div>
      <TrainClutches train={train} change={change} />
      {typeof answer === "string" ? (
        <p className="says danger first-letter:uppercase">{answer}.</p>
      ) : (
        <>
          <p className="says measured text-[21px] first-letter:uppercase" role="status" aria-label="Fuse">
            {answer.says}
          </p>
          <ol aria-label="Root stress as a share of strength">
            {answer.gears.map((g, i) => (
              <li
                key={keyOf(g.wheel)}
                className="grid grid-cols-[minmax(0,1fr)_120px_150px] items-center gap-2 border-b-2 border-base-300 py-0.5 text-[19px]"
                onPointerEnter={() => light(g.wheel.mesh)}
                onPointerLeave={() => light(undefined)}
              >
                <span>
                  {i === 0 && mayBreak(g) && <b className="text-error">▲ </b>}
                  {g.wheel.says} on {g.wheel.shaft}
                </span>
                <span className="h-[15px] bg-base-200" aria-hidden="true">
                  <span
                    className={`block h-full ${i === 0 && mayBreak(g) ? "bg-error" : "bg-base-content"}`}
                    style={{ width: `${Math.min(100, g.share * 100)}%` }}
                  />
                </span>
                <span className="figures text-right">
                  {Math.round(g.share * 100)} % <small>{Math.round(g.stressMPa)} MPa</small>
                </span>
              </li>
            ))}
          </ol>
          <div className="grid grid-cols-2 gap-2">
            <select
              aria-label="Swap which gear"
              className="field"
              value={swapped}
              onChange={(e) => setSwapped(e.target.value)}
            >
              <option value="">swap a gear for another material …</option>
              {answer.gears.map((g) => (
                <option key={keyOf(g.wheel)} value={keyOf(g.wheel)}>
                  {g.wheel.says} on {g.wheel.shaft}
                </option>
              ))}
            </select>
            <select
              aria-label="For which material"
              className="field"
              value={material}
              onChange={(e) => setMaterial(e.target.value)}
            >
              {MATERIALS.map((m) => (
                <option key={m.material} value={m.material}>
                  {m.says}
                </option>
              ))}
            </select>
          </div>
          {answer.swapped && (
            <p
              role="status"
              aria-label="After the swap"
              className={`says ${answer.swapped.warning ? "danger" : "good"}`}
            >
              {answer.swapped.says} {answer.swapped.warning && <b>▲ {answer.swapped.warning}</b>}
            </p>
          )}
        </>
      )}
      {wheels.map(({ mesh: m, wheel: w }) => {
        const spec = specOf(m, w.role);
        const field = (label: string, name: "moduleMm" | "faceWidthMm" | "price") => (
          <SavedField
            label={label}
            name={`${keyOf(w)}-${name}`}
            value={spec[name] === undefined ? "" : String(spec[name])}
            figure
            save={(t) => put(m, w.role, { [name]: number(t) })}
          />
        );
        return (
          <fieldset
            key={keyOf(w)}
            className="grid grid-cols-[minmax(0,1fr)_84px_84px_84px] items-end gap-2 border-t-4 border-base-content bg-base-200 px-2.5 pb-1.5"
          >
            <div>
              <span className="text-[18px] font-semibold">
                {w.says}, {w.shaft}
              </span>
              <select
                aria-label={`Material of the ${w.says} on ${w.shaft}`}
                className="field !bg-base-100"
                value={spec.material ?? ""}
                onChange={(e) => void put(m, w.role, { material: e.target.value || undefined })}
              >
                <option value="">material?</option>
                {MATERIALS.map((x) => (
                  <option key={x.material} value={x.material}>
                    {x.says}
                  </option>
                ))}
              </select>
            </div>
            {field("module", "moduleMm")}
            {field("face, mm", "faceWidthMm")}
            {field("costs", "price")}
          </fieldset>
        );
      })}
      <p className="hush text-[17px]">
        Root stress after Lewis, one tooth carrying all, nothing turning; strengths are those of usual grades,
        so compare, do not add decimals.
      </p>
    </>
  );
}
