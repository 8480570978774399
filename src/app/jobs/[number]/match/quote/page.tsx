import { JobScreen } from "@/stages/frame/job-screen";
import { MatchPlaces } from "@/stages/match/match-places";
import { QuoteScreen } from "@/stages/match/quote-screen";
import { quoteView } from "@/stages/match/quote-view";
import { type AimAddress, found } from "../../address";

export default async function Page({ params, searchParams }: AimAddress) {
  const { frame, places, ...view } = await found(quoteView((await params).number, (await searchParams).aim));
  return (
    <JobScreen
      place="Quote"
      frame={frame}
      showing="match"
      head={<MatchPlaces {...places} at="quote" />}
      mat={null}
    >
      <QuoteScreen {...view} />
    </JobScreen>
  );
}
