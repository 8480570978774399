import { Catalogue } from "@/shop/parts/catalogue";
import { searchParts } from "@/store/catalogue";
import { database } from "@/store/database";
import { shopSettings } from "@/store/settings";
import { KeyLink } from "@/ui/key-link";

export const dynamic = "force-dynamic";

export default async function Page() {
  const db = await database();
  const parts = await searchParts(db, "");
  return (
    <main className="p-5">
      <div className="flex items-center justify-between pb-3">
        <h1 className="text-[30px]">Catalogue, {parts.length} parts</h1>
        <KeyLink href="/" keyName="Escape">
          The bench
        </KeyLink>
      </div>
      <Catalogue parts={parts} currency={(await shopSettings(db)).currency} />
    </main>
  );
}
