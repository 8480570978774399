import { SettingsScreen } from "@/shop/settings/settings-screen";
import { shopSettings } from "@/store/settings";

export const dynamic = "force-dynamic";

export default async function Page() {
  const { rates, testMinutes, cleaningCost, currency } = await shopSettings();
  return <SettingsScreen values={{ ...rates, testMinutes, cleaningCost }} currency={currency} />;
}
