import { mustAskAgain } from "@/core/match/quote/quote";
import { JobScreen } from "@/stages/frame/job-screen";
import { BasketScreen } from "@/stages/match/basket-screen";
import { jobBasket } from "@/stages/match/job-basket";
import { MatchPlaces } from "@/stages/match/match-places";
import { OrderedScreen } from "@/stages/match/ordered-screen";
import { orderDay, shopSettings } from "@/store/settings";
import { jobFrom } from "../../job-from-address";
import { aimFrom } from "../aim-from-address";

export default async function Page({ params, searchParams }: { params: Promise<{ number: string }>; searchParams: Promise<{ aim?: string }> }) {
  const { job, db } = await jobFrom({ params });
  const settings = await shopSettings(db);
  const ordered = job.orders.length > 0 || job.arrivals.length > 0;
  const partNames = Object.fromEntries(job.parts.map((p) => [p.id, p.name ?? p.id]));
  const basket = ordered ? null : await jobBasket(db, job, aimFrom((await searchParams).aim, job), settings);
  return (
    <JobScreen job={job} showing="match" head={<MatchPlaces job={job} at="basket" />} mat={null}>
      {basket ? (
        <BasketScreen
          basket={basket}
          currency={settings.currency}
          partNames={partNames}
          ask={basket.quote && mustAskAgain(basket.quote.total, job.quotes, job.priceLimit)}
        />
      ) : (
        <OrderedScreen orders={job.orders} arrivals={job.arrivals} day={orderDay(settings)} currency={settings.currency} />
      )}
    </JobScreen>
  );
}
