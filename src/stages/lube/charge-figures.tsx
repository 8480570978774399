"use client";

import { DEFAULT_DENSITY } from "@/core/grease/charge";
import type { Chamber, ChamberTyped } from "@/core/job/chamber";
import { inSpoons } from "@/core/lube/amount-says";
import type { ActionResult } from "../saving/act";
import { Figure } from "./figure";

/** What tells how much a chamber takes; null takes it away. */
interface Charge {
  readonly makersGrams?: number | null;
  readonly makersSpread?: [number, number] | null;
  readonly volume?: Extract<Chamber["volume"], { by: "filling" }> | null;
  readonly oldGrams?: number | null;
  /** as it was typed, where that says more */
  readonly typed?: ChamberTyped;
}
interface ChargeFigureProps {
  chamber: Chamber;
  /** one name a place on the screen */
  at: string;
  save: (charge: Charge) => Promise<ActionResult>;
}

export const MakersFigure = ({ chamber, at, save }: ChargeFigureProps) => (
  <Figure
    label="Maker’s figure"
    of="mass"
    name={`${at}-makers-${chamber.id}`}
    hint={
      chamber.makersGrams === undefined
        ? undefined
        : [
            ...(chamber.makersSpread ? [`${chamber.makersSpread.join(" to ")} g`] : []),
            `about ${inSpoons(chamber.makersGrams / DEFAULT_DENSITY)}`,
          ].join(", ")
    }
    value={chamber.makersGrams}
    typed={chamber.typed?.makersGrams}
    keepsWords
    save={(makersGrams, read, words) =>
      save({
        makersGrams,
        makersSpread: read?.spread ? [...read.spread] : null,
        typed: { makersGrams: words },
      })
    }
  />
);

export const FilledFigure = ({ chamber, at, save }: ChargeFigureProps) => (
  <Figure
    label="Filled"
    of="volume"
    name={`${at}-ml-${chamber.id}`}
    value={chamber.volume?.by === "filling" ? chamber.volume.ml : undefined}
    typed={chamber.volume?.by === "filling" ? chamber.typed?.volume : undefined}
    keepsWords
    save={(ml, _, volume) => save({ volume: ml === null ? null : { by: "filling", ml }, typed: { volume } })}
  />
);

export const CameOutFigure = ({ chamber, at, save }: ChargeFigureProps) => (
  <Figure
    label="Came out of it"
    of="mass"
    name={`${at}-old-${chamber.id}`}
    value={chamber.oldGrams}
    typed={chamber.typed?.oldGrams}
    keepsWords
    save={(oldGrams, _, words) => save({ oldGrams, typed: { oldGrams: words } })}
  />
);
