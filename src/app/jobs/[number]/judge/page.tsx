import { JobScreen } from "@/stages/frame/job-screen";
import { JudgePlaces } from "@/stages/judge/judge-places";
import { JudgeScreen } from "@/stages/judge/judge-screen";
import { judgeView } from "@/stages/judge/judge-view";
import { LyingMat } from "@/ui/mat";
import { pack } from "@/ui/packed";
import { found, type JobAddress } from "../address";

export default async function Page({ params }: JobAddress) {
  const { frame, pockets, parts, ...view } = await found(judgeView((await params).number));
  return (
    <JobScreen
      place="Judge"
      frame={frame}
      showing="judge"
      head={<JudgePlaces number={frame.number} at="parts" />}
      mat={
        <LyingMat
          pockets={pack(pockets)}
          hand={pockets.length}
          foot={`${pockets.length} laid down, left to right in the order they came off`}
        />
      }
    >
      <JudgeScreen parts={pack(parts)} {...view} />
    </JobScreen>
  );
}
