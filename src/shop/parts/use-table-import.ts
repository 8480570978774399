"use client";

import { useRouter } from "next/navigation";
import { useState } from "react";
import { z } from "zod";
import type { Import } from "@/store/imports";
import { whatFailed } from "@/ui/ask-shop";
import { takeImportBack } from "./actions";
import { type ImportReport, importReport, toldLine } from "./import-report";
import { Refused, told } from "./told-answer";

/** A file on its way into the catalogue. */
export interface Waiting {
  readonly id: string;
  readonly name: string;
  readonly delimiter?: string;
  readonly report?: ImportReport;
}

const reportLine = toldLine(importReport);
const uploaded = z.union([z.strictObject({ id: z.string() }), z.strictObject({ says: z.string() })]);

/** Where the answer to a change is missing, nobody here knows whether it was made. */
const UNKNOWN = {
  done: "It is not known whether it was taken in",
  next: "Look at the list of what was taken in before you try again.",
};

export const inFigures = (n: number): string => n.toLocaleString("en");

/** The way of a table into the catalogue and back: sent, looked through, taken in or left, taken back. */
export function useTableImport() {
  const router = useRouter();
  const [waiting, setWaiting] = useState<Waiting | null>(null);
  const [busy, setBusy] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [done, setDone] = useState<string | null>(null);

  const during = async (
    says: string,
    work: (rows: (n: number) => void) => Promise<void>,
    not: { readonly done: string; readonly next: string } = { done: "Not done", next: "Try again." },
  ): Promise<void> => {
    setBusy(`${says} …`);
    setFault(null);
    setDone(null);
    try {
      await work((rows) => setBusy(`${says}: ${inFigures(rows)} rows …`));
    } catch (e) {
      setFault(e instanceof Refused ? e.message : whatFailed(e, not.done, not.next));
    }
    setBusy(null);
  };
  const lookThrough = (w: Waiting): Promise<void> =>
    during("Checking it", async (rows) => {
      setWaiting({ id: w.id, name: w.name, delimiter: w.delimiter });
      const query = w.delimiter ? `?delimiter=${encodeURIComponent(w.delimiter)}` : "";
      const report = await told(await fetch(`/api/parts/import/${w.id}${query}`), reportLine, rows);
      setWaiting({ ...w, report });
    });
  const send = async (file: File): Promise<void> => {
    let id = "";
    await during("Sending it", async () => {
      const answer = await fetch("/api/parts/import", { method: "POST", body: file });
      const body = uploaded.parse(await answer.json());
      if ("says" in body) throw new Refused(body.says);
      id = body.id;
    });
    if (id) await lookThrough({ id, name: file.name });
  };
  const sendStandard = async (): Promise<void> => {
    let file: File | undefined;
    await during("Fetching the standard set", async () => {
      const answer = await fetch("/api/parts/table/standard");
      if (!answer.ok) throw new Refused("The standard set could not be fetched. Try again.");
      file = new File([await answer.blob()], "standard set");
    });
    if (file) await send(file);
  };
  const takeIn = (w: Waiting): Promise<void> =>
    during(
      "Taking it in",
      async (rows) => {
        const query = new URLSearchParams({
          name: w.name,
          ...(w.delimiter ? { delimiter: w.delimiter } : {}),
        });
        const report = await told(
          await fetch(`/api/parts/import/${w.id}?${query}`, { method: "POST" }),
          reportLine,
          rows,
        );
        setWaiting(null);
        setDone(
          `${w.name} is in: ${inFigures(report.added)} new, ${inFigures(report.changed)} changed${report.faulty ? `, ${inFigures(report.faulty)} left out` : ""}.`,
        );
        router.refresh();
      },
      UNKNOWN,
    );
  const leave = async (w: Waiting): Promise<void> => {
    setWaiting(null);
    setFault(null);
    await fetch(`/api/parts/import/${w.id}`, { method: "DELETE" }).catch(() => undefined);
  };
  const takeBack = (i: Import): Promise<void> =>
    during("Taking it back", async () => {
      const answer = await takeImportBack(i.id);
      if (!answer.ok) throw new Refused(answer.says);
      setDone(
        `${i.file} is taken back: ${inFigures(answer.back)} rows are as before${answer.stayed ? `; ${inFigures(answer.stayed)} were changed again since and stay` : ""}.`,
      );
      router.refresh();
    });
  return { waiting, busy, fault, done, lookThrough, send, sendStandard, takeIn, leave, takeBack };
}
export type TableImport = ReturnType<typeof useTableImport>;
