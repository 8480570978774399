import { JobScreen } from "@/stages/frame/job-screen";
import { MessagesScreen } from "@/stages/messages/messages-screen";
import { messagesView } from "@/stages/messages/messages-view";
import { KeyLink } from "@/ui/key-link";
import { found, type JobAddress } from "../address";

export default async function Page({ params }: JobAddress) {
  const { frame, ...view } = await found(messagesView((await params).number));
  return (
    <JobScreen
      place="Messages"
      frame={frame}
      showing={frame.stage}
      head={
        <KeyLink keyName="Escape" className="small" href={`/jobs/${frame.number}/${frame.stage}`}>
          Back
        </KeyLink>
      }
      mat={null}
    >
      <MessagesScreen {...view} />
    </JobScreen>
  );
}
