"use client";

import { Camera } from "lucide-react";
import { useRef, useState } from "react";
import { looseItemsFor } from "@/core/take-in/loose-items";
import { useKey } from "@/ui/keys";
import { pictureUrl } from "@/ui/picture-frame";
import type { ActionResult } from "../saving/act";
import type { TakeInJob } from "./take-in-view";

/**
 * What the customer brought along: a tick for each, a picture of those that are ticked, and a place to name
 * others.
 */
export function LooseItems({
  job,
  known,
  tick,
  onPicture,
}: {
  job: TakeInJob;
  /** what came along with units of this kind before, the commonest first */
  known: readonly string[];
  tick: (item: string, on: boolean) => Promise<ActionResult>;
  onPicture: (item: string) => void;
}) {
  const [other, setOther] = useState("");
  const another = useRef<HTMLInputElement>(null);
  useKey("B", () => another.current?.focus(), true, "Another loose item");
  const offered = [...new Set([...job.looseItems, ...looseItemsFor(job.kind, known)])];
  const add = (): void => {
    const item = other.trim();
    if (!item || job.looseItems.includes(item)) setOther("");
    else void tick(item, true).then((r) => r.ok && setOther(""));
  };
  return (
    <fieldset className="min-h-0 overflow-y-auto">
      <legend className="words">Loose items: tick what came along</legend>
      <ul className="flex flex-wrap gap-1.5">
        {offered.map((item) => {
          const on = job.looseItems.includes(item);
          const picture = job.pictures.find((p) => p.name === job.loosePictures[item]);
          return (
            <li key={item} className="flex">
              <button
                type="button"
                aria-pressed={on}
                className="key-button small"
                onClick={() => void tick(item, !on)}
              >
                {on ? "✓ " : ""}
                {item}
              </button>
              {on && (
                <button
                  type="button"
                  aria-label={`Picture of ${item}`}
                  className="flex min-h-[48px] min-w-[48px] items-center justify-center border-2 border-l-0 border-base-content"
                  onClick={() => onPicture(item)}
                >
                  {picture ? (
                    // biome-ignore lint/performance/noImgElement: the thumbnail is made once, at the size it is shown
                    <img src={pictureUrl(picture.sha256, true)} alt="" className="size-[44px] object-cover" />
                  ) : (
                    <Camera size={22} aria-hidden="true" />
                  )}
                </button>
              )}
            </li>
          );
        })}
        <li className="min-w-[120px] flex-1">
          <input
            className="field !min-h-[48px]"
            ref={another}
            aria-label="Another loose item"
            aria-keyshortcuts="B"
            placeholder="B  another …"
            value={other}
            onChange={(e) => setOther(e.target.value)}
            onBlur={add}
            onKeyDown={(e) => e.key === "Enter" && add()}
          />
        </li>
      </ul>
    </fieldset>
  );
}
