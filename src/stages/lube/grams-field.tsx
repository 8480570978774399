"use client";

import { useState } from "react";
import { KeyButton } from "@/ui/key-button";
import type { ActionResult } from "../saving/act";
import { Figure, type FigureProps } from "./figure";
import { MEANT } from "./meant";

export interface GramsFieldProps extends Omit<FigureProps, "save" | "of"> {
  /** `sure`: it is meant, although it seems a slip */
  save: (grams: number | null, sure?: true) => Promise<ActionResult>;
}

/** A weight: one that seems a slip is asked about, and taken once somebody says that it is meant. */
export function GramsField({ save, ...field }: GramsFieldProps) {
  const [asked, setAsked] = useState<number>();
  return (
    <>
      <Figure
        {...field}
        of="mass"
        save={async (grams) => {
          const result = await save(grams);
          setAsked(!result.ok && result.path === MEANT && grams !== null ? grams : undefined);
          return result;
        }}
      />
      {asked !== undefined && (
        <KeyButton
          className="small mt-1"
          look="warn"
          onPress={() =>
            void save(asked, true).then((r) => {
              if (r.ok) setAsked(undefined);
            })
          }
        >
          {asked} g is meant
        </KeyButton>
      )}
    </>
  );
}
