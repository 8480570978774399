import { LyingMat } from "@/ui/mat";
import { pack } from "@/ui/packed";
import { JobScreen } from "../frame/job-screen";
import { Recorder } from "./recorder";
import { SafetyGate } from "./safety-gate";
import type { StripView } from "./strip-view";

/** Strip: the safety gate first, then the recorder. */
export function StripScreen({ view }: { view: StripView }) {
  const { frame, pockets } = view;
  if ("gate" in view)
    return (
      <JobScreen
        place="Strip"
        frame={frame}
        showing="strip"
        mat={
          <LyingMat
            pockets={pack(pockets)}
            hand={pockets.length}
            foot="The Mat opens once the safety gate is answered."
          />
        }
      >
        <SafetyGate {...view.gate} />
      </JobScreen>
    );
  return (
    <JobScreen place="Strip" frame={frame} showing="strip">
      <Recorder pockets={pack(pockets)} {...view.recorder} />
    </JobScreen>
  );
}
