import { JobScreen } from "@/stages/frame/job-screen";
import { RebuildPlaces } from "@/stages/rebuild/rebuild-places";
import { WayInScreen } from "@/stages/rebuild/way-in/way-in-screen";
import { wayInView } from "@/stages/rebuild/way-in/way-in-view";
import { found, type WayInAddress } from "../../address";

export default async function Page({ params, searchParams }: WayInAddress) {
  const { frame, ...view } = await found(wayInView((await params).number, await searchParams));
  return (
    <JobScreen
      place="Way in"
      frame={frame}
      showing="rebuild"
      head={<RebuildPlaces number={frame.number} at="way-in" />}
    >
      <WayInScreen {...view} />
    </JobScreen>
  );
}
