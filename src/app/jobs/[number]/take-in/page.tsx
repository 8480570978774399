import { JobScreen } from "@/stages/frame/job-screen";
import { TakeInScreen } from "@/stages/take-in/take-in-screen";
import { takeInView } from "@/stages/take-in/take-in-view";
import { KeyLink } from "@/ui/key-link";
import { found, type JobAddress } from "../address";

export default async function Page({ params }: JobAddress) {
  const { frame, ...view } = await found(takeInView((await params).number));
  const head = (
    <KeyLink keyName="G" href={`/jobs/${frame.number}/tag`}>
      Tag
    </KeyLink>
  );
  return (
    <JobScreen place="Take in" frame={frame} showing="take-in" mat={null} head={head}>
      <TakeInScreen {...view} />
    </JobScreen>
  );
}
