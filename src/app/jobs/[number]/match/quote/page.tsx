import { mustAskAgain } from "@/core/match/quote/quote";
import { JobScreen } from "@/stages/frame/job-screen";
import { jobBasket } from "@/stages/match/job-basket";
import { MatchPlaces } from "@/stages/match/match-places";
import { QuoteScreen } from "@/stages/match/quote-screen";
import { loadDrafts } from "@/store/drafts";
import { shopSettings } from "@/store/settings";
import { jobFrom } from "../../job-from-address";
import { aimFrom } from "../aim-from-address";

export default async function Page({ params, searchParams }: { params: Promise<{ number: string }>; searchParams: Promise<{ aim?: string }> }) {
  const { job, db } = await jobFrom({ params });
  const settings = await shopSettings(db);
  const aim = aimFrom((await searchParams).aim, job);
  // once it is ordered, what was quoted stands
  const basket = job.orders.length || job.arrivals.length ? null : await jobBasket(db, job, aim, settings);
  const now = basket?.quote ?? null;
  return (
    <JobScreen job={job} showing="match" head={<MatchPlaces job={job} at="quote" />} mat={null}>
      <QuoteScreen
        now={now}
        says={basket?.answer.says}
        aim={aim}
        quotes={job.quotes}
        rates={settings.rates}
        currency={settings.currency}
        unitPrice={job.newUnit}
        customer={job.customerName}
        draft={(await loadDrafts(db, job.id))["quote-by-whom"]}
        ask={now && mustAskAgain(now.total, job.quotes, job.priceLimit)}
      />
    </JobScreen>
  );
}
