"use client";

import { format, parseISO } from "date-fns";
import { useRouter } from "next/navigation";
import { useRef, useState } from "react";
import { z } from "zod";
import type { Import } from "@/store/imports";
import { whatFailed } from "@/ui/ask-shop";
import { FaultLine } from "@/ui/fault-line";
import { KeyButton } from "@/ui/key-button";
import { ShopHead } from "../shop-head";
import { takeImportBack } from "./actions";
import { ImportPreview, ImportSample } from "./import-preview";
import { type ImportReport, importReport, toldLine } from "./import-report";

/** A file on its way into the catalogue. */
interface Waiting {
  readonly id: string;
  readonly name: string;
  readonly delimiter?: string;
  readonly report?: ImportReport;
}

const SEPARATORS = [
  { is: ",", says: "commas" },
  { is: ";", says: "semicolons" },
  { is: "\t", says: "tabs" },
  { is: "|", says: "bars" },
  { is: ":", says: "colons" },
] as const;

/** A sentence for the screen, as against a failure of the program. */
class Refused extends Error {}
const reportLine = toldLine(importReport);
const uploaded = z.union([z.strictObject({ id: z.string() }), z.strictObject({ says: z.string() })]);

/** Reads an answer that comes a line at a time. */
async function told(answer: Response, rows: (n: number) => void): Promise<ImportReport> {
  if (!answer.body) throw new Refused("No answer came. Try again.");
  const reader = answer.body.pipeThrough(new TextDecoderStream()).getReader();
  let rest = "";
  for (;;) {
    const { value, done } = await reader.read();
    rest += value ?? "";
    const lines = rest.split("\n");
    rest = lines.pop() ?? "";
    for (const line of lines) {
      const t = reportLine.parse(JSON.parse(line));
      if ("done" in t) return t.done;
      if ("says" in t) throw new Refused(t.path === "file" ? `The file ${t.says}.` : t.says);
      rows(t.rows);
    }
    if (done) throw new Refused("The answer was broken off. Look at the list of imports before you try again.");
  }
}

/** Tables of parts, offers and suppliers: in with a look through first, out as they stand, the last ones taken back. */
export function TablesScreen({ imports }: { imports: readonly Import[] }) {
  const router = useRouter();
  const choose = useRef<HTMLInputElement>(null);
  const [waiting, setWaiting] = useState<Waiting | null>(null);
  const [busy, setBusy] = useState<string | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [done, setDone] = useState<string | null>(null);
  const n = (x: number): string => x.toLocaleString("en");

  const during = async (says: string, work: (rows: (n: number) => void) => Promise<void>): Promise<void> => {
    setBusy(`${says} …`);
    setFault(null);
    setDone(null);
    try {
      await work((rows) => setBusy(`${says}: ${n(rows)} rows …`));
    } catch (e) {
      setFault(e instanceof Refused ? e.message : whatFailed(e, "Not done", "Try again."));
    }
    setBusy(null);
  };
  const lookThrough = (w: Waiting): Promise<void> =>
    during("Checking it", async (rows) => {
      setWaiting({ id: w.id, name: w.name, delimiter: w.delimiter });
      const query = w.delimiter ? `?delimiter=${encodeURIComponent(w.delimiter)}` : "";
      const report = await told(await fetch(`/api/parts/import/${w.id}${query}`), rows);
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
  const takeIn = (w: Waiting): Promise<void> =>
    during("Taking it in", async (rows) => {
      const query = new URLSearchParams({ name: w.name, ...(w.delimiter ? { delimiter: w.delimiter } : {}) });
      const report = await told(await fetch(`/api/parts/import/${w.id}?${query}`, { method: "POST" }), rows);
      setWaiting(null);
      setDone(`${w.name} is in: ${n(report.added)} new, ${n(report.changed)} changed${report.faulty ? `, ${n(report.faulty)} left out` : ""}.`);
      router.refresh();
    });
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
        `${i.file} is taken back: ${n(answer.back)} rows are as before${answer.stayed ? `; ${n(answer.stayed)} were changed again since and stay` : ""}.`,
      );
      router.refresh();
    });
  const last = imports.find((i) => !i.undoneAt);
  return (
    <div className="min-h-dvh min-w-[1000px]">
      <ShopHead title="Tables in and out" back={{ href: "/parts", says: "Catalogue" }} />
      <main className="grid grid-cols-[minmax(0,7fr)_minmax(0,3fr)] gap-8 p-5">
        <section aria-label="In" className="flex min-w-0 flex-col gap-3">
          {done && (
            <p role="status" className="says good text-[21px]">
              ✓ {done}
            </p>
          )}
          <FaultLine says={fault} className="text-[21px]" />
          {busy && (
            <p role="status" className="says measured text-[21px]">
              {busy}
            </p>
          )}
          {waiting ? (
            <>
              <div className="flex flex-wrap items-end gap-4">
                <h2 className="min-w-0 flex-1 truncate text-[26px]">{waiting.name}</h2>
                <label className="words w-[240px]">
                  Cells are separated by
                  <select
                    className="field"
                    value={waiting.delimiter ?? waiting.report?.manner.delimiter ?? ","}
                    disabled={busy !== null}
                    onChange={(e) => void lookThrough({ ...waiting, delimiter: e.target.value })}
                  >
                    {SEPARATORS.map((s) => (
                      <option key={s.is} value={s.is}>
                        {s.says}
                      </option>
                    ))}
                  </select>
                </label>
              </div>
              {waiting.report && <ImportPreview report={waiting.report} />}
              <div className="flex gap-2 [&>:first-child]:flex-1">
                {waiting.report && waiting.report.added + waiting.report.changed > 0 && (
                  <KeyButton keyName=" " look="main" disabled={busy !== null} onPress={() => void takeIn(waiting)}>
                    Take {n(waiting.report.added + waiting.report.changed)} rows in
                  </KeyButton>
                )}
                {waiting.report && waiting.report.added + waiting.report.changed === 0 && <p className="says flex items-center">There is nothing new in it.</p>}
                <KeyButton keyName="Z" disabled={busy !== null} onPress={() => void leave(waiting)}>
                  Leave it
                </KeyButton>
              </div>
              {waiting.report && <ImportSample sample={waiting.report.sample} />}
            </>
          ) : (
            <>
              <h2 className="text-[24px]">In</h2>
              <p className="max-w-[60ch] text-[20px]">
                A table of parts, of offers or of suppliers, as CSV. It is checked first and shown; nothing changes until you say so. A row with the number of a
                part that is here already takes its place.
              </p>
              <input
                ref={choose}
                type="file"
                accept=".csv,.tsv,.txt,text/csv"
                className="sr-only"
                aria-label="A table as CSV"
                onChange={(e) => {
                  const file = e.target.files?.[0];
                  e.target.value = "";
                  if (file) void send(file);
                }}
              />
              <KeyButton keyName=" " look="main" disabled={busy !== null} onPress={() => choose.current?.click()}>
                Choose a table
              </KeyButton>
            </>
          )}
        </section>
        <aside className="flex flex-col gap-6">
          <section aria-label="Out">
            <h2 className="border-b-2 border-base-content text-[24px]">Out</h2>
            <div className="flex flex-col gap-2 pt-2">
              {["parts", "offers", "suppliers"].map((t) => (
                <a key={t} className="key-button" href={`/api/parts/table/${t}`} download>
                  {t}.csv
                </a>
              ))}
            </div>
            <p className="hush pt-1 text-[18px]">Cells that a spreadsheet would take for a formula go out with an apostrophe before them.</p>
          </section>
          <section aria-label="Taken in lately">
            <h2 className="border-b-2 border-base-content text-[24px]">Taken in lately</h2>
            {imports.length === 0 && <p className="hush pt-1 text-[19px]">Nothing yet.</p>}
            <ul>
              {imports.map((i) => (
                <li key={i.id} className="border-b-2 border-base-300 py-2 text-[19px]">
                  <b className="block truncate">{i.file}</b>
                  {format(parseISO(i.at), "d MMM, HH:mm")} · {i.table} · {n(i.added)} new, {n(i.changed)} changed
                  {i.undoneAt ? (
                    <span className="hush block">taken back</span>
                  ) : (
                    i.id === last?.id && (
                      <KeyButton className="mt-1" disabled={busy !== null} onPress={() => void takeBack(i)}>
                        Take it back
                      </KeyButton>
                    )
                  )}
                </li>
              ))}
            </ul>
          </section>
        </aside>
      </main>
    </div>
  );
}
