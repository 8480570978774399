import { BesideScreen } from "@/stages/frame/beside-screen";
import { MessagesScreen } from "@/stages/messages/messages-screen";
import { messagesView } from "@/stages/messages/messages-view";
import { found, type JobAddress } from "../address";

export default async function Page({ params }: JobAddress) {
  const { frame, ...view } = await found(messagesView((await params).number));
  return (
    <BesideScreen place="Messages" frame={frame}>
      <MessagesScreen {...view} />
    </BesideScreen>
  );
}
