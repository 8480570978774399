import { JobScreen } from "@/stages/frame/job-screen";
import { MatchPlaces } from "@/stages/match/match-places";
import { MatchScreen } from "@/stages/match/match-screen";
import { matchView } from "@/stages/match/match-view";
import { pack } from "@/ui/packed";
import { found, type JobAddress } from "../address";

export default async function Page({ params }: JobAddress) {
  const { frame, places, parts, ...view } = await found(matchView((await params).number));
  return (
    <JobScreen
      place="Match"
      frame={frame}
      showing="match"
      head={<MatchPlaces {...places} at="parts" />}
      mat={null}
    >
      <MatchScreen parts={pack(parts)} {...view} />
    </JobScreen>
  );
}
