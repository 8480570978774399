"use client";

import type { ReactNode } from "react";
import { letGo } from "./let-go";

/**
 * A row of a list that is picked from: the one that is shown beside it stands out. What it says takes care of
 * its own size.
 */
export function PickRow({ on, onPick, children }: { on: boolean; onPick: () => void; children: ReactNode }) {
  return (
    <button
      type="button"
      aria-pressed={on}
      onClick={(e) => {
        letGo(e);
        onPick();
      }}
      className={`min-h-[58px] w-full border-b-2 border-base-300 px-2 py-1 text-left text-[20px] leading-tight ${on ? "bg-primary text-primary-content" : ""}`}
    >
      {children}
    </button>
  );
}
