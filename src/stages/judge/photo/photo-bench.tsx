"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import type { BoreForm } from "@/core/gear/bore-form";
import { gearBenchOf } from "@/core/job/address";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { pictureUrl } from "@/ui/picture-frame";
import { TakePicture } from "../../frame/take-picture";
import { useJob } from "../../saving/job-context";
import { savePhotoCount } from "../actions";
import { CountKeys } from "./count-keys";
import { CountSays } from "./count-says";
import { PhotoOverlay } from "./photo-overlay";
import { PhotoSizes, spotsFor } from "./photo-size";
import { PhotoStrip } from "./photo-strip";
import { usePhoto } from "./use-photo";
import { useToothCount } from "./use-tooth-count";

interface PartPicture {
  readonly name: string;
  readonly sha256: string;
}

/**
 * Counts the teeth of a part in one of its pictures: read by itself, checked by eye along the unrolled ring,
 * mended by hand, accepted.
 */
export function PhotoBench({
  part,
  partName,
  hint,
  pictures,
  noted,
  notedBore,
}: {
  part: string;
  partName: string;
  /** what lies under the practice camera */
  hint: string;
  pictures: readonly PartPicture[];
  noted: number | null;
  notedBore: BoreForm | null;
}) {
  const { run, number } = useJob();
  const router = useRouter();
  const [camera, setCamera] = useState(pictures.length === 0);
  const [shown, setShown] = useState<string | undefined>(pictures.at(-1)?.name);
  // one that was just taken may not have come back with the page yet
  const chosenPicture = shown === undefined ? pictures.at(-1) : pictures.find((p) => p.name === shown);
  const url = chosenPicture && pictureUrl(chosenPicture.sha256);
  const photo = usePhoto(url);
  const { picture, reader, reading, ring, progress, fault } = photo;
  const count = useToothCount(photo, url, noted);
  const {
    hand,
    says,
    chosen,
    setChosen,
    sizing,
    spots,
    setSpots,
    sizes,
    handCount,
    missing,
    broken,
    sure,
    tooth,
  } = count;
  const accept = async (): Promise<void> => {
    if (!ring || !chosenPicture) return;
    const result = await run(savePhotoCount, {
      part,
      teeth: ring.teeth,
      missing,
      broken,
      ...(count.takeWorn ? { worn: count.worn } : {}),
      picture: chosenPicture.name,
      certainty: handCount ? 1 : Math.max(0, Math.min(1, ring.certainty)),
      sizes: sizes.map(({ what, value, u }) => ({
        what,
        value: Number(value.toFixed(3)),
        u: Number(u.toFixed(3)),
      })),
      ...(count.boreForm ? { boreForm: count.boreForm } : {}),
    });
    if (result.ok) router.push(gearBenchOf(number, part));
  };

  if (camera)
    return (
      <div className="mx-auto h-full max-w-[860px]">
        <TakePicture
          where={{ role: "finding", part }}
          hint={hint}
          onTaken={() => undefined}
          onArrived={(kept) => {
            setShown(kept.name);
            setCamera(false);
          }}
          onClose={() => (pictures.length ? setCamera(false) : router.push(gearBenchOf(number, part)))}
        />
      </div>
    );
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_372px] grid-rows-[minmax(0,1fr)_auto] gap-x-4 gap-y-2">
      <section
        aria-label="Picture"
        className="relative flex min-h-0 items-center justify-center overflow-hidden border-2 border-base-content bg-[#10201f]"
      >
        {url && picture && (
          <div
            className="relative h-full max-w-full"
            style={{ aspectRatio: `${picture.width} / ${picture.height}` }}
          >
            {/* biome-ignore lint/performance/noImgElement: the shop's own picture, in size */}
            <img src={url} alt={`${partName}, as it is read`} className="h-full w-full" draggable={false} />
            <PhotoOverlay
              width={picture.width}
              height={picture.height}
              ring={ring}
              hand={hand}
              says={says}
              chosen={chosen}
              onTooth={tooth}
              onHand={count.move}
              onLaid={count.letGo}
              marks={spots}
              onSpot={
                sizing && spotsFor(sizing)
                  ? (s) =>
                      setSpots((now) =>
                        [...now.slice(-(spotsFor(sizing) - 1) || now.length), s].slice(-spotsFor(sizing)),
                      )
                  : null
              }
            />
          </div>
        )}
        {progress && (
          <div
            className="absolute inset-x-4 bottom-4 flex items-center gap-3 border-2 border-base-content bg-base-100 p-2"
            role="status"
          >
            <div className="flex-1">
              <p className="text-[20px]">Counting: {progress.says} …</p>
              <progress
                className="h-[12px] w-full accent-[var(--color-info)]"
                value={progress.share}
                max={1}
                aria-label="Progress"
              />
            </div>
            <KeyButton keyName="X" onPress={photo.cancel}>
              Stop
            </KeyButton>
          </div>
        )}
      </section>
      <section aria-label="Count" className="flex min-h-0 flex-col gap-2">
        <div className="flex min-h-0 flex-1 flex-col gap-2 overflow-y-auto pr-1">
          <FaultLine says={fault} className="text-[20px]" />
          {ring ? (
            <CountSays ring={ring} reading={reading} count={count} />
          ) : (
            !progress && (
              <p className="says text-[20px]">
                {reading?.answer.says ??
                  (picture || fault
                    ? "Not counted: read it, or lay the ring by hand."
                    : "Opening the picture …")}
              </p>
            )
          )}
          <CountKeys
            photo={photo}
            count={count}
            onCamera={() => setCamera(true)}
            onOther={
              pictures.length > 1
                ? () =>
                    setShown(
                      pictures[
                        (pictures.findIndex((p) => p.name === chosenPicture?.name) + 1) % pictures.length
                      ]?.name,
                    )
                : undefined
            }
          />
          {ring && reader && sizing && (
            <PhotoSizes
              reader={reader}
              ring={ring}
              way={sizing}
              setWay={(w) => {
                count.setSizing(w);
                setSpots([]);
              }}
              close={() => count.setSizing(null)}
              spots={spots}
              sizes={sizes}
              onSizes={count.setSizes}
              notedBore={notedBore}
              boreForm={count.boreForm}
              onBoreForm={count.setBoreForm}
            />
          )}
        </div>
        {/* a count that the reader is not sure of is taken only after the technician has said which it is */}
        <KeyButton
          keyName=" "
          look="main"
          className="justify-center"
          disabled={!sure || hand !== null}
          onPress={() => void accept()}
        >
          {sure
            ? `${ring?.teeth} teeth${missing.length ? `, ${missing.length} missing` : ""}: take it`
            : ring
              ? "Say first which count it is"
              : "Take the count"}
        </KeyButton>
      </section>
      <div className="col-span-2 min-h-[148px]">
        {ring && picture ? (
          <>
            <PhotoStrip
              picture={picture}
              plane={hand ?? ring.plane}
              ring={ring}
              says={says}
              chosen={chosen}
              onTooth={tooth}
            />
            <div className="sr-only">
              <KeyButton keyName="ArrowRight" onPress={() => setChosen((chosen + 1) % ring.teeth)}>
                Next tooth
              </KeyButton>
              <KeyButton
                keyName="ArrowLeft"
                onPress={() => setChosen((chosen - 1 + ring.teeth) % ring.teeth)}
              >
                Previous tooth
              </KeyButton>
              <KeyButton keyName="M" onPress={() => tooth(chosen)}>
                Tooth {chosen + 1}: there or missing
              </KeyButton>
            </div>
          </>
        ) : (
          <p className="hush flex h-full items-center justify-center border-2 border-base-300 text-[20px]">
            The ring unrolled is shown here, tooth by tooth.
          </p>
        )}
      </div>
    </div>
  );
}
