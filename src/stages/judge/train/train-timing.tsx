"use client";

import { useState } from "react";
import type { TrainAnswer } from "@/core/train/solve";
import type { TrainInput } from "@/core/train/train";

/** What one tooth off at a mesh makes at every shaft, in degrees. */
export function TrainTiming({
  train,
  answer,
  light,
}: {
  train: TrainInput;
  answer: TrainAnswer;
  light: (at: string | undefined) => void;
}) {
  const [picked, setPicked] = useState<string>();
  const timed = answer.meshes
    .map((m, i) => ({ ...m, n: i + 1 }))
    .filter((m) => m.sameTeethEvery || m.oneToothOff.length);
  const mesh = timed.find((m) => m.id === picked) ?? timed[0];
  if (!mesh)
    return (
      <p className="says">
        {answer.meshes.length
          ? "Nothing here has teeth: what turns by friction cannot be a tooth out."
          : "Add the meshes first."}
      </p>
    );
  return (
    <>
      <label className="words" htmlFor="mesh-off">
        One tooth off at
      </label>
      <select
        id="mesh-off"
        className="field"
        value={mesh.id}
        onChange={(e) => {
          setPicked(e.target.value);
          light(e.target.value);
        }}
      >
        {timed.map((m) => (
          <option key={m.id} value={m.id}>
            mesh {m.n}
          </option>
        ))}
      </select>
      <table className="w-full text-[21px]">
        <tbody>
          {mesh.oneToothOff.map((o) => (
            <tr key={o.shaft} className="border-b-2 border-base-300">
              <th scope="row" className="py-1.5 text-left font-semibold">
                {o.shaft}
              </th>
              <td className="figures text-right text-[28px]">{o.degrees.toFixed(o.degrees < 10 ? 2 : 1)}°</td>
              <td className="hush w-[44%] pl-4 text-[18px]">
                {o.degrees >= 360
                  ? "more than a whole turn"
                  : o.degrees < 3
                    ? "hard to see: trust the marks"
                    : "visible by eye"}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {mesh.sameTeethEvery && (
        <p className="says">
          Marks on two teeth of mesh {mesh.n} meet again after {mesh.sameTeethEvery.driverTurns} turns of{" "}
          {train.meshes
            .filter((m) => m.id === mesh.id)
            .map((m) => (m.kind === "planetary" ? `${m.sun.shaft} against the carrier` : m.driver.shaft))}
          : turn that far before calling the marks wrong.
        </p>
      )}
    </>
  );
}
