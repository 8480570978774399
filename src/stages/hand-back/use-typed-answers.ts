"use client";

import { useCallback } from "react";
import { z } from "zod";
import { typedText, useDraft } from "../saving/use-draft";
import type { HandBackView } from "./hand-back-view";

const endsOfEach = z.record(z.string(), z.string());
const NOTHING_SAID: Record<string, string> = {};
/** null: as it is proposed */
const typedOver = z.string().nullable();

/**
 * What is half typed and ticked at the last checks. It is held by the screen, so that a panel opened over a
 * check takes none of it away.
 */
export function useTypedAnswers(drafts: HandBackView["drafts"]) {
  const [figure, setFigure] = useDraft("hand-back.figure", drafts.figure, typedText, "");
  const [note, setNote] = useDraft("hand-back.note", drafts.note, typedText, "");
  const [instrument, setInstrument] = useDraft("hand-back.instrument", drafts.instrument, typedOver, null);
  const [ends, setEnds] = useDraft("hand-back.ends", drafts.ends, endsOfEach, NOTHING_SAID);
  const [read, setRead] = useDraft("hand-back.read", drafts.read, typedText, "");
  const [ran, setRan] = useDraft("hand-back.ran", drafts.ran, typedText, "");
  const forget = useCallback(() => {
    setFigure("");
    setNote("");
    setInstrument(null);
    setRead("");
    setRan("");
  }, [setFigure, setNote, setInstrument, setRead, setRan]);
  return {
    forget,
    figure,
    setFigure,
    note,
    setNote,
    instrument,
    setInstrument,
    ends,
    setEnds,
    read,
    setRead,
    ran,
    setRan,
  };
}
export type TypedAnswers = ReturnType<typeof useTypedAnswers>;
