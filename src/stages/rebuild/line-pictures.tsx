"use client";

import { useState } from "react";
import type { Holes } from "@/core/job/step";
import { KeyButton } from "@/ui/key-button";
import { type FramedPicture, PictureFrame } from "@/ui/picture-frame";
import type { Spotted } from "@/ui/spots-overlay";
import { HolesOverlay } from "./holes-in-picture";

/** A picture of a line, with what was pointed at in it, and what it shows. */
export interface LinePicture {
  readonly picture: FramedPicture;
  readonly spots: readonly Spotted[];
  readonly words: string;
  readonly name: string;
}

/** The pictures of a line, one at a time, as large as their place; leafed through where there are several. */
export function LinePictures({
  pictures,
  none,
  holes,
}: {
  pictures: readonly LinePicture[];
  none: string;
  holes?: Holes | undefined;
}) {
  const [at, setAt] = useState(0);
  const shown = pictures[at] ?? pictures[0];
  const size =
    shown?.picture.width && shown.picture.height
      ? { width: shown.picture.width, height: shown.picture.height }
      : undefined;
  const several = pictures.length > 1;
  return (
    <div className="flex min-h-0 flex-col gap-1.5">
      <PictureFrame
        className="flex-1"
        picture={shown?.picture}
        spots={shown?.spots ?? []}
        over={holes && size && holes.picture === shown?.name && <HolesOverlay at={holes.at} {...size} />}
        words={shown ? `${shown.words}${several ? ` · ${at + 1} of ${pictures.length}` : ""}` : none}
      />
      {several && (
        <div className="grid grid-cols-2 gap-1.5">
          <KeyButton
            keyName="ArrowLeft"
            className="small justify-center"
            disabled={at === 0}
            onPress={() => setAt(at - 1)}
          >
            The picture before
          </KeyButton>
          <KeyButton
            keyName="ArrowRight"
            className="small justify-center"
            disabled={at >= pictures.length - 1}
            onPress={() => setAt(at + 1)}
          >
            The next picture
          </KeyButton>
        </div>
      )}
    </div>
  );
}
