import { JobScreen } from "@/stages/frame/job-screen";
import { HandBackScreen } from "@/stages/hand-back/hand-back-screen";
import { handBackView } from "@/stages/hand-back/hand-back-view";
import { LyingMat } from "@/ui/mat";
import { pack } from "@/ui/packed";
import { found, type JobAddress } from "../address";

export default async function Page({ params }: JobAddress) {
  const { frame, pockets, ...view } = await found(handBackView((await params).number));
  const foot = pockets.every((p) => p.emptied || p.isNote)
    ? "The Mat is empty: everything is back in the machine."
    : "Something still lies on the Mat.";
  return (
    <JobScreen
      place="Hand back"
      frame={frame}
      showing="hand-back"
      mat={
        <LyingMat
          pockets={pack(pockets)}
          hand={pockets.findLastIndex((p) => !p.emptied && !p.isNote) + 1}
          foot={foot}
        />
      }
    >
      <HandBackScreen {...view} />
    </JobScreen>
  );
}
