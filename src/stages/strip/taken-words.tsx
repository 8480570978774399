"use client";

import { retaken, TAKEN_SAYS, takenFor } from "@/core/hardware/line/retaken";
import type { Span } from "@/core/hardware/quick-line";
import { useKey } from "@/ui/keys";
import { letGo } from "@/ui/let-go";

/**
 * Each word of the shorthand with what it was taken for. One key takes it for something else: where it sat, a
 * note, or what it was.
 */
export function TakenWords({
  line,
  spans,
  put,
}: {
  line: string;
  spans: readonly Span[];
  put: (line: string) => void;
}) {
  const words = takenFor(line, spans);
  return (
    <ul
      aria-label="Each word, and what it was taken for"
      className="flex shrink-0 gap-1 overflow-x-auto pb-1 pl-11"
    >
      {words.map((w, i) => (
        <li key={`${i} ${w.text}`} className="shrink-0">
          <TakenWord at={i} says={TAKEN_SAYS[w.as]} text={w.text} press={() => put(retaken(line, w))} />
        </li>
      ))}
    </ul>
  );
}

function TakenWord({ at, text, says, press }: { at: number; text: string; says: string; press: () => void }) {
  const name = at < 9 ? String(at + 1) : undefined;
  useKey(name, press, name !== undefined, `“${text}” is taken for: ${says}`);
  return (
    <button
      type="button"
      className={`min-h-[48px] border-2 px-1.5 py-0 text-left leading-tight ${says === TAKEN_SAYS.note ? "border-error" : "border-base-300"}`}
      aria-label={`“${text}”, taken for: ${says}. Say that it is something else`}
      aria-keyshortcuts={name && `${name} Alt+${name}`}
      onClick={(e) => {
        letGo(e);
        press();
      }}
    >
      <span className="figure block text-[17px]">{text}</span>
      <span className="hush block text-[15px]">
        {name && <b className="mr-1">{name}</b>}
        {says}
      </span>
    </button>
  );
}
