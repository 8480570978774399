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
  /** null: nothing is said any more */
  save: (value: number | null, figure: TypedFigure | null) => Promise<ActionResult>;
  ground?: FigureGround | undefined;
  hint?: string | undefined;
  keyName?: string;
}

/** As fine as a bench scale or a caliper reads. */
const hundredths = (n: number): number => Math.round(n * 100) / 100;

/** A field for one figure that saves itself, in whatever unit it is typed. */
export function Figure({ value, save, of, ground, label, hint, ...field }: FigureProps) {
  const reads = (text: string): string | null => {
    const read = typedOrEmpty(text, of, ground);
    return read === null ? "" : typeof read === "string" ? null : String(hundredths(read.value));
  };
  return (
    <SavedField
      {...field}
      {...(hint !== undefined && { hint })}
      label={`${label}, ${FIGURE_UNITS[of]}`}
      figure
      reads={reads}
      value={value === undefined ? "" : String(value)}
      save={async (text) => {
        const read = typedOrEmpty(text, of, ground);
        if (typeof read === "string") return { ok: false, path: field.name, says: read };
        return save(read && hundredths(read.value), read);
      }}
    />
  );
}
