import { JobScreen } from "@/stages/frame/job-screen";
import { JudgePlaces } from "@/stages/judge/judge-places";
import { TrainScreen } from "@/stages/judge/train/train-screen";
import { trainView } from "@/stages/judge/train/train-view";
import { found, type JobAddress } from "../../address";

export default async function Page({ params }: JobAddress) {
  const { frame, ...view } = await found(trainView((await params).number));
  return (
    <JobScreen
      place="Train"
      frame={frame}
      showing="judge"
      head={<JudgePlaces number={frame.number} at="train" />}
      mat={null}
    >
      <TrainScreen {...view} />
    </JobScreen>
  );
}
