import { PartsScreen } from "@/shop/parts/parts-screen";
import { countParts, searchParts } from "@/store/catalogue";
import { shopSettings } from "@/store/settings";

export const dynamic = "force-dynamic";

export default async function Page({ searchParams }: { searchParams: Promise<{ q?: string }> }) {
  const { q = "" } = await searchParams;
  return (
    <PartsScreen
      first={await searchParts(q)}
      count={await countParts()}
      currency={(await shopSettings()).currency}
      asked={q}
    />
  );
}
