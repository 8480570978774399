import { PartsScreen } from "@/shop/parts/parts-screen";
import { countParts, searchParts } from "@/store/catalogue";
import { database } from "@/store/database";
import { shopSettings } from "@/store/settings";

export const dynamic = "force-dynamic";

export default async function Page({ searchParams }: { searchParams: Promise<{ q?: string }> }) {
  const db = await database();
  const { q = "" } = await searchParams;
  return <PartsScreen first={await searchParts(db, q)} count={await countParts(db)} currency={(await shopSettings(db)).currency} asked={q} />;
}
