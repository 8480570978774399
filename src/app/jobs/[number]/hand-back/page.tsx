import { JobScreen } from "@/stages/frame/job-screen";
import { HandBackScreen } from "@/stages/hand-back/hand-back-screen";
import { handBackView } from "@/stages/hand-back/hand-back-view";
import { Mat } from "@/ui/mat";
import { found, type JobAddress, titled } from "../address";

export const generateMetadata = titled("Hand back");

export default async function Page({ params }: JobAddress) {
  const { frame, pockets, ...view } = await found(handBackView((await params).number));
  const foot = pockets.every((p) => p.emptied) ? "The Mat is empty: everything is back in the machine." : "Something still lies on the Mat.";
  return (
    <JobScreen frame={frame} showing="hand-back" mat={<Mat pockets={pockets} hand={pockets.findLastIndex((p) => !p.emptied) + 1} foot={foot} />}>
      <HandBackScreen {...view} />
    </JobScreen>
  );
}
