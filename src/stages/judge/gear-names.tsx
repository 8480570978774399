"use client";

import { ReadingDrawing } from "@/ui/reading-drawing";
import type { GearView } from "./gear-view";
import { percent } from "./in-figures";

/** What the gear may be, with how sure, and the reading that would settle it, with its drawing. */
export function GearNames({ view, entered }: { view: GearView; entered: boolean }) {
  const { names, next, gear } = view;
  if (entered) return null;
  return (
    <>
      {names.length ? (
        <ol aria-label="What it is">
          {names.slice(0, 3).map((h, i) => (
            <li key={h.words} className="grid grid-cols-[minmax(0,1fr)_150px_84px] items-center gap-3 border-b-2 border-base-300 text-[20px]">
              <span className="font-semibold">{h.words}</span>
              <span className="h-[15px] bg-base-200" aria-hidden="true">
                <span className={`block h-full ${i === 0 ? "bg-success" : "bg-base-content"}`} style={{ width: `${Math.max(1, h.probability * 100)}%` }} />
              </span>
              <span className="figures text-right text-[24px]">{percent(h.probability)}</span>
            </li>
          ))}
        </ol>
      ) : (
        <p className="says">{missing(view.kind)}</p>
      )}
      {next && gear && (
        <div className="says measured grid grid-cols-[minmax(0,1fr)_auto] items-center gap-3">
          <p>
            <b>To be sure, take the {next.take}:</b> {next.why}. <span className="block pt-1">{next.how}</span>
          </p>
          <ReadingDrawing next={next} gear={gear} size={104} />
        </div>
      )}
    </>
  );
}

function missing(kind: GearView["kind"]): string {
  if (kind === "bevel")
    return "Too little is measured: the count, the mate's count (or the face angle), and the tip diameter or the tooth depth at the large end.";
  if (kind === "worm") return "Too little is measured: the starts and the pitch along the worm over several threads.";
  if (kind === "worm-wheel") return "Too little is measured: the count and the throat diameter, or the pitch of its worm; tie the two together under Mate.";
  return "Too little is measured: the tooth count with a tip diameter or a span, or two readings.";
}
