"use client";

import { sizeOf } from "@/core/job/gear-notes";
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
  const doubted = view.doubts.length > 0 && view.names.length > 0;
  return view.identity ? (
    <p className="says good flex min-h-[52px] items-center text-[22px]">
      Named: {view.identity.teeth} {kind === "worm" ? "starts" : "teeth"}, {sizeOf(view.identity)},{" "}
      {view.identity.pressureAngleDeg}°{view.identity.addendum ? ", stub" : ""}
      {view.identity.helixAngleDeg
        ? `, ${kind === "worm" || kind === "worm-wheel" ? "lead" : "helix"} ${Number(view.identity.helixAngleDeg.toFixed(1))}°`
        : ""}
      , {percent(view.identity.probability)} sure
    </p>
  ) : isEntered(kind) || (kind === "internal" && view.notes.moduleMm !== undefined && !view.names.length) ? (
    <p className={`says flex min-h-[52px] items-center text-[22px] ${gear ? "good" : ""}`}>
      {gear
        ? "Entered: enough for the drawing and the train."
        : "Enter its teeth and its pitch: then it is drawn, and the train can use it."}
    </p>
  ) : (
    <KeyButton
      keyName=" "
      look={doubted ? "warn" : "main"}
      disabled={!view.names.length}
      onPress={() => void run(acceptName, { part, which: 0 })}
      className="justify-center"
    >
      {doubted ? "Accept all the same" : "Accept"}
    </KeyButton>
  );
}
