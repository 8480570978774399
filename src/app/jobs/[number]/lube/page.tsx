import { JobScreen } from "@/stages/frame/job-screen";
import { LubeScreen } from "@/stages/lube/lube-screen";
import { lubeView } from "@/stages/lube/lube-view";
import { pack } from "@/ui/packed";
import { found, type JobAddress } from "../address";

export default async function Page({ params }: JobAddress) {
  const { frame, ...view } = await found(lubeView((await params).number));
  return (
    <JobScreen place="Lube" frame={frame} showing="lube" mat={null}>
      <LubeScreen packed={pack(view)} />
    </JobScreen>
  );
}
