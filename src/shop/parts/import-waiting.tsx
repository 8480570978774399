"use client";

import { KeyButton } from "@/ui/key-button";
import { ImportPreview, ImportSample } from "./import-preview";
import { inFigures, type TableImport, type Waiting } from "./use-table-import";

const SEPARATORS = [
  { is: ",", says: "commas" },
  { is: ";", says: "semicolons" },
  { is: "\t", says: "tabs" },
  { is: "|", says: "bars" },
  { is: ":", says: "colons" },
] as const;

/**
 * A table that was looked through and waits for its word: how its cells are read, what it would change, and
 * the key that takes it in.
 */
export function ImportWaiting({
  waiting,
  tables: { busy, lookThrough, takeIn, leave },
}: {
  waiting: Waiting;
  tables: TableImport;
}) {
  return (
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
            Take {inFigures(waiting.report.added + waiting.report.changed)} rows in
          </KeyButton>
        )}
        {waiting.report && waiting.report.added + waiting.report.changed === 0 && (
          <p className="says flex items-center">There is nothing new in it.</p>
        )}
        <KeyButton keyName="Z" disabled={busy !== null} onPress={() => void leave(waiting)}>
          Leave it
        </KeyButton>
      </div>
      {waiting.report && <ImportSample sample={waiting.report.sample} />}
    </>
  );
}
