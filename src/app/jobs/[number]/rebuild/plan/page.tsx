import { JobScreen } from "@/stages/frame/job-screen";
import { PlanScreen } from "@/stages/rebuild/plan/plan-screen";
import { planView } from "@/stages/rebuild/plan/plan-view";
import { RebuildPlaces } from "@/stages/rebuild/rebuild-places";
import { found, type JobAddress } from "../../address";

export default async function Page({ params }: JobAddress) {
  const { frame, ...view } = await found(planView((await params).number));
  return (
    <JobScreen
      place="The plan"
      frame={frame}
      showing="rebuild"
      head={<RebuildPlaces number={frame.number} at="plan" />}
    >
      <PlanScreen {...view} />
    </JobScreen>
  );
}
