"use client";

import { KeyButton } from "@/ui/key-button";
import { percent } from "@/ui/odds";
import { useJob } from "../../saving/job-context";
import { acceptName } from "../actions";
import { isEntered } from "./gear-facts";
import type { GearView } from "./gear-view";

/** What the gear is called: the name that was accepted, or the key that accepts the likeliest. */
export function GearNamed({ view }: { view: GearView }) {
  const { run } = useJob();
  const { part, kind, gear } = view;
  return view.identity ? (
    <p className="says good flex min-h-[52px] items-center text-[22px]">
      Named: {view.identity.teeth} {kind === "worm" ? "starts" : "teeth"},{" "}
      {view.identity.diametralPitch ? `${view.identity.diametralPitch} DP` : `module ${view.identity.moduleMm}`}, {view.identity.pressureAngleDeg}°
      {view.identity.helixAngleDeg ? `, ${kind === "worm" || kind === "worm-wheel" ? "lead" : "helix"} ${Number(view.identity.helixAngleDeg.toFixed(1))}°` : ""}
      , {percent(view.identity.probability)} sure
    </p>
  ) : isEntered(kind) ? (
    <p className={`says flex min-h-[52px] items-center text-[22px] ${gear ? "good" : ""}`}>
      {gear ? "Entered: enough for the drawing and the train." : "Enter its teeth and its pitch: then it is drawn, and the train can use it."}
    </p>
  ) : (
    <KeyButton keyName=" " look="main" disabled={!view.names.length} onPress={() => void run(acceptName, { part, which: 0 })} className="justify-center">
      Accept
    </KeyButton>
  );
}
