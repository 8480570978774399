import { JobScreen } from "@/stages/frame/job-screen";
import { LubeScreen } from "@/stages/lube/lube-screen";
import { lubeView } from "@/stages/lube/lube-view";
import { found, type JobAddress, titled } from "../address";

export const generateMetadata = titled("Lube");

export default async function Page({ params }: JobAddress) {
  const { frame, ...view } = await found(lubeView((await params).number));
  return (
    <JobScreen frame={frame} showing="lube" mat={null}>
      <LubeScreen {...view} />
    </JobScreen>
  );
}
