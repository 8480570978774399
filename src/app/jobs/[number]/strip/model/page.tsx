import { JobScreen } from "@/stages/frame/job-screen";
import { ModelScreen } from "@/stages/strip/model/model-screen";
import { modelView } from "@/stages/strip/model/model-view";
import { found, type JobAddress } from "../../address";

export default async function Page({ params }: JobAddress) {
  const { frame, ...view } = await found(modelView((await params).number));
  return (
    <JobScreen place="This model" frame={frame} showing="strip">
      <ModelScreen number={frame.number} {...view} />
    </JobScreen>
  );
}
