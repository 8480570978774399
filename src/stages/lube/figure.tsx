"use client";

import type { ActionResult } from "../saving/act";
import { SavedField } from "../saving/saved-field";

/** A figure as it is typed; null: the field is empty. What is no number is said by the action. */
export const figureFrom = (text: string): number | null =>
  text.trim() ? Number(text.trim().replace(",", ".")) : null;

export interface FigureProps {
  label: string;
  name: string;
  value: number | undefined;
  /** null: nothing is said any more */
  save: (value: number | null) => Promise<ActionResult>;
  hint?: string;
  keyName?: string;
}

/** A field for one figure that saves itself. */
export const Figure = ({ value, save, ...field }: FigureProps) => (
  <SavedField
    {...field}
    figure
    value={value === undefined ? "" : String(value)}
    save={(text) => save(figureFrom(text))}
  />
);
