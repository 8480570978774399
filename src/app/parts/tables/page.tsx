import { TablesScreen } from "@/shop/parts/tables-screen";
import { lastImports } from "@/store/imports";

export const dynamic = "force-dynamic";

export default async function Page() {
  return <TablesScreen imports={await lastImports()} />;
}
