import { JobScreen } from "@/stages/frame/job-screen";
import { GearBench } from "@/stages/judge/gear/gear-bench";
import { gearBenchView } from "@/stages/judge/gear/gear-bench-view";
import { JudgePlaces } from "@/stages/judge/judge-places";
import { found, type PartAddress, partAddress } from "../../../address";

export default async function Page({ params }: PartAddress) {
  const { number, part } = partAddress(await params);
  const { frame, ...view } = await found(gearBenchView(number, part));
  return (
    <JobScreen
      place="Gear bench"
      frame={frame}
      showing="judge"
      head={<JudgePlaces number={number} />}
      mat={null}
    >
      <GearBench key={part} {...view} />
    </JobScreen>
  );
}
