import { JobScreen } from "@/stages/frame/job-screen";
import { HardwareScreen } from "@/stages/judge/hardware/hardware-screen";
import { hardwareView } from "@/stages/judge/hardware/hardware-view";
import { JudgePlaces } from "@/stages/judge/judge-places";
import { found, type JobAddress } from "../../address";

export default async function Page({ params }: JobAddress) {
  const { frame, ...view } = await found(hardwareView((await params).number));
  return (
    <JobScreen
      place="Hardware bench"
      frame={frame}
      showing="judge"
      head={<JudgePlaces number={frame.number} at="hardware" />}
      mat={null}
    >
      <HardwareScreen {...view} />
    </JobScreen>
  );
}
