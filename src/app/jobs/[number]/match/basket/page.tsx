import { JobScreen } from "@/stages/frame/job-screen";
import { BasketScreen } from "@/stages/match/basket-screen";
import { basketView } from "@/stages/match/basket-view";
import { MatchPlaces } from "@/stages/match/match-places";
import { OrderedScreen } from "@/stages/match/ordered-screen";
import { type AimAddress, found } from "../../address";

export default async function Page({ params, searchParams }: AimAddress) {
  const view = await found(basketView((await params).number, (await searchParams).aim));
  return (
    <JobScreen
      place="Basket"
      frame={view.frame}
      showing="match"
      head={<MatchPlaces {...view.places} at="basket" />}
      mat={null}
    >
      {"orders" in view ? (
        <OrderedScreen
          orders={view.orders}
          arrivals={view.arrivals}
          day={view.day}
          currency={view.currency}
        />
      ) : (
        <BasketScreen
          ground={view.ground}
          aim={view.aim}
          partNames={view.partNames}
          quotes={view.quotes}
          currency={view.currency}
        />
      )}
    </JobScreen>
  );
}
