"use client";

import { useState } from "react";
import { KeyButton } from "@/ui/key-button";
import { useClose, useKey } from "@/ui/keys";

export interface ComparedPicture {
  readonly url: string;
  readonly words: string;
}

/**
 * Two pictures side by side at one scale: what one of them is moved or enlarged by, the other is too. The
 * left one is any of `others`, the nearest first.
 */
export function ComparePictures({
  others,
  right,
  onClose,
}: {
  others: readonly ComparedPicture[];
  right: ComparedPicture;
  onClose: () => void;
}) {
  const [which, setWhich] = useState(0);
  useClose(onClose);
  const left = others[which] as ComparedPicture;
  const [zoom, setZoom] = useState(1);
  const [at, setAt] = useState<readonly [number, number]>([50, 50]);
  const larger = (): void => setZoom((z) => Math.min(8, z * 1.25));
  const smaller = (): void => setZoom((z) => Math.max(1, z / 1.25));
  const move = (dx: number, dy: number): void =>
    setAt(([x, y]) => [Math.min(100, Math.max(0, x + dx)), Math.min(100, Math.max(0, y + dy))]);
  useKey("ArrowLeft", () => move(-8, 0));
  useKey("ArrowRight", () => move(8, 0));
  useKey("ArrowUp", () => move(0, -8));
  useKey("ArrowDown", () => move(0, 8));
  return (
    <section
      aria-label="Side by side"
      className="fixed inset-x-0 top-[110px] bottom-[212px] z-20 flex flex-col gap-2 bg-base-100 p-3"
    >
      <div className="grid min-h-0 flex-1 grid-cols-2 gap-3">
        {[left, right].map((p) => (
          <figure
            key={p.url}
            className="flex min-h-0 flex-col overflow-hidden border-2 border-base-content bg-[#10201f]"
          >
            <div className="min-h-0 flex-1 overflow-hidden">
              {/* biome-ignore lint/performance/noImgElement: pictures come from the shop's own folder */}
              <img
                src={p.url}
                alt={p.words}
                className="h-full w-full object-contain"
                style={{ transform: `scale(${zoom})`, transformOrigin: `${at[0]}% ${at[1]}%` }}
              />
            </div>
            <figcaption className="bg-neutral px-3 py-1 text-[19px] text-neutral-content">
              {p.words}
            </figcaption>
          </figure>
        ))}
      </div>
      <div className="flex gap-1.5">
        <KeyButton keyName="+" className="small" onPress={larger}>
          Larger
        </KeyButton>
        <KeyButton keyName="-" className="small" onPress={smaller}>
          Smaller
        </KeyButton>
        <KeyButton
          keyName="["
          className="small"
          onPress={() => setWhich(Math.min(others.length - 1, which + 1))}
          disabled={which === others.length - 1}
        >
          An earlier one
        </KeyButton>
        <KeyButton
          keyName="]"
          className="small"
          onPress={() => setWhich(Math.max(0, which - 1))}
          disabled={which === 0}
        >
          A later one
        </KeyButton>
        <span className="hush self-center text-[18px]">arrow keys move both</span>
        <KeyButton keyName="X" className="small ml-auto" onPress={onClose}>
          Close
        </KeyButton>
      </div>
    </section>
  );
}
