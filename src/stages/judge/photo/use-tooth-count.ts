"use client";

import { useState } from "react";
import type { BoreForm } from "@/core/gear/bore-form";
import { type FacePlane, faceFromAxes, type RingReading, type Spot, SURE } from "@/core/photo/index";
import { isGone, type ToothSays } from "./photo-overlay";
import type { PhotoSize, SizeWay } from "./photo-size";
import { type Photo, useOneAtATime } from "./use-photo";

/**
 * A flank that looks worn, as it is marked on the gear face; worn from both sides a tooth comes to a knife's
 * edge.
 */
const WORN = { left: "worn-left", right: "worn-right", both: "knife" } as const;

/**
 * The count of one picture as it is checked by eye: the reader's ring or one that a hand has laid, what was
 * said of single teeth, and sizes taken from it.
 *
 * @param url of the picture
 * @param noted teeth that are noted of the part already: where a hand's first ring begins
 */
export function useToothCount(
  { picture, reader, reading, ring, setRing }: Photo,
  url: string | undefined,
  noted: number | null,
) {
  const [hand, setHand] = useState<FacePlane | null>(null);
  const [says, setSays] = useState<ToothSays>({});
  const [chosen, setChosen] = useState(0);
  const [sizing, setSizing] = useState<SizeWay | null>(null);
  const [spots, setSpots] = useState<readonly Spot[]>([]);
  const [sizes, setSizes] = useState<readonly PhotoSize[]>([]);
  const [takeWorn, setTakeWorn] = useState(false);
  const [boreForm, setBoreForm] = useState<BoreForm | null>(null);
  const [handCount, setHandCount] = useState(false);

  // another picture or another count: what was said about single teeth belonged to the old one
  const teeth = ring?.teeth;
  const [of, setOf] = useState({ url, teeth });
  if (of.url !== url || of.teeth !== teeth) {
    setOf({ url, teeth });
    setSays({});
    setChosen(0);
    setSizes([]);
    setBoreForm(null);
    setTakeWorn(false);
    if (of.url !== url) {
      setHandCount(false);
      setSpots([]);
    }
  }

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
  const hidden = ring
    ? ring.slots.slots.filter((t, i) => t.state === "hidden" && says[i] === undefined).length
    : 0;
  const broken = ring
    ? ring.slots.slots.flatMap((t, i) => (t.state === "short" && !missing.includes(i) ? [i] : []))
    : [];
  const worn = ring
    ? ring.slots.slots.flatMap((t, i) =>
        t.worn && !missing.includes(i) ? [{ tooth: i, mark: WORN[t.worn] }] : [],
      )
    : [];
  // the reader's own ring is as sure as its answer (two gears in a picture: no count); one that a hand has
  // laid, as its evidence
  const sure =
    ring !== null &&
    (handCount || (ring === reading?.rings[0] ? reading.answer.teeth !== null : ring.certainty >= SURE));
  const byHand = (): void => {
    if (picture)
      void lay(
        faceFromAxes(
          [picture.width / 2, picture.height / 2],
          picture.height * 0.35,
          picture.height * 0.35,
          0,
        ),
        count,
        false,
        true,
      );
  };
  /** the technician says which of the counts it is */
  const isIt = (r: RingReading): void => {
    setRing(r);
    setHandCount(true);
  };
  /** a hand moves the ring, and lets it go */
  const move = (plane: FacePlane): void => {
    setHand(plane);
    lay.soon(plane, count, false, false);
  };
  const letGo = (plane: FacePlane): void => {
    setHand(null);
    lay.soon(plane, count, false, true);
  };
  return {
    hand,
    says,
    chosen,
    setChosen,
    sizing,
    setSizing,
    spots,
    setSpots,
    sizes,
    setSizes,
    boreForm,
    setBoreForm,
    handCount,
    recount,
    tooth,
    missing,
    hidden,
    broken,
    worn,
    takeWorn,
    setTakeWorn,
    sure,
    byHand,
    isIt,
    move,
    letGo,
  };
}
export type ToothCount = ReturnType<typeof useToothCount>;
