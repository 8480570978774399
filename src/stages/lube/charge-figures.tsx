"use client";

import type { Chamber } from "@/core/job/chamber";
import type { ActionResult } from "../saving/act";
import { Figure } from "./figure";

/** What tells how much a chamber takes; null takes it away. */
interface Charge {
  readonly makersGrams?: number | null;
  readonly makersSpread?: [number, number] | null;
  readonly volume?: Extract<Chamber["volume"], { by: "filling" }> | null;
  readonly oldGrams?: number | null;
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
    hint={chamber.makersSpread ? `${chamber.makersSpread.join(" to ")} g` : undefined}
    value={chamber.makersGrams}
    save={(makersGrams, typed) =>
      save({ makersGrams, makersSpread: typed?.spread ? [...typed.spread] : null })
    }
  />
);

export const FilledFigure = ({ chamber, at, save }: ChargeFigureProps) => (
  <Figure
    label="Filled"
    of="volume"
    name={`${at}-ml-${chamber.id}`}
    value={chamber.volume?.by === "filling" ? chamber.volume.ml : undefined}
    save={(ml) => save({ volume: ml === null ? null : { by: "filling", ml } })}
  />
);

export const CameOutFigure = ({ chamber, at, save }: ChargeFigureProps) => (
  <Figure
    label="Came out of it"
    of="mass"
    name={`${at}-old-${chamber.id}`}
    value={chamber.oldGrams}
    save={(oldGrams) => save({ oldGrams })}
  />
);
