import { JobScreen } from "@/stages/frame/job-screen";
import { JudgePlaces } from "@/stages/judge/judge-places";
import { WhyScreen } from "@/stages/judge/why/why-screen";
import { whyView } from "@/stages/judge/why/why-view";
import { found, type JobAddress } from "../../address";

export default async function Page({ params }: JobAddress) {
  const { frame, ...view } = await found(whyView((await params).number));
  return (
    <JobScreen
      place="Why it failed"
      frame={frame}
      showing="judge"
      head={<JudgePlaces number={frame.number} at="why" />}
      mat={null}
    >
      <WhyScreen {...view} />
    </JobScreen>
  );
}
