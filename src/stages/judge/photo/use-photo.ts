"use client";

import { useCallback, useEffect, useRef, useState } from "react";
import { type PhotoProgress, PhotoReader, pictureFromUrl } from "@/bench/photo-reader";
import type { Picture, PictureReading, RingReading } from "@/core/photo/index";
import { saidBy, sentence } from "@/core/sentence";
import { useLatest } from "@/ui/use-latest";

/** The picture at an address, the worker that reads it, and what it has read. Reading begins by itself. */
export function usePhoto(url: string | undefined) {
  const [picture, setPicture] = useState<Picture | null>(null);
  const [reading, setReading] = useState<PictureReading | null>(null);
  const [ring, setRing] = useState<RingReading | null>(null);
  const [progress, setProgress] = useState<PhotoProgress | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const reader = useRef<PhotoReader | null>(null);
  // another picture: the count of the one before is not shown over it, not for one frame
  const [of, setOf] = useState(url);
  if (of !== url) {
    setOf(url);
    setPicture(null);
    setReading(null);
    setRing(null);
    setProgress(null);
    setFault(null);
  }

  const read = useCallback(async (): Promise<void> => {
    const by = reader.current;
    if (!by) return;
    setFault(null);
    setProgress({ share: 0, says: "opening the picture" });
    try {
      const answer = await by.ask<PictureReading>({ ask: "read" }, setProgress);
      setReading(answer);
      setRing(answer.answer.centre ? (answer.rings[0] ?? null) : null);
    } catch (e) {
      const says = saidBy(e);
      if (says !== "cancelled") setFault(sentence(says));
    }
    if (reader.current === by) setProgress(null);
  }, []);

  useEffect(() => {
    let gone = false;
    if (!url) return;
    pictureFromUrl(url).then(
      (opened) => {
        if (gone) return;
        reader.current = new PhotoReader(opened);
        setPicture(opened);
        void read();
      },
      (e: Error) => !gone && setFault(sentence(e.message)),
    );
    return () => {
      gone = true;
      reader.current?.end();
      reader.current = null;
    };
  }, [url, read]);

  return {
    picture,
    reading,
    ring,
    setRing,
    progress,
    fault,
    reader: reader.current,
    read: () => void read(),
    cancel: () => {
      reader.current?.end();
      setProgress(null);
    },
  };
}
export type Photo = ReturnType<typeof usePhoto>;

/**
 * Runs one at a time; while it runs, `soon` keeps only the latest that was asked. What is asked for at once
 * leaves nothing behind it that was asked before.
 */
export function useOneAtATime<A extends readonly unknown[]>(
  work: (...args: A) => Promise<void>,
): ((...args: A) => Promise<void>) & { soon: (...args: A) => void } {
  const latest = useLatest(work);
  const busy = useRef(false);
  const next = useRef<A | null>(null);
  const run = useCallback(
    async (...args: A): Promise<void> => {
      next.current = null;
      await latest.current(...args).catch(() => undefined);
    },
    [latest],
  );
  const soon = useCallback(
    (...args: A): void => {
      next.current = args;
      if (busy.current) return;
      busy.current = true;
      void (async () => {
        while (next.current) {
          const now = next.current;
          next.current = null;
          await latest.current(...now).catch(() => undefined);
        }
        busy.current = false;
      })();
    },
    [latest],
  );
  return Object.assign((...args: A) => run(...args), { soon });
}
