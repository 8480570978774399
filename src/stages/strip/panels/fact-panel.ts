import type { StepFacts } from "@/core/job/step";
import type { OpenStep } from "@/core/recorder/open-step";

/** What each sheet of facts is given. */
export interface FactPanelProps {
  facts: StepFacts;
  /** says some facts anew; an empty one goes */
  say: (facts: StepFacts) => void;
  onClose: () => void;
}

/** For the sheets that change more than facts. */
export interface WholeStep {
  open: OpenStep;
  set: (fields: Partial<OpenStep>) => void;
}
