import { JobScreen } from "@/stages/frame/job-screen";
import { GearBench } from "@/stages/judge/gear/gear-bench";
import { gearBenchView } from "@/stages/judge/gear/gear-bench-view";
import { JudgePlaces } from "@/stages/judge/judge-places";
import { found, type PartAddress, titled } from "../../../address";

export const generateMetadata = titled("Gear bench");

export default async function Page({ params }: PartAddress) {
  const { number, part } = await params;
  const { frame, ...view } = await found(gearBenchView(number, part));
  return (
    <JobScreen frame={frame} showing="judge" head={<JudgePlaces number={number} />} mat={null}>
      <GearBench key={part} {...view} />
    </JobScreen>
  );
}
