"use client";

import type { LaidHardware } from "@/core/hardware/look-alikes";
import { minutesByClock } from "@/core/recorder/open-step";
import type { StepNamed } from "../job-view/tight-fields";
import { CautionsPanel } from "./panels/cautions-panel";
import { FreedPanel } from "./panels/freed-panel";
import { GoesBackPanel } from "./panels/goes-back-panel";
import { HardwarePanel } from "./panels/hardware-panel";
import { StackPanel } from "./panels/stack-panel";
import { StatePanel } from "./panels/state-panel";
import { TimingPanel } from "./panels/timing-panel";
import { WiresPanel } from "./panels/wires-panel";
import type { Recording } from "./use-open-step";

/** What lies open over the picture for the step that is being recorded. */
export type Sheet = "pieces" | "stack" | "wires" | "freed" | "cautions" | "timing" | "back" | "state";

/** One sheet of the step that is open: the facts that are more than a line of words. */
export function StepSheet({
  sheet,
  recording,
  laid,
  steps,
  onClose,
}: {
  sheet: Sheet;
  recording: Recording;
  laid: readonly LaidHardware[];
  /** what lies on the Mat already: it goes back later than this step */
  steps: readonly StepNamed[];
  onClose: () => void;
}) {
  const { open, read, set, say } = recording;
  const facts = { facts: read.facts, say, onClose };
  switch (sheet) {
    case "pieces":
      return (
        <HardwarePanel
          steps={steps}
          pieces={open.hardware}
          used={laid.flatMap((b) => b.hardware)}
          onChange={(hardware) => set({ hardware })}
          onClose={onClose}
        />
      );
    case "stack":
      return (
        <StackPanel
          stack={open.stack}
          hardware={open.hardware}
          names={read.names}
          onChange={(stack) => set({ stack })}
          onClose={onClose}
        />
      );
    case "wires":
      return <WiresPanel {...facts} />;
    case "freed":
      return <FreedPanel {...facts} set={set} action={read.action} />;
    case "cautions":
      return <CautionsPanel {...facts} />;
    case "timing":
      return <TimingPanel {...facts} />;
    case "back":
      return <GoesBackPanel {...facts} steps={steps} />;
    case "state":
      return (
        <StatePanel
          {...facts}
          set={set}
          open={open}
          names={read.names}
          minutes={minutesByClock(open, Date.now())}
        />
      );
  }
}
