import { SuppliersScreen } from "@/shop/suppliers/suppliers-screen";
import { suppliersView } from "@/shop/suppliers/suppliers-view";

export const dynamic = "force-dynamic";

export default async function Page() {
  return <SuppliersScreen {...(await suppliersView())} />;
}
