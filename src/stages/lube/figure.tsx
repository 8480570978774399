"use client";

import {
  FIGURE_UNITS,
  type FigureGround,
  type FigureOf,
  type TypedFigure,
  typedOrEmpty,
} from "@/core/quantity/typed-figure";
import type { ActionResult } from "../saving/act";
import { SavedField } from "../saving/saved-field";

export interface FigureProps {
  /** without its unit, which follows from what it is of */
  label: string;
  of: FigureOf;
  name: string;
  value: number | undefined;
  /** as it was typed, where the job keeps that beside the value: "4 oz" */
  typed?: string | undefined;
  /** null: nothing is said any more; `typed`: the words, where they say more than the value */
  save: (value: number | null, figure: TypedFigure | null, typed?: string) => Promise<ActionResult>;
  /** the job keeps the words that were typed */
  keepsWords?: boolean;
  ground?: FigureGround | undefined;
  hint?: string | undefined;
  keyName?: string;
}

/** As fine as a bench scale or a caliper reads. */
const hundredths = (n: number): number => Math.round(n * 100) / 100;

/** A field for one figure that saves itself, in whatever unit it is typed. */
export function Figure({
  value,
  typed,
  save,
  of,
  ground,
  label,
  hint,
  keepsWords = false,
  ...field
}: FigureProps) {
  const reads = (text: string): string | null => {
    const read = typedOrEmpty(text, of, ground);
    if (read === null) return "";
    if (typeof read === "string") return null;
    return keepsWords ? text.trim() : String(hundredths(read.value));
  };
  const plain = value === undefined ? "" : String(value);
  const isOther = keepsWords && typed !== undefined && typed !== plain && value !== undefined;
  return (
    <SavedField
      {...field}
      {...((hint ?? isOther) && { hint: hint ?? `${plain} ${FIGURE_UNITS[of]}` })}
      label={`${label}, ${FIGURE_UNITS[of]}`}
      figure
      reads={reads}
      value={isOther ? typed : plain}
      save={async (text) => {
        const read = typedOrEmpty(text, of, ground);
        if (typeof read === "string") return { ok: false, path: field.name, says: read };
        const own = read && hundredths(read.value);
        return save(own, read, own === null || text.trim() === String(own) ? undefined : text.trim());
      }}
    />
  );
}
