/* biome-ignore-all lint/performance/noImgElement: pictures come from the shop's own folder, already
   upright and in size */
import { ImageOff } from "lucide-react";
import type { ReactNode } from "react";
import type { PictureMark } from "@/core/job/picture-mark";
import { MarksOverlay } from "./marks-overlay";
import { SpotsOverlay, type Spotted } from "./spots-overlay";

export const pictureUrl = (sha256: string, thumb = false): string =>
  `/api/pictures/${sha256}${thumb ? "?thumb=1" : ""}`;

/** A picture with its marks, as a frame shows it. Without its size no marks can be drawn. */
export interface FramedPicture {
  readonly url: string;
  readonly marks?: readonly PictureMark[];
  readonly width?: number;
  readonly height?: number;
}

interface KeptPicture {
  readonly sha256: string;
  readonly marks?: readonly PictureMark[];
  readonly width?: number;
  readonly height?: number;
}

/** A kept picture for a frame. */
export function framed(p: KeptPicture): FramedPicture;
export function framed(p: KeptPicture | undefined): FramedPicture | undefined;
export function framed(p: KeptPicture | undefined): FramedPicture | undefined {
  return p && { url: pictureUrl(p.sha256), marks: p.marks, width: p.width, height: p.height };
}

export interface PictureFrameProps {
  picture: FramedPicture | undefined;
  /** places drawn into it */
  spots?: readonly Spotted[];
  /** what else lies over it, cut as the picture is */
  over?: ReactNode;
  words: string;
  className?: string;
}

/** A picture as large as its place, with a line of words under it. */
export function PictureFrame({ picture, spots = [], over, words, className = "" }: PictureFrameProps) {
  return (
    <figure
      className={`relative flex min-h-0 flex-col overflow-hidden border-2 border-base-content bg-base-200 ${className}`}
    >
      {picture ? (
        <div className="relative min-h-0 w-full flex-1">
          <img src={picture.url} alt={words} className="h-full w-full object-cover" />
          {picture.marks && picture.width && picture.height && (
            <MarksOverlay marks={picture.marks} width={picture.width} height={picture.height} />
          )}
          {picture.width && picture.height && (
            <SpotsOverlay spots={spots} width={picture.width} height={picture.height} />
          )}
          {over}
        </div>
      ) : (
        <div className="hush flex flex-1 flex-col items-center justify-center gap-2 text-[20px]">
          <ImageOff size={44} aria-hidden="true" /> no picture was taken
        </div>
      )}
      <figcaption className="bg-neutral px-3 py-1.5 text-[19px] text-neutral-content">
        <span className="line-clamp-2">{words}</span>
      </figcaption>
    </figure>
  );
}
