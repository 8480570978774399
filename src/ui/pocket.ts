import type { HardwareKind } from "@/core/hardware/kinds";

/** One place on the Mat: what one step laid down. */
export interface Pocket {
  readonly step: string;
  readonly title: string;
  /** of its first picture */
  readonly thumb?: string;
  /** its first piece of hardware, which is drawn, and how many pieces there are in all */
  readonly main?: { readonly kind: HardwareKind; readonly drive?: string } | undefined;
  readonly pieces?: number;
  /** some of them were never counted */
  readonly uncounted?: boolean;
  /** kind of its first part: what is drawn where there is no picture */
  readonly partKind?: string;
  /** it has a front */
  readonly facing?: boolean;
  readonly bundle?: string;
  /** indices of the pockets it needed; left out: the one before it */
  readonly needs?: readonly number[];
  /** what lies in it must stay dry when the unit is lubricated */
  readonly dry?: boolean;
  /** it is a note: nothing of it lies anywhere */
  readonly isNote?: true;
  readonly emptied?: boolean;
  readonly lookAlike?: string;
  /** laid down at this screen; the shop has not said yet that it has it */
  readonly onItsWay?: boolean;
}

/** Indices of the pockets that a pocket needed. */
export const needsOfPocket = (pockets: readonly Pocket[], i: number): readonly number[] =>
  pockets[i]?.needs ?? (i === 0 ? [] : [i - 1]);
