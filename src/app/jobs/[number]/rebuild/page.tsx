import { JobScreen } from "@/stages/frame/job-screen";
import { RebuildPlaces } from "@/stages/rebuild/rebuild-places";
import { RebuildScreen } from "@/stages/rebuild/rebuild-screen";
import { rebuildView } from "@/stages/rebuild/rebuild-view";
import { LyingMat } from "@/ui/mat";
import { pack } from "@/ui/packed";
import { found, type JobAddress } from "../address";

export default async function Page({ params }: JobAddress) {
  const { frame, pockets, ...view } = await found(rebuildView((await params).number));
  const lastLaid = pockets.findLastIndex((p) => !p.emptied);
  const dry = pockets.some((p) => p.dry && !p.emptied) ? " · striped: stays dry" : "";
  const foot =
    lastLaid >= 0
      ? `The Mat empties from right to left · outlined pockets are back in the machine${dry}`
      : "The Mat is empty.";
  return (
    <JobScreen
      place="Rebuild"
      frame={frame}
      showing="rebuild"
      head={<RebuildPlaces number={frame.number} at="line" />}
      mat={<LyingMat pockets={pack(pockets)} hand={lastLaid + 1} foot={foot} />}
    >
      <RebuildScreen {...view} />
    </JobScreen>
  );
}
