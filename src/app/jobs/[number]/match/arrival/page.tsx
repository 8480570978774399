import { JobScreen } from "@/stages/frame/job-screen";
import { ArrivalScreen } from "@/stages/match/arrival-screen";
import { arrivalView } from "@/stages/match/arrival-view";
import { MatchPlaces } from "@/stages/match/match-places";
import { found, type JobAddress } from "../../address";

export default async function Page({ params }: JobAddress) {
  const { frame, places, ...view } = await found(arrivalView((await params).number));
  return (
    <JobScreen
      place="Arrived"
      frame={frame}
      showing="match"
      head={<MatchPlaces {...places} at="arrival" />}
      mat={null}
    >
      <ArrivalScreen {...view} />
    </JobScreen>
  );
}
