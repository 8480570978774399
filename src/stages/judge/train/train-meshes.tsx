"use client";

import type { TrainAnswer } from "@/core/train/solve";
import type { TrainInput } from "@/core/train/train";
import { KeyButton } from "@/ui/key-button";
import { SmallChoice } from "@/ui/small-choice";
import { SavedField } from "../../saving/saved-field";
import { nextNumber, renamed } from "./change-mesh";
import { MeshRow } from "./mesh-row";
import type { ChangeTrain, TrainPart } from "./train-part";

/** The meshes from the motor on, each a few fields; what is typed is drawn at once. */
export function TrainMeshes({
  train,
  answer,
  change,
  parts,
  light,
}: {
  train: TrainInput;
  answer: TrainAnswer;
  change: ChangeTrain;
  parts: readonly TrainPart[];
  light: (at: string | undefined) => void;
}) {
  const setInput = (fields: Partial<TrainInput["input"]>) =>
    change((t) => ({ ...t, input: { ...t.input, ...fields } }));
  const add = (): void => {
    void change((t) => {
      const last = t.meshes.at(-1);
      const from = last
        ? last.kind === "planetary"
          ? last.carrier.shaft
          : last.driven.shaft
        : t.input.shaft;
      const n = nextNumber(t);
      return {
        ...t,
        meshes: [
          ...t.meshes,
          {
            id: `m${n}`,
            assumed: true,
            kind: "spur",
            driver: { shaft: from, teeth: 12 },
            driven: { shaft: `shaft ${n + 1}`, teeth: 36 },
          },
        ],
      };
    });
  };
  return (
    <>
      <div className="grid grid-cols-[minmax(0,1fr)_150px_auto] gap-2">
        <SavedField
          label="Driven by, shaft"
          name="train-input"
          value={train.input.shaft}
          save={(t) => change((now) => renamed(now, now.input.shaft, t.trim()))}
        />
        <SavedField
          label="Its speed, rpm"
          name="train-rpm"
          value={train.input.rpm ? String(train.input.rpm) : ""}
          figure
          save={(t) => setInput({ rpm: t.trim() ? Number(t.replace(",", ".")) : 0 })}
        />
        <fieldset>
          <legend className="sr-only">Seen from its free end, {train.input.shaft} turns</legend>
          <span className="words" aria-hidden="true">
            Turns, from its free end
          </span>
          <div className="flex gap-1.5">
            {(["clockwise", "anticlockwise"] as const).map((way) => (
              <SmallChoice
                key={way}
                label={way}
                pressed={train.input.turns === way}
                onPress={() => void setInput({ turns: train.input.turns === way ? undefined : way })}
              >
                <span className="text-[24px]">{way === "clockwise" ? "↻" : "↺"}</span>
              </SmallChoice>
            ))}
          </div>
        </fieldset>
      </div>
      {train.meshes.map((m, i) => (
        <MeshRow
          key={m.id}
          mesh={m}
          n={i + 1}
          belt={answer.meshes[i]?.belt}
          change={change}
          parts={parts}
          light={light}
        />
      ))}
      <KeyButton
        keyName="A"
        look={train.meshes.length ? "plain" : "main"}
        onPress={add}
        className="justify-center"
      >
        Add a mesh
      </KeyButton>
    </>
  );
}
