"use client";

import { useCallback } from "react";
import { z } from "zod";
import { typedText, useDraft } from "../saving/use-draft";
import type { HandBackView } from "./hand-back-view";

const tickedNames = z.array(z.string());
const NOTHING_TICKED: string[] = [];
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
  const [ticked, setTicked] = useDraft("hand-back.ticked", drafts.ticked, tickedNames, NOTHING_TICKED);
  const [plate, setPlate] = useDraft("hand-back.plate", drafts.plate, typedText, "");
  const forget = useCallback(() => {
    setFigure("");
    setNote("");
    setInstrument(null);
  }, [setFigure, setNote, setInstrument]);
  return {
    forget,
    figure,
    setFigure,
    note,
    setNote,
    instrument,
    setInstrument,
    ticked,
    setTicked,
    plate,
    setPlate,
  };
}
export type TypedAnswers = ReturnType<typeof useTypedAnswers>;
