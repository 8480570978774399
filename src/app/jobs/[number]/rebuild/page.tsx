import { JobScreen } from "@/stages/frame/job-screen";
import { RebuildScreen } from "@/stages/rebuild/rebuild-screen";
import { rebuildView } from "@/stages/rebuild/rebuild-view";
import { Mat } from "@/ui/mat";
import { found, type JobAddress, titled } from "../address";

export const generateMetadata = titled("Rebuild");

export default async function Page({ params }: JobAddress) {
  const { frame, pockets, ...view } = await found(rebuildView((await params).number));
  const lastLaid = pockets.findLastIndex((p) => !p.emptied);
  const foot = lastLaid >= 0 ? "The Mat empties from right to left · outlined pockets are back in the machine" : "The Mat is empty.";
  return (
    <JobScreen frame={frame} showing="rebuild" mat={<Mat pockets={pockets} hand={lastLaid + 1} foot={foot} />}>
      <RebuildScreen {...view} />
    </JobScreen>
  );
}
