"use client";

import { useEffect, useRef } from "react";
import { type FacePlane, type Picture, type RingReading, toPicture } from "@/core/photo/index";
import { isGone, numbered, type ToothSays } from "./photo-overlay";

const HEIGHT = 96;

/** Draws the ring unrolled: tips up, the first tooth at the left, each tooth as wide as every other. */
function draw(canvas: HTMLCanvasElement, picture: Picture, plane: FacePlane, ring: RingReading): void {
  const width = canvas.width;
  const out = new ImageData(width, HEIGHT);
  const depth = 1 - ring.slots.rootShare;
  const first = ring.slots.slots[0]?.angle ?? 0;
  for (let y = 0; y < HEIGHT; y++) {
    const r = 1 + depth * (0.55 - (2.1 * y) / HEIGHT);
    for (let x = 0; x < width; x++) {
      const angle = first + ((x / width) * ring.teeth - 0.5) * ((2 * Math.PI) / ring.teeth);
      const [u, v] = toPicture(plane, [r * Math.cos(angle), r * Math.sin(angle)]);
      const [px, py] = [Math.floor(u), Math.floor(v)];
      const to = (y * width + x) * 4;
      if (px < 0 || py < 0 || px >= picture.width || py >= picture.height) {
        out.data[to + 3] = 0;
        continue;
      }
      const from = (py * picture.width + px) * 4;
      out.data[to] = picture.data[from] as number;
      out.data[to + 1] = picture.data[from + 1] as number;
      out.data[to + 2] = picture.data[from + 2] as number;
      out.data[to + 3] = 255;
    }
  }
  canvas.getContext("2d")?.putImageData(out, 0, 0);
}

/**
 * The ring along a straight line, so that an eye can check the count; pressing a place says whether a tooth
 * stands there.
 */
export function PhotoStrip({
  picture,
  plane,
  ring,
  says,
  chosen,
  onTooth,
}: {
  picture: Picture;
  plane: FacePlane;
  ring: RingReading;
  says: ToothSays;
  chosen: number;
  onTooth: (slot: number) => void;
}) {
  const canvas = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    if (canvas.current) draw(canvas.current, picture, plane, ring);
  }, [picture, plane, ring]);
  const n = ring.teeth;
  return (
    <section aria-label="The ring unrolled" className="relative border-2 border-base-content bg-neutral">
      <canvas ref={canvas} width={1216} height={HEIGHT} className="block h-[96px] w-full" />
      <div className="flex h-[48px]">
        {ring.slots.slots.map((t, i) => {
          const gone = isGone(ring, says, i);
          const hidden = t.state === "hidden" && says[i] === undefined;
          return (
            <button
              key={t.angle}
              type="button"
              tabIndex={-1}
              aria-label={`Place ${i + 1}: ${gone ? "tooth missing" : hidden ? "hidden, taken as there" : "tooth there"}`}
              aria-pressed={gone}
              onClick={(e) => {
                // Space stays the main action's
                e.currentTarget.blur();
                onTooth(i);
              }}
              className={`figures relative h-full min-w-0 flex-1 overflow-visible text-center leading-none ${n <= 48 ? "text-[17px]" : "text-[15px]"} ${gone ? "bg-error text-error-content" : i === chosen ? "bg-accent text-accent-content" : "text-neutral-content"}`}
            >
              {numbered(i, n) || (gone && n <= 70) ? (
                <span className="absolute inset-x-[-12px] top-[6px]">{i + 1}</span>
              ) : (
                <span className="absolute inset-x-0 top-[6px]">·</span>
              )}
              <span className="absolute inset-x-[-12px] bottom-[6px] text-[16px]">
                {gone ? "×" : hidden ? "?" : ""}
              </span>
            </button>
          );
        })}
      </div>
    </section>
  );
}
