import { BesideScreen } from "@/stages/frame/beside-screen";
import { ListenScreen } from "@/stages/listen/listen-screen";
import { listenView } from "@/stages/listen/listen-view";
import { found, type JobAddress } from "../address";

export default async function Page({ params }: JobAddress) {
  const { frame, ...view } = await found(listenView((await params).number));
  return (
    <BesideScreen place="Listen" frame={frame}>
      <ListenScreen {...view} />
    </BesideScreen>
  );
}
