"use client";

import { FRAME, shaftsOf, type TrainInput } from "@/core/train/train";
import { KeyButton } from "@/ui/key-button";
import { SavedField } from "../../saving/saved-field";
import type { ChangeTrain } from "./train-part";

const MOST = 10;

/** What slips, or shears, before anything breaks: on which shaft, and at how much. */
export function TrainClutches({ train, change }: { train: TrainInput; change: ChangeTrain }) {
  const shafts = [...new Set([train.input.shaft, ...train.meshes.flatMap(shaftsOf)])].filter(
    (s) => s !== FRAME,
  );
  const clutches = train.clutches ?? [];
  const put = (how: (now: readonly Clutch[]) => readonly Clutch[]) =>
    change(({ clutches: now = [], ...t }) => {
      const next = how(now);
      return next.length ? { ...t, clutches: [...next] } : t;
    });
  // the line below those that are there is where the next one is written down
  const rows: readonly (Clutch | undefined)[] = clutches.length < MOST ? [...clutches, undefined] : clutches;
  return rows.map((c, i) => (
    <div key={i} className="grid grid-cols-[190px_minmax(0,1fr)_48px] items-end gap-3">
      <SavedField
        label={i ? "Another slips at, N m" : "A clutch slips at, N m"}
        name={`train-clutch${i || ""}`}
        value={c ? String(c.slipsNm) : ""}
        figure
        save={(t) =>
          put((now) =>
            withAt(
              now,
              i,
              t.trim()
                ? { shaft: now[i]?.shaft ?? shafts[0] ?? "", slipsNm: Number(t.replace(",", ".")) }
                : undefined,
            ),
          )
        }
      />
      <select
        aria-label={`${i ? "The other clutch" : "The clutch"} is on`}
        className="field"
        value={c?.shaft ?? ""}
        disabled={!c}
        onChange={(e) =>
          void put((now) => now.map((x, k) => (k === i ? { ...x, shaft: e.target.value } : x)))
        }
      >
        {!c && <option value="">{i ? "no other" : "no clutch, shear pin or friction ring"}</option>}
        {shafts.map((s) => (
          <option key={s} value={s}>
            on {s}
          </option>
        ))}
      </select>
      {c && (
        <KeyButton
          className="small"
          label={`Take the clutch on ${c.shaft} out`}
          onPress={() => void put((now) => withAt(now, i, undefined))}
        >
          ×
        </KeyButton>
      )}
    </div>
  ));
}

type Clutch = NonNullable<TrainInput["clutches"]>[number];

/** The clutches with the i-th one put in place, or taken out. */
const withAt = (now: readonly Clutch[], i: number, by: Clutch | undefined): readonly Clutch[] => [
  ...now.slice(0, i),
  ...(by ? [by] : []),
  ...now.slice(i + 1),
];
