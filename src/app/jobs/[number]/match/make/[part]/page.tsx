import { JobScreen } from "@/stages/frame/job-screen";
import { MakeScreen } from "@/stages/match/make-screen";
import { makeView } from "@/stages/match/make-view";
import { MatchPlaces } from "@/stages/match/match-places";
import { found, type PartAddress, partAddress } from "../../../address";

export default async function Page({ params }: PartAddress) {
  const { number, part } = partAddress(await params);
  const { frame, places, ...view } = await found(makeView(number, part));
  return (
    <JobScreen
      place="No part available"
      frame={frame}
      showing="match"
      head={<MatchPlaces {...places} />}
      mat={null}
    >
      <MakeScreen number={number} part={part} {...view} />
    </JobScreen>
  );
}
