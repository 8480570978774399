"use client";

import { aOrAn, capital } from "@/core/sentence";
import { KeyButton } from "@/ui/key-button";
import { KindAsked } from "../job-view/kind-asked";
import { useJob } from "../saving/job-context";
import { isDone } from "./answer-card";
import { sayBearing, sayFood } from "./asked-actions";
import type { LubeView } from "./lube-view";

/** What is asked of the unit before lubricants are chosen, one question at a time. */
export function Questions({ view }: { view: Omit<LubeView, "frame"> }) {
  const { run } = useJob();
  if (view.job.noGrease !== undefined) return null;
  const greased = view.chambers.some((c) => c.chamber.none === undefined);
  const chamber = view.chambers.find((c) => c.chamber.none === undefined && !isDone(c));
  const [bearing] = chamber ? view.bearings : [];
  const [part] = view.asked;
  if (view.foodAsked && greased)
    return (
      <fieldset className="says flex flex-wrap items-center gap-2 !py-1.5">
        <legend className="sr-only">Does it touch food?</legend>
        <span>
          <b>Does it touch food?</b> {capital(aOrAn(view.kind))} mostly does; until you say, only H1 counts as
          right.
        </span>
        <KeyButton keyName="Y" className="small" onPress={() => void run(sayFood, { touches: true })}>
          It touches food
        </KeyButton>
        <KeyButton keyName="N" className="small" onPress={() => void run(sayFood, { touches: false })}>
          It does not
        </KeyButton>
      </fieldset>
    );
  if (part) return <KindAsked key={part.id} part={part} />;
  if (bearing && chamber)
    return (
      <fieldset className="says flex flex-wrap items-center gap-2 !py-1.5">
        <legend className="sr-only">Is the {bearing.name} open or sealed?</legend>
        <span>
          <b>{capital(bearing.name)}:</b> open, or sealed?
        </span>
        {(["open", "sealed"] as const).map((closure) => (
          <KeyButton
            key={closure}
            className="small"
            label={`${bearing.name}: ${closure}`}
            onPress={() => void run(sayBearing, { chamber: chamber.chamber.id, part: bearing.id, closure })}
          >
            {closure === "open" ? "Open: grease it" : "Sealed: none"}
          </KeyButton>
        ))}
      </fieldset>
    );
  return null;
}
