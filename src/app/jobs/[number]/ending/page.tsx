import { EndingScreen } from "@/stages/ending/ending-screen";
import { endingView } from "@/stages/ending/ending-view";
import { JobScreen } from "@/stages/frame/job-screen";
import { found, type JobAddress } from "../address";

export default async function Page({ params }: JobAddress) {
  const { frame, ...view } = await found(endingView((await params).number));
  return (
    <JobScreen place="Waits, ends, came back" frame={frame} showing={frame.stage} mat={null}>
      <EndingScreen {...view} />
    </JobScreen>
  );
}
