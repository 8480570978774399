"use client";

import type { PictureSpot } from "@/core/job/picture-spot";
import { KeyButton } from "@/ui/key-button";
import { SpotsOverlay, type Spotted } from "@/ui/spots-overlay";
import type { LubeView } from "./lube-view";

/** A picture without a size that is known is taken to be as most are. */
const USUAL = { width: 4, height: 3 };

export interface PointAtProps {
  pictures: LubeView["pictures"];
  shown: number;
  onShow: (picture: number) => void;
  /** what is drawn in the picture that is shown */
  spots: readonly Spotted[];
  onPoint: (spot: PictureSpot) => void;
}

/** A picture of the job that is pointed at; by the keyboard, at its middle. */
export function PointAt({ pictures, shown, onShow, spots, onPoint }: PointAtProps) {
  const picture = pictures[shown];
  if (!picture)
    return (
      <p className="hush text-[18px]">
        No picture of this job shows an opened chamber: name the part, or say where it is.
      </p>
    );
  const point = (x: number, y: number): void =>
    onPoint({ picture: picture.name, x: Math.min(1, Math.max(0, x)), y: Math.min(1, Math.max(0, y)) });
  const { width = USUAL.width, height = USUAL.height } = picture;
  return (
    <figure>
      <div className="flex items-center justify-between gap-2">
        <KeyButton
          className="small"
          disabled={shown === 0}
          onPress={() => onShow(shown - 1)}
          label="The picture before"
        >
          ‹
        </KeyButton>
        <div className="relative w-fit">
          {/* biome-ignore lint/performance/noImgElement: pictures come from the shop's own folder */}
          <img
            src={picture.url}
            alt={picture.says}
            width={width}
            height={height}
            className="block h-auto max-h-[clamp(180px,24vh,420px)] w-auto max-w-full bg-base-200"
          />
          <button
            type="button"
            aria-label="Point at the place in the picture"
            className="absolute inset-0 cursor-crosshair"
            onClick={(e) => {
              const box = e.currentTarget.getBoundingClientRect();
              point(
                e.detail === 0 ? 0.5 : (e.clientX - box.left) / box.width,
                e.detail === 0 ? 0.5 : (e.clientY - box.top) / box.height,
              );
            }}
          />
          <SpotsOverlay spots={spots} width={width} height={height} fit="contain" />
        </div>
        <KeyButton
          className="small"
          disabled={shown >= pictures.length - 1}
          onPress={() => onShow(shown + 1)}
          label="The next picture"
        >
          ›
        </KeyButton>
      </div>
      <figcaption className="text-center text-[17px]">
        {picture.says}, {shown + 1} of {pictures.length}
      </figcaption>
    </figure>
  );
}
