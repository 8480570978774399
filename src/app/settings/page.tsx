import { SettingsScreen } from "@/shop/settings/settings-screen";
import { shopSettings, unreadableSettings } from "@/store/settings";

export const dynamic = "force-dynamic";

export default async function Page() {
  const {
    rates,
    testMinutes,
    cleaningCost,
    gunGramsPerStroke,
    currency,
    shopName,
    town,
    lengthUnit,
    electrical,
  } = await shopSettings();
  const values = {
    ...rates,
    testMinutes,
    cleaningCost,
    gunGramsPerStroke,
    currency,
    shopName,
    town,
    lengthUnit,
    "electrical.earthBondOhm": electrical.earthBondOhm,
    "electrical.insulationIMohm": electrical.insulationIMohm,
    "electrical.insulationIIMohm": electrical.insulationIIMohm,
    "electrical.protectiveMa": electrical.protectiveMa ?? "",
    "electrical.touchMa": electrical.touchMa ?? "",
    "electrical.source": electrical.source,
    "electrical.tester": electrical.tester,
    "electrical.calibratedOn": electrical.calibratedOn ?? "",
  };
  return <SettingsScreen values={values} currency={currency} unreadable={await unreadableSettings()} />;
}
