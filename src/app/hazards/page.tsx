import { kindsWithHazards } from "@/core/safety/hazards";
import { HazardsScreen } from "@/shop/hazards/hazards-screen";
import { shopSettings } from "@/store/settings";

export const dynamic = "force-dynamic";

export default async function Page() {
  return <HazardsScreen kinds={kindsWithHazards((await shopSettings()).kindHazards)} />;
}
