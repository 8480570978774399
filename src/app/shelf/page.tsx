import { ShelfScreen } from "@/shop/shelf/shelf-screen";
import { shelfView } from "@/shop/shelf/shelf-view";

export const dynamic = "force-dynamic";

export default async function Page() {
  return <ShelfScreen {...(await shelfView())} />;
}
