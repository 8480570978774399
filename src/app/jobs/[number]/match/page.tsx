import { JobScreen } from "@/stages/frame/job-screen";
import { MatchPlaces } from "@/stages/match/match-places";
import { MatchScreen } from "@/stages/match/match-screen";
import { matchView } from "@/stages/match/match-view";
import { found, type JobAddress, titled } from "../address";

export const generateMetadata = titled("Match");

export default async function Page({ params }: JobAddress) {
  const { frame, places, ...view } = await found(matchView((await params).number));
  return (
    <JobScreen frame={frame} showing="match" head={<MatchPlaces {...places} at="parts" />} mat={null}>
      <MatchScreen {...view} />
    </JobScreen>
  );
}
