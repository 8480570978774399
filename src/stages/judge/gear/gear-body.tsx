import { bodyAsked } from "@/core/job/part-sizes";
import { AskedFigures } from "../part-sizes";
import type { GearView } from "./gear-view";

/**
 * What of the gear is not its teeth: hub, what drives it, a second rim. Each is compared only where it was
 * measured or is told of the new one.
 */
export function GearBody({ view: { part, notes, means } }: { view: GearView }) {
  const asked = bodyAsked(notes.kind, notes.boreForm || undefined);
  return (
    <div className="grid grid-cols-2 gap-x-6 gap-y-1.5">
      <p className="says col-span-2">
        What the new one has to agree in besides its teeth. Leave out what does not matter here.
      </p>
      <AskedFigures
        part={part}
        asked={asked}
        means={new Map(means.map((m) => [m.what, m.value]))}
        looks={notes.looks ?? {}}
      />
    </div>
  );
}
