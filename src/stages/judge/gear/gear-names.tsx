import { sentence } from "@/core/sentence";
import { Odds } from "@/ui/odds";
import { ReadingDrawing } from "@/ui/reading-drawing";
import type { GearView } from "./gear-view";

/**
 * What the gear may be, with how sure; which readings contradict each other; and the reading that would
 * settle it, with its drawing.
 */
export function GearNames({ view, entered }: { view: GearView; entered: boolean }) {
  const { names, doubts, next, gear } = view;
  if (entered) return null;
  return (
    <>
      {names.length ? (
        <ol aria-label="What it is">
          {names.slice(0, 3).map((h, i) => (
            <Odds key={h.words} probability={h.probability} first={i === 0}>
              <b className="font-semibold">{h.words}</b>
            </Odds>
          ))}
        </ol>
      ) : (
        !doubts.length && <p className="says">{missing(view.kind)}</p>
      )}
      {doubts.length > 0 && (
        <div role="alert" className="says danger grid grid-cols-[minmax(0,1fr)_auto] items-center gap-3">
          <div>
            <b>These readings cannot all be true.</b>
            <ul>
              {doubts.map((d) => (
                <li key={d.says}>{sentence(d.says)}</li>
              ))}
            </ul>
            {next && <p className="hush pt-1 text-[18px]">{next.how}</p>}
          </div>
          {next && gear && <ReadingDrawing next={next} gear={gear} size={104} />}
        </div>
      )}
      {next && gear && doubts.length === 0 && (
        <div className="says measured grid grid-cols-[minmax(0,1fr)_auto] items-center gap-3">
          <p>
            <b>To be sure, measure the {next.take}:</b> {next.why}.{" "}
            <span className="block pt-1">{next.how}</span>
          </p>
          <ReadingDrawing next={next} gear={gear} size={104} />
        </div>
      )}
    </>
  );
}

function missing(kind: GearView["kind"]): string {
  if (kind === "bevel")
    return "Not enough is measured: the count, the mate's count (or the face angle), and the tip diameter or the tooth depth at the large end.";
  if (kind === "internal")
    return "Not enough is measured: the count, with across the tips inside or between two pins; or enter its module.";
  if (kind === "worm")
    return "Not enough is measured: the starts and the pitch along the worm over several threads.";
  if (kind === "worm-wheel")
    return "Not enough is measured: the count and the throat diameter, or the pitch of its worm; tie the two together under Mate.";
  return "Not enough is measured: the tooth count with a tip diameter or a span, or two readings.";
}
