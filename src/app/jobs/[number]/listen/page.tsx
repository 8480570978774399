import { JobScreen } from "@/stages/frame/job-screen";
import { ListenScreen } from "@/stages/listen/listen-screen";
import { listenView } from "@/stages/listen/listen-view";
import { KeyLink } from "@/ui/key-link";
import { found, type JobAddress } from "../address";

export default async function Page({ params }: JobAddress) {
  const { frame, ...view } = await found(listenView((await params).number));
  return (
    <JobScreen
      place="Listen"
      frame={frame}
      showing={frame.stage}
      head={
        <KeyLink keyName="Escape" className="small" href={`/jobs/${frame.number}/${frame.stage}`}>
          Back
        </KeyLink>
      }
      mat={null}
    >
      <ListenScreen {...view} />
    </JobScreen>
  );
}
