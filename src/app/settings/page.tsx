import { SettingsScreen } from "@/shop/settings/settings-screen";
import { database } from "@/store/database";
import { shopSettings } from "@/store/settings";

export const dynamic = "force-dynamic";

export default async function Page() {
  const { rates, testMinutes, cleaningCost, currency } = await shopSettings(await database());
  return <SettingsScreen values={{ ...rates, testMinutes, cleaningCost }} currency={currency} />;
}
