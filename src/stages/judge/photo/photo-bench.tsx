"use client";

import { useRouter } from "next/navigation";
import { useEffect, useState } from "react";
import { toothExtent } from "@/core/judge/tooth-marks";
import { axesOf, type FacePlane, faceFromAxes, type RingReading, type Spot, SURE } from "@/core/photo/index";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { percent } from "@/ui/odds";
import { pictureUrl } from "@/ui/picture-frame";
import { TakePicture } from "../../frame/take-picture";
import { useJob } from "../../saving/job-context";
import { savePhotoCount } from "../actions";
import { isGone, PhotoOverlay, type ToothSays } from "./photo-overlay";
import { type PhotoSize, PhotoSizes, type SizeWay, spotsFor } from "./photo-size";
import { PhotoStrip } from "./photo-strip";
import { useOneAtATime, usePhoto } from "./use-photo";

interface PartPicture {
  readonly name: string;
  readonly sha256: string;
}

/** Counts the teeth of a part in one of its pictures: read by itself, checked by eye along the unrolled ring, mended by hand, accepted. */
export function PhotoBench({
  part,
  partName,
  hint,
  pictures,
  noted,
}: {
  part: string;
  partName: string;
  /** what lies under the practice camera */
  hint: string;
  pictures: readonly PartPicture[];
  noted: number | null;
}) {
  const { run, number } = useJob();
  const router = useRouter();
  const [camera, setCamera] = useState(pictures.length === 0);
  const [shown, setShown] = useState<string | undefined>(pictures.at(-1)?.name);
  // one that was just taken may not have come back with the page yet
  const chosenPicture = shown === undefined ? pictures.at(-1) : pictures.find((p) => p.name === shown);
  const url = chosenPicture && pictureUrl(chosenPicture.sha256);
  const photo = usePhoto(url);
  const { picture, reader, reading, ring, setRing, progress, fault } = photo;
  const [hand, setHand] = useState<FacePlane | null>(null);
  const [says, setSays] = useState<ToothSays>({});
  const [chosen, setChosen] = useState(0);
  const [sizing, setSizing] = useState<SizeWay | null>(null);
  const [spots, setSpots] = useState<readonly Spot[]>([]);
  const [sizes, setSizes] = useState<readonly PhotoSize[]>([]);
  const [handCount, setHandCount] = useState(false);

  // another picture or another count: what was said about single teeth belonged to the old one
  const teeth = ring?.teeth;
  // biome-ignore lint/correctness/useExhaustiveDependencies: forgotten whenever either changes
  useEffect(() => {
    setSays({});
    setChosen(0);
    setSizes([]);
  }, [url, teeth]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: forgotten whenever the picture changes
  useEffect(() => {
    setHandCount(false);
    setSpots([]);
  }, [url]);

  const lay = useOneAtATime<[FacePlane, number, boolean, boolean]>(
    async (plane: FacePlane, count: number, exactly: boolean, settle: boolean): Promise<void> => {
      if (!reader) return;
      const laid = await reader.ask<RingReading>({ ask: "lay", plane, teeth: count, exactly, settle });
      // what cannot be followed stays where the hand has put it
      setRing(laid.evidence.score > 0.5 ? laid : { ...laid, plane });
      setSizes([]);
    },
  );
  const count = ring?.teeth ?? noted ?? 30;
  const recount = (by: number): void => {
    if (!ring) return;
    setHandCount(true);
    void lay(ring.plane, Math.max(5, Math.min(200, ring.teeth + by)), true, false);
  };
  const tooth = (i: number): void => {
    if (!ring) return;
    setChosen(i);
    setSays({ ...says, [i]: isGone(ring, says, i) ? "there" : "missing" });
  };
  const missing = ring ? ring.slots.slots.flatMap((_, i) => (isGone(ring, says, i) ? [i] : [])) : [];
  const hidden = ring ? ring.slots.slots.filter((t, i) => t.state === "hidden" && says[i] === undefined).length : 0;
  const broken = ring ? ring.slots.slots.flatMap((t, i) => (t.state === "short" && !missing.includes(i) ? [i] : [])) : [];
  const accept = async (): Promise<void> => {
    if (!ring || !chosenPicture) return;
    const result = await run(savePhotoCount, {
      part,
      teeth: ring.teeth,
      missing,
      broken,
      picture: chosenPicture.name,
      certainty: handCount ? 1 : Math.max(0, Math.min(1, ring.certainty)),
      sizes: sizes.map(({ what, value, u }) => ({ what, value: Number(value.toFixed(3)), u: Number(u.toFixed(3)) })),
    });
    if (result.ok) router.push(`/jobs/${number}/judge/gear/${part}`);
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
          onClose={() => (pictures.length ? setCamera(false) : router.push(`/jobs/${number}/judge/gear/${part}`))}
        />
      </div>
    );
  const runs = ring && missing.length ? toothExtent(Object.fromEntries(missing.map((i) => [i, "missing"])), ring.teeth).says : null;
  const others = (reading?.rings ?? [])
    .filter((r, i, all) => r.certainty > 0.02 && r.teeth !== ring?.teeth && all.findIndex((o) => o.teeth === r.teeth) === i)
    .slice(0, 2);
  // the reader's own ring is as sure as its answer (two gears in a picture: no count); one that a hand has laid, as its evidence
  const sure = ring !== null && (handCount || (ring === reading?.rings[0] ? reading.answer.teeth !== null : ring.certainty >= SURE));
  return (
    <div className="grid h-full grid-cols-[minmax(0,1fr)_372px] grid-rows-[minmax(0,1fr)_auto] gap-x-4 gap-y-2">
      <section aria-label="Picture" className="relative flex min-h-0 items-center justify-center overflow-hidden border-2 border-base-content bg-[#10201f]">
        {url && picture && (
          <div className="relative h-full max-w-full" style={{ aspectRatio: `${picture.width} / ${picture.height}` }}>
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
              onHand={(plane) => {
                setHand(plane);
                lay.soon(plane, count, false, false);
              }}
              onLaid={(plane) => {
                setHand(null);
                lay.soon(plane, count, false, true);
              }}
              marks={spots}
              onSpot={
                sizing && spotsFor(sizing) ? (s) => setSpots((now) => [...now.slice(-(spotsFor(sizing) - 1) || now.length), s].slice(-spotsFor(sizing))) : null
              }
            />
          </div>
        )}
        {progress && (
          <div className="absolute inset-x-4 bottom-4 flex items-center gap-3 border-2 border-base-content bg-base-100 p-2" role="status">
            <div className="flex-1">
              <p className="text-[20px]">Counting: {progress.says} …</p>
              <progress className="h-[12px] w-full accent-[var(--color-info)]" value={progress.share} max={1} aria-label="Progress" />
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
            <>
              <div className="flex items-end gap-3">
                <output aria-label="Teeth counted" className="figures text-[76px] leading-[0.82]">
                  {sure ? ring.teeth : "?"}
                </output>
                <div className="flex-1 leading-tight">
                  <p className="text-[24px]">teeth</p>
                  <p className="text-[18px]">{handCount ? "as you laid them" : sure ? `${percent(ring.certainty)} sure` : `perhaps ${ring.teeth}`}</p>
                </div>
              </div>
              <p role="status" aria-label="Missing teeth" className={`text-[21px] leading-tight font-semibold ${missing.length ? "text-error" : ""}`}>
                {missing.length ? `× ${runs}` : hidden ? "None seen missing" : "None missing"}
                {broken.length > 0 && `; ${broken.length} short`}
                {hidden > 0 && (
                  <span className="block text-base-content">? {hidden === 1 ? "1 place is hidden" : `${hidden} places are hidden`}: look there yourself</span>
                )}
                <span className="hush block text-[17px] font-normal">
                  tilted {Math.round(axesOf(ring.plane).tiltDeg)}° · numbers run clockwise from the top
                </span>
              </p>
              {!sure && reading?.answer.says && <p className="says text-[18px]">{reading.answer.says}</p>}
              {!sure && (
                <div className="flex flex-wrap gap-1.5">
                  {[ring, ...others].map((r, i) => (
                    <KeyButton
                      key={r.teeth}
                      keyName={String(i + 1)}
                      className="small"
                      onPress={() => {
                        setRing(r);
                        setHandCount(true);
                      }}
                    >
                      It is {r.teeth}
                    </KeyButton>
                  ))}
                </div>
              )}
            </>
          ) : (
            !progress && (
              <p className="says text-[20px]">
                {reading?.answer.says ?? (picture || fault ? "Not counted: read it, or lay the ring by hand." : "Opening the picture …")}
              </p>
            )
          )}
          <div className="grid grid-cols-2 gap-1.5">
            {ring && !sizing && (
              <>
                <KeyButton keyName="Z" className="small" onPress={() => setSizing("card")}>
                  Size
                </KeyButton>
                <KeyButton keyName="-" label="Strike a tooth" className="small" onPress={() => recount(-1)}>
                  − one tooth
                </KeyButton>
                <KeyButton keyName="+" label="Add a tooth" className="small" onPress={() => recount(1)}>
                  + one tooth
                </KeyButton>
              </>
            )}
            {!sizing && (
              <>
                <KeyButton keyName="R" className="small" disabled={!picture || progress !== null} onPress={photo.read}>
                  Read again
                </KeyButton>
                <KeyButton
                  keyName="H"
                  className="small"
                  disabled={!picture}
                  onPress={() =>
                    picture &&
                    void lay(faceFromAxes([picture.width / 2, picture.height / 2], picture.height * 0.35, picture.height * 0.35, 0), count, false, true)
                  }
                >
                  Ring by hand
                </KeyButton>
                <KeyButton keyName="I" className="small" onPress={() => setCamera(true)}>
                  New picture
                </KeyButton>
                {pictures.length > 1 && (
                  <KeyButton
                    keyName="O"
                    className="small"
                    onPress={() => setShown(pictures[(pictures.findIndex((p) => p.name === chosenPicture?.name) + 1) % pictures.length]?.name)}
                  >
                    Other picture
                  </KeyButton>
                )}
              </>
            )}
          </div>
          {ring && reader && sizing && (
            <PhotoSizes
              reader={reader}
              ring={ring}
              way={sizing}
              setWay={(w) => {
                setSizing(w);
                setSpots([]);
              }}
              close={() => setSizing(null)}
              spots={spots}
              sizes={sizes}
              onSizes={setSizes}
            />
          )}
        </div>
        {/* a count that the reader is not sure of is taken only after the technician has said which it is */}
        <KeyButton keyName=" " look="main" className="justify-center" disabled={!sure || hand !== null} onPress={() => void accept()}>
          {sure ? `${teeth} teeth${missing.length ? `, ${missing.length} missing` : ""}: take it` : ring ? "Say first which count it is" : "Take the count"}
        </KeyButton>
      </section>
      <div className="col-span-2 min-h-[148px]">
        {ring && picture ? (
          <>
            <PhotoStrip picture={picture} plane={hand ?? ring.plane} ring={ring} says={says} chosen={chosen} onTooth={tooth} />
            <div className="sr-only">
              <KeyButton keyName="ArrowRight" onPress={() => setChosen((chosen + 1) % ring.teeth)}>
                Next tooth
              </KeyButton>
              <KeyButton keyName="ArrowLeft" onPress={() => setChosen((chosen - 1 + ring.teeth) % ring.teeth)}>
                Previous tooth
              </KeyButton>
              <KeyButton keyName="M" onPress={() => tooth(chosen)}>
                Tooth {chosen + 1}: there or missing
              </KeyButton>
            </div>
          </>
        ) : (
          <p className="hush flex h-full items-center justify-center border-2 border-base-300 text-[20px]">The ring unrolled is shown here, tooth by tooth.</p>
        )}
      </div>
    </div>
  );
}
