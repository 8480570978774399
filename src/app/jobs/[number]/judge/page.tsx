import { JobScreen } from "@/stages/frame/job-screen";
import { JudgePlaces } from "@/stages/judge/judge-places";
import { JudgeScreen } from "@/stages/judge/judge-screen";
import { judgeView } from "@/stages/judge/judge-view";
import { Mat } from "@/ui/mat";
import { found, type JobAddress, titled } from "../address";

export const generateMetadata = titled("Judge");

export default async function Page({ params }: JobAddress) {
  const { frame, pockets, ...view } = await found(judgeView((await params).number));
  return (
    <JobScreen
      frame={frame}
      showing="judge"
      head={<JudgePlaces number={frame.number} at="parts" />}
      mat={<Mat pockets={pockets} hand={pockets.length} foot={`${pockets.length} laid down, left to right in the order they came off`} />}
    >
      <JudgeScreen {...view} />
    </JobScreen>
  );
}
