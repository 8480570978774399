"use client";

import { pictureUrl } from "@/ui/picture-frame";
import type { LooseItem } from "./hand-back-view";

/** What came with the unit, each with its picture, to be ticked as it goes back. */
export function LooseItems({
  items,
  ticked,
  onTick,
}: {
  items: readonly LooseItem[];
  ticked: readonly string[];
  onTick: (ticked: string[]) => void;
}) {
  return (
    <ul aria-label="Came with it" className="grid grid-cols-2 gap-2">
      {items.map(({ name, picture }) => {
        const isBack = ticked.includes(name);
        return (
          <li key={name}>
            <button
              type="button"
              aria-pressed={isBack}
              className={`flex min-h-[64px] w-full items-center gap-3 border-2 p-1 text-left text-[21px] ${isBack ? "border-success" : "border-base-content"}`}
              onClick={() => onTick(isBack ? ticked.filter((t) => t !== name) : [...ticked, name])}
            >
              {picture && (
                // biome-ignore lint/performance/noImgElement: pictures come from the shop's own folder
                <img src={pictureUrl(picture, true)} alt="" className="h-[64px] w-[86px] object-cover" />
              )}
              <span className={`w-6 text-[24px] ${isBack ? "text-success" : ""}`} aria-hidden="true">
                {isBack ? "✓" : "○"}
              </span>
              {name}
            </button>
          </li>
        );
      })}
    </ul>
  );
}
